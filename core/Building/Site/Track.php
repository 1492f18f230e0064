<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Vec2;

/** A track along its centre line, and what runs on it. The plot's own axes, model millimetres. */
final readonly class Track
{
    /**
     * @param  non-empty-list<TrackPiece>  $pieces  one after the other from $from, in the direction $headingDeg from x
     * @param  float  $rail  the rails' top above the baseboard
     * @param  float  $beside  kept free beside every vehicle
     * @param  float  $above  and above it
     * @param  non-empty-list<Vehicle>  $vehicles
     */
    public function __construct(
        public string $id,
        public string $name,
        public Vec2 $from,
        public float $headingDeg,
        public array $pieces,
        public float $rail,
        public float $beside,
        public float $above,
        public array $vehicles,
        public string $path,
    ) {
    }
}
