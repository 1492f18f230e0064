<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;

/** Whether something raised has wall behind it everywhere, and nothing in its way. */
final readonly class RaisedRoom
{
    /** What lies over an edge by less than this is not seen, mm². */
    private const LEAST_MM2 = 0.01;

    /** Whether all of it lies on the wall. */
    public static function hasWallBehind(WallForm $wall, Claim $claim): bool
    {
        $region = new Region($claim->ring);
        $shared = static fn (Patch $patch): float => Clip::sharedArea($region, new Region($patch->outline));

        return $claim->ring->area() - array_sum(array_map($shared, $wall->patches)) < self::LEAST_MM2;
    }

    public static function has(WallForm $wall, Claim $claim): bool
    {
        if (! $claim->how->isRaised() || $claim->isOwn || $claim->pierces || $claim->isTooFine || $claim->isBlocked) {
            return false;
        }
        $region = new Region($claim->ring);
        $isWhole = self::hasWallBehind($wall, $claim);
        foreach ($wall->openings as $opening) {
            $isWhole = $isWhole && Clip::sharedArea($region, new Region($opening->ring())) < self::LEAST_MM2;
        }
        foreach ($wall->claims as $other) {
            if ($isWhole && $other->how->isRaised() && ! self::belongTogether($claim, $other)) {
                $isWhole = Clip::sharedArea($region, new Region($other->ring)) < self::LEAST_MM2;
            }
        }

        return $isWhole;
    }

    /** What stands round one opening is made to lie on what else does. */
    private static function belongTogether(Claim $one, Claim $other): bool
    {
        return $one->opening === $other->opening && $one->owner() === $other->owner();
    }
}
