<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;

/** A stretch of track along which equally much is to stay free: straight, or round a centre. The plot's own axes. docs/formulas.md#throw */
final readonly class Lane
{
    /**
     * @param  Vec2  $from  where its middle begins
     * @param  float  $heading  radians from x
     * @param  float  $radius  0 where it is straight
     * @param  int  $turns  1 to the left, -1 to the right
     * @param  float  $left  to stay free to the left of its middle
     * @param  float  $right  to the right
     */
    public function __construct(
        public Vec2 $from,
        public float $heading,
        public float $length,
        public float $radius,
        public int $turns,
        public float $left,
        public float $right,
    ) {
    }

    private function along(float $heading): Vec2
    {
        return new Vec2(cos($heading), sin($heading));
    }

    public function centre(): Vec2
    {
        return $this->at(0.0, $this->turns * $this->radius);
    }

    /** The place so far along, and so far to the left of, its middle. */
    public function at(float $along, float $aside = 0.0): Vec2
    {
        if ($this->radius <= 0.0 || $along === 0.0) {
            return $this->from
                ->plus($this->along($this->heading)->times($along))
                ->plus($this->along($this->heading + M_PI_2)->times($aside));
        }
        $angle = $this->heading + $this->turns * $along / $this->radius;

        return $this->centre()->plus($this->along($angle + M_PI_2)->times($aside - $this->turns * $this->radius));
    }

    public function headingAt(float $along): float
    {
        return $this->radius <= 0.0 ? $this->heading : $this->heading + $this->turns * $along / $this->radius;
    }

    /**
     * What is left beside it of what is to stay free.
     *
     * @return ?float null where the shape is not beside it
     */
    public function left(Hull $shape): ?float
    {
        $beside = $shape->leftOf($this->from, $this->along($this->heading - M_PI_2))
            ?->leftOf($this->at($this->length), $this->along($this->headingAt($this->length) + M_PI_2));
        if ($beside === null) {
            return null;
        }
        [$least, $most] = $this->radius <= 0.0 ? $this->fromLine($beside) : $this->fromArc($beside);

        return match (true) {
            $least >= 0.0 => $least - $this->left,
            $most <= 0.0 => -$most - $this->right,
            // On the track itself: by as much as would clear it on the nearer side.
            default => -min($most + $this->right, $this->left - $least),
        };
    }

    /** @return array{float, float} how far to the left it begins and ends */
    private function fromLine(Hull $shape): array
    {
        $along = $this->along($this->heading);
        $off = array_map(fn (Vec2 $p): float => $along->cross($p->minus($this->from)), $shape->points);

        return [min($off), max($off)];
    }

    /** @return array{float, float} */
    private function fromArc(Hull $shape): array
    {
        $centre = $this->centre();
        $nearest = $shape->distanceFrom($centre);
        $farthest = max(array_map($centre->distanceTo(...), $shape->points));

        return $this->turns > 0
            ? [$this->radius - $farthest, $this->radius - $nearest]
            : [$nearest - $this->radius, $farthest - $this->radius];
    }
}
