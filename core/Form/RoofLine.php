<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * The line in which roofs lie over a wall at a depth behind its outside: stretches from where to where, and the heights at both
 * above its base. docs/formulas.md#wall-section
 */
final readonly class RoofLine
{
    /** The card of a corner reaches no further past its wall than this. */
    private const RUNS_ON_MM = 20.0;

    /**
     * The underside of a block's roof, from left to right; behind an oblique corner it begins a little after its wall does, whose top
     * runs on.
     *
     * @param  array{Profile, Profile}  $over  what lies over a depth, and the depth at which heights are taken
     * @param  list<Line>  $lines
     * @return list<array{float, float, float, float}> from, to, and the heights there above the foot
     */
    public static function under(array $over, Solid $own, array &$lines): array
    {
        $top = [];
        $facets = $over[0]->facets($own->roof);
        foreach ($facets as $i => [$a, $b, $facet]) {
            $at = self::over($over, $own->roof, $facet);
            [$a, $b] = [$i === 0 ? $a - self::RUNS_ON_MM : $a, $i === count($facets) - 1 ? $b + self::RUNS_ON_MM : $b];
            $heights = [$facet->heightAt($at->at($a)) - $own->base, $facet->heightAt($at->at($b)) - $own->base];
            $top[] = [$a, $b, ...$heights];
        }
        $top = self::meeting($top);
        foreach ($top as $i => [$a, $b, $ya, $yb]) {
            $lines[] = new Line(new Vec2($a, $ya), new Vec2($b, $yb), Side::plane($facets[$i][2]->id()));
        }

        return $top;
    }

    /**
     * Planes whose heights are taken at different depths change where they are equally high.
     *
     * @param  list<array{float, float, float, float}>  $top
     * @return list<array{float, float, float, float}>
     */
    public static function meeting(array $top): array
    {
        for ($i = 1, $n = count($top); $i < $n; $i++) {
            [[$a, $b, $ya, $yb], [$c, $d, $yc, $yd]] = [$top[$i - 1], $top[$i]];
            if ($b - $a < Tolerance::ROUNDING || $d - $c < Tolerance::ROUNDING || abs($yb - $yc) < Tolerance::FIGURE) {
                continue;
            }
            [$one, $other] = [($yb - $ya) / ($b - $a), ($yd - $yc) / ($d - $c)];
            $at = abs($one - $other) < Tolerance::FIGURE ? $b : $b + ($yc - $yb) / ($one - $other);
            if ($at > $a && $at < $d) {
                $height = $yb + $one * ($at - $b);
                [$top[$i - 1], $top[$i]] = [[$a, $at, $ya, $height], [$at, $d, $height, $yd]];
            }
        }

        return $top;
    }

    /**
     * Where the heights of a plane are taken: a plane that lies only over the inner face is met there.
     *
     * @param  array{Profile, Profile}  $over
     */
    public static function over(array $over, RoofForm $roof, Facet $facet): Profile
    {
        foreach ($over[0] === $over[1] ? [] : $over[1]->facets($roof) as [$from, $to, $there]) {
            if ($there === $facet && $to - $from > Tolerance::MEET) {
                return $over[1];
            }
        }

        return $over[0];
    }

    /**
     * How high a line is over a place; −INF beside it.
     *
     * @param  list<array{float, float, float, float}>  $line
     */
    public static function height(array $line, float $x): float
    {
        foreach ($line as [$a, $b, $ya, $yb]) {
            if ($x >= $a - Tolerance::FIGURE && $x <= $b + Tolerance::FIGURE) {
                return $b - $a < Tolerance::ROUNDING ? max($ya, $yb) : $ya + ($yb - $ya) * ($x - $a) / ($b - $a);
            }
        }

        return -INF;
    }
}
