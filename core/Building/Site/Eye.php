<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/** From where the layout is looked at: to the plot's front, above the baseboard, and so far to each side. Model millimetres. */
final readonly class Eye
{
    public function __construct(
        public float $distance,
        public float $height,
        public float $travel,
    ) {
    }
}
