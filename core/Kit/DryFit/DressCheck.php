<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Massing\DressedPlace;
use Chartula\Core\Kit\DryFit\Massing\Massing;

/** Whether what is raised round openings lies where the document says, and is as large: its card, with or without its paper's thickness. */
final readonly class DressCheck
{
    private const MOST_OFF_MM = 0.05;

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Massing $massing): array
    {
        $places = [];
        foreach (DressedPlace::all($massing) as $place) {
            $places[$place->part][] = $place;
        }
        $findings = [];
        foreach ($assembly->pieces as $piece) {
            // Of a row it is called by the first that has one.
            $id = $piece->part->id;
            $own = $places[$id] ?? $places[(string) preg_replace('/-\d+$/D', '', $id)] ?? [];
            $off = self::off($piece, $own, $massing->building->methods->paper->thickness_mm);
            if ($off > self::MOST_OFF_MM) {
                $findings[] = new Finding('dress.place', $id, sprintf('%s lies %.2f mm away from where it is described', $id, $off), $off);
            }
        }

        return $findings;
    }

    /**
     * How far a piece is from the nearest of its places; 0 where it has none.
     *
     * @param  list<DressedPlace>  $places
     */
    private static function off(Piece $piece, array $places, float $paper): float
    {
        $least = $places === [] ? 0.0 : INF;
        foreach ($places as $place) {
            $corners = array_map(static fn (Vec2 $p): Vec3 => $piece->frame->at($p), $piece->part->region->outline->points);
            $box = Box2::around(array_map($place->frame->project(...), $corners));
            $least = min($least, max(
                self::side($box->x0 - $place->box->x0, $paper),
                self::side($place->box->x1 - $box->x1, $paper),
                self::side($box->y0 - $place->box->y0, $paper),
                self::side($place->box->y1 - $box->y1, $paper),
            ));
        }

        return $least;
    }

    /** How far a side is off: it may lie its paper's thickness further in. */
    private static function side(float $in, float $paper): float
    {
        return min(abs($in), abs($in - $paper));
    }
}
