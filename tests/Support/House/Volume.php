<?php

declare(strict_types=1);

namespace Tests\Support\House;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Skeleton\StraightSkeleton;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** The space that a block takes up by its document: footprint, base, eaves and roof, without any card. Model millimetres. */
final class Volume
{
    /** No roof runs on further. */
    private const TAIL_MM = 200.0;

    /** @var list<array{Ring, float, float, float}> each slope in plan, and its height as a + b·x + c·y */
    public array $slopes = [];

    public readonly Ring $ring;

    public readonly float $base;

    public readonly float $eaves;

    /** How far the deck lies under the tops of the walls. */
    public readonly float $parapet;

    /** Its footprint, and as far as its roof may run on over edges that stand against another block. */
    public readonly Ring $reach;

    /** @param  float  $roof  thickness of its roof */
    public function __construct(
        public readonly Block $block,
        float $scale,
        private readonly float $roof,
    ) {
        $this->ring = $block->standing()->scaled(1.0 / $scale);
        $this->reach = Offset::lines(
            $this->ring,
            array_map(fn (int $edge): float => $this->runsOn($edge) ? self::TAIL_MM : 0.0, array_keys($block->roof->edges)),
        );
        $this->base = $block->base->mm / $scale;
        $this->eaves = $block->eaves->mm / $scale;
        $this->parapet = $block->roof->kind === RoofKind::Flat ? $block->roof->parapet->mm / $scale : 0.0;
        if (! in_array($block->roof->kind, [RoofKind::Flat, RoofKind::None], true)) {
            $this->raise($scale);
        }
    }

    private function raise(float $scale): void
    {
        $upper = $this->block->roof->upper;
        $schedules = array_map(static function (RoofEdge $edge) use ($upper, $scale): array {
            $speed = 1.0 / $edge->pitch->tan();

            return match (true) {
                $edge->kind === RoofEdge::HALF_HIP && $edge->from !== null => [[-INF, 0.0], [$edge->from->mm / $scale, $speed]],
                $edge->kind !== RoofEdge::SLOPE => [[-INF, 0.0]],
                $upper !== null => [[-INF, $speed], [$upper[1]->mm / $scale, 1.0 / $upper[0]->tan()]],
                default => [[-INF, $speed]],
            };
        }, $this->block->roof->edges);
        foreach (StraightSkeleton::of($this->ring, $schedules) ?? [] as $face) {
            $plan = new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $face->points));
            if (! $face->isUpright() && $plan->signedArea() > 0.001) {
                $this->slopes[] = [$plan, ...$this->plane($face->points, $face->edge, $face->speed)];
            }
        }
    }

    /**
     * The plane through a face that rises square to its edge.
     *
     * @param  non-empty-list<Vec3>  $points
     * @return array{float, float, float}
     */
    private function plane(array $points, int $edge, float $speed): array
    {
        $along = $this->ring->point($edge + 1)->minus($this->ring->point($edge));
        $in = (new Vec2(-$along->y, $along->x))->times(1.0 / $along->length() / $speed);

        return [$this->eaves + $points[0]->z - $in->x * $points[0]->x - $in->y * $points[0]->y, $in->x, $in->y];
    }

    /** Whether its roof runs on over an edge, into another block's. */
    public function runsOn(int $edge): bool
    {
        return $this->block->roof->edges[$edge]->kind === RoofEdge::WALL && $this->block->roof->kind !== RoofKind::LeanTo;
    }

    public function contains(Vec2 $at): bool
    {
        return $this->ring->contains($at);
    }

    /** The height of its roof's underside over a place in it; of walls without a roof, and of parapets, their tops. */
    public function top(Vec2 $at): float
    {
        foreach ($this->slopes as [$plan, $a, $b, $c]) {
            if ($plan->contains($at)) {
                return $a + $b * $at->x + $c * $at->y;
            }
        }

        return $this->eaves;
    }

    /** Whether a place lies in it or in the card of its roof. */
    public function holds(Vec3 $at): bool
    {
        $plan = new Vec2($at->x, $at->y);

        return $at->z > $this->base && $this->contains($plan) && $at->z < $this->top($plan) + $this->over($plan);
    }

    /** How high the card of its roof is over a place. */
    private function over(Vec2 $at): float
    {
        foreach ($this->slopes as [$plan, , $b, $c]) {
            if ($plan->contains($at)) {
                return $this->roof * sqrt(1.0 + $b * $b + $c * $c);
            }
        }

        return $this->block->roof->kind === RoofKind::Flat && $this->parapet === 0.0 ? $this->roof : 0.0;
    }
}
