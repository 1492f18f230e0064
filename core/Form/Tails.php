<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;

/** Judges roofs that run on into their neighbours: how far they count, and when they run right over. */
final readonly class Tails
{
    /** A roof that reaches the far side of another runs over it; what it runs on by its own square edges does not count, mm. */
    private const RUNS_MM = 0.05;

    /** A patch that comes this near to its block's outline stands on it, mm. */
    private const TOUCHES = 0.001;

    /** At which a roof that comes out behind another ends. */
    private const ENDS = [SideKind::Wall, SideKind::Beside, SideKind::Open, SideKind::Top, SideKind::Cut, SideKind::Verge];

    /** Keeps the patches of a plane that stand on its block or run on from there without a break. */
    public static function rooted(Facet $facet, Solid $solid): Facet
    {
        return $solid->tails === []
            ? $facet
            : $facet->with(array_values(array_filter($facet->patches, static function (Patch $patch) use ($solid): bool {
                foreach ($patch->outline->points as $i => $point) {
                    if (
                        $solid->contains($point)
                        || $solid->contains($point->plus($patch->outline->point($i + 1))->times(0.5))
                        || $solid->ring->distanceTo($point) < self::TOUCHES
                    ) {
                        return true;
                    }
                }
                foreach ($solid->ring->points as $i => $point) {
                    if (
                        $patch->outline->contains($point)
                        || $patch->outline->contains($point->plus($solid->ring->point($i + 1))->times(0.5))
                    ) {
                        return true;
                    }
                }

                return false;
            })));
    }

    /**
     * Whether a roof comes out again on the far side of what it runs into.
     *
     * @param  list<Solid>  $solids
     */
    public static function runOver(Patch $patch, Solid $solid, array $solids): bool
    {
        foreach ($patch->lines() as $line) {
            $along = $line->to->minus($line->from);
            $middle = $line->from->plus($line->to)->times(0.5);
            $out = $middle->plus((new Vec2($along->y, -$along->x))->times(2.0 * self::TOUCHES / max(self::TOUCHES, $along->length())));
            if (
                Side::isOfKind($line->label, ...self::ENDS)
                && $solid->beyondTail($middle) > self::RUNS_MM
                && ! self::isInAny($out, $solids)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Solid>  $solids */
    private static function isInAny(Vec2 $at, array $solids): bool
    {
        foreach ($solids as $solid) {
            if ($solid->contains($at)) {
                return true;
            }
        }

        return false;
    }
}
