<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** Where a piece lies: the lower left of its shape from the lower left of the bin, millimetres. */
final readonly class Place
{
    public function __construct(
        public Piece $piece,
        public int $bin,
        public int $turn,
        public float $x,
        public float $y,
    ) {
    }

    public function shape(): Shape
    {
        return $this->piece->turns[$this->turn];
    }
}
