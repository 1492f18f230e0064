<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\OnePoint;

/** What a block was before it was built to look deeper than it is, and how it recedes. Real millimetres, the building's axes. */
final readonly class Receding
{
    public function __construct(
        public Block $block,
        public OnePoint $view,
    ) {
    }
}
