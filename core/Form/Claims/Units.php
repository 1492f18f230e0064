<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Geometry\Arc;
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
     * A ring of units round a centre.
     *
     * @param  array{float, float}  $radii  of its inside and its outside
     * @param  array{float, float}  $angles  from its right end to its left, radians
     * @return list<Ring> from right to left
     */
    public static function ring(Vec2 $centre, array $radii, array $angles, int $count, float $joint): array
    {
        $units = [];
        [$from, $to] = $angles;
        for ($i = 0; $i < $count; $i++) {
            $at = static fn (int $k, float $radius, float $gap): float => $from + ($to - $from) * $k / $count + $gap / $radius;
            $ends = static fn (float $radius): array => [
                $at($i, $radius, $i === 0 ? 0.0 : $joint / 2.0), $at($i + 1, $radius, $i === $count - 1 ? 0.0 : -$joint / 2.0),
            ];
            $units[] = self::sector($centre, $radii, $ends($radii[0]), $ends($radii[1]));
        }

        return $units;
    }

    /**
     * A piece of a ring, counter-clockwise.
     *
     * @param  array{float, float}  $radii
     * @param  array{float, float}  $inside  angles of its inside from right to left, radians
     * @param  array{float, float}  $outside  of its outside
     */
    public static function sector(Vec2 $centre, array $radii, array $inside, array $outside): Ring
    {
        return new Ring([
            ...self::arc($centre, $radii[1], $outside[0], $outside[1]),
            ...array_reverse(self::arc($centre, $radii[0], $inside[0], $inside[1])),
        ]);
    }

    /** @return non-empty-list<Vec2> along the upper half, by the same chords as the head of an opening that it follows */
    private static function arc(Vec2 $centre, float $radius, float $from, float $to): array
    {
        return (new Arc($centre, $radius))->points($centre->x + $radius * cos($from), $centre->x + $radius * cos($to));
    }

    /** @param  array{Vec2, Vec2}  $line */
    private static function along(array $line, int $i, int $count, float $more): Vec2
    {
        $way = $line[1]->minus($line[0]);

        return $line[0]->plus($way->times($i / $count + $more / $way->length()));
    }
}
