<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\TrackPiece;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Geometry\Vec2;

/**
 * A track in stretches along which equally much is to stay free: a vehicle that is half in a curve swings as in the curve.
 * docs/formulas.md#throw
 */
final readonly class Lanes
{
    /** @return list<Lane> */
    public static function of(Track $track): array
    {
        $swing = max(array_map(static fn (Vehicle $v): float => $v->length, $track->vehicles)) / 2.0;
        $starts = [0.0];
        foreach ($track->pieces as $i => $piece) {
            $starts[] = $starts[$i] + $piece->length;
        }
        $lanes = [];
        $from = $track->from;
        $heading = deg2rad($track->headingDeg);
        foreach ($track->pieces as $i => $piece) {
            [$begin, $end] = [$starts[$i], $starts[$i + 1]];
            $cuts = [$begin, $end];
            foreach ($track->pieces as $j => $curve) {
                foreach ($curve->turns === 0 ? [] : [$starts[$j] - $swing, $starts[$j + 1] + $swing] as $cut) {
                    if ($cut > $begin && $cut < $end) {
                        $cuts[] = $cut;
                    }
                }
            }
            sort($cuts);
            for ($k = 1; $k < count($cuts); $k++) {
                $lane = self::lane($track, $starts, $piece, $from, $heading, $cuts[$k - 1], $cuts[$k], $swing);
                [$from, $heading] = [$lane->at($lane->length), $lane->headingAt($lane->length)];
                $lanes[] = $lane;
            }
        }

        return $lanes;
    }

    /** @param  list<float>  $starts */
    private static function lane(
        Track $track,
        array $starts,
        TrackPiece $piece,
        Vec2 $from,
        float $heading,
        float $begin,
        float $end,
        float $swing,
    ): Lane {
        $middle = ($begin + $end) / 2.0;
        $left = $right = 0.0;
        foreach ($track->vehicles as $vehicle) {
            $side = $vehicle->width / 2.0 + $track->beside;
            [$left, $right] = [max($left, $side), max($right, $side)];
            foreach ($track->pieces as $j => $curve) {
                if ($curve->turns !== 0 && $middle > $starts[$j] - $swing && $middle < $starts[$j + 1] + $swing) {
                    $in = $side + $vehicle->centreThrow($curve->radius);
                    $out = $side + $vehicle->endThrow($curve->radius);
                    [$left, $right] = [max($left, $curve->turns > 0 ? $in : $out), max($right, $curve->turns > 0 ? $out : $in)];
                }
            }
        }

        return new Lane($from, $heading, $end - $begin, $piece->radius, $piece->turns, $left, $right);
    }
}
