<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Stock\Layer;

/** Finds what cannot be made although every field is sound: openings that leave their wall, walls shorter than their corners. */
final readonly class FormFaults
{
    /** Card narrower than one printed dot, mm, cannot be cut. */
    private const LEAST_MM = 0.05;

    public static function collect(Building $building, Walls $walls, Problems $problems): void
    {
        foreach ($walls->spans() as $span) {
            $wall = $span->form;
            if ($span->isBuilt()) {
                self::checkLength($span, $problems);
                self::checkMitre($building, $walls, $span, $problems);
            }
            foreach ($wall->openings as $opening) {
                self::checkPlace($building, $span, $opening, $problems);
            }
            self::checkOverlaps($span, $problems);
        }
    }

    private static function checkLength(WallSpan $span, Problems $problems): void
    {
        [$start, $end] = $span->extent();
        $corners = $span->form->length->mm - ($end - $start);
        if ($end - $start <= WallSpan::LEAST_MM) {
            $problems->add(
                $span->block->path.'.footprint',
                'wall.too-short',
                ['length' => round($span->form->length->mm, 2), 'corners' => round($corners, 2)],
            );
        }
    }

    /** Reports walls that cannot be mitred because their layers differ: bevels meet layer by layer. */
    private static function checkMitre(Building $building, Walls $walls, WallSpan $span, Problems $problems): void
    {
        $other = $walls->span($span->form->block, $span->right->edge);
        if ($span->right->kind === WallEnd::MITRE && $other->isBuilt() && $span->stack->thicknesses() !== $other->stack->thicknesses()) {
            $corner = $span->block->corners[$span->right->edge] ?? null;
            $problems->add($corner?->method === null ? 'methods.corner' : $corner->path.'.method', 'corner.unlike-layers', [
                'wall' => $span->name(), 'other' => $other->name(), 'layers' => implode(' + ', $span->stack->thicknesses()),
                'others' => implode(' + ', $other->stack->thicknesses()),
            ]);
        }
    }

    private static function checkPlace(Building $building, WallSpan $span, OpeningForm $opening, Problems $problems): void
    {
        $scale = $building->scale;
        $wall = $span->form;
        $path = $opening->opening->path;
        $past = $opening->right() - $wall->length->mm;
        if ($past > Tolerance::SAME) {
            $problems->add(
                $path.'.from',
                'opening.past-end',
                ['over' => round($past * $scale->ratio, 2), 'length' => round($wall->length->mm * $scale->ratio, 2)],
            );

            return;
        }
        [$left, $right] = [$span->left->taken($span->stack->thickness_mm), $span->right->taken($span->stack->thickness_mm)];
        foreach ([[$opening->left, $left], [-$past, $right]] as [$at, $thickness]) {
            if ($at < $thickness - Tolerance::SAME) {
                $problems->add($path.'.from', 'opening.in-corner', ['left' => round($at, 2), 'thickness' => round($thickness, 2)]);
            }
        }
        $over = -INF;
        $lowest = INF;
        foreach ($opening->ring()->points as $point) {
            $top = $wall->heightAt($point->x);
            $over = max($over, $point->y - $top);
            $lowest = min($lowest, $top);
        }
        if (! $opening->reachesFoot() && $opening->sill - $wall->foot < self::LEAST_MM) {
            $problems->add($path.'.sill', 'opening.sill-thin', ['least' => self::LEAST_MM]);

            return;
        }
        if ($over > -self::LEAST_MM && $over < -Tolerance::SAME) {
            $problems->add($path.'.sill', 'opening.head-thin', ['least' => self::LEAST_MM]);

            return;
        }
        if ($over > -self::LEAST_MM) {
            $problems->add(
                $path.'.sill',
                'opening.above-wall',
                ['over' => round(max(0.0, $over) * $scale->ratio, 2), 'height' => round($lowest * $scale->ratio, 2)],
            );

            return;
        }
        if ($wall->ground !== null) {
            // Where it recedes its sill rises as the ground does.
            $over = max(
                array_map(
                    static fn (Vec2 $p): float =>
                        $wall->ground[0] + ($wall->ground[1] - $wall->ground[0]) * $p->x / $wall->length->mm - $p->y,
                    array_slice($opening->ring()->points, 0, 2),
                ),
            );
            if ($over > Tolerance::SAME) {
                $problems->add($path.'.sill', 'opening.below-ground', ['over' => round($over * $scale->ratio, 1)]);
            }
        }
        self::checkHidden($span, $opening, $scale, $problems);
    }

    /** Finds openings that another block covers, or that the wall is not there for. */
    private static function checkHidden(WallSpan $span, OpeningForm $opening, Scale $scale, Problems $problems): void
    {
        $wall = $span->form;
        if ($wall->wall->isLeftOut()) {
            $problems->add($opening->opening->path, 'opening.no-wall', ['wall' => $wall->wall->name]);

            return;
        }
        if (! self::isHeld($span->isBuilt() ? $wall->patches : [], $opening->ring())) {
            $problems->add($opening->opening->path.'.from', 'opening.hidden', ['wall' => $wall->wall->name]);

            return;
        }
        $cut = $span->cut($opening->opening);
        // Behind the outside a slope in front of the wall stands higher: its card is cut square.
        foreach (self::isClearOfCorners($span, $opening) ? $span->unlikeLayers() : [] as $k) {
            if (! self::isHeld($span->squarePatches($k), $opening->ring($wall->turnIn))) {
                $problems->add($opening->opening->path.'.sill', 'opening.on-slope', [
                    'wall' => $wall->wall->name, 'layer' => $span->stack->layers[$k]->id,
                    'thickness' => round($span->stack->thickness_mm, 2),
                ]);

                return;
            }
        }
        $isIn = ($opening->reachesFoot() || $opening->sill - $cut->rebate - $wall->foot >= self::LEAST_MM)
            && self::isClearOfCorners($span, $opening, $cut->rebate);
        foreach ($cut->cutBack($span->stack) as $k) {
            if (! $isIn || ! self::isHeld($span->squarePatches($k), $opening->ring($cut->grow($k) + self::LEAST_MM))) {
                $problems->add($opening->opening->path.'.from', 'rebate.no-wall', ['rebate' => round($cut->rebate, 2)]);

                return;
            }
        }
    }

    /** @param  float  $by  as much more is asked for */
    private static function isClearOfCorners(WallSpan $span, OpeningForm $opening, float $by = 0.0): bool
    {
        $thickness = $span->stack->thickness_mm;

        return $opening->left - $by >= $span->left->taken($thickness) - Tolerance::SAME
            && $opening->right() + $by <= $span->form->length->mm - $span->right->taken($thickness) + Tolerance::SAME;
    }

    /** @param  list<Patch>  $patches */
    private static function isHeld(array $patches, Ring $opening): bool
    {
        foreach ($patches as $patch) {
            if (self::holds($patch, $opening)) {
                return true;
            }
        }

        return false;
    }

    private static function holds(Patch $patch, Ring $opening): bool
    {
        $points = $opening->points;
        foreach ($points as $i => $point) {
            $next = $points[($i + 1) % count($points)];
            // A door stands on the foot: it is asked just above it.
            foreach ([$point, $point->plus($next)->times(0.5)] as $at) {
                $asked = new Vec2($at->x, max($at->y, 0.001));
                if (! $patch->outline->contains($asked)) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function checkOverlaps(WallSpan $span, Problems $problems): void
    {
        $openings = $span->form->openings;
        $widest = max([0.0, ...array_map(static fn (OpeningForm $o): float => $span->cut($o->opening)->rebate, $openings)]);
        foreach ($openings as $i => $a) {
            for ($k = $i + 1; $k < count($openings); $k++) {
                $b = $openings[$k];
                // They stand from left to right.
                if ($b->left - $a->right() > 2.0 * $widest + self::LEAST_MM) {
                    break;
                }
                $across = min($a->right(), $b->right()) - max($a->left, $b->left);
                $up = min($a->top(), $b->top()) - max($a->sill, $b->sill);
                $rebates = $span->cut($a->opening)->rebate + $span->cut($b->opening)->rebate;
                if (min($across, $up) + $rebates > -self::LEAST_MM) {
                    $isOnFace = min($across, $up) > -self::LEAST_MM;
                    $problems->add(
                        $b->opening->path.'.from',
                        $isOnFace ? 'opening.overlap' : 'rebate.overlap',
                        ['other' => $a->id, 'over' => round(max(0.0, min($across, $up) + ($isOnFace ? 0.0 : $rebates)), 2)],
                    );
                }
            }
        }
    }
}
