<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** Planes of a chimney. Model millimetres, the building's axes. */
final readonly class StackFrames
{
    /** Of a side, or so far before it: x from its left end as seen from outside, y up from the datum. */
    public static function side(Stack $stack, int $side, float $before = 0.0): Frame
    {
        $ring = $stack->ring();
        [$from, $to] = [$ring->point($side), $ring->point($side + 1)];
        $way = $to->minus($from)->times(1.0 / $from->distanceTo($to));

        return (new Frame(new Vec3($from->x, $from->y, 0.0), new Vec3($way->x, $way->y, 0.0), new Vec3(0.0, 0.0, 1.0)))
            ->moved(0.0, 0.0, $before);
    }

    /** Level at a height: x along its width, y across, from the corner of its plan, or from so far beyond that. */
    public static function level(Stack $stack, float $beyond, float $z): Frame
    {
        $corner = $stack->ring($beyond)->point(0);
        $along = $stack->along;

        return new Frame(new Vec3($corner->x, $corner->y, $z), new Vec3($along->x, $along->y, 0.0), new Vec3(-$along->y, $along->x, 0.0));
    }

    public static function flat(Vec3 $at): Vec2
    {
        return new Vec2($at->x, $at->y);
    }
}
