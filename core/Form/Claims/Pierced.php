<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** What goes through walls and slopes, and the holes that are cut for it. Model millimetres. docs/formulas.md#places */
final readonly class Pierced
{
    /** What goes through has so much room on each side. */
    public const CLEAR_MM = 0.15;

    /** Of a hole in a wall: what goes through it, and its room. */
    public static function hole(Ring $ring): Ring
    {
        return Offset::lines($ring, array_fill(0, $ring->count(), self::CLEAR_MM));
    }

    /**
     * A slope with what stands on it, and what goes upright through it left out of its card. Card is cut square to its plane: between its
     * faces an upright moves by so much as the card's thickness leans.
     *
     * @param  list<Standing>  $standing  of the whole building
     */
    public static function slope(Facet $facet, array $standing, Building $building): Facet
    {
        $own = array_values(array_filter($standing, static fn (Standing $s): bool => self::meets($facet, $s->ring)));
        $lean = $building->methods->roof()->thickness_mm;
        $by = (new Vec2($facet->frame->normal->x, $facet->frame->normal->y))->times(-$lean);
        $built = $facet->built;
        foreach ($own as $one) {
            if ($one->goesThrough) {
                $room = self::hole($one->ring)->points;
                $hole = new Ring(Hull::around([...$room, ...array_map(static fn (Vec2 $p): Vec2 => $p->plus($by), $room)])->points);
                $built = self::without($built, $hole);
            }
        }

        return $own === [] ? $facet : $facet->with(built: $built, standing: $own);
    }

    /**
     * @param  list<Patch>  $patches
     * @return list<Patch>
     */
    private static function without(array $patches, Ring $hole): array
    {
        $left = [];
        $sides = [];
        foreach (array_keys($hole->points) as $i) {
            $sides[] = new Line($hole->point($i), $hole->point($i + 1), SideKind::Pierced->value);
        }
        foreach ($patches as $patch) {
            $isApart = $patch->outline->bounds()->gapTo($hole->bounds()) > 0.0;
            $region = $patch->region();
            array_push($left, ...$isApart ? [$patch] : Overlay::patches(
                [...$patch->lines(), ...$sides],
                static fn (Vec2 $p): bool => $region->contains($p) && ! $hole->contains($p),
            ));
        }

        return $left;
    }

    /** Whether what is upright over a ring goes through a slope at all. */
    private static function meets(Facet $facet, Ring $ring): bool
    {
        foreach ($facet->patches as $patch) {
            $box = $patch->outline->bounds();
            if ($box->gapTo($ring->bounds()) <= 0.0) {
                return true;
            }
        }

        return false;
    }
}
