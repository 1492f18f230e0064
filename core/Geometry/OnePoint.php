<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\InvalidInput;

/**
 * A depth that looks deeper than it is, to an eye before it: straight lines stay straight, what stands upright stays upright, and
 * all lines that recede aim at one point on the eye's axis. Any one unit; x across, y to the back, z up; the eye looks along y.
 * docs/formulas.md#perspective
 */
final readonly class OnePoint
{
    /** A stronger illusion breaks as soon as the eye moves. */
    public const MOST_RATIO = 3.0;

    public const LEAST_SCALE = 0.8;

    /** An eye off the axis sees receding lines run askew; a person notices more than so many degrees. */
    private const ASKEW_DEG = 5.0;

    /** Nothing is drawn nearer to the eye than this share of its distance. */
    private const NEAREST = 0.2;

    private function __construct(
        public Vec2 $eye,
        public float $front,
        public float $depth,
        public float $apparent,
        public float $axis,
    ) {
    }

    /**
     * @param  Vec2  $eye  in plan, before the front
     * @param  float  $front  the y at which everything is true
     * @param  float  $depth  true, behind the front
     * @param  float  $apparent  greater than that
     * @param  float  $axis  height of the eye's axis
     *
     * @throws InvalidInput at "apparent" where that is no deeper: perspective.no-deeper
     */
    public static function of(Vec2 $eye, float $front, float $depth, float $apparent, float $axis): self
    {
        return $apparent > $depth
            ? new self($eye, $front, $depth, $apparent, $axis)
            : throw InvalidInput::at('apparent', 'perspective.no-deeper', ['apparent' => round($apparent, 2), 'depth' => round($depth, 2)]);
    }

    /** Gives the same projection in a unit so many times as large. */
    public function over(float $unit): self
    {
        return new self(
            $this->eye->times(1.0 / $unit),
            $this->front / $unit,
            $this->depth / $unit,
            $this->apparent / $unit,
            $this->axis / $unit,
        );
    }

    /** The distance of the eye before the front. */
    public function distance(): float
    {
        return $this->front - $this->eye->y;
    }

    /** The distance behind the front at which all receding lines meet. */
    public function vanishing(): float
    {
        return $this->depth * ($this->distance() + $this->apparent) / ($this->apparent - $this->depth);
    }

    /** The size at which something at an apparent depth is built, as a share of its size at the front. */
    public function scaleAt(float $apparent): float
    {
        return 1.0 / $this->weight($apparent);
    }

    /** The true depth behind the front of something at an apparent depth. */
    public function trueDepth(float $apparent): float
    {
        return $this->vanishing() * (1.0 - $this->scaleAt($apparent));
    }

    /** The share at a true depth. */
    public function scaleAtTrue(float $depth): float
    {
        return 1.0 - $depth / $this->vanishing();
    }

    public function backScale(): float
    {
        return $this->scaleAtTrue($this->depth);
    }

    /** Moves a place to where it comes to lie. */
    public function at(Vec3 $place): Vec3
    {
        $plan = $this->plan(new Vec2($place->x, $place->y));

        return new Vec3($plan->x, $plan->y, $this->axis + ($place->z - $this->axis) * $this->scaleAt($place->y - $this->front));
    }

    public function plan(Vec2 $place): Vec2
    {
        $share = $this->scaleAt($place->y - $this->front);

        return new Vec2($this->eye->x + ($place->x - $this->eye->x) * $share, $this->front + $this->vanishing() * (1.0 - $share));
    }

    /** Whether a place lies far enough before the eye to come to lie anywhere. */
    public function reaches(Vec2 $place): bool
    {
        return $this->weight($place->y - $this->front) > self::NEAREST;
    }

    /**
     * What becomes of an upright plane: from the axes of the plane as it is (along from a corner, up from a base) to those of
     * the plane as it comes to stand, its corner the same one.
     *
     * @param  Vec2  $along  of length 1
     * @param  float  $base  of the plane as it is
     * @param  ?float  $foot  of the plane as it comes to stand; the same one where it is not said
     */
    public function ofWall(Vec2 $corner, Vec2 $along, float $base, ?float $foot = null): Homography
    {
        $rate = $this->rate();
        $foot ??= $base;
        // The weight by which everything is divided, as it grows along the wall.
        [$w0, $w1] = [$this->weight($corner->y - $this->front), $rate * $along->y];
        $start = $this->plan($corner);
        $way = $this->plan($corner->plus($along))->minus($start);
        $way = $way->times(1.0 / $way->length());
        // x' · w and y' · w over s, z.
        $x = [$along->x + ($this->eye->x - $start->x) * $w1, ($this->eye->x - $start->x) * $w0 + $corner->x - $this->eye->x];
        $y = [
            ($this->front + $this->vanishing() - $start->y) * $w1,
            ($this->front + $this->vanishing() - $start->y) * $w0 - $this->vanishing(),
        ];

        return new Homography([
            [$x[0] * $way->x + $y[0] * $way->y, 0.0, $x[1] * $way->x + $y[1] * $way->y],
            [($this->axis - $foot) * $w1, 1.0, ($this->axis - $foot) * $w0 + $base - $this->axis],
            [$w1, 0.0, $w0],
        ]);
    }

    /** The rise of a receding line to the back; it falls where it is above the axis. */
    public function rise(float $z): float
    {
        return ($this->axis - $z) * (1.0 - $this->backScale());
    }

    /** The depth that it seems to have from another distance. */
    public function apparentFrom(float $distance): float
    {
        return ($distance + $this->depth) / $this->backScale() - $distance;
    }

    /** The distance off the axis from which all that should run straight back seems to run askew. */
    public function askewFrom(): float
    {
        return ($this->distance() + $this->vanishing()) * tan(deg2rad(self::ASKEW_DEG));
    }

    public function isStrong(): bool
    {
        return $this->apparent / $this->depth > self::MOST_RATIO + Tolerance::ROUNDING
            || $this->backScale() < self::LEAST_SCALE - Tolerance::ROUNDING;
    }

    private function rate(): float
    {
        return ($this->apparent - $this->depth) / ($this->apparent * ($this->distance() + $this->depth));
    }

    private function weight(float $apparent): float
    {
        return 1.0 + $this->rate() * $apparent;
    }
}
