<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** Puts leaves into the order in which they are drawn over each other, the farthest first. */
final readonly class Painter
{
    /**
     * @param  list<Leaf>  $leaves
     * @param  Vec3  $to  to where it is looked from, of length 1
     * @param  callable(Vec3): Vec2  $project
     * @return list<array{Region, int}> on the picture, and which leaf it is
     */
    public static function inOrder(array $leaves, Vec3 $to, callable $project): array
    {
        $regions = [];
        foreach ($leaves as $leaf) {
            $regions[] = new Region(
                self::projected($leaf->outline, $project),
                array_map(static fn (array $hole): Ring => self::projected($hole, $project), $leaf->holes),
            );
        }
        $boxes = array_map(static fn (Region $r): Box2 => $r->outline->bounds(), $regions);
        $behind = array_fill(0, count($leaves), []);
        foreach ($leaves as $i => $a) {
            for ($k = $i + 1, $n = count($leaves); $k < $n; $k++) {
                if ($boxes[$i]->meets($boxes[$k])) {
                    $first = self::isBehind($a, $leaves[$k], $to);
                    $behind[$first ? $k : $i][] = $first ? $i : $k;
                }
            }
        }
        $order = [];
        $done = [];
        $visit = static function (int $i) use (&$visit, &$order, &$done, $behind): void {
            if (! isset($done[$i])) {
                $done[$i] = true;
                array_map($visit, $behind[$i]);
                $order[] = $i;
            }
        };
        array_map($visit, array_keys($leaves));

        return array_map(static fn (int $i): array => [$regions[$i], $i], $order);
    }

    /**
     * @param  non-empty-list<Vec3>  $points
     * @param  callable(Vec3): Vec2  $project
     */
    private static function projected(array $points, callable $project): Ring
    {
        return new Ring(array_map(static fn (Vec3 $p): Vec2 => $project($p), $points));
    }

    /** Whether one leaf lies behind another, seen from where $to points to: by the plane of either, else by their middles. */
    private static function isBehind(Leaf $a, Leaf $b, Vec3 $to): bool
    {
        foreach ([[$a, $b, true], [$b, $a, false]] as [$one, $plane, $ifBehind]) {
            $sign = $plane->normal->dot($to) >= 0.0 ? 1.0 : -1.0;
            $heights = array_map(
                static fn (Vec3 $p): float => $sign * $plane->normal->dot($p->minus($plane->outline[0])),
                $one->outline,
            );
            if (max($heights) < Tolerance::MEET) {
                return $ifBehind;
            }
            if (min($heights) > -Tolerance::MEET) {
                return ! $ifBehind;
            }
        }

        return self::depth($a, $to) < self::depth($b, $to);
    }

    private static function depth(Leaf $leaf, Vec3 $to): float
    {
        return array_sum(array_map(static fn (Vec3 $p): float => $p->dot($to), $leaf->outline)) / count($leaf->outline);
    }
}
