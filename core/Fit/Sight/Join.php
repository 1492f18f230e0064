<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Measure\Tolerance;

/**
 * Where a flank ends before the backscene, and by what that is hidden: angles in degrees off the line straight to the backscene, lengths in
 * model millimetres. docs/formulas.md#sight
 */
final readonly class Join
{
    /**
     * @param  float  $depth  of the flank behind the front's corner
     * @param  float  $missing  how much deeper the building is
     * @param  float  $gap  before the backscene
     * @param  float  $angle  at which the eye looks past the flank
     */
    public function __construct(
        public float $depth,
        public float $missing,
        public float $gap,
        public float $angle,
    ) {
    }

    /** How much of the flank's missing depth would fill across the line of sight. */
    public function missingAcross(): float
    {
        return $this->missing * sin(deg2rad($this->angle));
    }

    /** How wide the slot between building and backscene looks beside the flank. */
    public function slot(): float
    {
        return $this->gap * sin(deg2rad($this->angle));
    }

    /** How deep the flank must be for a neighbour, so far away and its front so far back, to hide where it ends. */
    public function depthThatHides(float $away, float $neighbourFront): float
    {
        $tan = tan(deg2rad($this->angle));

        return $tan < Tolerance::ROUNDING ? INF : $neighbourFront + $away / $tan;
    }

    /** The angle up to which a return hides the join that stands back by so much behind the front's corner. */
    public function hiddenByReturn(float $back): float
    {
        return rad2deg(atan2($back, $this->depth));
    }

    /** By how much a flank is turned in so that it never shows, and so does a return that hides its end. */
    public function turnedIn(): float
    {
        return $this->depth * tan(deg2rad($this->angle));
    }

    /**
     * How wide the building's shadow on the backscene shows beside it, under light at $light degrees off the normal.
     *
     * @param  bool  $isOnEyesSide  whether the shadow falls to the side from which the eye looks
     */
    public function shadow(float $light, bool $isOnEyesSide): float
    {
        [$cast, $tan] = [$this->gap * tan(deg2rad($light)), tan(deg2rad($this->angle))];

        return $isOnEyesSide ? $cast + $this->gap * $tan : max(0.0, $cast - ($this->depth + $this->gap) * $tan);
    }
}
