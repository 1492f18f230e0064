<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\Surface;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Recall\Recall;

/** What stands behind or over the gaps in the card of one surface, and closes them. */
final class Closing
{
    /** What closes a wall or a roof stands no further from its plane than so many times its thickness. */
    private const BEHIND = 2.0;

    /** A board behind a gap, or a paper over it, is looked for this far apart, mm. */
    private const STEP_MM = 0.5;

    private readonly Frame $frame;

    /** How steep the plane is: its card is so much less thick upright. */
    private readonly float $steep;

    /** @var ?list<Vec3> */
    private ?array $ways = null;

    /** @var list<Piece> those near the stretch in hand */
    private array $near = [];

    /** @param  list<Piece>  $pieces  boards and papers that come near the plane */
    public function __construct(private readonly Surface $surface, private readonly array $pieces)
    {
        $this->frame = $surface->frame();
        $this->steep = $surface->kind() === 'wall' ? 1.0 : $this->frame->normal->z;
    }

    /**
     * All that isClosed() may depend on for stretches in a part of space, in one word.
     *
     * @param  array{float, float, float, float, float, float}  $box  of the stretches: least and greatest x, y, z
     */
    public function key(array $box): string
    {
        $by = self::BEHIND * $this->surface->thickness() / $this->steep + 2.0 * Tolerance::COVER;
        $box = [$box[0] - $by, $box[1] + $by, $box[2] - $by, $box[3] + $by, $box[4] - $by, $box[5] + $by];
        $near = array_filter(
            $this->pieces,
            fn (Piece $p): bool => ($this->surface->kind() === 'wall' || ! $p->part->isPaper()) && $p->comesInto($box),
        );

        return Recall::question('', $this->ways(), array_map(
            static fn (Piece $p): array => [$p->part->isPaper(), array_map(static fn (Facet $f): ?array => $f->within($box), $p->facets)],
            array_values($near),
        ));
    }

    /** Whether a board right behind a stretch or a paper over it closes it from end to end. */
    public function isClosed(float $x, Interval $stretch): bool
    {
        $reach = $stretch->length() + 3.0 * $this->surface->thickness() / $this->steep;
        $middle = $this->frame->at(new Vec2($x, $stretch->middle()));
        $this->near = array_values(array_filter($this->pieces, static fn (Piece $p): bool => $p->isNearTo($middle, $reach)));
        // Its ends are looked at as near as card may differ unseen.
        $from = $stretch->from + min(Tolerance::COVER, $stretch->length() / 3.0);
        $length = $stretch->length() - 2.0 * ($from - $stretch->from);
        $steps = (int) ceil($length / self::STEP_MM);
        for ($k = 0; $k <= $steps; $k++) {
            if (! $this->isClosedAt(new Vec2($x, $from + $length * $k / $steps))) {
                return false;
            }
        }

        return true;
    }

    private function isClosedAt(Vec2 $at): bool
    {
        $start = $this->frame->at($at);
        $deep = $this->surface->thickness();
        if ($this->surface->kind() === 'wall') {
            // Card of a wall lies behind its outside, and paper on it.
            return $this->isHit($start, $this->frame->normal, [-self::BEHIND * $deep, -Tolerance::PLANE]) || $this->isPapered($start);
        }
        // What closes a roof lies over its underside, in the way of whoever looks in, or is the top of its wall.
        foreach ($this->ways() as $way) {
            if ($this->isHit($start, $way, [$way->z === 1.0 ? -$deep : 0.0, self::BEHIND * $deep / $this->steep])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Vec3> the ways from which a roof is looked at: from above, square to it, and square between it and those beside it */
    private function ways(): array
    {
        if ($this->ways === null) {
            $this->ways = [new Vec3(0.0, 0.0, 1.0), $this->frame->normal];
            foreach ($this->pieces as $piece) {
                $normal = $piece->frame->normal;
                $between = $this->frame->normal->plus($normal);
                if ($piece->part->group === 'roof' && $normal->z > Tolerance::PLANE && $between->length() < 2.0 - Tolerance::EDGE) {
                    $this->ways[] = $between->times(1.0 / $between->length());
                }
            }
        }

        return $this->ways;
    }

    /**
     * Whether there is card somewhere on the way from a place.
     *
     * @param  array{float, float}  $range  from and to, along the way
     */
    private function isHit(Vec3 $start, Vec3 $way, array $range): bool
    {
        $steps = (int) ceil(($range[1] - $range[0]) / self::STEP_MM) * 4;
        $from = $start->plus($way->times($range[0]));
        $step = $way->times(($range[1] - $range[0]) / $steps);
        foreach ($this->near as $piece) {
            foreach ($piece->part->isPaper() ? [] : $piece->facets as $facet) {
                [$first, $last] = self::between($facet, $from, $step, $steps);
                for ($k = $first; $k <= $last; $k++) {
                    if ($facet->holds($from->plus($step->times($k)), Tolerance::PLANE)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * The first and the last step that may lie between a card's two faces; the last before the first where none does.
     *
     * @return array{int, int}
     */
    private static function between(Facet $facet, Vec3 $from, Vec3 $step, int $steps): array
    {
        $high = $facet->frame->height($from);
        $climb = $facet->frame->normal->dot($step);
        $low = -$facet->thickness - Tolerance::PLANE;
        if (abs($climb) < Tolerance::ROUNDING) {
            return [0, $high > $low - Tolerance::EDGE && $high < Tolerance::PLANE + Tolerance::EDGE ? $steps : -1];
        }
        $ends = [(Tolerance::PLANE - $high) / $climb, ($low - $high) / $climb];

        return [(int) max(0.0, floor(min($ends))), (int) min($steps, ceil(max($ends)))];
    }

    private function isPapered(Vec3 $start): bool
    {
        $place = $start->plus($this->frame->normal->times(Tolerance::PLANE));
        foreach ($this->near as $piece) {
            foreach ($piece->part->isPaper() ? $piece->facets : [] as $facet) {
                if ($facet->holds($place, Tolerance::COVER)) {
                    return true;
                }
            }
        }

        return false;
    }
}
