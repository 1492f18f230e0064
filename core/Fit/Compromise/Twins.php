<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

use Chartula\Core\Building\Block;
use Chartula\Core\Measure\Tolerance;

/**
 * Walls that give something up together because their blocks are twins.
 *
 * @phpstan-import-type GivingWall from Directions
 */
final readonly class Twins
{
    /** Blocks as large as each other but for this are twins, real millimetres. */
    private const NEAR_MM = 1.0;

    /**
     * Walls of twins together, where they are to stay alike; each by itself where not.
     *
     * @param  list<GivingWall>  $walls
     * @return list<non-empty-list<GivingWall>>
     */
    public static function of(array $walls, bool $alike): array
    {
        $groups = [];
        foreach ($walls as $wall) {
            $at = count($groups);
            foreach ($alike ? $groups : [] as $i => [$first]) {
                $at = self::areTwins($first['block'], $wall['block']) ? min($at, $i) : $at;
            }
            $groups[$at] = [...$groups[$at] ?? [], $wall];
        }

        return array_values($groups);
    }

    /**
     * Each with as much to give as the one of its twins that has least.
     *
     * @param  list<non-empty-list<GivingWall>>  $groups
     * @return list<GivingWall>
     */
    public static function asTheLeast(array $groups): array
    {
        $walls = [];
        foreach ($groups as $twins) {
            $room = min(array_column($twins, 'room'));
            foreach ($twins as $wall) {
                $walls[] = ['room' => $room] + $wall;
            }
        }

        return $walls;
    }

    /** Blocks of one outline, whichever way they are turned to each other. */
    private static function areTwins(Block $a, Block $b): bool
    {
        [$p, $q] = [$a->standing()->bounds(), $b->standing()->bounds()];

        return abs($p->width() - $q->width()) < self::NEAR_MM
            && abs($p->height() - $q->height()) < self::NEAR_MM
            && $a->footprint->count() === $b->footprint->count();
    }

    /**
     * Whether one stands beyond the other's end.
     *
     * @param  GivingWall  $a
     * @param  GivingWall  $b
     */
    public static function areApart(array $a, array $b): bool
    {
        return $a['from'] > $b['to'] - Tolerance::MEET || $a['to'] < $b['from'] + Tolerance::MEET;
    }
}
