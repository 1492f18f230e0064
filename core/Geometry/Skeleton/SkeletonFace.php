<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Geometry\Vec3;

/** What one edge of the outline sweeps over while it keeps one speed: a slope, or upright above a gable. */
final readonly class SkeletonFace
{
    /**
     * @param  int  $edge  of the outline
     * @param  int  $level  0 for the first speed of its edge, 1 for the next …
     * @param  non-empty-list<Vec3>  $points  counter-clockwise seen from above; z is the height above the outline
     * @param  list<?int>  $beyond  for side i, from point i to point i + 1: the face across it by its place in the list of
     *                              faces; null along the outline
     */
    public function __construct(
        public int $edge,
        public int $level,
        public float $speed,
        public array $points,
        public array $beyond,
    ) {
    }

    public function isUpright(): bool
    {
        return $this->speed === 0.0;
    }
}
