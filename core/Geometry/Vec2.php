<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A point or vector of a plane: x to the right, y up; millimetres. */
final readonly class Vec2
{
    public function __construct(
        public float $x,
        public float $y,
    ) {
    }

    public function plus(self $that): self
    {
        return new self($this->x + $that->x, $this->y + $that->y);
    }

    public function minus(self $that): self
    {
        return new self($this->x - $that->x, $this->y - $that->y);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor);
    }

    /** Turned about the origin, counter-clockwise. */
    public function turned(float $degrees): self
    {
        [$cos, $sin] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];

        return new self($this->x * $cos - $this->y * $sin, $this->x * $sin + $this->y * $cos);
    }

    public function dot(self $that): float
    {
        return $this->x * $that->x + $this->y * $that->y;
    }

    /** Twice the signed area of the triangle; positive where $that is to the left. */
    public function cross(self $that): float
    {
        return $this->x * $that->y - $this->y * $that->x;
    }

    public function length(): float
    {
        return hypot($this->x, $this->y);
    }

    public function distanceTo(self $that): float
    {
        return hypot($this->x - $that->x, $this->y - $that->y);
    }

    /** The shortest distance to the segment from $a to $b. */
    public function distanceToSegment(self $a, self $b): float
    {
        // Written out: hulls ask it of every corner and every side.
        [$x, $y] = [$b->x - $a->x, $b->y - $a->y];
        $square = $x * $x + $y * $y;
        $at = $square > 0.0 ? max(0.0, min(1.0, (($this->x - $a->x) * $x + ($this->y - $a->y) * $y) / $square)) : 0.0;

        return hypot($this->x - ($a->x + $x * $at), $this->y - ($a->y + $y * $at));
    }

    /** @return array{float, float} rounded to four decimals */
    public function toArray(): array
    {
        return [round($this->x, 4) + 0.0, round($this->y, 4) + 0.0];
    }
}
