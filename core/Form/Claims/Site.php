<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Geometry\Frame;

/** Where a thing is, put on the surfaces of the first step: all that its kind is told of the building. Model millimetres. */
final readonly class Site
{
    use CopiesWith;

    /**
     * @param  ?int  $block  on which it stands, by its place in the form; null on the plot
     * @param  Frame  $frame  at the foot of its left end, in the building's axes: x along it, y up or to the back, normal outwards. On
     *     roofs it lies in the underside of their card, at a line where two slopes meet square to what is between both.
     * @param  float  $length  along x; 0 where it is a place
     * @param  float  $height  along y; 0 where nothing ends it
     * @param  list<SiteFace>  $faces  walls on which it may take something; at a corner the one that ends there, then the one that begins
     * @param  bool  $isOnSlope  whether it may go through slopes, upright
     * @param  ?RoofUnder  $roof  under it, where it may stand on slopes
     * @param  ?DressedOpening  $group  several openings as if they were one
     */
    public function __construct(
        public Feature $feature,
        public Place $place,
        public ?int $block,
        public Masonry $masonry,
        public Frame $frame,
        public float $length = 0.0,
        public float $height = 0.0,
        public array $faces = [],
        public ?DressedOpening $group = null,
        public bool $isOnSlope = false,
        public ?RoofUnder $roof = null,
    ) {
    }
}
