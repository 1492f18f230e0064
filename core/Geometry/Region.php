<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** An outline (counter-clockwise) with holes in it (clockwise or not; only their shape counts). */
final class Region
{
    /** From so many questions on the whole index is worth its while. */
    private const OFTEN = 4;

    private ?EdgeIndex $index = null;

    private int $asked = 0;

    /** @param  list<Ring>  $holes */
    public function __construct(
        public readonly Ring $outline,
        public readonly array $holes = [],
    ) {
    }

    /** @return array{Ring, list<Ring>} its shape: what was looked up in it is made again where it is asked for */
    public function __serialize(): array
    {
        return [$this->outline, $this->holes];
    }

    /** @param  array{Ring, list<Ring>}  $shape */
    public function __unserialize(array $shape): void
    {
        [$this->outline, $this->holes] = $shape;
    }

    public function area(): float
    {
        return $this->outline->area() - array_sum(array_map(static fn (Ring $hole): float => $hole->area(), $this->holes));
    }

    public function contains(Vec2 $point): bool
    {
        if ($this->index !== null || ++$this->asked >= self::OFTEN) {
            return $this->index()->contains($point);
        }
        // As the index tells it: by how many edges are met going straight up.
        $inside = false;
        foreach ($this->rings() as $ring) {
            $a = $ring->points[count($ring->points) - 1];
            foreach ($ring->points as $b) {
                if (($a->x > $point->x) !== ($b->x > $point->x)
                    && $a->y + ($b->y - $a->y) * ($point->x - $a->x) / ($b->x - $a->x) > $point->y) {
                    $inside = ! $inside;
                }
                $a = $b;
            }
        }

        return $inside;
    }

    /** A place in it near one of its corners; its outline's middle where there is none. */
    public function nearACorner(float $aside): Vec2
    {
        foreach ($this->outline->points as $corner) {
            foreach ([[1.0, 1.0], [-1.0, 1.0], [1.0, -1.0], [-1.0, -1.0]] as [$x, $y]) {
                $at = new Vec2($corner->x + $x * $aside, $corner->y + $y * $aside);
                if ($this->contains($at)) {
                    return $at;
                }
            }
        }

        return $this->outline->middle();
    }

    /** Gives the region's edges by where they stand; the index is made when it is first asked for. */
    public function index(): EdgeIndex
    {
        return $this->index ??= new EdgeIndex($this->rings());
    }

    /** Gives the edges for a question between two places along x: of a region that is seldom asked but those that reach there. */
    public function between(float $from, float $to): EdgeIndex
    {
        return $this->index === null && ++$this->asked < self::OFTEN ? new EdgeIndex($this->rings(), $from, $to) : $this->index();
    }

    /** @return non-empty-list<Ring> the outline, then the holes */
    public function rings(): array
    {
        return [$this->outline, ...$this->holes];
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->outline->moved($dx, $dy), array_map(static fn (Ring $r): Ring => $r->moved($dx, $dy), $this->holes));
    }

    /**
     * Cuts the region into trapezoids with level sides that tile it.
     *
     * @return list<Ring> convex, counter-clockwise
     */
    public function trapezoids(): array
    {
        $edges = [];
        $levels = [];
        foreach ($this->rings() as $ring) {
            for ($i = 0, $n = $ring->count(); $i < $n; $i++) {
                $a = $ring->point($i);
                $b = $ring->point($i + 1);
                $levels[] = $a->y;
                if (abs($a->y - $b->y) > Tolerance::SAME) {
                    $edges[] = $a->y < $b->y ? [$a, $b] : [$b, $a];
                }
            }
        }
        sort($levels);
        $pieces = [];
        for ($k = 1, $n = count($levels); $k < $n; $k++) {
            if ($levels[$k] - $levels[$k - 1] > Tolerance::SAME) {
                array_push($pieces, ...self::slab($edges, $levels[$k - 1], $levels[$k]));
            }
        }

        return $pieces;
    }

    /**
     * @param  list<array{Vec2, Vec2}>  $edges  each from its lower to its upper end
     * @return list<Ring>
     */
    private static function slab(array $edges, float $low, float $high): array
    {
        $middle = ($low + $high) / 2.0;
        $crossing = [];
        foreach ($edges as [$a, $b]) {
            if ($a->y < $middle && $b->y > $middle) {
                $slope = ($b->x - $a->x) / ($b->y - $a->y);
                $crossing[] = [$a->x + $slope * ($middle - $a->y), $a->x + $slope * ($low - $a->y), $a->x + $slope * ($high - $a->y)];
            }
        }
        usort($crossing, static fn (array $p, array $q): int => $p[0] <=> $q[0]);
        $pieces = [];
        for ($i = 1, $n = count($crossing); $i < $n; $i += 2) {
            [, $leftLow, $leftHigh] = $crossing[$i - 1];
            [, $rightLow, $rightHigh] = $crossing[$i];
            $piece = Ring::ofDistinct([
                new Vec2($leftLow, $low),
                new Vec2($rightLow, $low),
                new Vec2($rightHigh, $high),
                new Vec2($leftHigh, $high),
            ]);
            if ($piece->count() > 2) {
                $pieces[] = $piece;
            }
        }

        return $pieces;
    }
}
