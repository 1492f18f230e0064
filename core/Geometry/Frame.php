<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A plane in space with its own axes: `x` and `y` are unit vectors at right angles, the outward normal is x × y. */
final readonly class Frame
{
    public Vec3 $normal;

    public function __construct(
        public Vec3 $origin,
        public Vec3 $x,
        public Vec3 $y,
    ) {
        $this->normal = $x->cross($y);
    }

    /** @return array{string} its origin and axes as plain numbers: frames are kept by the thousand */
    public function __serialize(): array
    {
        [$o, $x, $y] = [$this->origin, $this->x, $this->y];

        return [pack('d9', $o->x, $o->y, $o->z, $x->x, $x->y, $x->z, $y->x, $y->y, $y->z)];
    }

    /** @param  array{string}  $numbers */
    public function __unserialize(array $numbers): void
    {
        /** @var list<float> $n */
        $n = array_values((array) unpack('d9', $numbers[0]));
        [$this->origin, $this->x, $this->y] = [new Vec3($n[0], $n[1], $n[2]), new Vec3($n[3], $n[4], $n[5]), new Vec3($n[6], $n[7], $n[8])];
        $this->normal = $this->x->cross($this->y);
    }

    /** The point of space at ($u, $v) on the plane, $out in front of it. */
    public function point(float $u, float $v, float $out = 0.0): Vec3
    {
        // Written out, as are the two below: every corner of every piece goes through here.
        [$o, $x, $y, $n] = [$this->origin, $this->x, $this->y, $this->normal];

        return new Vec3(
            $o->x + $x->x * $u + $y->x * $v + $n->x * $out,
            $o->y + $x->y * $u + $y->y * $v + $n->y * $out,
            $o->z + $x->z * $u + $y->z * $v + $n->z * $out,
        );
    }

    public function at(Vec2 $point, float $out = 0.0): Vec3
    {
        return $this->point($point->x, $point->y, $out);
    }

    /** Where a point of space stands over the plane, in the plane's own axes. */
    public function project(Vec3 $point): Vec2
    {
        [$x, $y] = [$this->x, $this->y];
        [$dx, $dy, $dz] = [$point->x - $this->origin->x, $point->y - $this->origin->y, $point->z - $this->origin->z];

        return new Vec2($dx * $x->x + $dy * $x->y + $dz * $x->z, $dx * $y->x + $dy * $y->y + $dz * $y->z);
    }

    /** How far a point of space is in front of the plane; negative behind it. */
    public function height(Vec3 $point): float
    {
        [$o, $n] = [$this->origin, $this->normal];

        return ($point->x - $o->x) * $n->x + ($point->y - $o->y) * $n->y + ($point->z - $o->z) * $n->z;
    }

    public function moved(float $u, float $v, float $out = 0.0): self
    {
        return new self($this->point($u, $v, $out), $this->x, $this->y);
    }

    /** Turns the frame about an axis in space. */
    public function turned(Vec3 $point, Vec3 $axis, float $radians): self
    {
        return new self(
            $this->origin->turned($point, $axis, $radians),
            $this->x->turnedAbout($axis, $radians),
            $this->y->turnedAbout($axis, $radians),
        );
    }
}
