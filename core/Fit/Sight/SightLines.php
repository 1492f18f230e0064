<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Tolerance;

/**
 * What an eye before a building cut at a depth sees of the cut: by the sections of handbook's sight lines. Model millimetres;
 * depths from the building's front, heights above the baseboard. docs/formulas.md#sight
 */
final readonly class SightLines
{
    /**
     * @param  float  $distance  of the eye before the building's front
     * @param  float  $height  of the eye
     * @param  float  $aside  how far it stands beyond the end of the building, sideways
     * @param  float  $eaves  of the front
     * @param  Angle  $pitch  of the front slope as it is modelled
     * @param  float  $ridge  of the whole building
     * @param  float  $ridgeDepth  how far behind the front that lies
     * @param  float  $whole  depth of the whole building
     * @param  float  $depth  at which it is cut
     * @param  float  $top  of what is left, at the cut
     * @param  float  $gap  before the backscene
     */
    public function __construct(
        public float $distance,
        public float $height,
        public float $aside,
        public float $eaves,
        public Angle $pitch,
        public float $ridge,
        public float $ridgeDepth,
        public float $whole,
        public float $depth,
        public float $top,
        public float $gap,
    ) {
    }

    /** The least height of an eye that sees the front slope. */
    public function frontSlopeFrom(): float
    {
        return $this->eaves - $this->distance * $this->pitch->tan();
    }

    /** The least height from which it is noticed that there is no rear slope. */
    public function missingRearFrom(): float
    {
        return $this->ridge + ($this->distance + $this->ridgeDepth) * $this->pitch->tan();
    }

    /** The least height from which the cut edge shows where it is cut level. */
    public function levelCutFrom(): float
    {
        return $this->top;
    }

    /** The height from which the top edge shows where it is cut square to its panel; cut upright it never shows. */
    public function squareCutFrom(): float
    {
        return $this->top + ($this->distance + $this->depth) / $this->pitch->tan();
    }

    /** The height down to which the backscene shows behind the top: it is painted at least so far. */
    public function backsceneDownTo(): float
    {
        return $this->top - ($this->height - $this->top) * $this->gap / ($this->distance + $this->depth);
    }

    /** The angle at which it looks past the flank, degrees; 0 where the eye is not beyond the end. */
    public function flankDegrees(): float
    {
        return $this->aside <= 0.0 ? 0.0 : rad2deg(atan($this->aside / ($this->distance + $this->depth)));
    }

    /** How much of the flank's missing depth would fill across the line of sight. */
    public function missingDepth(): float
    {
        return ($this->whole - $this->depth) * sin(deg2rad($this->flankDegrees()));
    }

    /** How wide the slot between building and backscene looks beside the flank. */
    public function slot(): float
    {
        return $this->gap * sin(deg2rad($this->flankDegrees()));
    }

    /** How deep the flank must be for a neighbour, so far away and its front so far back, to hide where it ends. */
    public function depthThatHides(float $away, float $neighbourFront): float
    {
        $tan = tan(deg2rad($this->flankDegrees()));

        return $tan < Tolerance::ROUNDING ? 0.0 : $neighbourFront + $away / $tan;
    }

    /**
     * How wide the building's shadow on the backscene shows beside it, under a light at $lightDegrees off the normal, from the light's far
     * side.
     */
    public function shadow(float $lightDegrees): float
    {
        return $this->gap * (tan(deg2rad($lightDegrees)) + tan(deg2rad($this->flankDegrees())));
    }
}
