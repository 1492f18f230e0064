<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/**
 * The place from which a person looks at the layout: its distance from the plot's front, its height above the baseboard where it is
 * lowest and where it is highest, and how far it moves to each side. Model millimetres.
 */
final readonly class Eye
{
    public function __construct(
        public float $distance,
        public float $height,
        public float $travel,
        public float $highest,
    ) {
    }
}
