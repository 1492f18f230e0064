<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Form\Covered;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Whether another block stands where something would be raised: against the wall, or with its roof. Model millimetres. */
final readonly class InTheWay
{
    /** What it covers less than this of is not in its way, mm². */
    private const LEAST_MM2 = 0.01;

    /** Cards and papers come out thicker than is said: what is raised stands no farther before its wall than that, and so much. */
    private const MORE_MM = 1.0;

    /** @param  float  $thickness  of roofs */
    public function __construct(private Form $form, private float $thickness)
    {
    }

    /** A wall with what is in the way of its claims told. */
    public function told(WallForm $wall): WallForm
    {
        $isRaised = array_filter($wall->claims, static fn (Claim $c): bool => $c->how->isRaised());
        $isAlone = count($this->form->blocks) === 1 && array_filter($isRaised, static fn (Claim $c): bool => $c->isOwn) === [];
        if ($isRaised === [] || $isAlone) {
            return $wall;
        }
        $covered = array_map(static fn (Covered $c): Region => new Region($c->ring), Covered::of($this->form, $wall));

        return $wall->with(claims: array_map(
            fn (Claim $c): Claim => $c->how->isRaised() && $this->isBlocked($wall, $c, $covered) ? $c->with(isBlocked: true) : $c,
            $wall->claims,
        ));
    }

    /** @param  list<Region>  $covered */
    private function isBlocked(WallForm $wall, Claim $claim, array $covered): bool
    {
        foreach ($covered as $region) {
            if (Clip::sharedArea(new Region($claim->ring), $region) > self::LEAST_MM2) {
                return true;
            }
        }
        $box = $claim->ring->bounds();
        $plan = self::plan($wall, [$box->x0, $box->x1], [0.0, $claim->proud + self::MORE_MM]);
        $foot = $wall->frame->origin->z;
        foreach ($this->form->facets as $facet) {
            // Eaves are cut square: their tops come out farther down the slope than their undersides.
            $up = $facet->frame->y;
            $tip = $this->thickness * $facet->pitch->sin();
            $way = (new Vec2($up->x, $up->y))->times($tip / max(Tolerance::PLANE, hypot($up->x, $up->y)));
            foreach ([[$plan, 0.0], [$plan->moved($way->x, $way->y), $tip * $facet->pitch->tan()]] as [$where, $lower]) {
                $heights = [$foot + $box->y0 + $lower, $foot + $box->y1 + $lower];
                if ($facet->block !== $wall->block && $this->comesInto($facet, $where, $heights)) {
                    return true;
                }
            }
        }

        return $claim->isOwn && $this->isInABlock($wall, $claim);
    }

    /** What stands far before a wall may come into another one, beyond an inner corner, or of another block. */
    private function isInABlock(WallForm $wall, Claim $claim): bool
    {
        $box = ($claim->shown ?? $claim->ring)->bounds();
        $plan = new Region(self::plan($wall, [$box->x0, $box->x1], [Tolerance::MEET, $claim->proud]));
        [$foot, $top] = [$wall->frame->origin->z + $box->y0, $wall->frame->origin->z + $box->y1];
        foreach ($this->form->blocks as $block) {
            if ($block->base < $top && $block->eaves > $foot && Clip::sharedArea($plan, new Region($block->ring)) > self::LEAST_MM2) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array{float, float}  $run  along the wall
     * @param  array{float, float}  $out  before it
     */
    private static function plan(WallForm $wall, array $run, array $out): Ring
    {
        return new Ring(array_map(static function (array $at) use ($wall): Vec2 {
            $p = $wall->frame->at(new Vec2($at[0], 0.0), $at[1]);

            return new Vec2($p->x, $p->y);
        }, [[$run[0], $out[1]], [$run[1], $out[1]], [$run[1], $out[0]], [$run[0], $out[0]]]));
    }

    /** @param  array{float, float}  $heights  above the datum */
    private function comesInto(Facet $facet, Ring $plan, array $heights): bool
    {
        foreach ($facet->patches as $patch) {
            foreach ($patch->outline->bounds()->gapTo($plan->bounds()) > 0.0 ? [] : self::shared($patch, $plan) as $over) {
                $levels = array_map($facet->heightAt(...), $over->outline->points);
                $top = max($levels) + $this->thickness / max(Tolerance::NOTHING, $facet->frame->normal->z);
                if (min($levels) < $heights[1] && $top > $heights[0]) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Patch> of a slope's plan, what lies over a piece of it */
    public static function shared(Patch $patch, Ring $plan): array
    {
        $sides = array_map(
            static fn (int $i): Line => new Line($plan->point($i), $plan->point($i + 1), ''),
            array_keys($plan->points),
        );
        $region = $patch->region();

        return Overlay::patches(
            [...$patch->lines(), ...$sides],
            static fn (Vec2 $p): bool => $region->contains($p) && $plan->contains($p),
        );
    }
}
