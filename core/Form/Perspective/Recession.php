<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Perspective;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Footprint;
use Chartula\Core\Building\Perspective;
use Chartula\Core\Building\Receding;
use Chartula\Core\Building\RoofKind;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/** Builds blocks to look deeper than they are: their footprints in perspective, each with what it was. docs/formulas.md#perspective */
final readonly class Recession
{
    /** The depth leaves at least so much behind the front's card, model mm. */
    private const LEAST_MM = 1.0;

    private function __construct(
        private Building $building,
        private Perspective $perspective,
        private Problems $problems,
    ) {
    }

    /** Adds what cannot be made to the problems. */
    public static function of(Building $building, Problems $problems): Building
    {
        $perspective = $building->perspective;

        return $perspective?->depth === null ? $building : (new self($building, $perspective, $problems))->made($perspective->depth->mm);
    }

    private function made(float $depth): Building
    {
        $chosen = $this->chosen();
        $view = $chosen === [] ? null : $this->view($chosen, $depth);
        if ($view === null) {
            return $this->building;
        }
        $blocks = [];
        foreach ($this->building->blocks as $block) {
            if (! in_array($block, $chosen, true)) {
                $blocks[] = $block;

                continue;
            }
            $this->check($block, $view, $chosen);
            $points = array_map(static fn (Vec2 $p): Vec2 => $block->ownAxes($view->plan($p)), $block->standing()->points);
            $footprint = Footprint::polygon(
                array_map(static fn (Vec2 $p): array => [RealLength::ofMillimetres($p->x), RealLength::ofMillimetres($p->y)], $points),
                $block->footprint->edges,
            );
            $blocks[] = $block->with(
                footprint: $footprint,
                base: $this->base($block, $view, $chosen),
                uncut: null,
                receding: new Receding($block, $view),
            );
        }

        return $this->building->with(blocks: $blocks);
    }

    /** @return list<Block> */
    private function chosen(): array
    {
        $blocks = $this->perspective->blocks;
        if ($blocks === null) {
            return $this->building->blocks;
        }
        // What low relief has left of a block may be several.
        $chosen = array_values(
            array_filter($this->building->blocks, static fn (Block $b): bool => in_array($b->uncut->block->id ?? $b->id, $blocks, true)),
        );
        $known = array_map(static fn (Block $b): string => $b->uncut->block->id ?? $b->id, $this->building->blocks);
        foreach ($blocks as $i => $id) {
            if (! in_array($id, $known, true)) {
                $this->problems->add(
                    $this->perspective->path.".blocks.$i",
                    'perspective.no-block',
                    ['given' => $id, 'known' => implode(', ', array_unique($known))],
                );
            }
        }

        return $chosen;
    }

    /**
     * Real millimetres, to the front of the foremost of the blocks.
     *
     * @param  non-empty-list<Block>  $blocks
     */
    private function view(array $blocks, float $depth): ?OnePoint
    {
        $ratio = $this->building->scale->ratio;
        $path = $this->perspective->path;
        $eye = $this->building->plot?->eye === null ? null : $this->building->plot->eyeAt(0.0)->times($ratio);
        if ($eye === null) {
            $this->problems->add($path, 'perspective.no-eye');

            return null;
        }
        $ys = array_merge(
            ...array_map(static fn (Block $b): array => array_map(static fn (Vec2 $p): float => $p->y, $b->standing()->points), $blocks),
        );
        [$front, $whole] = [min($ys), max($ys) - min($ys)];
        if ($eye->y > $front - Tolerance::MEET) {
            $this->problems->add($path, 'perspective.eye-behind', ['by' => round(($eye->y - $front) / $ratio, 2)]);

            return null;
        }
        $least = self::LEAST_MM;
        foreach ($blocks as $block) {
            foreach ($block->walls as $wall) {
                $least = max(
                    $least,
                    $wall->isLeftOut() ? 0.0 : self::LEAST_MM + $this->building->methods->stacks[$wall->stack]->thickness_mm,
                );
            }
        }
        if ($depth < $least) {
            $this->problems->add("$path.depth", 'relief.shallow', ['given' => round($depth, 2), 'least' => round($least, 2)]);

            return null;
        }
        $apparent = $this->perspective->apparent->mm ?? $whole / $ratio;
        if ($apparent <= $depth) {
            $this->problems->add(
                $path.($this->perspective->apparent === null ? '.depth' : '.apparent'),
                'perspective.no-deeper',
                ['apparent' => round($apparent, 2), 'depth' => round($depth, 2)],
            );

            return null;
        }

        return OnePoint::of(
            $eye,
            $front,
            $depth * $ratio,
            $apparent * $ratio,
            $this->perspective->axis === null ? Perspective::FIGURES_EYE_MM : $this->perspective->axis->mm * $ratio,
        );
    }

    /**
     * Where its walls begin: on the ground as they do; on another block's roof as low as its foot comes to lie anywhere.
     *
     * @param  list<Block>  $chosen
     */
    private function base(Block $block, OnePoint $view, array $chosen): RealLength
    {
        return $this->isRaised($block) && $this->standsOn($block, $chosen)
            ? RealLength::ofMillimetres(
                min(
                    array_map(
                        static fn (Vec2 $p): float => $view->at(new Vec3($p->x, $p->y, $block->base->mm))->z,
                        $block->standing()->points,
                    ),
                ),
            ) : $block->base;
    }

    private function isRaised(Block $block): bool
    {
        return $block->base->mm > min(array_map(static fn (Block $b): float => $b->base->mm, $this->building->blocks)) + Tolerance::MEET;
    }

    /**
     * A dormer goes with the roof that it stands on.
     *
     * @param  list<Block>  $chosen
     */
    private function standsOn(Block $block, array $chosen): bool
    {
        $ring = $block->standing();
        foreach ($chosen as $other) {
            if (
                $other !== $block
                && $other->roof->kind !== RoofKind::Flat
                && Clip::sharedArea(new Region($ring), new Region($other->standing())) > $ring->area() / 2.0
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Block>  $chosen */
    private function check(Block $block, OnePoint $view, array $chosen): void
    {
        $isDormer = $this->isRaised($block) && $this->standsOn($block, $chosen);
        if (! $isDormer && ($this->isRaised($block) || $view->axis < $block->base->mm)) {
            $this->problems->add(
                $block->path.'.base',
                $this->isRaised($block) ? 'perspective.raised' : 'perspective.axis-low',
                ['block' => $block->name],
            );
        }
        if ($block->roof->isBehindWalls()) {
            $this->problems->add($block->roof->path, 'perspective.no-roof', ['block' => $block->name]);
        }
    }
}
