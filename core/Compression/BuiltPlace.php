<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\AsBuilt;
use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Skeleton\StraightSkeleton;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** A figure that can be measured on what has been built, and what a building has there. docs/formulas.md#as-built */
final readonly class BuiltPlace
{
    /** Corners of a wall are upright to this, degrees. */
    private const SQUARE_DEG = 0.01;

    /**
     * @param  int  $block  by its place in the building
     * @param  value-of<AsBuilt::OF_WALLS>|value-of<AsBuilt::OF_PANELS>  $figure
     */
    public function __construct(
        public int $block,
        public int $edge,
        public string $figure,
    ) {
    }

    /** `the length of East, front` */
    public function words(Building $building): string
    {
        $block = $building->blocks[$this->block];
        $wall = (count($building->blocks) > 1 ? "$block->name, " : '').$block->walls[$this->edge]->name;

        return match ($this->figure) {
            AsBuilt::LENGTH => "the length of $wall",
            AsBuilt::HEIGHT => "the height of $wall",
            AsBuilt::APEX => "the gable of $wall",
            AsBuilt::UP => "the panel over $wall, up to the ridge",
            AsBuilt::ALONG => "the panel over $wall, along its eaves",
        };
    }

    /** Model millimetres; null where there is no such figure. */
    public function planned(Building $building): ?float
    {
        $block = $building->blocks[$this->block];
        $real = match ($this->figure) {
            AsBuilt::LENGTH => $block->footprint->ring()->edgeLength($this->edge),
            AsBuilt::HEIGHT => $block->eaves->mm - $block->base->mm,
            AsBuilt::APEX => $this->apex($block),
            AsBuilt::UP => $this->up($block),
            AsBuilt::ALONG => $this->along($block),
        };

        return $real === null ? null : $real / $building->scale->ratio;
    }

    /**
     * Those at the ends of a panel, over which it reaches out.
     *
     * @return list<int>
     */
    public function gables(Building $building): array
    {
        $roof = $building->blocks[$this->block]->roof;
        $beside = $this->beside($building->blocks[$this->block]);

        return array_values(array_filter($beside, static fn (int $i): bool => $roof->edges[$i]->kind === RoofEdge::GABLE));
    }

    /** @return array{int, int} the edges before and after it */
    private function beside(Block $block): array
    {
        $n = $block->footprint->count();

        return [($this->edge + $n - 1) % $n, ($this->edge + 1) % $n];
    }

    /** Of a gable, from its foot to its point: where the slopes at both of its ends meet over it. */
    private function apex(Block $block): ?float
    {
        if ($block->roof->edges[$this->edge]->kind !== RoofEdge::GABLE) {
            return null;
        }
        $n = $block->footprint->count();
        $angles = [$block->footprint->angle($this->edge), $block->footprint->angle(($this->edge + 1) % $n)];
        $lower = $upper = [];
        foreach ($this->beside($block) as $end => $i) {
            $sin = sin(deg2rad($angles[$end]));
            if (! $block->roof->edges[$i]->slopesFromEaves() || $sin < Tolerance::UNIT) {
                continue;
            }
            $lower[] = 1.0 / ($block->roof->edges[$i]->pitch->tan() * $sin);
            $upper[] = $block->roof->upper === null ? end($lower) : 1.0 / ($block->roof->upper[0]->tan() * $sin);
        }
        if ($lower === []) {
            return null;
        }
        $length = $block->footprint->ring()->edgeLength($this->edge);
        $break = $block->roof->upper === null ? INF : $block->roof->upper[1]->mm;
        $rise = $length / array_sum($lower);

        return $block->eaves->mm - $block->base->mm
            + ($rise <= $break ? $rise : $break + ($length - $break * array_sum($lower)) / array_sum($upper));
    }

    /** Of a slope's panel, square to its eaves. */
    private function up(Block $block): ?float
    {
        $edge = $block->roof->edges[$this->edge];
        if (! $block->roof->risesFrom($this->edge)) {
            return null;
        }
        $ring = $block->footprint->ring();
        $speeds = array_map(static fn (RoofEdge $e): array => match (true) {
            $e->slopesFromEaves() => [[-INF, 1.0 / $e->pitch->tan()]],
            $e->kind === RoofEdge::HALF_HIP && $e->from !== null => [[-INF, 0.0], [$e->from->mm, 1.0 / $e->pitch->tan()]],
            default => [[-INF, 0.0]],
        }, $block->roof->edges);
        $run = 0.0;
        foreach (StraightSkeleton::of($ring, $speeds) ?? [] as $face) {
            foreach ($face->edge === $this->edge ? $face->points : [] as $point) {
                $run = max($run, $this->inward($ring, new Vec2($point->x, $point->y)));
            }
        }

        return $run === 0.0 ? null : ($run + $edge->overhang->mm) / $edge->pitch->cos();
    }

    private function inward(Ring $ring, Vec2 $at): float
    {
        $from = $ring->point($this->edge);
        $along = $ring->point($this->edge + 1)->minus($from);

        return $along->cross($at->minus($from)) / $along->length();
    }

    /** Of a slope's panel between square corners, with what it reaches out at both ends; one of them at least is a gable. */
    private function along(Block $block): ?float
    {
        $n = $block->footprint->count();
        foreach ([$this->edge, ($this->edge + 1) % $n] as $corner) {
            if (abs($block->footprint->angle($corner) - 90.0) > self::SQUARE_DEG) {
                return null;
            }
        }
        $edges = array_map(static fn (int $i): RoofEdge => $block->roof->edges[$i], $this->beside($block));
        $isGable = array_map(static fn (RoofEdge $e): bool => $e->kind === RoofEdge::GABLE, $edges);
        $runsOn = array_filter($edges, static fn (RoofEdge $e): bool => $e->kind === RoofEdge::WALL) !== [];
        if (! $block->roof->edges[$this->edge]->slopesFromEaves() || $runsOn || ! in_array(true, $isGable, true)) {
            return null;
        }

        return $block->footprint->ring()->edgeLength($this->edge) + $edges[0]->overhang->mm + $edges[1]->overhang->mm;
    }
}
