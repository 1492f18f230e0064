<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Stock\Stock;

/** The printed sheet that is stuck to card before it is cut. */
final readonly class Template
{
    /**
     * @param  'front'|'back'  $side  of the card; a template for the back is printed mirrored
     * @param  bool  $stays  whether it stays on the card and so counts as thickness
     */
    public function __construct(
        public Stock $stock,
        public string $side,
        public bool $stays,
    ) {
    }

    public function addsTo(Stock $stock): float
    {
        return $this->stays && $stock->takesTemplate() ? $this->stock->thickness_mm : 0.0;
    }
}
