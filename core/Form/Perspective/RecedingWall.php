<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Perspective;

use Chartula\Core\Building\Block;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Tolerance;

/**
 * What becomes of one wall of a block that may recede. Model millimetres, heights above the block's base as it comes to stand.
 * docs/formulas.md#perspective
 */
final readonly class RecedingWall
{
    public function __construct(
        private Block $block,
        private int $edge,
        private Scale $scale,
    ) {
    }

    /** Maps the wall as it is to the wall as it is built; null where that is the same. */
    public function map(float $base): ?Homography
    {
        $receding = $this->block->receding;
        if ($receding === null) {
            return null;
        }
        $view = $receding->view->over($this->scale->ratio);
        [$a, $b] = [$this->ring()->point($this->edge), $this->ring()->point($this->edge + 1)];

        // The plane at the front is the one that stays true.
        return max(abs($a->y - $view->front), abs($b->y - $view->front)) < Tolerance::PLANE
            ? null
            : $view->ofWall($a, $b->minus($a)->times(1.0 / $a->distanceTo($b)), $this->scale->modelMm($receding->block->base), $base);
    }

    /**
     * At its left and its right end; of a wall that recedes also where level ground would rise.
     *
     * @return ?array{float, float}
     */
    public function ground(?Homography $map, float $base): ?array
    {
        $levels = $this->block->walls[$this->edge]->ground;
        if ($map === null) {
            return $levels === null ? null : array_map(fn (RealLength $level): float => $this->scale->modelMm($level) - $base, $levels);
        }
        $true = $this->scale->modelMm($this->block->receding->block->base ?? $this->block->base);
        if ($levels === null && abs($true - $base) > Tolerance::PLANE) {
            // A dormer stands on no ground.
            return null;
        }
        [$left, $right] = $levels === null
            ? [0.0, 0.0]
            : array_map(fn (RealLength $level): float => $this->scale->modelMm($level) - $true, $levels);
        $ends = [$map->at(new Vec2(0.0, $left))->y, $map->at(new Vec2($this->ring()->edgeLength($this->edge), $right))->y];

        return $levels === null && max(array_map(abs(...), $ends)) < Tolerance::PLANE ? null : $ends;
    }

    /** @return array{float, float} of the eaves at its left and its right end */
    public function eaves(float $base): array
    {
        $eaves = $this->scale->modelMm($this->block->eaves);
        $view = $this->block->receding?->view->over($this->scale->ratio);
        if ($view === null) {
            return [$eaves - $base, $eaves - $base];
        }
        $at = static fn (Vec2 $p): float => $view->at(new Vec3($p->x, $p->y, $eaves))->z - $base;

        return [$at($this->ring()->point($this->edge)), $at($this->ring()->point($this->edge + 1))];
    }

    /** The footprint as it is. */
    private function ring(): Ring
    {
        return ($this->block->receding->block ?? $this->block)->standing()->scaled(1.0 / $this->scale->ratio);
    }
}
