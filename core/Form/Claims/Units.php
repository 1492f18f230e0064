<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Units side by side, with half a joint left at either side of each that has a neighbour. docs/formulas.md#dressings */
final readonly class Units
{
    /**
     * A row of equal units between two lines, divided alike: upright where both are as long, converging where not.
     *
     * @param  array{Vec2, Vec2}  $below  from left to right
     * @param  array{Vec2, Vec2}  $above  from left to right
     * @return list<Ring> from left to right
     */
    public static function row(array $below, array $above, int $count, float $joint): array
    {
        $units = [];
        for ($i = 0; $i < $count; $i++) {
            $units[] = new Ring([
                self::along($below, $i, $count, $i === 0 ? 0.0 : $joint / 2.0),
                self::along($below, $i + 1, $count, $i === $count - 1 ? 0.0 : -$joint / 2.0),
                self::along($above, $i + 1, $count, $i === $count - 1 ? 0.0 : -$joint / 2.0),
                self::along($above, $i, $count, $i === 0 ? 0.0 : $joint / 2.0),
            ]);
        }

        return $units;
    }

    /** @return list<float> where along a line, from 0 to 1, joints are between so many equal units */
    public static function joints(int $count): array
    {
        return $count < 2 ? [] : array_map(static fn (int $i): float => $i / $count, range(1, $count - 1));
    }

    /**
     * Where along a part of a row its joints are, from 0 to 1.
     *
     * @param  float  $length  of the row
     * @param  float  $before  how far along it the part begins
     * @return list<float>
     */
    public static function jointsIn(int $count, float $length, float $before): array
    {
        $shares = array_map(static fn (float $at): float => ($at * $length - $before) / ($length - 2.0 * $before), self::joints($count));

        $isWithin = static fn (float $at): bool => $at > Tolerance::ROUNDING && $at < 1.0 - Tolerance::ROUNDING;

        return array_values(array_filter($shares, $isWithin));
    }

    /**
     * A ring of units along a curve.
     *
     * @param  array{float, float}  $out  how far outside the curve its inside and its outside lie
     * @return list<Ring> from right to left
     */
    public static function ring(ArcChain $curve, array $out, int $count, float $joint): array
    {
        $units = [];
        $points = $curve->isPointed();
        $ends = static fn (int $i, float $half): array => [
            $i / $count + ($i === 0 && ! $points[0] ? 0.0 : $half),
            ($i + 1) / $count - ($i === $count - 1 && ! $points[1] ? 0.0 : $half),
        ];
        $halves = array_map(static fn (float $by): float => $joint / 2.0 / $curve->length($by), $out);
        for ($i = 0; $i < $count; $i++) {
            $units[] = self::piece($curve, $out, $ends($i, $halves[0]), $ends($i, $halves[1]));
        }

        return $units;
    }

    /**
     * A piece of a band along a curve, counter-clockwise.
     *
     * @param  array{float, float}  $out  how far outside the curve its inside and its outside lie
     * @param  array{float, float}  $inside  where along the curve its inside begins and ends, from right to left, from 0 to 1
     * @param  array{float, float}  $outside  the same of its outside
     */
    public static function piece(ArcChain $curve, array $out, array $inside, array $outside): Ring
    {
        return new Ring([
            ...$curve->run($outside[0], $outside[1], $out[1]),
            ...array_reverse($curve->run($inside[0], $inside[1], $out[0])),
        ]);
    }

    /**
     * All of a band over a head.
     *
     * @param  non-empty-list<ArcChain>  $curves  from right to left
     * @param  array{float, float}  $out
     */
    public static function band(array $curves, array $out): Ring
    {
        $line = static fn (float $by): array => array_merge(
            ...array_map(static fn (ArcChain $c): array => $c->run(0.0, 1.0, $by), $curves),
        );

        return Ring::ofDistinct([...$line($out[1]), ...array_reverse($line($out[0]))]);
    }

    /** @param  array{Vec2, Vec2}  $line */
    private static function along(array $line, int $i, int $count, float $more): Vec2
    {
        $way = $line[1]->minus($line[0]);

        return $line[0]->plus($way->times($i / $count + $more / $way->length()));
    }
}
