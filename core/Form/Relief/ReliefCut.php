<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\ReliefBack;
use Chartula\Core\Form\RoofPlanes;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/** Cuts a building to low relief: each block as what is left of it before the line at the wanted depth. docs/formulas.md#relief */
final readonly class ReliefCut
{
    /** A cut leaves at least so much of a flank behind the front's card, model mm. */
    private const LEAST_FLANK_MM = 1.0;

    private function __construct(
        private Building $building,
        private Relief $relief,
        private Problems $problems,
        private float $front,
        private float $back,
    ) {
    }

    public static function of(Building $building, Problems $problems): Relieved
    {
        if ($building->relief === null) {
            return new Relieved($building, [], null);
        }
        $ys = array_merge(
            ...array_map(
                static fn (Block $b): array => array_map(static fn (Vec2 $p): float => $p->y, $b->standing()->points),
                $building->blocks,
            ),
        );

        return (new self($building, $building->relief, $problems, min($ys), max($ys)))->cut($building->relief);
    }

    private function cut(Relief $relief): Relieved
    {
        $ratio = $this->building->scale->ratio;
        $depth = $relief->depth->mm * $ratio;
        $whole = $this->back - $this->front;
        $thickest = 0.0;
        foreach ($this->building->blocks as $block) {
            foreach ($block->walls as $wall) {
                $thickest = max($thickest, $wall->isLeftOut() ? 0.0 : $this->building->methods->stacks[$wall->stack]->thickness_mm);
            }
        }
        if ($depth > $whole + Tolerance::MEET) {
            return $this->fault('relief.deeper', ['given' => round($relief->depth->mm, 2), 'whole' => round($whole / $ratio, 2)]);
        }
        if ($relief->depth->mm < $thickest + self::LEAST_FLANK_MM) {
            return $this->fault(
                'relief.shallow',
                ['given' => round($relief->depth->mm, 2), 'least' => round($thickest + self::LEAST_FLANK_MM, 2)],
            );
        }
        if (abs($depth - $whole) < Tolerance::MEET && $relief->school !== Relief::KEEP_RIDGE) {
            return new Relieved($this->building, [], ['depth' => $depth / $ratio, 'whole' => $whole / $ratio, 'share' => 1.0]);
        }
        $cut = $this->lineOf($depth, $whole);
        if ($cut === null) {
            return new Relieved($this->building, [], null);
        }
        [$at, $squeeze, $roofsAnew] = $cut;
        if (abs($squeeze - 1.0) < Tolerance::ROUNDING && $at > $this->back - Tolerance::MEET) {
            return new Relieved($this->building, [], ['depth' => $depth / $ratio, 'whole' => $whole / $ratio, 'share' => 1.0]);
        }
        if (! $this->sparesDormers($at, $depth)) {
            return new Relieved($this->building, [], null);
        }
        $least = ($thickest + self::LEAST_FLANK_MM) * $ratio;
        $blocks = [];
        $lost = [];
        $open = $this->openAt($at);
        foreach ($this->building->blocks as $block) {
            [$pieces, $gone] = (
                new BlockCut(
                    $this->building,
                    $block,
                    $relief,
                    $this->front,
                    $at,
                    $squeeze,
                    $roofsAnew,
                    $least,
                    in_array($block, $open, true) ? ReliefBack::Open : $relief->back,
                )
            )->pieces();
            array_push($blocks, ...$pieces);
            array_push($lost, ...$gone);
        }
        if ($blocks === []) {
            return $this->fault(
                'relief.shallow',
                ['given' => round($relief->depth->mm, 2), 'least' => round($thickest + self::LEAST_FLANK_MM, 2)],
            );
        }

        return new Relieved(
            $this->building->with(blocks: $blocks),
            $lost,
            ['depth' => $depth / $ratio, 'whole' => $whole / $ratio, 'share' => $squeeze],
        );
    }

    /**
     * Where something on a roof ends at the cut, a wall there would have a hole as wide as that: it is left open.
     *
     * @return list<Block>
     */
    private function openAt(float $cut): array
    {
        $open = [];
        foreach ($this->building->blocks as $block) {
            foreach ($this->building->blocks as $other) {
                if (self::standsOn($block, $other) && $block->standing()->bounds()->y1 > $cut - Tolerance::MEET) {
                    array_push($open, $block, $other);
                }
            }
        }

        return $open;
    }

    private static function standsOn(Block $block, Block $other): bool
    {
        $ring = $block->standing();

        return $block !== $other && Clip::sharedArea(new Region($ring), new Region($other->standing())) > $ring->area() / 2.0;
    }

    /** What stands on another block's roof is kept whole or left out: half a dormer holds nothing up. */
    private function sparesDormers(float $cut, float $depth): bool
    {
        $ratio = $this->building->scale->ratio;
        foreach ($this->building->blocks as $block) {
            $ring = $block->standing();
            $box = $ring->bounds();
            if ($box->y0 > $cut - Tolerance::MEET || $box->y1 < $cut + Tolerance::MEET) {
                continue;
            }
            foreach ($this->building->blocks as $other) {
                if (self::standsOn($block, $other)) {
                    $this->fault(
                        'relief.through',
                        [
                            'given' => round($depth / $ratio, 2), 'block' => $block->name,
                            'before' => round(($box->y0 - $this->front) / $ratio, 2),
                            'behind' => round(($box->y1 - $this->front) / $ratio, 2),
                        ],
                    );

                    return false;
                }
            }
        }

        return true;
    }

    /** @param  array<string, string|int|float>  $facts */
    private function fault(string $code, array $facts): Relieved
    {
        $this->problems->add($this->relief->path.'.depth', $code, $facts);

        return new Relieved($this->building, [], null);
    }

    /**
     * Where it is cut, by how much what is left is squeezed, and whether its roofs are made anew; null, and a fault, where it cannot be.
     *
     * @return ?array{float, float, bool}
     */
    private function lineOf(float $depth, float $whole): ?array
    {
        $cut = $this->front + $depth;
        if (in_array($this->relief->school, [Relief::SLICE, Relief::KEEP_PITCH], true)) {
            return [$cut, 1.0, $this->relief->school === Relief::KEEP_PITCH];
        }
        if ($this->relief->school === Relief::SQUEEZE) {
            return [$this->back, $depth / $whole, false];
        }
        $ridge = $this->ridge();
        if ($ridge === null) {
            return [$cut, 1.0, false];
        }
        [$fore, $aft] = $ridge;
        if ($this->relief->school === Relief::FRONT_SLOPE) {
            if ($fore > $cut + Tolerance::MEET) {
                $ratio = $this->building->scale->ratio;
                $this->fault(
                    'relief.no-ridge',
                    [
                        'given' => round($depth / $ratio, 2),
                        'least' => round(($fore - $this->front) / $ratio, 2),
                        'short' => round(($fore - $cut) / $ratio, 2),
                    ],
                );

                return null;
            }

            return [$cut, 1.0, false];
        }
        // A ridge that runs to the back is cut where it is; one across is brought to the back edge.
        $at = $fore > $cut ? $fore : ($aft < $cut ? $aft : $cut);

        return [$at, $at - $this->front < Tolerance::MEET ? 1.0 : $depth / ($at - $this->front), false];
    }

    /**
     * Where the highest ridge begins and ends, from front to back; null where no roof rises.
     *
     * @return ?array{float, float}
     */
    private function ridge(): ?array
    {
        $ratio = $this->building->scale->ratio;
        $highest = -INF;
        $ys = [];
        foreach ($this->building->blocks as $i => $block) {
            $ring = $block->standing()->scaled(1.0 / $ratio);
            // What is wrong with its roof is said where it is formed.
            foreach (RoofPlanes::of(
                $i,
                $block,
                $this->building->scale,
                $ring,
                $block->eaves->mm / $ratio,
                0.0,
                array_fill(0, count($block->walls), 0.0),
                new Problems,
            )->facets as $facet) {
                foreach ($facet->whole->outline->points as $p) {
                    $height = $facet->pitch->degrees > 0.0 ? $facet->heightAt($p) : -INF;
                    if ($height > $highest + 0.001) {
                        [$highest, $ys] = [$height, []];
                    }
                    if ($height > -INF && abs($height - $highest) <= 0.001) {
                        $ys[] = $p->y * $ratio;
                    }
                }
            }
        }

        return $ys === [] ? null : [min($ys), max($ys)];
    }
}
