<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** How far a face of a wall stops short of the corner. docs/formulas.md#corner */
final readonly class CornerCut
{
    /**
     * A face at depth $m behind its own wall's outside, ended by the plane at depth $d behind the other wall's outside,
     * measured along the wall from the corner point: (d + m·cos θ)/sin θ; negative where it runs past the corner.
     *
     * @param  float  $thetaDeg  interior angle, not 0, 180 or 360
     */
    public static function start(float $m, float $d, float $thetaDeg): float
    {
        $theta = deg2rad($thetaDeg);

        return ($d + $m * cos($theta)) / sin($theta);
    }
}
