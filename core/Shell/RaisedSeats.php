<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Form\Claims\HowMade;
use Chartula\Core\Form\Claims\RaisedRoom;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;

/**
 * Where what is raised goes: ticks inside its corners, which it hides. What is printed under it needs none. The wall's frame, model
 * millimetres.
 */
final readonly class RaisedSeats
{
    /** A tick begins so far inside its corner, and is so long. */
    private const INSIDE_MM = 0.35;

    private const LONG_MM = 1.0;

    /** A corner that turns less than this, degrees, is a bend of a curve. */
    private const TURN_DEG = 25.0;

    /** @return list<Mark> on a card or a paper of the wall */
    public static function marks(WallForm $wall, Region $on): array
    {
        $marks = [];
        foreach ($wall->claims as $claim) {
            if ($claim->how !== HowMade::Raised || ! ($claim->isOwn || RaisedRoom::has($wall, $claim))) {
                continue;
            }
            $what = 'where the '.lcfirst($claim->feature->kind->title()).' goes';
            foreach (self::ticks($claim->ring) as [$from, $to]) {
                foreach (Clip::inside($from, $to, $on) as $tick) {
                    $marks[] = new Mark($tick, $what, MarkKind::Seat);
                }
            }
        }

        return $marks;
    }

    /** @return list<array{Vec2, Vec2}> from each corner inwards, as far as half of what is there */
    private static function ticks(Ring $ring): array
    {
        $ticks = [];
        $within = new Region($ring);
        foreach (array_keys($ring->points) as $i) {
            $at = $ring->point($i);
            $in = $at->minus($ring->point($i - 1));
            $on = $ring->point($i + 1)->minus($at);
            if (abs(rad2deg(atan2($in->cross($on), $in->dot($on)))) < self::TURN_DEG) {
                continue;
            }
            $way = $on->times(1.0 / $on->length())->minus($in->times(1.0 / $in->length()));
            $way = $way->times(($in->cross($on) < 0.0 ? -1.0 : 1.0) / $way->length());
            $whole = Clip::inside($at, $at->plus($way->times(2.0 * self::LONG_MM + self::INSIDE_MM)), $within)[0] ?? null;
            $long = $whole === null ? 0.0 : min(self::LONG_MM, $whole[0]->distanceTo($whole[1]) / 2.0 - self::INSIDE_MM);
            if ($long > 0.0) {
                $ticks[] = [$at->plus($way->times(self::INSIDE_MM)), $at->plus($way->times(self::INSIDE_MM + $long))];
            }
        }

        return $ticks;
    }
}
