<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * What other blocks take of a wall, the roofs on which it stands there, and how far it runs past their walls. docs/formulas.md#wall-
 * section
 */
final readonly class OtherBlocks
{
    private const BESIDE_MM = 0.002;

    private const HIGH_MM = 100_000.0;

    /** Before a corner past which a wall runs it is longer than this, mm. */
    private const LEAST_MM = 0.05;

    /**
     * @param  bool  $yields  it is not built above the blocks it stands against either
     * @param  callable(Facet): float  $above  how high above the underside, upright, a roof's top lies
     * @param  array<string, float>  $past  how far it runs past the walls of other blocks that it crosses, by block and edge
     */
    public function __construct(
        private Solid $own,
        private Vec2 $corner,
        private Vec2 $along,
        private float $length,
        private bool $yields,
        private mixed $above,
        private float $foot,
        private array $past,
    ) {
    }

    /**
     * @param  array{Profile, Profile}  $over  what lies over a depth, and the depth at which heights are taken
     * @param  list<Line>  $lines
     * @param  array{float, float}  $ends  of the card
     * @return list<Taken>
     */
    public function in(array $over, Solid $solid, array &$lines, array $ends): array
    {
        $taken = [];
        foreach ($over[0]->inside($solid->ring) as [$a, $b, $i, $j]) {
            // Of walls in one plane the earlier block's is built, as far up as its roof.
            if ($b < 0.0 || $a > $this->length || ($this->own->index < $solid->index && $this->isFlush($solid, $a, $b))) {
                continue;
            }
            // What stands before another block is whole, though its card may reach into that one's room.
            if (! $this->isInside($solid, [$a, $b])) {
                continue;
            }
            // A block beside a corner that is not square ends where this card's square end does, to within how profiles are looked at.
            foreach ($ends as $x) {
                [$a, $b] = [abs($a - $x) < self::BESIDE_MM ? $x : $a, abs($b - $x) < self::BESIDE_MM ? $x : $b];
            }
            $top = $this->top($over, $solid, [$a, $b], $lines);
            foreach ([[$a, $i], [$b, $j]] as [$x, $edge]) {
                if ($edge !== null) {
                    // It stands against the other's wall as far up as that goes.
                    $high = $solid->wallTop($edge, $over[0]->at($x)) - $this->own->base;
                    $lines[] = self::upright($x, $this->foot - 1.0, $high, Side::wall($solid->index, $edge));
                    $lines[] = self::upright($x, $high, self::HIGH_MM, SideKind::Open->value);
                }
            }
            $low = null;
            if ($solid->base > $this->own->base) {
                $height = $solid->base - $this->own->base;
                $lines[] = new Line(new Vec2($a, $height), new Vec2($b, $height), Side::under($solid->index));
                $low = [[$a, $b, $height, $height]];
            }
            // What of it runs past a corner ends under the other's roof.
            $past = [
                $a > $ends[0] + self::LEAST_MM ? $this->past($solid, $i) : 0.0,
                $b < $ends[1] - self::LEAST_MM ? $this->past($solid, $j) : 0.0,
            ];
            $past = $b - $a > $past[0] + $past[1] ? $past : [0.0, 0.0];
            foreach ([[$a, $a + $past[0], $a + $past[0], $i], [$b - $past[1], $b, $b - $past[1], $j]] as [$from, $to, $x, $edge]) {
                if ($edge !== null && $to > $from) {
                    $lines[] = self::upright($x, $this->foot - 1.0, self::HIGH_MM, Side::past($solid->index, $edge));
                    $taken[] = new Taken($from, $to, $this->room($over, $solid, [$from, $to], $lines), $top);
                }
            }
            $taken[] = new Taken($a + $past[0], $b - $past[1], $low, $top);
        }

        return $taken;
    }

    /**
     * Whether a wall's outside lies in a block too, somewhere along a stretch in which its card does.
     *
     * @param  array{float, float}  $stretch
     */
    private function isInside(Solid $solid, array $stretch): bool
    {
        $face = new Profile($this->corner, $this->along, -self::HIGH_MM, self::HIGH_MM);
        foreach ($face->inside($solid->ring) as [$a, $b]) {
            if ($a < $stretch[1] && $b > $stretch[0]) {
                return true;
            }
        }

        return false;
    }

    private function past(Solid $solid, ?int $edge): float
    {
        return $edge === null ? 0.0 : ($this->past["$solid->index:$edge"] ?? 0.0);
    }

    private static function upright(float $x, float $from, float $to, string $label): Line
    {
        return new Line(new Vec2($x, $from), new Vec2($x, $to), $label);
    }

    /**
     * Up to where a block takes the wall: the top of its roof's card.
     *
     * @param  array{Profile, Profile}  $over
     * @param  array{float, float}  $stretch
     * @param  list<Line>  $lines
     * @return list<array{float, float, float, float}> from, to, and the heights there above the wall's base
     */
    private function top(array $over, Solid $solid, array $stretch, array &$lines): array
    {
        [$a, $b] = $stretch;
        if ($this->yields) {
            return [[$a, $b, self::HIGH_MM, self::HIGH_MM]];
        }
        if ($solid->hasParapet || $solid->roof->facets === []) {
            $eaves = $solid->eaves - $this->own->base;
            $lines[] = new Line(new Vec2($a, $eaves), new Vec2($b, $eaves), Side::under($solid->index));

            return [[$a, $b, $eaves, $eaves]];
        }

        return $this->slopes($over, $solid, $stretch, fn (Facet $facet): float => ($this->above)($facet), Side::on(...), $lines);
    }

    /**
     * Up to where there is room inside a block: the underside of its roof.
     *
     * @param  array{Profile, Profile}  $over
     * @param  array{float, float}  $stretch
     * @param  list<Line>  $lines
     * @return list<array{float, float, float, float}>
     */
    private function room(array $over, Solid $solid, array $stretch, array &$lines): array
    {
        [$a, $b] = $stretch;
        if ($solid->hasParapet || $solid->roof->facets === []) {
            $eaves = $solid->eaves - $this->own->base;

            return [[$a, $b, $eaves, $eaves]];
        }

        return $this->slopes($over, $solid, $stretch, static fn (Facet $facet): float => 0.0, Side::plane(...), $lines);
    }

    /**
     * @param  array{Profile, Profile}  $over
     * @param  array{float, float}  $stretch
     * @param  callable(Facet): float  $above  its underside
     * @param  callable(PlaneId): string  $label
     * @param  list<Line>  $lines
     * @return list<array{float, float, float, float}>
     */
    private function slopes(array $over, Solid $solid, array $stretch, callable $above, callable $label, array &$lines): array
    {
        $facets = $over[0]->facets($solid->roof);
        $slopes = [];
        foreach ($facets as [$from, $to, $facet]) {
            $rise = $above($facet) - $this->own->base;
            $at = RoofLine::over($over, $solid->roof, $facet);
            $slopes[] = [$from, $to, $facet->heightAt($at->at($from)) + $rise, $facet->heightAt($at->at($to)) + $rise];
        }
        $top = [];
        foreach (RoofLine::meeting($slopes) as $i => [$from, $to, $left, $right]) {
            $steep = $to - $from < Tolerance::ROUNDING ? 0.0 : ($right - $left) / ($to - $from);
            [$a, $b] = [max($stretch[0], $from), min($stretch[1], $to)];
            if ($b > $a) {
                $top[] = [$a, $b, $left + $steep * ($a - $from), $left + $steep * ($b - $from)];
                [, , $left, $right] = end($top);
                $lines[] = new Line(new Vec2($a, $left), new Vec2($b, $right), $label($facets[$i][2]->id()));
            }
        }

        return $top;
    }

    /** Whether a block has a wall in this one's plane, looking the same way, all along a stretch. */
    private function isFlush(Solid $solid, float $from, float $to): bool
    {
        foreach (array_keys($solid->ring->points) as $edge) {
            [$p, $q] = [$solid->ring->point($edge)->minus($this->corner), $solid->ring->point($edge + 1)->minus($this->corner)];
            if (
                max(abs($this->along->cross($p)), abs($this->along->cross($q))) < Tolerance::PLANE
                && $this->along->dot($p) < $from + Tolerance::PLANE
                && $this->along->dot($q) > $to - Tolerance::PLANE
            ) {
                return true;
            }
        }

        return false;
    }
}
