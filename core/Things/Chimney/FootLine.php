<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\RoofUnder;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Closure;

/** How high a roof is along a line in plan: stretches of it, each level or rising evenly. Model millimetres, x along the line. */
final readonly class FootLine
{
    /** A higher step than this is the end of one roof over another. */
    private const STEP_MM = 0.5;

    /** @param  non-empty-list<array{Vec2, Vec2, Facet}>  $stretches  from left to right, y upright above the datum */
    private function __construct(public array $stretches, public bool $hasValley)
    {
    }

    /** Of the roof's card, or of its underside; null where no roof lies under some of the line, or one ends over another there. */
    public static function along(RoofUnder $roof, Vec2 $from, Vec2 $to, bool $isTop): ?self
    {
        $length = $from->distanceTo($to);
        $way = $to->minus($from)->times(1.0 / $length);
        $found = self::found($roof->facets, new Profile($from, $way, 0.0, $length));
        $under = static fn (Facet $facet, float $x): float => $facet->heightAt($from->plus($way->times($x)));
        $reached = 0.0;
        $hasValley = false;
        $before = null;
        foreach ($found as [$a, $b, $facet]) {
            $isStep = $before !== null && abs($under($facet, $a) - $under($before, $a)) > self::STEP_MM;
            if ($a > $reached + Tolerance::MEET || $isStep) {
                return null;
            }
            // Beyond a valley the slope before it would go on lower.
            $hasValley = $hasValley || ($before !== null && $under($before, $b) < $under($facet, $b) - Tolerance::MEET);
            [$reached, $before] = [max($reached, $b), $facet];
        }
        if ($found === [] || $reached < $length - Tolerance::MEET) {
            return null;
        }
        $height = static fn (Facet $facet, float $x): float => $roof->height($facet, $from->plus($way->times($x)), $isTop);

        return new self(self::lowermost(array_column($found, 2), $height, $length), $hasValley);
    }

    /**
     * A roof without valleys is as high as the lowest of its planes: neighbours of which one is thicker, upright, than the other meet a
     * little to one side of where their undersides do.
     *
     * @param  non-empty-list<Facet>  $facets
     * @param  Closure(Facet, float): float  $height
     * @return non-empty-list<array{Vec2, Vec2, Facet}>
     */
    private static function lowermost(array $facets, Closure $height, float $length): array
    {
        $xs = [0.0, $length];
        foreach ($facets as $i => $one) {
            foreach (array_slice($facets, 0, $i) as $other) {
                [$a, $b] = [$height($one, 0.0) - $height($other, 0.0), $height($one, $length) - $height($other, $length)];
                array_push($xs, ...$a * $b < 0.0 ? [$length * $a / ($a - $b)] : []);
            }
        }
        sort($xs);
        $stretches = [];
        foreach (array_slice($xs, 1) as $i => $to) {
            $from = $xs[$i];
            $lowest = $facets[0];
            $middle = ($from + $to) / 2.0;
            foreach ($facets as $facet) {
                $lowest = $height($facet, $middle) < $height($lowest, $middle) - Tolerance::ROUNDING ? $facet : $lowest;
            }
            $last = array_pop($stretches);
            $goesOn = $last !== null && ($last[2] === $lowest || $to - $from < Tolerance::SAME);
            array_push($stretches, ...$last === null || $goesOn ? [] : [$last]);
            $stretches[] = [
                $goesOn ? $last[0] : new Vec2($from, $height($lowest, $from)),
                new Vec2($to, $height($goesOn ? $last[2] : $lowest, $to)),
                $goesOn ? $last[2] : $lowest,
            ];
        }

        assert($stretches !== []);

        return $stretches;
    }

    /**
     * A line with both of its ends carried on as they rise.
     *
     * @param  list<Vec2>  $points  two at the least
     * @return non-empty-list<Vec2>
     */
    public static function carriedOn(array $points, float $left, float $right): array
    {
        $on = static function (Vec2 $end, Vec2 $from, float $by): Vec2 {
            $way = $end->minus($from);

            // What is too short to tell how it rises goes on level.
            return $end->plus(abs($way->x) < $by ? new Vec2($way->x < 0.0 ? -$by : $by, 0.0) : $way->times($by / abs($way->x)));
        };
        $last = count($points) - 1;

        return [$on($points[0], $points[1], $left), ...array_slice($points, 1, -1), $on($points[$last], $points[$last - 1], $right)];
    }

    public function at(float $x): float
    {
        [$a, $b] = $this->stretch($x);

        return $a->y + self::rise([$a, $b]) * ($x - $a->x);
    }

    /** The slope that lies under a place. */
    public function facet(float $x): Facet
    {
        return $this->stretch($x)[2];
    }

    /** @return array{Vec2, Vec2, Facet} */
    private function stretch(float $x): array
    {
        foreach ($this->stretches as $stretch) {
            if ($x <= $stretch[1]->x) {
                return $stretch;
            }
        }

        return $this->stretches[count($this->stretches) - 1];
    }

    /** @return list<float> where it bends, and its ends */
    public function places(): array
    {
        return [$this->stretches[0][0]->x, ...array_map(static fn (array $s): float => $s[1]->x, $this->stretches)];
    }

    /** @return non-empty-list<Vec2> where it bends, and its ends */
    public function points(): array
    {
        return [$this->stretches[0][0], ...array_map(static fn (array $s): Vec2 => $s[1], $this->stretches)];
    }

    public function lowest(): float
    {
        return min(array_map(static fn (array $s): float => min($s[0]->y, $s[1]->y), $this->stretches));
    }

    public function highest(): float
    {
        return max(array_map(static fn (array $s): float => max($s[0]->y, $s[1]->y), $this->stretches));
    }

    /** @param  array{Vec2, Vec2, ...}  $stretch */
    private static function rise(array $stretch): float
    {
        return ($stretch[1]->y - $stretch[0]->y) / max(Tolerance::CUT, $stretch[1]->x - $stretch[0]->x);
    }

    /**
     * @param  list<Facet>  $facets
     * @return list<array{float, float, Facet}> from where to where each lies under the line
     */
    private static function found(array $facets, Profile $line): array
    {
        $found = [];
        foreach ($facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($line->inside($patch->outline) as [$a, $b]) {
                    $found[] = [$a, $b, $facet];
                }
            }
        }
        usort($found, static fn (array $p, array $q): int => $p[0] <=> $q[0]);

        return $found;
    }
}
