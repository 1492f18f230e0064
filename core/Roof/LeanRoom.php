<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\Solid;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Where a bevelled corner has no room: leaning out over its eaves it would go into the wall of another block, or into the card of a
 * plane that it meets in no more than a point. docs/formulas.md#panel-edges
 */
final readonly class LeanRoom
{
    /** Corners lie beside each other within so many thicknesses. */
    private const NEAR = 4.0;

    public function __construct(private Form $form)
    {
    }

    /**
     * @param  Patch  $patch  what is seen of the facet's underside, in plan
     * @param  Patch  $shape  of its card at a height above that, in the facet's own axes
     */
    public function isTaken(Facet $facet, Patch $patch, Patch $shape, float $height): bool
    {
        foreach ($this->form->facets as $other) {
            $isBeside = $other === $facet || in_array(Side::plane($other->id()), $patch->labels, true);
            if (! $isBeside && self::meetsInPoint($facet, $patch, $shape, $height, $other)) {
                return true;
            }
        }
        foreach ($this->form->solids as $solid) {
            foreach ($solid->index === $facet->block ? [] : array_keys($solid->ring->points) as $edge) {
                if (self::isBeside($patch, $solid, $edge) && self::isIn($facet, $shape, $height, $solid, $edge)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether, near a corner that both planes have, the card comes over the other's. */
    private static function meetsInPoint(Facet $facet, Patch $patch, Patch $shape, float $height, Facet $other): bool
    {
        foreach ($patch->outline->points as $corner) {
            if (! self::hasCorner($facet, $corner, $other)) {
                continue;
            }
            $at = $facet->lifted($corner);
            foreach ($shape->outline->points as $p) {
                $way = $facet->frame->at($p, $height)->minus($at);
                if ($way->length() < self::NEAR * $height && $way->dot($other->frame->normal) > $height + Tolerance::MEET) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function hasCorner(Facet $facet, Vec2 $corner, Facet $other): bool
    {
        foreach ($other->patches as $its) {
            foreach ($its->outline->points as $q) {
                if ($q->distanceTo($corner) < Tolerance::MEET && abs($other->heightAt($q) - $facet->heightAt($corner)) < Tolerance::MEET) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether all of a plane's underside stands before a wall, and comes up to it. */
    private static function isBeside(Patch $patch, Solid $solid, int $edge): bool
    {
        $behind = array_map(static fn (Vec2 $p): float => $solid->behind($edge, $p), $patch->outline->points);
        [$from, $to] = [$solid->ring->point($edge), $solid->ring->point($edge + 1)];
        $near = min(array_map(static fn (Vec2 $p): float => $p->distanceToSegment($from, $to), $patch->outline->points));

        return max($behind) < Tolerance::PLANE && $near < Tolerance::PLANE;
    }

    private static function isNear(Solid $solid, Vec2 $at, float $by): bool
    {
        return $solid->contains($at) || $solid->ring->distanceTo($at) < $by;
    }

    private static function isIn(Facet $facet, Patch $shape, float $height, Solid $solid, int $edge): bool
    {
        foreach ($shape->outline->points as $p) {
            $at = $facet->frame->at($p, $height);
            $plan = new Vec2($at->x, $at->y);
            $isBehind = $solid->behind($edge, $plan) > Tolerance::PLANE && self::isNear($solid, $plan, $height);
            if ($isBehind && $at->z < $solid->wallTop($edge, $plan)) {
                return true;
            }
        }

        return false;
    }
}
