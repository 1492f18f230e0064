<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;

/** A wall on which a thing may take something. The wall's frame, model millimetres; of one that recedes, that of the wall as it is. */
final readonly class SiteFace
{
    /**
     * @param  Vec2  $at  where the thing is, on it
     * @param  float  $length  of the wall
     */
    public function __construct(public WallForm $wall, public Vec2 $at, public float $length)
    {
    }

    /**
     * What of a run between two heights neither an opening nor what stands round one takes.
     *
     * @return list<Interval> from left to right
     */
    public function free(Interval $run, Interval $heights): array
    {
        $taken = array_map(static fn (OpeningForm $o): Box2 => ($o->true ?? $o)->ring()->bounds(), $this->wall->openings);
        foreach ($this->wall->claims as $claim) {
            array_push($taken, ...$claim->opening === null ? [] : [$claim->ring->bounds()]);
        }
        $isLevel = static fn (Box2 $box): bool => Interval::between($box->y0, $box->y1)->overlaps($heights, Masonry::LEAST_LINE_MM);

        return $run->without(array_map(
            static fn (Box2 $box): Interval => Interval::between($box->x0, $box->x1),
            array_values(array_filter($taken, $isLevel)),
        ));
    }
}
