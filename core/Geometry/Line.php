<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A stretch of a drawing along which something may change, with what it is. */
final readonly class Line
{
    public function __construct(
        public Vec2 $from,
        public Vec2 $to,
        public string $label,
    ) {
    }
}
