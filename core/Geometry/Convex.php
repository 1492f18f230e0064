<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** A convex solid: a piece of a plate of card, from its outside face to its inside face, or what a bevelled edge has beyond that. */
final class Convex
{
    /** @var array{float, float, float, float, float, float} least and greatest x, y, z */
    public readonly array $box;

    /** @var ?array{list<Vec3>, list<Vec3>} normals of its faces and directions of its edges, worked out when first asked for */
    private ?array $axes = null;

    /**
     * @param  non-empty-list<Vec3>  $corners
     * @param  ?Ring  $ring  of a slab; null of a wedge
     */
    private function __construct(
        public readonly array $corners,
        private readonly ?Ring $ring,
        private readonly Frame $frame,
    ) {
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        foreach ($corners as $p) {
            $low = [min($low[0], $p->x), min($low[1], $p->y), min($low[2], $p->z)];
            $high = [max($high[0], $p->x), max($high[1], $p->y), max($high[2], $p->z)];
        }
        $this->box = [$low[0], $high[0], $low[1], $high[1], $low[2], $high[2]];
    }

    /** The piece $ring of a plate in $frame, $thickness deep behind it. */
    public static function slab(Ring $ring, Frame $frame, float $thickness): self
    {
        $corners = [];
        foreach ($ring->points as $point) {
            $corners[] = $frame->at($point);
            $corners[] = $frame->at($point, -$thickness);
        }

        return new self($corners, $ring, $frame);
    }

