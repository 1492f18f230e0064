<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Size;

/** Level distances between walls of different blocks that face each other. Model millimetres, the building's axes. */
final readonly class PlanGaps
{
    private const FURTHEST_MM = 80.0;

    private const LEAST_MM = 0.05;

    /** @return list<array<string, mixed>> */
    public static function of(Building $building, Kit $kit): array
    {
        $gaps = [];
        foreach ($kit->form->blocks as $a) {
            foreach ($kit->form->blocks as $b) {
                if ($a->index < $b->index) {
                    array_push(
                        $gaps,
                        ...array_filter(
                            self::between($building, $a, $b),
                            static fn (array $gap): bool => ! self::isInside($kit, $gap['from'], $gap['to']),
                        ),
                    );
                }
            }
        }

        return $gaps;
    }

    /**
     * Whether what lies between is itself built over.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function isInside(Kit $kit, array $from, array $to): bool
    {
        $middle = new Vec2(($from[0] + $to[0]) / 2.0, ($from[1] + $to[1]) / 2.0);
        foreach ($kit->form->blocks as $block) {
            if ($block->ring->contains($middle)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return list<array{from: array{float, float}, to: array{float, float}, between: array{string, string}, size: array<string,
     *     string|float>}>
     */
    private static function between(Building $building, BlockForm $a, BlockForm $b): array
    {
        $gaps = [];
        foreach (array_keys($a->ring->points) as $i) {
            $p = $a->ring->point($i);
            $length = $a->ring->edgeLength($i);
            $along = $a->ring->point($i + 1)->minus($p)->times(1.0 / $length);
            foreach (array_keys($b->ring->points) as $j) {
                [$q, $r] = [$b->ring->point($j)->minus($p), $b->ring->point($j + 1)->minus($p)];
                // Outside a's edge, run the other way, over some of its length.
                $off = -$along->cross($q);
                [$from, $to] = [max(0.0, $along->dot($r)), min($length, $along->dot($q))];
                if (
                    abs($along->cross($q) - $along->cross($r)) < 0.01
                    && $off > self::LEAST_MM
                    && $off < self::FURTHEST_MM
                    && $to - $from > 0.5
                ) {
                    $at = $p->plus($along->times(($from + $to) / 2.0));
                    $out = $at->plus((new Vec2($along->y, -$along->x))->times($off));
                    $gaps[] = [
                        'from' => $at->toArray(), 'to' => $out->toArray(), 'between' => [$a->block->id, $b->block->id],
                        'size' => Size::ofModel($off, $building->scale),
                    ];
                }
            }
        }

        return $gaps;
    }
}
