<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Skeleton\SkeletonFace;
use Chartula\Core\Geometry\Skeleton\StraightSkeleton;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/** The planes of one block's roof, from the straight skeleton of its outline with the overhang. docs/formulas.md#roof-planes */
final readonly class RoofPlanes
{
    /** An outline corner straighter than this, degrees, is no corner. */
    private const STRAIGHT_DEG = 0.01;

    /** A facet smaller than this in plan, mm², is none. */
    private const LEAST_MM2 = 0.0001;

    /**
     * @param  Ring  $ring  the footprint where it stands, model millimetres
     * @param  float  $eaves  height of the eaves above the datum
     * @param  float  $reach  how far the roof runs on beyond edges that stand against another block
     * @param  list<float>  $inset  of each edge, how far the deck of a flat roof with a parapet stays inside
     */
    private function __construct(
        private int $index,
        private Block $block,
        private Scale $scale,
        private Ring $ring,
        private float $eaves,
        private float $reach,
        private array $inset,
        private Problems $problems,
    ) {
    }

    /** @param  list<float>  $inset */
    public static function of(
        int $index,
        Block $block,
        Scale $scale,
        Ring $ring,
        float $eaves,
        float $reach,
        array $inset,
        Problems $problems,
    ): RoofForm {
        return (new self($index, $block, $scale, $ring, $eaves, $reach, $inset, $problems))->roof() ?? new RoofForm([], null);
    }

    private function roof(): ?RoofForm
    {
        if ($this->block->roof->kind === RoofKind::None) {
            return null;
        }
        if ($this->block->roof->kind === RoofKind::Flat) {
            return $this->flat();
        }
        if (! $this->cornersAgree()) {
            return null;
        }
        $drop = 0.0;
        foreach ($this->block->roof->edges as $edge) {
            $drop = $edge->slopesFromEaves() ? max($drop, $this->mm($edge) * $edge->pitch->tan()) : $drop;
        }
        $outline = $this->outline(
            fn (int $i, RoofEdge $edge): float =>
                $edge->slopesFromEaves() ? $drop / $edge->pitch->tan() : $this->mm($edge) + $this->beyond($edge),
        );
        $final = $outline === null ? null : $this->outline(fn (int $i, RoofEdge $edge): float => $this->mm($edge) + $this->beyond($edge));
        if ($outline === null || $final === null) {
            return null;
        }
        $faces = StraightSkeleton::of($outline, array_map($this->schedule(...), $this->block->roof->edges), -$drop);
        if ($faces === null) {
            $this->problems->add($this->block->roof->path.'.edges', 'roof.open');

            return null;
        }
        $isUneven = array_filter(
            $this->block->roof->edges,
            fn (RoofEdge $e): bool => $e->slopesFromEaves() && abs($this->mm($e) * $e->pitch->tan() - $drop) > Tolerance::SAME,
        ) !== [];

        return new RoofForm($this->facets($faces, $isUneven ? $final : null), $final);
    }

    private function mm(RoofEdge $edge): float
    {
        return $this->scale->modelMm($edge->overhang);
    }

    private function beyond(RoofEdge $edge): float
    {
        return $this->block->roof->runsOn($edge) ? $this->reach : 0.0;
    }

    /** @return list<array{float, float}> */
    private function schedule(RoofEdge $edge): array
    {
        $slope = 1.0 / $edge->pitch->tan();
        $upper = $this->block->roof->upper;

        return match (true) {
            $edge->kind === RoofEdge::HALF_HIP
                && $edge->from !== null => [
                    [-INF, 0.0],
                    [$this->scale->modelMm($edge->from) - $this->mm($edge) * $edge->pitch->tan(), $slope],
                ],
            ! $edge->slopesFromEaves() => [[-INF, 0.0]],
            $upper !== null => [[-INF, $slope], [$this->scale->modelMm($upper[1]), 1.0 / $upper[0]->tan()]],
            default => [[-INF, $slope]],
        };
    }

    /** Says whether every corner can be roofed; reports gables beside inner corners, and straight corners between roofs that differ. */
    private function cornersAgree(): bool
    {
        $edges = $this->block->roof->edges;
        $n = count($edges);
        $agree = true;
        foreach ($edges as $i => $edge) {
            $before = $edges[($i + $n - 1) % $n];
            $angle = $this->block->footprint->angle($i);
            $isUpright = [! $before->slopesFromEaves(), ! $edge->slopesFromEaves()];
            if (abs($angle - 180.0) < self::STRAIGHT_DEG) {
                if (
                    $isUpright[0] !== $isUpright[1]
                    || (! $isUpright[0] && abs($before->pitch->degrees - $edge->pitch->degrees) > Tolerance::ROUNDING)
                    || abs($this->mm($before) - $this->mm($edge)) > Tolerance::SAME
                ) {
                    $this->problems->add($this->block->path.'.footprint', 'footprint.level', ['corner' => $i]);
                    $agree = false;
                }
            } elseif ($angle > 180.0 && $isUpright[0] !== $isUpright[1]) {
                $this->problems->add(
                    $isUpright[0] ? $before->path : $edge->path,
                    'roof.inner-gable',
                    ['edge' => $this->block->footprint->edges[$isUpright[0] ? ($i + $n - 1) % $n : $i]],
                );
                $agree = false;
            }
        }

        return $agree;
    }

    /**
     * The footprint with each edge moved out; null, and a fault at the edge, where it then meets itself.
     *
     * @param  callable(int, RoofEdge): float  $out
     */
    private function outline(callable $out): ?Ring
    {
        $n = $this->ring->count();
        $edges = $this->block->roof->edges;
        $outs = array_map($out, array_keys($edges), $edges);
        $moved = Offset::lines($this->ring, $outs);
        for ($i = 0; $i < $n; $i++) {
            if (! Offset::keeps($this->ring, $moved, $i)) {
                $this->problems->add($edges[$i]->path, 'roof.overhang-closes', [
                    'given' => round($outs[$i], 2), 'edge' => $this->block->footprint->edges[$i],
                    'length' => round($this->ring->edgeLength($i), 2), 'least' => round($this->ring->edgeLength($i) / 2.0, 2)]);

                return null;
            }
        }
        $met = $moved->crossing();
        if ($met !== null) {
            $this->problems->add(
                $edges[$met[0]]->path,
                'roof.overhang-meets',
                ['one' => $this->block->footprint->edges[$met[0]], 'other' => $this->block->footprint->edges[$met[1]]],
            );
        }

        return $met === null ? $moved : null;
    }

    private function along(int $edge): Vec2
    {
        $along = $this->ring->point($edge + 1)->minus($this->ring->point($edge));

        return $along->times(1.0 / $along->length());
    }

    private function flat(): ?RoofForm
    {
        $parapet = $this->scale->modelMm($this->block->roof->parapet);
        $outline = $this->outline(fn (int $i, RoofEdge $edge): float => $parapet > 0.0 ? -$this->inset[$i] : $this->mm($edge));
        if ($outline === null) {
            return null;
        }
        $height = $this->eaves - $parapet;
        $along = $this->along(0);
        $origin = $this->ring->point(0);
        $labels = array_fill(0, $outline->count(), $parapet > 0.0 ? 'deck' : 'eaves');
        assert($labels !== []);
        $patch = new Patch($outline, $labels);

        return new RoofForm([new Facet($this->index, 0, 0, 'deck', Angle::ofDegrees(0.0),
            new Frame(new Vec3($origin->x, $origin->y, $height), new Vec3($along->x, $along->y, 0.0), new Vec3(-$along->y, $along->x, 0.0)),
            $patch, [$patch], [$patch])], $outline);
    }

    /**
     * @param  list<SkeletonFace>  $faces
     * @param  ?Ring  $within  the overhang's own outline, where the planes reach beyond it
     * @return list<Facet>
     */
    private function facets(array $faces, ?Ring $within): array
    {
        $facets = [];
        $names = [];
        foreach ($faces as $i => $face) {
            if ($face->isUpright() || self::isNothing($face)) {
                continue;
            }
            $labels = array_map(fn (?int $beyond): string => $this->label($face, self::past($beyond, $i, $faces), $faces), $face->beyond);
            assert($labels !== []);
            $patch = new Patch(self::inPlan($face), $labels);
            if ($within !== null) {
                $patch = $this->within($patch, $within);
            }
            if ($patch === null || $patch->outline->signedArea() < self::LEAST_MM2) {
                continue;
            }
            $name = $this->block->footprint->edges[$face->edge].($face->level > 0 && $this->block->roof->upper !== null ? '-upper' : '');
            $names[$name] = ($names[$name] ?? 0) + 1;
            $facets[] = new Facet($this->index, $face->edge, $face->level, $name.($names[$name] > 1 ? '-'.$names[$name] : ''),
                Angle::ofDegrees(rad2deg(atan(1.0 / $face->speed))), $this->frame($face), $patch, [$patch], [$patch]);
        }

        return $facets;
    }

    private static function inPlan(SkeletonFace $face): Ring
    {
        return new Ring(array_map(static fn (Vec3 $p): Vec2 => new Vec2($p->x, $p->y), $face->points));
    }

    /** Whether a plane is so small that there is none: a break that lies a hair below the ridge leaves some of those. */
    private static function isNothing(SkeletonFace $face): bool
    {
        return ! $face->isUpright() && self::inPlan($face)->signedArea() < self::LEAST_MM2;
    }

    /**
     * The face across a side; where that is nothing, what lies beyond it along its longest side.
     *
     * @param  int  $own  whose side it is
     * @param  list<SkeletonFace>  $faces
     */
    private static function past(?int $beyond, int $own, array $faces): ?int
    {
        if ($beyond === null || ! self::isNothing($faces[$beyond])) {
            return $beyond;
        }
        $ring = self::inPlan($faces[$beyond]);
        [$best, $longest] = [$beyond, -1.0];
        foreach ($faces[$beyond]->beyond as $side => $other) {
            if ($other !== null && $other !== $own && ! self::isNothing($faces[$other]) && $ring->edgeLength($side) > $longest) {
                [$best, $longest] = [$other, $ring->edgeLength($side)];
            }
        }

        return $best;
    }

    /** @param  list<SkeletonFace>  $faces */
    private function label(SkeletonFace $face, ?int $beyond, array $faces): string
    {
        if ($beyond === null) {
            return 'eaves';
        }
        $other = $faces[$beyond];

        return match (true) {
            ! $other->isUpright() => Side::plane(new PlaneId($this->index, $other->edge, $other->level)),
            $other->edge === $face->edge => 'eaves',
            $this->block->roof->edges[$other->edge]->kind === RoofEdge::WALL => 'top',
            default => 'verge',
        };
    }

    /** The slope's own axes; the pitch as it was entered gives them, not a figure worked back from it. */
    private function frame(SkeletonFace $face): Frame
    {
        $along = $this->along($face->edge);
        $inward = new Vec2(-$along->y, $along->x);
        $tan = 1.0 / $face->speed;
        $cos = 1.0 / sqrt(1.0 + $tan * $tan);
        $edge = $this->block->roof->edges[$face->edge];
        // Where the plane passes over the footprint's line.
        $height = match (true) {
            $edge->kind === RoofEdge::HALF_HIP && $edge->from !== null => $this->scale->modelMm($edge->from),
            $face->level > 0
                && $this->block->roof->upper !== null => $this->scale->modelMm($this->block->roof->upper[1])
                    * (1.0 - $tan / $edge->pitch->tan()),
            default => 0.0,
        };
        $at = $this->ring->point($face->edge);

        return new Frame(
            new Vec3($at->x, $at->y, $this->eaves + $height),
            new Vec3($along->x, $along->y, 0.0),
            new Vec3($inward->x * $cos, $inward->y * $cos, $tan * $cos),
        );
    }

    private function within(Patch $patch, Ring $outline): ?Patch
    {
        $lines = $patch->lines();
        foreach (array_keys($outline->points) as $i) {
            $lines[] = new Line($outline->point($i), $outline->point($i + 1), 'eaves');
        }

        return Overlay::patches($lines, static fn (Vec2 $p): bool => $patch->outline->contains($p) && $outline->contains($p))[0] ?? null;
    }
}