    /** What stands upright over a shape of the plan, between two heights. */
    public static function prism(Ring $ring, float $low, float $high): self
    {
        return self::slab($ring, new Frame(new Vec3(0.0, 0.0, $high), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, 1.0, 0.0)), $high - $low);
    }

    /**
     * The triangular piece between three lines that run much alike, and its two ends.
     *
     * @param  array{Vec3, Vec3, Vec3, Vec3, Vec3, Vec3}  $corners  the ends of each line in turn
     * @param  Frame  $frame  of the plate
     */
    public static function wedge(array $corners, Frame $frame): self
    {
        return new self($corners, null, $frame);
    }

    /** @return array{list<Vec3>, list<Vec3>} */
    private function axes(): array
    {
        return $this->axes ??= $this->ring === null ? $this->axesOfWedge() : $this->axesOfSlab($this->ring);
    }

    /** @return array{list<Vec3>, list<Vec3>} */
    private function axesOfSlab(Ring $ring): array
    {
        $normals = $edges = [$this->frame->normal];
        foreach ($ring->points as $i => $point) {
            $along = $ring->point($i + 1)->minus($point);
            $length = $along->length();
            if ($length > Tolerance::SAME) {
                $direction = $this->frame->x->times($along->x / $length)->plus($this->frame->y->times($along->y / $length));
                $edges[] = $direction;
                $normals[] = $direction->cross($this->frame->normal);
            }
        }

        return [$normals, $edges];
    }

    /** @return array{list<Vec3>, list<Vec3>} */
    private function axesOfWedge(): array
    {
        [$a, $b, $c, $d, $e, $f] = $this->corners;
        $unit = static fn (Vec3 $v): ?Vec3 => $v->length() > Tolerance::SAME ? $v->times(1.0 / $v->length()) : null;
        $edges = array_values(
            array_filter(
                array_map(
                    $unit,
                    [
                        $b->minus($a), $d->minus($c), $f->minus($e), $c->minus($a), $e->minus($a), $e->minus($c),
                        $d->minus($b), $f->minus($b), $f->minus($d),
                    ],
                ),
            ),
        );
        $along = $b->minus($a);
        $normals = array_values(array_filter(array_map($unit, [
            $along->cross($c->minus($a)), $along->cross($e->minus($a)), $d->minus($c)->cross($e->minus($c)),
            $c->minus($a)->cross($e->minus($a)), $d->minus($b)->cross($f->minus($b)),
        ])));

        return [$normals, $edges];
    }

    /**
     * Whether its box and another go into each other by more than $by.
     *
     * @param  array{float, float, float, float, float, float}  $box
     */
    public function reaches(array $box, float $by): bool
    {
        $a = $this->box;

        return min($a[1], $box[1]) - max($a[0], $box[0]) > $by
            && min($a[3], $box[3]) - max($a[2], $box[2]) > $by
            && min($a[5], $box[5]) - max($a[4], $box[4]) > $by;
    }

    /** How deeply the two go into each other: the least way by which one could be moved out; 0 or less if apart. */
    public function depthIn(self $that, float $enough): float
    {
        $least = $this->boxDepth($that);
        if ($least <= $enough) {
            return $least;
        }
        [$normals, $edges] = $this->axes();
        [$otherNormals, $otherEdges] = $that->axes();
        foreach ([...$normals, ...$otherNormals] as $axis) {
            $least = min($least, $this->overlapAlong($that, $axis));
            if ($least <= $enough) {
                return $least;
            }
        }
        foreach ($edges as $p) {
            foreach ($otherEdges as $q) {
                $axis = $p->cross($q);
                $length = $axis->length();
                if ($length > 0.001) {
                    $least = min($least, $this->overlapAlong($that, $axis->times(1.0 / $length)));
                    if ($least <= $enough) {
                        return $least;
                    }
                }
            }
        }

        return $least;
    }

    /** How far the two are apart; negative by how deeply they go into each other: the least way by which one could be moved out. */
    public function distanceTo(self $that): float
    {
        $depth = $this->depthIn($that, 0.0);

        return $depth > 0.0 ? -$depth : Separation::between($this->corners, $that->corners);
    }

    /** No less than it is to another's box, and quickly told. */
    public function gapTo(self $that): float
    {
        $gap = static fn (float $a0, float $a1, float $b0, float $b1): float => max(0.0, $b0 - $a1, $a0 - $b1);
        [$a, $b] = [$this->box, $that->box];

        return hypot(hypot($gap($a[0], $a[1], $b[0], $b[1]), $gap($a[2], $a[3], $b[2], $b[3])), $gap($a[4], $a[5], $b[4], $b[5]));
    }

    /**
     * The corners in plan, and more places, of what of it lies between two heights; none where nothing does.
     *
     * @return list<Vec2>
     */
    public function between(float $low, float $high): array
    {
        $found = [];
        foreach ($this->box[4] < $high && $this->box[5] > $low ? $this->corners : [] as $i => $p) {
            if ($p->z >= $low && $p->z <= $high) {
                $found[] = new Vec2($p->x, $p->y);
            }
            // Where a line between two corners passes a height lies in the solid, and all corners of the cut are among these.
            foreach (array_slice($this->corners, $i + 1) as $q) {
                foreach ([$low, $high] as $z) {
                    if (($p->z < $z && $q->z > $z) || ($p->z > $z && $q->z < $z)) {
                        $share = ($z - $p->z) / ($q->z - $p->z);
                        $found[] = new Vec2($p->x + ($q->x - $p->x) * $share, $p->y + ($q->y - $p->y) * $share);
                    }
                }
            }
        }

        return $found;
    }

    private function boxDepth(self $that): float
    {
        $a = $this->box;
        $b = $that->box;

        return min(
            min($a[1], $b[1]) - max($a[0], $b[0]),
            min($a[3], $b[3]) - max($a[2], $b[2]),
            min($a[5], $b[5]) - max($a[4], $b[4]),
        );
    }

    private function overlapAlong(self $that, Vec3 $axis): float
    {
        [$low, $high] = self::extent($this->corners, $axis);
        [$otherLow, $otherHigh] = self::extent($that->corners, $axis);

        return min($high - $otherLow, $otherHigh - $low);
    }

    /**
     * @param  list<Vec3>  $corners
     * @return array{float, float}
     */
    private static function extent(array $corners, Vec3 $axis): array
    {
        $low = INF;
        $high = -INF;
        foreach ($corners as $p) {
            $at = $p->x * $axis->x + $p->y * $axis->y + $p->z * $axis->z;
            $low = min($low, $at);
            $high = max($high, $at);
        }

        return [$low, $high];
    }
}
