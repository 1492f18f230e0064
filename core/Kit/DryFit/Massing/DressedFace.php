<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;

/** A wall with things on it, by the document alone. Its frame begins at its left end on the datum; model millimetres. */
final readonly class DressedFace
{
    /**
     * @param  string  $name  as parts are called
     * @param  float  $base  of its block above the datum
     * @param  list<array{Opening, int, Ring}>  $openings  with its number in its row, from 0, and where it lies
     * @param  list<Feature>  $features  whose place is on it
     * @param  int  $edge  of the block's footprint
     * @param  ?Wall  $next  the wall round its right end, where the corner there is square
     */
    public function __construct(
        public string $name,
        public Frame $frame,
        public float $length,
        public float $base,
        public array $openings,
        public array $features,
        public Block $block,
        public int $edge,
        public ?Wall $next,
    ) {
    }
}
