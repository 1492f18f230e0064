<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** One rectangular block: walls on a footprint, and a roof. Real sizes; its front edge runs along +x from `at`. */
final readonly class Block
{
    public const EDGES = ['front', 'right', 'back', 'left'];

    /** @param  list<Wall>  $walls one for each edge, in the order of EDGES */
    public function __construct(
        public string $id,
        public string $name,
        public RealLength $width,
        public RealLength $depth,
        public RealLength $atX,
        public RealLength $atY,
        public float $turnDeg,
        public RealLength $base,
        public RealLength $eaves,
        public array $walls,
        public Roof $roof,
        public string $path,
    ) {
    }
}
