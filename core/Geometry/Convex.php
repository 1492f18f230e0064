<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A convex slab of card: a convex piece of a plate, from the plate's outside face to its inside face. */
final class Convex
{
    /** @var array{float, float, float, float, float, float} least and greatest x, y, z */
    public readonly array $box;

    /** @var list<Vec3> */
    private array $corners = [];

    /** @var ?array{list<Vec3>, list<Vec3>} normals of its faces and directions of its edges, worked out when first asked for */
    private ?array $axes = null;

    private function __construct(
        private readonly Ring $ring,
        private readonly Frame $frame,
        float $thickness,
    ) {
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        foreach ($ring->points as $point) {
            foreach ([0.0, -$thickness] as $out) {
                $p = $frame->at($point, $out);
                $this->corners[] = $p;
                $low = [min($low[0], $p->x), min($low[1], $p->y), min($low[2], $p->z)];
                $high = [max($high[0], $p->x), max($high[1], $p->y), max($high[2], $p->z)];
            }
        }
        $this->box = [$low[0], $high[0], $low[1], $high[1], $low[2], $high[2]];
    }

    /** The piece $ring of a plate in $frame, $thickness deep behind it. */
    public static function slab(Ring $ring, Frame $frame, float $thickness): self
    {
        return new self($ring, $frame, $thickness);
    }

    /** @return array{list<Vec3>, list<Vec3>} */
    private function axes(): array
    {
        if ($this->axes === null) {
            $normals = $edges = [$this->frame->normal];
            foreach ($this->ring->points as $i => $point) {
                $along = $this->ring->point($i + 1)->minus($point);
                $length = $along->length();
                if ($length > Tolerance::SAME) {
                    $direction = $this->frame->x->times($along->x / $length)->plus($this->frame->y->times($along->y / $length));
                    $edges[] = $direction;
                    $normals[] = $direction->cross($this->frame->normal);
                }
            }
            $this->axes = [$normals, $edges];
        }

        return $this->axes;
    }

    /**
     * Whether its box and another go into each other by more than $by.
     *
     * @param  array{float, float, float, float, float, float}  $box
     */
    public function reaches(array $box, float $by): bool
    {
        $a = $this->box;

        return min($a[1], $box[1]) - max($a[0], $box[0]) > $by && min($a[3], $box[3]) - max($a[2], $box[2]) > $by && min($a[5], $box[5]) - max($a[4], $box[4]) > $by;
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
