<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** What pieces are packed into, and how far they stay apart there. Millimetres. */
final readonly class Bin
{
    public function __construct(
        public float $width,
        public float $height,
        public float $gap,
    ) {
    }

    /** With half of the gap that is kept to others all round. */
    public function area(): float
    {
        return ($this->width + $this->gap) * ($this->height + $this->gap);
    }
}
