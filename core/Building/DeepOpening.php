<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\ModelLength;

/**
 * The inside of a doorway or a subway that looks deeper than it is: floor, sides, top and end behind one opening. docs/formulas.md#mouth
 */
final readonly class DeepOpening
{
    /**
     * @param  string  $opening  `block.edge.opening`
     * @param  ModelLength  $depth  true, behind the outside of the wall
     * @param  ?ModelLength  $axis  height of the eye's axis above the opening's foot; half its height where it is not said
     */
    public function __construct(
        public string $opening,
        public ModelLength $depth,
        public ModelLength $apparent,
        public ?ModelLength $axis,
        public string $path,
    ) {
    }
}
