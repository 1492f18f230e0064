<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** A gable roof. Real sizes; overhangs are level, from the footprint line. */
final readonly class Roof
{
    /**
     * @param  'x'|'y'  $ridge  the way it runs, in the block's own axes
     * @param  ?RealLength  $rise  where the rise was given instead of the pitch
     */
    public function __construct(
        public string $ridge,
        public Angle $pitch,
        public ?RealLength $rise,
        public RealLength $eaves,
        public RealLength $verge,
        public string $finish,
        public string $path,
    ) {
    }
}
