<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;

/** From where to where the courses of a face run: between its ends, its jambs and what is printed over it. */
final readonly class Runs
{
    /** @return list<Interval> of the course between two heights, from left to right */
    public static function of(FaceArt $art, float $low, float $high): array
    {
        $middle = ($low + $high) / 2.0;
        $jambs = [
            ...array_filter($art->jambs, static fn (Box2 $jamb): bool => $jamb->y0 < $middle && $jamb->y1 > $middle),
            ...self::ended($art, $low, $high),
        ];
        usort($jambs, static fn (Box2 $a, Box2 $b): int => $a->x0 <=> $b->x0);
        $runs = [];
        $x = $art->quoins[0];
        foreach ($jambs as $jamb) {
            if ($jamb->x0 > $x) {
                $runs[] = new Interval($x, $jamb->x0);
            }
            $x = max($x, $jamb->x1);
        }
        if ($art->quoins[1] > $x) {
            $runs[] = new Interval($x, $art->quoins[1]);
        }

        return $runs;
    }

    /** @return list<Box2> where what is printed over the covering ends a course: as far as it covers it from its bed to its top */
    private static function ended(FaceArt $art, float $low, float $high): array
    {
        $ended = [];
        foreach ($art->dressings as $shape) {
            // Just inside its bed and its top: a side that lies on either counts. Under a vault the wall goes on.
            foreach (self::across($shape->ring, $low + Tolerance::FIGURE) as $below) {
                foreach (self::across($shape->ring, $high - Tolerance::FIGURE) as $above) {
                    if ($below->overlaps($above)) {
                        $ended[] = new Box2(max($below->from, $above->from), $low, min($below->to, $above->to), $high);
                    }
                }
            }
        }

        return $ended;
    }

    /** @return list<Interval> from where to where a shape reaches at a height */
    private static function across(Ring $ring, float $y): array
    {
        $at = [];
        $from = $ring->points[$ring->count() - 1];
        foreach ($ring->points as $to) {
            if (($from->y > $y) !== ($to->y > $y)) {
                $at[] = $from->x + ($y - $from->y) / ($to->y - $from->y) * ($to->x - $from->x);
            }
            $from = $to;
        }
        sort($at);

        return array_map(static fn (array $pair): Interval => new Interval(...$pair), array_chunk($at, 2));
    }
}
