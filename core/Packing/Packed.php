<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** Where a box lies: its lower left corner from the lower left of the bin, millimetres. */
final readonly class Packed
{
    public function __construct(
        public Box $box,
        public int $bin,
        public float $x,
        public float $y,
        public bool $turned,
    ) {
    }

    public function width(): float
    {
        return $this->box->size($this->turned)[0];
    }

    public function height(): float
    {
        return $this->box->size($this->turned)[1];
    }
}
