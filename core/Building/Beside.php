<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;

/** Where other blocks stand in front of a wall, up to their eaves. Real millimetres, from the wall's left end and its block's base. */
final readonly class Beside
{
    private const OUTSIDE_MM = 5.0;

    /** @return list<Box2> */
    public static function of(Building $building, string $block, int $edge): array
    {
        $own = array_values(array_filter($building->blocks, static fn (Block $b): bool => $b->id === $block))[0] ?? null;
        if ($own === null || $edge >= $own->footprint->count()) {
            return [];
        }
        $ring = $own->standing();
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        $along = $b->minus($a)->times(1.0 / max(1.0, $a->distanceTo($b)));
        $out = (new Vec2($along->y, -$along->x))->times(self::OUTSIDE_MM);
        $boxes = [];
        foreach ($building->blocks as $other) {
            $before = $other->id === $block ? [] : Clip::inside($a->plus($out), $b->plus($out), new Region($other->standing()));
            foreach ($before as [$p, $q]) {
                $at = [$along->dot($p->minus($a)), $along->dot($q->minus($a))];
                $boxes[] = new Box2(min($at), $other->base->mm - $own->base->mm, max($at), $other->eaves->mm - $own->base->mm);
            }
        }

        return $boxes;
    }
}
