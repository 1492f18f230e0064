<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\ModelLength;

/** Blocks, and the insides of openings, that are built to look deeper than they are, to the plot's eye. docs/formulas.md#perspective */
final readonly class Perspective
{
    /** The eye's axis, where nobody says how high: that of a figure, 5 ft 3 in, real mm. */
    public const FIGURES_EYE_MM = 1600.2;

    /**
     * @param  ?ModelLength  $depth  true, behind the foremost wall of those blocks; null where no block recedes
     * @param  ?ModelLength  $apparent  as deep as they are, where it is not said
     * @param  ?ModelLength  $axis  height of the eye's axis above the datum
     * @param  ?list<string>  $blocks  by id; all of them where it is not said
     * @param  bool  $hasGround  whether the ground between those blocks is made too, as it rises
     * @param  list<DeepOpening>  $deepOpenings
     */
    public function __construct(
        public ?ModelLength $depth,
        public ?ModelLength $apparent,
        public ?ModelLength $axis,
        public ?array $blocks,
        public bool $hasGround,
        public array $deepOpenings,
        public string $path,
    ) {
    }
}
