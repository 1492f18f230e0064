<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

/** Names a wall: the block, and the edge of its footprint. */
final readonly class WallId
{
    public function __construct(
        public int $block,
        public int $edge,
    ) {
    }
}
