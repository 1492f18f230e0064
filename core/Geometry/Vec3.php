<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A point or vector in the building's space: x right along the front, y away from the viewer, z up; millimetres. */
final readonly class Vec3
{
    public function __construct(
        public float $x,
        public float $y,
        public float $z,
    ) {
    }

    public function plus(self $that): self
    {
        return new self($this->x + $that->x, $this->y + $that->y, $this->z + $that->z);
    }

    public function minus(self $that): self
    {
        return new self($this->x - $that->x, $this->y - $that->y, $this->z - $that->z);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor, $this->z * $factor);
    }

    public function dot(self $that): float
    {
        return $this->x * $that->x + $this->y * $that->y + $this->z * $that->z;
    }

    public function cross(self $that): self
    {
        return new self(
            $this->y * $that->z - $this->z * $that->y,
            $this->z * $that->x - $this->x * $that->z,
            $this->x * $that->y - $this->y * $that->x,
        );
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }

    public function distanceTo(self $that): float
    {
        return $this->minus($that)->length();
    }

    /** Turns the point about the line through $point along the unit vector $axis, counter-clockwise seen against it. */
    public function turned(self $point, self $axis, float $radians): self
    {
        return $point->plus($this->minus($point)->turnedAbout($axis, $radians));
    }

    /** A direction turned about the unit vector $axis. */
    public function turnedAbout(self $axis, float $radians): self
    {
        $cos = cos($radians);

        return $this->times($cos)->plus($axis->cross($this)->times(sin($radians)))->plus($axis->times($axis->dot($this) * (1.0 - $cos)));
    }

    /** @return array{float, float, float} a point, rounded to four decimals */
    public function toArray(): array
    {
        return [round($this->x, 4) + 0.0, round($this->y, 4) + 0.0, round($this->z, 4) + 0.0];
    }

    /** @return array{float, float, float} a unit vector, rounded to twelve decimals */
    public function toDirection(): array
    {
        return [round($this->x, 12) + 0.0, round($this->y, 12) + 0.0, round($this->z, 12) + 0.0];
    }
}
