<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** What the roof does over one edge of the footprint. Real sizes; the overhang is level, from the footprint line. */
final readonly class RoofEdge
{
    use CopiesWith;

    public const SLOPE = 'hip';

    public const GABLE = 'gable';

    public const HALF_HIP = 'half-hip';

    /** The edge stands against another block; the roof runs on until it dies into that one. */
    public const WALL = 'wall';

    public const KINDS = [self::GABLE, self::SLOPE, self::HALF_HIP, self::WALL];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  ?RealLength  $from  how high above the eaves a half-hip begins
     * @param  array<value-of<AsBuilt::OF_PANELS>, AsBuilt>  $built  what was measured of the panel over it
     */
    public function __construct(
        public string $kind,
        public Angle $pitch,
        public RealLength $overhang,
        public ?RealLength $from,
        public string $path,
        public array $built = [],
    ) {
    }

    /** Whether its wall ends level at the eaves, under a slope. */
    public function slopesFromEaves(): bool
    {
        return $this->kind === self::SLOPE;
    }
}
