<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Whether paper closes what card leaves open. */
final readonly class Papered
{
    /**
     * Whether it lies over a stretch upright in a plane, from end to end.
     *
     * @param  list<Piece>  $pieces
     * @param  array{float, Interval}  $stretch  where it is along the plane, and from where to where it goes up it
     */
    public static function over(array $pieces, Frame $plane, array $stretch): bool
    {
        [$x, $run] = $stretch;
        // Its ends are looked at as near as card may differ unseen.
        $in = min(Tolerance::COVER, $run->length() / 3.0);
        foreach ([$run->from + $in, $run->middle(), $run->to - $in] as $y) {
            $place = $plane->at(new Vec2($x, $y), Tolerance::PLANE);
            $isOver = false;
            foreach ($pieces as $piece) {
                foreach ($piece->part->isPaper() ? $piece->facets : [] as $facet) {
                    $isOver = $isOver || $facet->holds($place, Tolerance::COVER);
                }
            }
            if (! $isOver) {
                return false;
            }
        }

        return true;
    }
}
