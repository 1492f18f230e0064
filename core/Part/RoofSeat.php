<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Vec3;

/** Which slope a roof panel belongs to, and where the slope's underside lies in space. */
final readonly class RoofSeat
{
    /** @param  list<Vec3>  $underside */
    public function __construct(
        public string $block,
        public string $edge,
        public string $layer,
        public array $underside,
    ) {
    }
}
