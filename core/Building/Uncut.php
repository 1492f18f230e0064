<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/**
 * What a block was before it was cut to low relief, and how: its roof is that of the whole block, cut along a line and squeezed
 * towards the front. Real millimetres, the building's axes.
 */
final readonly class Uncut
{
    /**
     * @param  Block  $block  the whole of it
     * @param  float  $front  the y towards which it is squeezed
     * @param  float  $cut  the y behind which nothing stays, before it is squeezed
     * @param  float  $squeeze  of every depth from the front
     * @param  list<int>  $edges  what each edge of the whole block is in the cut one; beyond its last edge where nothing of it is left
     */
    public function __construct(
        public Block $block,
        public float $front,
        public float $cut,
        public float $squeeze,
        public array $edges,
    ) {
    }

    public function y(float $y): float
    {
        return $this->front + ($y - $this->front) * $this->squeeze;
    }
}
