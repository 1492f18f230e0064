<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/**
 * How far two convex solids in space are apart, each given by its corners: the point nearest to the origin of all differences between
 * a corner of the one and a corner of the other, found by walking from simplex to simplex (Gilbert, Johnson and Keerthi). Millimetres.
 */
final class Separation
{
    private const MOST_STEPS = 60;

    /**
     * 0 where they touch or share a place.
     *
     * @param  non-empty-list<Vec3>  $one
     * @param  non-empty-list<Vec3>  $other
     */
    public static function between(array $one, array $other): float
    {
        $nearest = $one[0]->minus($other[0]);
        $simplex = [$nearest];
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            $length = $nearest->length();
            if ($length < Tolerance::SAME) {
                return 0.0;
            }
            $next = self::farthest($one, $nearest->times(-1.0))->minus(self::farthest($other, $nearest));
            // No difference lies nearer along this direction than the one that is known.
            if ($length - $nearest->dot($next) / $length < Tolerance::SAME) {
                return $length;
            }
            $simplex[] = $next;
            [$nearest, $simplex] = self::reduced($simplex);
        }

        return $nearest->length();
    }

    /** @param  non-empty-list<Vec3>  $corners */
    private static function farthest(array $corners, Vec3 $along): Vec3
    {
        $best = $corners[0];
        $most = -INF;
        foreach ($corners as $p) {
            $far = $p->x * $along->x + $p->y * $along->y + $p->z * $along->z;
            if ($far > $most) {
                [$most, $best] = [$far, $p];
            }
        }

        return $best;
    }

    /**
     * The point of a simplex that is nearest to the origin, and the least face of it in which that lies.
     *
     * @param  non-empty-list<Vec3>  $simplex  up to four
     * @return array{Vec3, non-empty-list<Vec3>}
     */
    private static function reduced(array $simplex): array
    {
        $best = [$simplex[0], [$simplex[0]]];
        $least = INF;
        $all = 1 << count($simplex);
        for ($mask = 1; $mask < $all; $mask++) {
            $face = [];
            foreach ($simplex as $i => $p) {
                if (($mask >> $i & 1) === 1) {
                    $face[] = $p;
                }
            }
            $at = $face === [] ? null : self::foot($face);
            $length = $at?->length() ?? INF;
            if ($at !== null && $face !== [] && $length < $least - Tolerance::NOTHING) {
                [$least, $best] = [$length, [$at, $face]];
            }
        }

        return $best;
    }

    /**
     * The foot of the perpendicular from the origin on the flat through so many points; null where it lies outside of them.
     *
     * @param  non-empty-list<Vec3>  $face
     */
    private static function foot(array $face): ?Vec3
    {
        $first = $face[0];
        $ways = array_map(static fn (Vec3 $p): Vec3 => $p->minus($first), array_slice($face, 1));
        $shares = self::solved(
            array_map(static fn (Vec3 $a): array => array_map(static fn (Vec3 $b): float => $a->dot($b), $ways), $ways),
            array_map(static fn (Vec3 $a): float => -$a->dot($first), $ways),
        );
        if ($shares === null || array_sum($shares) > 1.0 || ($shares !== [] && min($shares) < 0.0)) {
            return null;
        }
        foreach ($ways as $i => $way) {
            $first = $first->plus($way->times($shares[$i]));
        }

        return $first;
    }

    /**
     * Up to three equations by Cramer's rule; null where they do not settle it.
     *
     * @param  list<list<float>>  $m
     * @param  list<float>  $right
     * @return ?list<float>
     */
    private static function solved(array $m, array $right): ?array
    {
        if ($right === []) {
            return [];
        }
        $whole = self::determinant($m);
        $size = max([0.0, ...array_map(abs(...), array_merge(...$m))]);
        if (abs($whole) <= Tolerance::NOTHING * $size ** count($m)) {
            return null;
        }
        $found = [];
        foreach (array_keys($right) as $column) {
            $with = array_map(
                static fn (
                    array $row,
                    float $value,
                ): array => [...array_slice($row, 0, $column), $value, ...array_slice($row, $column + 1)],
                $m,
                $right,
            );
            $found[] = self::determinant($with) / $whole;
        }

        return $found;
    }

    /** @param  list<list<float>>  $m */
    private static function determinant(array $m): float
    {
        return match (count($m)) {
            1 => $m[0][0],
            2 => $m[0][0] * $m[1][1] - $m[0][1] * $m[1][0],
            default => $m[0][0] * ($m[1][1] * $m[2][2] - $m[1][2] * $m[2][1])
                - $m[0][1] * ($m[1][0] * $m[2][2] - $m[1][2] * $m[2][0])
                + $m[0][2] * ($m[1][0] * $m[2][1] - $m[1][1] * $m[2][0]),
        };
    }
}
