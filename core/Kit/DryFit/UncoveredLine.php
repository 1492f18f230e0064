<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;

/** One line of a surface along which its card is not what it should be. */
final readonly class UncoveredLine
{
    /**
     * @param  float  $width  how much of the surface it stands for
     * @param  array{list<Interval>, list<Interval>, list<Interval>, list<Interval>}  $off  card missing, card standing out, the kit's word,
     *     its gaps
     * @param  list<Interval>  $short  those missing that may be pinholes
     * @param  list<Gaps>  $beside  the gaps where a pinhole would have ended to either side; none where nothing may be one
     */
    public function __construct(
        public float $width,
        public array $off,
        public array $short,
        public Gaps $gaps,
        public array $beside,
    ) {
    }
}
