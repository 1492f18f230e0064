<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Names the sides of a roof's plane where other blocks cut it. docs/formulas.md#envelope */
final readonly class SideNames
{
    /** A point beside a line is taken so far to either side of it. */
    private const ASIDE_MM = 0.001;

    /** A valley is looked at this near to where it begins; the unit is how far square edges lean. */
    private const BEGINS_LEANS = 8.0;

    /**
     * @param  list<Solid>  $solids
     * @param  float  $roof  thickness of the roof
     */
    public function __construct(
        private array $solids,
        private float $roof,
    ) {
    }

    /**
     * An overhang that comes down on another block's roof ends on top of it: only inside its own block is that roof cut. Cut
     * square, its edges lean out, so that this holds for as far inside as they lean.
     */
    public function of(string $label, Vec2 $at, Solid $own, Facet $facet, float $lean): string
    {
        $side = Side::of($label);
        if ($side->kind === SideKind::Wall) {
            $wall = $side->wallOrFail();

            return $this->ownSide($facet, $this->solids[$wall->block], $wall->edge, $at) ?? $label;
        }
        if ($side->kind !== SideKind::Plane || $side->planeOrFail()->block === $own->index) {
            return $label;
        }
        $other = $this->solids[$side->planeOrFail()->block];
        $over = Side::over($side->planeOrFail());
        // What stands on a roof lies on top of its card all along; that is cut to it.
        if ($own->standsIn($other)) {
            return $over;
        }
        if ($own->contains($at)) {
            $slope = $facet->gradient();
            $out = $slope->length() < Tolerance::ROUNDING ? $at : $at->minus($slope->times(2.0 * $lean / $slope->length()));

            return ! self::beginsAsideOf($other, $own, $label, $facet, $at, $lean)
                && $own->ring->distanceTo($at) < $lean
                && ! $own->contains($out)
                && $other->contains($out)
                && $other->ring->distanceTo($out) > $lean
                ? $over
                : $label;
        }

        return ! $own->mayReach($at) && $other->contains($at) ? $over : $label;
    }

    /** A valley that comes in beside another block, and not from over its roof, is a valley from where it begins. */
    private static function beginsAsideOf(Solid $other, Solid $own, string $label, Facet $facet, Vec2 $at, float $lean): bool
    {
        foreach ($other->roof->facets as $its) {
            if (Side::plane($its->id()) !== $label) {
                continue;
            }
            $slope = $facet->gradient()->minus($its->gradient());
            $way = (new Vec2(-$slope->y, $slope->x))->times(1.0 / max(Tolerance::CUT, $slope->length()));
            foreach ([1.0, -1.0] as $sign) {
                for ($far = self::ASIDE_MM; $far < self::BEGINS_LEANS * $lean; $far *= 2.0) {
                    $there = $at->plus($way->times($sign * $far));
                    if (! $own->contains($there)) {
                        return ! $other->contains($there);
                    }
                }
            }
        }

        return false;
    }

    /** A roof that ends by itself over a wall's own block, or above the wall's top, does not die into that wall. */
    private function ownSide(Facet $facet, Solid $solid, int $edge, Vec2 $at): ?string
    {
        $along = $solid->ring->point($edge + 1)->minus($solid->ring->point($edge));
        $out = (new Vec2($along->y, -$along->x))->times(self::ASIDE_MM / $along->length());
        $side = self::sideAt($facet, $at);
        $isInside = $facet->whole->outline->contains($at->minus($out)) && ! $facet->whole->outline->contains($at->plus($out));
        if (! $isInside) {
            $top = $solid->top($at->minus($out));
            $under = $facet->heightAt($at);
            if ($side === null || $under + ($side === 'eaves' ? $this->roof / $facet->pitch->cos() : 0.0) < $top - Tolerance::CUT) {
                return null;
            }
            // An eaves against a wall that does not reach up to its top, or that would lean out over another's card, is cut upright and
            // free.
            if ($side === 'eaves' && $under < $top + $this->roof / $this->pitchAt($solid, $at->minus($out))) {
                return Side::beside($solid->index, $edge);
            }
        }

        return $side;
    }

    /** The cosine of the pitch of a roof over a place; 1 where there is none. */
    private function pitchAt(Solid $solid, Vec2 $at): float
    {
        foreach ($solid->roof->facets as $facet) {
            if ($facet->whole->outline->contains($at)) {
                return $facet->pitch->cos();
            }
        }

        return 1.0;
    }

    private static function sideAt(Facet $facet, Vec2 $at): ?string
    {
        foreach ($facet->whole->lines() as $side) {
            if ($at->distanceToSegment($side->from, $side->to) < self::ASIDE_MM) {
                return $side->label;
            }
        }

        return null;
    }
}
