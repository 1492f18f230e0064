<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** Measures how flat shapes overlap. */
final readonly class Clip
{
    /** A point beside an edge is taken so far from it: well within the distance at which two lines are told apart. */
    private const ASIDE = Tolerance::EDGE / 4.0;

    /**
     * The area that two regions share: by the edges of each that bound what both cover. docs/formulas.md#dry-fit
     *
     * @return float mm²
     */
    public static function sharedArea(Region $a, Region $b): float
    {
        // From their own middle: where they run along each other what is counted may not quite close.
        $from = $a->outline->bounds()->shared($b->outline->bounds())?->centre();
        if ($from === null) {
            return 0.0;
        }
        $shared = (self::bounding($a, $b, $from) + self::bounding($b, $a, $from, false)) / 2.0;

        // Where two arcs nearly run along each other by other chords, pieces between them may be counted twice.
        return min($shared, $a->area(), $b->area());
    }

    /**
     * How much of the segment from $a to $b lies in the region, its boundary included to within Tolerance::EDGE.
     *
     * @return float length, mm
     */
    public static function lengthInside(Vec2 $a, Vec2 $b, Region $region): float
    {
        return array_sum(
            array_map(static fn (array $stretch): float => $stretch[0]->distanceTo($stretch[1]), self::inside($a, $b, $region)),
        );
    }

    /**
     * Cuts a stretch to its parts inside a region or on the region's sides.
     *
     * @return list<array{Vec2, Vec2}>
     */
    public static function inside(Vec2 $a, Vec2 $b, Region $region): array
    {
        $index = $region->between(min($a->x, $b->x) - Tolerance::EDGE, max($a->x, $b->x) + Tolerance::EDGE);
        $along = $b->minus($a);
        $inside = [];
        $end = -1.0;
        foreach (self::cut($a, $b, $index) as $stretch) {
            $middle = $a->plus($along->times($stretch->middle()));
            if (! $index->contains($middle) && $index->nearest($middle, Tolerance::EDGE) > Tolerance::EDGE) {
                continue;
            }
            // Where it is cut only by what an edge would reach if it were longer, it goes on.
            $last = $stretch->from - $end <= Tolerance::SAME ? array_pop($inside) : null;
            $inside[] = [$last[0] ?? $a->plus($along->times($stretch->from)), $a->plus($along->times($stretch->to))];
            $end = $stretch->to;
        }

        return $inside;
    }

    /**
     * Twice the area that the edges of $one contribute to what it shares with $other: of each edge what has $other beside
     * it on the inner side. Where both run along each other they count once, for the first.
     */
    private static function bounding(Region $one, Region $other, Vec2 $from, bool $isFirst = true): float
    {
        $sum = 0.0;
        $index = $other->index();
        foreach ($one->rings() as $k => $ring) {
            // Outlines are gone round counter-clockwise and holes clockwise, so that what is inside lies on the left.
            $points = ($ring->signedArea() > 0.0) === ($k === 0) ? $ring->points : array_reverse($ring->points);
            $a = $points[count($points) - 1];
            foreach ($points as $b) {
                $along = $b->minus($a);
                $length = $along->length();
                foreach (self::cut($a, $b, $index) as $stretch) {
                    $middle = $a->plus($along->times($stretch->middle()));
                    // Edges that nearly run along each other are told apart by what lies well beside both.
                    $isAlong = $index->nearest($middle, Tolerance::EDGE) <= Tolerance::EDGE;
                    $aside = $isAlong ? 2.0 * Tolerance::EDGE : self::ASIDE;
                    $left = new Vec2($middle->x - $along->y / $length * $aside, $middle->y + $along->x / $length * $aside);
                    if (($isFirst || ! $isAlong) && $index->contains($left)) {
                        $start = $a->minus($from);
                        $sum += $start->plus($along->times($stretch->from))->cross($start->plus($along->times($stretch->to)));
                    }
                }
                $a = $b;
            }
        }

        return $sum;
    }

    /**
     * A segment cut wherever edges cross it or come alongside.
     *
     * @return list<Interval> stretches, in shares of its length
     */
    private static function cut(Vec2 $a, Vec2 $b, EdgeIndex $edges): array
    {
        $along = $b->minus($a);
        $square = $along->dot($along);
        if ($square <= Tolerance::SAME * Tolerance::SAME) {
            return [];
        }
        $cuts = [0.0, 1.0];
        $near = new Box2(
            min($a->x, $b->x) - Tolerance::EDGE,
            min($a->y, $b->y) - Tolerance::EDGE,
            max($a->x, $b->x) + Tolerance::EDGE,
            max($a->y, $b->y) + Tolerance::EDGE,
        );
        foreach ($edges->in($near) as [$x0, $y0, $x1, $y1]) {
            $ex = $x1 - $x0;
            $ey = $y1 - $y0;
            $cross = $along->x * $ey - $along->y * $ex;
            $at = abs($cross) > Tolerance::UNIT * sqrt($square * ($ex * $ex + $ey * $ey))
                ? [(($x0 - $a->x) * $ey - ($y0 - $a->y) * $ex) / $cross]
                : [
                    (($x0 - $a->x) * $along->x + ($y0 - $a->y) * $along->y) / $square,
                    (($x1 - $a->x) * $along->x + ($y1 - $a->y) * $along->y) / $square,
                ];
            foreach ($at as $s) {
                if ($s > 0.0 && $s < 1.0) {
                    $cuts[] = $s;
                }
            }
        }
        sort($cuts);
        $least = Tolerance::SAME / sqrt($square);
        $stretches = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i++) {
            if ($least < $cuts[$i] - $cuts[$i - 1]) {
                $stretches[] = new Interval($cuts[$i - 1], $cuts[$i]);
            }
        }

        return $stretches;
    }
}
