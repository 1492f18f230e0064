<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * Where walls of two blocks cross there is an inner corner, at which one of them runs past the other, as at an inner corner of one
 * footprint: the one that looks to the front or the back, or to a side; of equals the earlier block's. docs/formulas.md#corner
 */
final readonly class Crossings
{
    /** Walls that cross at a sine less than this run along each other. */
    private const ALONG = 0.05;

    /**
     * How far a wall runs past other blocks' walls, behind them, model millimetres along it.
     *
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness  of each block's walls, by edge
     * @return array<string, float> by block and edge
     */
    public static function of(Building $building, int $block, int $edge, array $solids, array $thickness): array
    {
        $past = [];
        [$corner, $along] = self::line($solids[$block], $edge);
        $out = new Vec2($along->y, -$along->x);
        foreach ($solids as $solid) {
            foreach ($solid->index === $block ? [] : array_keys($solid->ring->points) as $other) {
                [$from, $its] = self::line($solid, $other);
                $sine = abs($along->cross($its));
                if ($sine < self::ALONG || ! self::comesFirst($building, [$block, $along], [$solid->index, $its])) {
                    continue;
                }
                // Before this wall the other must be longer than the one beside it is thick: else that one's card is in the way.
                $ends = [$out->dot($from->minus($corner)), $out->dot($solid->ring->point($other + 1)->minus($corner))];
                $before = $ends[0] > $ends[1] ? $other - 1 : $other + 1;
                $n = $solid->ring->count();
                if (
                    $thickness[$solid->index][$other] > 0.0
                    && min($ends) < -Tolerance::PLANE
                    && max($ends) > $thickness[$solid->index][($before + $n) % $n] / $sine + Tolerance::PLANE
                ) {
                    $past["$solid->index:$other"] = $thickness[$solid->index][$other] / $sine;
                }
            }
        }

        return $past;
    }

    /** @return array{Vec2, Vec2} where a wall's outside begins, and its way */
    private static function line(Solid $solid, int $edge): array
    {
        $along = $solid->ring->point($edge + 1)->minus($solid->ring->point($edge));

        return [$solid->ring->point($edge), $along->times(1.0 / $along->length())];
    }

    /**
     * @param  array{int, Vec2}  $one  block, and the wall's way
     * @param  array{int, Vec2}  $other
     */
    private static function comesFirst(Building $building, array $one, array $other): bool
    {
        [$own, $its] = [$building->methods->runsThrough($one[1]), $building->methods->runsThrough($other[1])];

        return $own === $its ? $one[0] < $other[0] : $own;
    }
}
