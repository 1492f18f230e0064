<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Roof;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Skeleton\SkeletonFace;
use Chartula\Core\Geometry\Skeleton\StraightSkeleton;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** The planes of a roof over an outline, as the document describes it. Model millimetres. docs/formulas.md#dry-fit */
final readonly class Roofs
{
    /** A plane smaller than this in plan, mm², is none. */
    private const LEAST_MM2 = 0.0001;

    /**
     * @param  Roof  $roof  with an edge for each of the outline
     * @param  float  $scale  real for each of the model
     * @param  float  $reach  how far it runs on over edges that stand against another block
     */
    private function __construct(
        private Roof $roof,
        private float $scale,
        private Ring $ring,
        private float $eaves,
        private float $reach,
    ) {
    }

    /**
     * @param  non-empty-list<string>  $names  of the edges
     * @param  array{float, float}  $heights  of the eaves, and how far it runs on over edges against another block
     * @param  list<float>  $inset  of each edge, how far a deck inside parapets stays from it
     * @return list<Slope>
     */
    public static function of(Roof $roof, float $scale, Ring $ring, array $names, array $heights, array $inset): array
    {
        $self = new self($roof, $scale, $ring, $heights[0], $heights[1]);

        return match ($roof->kind) {
            RoofKind::None => [],
            RoofKind::Flat => [$self->deck($inset)],
            default => $self->slopes($names),
        };
    }

    /** @param  list<float>  $inset */
    private function deck(array $inset): Slope
    {
        $parapet = $this->roof->parapet->mm / $this->scale;
        $outline = Offset::lines(
            $this->ring,
            $parapet > 0.0
                ? array_map(static fn (float $by): float => -$by, $inset)
                : array_map(fn (RoofEdge $e): float => $this->overhang($e), $this->roof->edges),
        );
        $at = $this->ring->points[0];

        return Slope::from('deck', $outline, new Vec3($at->x, $at->y, $this->eaves - $parapet), $this->along(0), 0.0);
    }

    /**
     * @param  non-empty-list<string>  $names
     * @return list<Slope>
     */
    private function slopes(array $names): array
    {
        // All eaves are let down as far as the one that hangs lowest, so that the outline is level; then cut back to their own.
        $drop = 0.0;
        foreach ($this->roof->edges as $edge) {
            $drop = max($drop, $edge->slopesFromEaves() ? $this->overhang($edge) * $edge->pitch->tan() : 0.0);
        }
        $own = array_map(fn (RoofEdge $e): float => $this->overhang($e) + $this->runsOn($e), $this->roof->edges);
        $outs = [];
        foreach ($this->roof->edges as $i => $edge) {
            $outs[] = $edge->slopesFromEaves() ? $drop / $edge->pitch->tan() : $own[$i];
        }
        $faces = StraightSkeleton::of(
            Offset::lines($this->ring, $outs),
            array_map($this->speeds(...), $this->roof->edges),
            -$drop,
        ) ?? [];
        $slopes = [];
        foreach ($faces as $face) {
            $plan = new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $face->points));
            foreach ($face->isUpright() ? [] : self::within($plan, Offset::lines($this->ring, $own)) as $part) {
                $slopes[] = $this->slope($names[$face->edge], $face, $part);
            }
        }

        return $slopes;
    }

    private function slope(string $name, SkeletonFace $face, Ring $plan): Slope
    {
        $edge = $this->roof->edges[$face->edge];
        $at = $this->ring->point($face->edge);
        // How high it passes over the line of its wall.
        $height = match (true) {
            $edge->kind === RoofEdge::HALF_HIP && $edge->from !== null => $edge->from->mm / $this->scale,
            $face->level > 0 && $this->roof->upper !== null => $this->roof->upper[1]->mm / $this->scale
                * (1.0 - $this->roof->upper[0]->tan() / $edge->pitch->tan()),
            default => 0.0,
        };

        return Slope::from(
            $name,
            $plan,
            new Vec3($at->x, $at->y, $this->eaves + $height),
            $this->along($face->edge),
            1.0 / $face->speed,
        );
    }

    /** @return list<array{float, float}> from which height an edge moves in by how much for each millimetre of height */
    private function speeds(RoofEdge $edge): array
    {
        $speed = 1.0 / $edge->pitch->tan();

        return match (true) {
            $edge->kind === RoofEdge::HALF_HIP && $edge->from !== null => [
                [-INF, 0.0],
                [$edge->from->mm / $this->scale - $this->overhang($edge) * $edge->pitch->tan(), $speed],
            ],
            ! $edge->slopesFromEaves() => [[-INF, 0.0]],
            $this->roof->upper !== null => [
                [-INF, $speed],
                [$this->roof->upper[1]->mm / $this->scale, 1.0 / $this->roof->upper[0]->tan()],
            ],
            default => [[-INF, $speed]],
        };
    }

    private function overhang(RoofEdge $edge): float
    {
        return $edge->overhang->mm / $this->scale;
    }

    private function runsOn(RoofEdge $edge): float
    {
        return $this->roof->runsOn($edge) ? $this->reach : 0.0;
    }

    private function along(int $edge): Vec2
    {
        $along = $this->ring->point($edge + 1)->minus($this->ring->point($edge));

        return $along->times(1.0 / $along->length());
    }

    /** @return list<Ring> what of an outline lies in another */
    public static function within(Ring $ring, Ring $other): array
    {
        $lines = [];
        foreach ([$ring, $other] as $one) {
            foreach (array_keys($one->points) as $i) {
                $lines[] = new Line($one->point($i), $one->point($i + 1), '');
            }
        }
        $rings = [];
        foreach (Overlay::patches($lines, static fn (Vec2 $p): bool => $ring->contains($p) && $other->contains($p)) as $patch) {
            if ($patch->outline->signedArea() > self::LEAST_MM2) {
                $rings[] = $patch->outline;
            }
        }

        return $rings;
    }
}
