<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Ring;

/** Artwork that is drawn once and placed as often as it is needed. Its own axes, millimetres, origin lower left. */
final readonly class Symbol
{
    /**
     * @param  list<Ring>  $clip  what shows of it: outlines counter-clockwise, holes clockwise
     * @param  list<Path>  $paths
     */
    public function __construct(
        public string $id,
        public float $width,
        public float $height,
        public array $clip,
        public array $paths,
    ) {
    }
}
