<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** What a length's text says: millimetres, and the world if it was written. */
final readonly class ParsedLength
{
    public function __construct(
        public float $mm,
        public ?World $world,
    ) {
    }
}
