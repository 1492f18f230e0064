<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

/** Something rectangular to pack. Millimetres. */
final readonly class Box
{
    public function __construct(
        public string $key,
        public float $width,
        public float $height,
        public bool $mayTurn,
    ) {
    }
}
