<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Measure\Tolerance;

/** Stretches of one grid line, each from where to where: what is on it, and what should be. */
final readonly class Stretches
{
    /**
     * Card that comes nowhere near the surface is another place's: it only happens to lie in its plane.
     *
     * @param  list<array{float, float}>  $is
     * @param  list<array{float, float}>  $should
     * @return list<array{float, float}>
     */
    public static function touching(array $is, array $should): array
    {
        return array_values(array_filter($is, static function (array $stretch) use ($should): bool {
            foreach ($should as [$from, $to]) {
                if ($stretch[0] <= $to + Tolerance::COVER && $stretch[1] >= $from - Tolerance::COVER) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * The longest stretch that is in one set of stretches and not in the other.
     *
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     * @param  list<array{float, float}>  $without  stretches that do not count
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
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     * @param  list<array{float, float}>  $without
     * @return array{float, float}
     */
    public static function worst(array $a, array $b, array $without): array
    {
        $ends = [];
        foreach ($a as [$from, $to]) {
            $ends[] = [$from, 1, 0, 0];
            $ends[] = [$to, -1, 0, 0];
        }
        foreach ($b as [$from, $to]) {
            $ends[] = [$from, 0, 1, 0];
            $ends[] = [$to, 0, -1, 0];
        }
        foreach ($without as [$from, $to]) {
            $ends[] = [$from, 0, 0, 1];
            $ends[] = [$to, 0, 0, -1];
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
     * @param  list<array{float, float}>  $a
     * @param  list<array{float, float}>  $b
     */
    private static function apart(array $a, array $b): float
    {
        $most = count($a) === count($b) ? 0.0 : INF;
        for ($i = 0, $n = min(count($a), count($b)); $i < $n; $i++) {
            $most = max($most, abs($a[$i][0] - $b[$i][0]), abs($a[$i][1] - $b[$i][1]));
        }

        return $most;
    }
}
