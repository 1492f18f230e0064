<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** The place on the layout: a rectangle whose front left corner stands at (x, y), turned about it. Model millimetres, degrees. */
final readonly class Plot
{
    public function __construct(
        public float $width,
        public float $depth,
        public float $x,
        public float $y,
        public float $turnDeg,
        public ?float $height,
        public ?float $gap,
        public ?Eye $eye,
    ) {
    }
}
