<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** A storey: its floor above the building's datum, and how high it is. Real sizes. */
final readonly class Storey
{
    public function __construct(
        public string $id,
        public string $name,
        public RealLength $floor,
        public RealLength $height,
    ) {
    }
}
