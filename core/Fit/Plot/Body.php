<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Geometry\Hull;

/**
 * A convex piece of something that takes up room: its shadow on the baseboard in the plot's own axes, and from where to where it stands.
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
}
