<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Figure;

/**
 * One slope of the roof: the plane of the carrier's underside.
 * Frame: origin at the lower left corner of the overhang as seen from outside, x along the eaves, y up the slope, model mm.
 */
final readonly class RoofPlane
{
    public function __construct(
        public int $edge,
        public string $name,
        public Frame $frame,
        public Figure $along,
        public Figure $slope,
    ) {
    }

    public function underside(): Ring
    {
        return Ring::rectangle(0.0, 0.0, $this->along->mm, $this->slope->mm);
    }
}
