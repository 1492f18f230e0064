<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/**
 * Cuts a wall to the part that is built, between two depths behind its outside: up to its own roof, outside other blocks, and
 * standing on the roofs out of which it comes. Card that is cut square keeps only what holds at both depths; card that may be
 * bevelled goes up or down to slopes as its outer face does. docs/formulas.md#wall-section
 *
 * Sides are labelled `foot`, `left`, `right`, `top` (level at the eaves), `rim` (the same with no roof on it),
 * `plane:B:E:L` (under that plane), `on:B:E:L` (on top of it), `wall:B:E` (against that wall), `party:B:E` (beside a stretch that
 * is that wall's), `past:B:E` (past that wall, at an inner corner), `under:B` (below a block that begins higher up), `atop:B:E` (on top
 * of that wall round its corner), `open` (free).
 */
final readonly class WallSection
{
    private const HIGH_MM = 100_000.0;

    private const LEAST_MM2 = 0.01;

    /** What is narrower is no wall: nobody could cut it. */
    private const LEAST_WIDTH_MM = 0.005;

    /**
     * @param  list<Solid>  $solids
     * @param  list<array{float, float, string}>  $party  stretches where another block's wall stands in its place, and which
     * @param  ?array{float, float}  $eaves  how high it is cut square under a slope, at its left and its right end above its base; null
     *     where it is cut to its roof
     * @param  bool  $yields  it is not built above the blocks it stands against either
     * @param  bool  $recedes  it is built in perspective, so that eaves are not level
     * @param  array<string, float>  $past  how far it runs past the walls of other blocks that it crosses, by block and edge
     * @param  string  $key  of all of these, for what is recalled
     * @param  callable(Facet): float  $above  how high above the underside, upright, a roof's top lies
     */
    public function __construct(
        private array $solids,
        private Solid $own,
        private Vec2 $corner,
        private Vec2 $along,
        private float $length,
        private array $party,
        private ?array $eaves,
        private bool $yields,
        private mixed $above,
        private float $foot,
        private bool $recedes,
        private array $past,
        private Recall $recall,
        private string $key,
    ) {
    }

    /** @return list<Patch> what of a card is cut, in the wall's frame, from left to right */
    public function patches(CardSlice $slice): array
    {
        return $this->recall->of($this->key.$slice->key(), fn (): array => array_map(self::plain(...), $this->cut($slice)));
    }

    /** A patch without sides that nobody could cut. */
    private static function plain(Patch $patch): Patch
    {
        $points = $patch->outline->points;
        $labels = $patch->labels;
        foreach (array_keys($points) as $i) {
            if (count($points) > 3 && $patch->outline->edgeLength($i) < Tolerance::MEET) {
                unset($points[$i], $labels[$i]);
            }
        }
        [$points, $labels] = [array_values($points), array_values($labels)];
        assert($points !== [] && $labels !== []);

        return count($points) === $patch->outline->count()
            ? $patch
            : new Patch(new Ring($points), $labels, $patch->holes, $patch->holeLabels);
    }

    /** @return list<Patch> */
    private function cut(CardSlice $slice): array
    {
        [$outer, $inner] = [$slice->outer, $slice->inner];
        $lines = $this->ends($slice);
        $tops = $under = [];
        $blocked = [];
        $others = new OtherBlocks(
            $this->own,
            $this->corner,
            $this->along,
            $this->length,
            $this->yields,
            $this->above,
            $this->foot,
            $this->past,
        );
        foreach ($outer === $inner ? [$outer] : [$outer, $inner] as $k => $depth) {
            $profile = $this->profile($depth, $k === 0 ? 1.0 : -1.0);
            $high = $slice->isBevelled ? $this->profile($outer, 1.0) : $profile;
            $over = [$profile, $high];
            $tops[] = $this->top($over, $lines);
            if ($k > 0 && $this->mayDip()) {
                $under[] = RoofLine::under([$profile, $profile], $this->own, $lines);
            }
            foreach ($this->solids as $solid) {
                if ($solid->index !== $this->own->index) {
                    array_push($blocked, ...$others->in($over, $solid, $lines, $slice->ends));
                }
            }
        }
        foreach ($this->party as [$a, $b, $label]) {
            $lines[] = new Line(new Vec2($a, $this->foot - 1.0), new Vec2($a, self::HIGH_MM), $label);
            $lines[] = new Line(new Vec2($b, $this->foot - 1.0), new Vec2($b, self::HIGH_MM), $label);
        }
        $patches = array_filter(Overlay::patches($lines, function (Vec2 $p) use ($slice, $tops, $under, $blocked): bool {
            [[$start, $end], $behind] = [$slice->ends, $slice->behind];
            if ($p->y < $this->foot || $p->x < $start || $p->x > $end || $this->isParty($p->x) || self::isTaken($slice, $p)) {
                return false;
            }
            foreach ($tops as $top) {
                if ($p->y > RoofLine::height($top, $p->x)) {
                    return false;
                }
            }
            foreach ($p->x > $behind[0] && $p->x < $behind[1] ? $under : [] as $top) {
                $roof = RoofLine::height($top, $p->x);
                if ($p->y > $roof && $roof > -INF) {
                    return false;
                }
            }
            foreach ($blocked as $taken) {
                if ($taken->holds($p)) {
                    return false;
                }
            }

            return true;
        }), self::isWide(...));
        usort(
            $patches,
            static fn (Patch $a, Patch $b): int =>
                [$a->outline->bounds()->x0, $a->outline->bounds()->y0] <=> [$b->outline->bounds()->x0, $b->outline->bounds()->y0],
        );

        return $patches;
    }

    private static function isWide(Patch $patch): bool
    {
        return $patch->area() > max(self::LEAST_MM2, self::LEAST_WIDTH_MM * $patch->outline->perimeter() / 2.0);
    }

    /**
     * Its own ends, before what may stand beside them.
     *
     * @return list<Line>
     */
    private function ends(CardSlice $slice): array
    {
        [$start, $end] = $slice->ends;
        $lines = [new Line(new Vec2($start, $this->foot), new Vec2($end, $this->foot), 'foot')];
        $takes = ['left' => false, 'right' => false];
        foreach ($slice->corners as $corner) {
            [$from, $to] = [$slice->filled($corner, $corner->from), $slice->filled($corner, $corner->to)];
            $side = $corner->isLeft ? 'left' : 'right';
            $at = $corner->isLeft ? $corner->to : $corner->from;
            $takes[$side] = true;
            $lines[] = new Line(new Vec2($corner->from, $from), new Vec2($corner->to, $to), Side::atop($corner->wall));
            $lines[] = new Line(new Vec2($at, $this->foot - 1.0), new Vec2($at, $corner->isLeft ? $to : $from), $side);
        }
        foreach (['right' => $end, 'left' => $start] as $side => $x) {
            $label = $takes[$side] ? SideKind::Open->value : $side;
            $lines[] = new Line(new Vec2($x, $this->foot - 1.0), new Vec2($x, self::HIGH_MM), $label);
        }

        return $lines;
    }

    private static function isTaken(CardSlice $slice, Vec2 $at): bool
    {
        foreach ($slice->corners as $corner) {
            if ($at->x > $corner->from && $at->x < $corner->to && $at->y < $slice->filled($corner, $at->x)) {
                return true;
            }
        }

        return false;
    }

    /** @return ?array{float, float} how high it is cut square under a slope, at either end; null where it is cut to its roof */
    public function eaves(): ?array
    {
        return $this->eaves;
    }

    /** @return non-empty-list<Vec2> its own top at a depth, from left to right */
    public function topLine(float $depth): array
    {
        $lines = [];
        $points = [];
        $profile = $this->profile($depth, 1.0);
        foreach ($this->top([$profile, $profile], $lines) as [$a, $b, $ya, $yb]) {
            foreach ($a <= $this->length && $b >= 0.0 ? [$a, $b] : [] as $x) {
                $x = max(0.0, min($this->length, $x));
                $y = $b - $a < Tolerance::ROUNDING ? $ya : $ya + ($yb - $ya) * ($x - $a) / ($b - $a);
                if ($points === [] || abs(end($points)->x - $x) > Tolerance::ROUNDING || abs(end($points)->y - $y) > Tolerance::FIGURE) {
                    $points[] = new Vec2($x, $y);
                }
            }
        }

        return $points === [] ? [new Vec2(0.0, $this->own->eaves - $this->own->base)] : $points;
    }

    /** @return list<array{float, float, string}> */
    public function party(): array
    {
        return $this->party;
    }

    private function isParty(float $x): bool
    {
        foreach ($this->party as [$a, $b]) {
            if ($x > $a && $x < $b) {
                return true;
            }
        }

        return false;
    }

    private function profile(float $depth, float $side): Profile
    {
        return new Profile(
            $this->corner->plus((new Vec2(-$this->along->y, $this->along->x))->times($depth)),
            $this->along,
            -self::HIGH_MM,
            self::HIGH_MM,
            $side,
        );
    }

    /** Where eaves recede, the roof round the corner may lie lower behind a wall's outside than over it. */
    private function mayDip(): bool
    {
        return $this->eaves !== null && $this->recedes;
    }

    /**
     * @param  array{Profile, Profile}  $over  what lies over a depth, and the depth at which heights are taken
     * @param  list<Line>  $lines
     * @return list<array{float, float, float, float}> from, to, and the heights there above the foot
     */
    private function top(array $over, array &$lines): array
    {
        if ($this->eaves !== null) {
            [$left, $right] = $this->eaves;
            $rise = ($right - $left) / $this->length;
            $at = static fn (float $x): float => $left + $rise * $x;
            $facets = $this->own->roof->facets;
            $label = match (true) {
                $facets === [] || $this->own->hasParapet => 'rim',
                $facets[0]->name === 'deck' => Side::plane(new PlaneId($this->own->index, 0)),
                default => 'top',
            };
            $lines[] = new Line(
                new Vec2(-$this->length, $at(-$this->length)),
                new Vec2(2.0 * $this->length, $at(2.0 * $this->length)),
                $label,
            );

            return [[-self::HIGH_MM, self::HIGH_MM, $at(-self::HIGH_MM), $at(self::HIGH_MM)]];
        }

        // Behind an oblique corner a roof begins a little after its wall does, whose top runs on.
        return RoofLine::under($over, $this->own, $lines);
    }
}
