<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/**
 * Room for what stands proud of the kit and is not described: gutters at the roofs, downpipes and the like at the walls. Model
 * millimetres.
 */
final readonly class Allowance
{
    public function __construct(
        public float $roofs,
        public float $walls,
    ) {
    }
}
