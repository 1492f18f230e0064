<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** Outlines whose sides were moved past each other: where a patch narrows to nothing it parts in two. docs/formulas.md#offset */
final readonly class Necks
{
    /** What is left of a patch and is smaller than this, mm², nobody can cut. */
    private const LEAST_MM2 = 1.0;

    /** @return list<Patch> what is left of it in one piece each, largest first; itself where it nowhere narrows to nothing */
    public static function parted(Patch $patch): array
    {
        if ($patch->outline->crossing() === null) {
            return [$patch];
        }
        $pieces = [];
        foreach (self::loops($patch->outline->points, $patch->labels) as [$ring, $labels]) {
            $holes = array_keys(array_filter($patch->holes, static fn (Ring $hole): bool => $ring->contains($hole->points[0])));
            $pieces[] = new Patch(
                $ring,
                $labels,
                array_map(static fn (int $i): Ring => $patch->holes[$i], $holes),
                array_map(static fn (int $i): array => $patch->holeLabels[$i], $holes),
            );
        }
        usort($pieces, static fn (Patch $a, Patch $b): int => $b->area() <=> $a->area());

        return $pieces;
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @param  non-empty-list<string>  $labels
     * @return list<array{Ring, non-empty-list<string>}>
     */
    private static function loops(array $points, array $labels): array
    {
        $ring = new Ring($points);
        $crossing = count($points) < 3 ? null : $ring->crossing();
        if ($crossing === null) {
            return $ring->signedArea() > self::LEAST_MM2 ? [[$ring, $labels]] : [];
        }
        [$i, $j] = $crossing;
        $at = self::meeting($ring, $i, $j);
        // From the crossing along one side, round to it again along the other; and the rest.
        $one = [[...array_slice($points, $i + 1, $j - $i), $at], [...array_slice($labels, $i + 1, $j - $i), $labels[$i]]];
        $rest = [
            [...array_slice($points, 0, $i + 1), $at, ...array_slice($points, $j + 1)],
            [...array_slice($labels, 0, $i + 1), $labels[$j], ...array_slice($labels, $j + 1)],
        ];

        return [...self::loops(...self::plain(...$one)), ...self::loops(...self::plain(...$rest))];
    }

    /** Where two sides cross, or where one touches the other. */
    private static function meeting(Ring $ring, int $i, int $j): Vec2
    {
        [$p, $q] = [$ring->point($i), $ring->point($j)];
        $d = $ring->point($i + 1)->minus($p);
        $e = $ring->point($j + 1)->minus($q);
        $cross = $d->cross($e);
        $s = abs($cross) < Tolerance::ROUNDING ? 0.5 : $q->minus($p)->cross($e) / $cross;

        return $p->plus($d->times(max(0.0, min(1.0, $s))));
    }

    /**
     * Without sides of no length.
     *
     * @param  non-empty-list<Vec2>  $points
     * @param  non-empty-list<string>  $labels
     * @return array{non-empty-list<Vec2>, non-empty-list<string>}
     */
    private static function plain(array $points, array $labels): array
    {
        $kept = array_keys($points);
        foreach ($kept as $k => $i) {
            $next = $points[($i + 1) % count($points)];
            if (count($kept) > 1 && $points[$i]->distanceTo($next) < Tolerance::EDGE) {
                unset($kept[$k]);
            }
        }
        $kept = array_values($kept);
        assert($kept !== []);

        return [
            array_map(static fn (int $i): Vec2 => $points[$i], $kept),
            array_map(static fn (int $i): string => $labels[$i], $kept),
        ];
    }
}
