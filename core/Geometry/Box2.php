<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** An upright rectangle; the empty box runs from +∞ to −∞. */
final readonly class Box2
{
    public function __construct(
        public float $x0,
        public float $y0,
        public float $x1,
        public float $y1,
    ) {
    }

    /** @param  list<Vec2>  $points */
    public static function around(array $points): self
    {
        $x0 = $y0 = INF;
        $x1 = $y1 = -INF;
        // Written out, as a Frame's points are: every corner of everything goes through here.
        foreach ($points as $p) {
            [$x, $y] = [$p->x, $p->y];
            $x0 = $x < $x0 ? $x : $x0;
            $y0 = $y < $y0 ? $y : $y0;
            $x1 = $x > $x1 ? $x : $x1;
            $y1 = $y > $y1 ? $y : $y1;
        }

        return new self($x0, $y0, $x1, $y1);
    }

    public function width(): float
    {
        return $this->x1 - $this->x0;
    }

    public function height(): float
    {
        return $this->y1 - $this->y0;
    }

    public function centre(): Vec2
    {
        return new Vec2(($this->x0 + $this->x1) / 2.0, ($this->y0 + $this->y1) / 2.0);
    }

    /** Whether it overlaps or touches another. */
    public function meets(self $that): bool
    {
        $by = Tolerance::MEET;

        return $this->x0 < $that->x1 + $by && $that->x0 < $this->x1 + $by && $this->y0 < $that->y1 + $by && $that->y0 < $this->y1 + $by;
    }

    /** How far the two are apart along an axis, at the least; negative where they overlap. */
    public function gapTo(self $that): float
    {
        return max($this->x0 - $that->x1, $that->x0 - $this->x1, $this->y0 - $that->y1, $that->y0 - $this->y1);
    }

    /** Gives the box that lies in both; null where there is none. */
    public function shared(self $that): ?self
    {
        [$x0, $y0, $x1, $y1] = [max($this->x0, $that->x0), max($this->y0, $that->y0), min($this->x1, $that->x1), min($this->y1, $that->y1)];

        return $x0 < $x1 && $y0 < $y1 ? new self($x0, $y0, $x1, $y1) : null;
    }

    public function grown(float $by): self
    {
        return new self($this->x0 - $by, $this->y0 - $by, $this->x1 + $by, $this->y1 + $by);
    }

    /** @return non-empty-list<Vec2> counter-clockwise, from the lower left */
    public function corners(): array
    {
        [$x0, $y0, $x1, $y1] = [$this->x0, $this->y0, $this->x1, $this->y1];

        return [new Vec2($x0, $y0), new Vec2($x1, $y0), new Vec2($x1, $y1), new Vec2($x0, $y1)];
    }
}
