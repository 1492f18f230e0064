<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Figure;

/** A block as surfaces that meet: four walls and two slopes. */
final readonly class BlockForm
{
    /**
     * @param  Frame  $ground  the block's own axes at its base: x along the front, y to the back, normal up
     * @param  array{WallForm, WallForm, WallForm, WallForm}  $walls  front, right, back, left
     * @param  array{RoofPlane, RoofPlane}  $planes
     * @param  Figure  $ridge  height of the underside's ridge above the base
     */
    public function __construct(
        public Block $block,
        public Frame $ground,
        public array $walls,
        public array $planes,
        public Figure $ridge,
        public Angle $pitch,
        public float $eavesOverhang_mm,
        public float $vergeOverhang_mm,
    ) {
    }

    public function wall(int $edge): WallForm
    {
        $walls = $this->walls;

        return $walls[(($edge % 4) + 4) % 4];
    }
}
