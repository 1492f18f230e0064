<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

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
        return $this->turned ? $this->box->height : $this->box->width;
    }

    public function height(): float
    {
        return $this->turned ? $this->box->width : $this->box->height;
    }
}
