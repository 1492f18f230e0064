<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Where the card of each side of a chimney ends below: on the slope, by whichever of its faces comes to it first; or through that, down
 * between the walls, and over walls at the underside of the roof. docs/formulas.md#chimneys
 */
final readonly class Feet
{
    /** A leg of card that is narrower than this snaps off. */
    private const LEAST_LEG_MM = 3.0;

    /** @param  float  $before  how far its outside stands before the stack's sides, on the slope; 0 for the stack itself */
    public function __construct(private Stack $stack, private float $before = 0.0)
    {
    }

    /**
     * @param  float  $thickness  of the card, behind its outside
     * @return non-empty-list<Vec2> from left to right over a run of the side, y above the datum
     */
    public function of(int $side, Interval $run, float $thickness): array
    {
        $through = $this->stack->school() === 'through' && $this->before === 0.0;
        [$outer, $inner] = $this->lines($side, $thickness, ! $through);
        $deep = $through ? $this->stack->deep() : null;
        $xs = $this->places($side, $run, $thickness, [$outer, $inner]);
        $inside = $this->inside($side, $xs, $thickness);
        $feet = [];
        foreach (array_slice($xs, 1) as $i => $to) {
            $from = $xs[$i];
            $middle = ($from + $to) / 2.0;
            $isDeep = $deep !== null && array_filter($inside, static fn (Interval $in): bool => $in->contains($middle)) !== [];
            $slopes = [$outer->facet($middle), $inner->facet($middle)];
            foreach ([$from, $to] as $x) {
                $feet[] = new Vec2($x, $isDeep ? $deep : $this->highest($side, [$x, $thickness], $slopes, ! $through));
            }
        }

        return self::straightened($feet);
    }

    /**
     * How high the roof is at the most under the thickness of a card: at one of its faces, or where a ridge runs between them.
     *
     * @param  array{float, float}  $at  along the side, and how thick the card is
     * @param  array{Facet, Facet}  $slopes  under its outside and its inside
     */
    private function highest(int $side, array $at, array $slopes, bool $isTop): float
    {
        [$x, $thickness] = $at;
        $places = array_map(function (float $behind) use ($side, $x): Vec2 {
            [$from, $to] = $this->ends($side, $behind);

            return $from->plus($to->minus($from)->times($x / $from->distanceTo($to)));
        }, [0.0, $thickness]);
        $height = fn (int $slope, int $place): float => $this->stack->roof->height($slopes[$slope], $places[$place], $isTop);
        $most = max($height(0, 0), $height(1, 1));
        $apart = [$height(0, 0) - $height(1, 0), $height(0, 1) - $height(1, 1)];
        // Both slopes meet between the faces, in a ridge.
        if ($apart[0] < 0.0 && $apart[1] > 0.0) {
            $share = $apart[0] / ($apart[0] - $apart[1]);
            $most = max($most, $height(0, 0) + ($height(0, 1) - $height(0, 0)) * $share);
        }

        return $most;
    }

    /** @return array{FootLine, FootLine} under the outside and the inside of a card */
    private function lines(int $side, float $thickness, bool $isTop): array
    {
        [$from, $to] = $this->ends($side, 0.0);
        [$a, $b] = $this->ends($side, $thickness);
        $known = $this->before > 0.0 ? null : ($isTop ? $this->stack->tops : $this->stack->undersides)[$side];
        $outer = $known ?? FootLine::along($this->stack->roof, $from, $to, $isTop);
        $inner = FootLine::along($this->stack->roof, $a, $b, $isTop);
        assert($outer !== null);

        return [$outer, $inner ?? $outer];
    }

    /** @return array{Vec2, Vec2} of a line so far behind the outside of a side, in plan */
    private function ends(int $side, float $behind): array
    {
        $ring = $this->stack->ring($this->before);
        [$from, $to] = [$ring->point($side), $ring->point($side + 1)];
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));
        $in = (new Vec2(-$way->y, $way->x))->times($behind);

        return [$from->plus($in), $to->plus($in)];
    }

    /**
     * @param  array{FootLine, FootLine}  $lines
     * @return list<float> between which nothing bends, from left to right
     */
    private function places(int $side, Interval $run, float $thickness, array $lines): array
    {
        $all = [$run->from, $run->to, ...$lines[0]->places(), ...$lines[1]->places()];
        foreach ([0.0, $thickness] as $behind) {
            [$from, $to] = $this->ends($side, $behind);
            $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));
            foreach ((new Profile($from, $way, -INF, INF))->inside($this->stack->roof->inside) as [$a, $b]) {
                array_push($all, $a, $b);
            }
        }
        $xs = [];
        sort($all);
        foreach ($all as $x) {
            if ($x >= $run->from && $x <= $run->to && ($xs === [] || $x > $xs[count($xs) - 1] + Tolerance::SAME)) {
                $xs[] = $x;
            }
        }
        // Where one of both lines passes the other the higher one bends.
        $crossed = [];
        foreach (array_slice($xs, 1) as $i => $to) {
            $off = static fn (float $x): float => $lines[0]->at($x) - $lines[1]->at($x);
            [$a, $b] = [$off($xs[$i]), $off($to)];
            array_push($crossed, $xs[$i], ...$a * $b < 0.0 ? [$xs[$i] + ($to - $xs[$i]) * $a / ($a - $b)] : []);
        }

        return [...$crossed, $run->to];
    }

    /**
     * Where a card goes down between the walls, over more than what would snap off.
     *
     * @param  list<float>  $xs  between which nothing bends
     * @return list<Interval>
     */
    private function inside(int $side, array $xs, float $thickness): array
    {
        $inside = [];
        foreach (array_slice($xs, 1) as $i => $to) {
            $isInside = $this->isInside($side, ($xs[$i] + $to) / 2.0, $thickness);
            array_push($inside, ...$isInside ? [new Interval($xs[$i], $to)] : []);
        }

        return array_values(array_filter(
            Interval::joined($inside, Tolerance::SAME),
            static fn (Interval $one): bool => $one->length() >= self::LEAST_LEG_MM,
        ));
    }

    /** Whether a card goes down between the walls at a place of its side. */
    private function isInside(int $side, float $x, float $thickness): bool
    {
        foreach ([0.0, $thickness] as $behind) {
            [$from, $to] = $this->ends($side, $behind);
            $at = $from->plus($to->minus($from)->times($x / $from->distanceTo($to)));
            if (! $this->stack->roof->inside->contains($at)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Vec2>  $points
     * @return non-empty-list<Vec2> without those between which nothing bends
     */
    private static function straightened(array $points): array
    {
        $apart = [];
        foreach ($points as $p) {
            array_push($apart, ...$apart === [] || $apart[count($apart) - 1]->distanceTo($p) > Tolerance::SAME ? [$p] : []);
        }
        $left = [];
        foreach ($apart as $i => $p) {
            [$before, $next] = [$left[count($left) - 1] ?? null, $apart[$i + 1] ?? null];
            $isOn = $before !== null && $next !== null && abs($p->minus($before)->cross($next->minus($p))) < Tolerance::CUT
                && $p->minus($before)->dot($next->minus($p)) > 0.0;
            array_push($left, ...$isOn ? [] : [$p]);
        }
        assert($left !== []);

        return $left;
    }
}
