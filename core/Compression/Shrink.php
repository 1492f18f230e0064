<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Geometry\Interval;

/** A stretch along an axis, and by how much it becomes shorter. Real millimetres. */
final readonly class Shrink
{
    public function __construct(
        public Interval $stretch,
        public float $by,
    ) {
    }
}
