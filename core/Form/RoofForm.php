<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** The roof of one block as surfaces, with its overhang, before other blocks cut it. Model millimetres, the building's axes. */
final readonly class RoofForm
{
    /**
     * @param  list<Facet>  $facets
     * @param  ?Ring  $outline  in plan, overhang included; null where there is no roof
     */
    public function __construct(
        public array $facets,
        public ?Ring $outline,
    ) {
    }

    /** The plane over a place; null beside the roof. */
    public function facetAt(Vec2 $at): ?Facet
    {
        foreach ($this->facets as $facet) {
            if ($facet->whole->outline->contains($at)) {
                return $facet;
            }
        }

        return null;
    }

    /** The underside over a place; null beside the roof. */
    public function heightAt(Vec2 $at): ?float
    {
        $near = null;
        foreach ($this->facets as $facet) {
            $ring = $facet->whole->outline;
            if ($ring->contains($at)) {
                return $facet->heightAt($at);
            }
            if ($near === null && $ring->distanceTo($at) < 0.0001) {
                $near = $facet->heightAt($at);
            }
        }

        return $near;
    }
}
