<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Ring;

/**
 * A convex piece of something that stands upright and takes up room: its shadow on the baseboard in the plot's own axes, and from where
 * to where it stands.
 */
final readonly class Body
{
    public function __construct(
        public Hull $shadow,
        public float $low,
        public float $high,
    ) {
    }

    public function isLevelWith(float $low, float $high): bool
    {
        return $this->low < $high && $low < $this->high;
    }

    /** How far up or down it is to another, where they are at different heights. */
    public function above(self $that): float
    {
        return max(0.0, $this->low - $that->high, $that->low - $this->high);
    }

    /** The solid itself, in the building's axes. */
    public function solid(Plot $plot): Convex
    {
        return Convex::prism(new Ring(array_map($plot->inBuilding(...), $this->shadow->points)), $this->low, $this->high);
    }
}
