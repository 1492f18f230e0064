<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/** Holds stretches of one grid line: where something is on it, and where something should be. */
final readonly class Stretches
{
    /**
     * Card that comes nowhere near the surface is another place's: it only happens to lie in its plane.
     *
     * @param  list<Interval>  $is
     * @param  list<Interval>  $should
     * @return list<Interval>
     */
    public static function touching(array $is, array $should): array
    {
        return array_values(array_filter($is, static function (Interval $stretch) use ($should): bool {
            foreach ($should as $place) {
                if ($stretch->from <= $place->to + Tolerance::COVER && $stretch->to >= $place->from - Tolerance::COVER) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * The longest stretch that is in one set of stretches and not in the other.
     *
     * @param  list<Interval>  $a
     * @param  list<Interval>  $b
     * @param  list<Interval>  $without  stretches that do not count
     */
    public static function difference(array $a, array $b, array $without): float
    {
        // Nearly always card ends where the surface does, stretch by stretch.
        $apart = self::apart($a, $b);

        return $apart <= Tolerance::COVER ? $apart : self::worst($a, $b, $without)[0];
    }

    /**
     * The same, and its middle.
     *
     * @param  list<Interval>  $a
     * @param  list<Interval>  $b
     * @param  list<Interval>  $without
     * @return array{float, float}
     */
    public static function worst(array $a, array $b, array $without): array
    {
        $ends = [];
        foreach ([[$a, [1, 0, 0]], [$b, [0, 1, 0]], [$without, [0, 0, 1]]] as [$stretches, [$da, $db, $out]]) {
            foreach ($stretches as $stretch) {
                $ends[] = [$stretch->from, $da, $db, $out];
                $ends[] = [$stretch->to, -$da, -$db, -$out];
            }
        }
        usort($ends, static fn (array $p, array $q): int => $p[0] <=> $q[0]);
        $inA = $inB = $isOut = 0;
        $worst = [0.0, 0.0];
        $last = 0.0;
        foreach ($ends as [$at, $da, $db, $out]) {
            if ($isOut === 0 && ($inA > 0) !== ($inB > 0)) {
                $worst = max($worst, [$at - $last, ($at + $last) / 2.0]);
            }
            $inA += $da;
            $inB += $db;
            $isOut += $out;
            $last = $at;
        }

        return $worst;
    }

    /**
     * The most by which the ends of as many stretches differ; INF where they are not as many.
     *
     * @param  list<Interval>  $a
     * @param  list<Interval>  $b
     */
    private static function apart(array $a, array $b): float
    {
        $most = count($a) === count($b) ? 0.0 : INF;
        for ($i = 0, $n = min(count($a), count($b)); $i < $n; $i++) {
            $most = max($most, abs($a[$i]->from - $b[$i]->from), abs($a[$i]->to - $b[$i]->to));
        }

        return $most;
    }
}
