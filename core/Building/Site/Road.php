<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Vec2;

/** A way to be kept open: so wide along its middle, and so high. The plot's own axes, model millimetres. */
final readonly class Road
{
    /** @param  non-empty-list<Vec2>  $line  along its middle */
    public function __construct(
        public string $id,
        public string $name,
        public array $line,
        public float $width,
        public float $above,
        public float $clear,
        public string $path,
    ) {
    }
}
