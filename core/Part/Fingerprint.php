<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** What a cut or printed part is recognised by: its shape to 0.01 mm, and what is printed on it. */
final readonly class Fingerprint
{
    public static function cut(Part $part): string
    {
        return self::hash([
            self::ring($part->outline->ring->points),
            ...self::inside($part->outline->inside),
            self::rings($part->holes),
            self::sorted(
                array_map(
                    static fn (Score $s): array => [...self::point($s->from), ...self::point($s->to), $s->fold, $s->scoreOn],
                    $part->scores,
                ),
            ),
            self::sorted(array_map(static fn (array $s): array => [...self::point($s[0]), ...self::point($s[1])], $part->slits)),
            $part->stock->id, self::hundredths($part->thickness), ...self::bent($part->shape),
        ]);
    }

    /** Gives the fingerprint of the part turned over left to right; equal to its own where it is its own mirror. */
    public static function mirroredCut(Part $part): string
    {
        $axis = $part->width() / 2.0;
        $flip = static fn (Vec2 $p): Vec2 => new Vec2(2.0 * $axis - $p->x, $p->y);

        return self::hash([
            self::ring($part->outline->ring->mirrored($axis)->points),
            ...self::inside($part->outline->inside?->mirrored($axis)),
            self::rings(array_map(static fn (Ring $r): Ring => $r->mirrored($axis), $part->holes)),
            self::sorted(
                array_map(
                    static fn (Score $s): array => [...self::point($flip($s->from)), ...self::point($flip($s->to)), $s->fold, $s->scoreOn],
                    $part->scores,
                ),
            ),
            self::sorted(
                array_map(static fn (array $s): array => [...self::point($flip($s[0])), ...self::point($flip($s[1]))], $part->slits),
            ),
            $part->stock->id, self::hundredths($part->thickness), ...self::bent($part->shape),
        ]);
    }

    public static function print(Part $part): string
    {
        return self::hash([
            array_map(static fn (Mark $m): array => [array_map(self::point(...), $m->path), $m->text], $part->marks),
            // What runs on beyond the cut is no part of the piece.
            $part->art === null ? null : array_diff_key($part->art->toArray(), ['beyond' => true]),
        ]);
    }

    /** @return list<mixed> how much a part is rolled, which tells two of one outline apart; nothing of others, as before there were any */
    private static function bent(Shape $shape): array
    {
        $roll = $shape->roll;

        return $roll === null ? [] : [$roll->isCone, self::hundredths($roll->size), self::hundredths($roll->turn)];
    }

    /** @return list<list<array{int, int}>> nothing where no edge is bevelled, as before there were any */
    private static function inside(?Ring $inside): array
    {
        return $inside === null ? [] : [self::ring($inside->points)];
    }

    /**
     * Starts at the lowest leftmost point, so that the same ring always reads the same.
     *
     * @param  list<Vec2>  $points
     * @return list<array{int, int}>
     */
    private static function ring(array $points): array
    {
        $rounded = array_map(self::point(...), $points);
        $first = 0;
        foreach ($rounded as $i => $point) {
            if ([$point[1], $point[0]] < [$rounded[$first][1], $rounded[$first][0]]) {
                $first = $i;
            }
        }

        return [...array_slice($rounded, $first), ...array_slice($rounded, 0, $first)];
    }

    /**
     * @param  list<Ring>  $rings
     * @return list<mixed>
     */
    private static function rings(array $rings): array
    {
        return self::sorted(array_map(static fn (Ring $r): array => self::ring($r->points), $rings));
    }

    /**
     * @param  list<mixed>  $list
     * @return list<mixed>
     */
    private static function sorted(array $list): array
    {
        $keys = array_map(static fn (mixed $item): string => (string) json_encode($item), $list);
        asort($keys, SORT_STRING);

        return array_map(static fn (int $i): mixed => $list[$i], array_keys($keys));
    }

    /** @return array{int, int} */
    private static function point(Vec2 $point): array
    {
        return [self::hundredths($point->x), self::hundredths($point->y)];
    }

    private static function hundredths(float $mm): int
    {
        return (int) round($mm * 100.0);
    }

    private static function hash(mixed $value): string
    {
        return 'sha256:'.hash('sha256', json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }
}
