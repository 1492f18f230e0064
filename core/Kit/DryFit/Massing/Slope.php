<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** One plane of a roof as the document describes it: where its underside lies. Model millimetres, the building's axes. */
final readonly class Slope
{
    /**
     * @param  Ring  $plan  counter-clockwise, with its overhang and with what runs on into other blocks
     * @param  float  $low  its height over the origin
     * @param  Vec2  $rise  how much it rises for each millimetre along x and y
     */
    private function __construct(
        public string $name,
        public Ring $plan,
        public float $low,
        public Vec2 $rise,
    ) {
    }

    /** Over a line along an edge, which it passes at a height, rising to its left by so much for each millimetre. */
    public static function from(string $name, Ring $plan, Vec3 $at, Vec2 $along, float $rise): self
    {
        $up = (new Vec2(-$along->y, $along->x))->times($rise);

        return new self($name, $plan, $at->z - $up->dot(new Vec2($at->x, $at->y)), $up);
    }

    public function height(Vec2 $at): float
    {
        return $this->low + $this->rise->dot($at);
    }

    /** How thick, upright, card of a thickness is on it. */
    public function over(float $thickness): float
    {
        return $thickness * sqrt(1.0 + $this->rise->dot($this->rise));
    }

    /** Its underside: x level, y up the slope, the normal out of the building. */
    public function frame(): Frame
    {
        $steep = $this->rise->length();
        $level = $steep < Tolerance::FIGURE ? new Vec2(1.0, 0.0) : (new Vec2($this->rise->y, -$this->rise->x))->times(1.0 / $steep);
        $cos = 1.0 / sqrt(1.0 + $steep * $steep);
        $origin = $this->plan->points[0];

        return new Frame(
            new Vec3($origin->x, $origin->y, $this->height($origin)),
            new Vec3($level->x, $level->y, 0.0),
            new Vec3(-$level->y * $cos, $level->x * $cos, $steep * $cos),
        );
    }

    /** The width, in plan, of a strip with as much area and as long a way round. */
    public function width(): float
    {
        return 2.0 * $this->plan->area() / $this->plan->perimeter();
    }

    public function with(Ring $plan): self
    {
        return new self($this->name, $plan, $this->low, $this->rise);
    }

    /**
     * Where it comes to lie when every place of it is moved; planes must stay planes.
     *
     * @param  callable(Vec3): Vec3  $moved
     */
    public function moved(callable $moved): self
    {
        $place = fn (Vec2 $p): Vec3 => $moved(new Vec3($p->x, $p->y, $this->height($p)));
        $points = array_map($place, $this->plan->points);
        $corner = $this->plan->points[0];
        [$o, $x, $y] = [$points[0], $place($corner->plus(new Vec2(1.0, 0.0))), $place($corner->plus(new Vec2(0.0, 1.0)))];
        $normal = $x->minus($o)->cross($y->minus($o));
        $rise = new Vec2(-$normal->x / $normal->z, -$normal->y / $normal->z);

        return new self(
            $this->name,
            new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $points)),
            $o->z - $rise->dot(new Vec2($o->x, $o->y)),
            $rise,
        );
    }
}
