<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Ring;

/** Something solid beside the building: another building, a wall, a tree. The plot's own axes, model millimetres. */
final readonly class Neighbour
{
    /** @param  ?value-of<Lift::WAYS>  $lifts  the way by which it comes off, where it does */
    public function __construct(
        public string $id,
        public string $name,
        public Ring $outline,
        public float $from,
        public float $to,
        public float $clear,
        public string $path,
        public ?string $lifts = null,
    ) {
    }
}
