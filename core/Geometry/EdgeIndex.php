<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/**
 * The edges of a region by where they stand along x, so that a question about a place looks only at the edges near it. A
 * wall with fifty windows has two thousand edges; of them twenty are near any place.
 */
final readonly class EdgeIndex
{
    /** @var list<array{float, float, float, float}> from x, y to x, y */
    private array $edges;

    private Bins $bins;

    /**
     * @param  non-empty-list<Ring>  $rings
     * @param  float  $from  what does not reach between these two places along x is left out, and never asked for
     */
    public function __construct(array $rings, float $from = -INF, float $to = INF)
    {
        $edges = $reaches = [];
        foreach ($rings as $ring) {
            $a = $ring->points[count($ring->points) - 1];
            foreach ($ring->points as $b) {
                [$low, $high] = $a->x < $b->x ? [$a->x, $b->x] : [$b->x, $a->x];
                if ($low <= $to && $high >= $from) {
                    $edges[] = [$a->x, $a->y, $b->x, $b->y];
                    $reaches[] = [$low, $high];
                }
                $a = $b;
            }
        }
        $this->edges = $edges;
        $this->bins = new Bins($reaches);
    }

    /** How far a place lies from the nearest edge; INF where that is more than $within. */
    public function nearest(Vec2 $point, float $within): float
    {
        $least = $within * $within;
        $found = false;
        foreach ($this->bins->between($point->x - $within, $point->x + $within) as $i) {
            [$x0, $y0, $x1, $y1] = $this->edges[$i];
            if (($y0 < $y1 ? $y0 : $y1) - $point->y > $within || $point->y - ($y0 > $y1 ? $y0 : $y1) > $within) {
                continue;
            }
            $dx = $x1 - $x0;
            $dy = $y1 - $y0;
            $px = $point->x - $x0;
            $py = $point->y - $y0;
            $square = $dx * $dx + $dy * $dy;
            $at = $square > 0.0 ? max(0.0, min(1.0, ($px * $dx + $py * $dy) / $square)) : 0.0;
            $px -= $at * $dx;
            $py -= $at * $dy;
            $off = $px * $px + $py * $py;
            if ($off <= $least) {
                $least = $off;
                $found = true;
            }
        }

        return $found ? sqrt($least) : INF;
    }

    /** Whether a place lies inside: by how many edges are met going straight up from it. */
    public function contains(Vec2 $point): bool
    {
        $inside = false;
        foreach ($this->bins->between($point->x, $point->x) as $i) {
            [$x0, $y0, $x1, $y1] = $this->edges[$i];
            if (($x0 > $point->x) !== ($x1 > $point->x) && $y0 + ($y1 - $y0) * ($point->x - $x0) / ($x1 - $x0) > $point->y) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** Whether an edge crosses the segment; edges that only touch it do not. */
    public function isCrossed(Vec2 $a, Vec2 $b): bool
    {
        $dx = $b->x - $a->x;
        $dy = $b->y - $a->y;
        foreach ($this->in(new Box2(min($a->x, $b->x), min($a->y, $b->y), max($a->x, $b->x), max($a->y, $b->y))) as [$x0, $y0, $x1, $y1]) {
            $one = $dx * ($y0 - $a->y) - $dy * ($x0 - $a->x);
            $other = $dx * ($y1 - $a->y) - $dy * ($x1 - $a->x);
            $ex = $x1 - $x0;
            $ey = $y1 - $y0;
            if ($one * $other < 0.0 && ($ex * ($a->y - $y0) - $ey * ($a->x - $x0)) * ($ex * ($b->y - $y0) - $ey * ($b->x - $x0)) < 0.0) {
                return true;
            }
        }

        return false;
    }

    /**
     * The edges that may reach into a box.
     *
     * @return list<array{float, float, float, float}>
     */
    public function in(Box2 $box): array
    {
        $near = [];
        foreach ($this->bins->between($box->x0, $box->x1) as $i) {
            $edge = $this->edges[$i];
            if (min($edge[1], $edge[3]) <= $box->y1 && max($edge[1], $edge[3]) >= $box->y0) {
                $near[] = $edge;
            }
        }

        return $near;
    }
}
