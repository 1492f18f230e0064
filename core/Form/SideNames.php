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
        private Resting $resting,
    ) {
    }

    /**
     * An overhang that comes down on another block's roof ends on top of it: only inside its own block is that roof cut. Cut
     * square, its edges lean out, so that this holds for as far inside as they lean.
     */
    public function of(string $label, Vec2 $at, Solid $own, Facet $facet, float $lean): string
    {
        $side = Side::of($label);
        $open = SideKind::Open->value;

        return match ($side->kind) {
            SideKind::Wall => $this->atWall($side->wallOrFail(), $at, $own, $facet) ?? $label,
            SideKind::Party => $this->goesOn($facet, $this->solids[$side->wallOrFail()->block], $side->wallOrFail()->edge, $at) ?? $open,
            SideKind::Beneath => $this->beneath($side->wallOrFail(), $at, $own) ?? $label,
            SideKind::Within => $this->isUnderOther($own, $facet, $side->wallOrFail()->edge, $at)
                ? $label
                : self::sideAt($facet, $at) ?? $open,
            SideKind::Plane => $this->atPlane($side->planeOrFail(), $at, $own, $facet, $lean) ?? $label,
            default => $label,
        };
    }

    private function atWall(WallId $wall, Vec2 $at, Solid $own, Facet $facet): ?string
    {
        $solid = $this->solids[$wall->block];

        return $this->goesOn($facet, $solid, $wall->edge, $at) ?? $this->ownSide($own, $facet, $solid, $wall->edge, $at);
    }

    /** Behind the card of a wall that stands before its block a plane begins again. */
    private function beneath(WallId $wall, Vec2 $at, Solid $own): ?string
    {
        $solid = $this->solids[$wall->block];

        return $own->holds($solid->before($wall->edge, $at)) ? null : Side::within($solid->index, $wall->edge);
    }

    private function atPlane(PlaneId $plane, Vec2 $at, Solid $own, Facet $facet, float $lean): ?string
    {
        if ($plane->block === $own->index) {
            return null;
        }
        $other = $this->solids[$plane->block];

        // What lies on top of another's card all along: that is cut to it.
        return match (true) {
            ! $this->reachesTo($other, $plane, $at) => self::sideAt($facet, $at),
            $this->resting->isOn($facet->id(), $plane) => Side::over($plane),
            $this->resting->isOn($plane, $facet->id()) => Side::below($plane),
            $own->distanceToSide($at) < Tolerance::EDGE => null,
            $own->contains($at), $own->mayReach($at) => $this->isClear($plane, $at, $own, $facet, $lean) ? Side::clear($plane) : null,
            default => $other->contains($at) ? Side::over($plane) : null,
        };
    }

    /** Whether a square-cut eaves, that leans out, would come over another's roof, where that is cut to a valley inside its own block. */
    private function isClear(PlaneId $plane, Vec2 $at, Solid $own, Facet $facet, float $lean): bool
    {
        $other = $this->solids[$plane->block];
        $slope = $facet->gradient();
        $out = $slope->length() < Tolerance::ROUNDING ? $at : $at->minus($slope->times(2.0 * $lean / $slope->length()));

        return $own->distanceToSide($at) < $lean
            && ! $own->contains($out)
            && ! $own->mayReach($out)
            && $other->contains($out)
            && $other->ring->distanceTo($out) > $lean
            && ! self::beginsAsideOf($other, $own, Side::plane($plane), $facet, $at, $lean);
    }

    /** The plane of the block beyond a wall, where it lies in one with this one: they meet edge to edge. */
    private function goesOn(Facet $facet, Solid $solid, int $edge, Vec2 $at): ?string
    {
        $along = $solid->ring->point($edge + 1)->minus($solid->ring->point($edge));
        $beyond = $at->plus((new Vec2(-$along->y, $along->x))->times(self::ASIDE_MM / $along->length()));
        $next = $solid->roof->facetAt($beyond);
        $isOne = $next !== null
            && abs($next->heightAt($beyond) - $facet->heightAt($beyond)) < Tolerance::SAME
            && $next->gradient()->distanceTo($facet->gradient()) < Tolerance::SAME;

        return $isOne ? Side::plane($next->id()) : null;
    }

    /** Whether a plane, as its block has it by itself, comes up to a place; its square eaves leans out. */
    private function reachesTo(Solid $solid, PlaneId $plane, Vec2 $at): bool
    {
        foreach ($solid->roof->facets as $facet) {
            if ($facet->id()->key() === $plane->key()) {
                return $facet->whole->outline->contains($at) || $facet->whole->outline->distanceTo($at) < $this->roof;
            }
        }

        return false;
    }

    /** Whether another block stands before a wall and above the roof over it. */
    private function isUnderOther(Solid $own, Facet $facet, int $edge, Vec2 $at): bool
    {
        $along = $own->ring->point($edge + 1)->minus($own->ring->point($edge));
        $before = $at->plus((new Vec2($along->y, -$along->x))->times(self::ASIDE_MM / $along->length()));
        foreach ($this->solids as $solid) {
            if ($solid->index !== $own->index && $solid->contains($before) && $solid->top($before) > $facet->heightAt($at)) {
                return true;
            }
        }

        return false;
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
    private function ownSide(Solid $own, Facet $facet, Solid $solid, int $edge, Vec2 $at): ?string
    {
        $along = $solid->ring->point($edge + 1)->minus($solid->ring->point($edge));
        $out = (new Vec2($along->y, -$along->x))->times(self::ASIDE_MM / $along->length());
        $side = self::sideAt($facet, $at);
        $isInside = $facet->whole->outline->contains($at->minus($out)) && ! $facet->whole->outline->contains($at->plus($out));
        if (! $isInside) {
            $top = $solid->top($at->minus($out));
            $under = $facet->heightAt($at);
            $card = $this->roof / $facet->pitch->cos();
            $leans = $side === 'eaves' && $facet->pitch->degrees > 0.0;
            $isCrossed = $own->contains($at->minus($out));
            // Where blocks cross a wall ends at the card of the other's roof; else it may be hardly higher than that card's underside.
            if (
                ($isCrossed && $under + $card > $solid->wallTop($edge, $at) - Tolerance::CUT)
                || (! $isCrossed && ($under < $top || $side === null) && $this->isHalfAbove($facet, $solid, $at->minus($out)))
            ) {
                return Side::beside($solid->index, $edge);
            }
            if ($side === null || $under + ($leans ? $card : 0.0) < $top - Tolerance::CUT) {
                return null;
            }
            // An eaves against a wall that does not reach up to its top, or that would lean out over another's card, is cut upright and
            // free.
            if ($leans && $under < $top + $this->roof / $this->pitchAt($solid, $at->minus($out))) {
                return Side::beside($solid->index, $edge);
            }
        }

        return $side;
    }

    /** Whether the middle of a plane's card, cut square, lies above another block. */
    private function isHalfAbove(Facet $facet, Solid $solid, Vec2 $at): bool
    {
        $normal = $facet->frame->normal;
        $middle = $at->plus((new Vec2($normal->x, $normal->y))->times($this->roof / 2.0));
        $over = $solid->roof->facetAt($at);
        $top = $solid->hasParapet || $over === null ? $solid->eaves : $over->heightAt($middle);

        return $facet->heightAt($at) + $this->roof / 2.0 * $normal->z > $top;
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
