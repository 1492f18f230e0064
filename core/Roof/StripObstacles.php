<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Claims\Standing;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Part;
use Chartula\Core\Shell\Walls;

/**
 * What of other blocks stands on a slope where a strip would lie: walls, and the edges of roofs. Model millimetres.
 * docs/formulas.md#ridge-strip
 */
final readonly class StripObstacles
{
    /** What lies this little above a slope lies on it. */
    private const LEAST_MM = 0.02;

    /** A fold shorter than this is none. */
    private const SHORTEST_MM = 1.0;

    /** @param  float  $clear  what a strip keeps free, sideways and above */
    public function __construct(
        private Panels $panels,
        private Walls $walls,
        private float $clear,
    ) {
    }

    /**
     * A half strip clear of all of them: of each it loses as little as it can.
     *
     * @param  Frame  $line  x along the line that the strip covers, y into the panel, on whose top it lies
     * @param  list<Vec2>  $half
     * @return list<Vec2>
     */
    public function clear(int $block, Frame $line, array $half): array
    {
        foreach (count($this->walls->form->blocks) > 1 ? $this->beside($block, $line) : [] as $obstacle) {
            $half = count($half) > 2 ? $this->without($half, $obstacle) : $half;
        }

        return $half;
    }

    /**
     * From where to where something that stands on a slope is in the way of a strip's half, with what that keeps free; null where it is
     * not.
     *
     * @param  Frame  $line  x along the line that the strip covers, y into the slope, on whose top it lies
     */
    public function standing(Standing $standing, Facet $facet, Frame $line, float $leg): ?Interval
    {
        $over = $this->panels->stack->thickness_mm / max(Tolerance::NOTHING, $facet->frame->normal->z);
        $at = static function (Vec2 $p) use ($facet, $line, $over): Vec2 {
            return $line->project($facet->lifted($p)->plus(new Vec3(0.0, 0.0, $over)));
        };
        $on = StripHalf::clipped(array_map($at, $standing->ring->points), 0.0, 1.0, $this->clear);
        $on = StripHalf::clipped($on, 0.0, -1.0, $leg + $this->clear);
        $along = array_map(static fn (Vec2 $p): float => $p->x, $on);

        return $along === [] ? null : new Interval(min($along) - $this->clear, max($along) + $this->clear);
    }

    /** @return list<Hull> in the line's own axes */
    private function beside(int $block, Frame $line): array
    {
        $obstacles = [];
        foreach ($this->walls->spans() as $span) {
            foreach ($span->form->block === $block ? [] : array_keys($span->stack->layers) as $k) {
                foreach ($this->walls->pieces($span, $k) as $piece) {
                    $part = $piece->part;
                    $obstacles[] = $this->low($line, [
                        self::placed($part, $part->outline->face('outside'), 0.0),
                        self::placed($part, $part->outline->face('inside'), -$part->thickness),
                    ]);
                }
            }
        }
        foreach ($this->panels->all() as $panel) {
            foreach ($panel->facet->block === $block ? [] : self::rims($panel) as [$outside, $inside]) {
                $n = count($outside);
                foreach (array_keys($outside) as $i) {
                    $next = ($i + 1) % $n;
                    $obstacles[] = $this->low($line, [[$outside[$i], $outside[$next], $inside[$next], $inside[$i]]]);
                }
            }
        }

        return array_values(array_filter($obstacles, static fn (?Hull $hull): bool => $hull !== null));
    }

    /** @return list<array{non-empty-list<Vec3>, non-empty-list<Vec3>}> the outline and the holes of a panel, on either face */
    private static function rims(RoofPanel $panel): array
    {
        $part = $panel->part;
        $rims = [
            [$part->outline->face('outside'), $part->outline->face('inside')],
            ...array_map(static fn (Ring $h): array => [$h, $h], $part->holes),
        ];

        return array_map(
            static fn (array $rim): array => [self::placed($part, $rim[0], 0.0), self::placed($part, $rim[1], -$part->thickness)],
            $rims,
        );
    }

    /** @return non-empty-list<Vec3> */
    private static function placed(Part $part, Ring $ring, float $out): array
    {
        return array_map(static fn (Vec2 $p): Vec3 => $part->placements[0]->at($p, $out), $ring->points);
    }

    /**
     * What of some faces lies no higher above a slope than a strip and what it keeps free.
     *
     * @param  list<non-empty-list<Vec3>>  $faces
     */
    private function low(Frame $line, array $faces): ?Hull
    {
        $points = [];
        foreach ($faces as $face) {
            $n = count($face);
            $heights = array_map($line->height(...), $face);
            if (max($heights) < self::LEAST_MM || min($heights) > $this->clear) {
                continue;
            }
            foreach ($face as $i => $p) {
                [$q, $from, $to] = [$face[($i + 1) % $n], $heights[$i], $heights[($i + 1) % $n]];
                if ($from >= self::LEAST_MM && $from <= $this->clear) {
                    $points[] = $line->project($p);
                }
                foreach ([self::LEAST_MM, $this->clear] as $level) {
                    if (($from < $level) !== ($to < $level)) {
                        $points[] = $line->project($p->plus($q->minus($p)->times(($level - $from) / ($to - $from))));
                    }
                }
            }
        }

        return $points === [] ? null : Hull::around($points);
    }

    /**
     * @param  non-empty-list<Vec2>  $half
     * @return list<Vec2> the greatest part of it on the far side of one of the obstacle's sides
     */
    private function without(array $half, Hull $obstacle): array
    {
        $inside = $half;
        $best = [];
        $most = 0.0;
        foreach (self::sides($obstacle) as [$from, $out]) {
            $c = -$out->dot($from);
            $inside = StripHalf::clipped($inside, -$out->x, -$out->y, -$c + $this->clear - Tolerance::MEET);
            $outside = StripHalf::clipped($half, $out->x, $out->y, $c - $this->clear);
            $area = self::fold($outside) < self::SHORTEST_MM ? 0.0 : (new Ring($outside === [] ? [$from] : $outside))->area();
            [$best, $most] = $area > $most ? [$outside, $area] : [$best, $most];
        }

        return count($inside) < 3 || (new Ring($inside))->area() < Tolerance::MEET ? $half : $best;
    }

    /** @return list<array{Vec2, Vec2}> a point of each side and the way out over it, also of what is as thin as a line or a point */
    private static function sides(Hull $hull): array
    {
        $points = $hull->points;
        $sides = [];
        foreach ($points as $i => $p) {
            $along = $points[($i + 1) % count($points)]->minus($p);
            if ($along->length() > Tolerance::CUT) {
                $along = $along->times(1.0 / $along->length());
                $sides[] = [$p, new Vec2($along->y, -$along->x)];
            }
        }
        $box = $hull->bounds();
        array_push(
            $sides,
            [new Vec2($box->x0, $box->y0), new Vec2(-1.0, 0.0)],
            [new Vec2($box->x1, $box->y0), new Vec2(1.0, 0.0)],
            [new Vec2($box->x0, $box->y0), new Vec2(0.0, -1.0)],
        );

        return $sides;
    }

    /**
     * How much of a half lies along its fold.
     *
     * @param  list<Vec2>  $half
     */
    private static function fold(array $half): float
    {
        [$from, $to] = self::foldOf($half) ?? [0.0, 0.0];

        return $to - $from;
    }

    /**
     * From where to where a half lies along its fold.
     *
     * @param  list<Vec2>  $half
     * @return ?array{float, float}
     */
    public static function foldOf(array $half): ?array
    {
        $along = array_map(
            static fn (Vec2 $p): float => $p->x,
            array_filter($half, static fn (Vec2 $p): bool => abs($p->y) < Tolerance::SAME),
        );

        return count($along) < 2 ? null : [min($along), max($along)];
    }
}
