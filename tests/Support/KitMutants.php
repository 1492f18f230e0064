<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Wrong kits made from a good one: one edge moved by 0.2 mm, one placement moved by 0.2 mm, one part dropped, a slope
 * half a degree steeper. Works on the serialised kit alone.
 *
 * @phpstan-type Kit array<string, mixed>
 */
final class KitMutants
{
    private const OFF_MM = 0.2;

    /**
     * @param  Kit  $kit
     * @return iterable<string, Kit> by what was done
     */
    public static function of(array $kit, int $seed): iterable
    {
        $random = new Randomizer(new Mt19937($seed));
        $parts = $kit['parts'];
        assert(is_array($parts));
        foreach ($parts as $i => $part) {
            assert(is_int($i) && is_array($part) && is_string($part['id']) && is_array($part['outline']) && is_array($part['placements']));
            $id = $part['id'];
            yield "$id dropped" => self::with($kit, ['parts'], self::without($parts, $i));
            // Papers lap over one another; of them the places are tried.
            $isPaper = $part['group'] === 'skin';
            $by = $random->getInt(0, 1) === 1 ? self::OFF_MM : -self::OFF_MM;
            $edge = $random->getInt(0, count($part['outline']) - 1);
            $ring = self::ring($part['outline']);
            if (! $isPaper && ($edge !== 0 || count($ring) < 8)) {
                yield "$id, edge $edge moved by $by" => self::with($kit, ['parts', $i, 'outline'], self::moved($ring, $edge, $by));
            }
            $copy = $random->getInt(0, count($part['placements']) - 1);
            $axis = $random->getInt(0, 2);
            $placement = $part['placements'][$copy];
            assert(is_array($placement) && is_array($placement['origin']));
            $at = $placement['origin'][$axis];
            assert(is_int($at) || is_float($at));
            yield "$id, copy $copy moved by $by along axis $axis" => self::with(
                $kit,
                ['parts', $i, 'placements', $copy, 'origin', $axis],
                $at + $by,
            );
            if (isset($part['roof'])) {
                yield "$id, half a degree steeper" => self::with($kit, ['parts', $i, 'placements', 0, 'y'], self::steeper($placement));
            }
        }
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, mixed>  $kit
     * @param  non-empty-list<string|int>  $keys
     * @return array<K, mixed>
     */
    private static function with(array $kit, array $keys, mixed $value): array
    {
        $key = array_shift($keys);
        $inner = $kit[$key] ?? null;
        /** @var K $key */
        $kit[$key] = $keys !== [] && is_array($inner) ? self::with($inner, $keys, $value) : $value;

        return $kit;
    }

    /**
     * @param  array<array-key, mixed>  $parts
     * @return list<mixed>
     */
    private static function without(array $parts, int $i): array
    {
        unset($parts[$i]);

        return array_values($parts);
    }

    /**
     * @param  array<array-key, mixed>  $outline
     * @return list<array{float, float}>
     */
    private static function ring(array $outline): array
    {
        $ring = [];
        foreach ($outline as $point) {
            assert(is_array($point) && is_numeric($point[0]) && is_numeric($point[1]));
            $ring[] = [(float) $point[0], (float) $point[1]];
        }

        return $ring;
    }

    /**
     * An edge moved outwards, its ends with it.
     *
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}>
     */
    private static function moved(array $ring, int $edge, float $by): array
    {
        $next = ($edge + 1) % count($ring);
        [$dx, $dy] = [$ring[$next][0] - $ring[$edge][0], $ring[$next][1] - $ring[$edge][1]];
        $length = hypot($dx, $dy);
        foreach ([$edge, $next] as $i) {
            $ring[$i] = [$ring[$i][0] + $by * $dy / $length, $ring[$i][1] - $by * $dx / $length];
        }

        return array_values($ring);
    }

    /**
     * @param  array<array-key, mixed>  $placement
     * @return list<float> the y axis turned about the x axis by half a degree
     */
    private static function steeper(array $placement): array
    {
        [$x, $y] = [$placement['x'], $placement['y']];
        assert(is_array($x) && is_array($y));
        $number = static fn (mixed $v): float => is_numeric($v) ? (float) $v : 0.0;
        [$xx, $xy, $xz] = array_map($number, array_values($x));
        [$yx, $yy, $yz] = array_map($number, array_values($y));
        $normal = [$xy * $yz - $xz * $yy, $xz * $yx - $xx * $yz, $xx * $yy - $xy * $yx];
        $turn = deg2rad(0.5);

        return [
            $yx * cos($turn) + $normal[0] * sin($turn),
            $yy * cos($turn) + $normal[1] * sin($turn),
            $yz * cos($turn) + $normal[2] * sin($turn),
        ];
    }
}
