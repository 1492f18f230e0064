<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Sums of stretches of one line: where something is on it, and where something should be. */
final readonly class Stretches
{
    /** Beside a change: further than how much may differ unseen. */
    private const NEAR_MM = 0.0613;

    /**
     * Card that comes nowhere near the surface is another place's: it only happens to lie in its plane.
     *
     * @param  list<Interval>  $is
     * @param  list<Interval>  $should
     * @return list<Interval>
     */
    public static function touching(array $is, array $should): array
    {
        return array_values(array_filter($is, static function (Interval $stretch) use ($should): bool {
            foreach ($should as $place) {
                if ($stretch->from <= $place->to + Tolerance::COVER && $stretch->to >= $place->from - Tolerance::COVER) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * The most by which the ends of as many stretches differ; INF where they are not as many.
     *
     * @param  list<Interval>  $a  in order and apart
     * @param  list<Interval>  $b
     */
    public static function apart(array $a, array $b): float
    {
        $b = count($b) > 1 ? Interval::joined($b, Tolerance::EDGE) : $b;
        if (count($a) !== count($b)) {
            return INF;
        }
        $most = 0.0;
        foreach ($a as $i => $stretch) {
            $most = max($most, abs($stretch->from - $b[$i]->from), abs($stretch->to - $b[$i]->to));
        }

        return $most;
    }

    /** @param  list<Interval>  $stretches */
    public static function longest(array $stretches): float
    {
        return max([0.0, ...array_map(static fn (Interval $s): float => $s->length(), $stretches)]);
    }

    /**
     * What of some no others take.
     *
     * @param  list<Interval>  $stretches
     * @param  list<Interval>  $taken
     * @return list<Interval> in order and apart
     */
    public static function without(array $stretches, array $taken): array
    {
        $left = [];
        foreach (Interval::joined($stretches) as $stretch) {
            array_push($left, ...$stretch->without($taken));
        }

        return $left;
    }

    /**
     * What lies in both of two sets.
     *
     * @param  list<Interval>  $a
     * @param  list<Interval>  $b
     * @return list<Interval> in order and apart
     */
    public static function both(array $a, array $b): array
    {
        $both = [];
        foreach ($a === [] ? [] : Interval::joined($b) as $other) {
            foreach ($a as $one) {
                if ($one->overlaps($other)) {
                    $both[] = new Interval(max($one->from, $other->from), min($one->to, $other->to));
                }
            }
        }

        return Interval::joined($both);
    }

    /**
     * Where a line runs inside an outline, in so many times its way from its start.
     *
     * @return list<Interval>
     */
    public static function line(Ring $ring, Vec2 $start, Vec2 $way): array
    {
        $cuts = [];
        $square = $way->dot($way);
        $p = $ring->points[count($ring->points) - 1]->minus($start);
        $dp = $way->cross($p);
        foreach ($ring->points as $point) {
            $q = $point->minus($start);
            $dq = $way->cross($q);
            if (($dp > 0.0) !== ($dq > 0.0)) {
                $cuts[] = $way->dot($p->plus($q->minus($p)->times($dp / ($dp - $dq)))) / $square;
            }
            [$p, $dp] = [$q, $dq];
        }
        sort($cuts);
        $stretches = [];
        for ($i = 1, $n = count($cuts); $i < $n; $i += 2) {
            $stretches[] = new Interval($cuts[$i - 1], $cuts[$i]);
        }

        return $stretches;
    }

    /**
     * Where upright lines run inside regions.
     *
     * @param  list<Region>  $regions
     * @param  list<float>  $places  of the lines, in order
     * @return array<int, list<Interval>> by line
     */
    public static function upright(array $regions, array $places): array
    {
        $stretches = array_fill(0, count($places), []);
        foreach ($regions as $region) {
            /** @var array<int, list<float>> $cuts */
            $cuts = [];
            foreach ($region->rings() as $ring) {
                $p = $ring->points[count($ring->points) - 1];
                foreach ($ring->points as $q) {
                    $to = max($p->x, $q->x);
                    for ($k = self::first($places, min($p->x, $q->x)); $k < count($places) && $places[$k] <= $to; $k++) {
                        if (($p->x > $places[$k]) !== ($q->x > $places[$k])) {
                            $cuts[$k][] = $p->y + ($q->y - $p->y) * ($places[$k] - $p->x) / ($q->x - $p->x);
                        }
                    }
                    $p = $q;
                }
            }
            foreach ($cuts as $k => $ends) {
                sort($ends);
                for ($i = 1, $n = count($ends); $i < $n; $i += 2) {
                    $stretches[$k][] = new Interval($ends[$i - 1], $ends[$i]);
                }
            }
        }

        return $stretches;
    }

    /**
     * Where one upright line runs inside outlines.
     *
     * @param  list<Ring>  $rings
     * @return list<Interval>
     */
    public static function at(float $x, array $rings): array
    {
        $stretches = [];
        foreach ($rings as $ring) {
            $ends = [];
            $p = $ring->points[count($ring->points) - 1];
            foreach ($ring->points as $q) {
                if (($p->x > $x) !== ($q->x > $x)) {
                    $ends[] = $p->y + ($q->y - $p->y) * ($x - $p->x) / ($q->x - $p->x);
                }
                $p = $q;
            }
            sort($ends);
            for ($i = 1, $n = count($ends); $i < $n; $i += 2) {
                $stretches[] = new Interval($ends[$i - 1], $ends[$i]);
            }
        }

        return $stretches;
    }

    /**
     * The first of the places that is not before another.
     *
     * @param  list<float>  $places  in order
     */
    private static function first(array $places, float $from): int
    {
        [$low, $high] = [0, count($places)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $places[$middle] < $from ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low;
    }

    /**
     * Where something is looked at along a stretch: so far apart, and close on both sides of where it changes.
     *
     * @param  list<float>  $events
     * @return list<float> in order, off round numbers, where outlines have their corners
     */
    public static function places(array $events, Interval $whole, float $apart): array
    {
        $places = [];
        for ($at = $whole->from + $apart * 0.4987; $at < $whole->to; $at += $apart) {
            $places[] = $at;
        }
        foreach ($events as $event) {
            foreach ([-self::NEAR_MM, self::NEAR_MM] as $off) {
                if ($whole->contains($event + $off)) {
                    $places[] = $event + $off;
                }
            }
        }
        sort($places);
        $kept = [];
        foreach ($places as $place) {
            if ($kept === [] || $place - $kept[count($kept) - 1] > Tolerance::MEET) {
                $kept[] = $place;
            }
        }

        return $kept;
    }
}
