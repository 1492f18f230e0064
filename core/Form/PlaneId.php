<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

/** Names a plane of a roof: the block, the edge of its footprint to which it slopes down, and 1 above the break of a mansard. */
final readonly class PlaneId
{
    public function __construct(
        public int $block,
        public int $edge,
        public int $level = 0,
    ) {
    }

    public function key(): string
    {
        return "$this->block:$this->edge:$this->level";
    }

    public function isOf(Facet $facet): bool
    {
        return $facet->block === $this->block && $facet->edge === $this->edge && $facet->level === $this->level;
    }
}
