<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;

/** A block as surfaces that meet: its walls and its roof. Model millimetres, the building's axes. */
final readonly class BlockForm
{
    use CopiesWith;

    /**
     * @param  int  $index  its place in the form
     * @param  Frame  $ground  the block's own axes at its base: x along the front, y to the back, normal up
     * @param  Ring  $ring  the footprint where it stands
     * @param  float  $eaves  above the datum
     * @param  list<WallForm>  $walls  one for each edge
     * @param  ?float  $plinth  its top above the base
     */
    public function __construct(
        public int $index,
        public Block $block,
        public Frame $ground,
        public Ring $ring,
        public float $base,
        public float $eaves,
        public array $walls,
        public RoofForm $roof,
        public ?float $plinth,
    ) {
    }

    /** Gives the height of the block over a place, above the datum. */
    public function top(): float
    {
        return max([
            $this->eaves,
            ...array_merge(
                ...array_map(static fn (Facet $f): array => array_map($f->heightAt(...), $f->whole->outline->points), $this->roof->facets),
            ),
        ]);
    }

    /** Gives wall $edge, counted round and round. */
    public function wall(int $edge): WallForm
    {
        $n = count($this->walls);

        return $this->walls[(($edge % $n) + $n) % $n];
    }
}
