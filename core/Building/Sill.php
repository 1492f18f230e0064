<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** A sill under an opening. Real sizes. */
final readonly class Sill
{
    public function __construct(
        public RealLength $h,
        public RealLength $proud,
        public RealLength $beyond,
    ) {
    }
}
