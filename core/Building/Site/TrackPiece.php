<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

/** A straight piece of track, or one that curves to the left or the right. Model millimetres. */
final readonly class TrackPiece
{
    /**
     * @param  float  $length  along its middle
     * @param  float  $radius  of its middle; 0 where it is straight
     * @param  int  $turns  1 to the left, -1 to the right, 0 straight on
     */
    public function __construct(
        public float $length,
        public float $radius = 0.0,
        public int $turns = 0,
    ) {
    }
}
