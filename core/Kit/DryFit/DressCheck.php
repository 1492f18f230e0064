<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\DressedPlace;
use Chartula\Core\Kit\DryFit\Massing\Massing;

/**
 * Whether what is raised or printed on walls lies where the document says, and is as large: cards with or without their paper's thickness,
 * and what papers show.
 */
final readonly class DressCheck
{
    private const MOST_OFF_MM = 0.05;

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Massing $massing): array
    {
        $raised = $printed = [];
        foreach (DressedPlace::all($massing) as $place) {
            $printed[$place->wall][$place->of][] = $place;
            if ($place->isRaised) {
                $raised[$place->part][] = $place;
            }
        }
        $findings = [];
        foreach ($assembly->pieces as $piece) {
            // Of a row it is called by the first that has one.
            $id = $piece->part->id;
            $own = $raised[$id] ?? $raised[(string) preg_replace('/-\d+$/D', '', $id)] ?? [];
            $off = self::off($piece->frame, $piece->part->region->outline, $own, $massing->building->methods->paper->thickness_mm);
            $findings[] = [$id, "$id lies", $off];
            $wall = (string) preg_replace('/(-\d+)?\.paper$/D', '', $id);
            foreach ($piece->part->printed as $of => $ring) {
                $off = self::off($piece->frame, $ring, $printed[$wall][$of] ?? [], 0.0);
                $findings[] = [$id, "What $id shows of $of lies", $off];
            }
        }

        return array_map(
            static fn (array $one): Finding => new Finding(
                'dress.place', $one[0], sprintf('%s %.2f mm away from where it is described', $one[1], $one[2]), $one[2],
            ),
            array_values(array_filter($findings, static fn (array $one): bool => $one[2] > self::MOST_OFF_MM)),
        );
    }

    /**
     * How far a shape is from the nearest of its places; 0 where it has none.
     *
     * @param  Frame  $frame  in which it is drawn
     * @param  list<DressedPlace>  $places
     * @param  float  $paper  it may lie that much further in
     */
    private static function off(Frame $frame, Ring $shape, array $places, float $paper): float
    {
        $least = $places === [] ? 0.0 : INF;
        foreach ($places as $place) {
            $box = Box2::around(array_map(static fn (Vec2 $p): Vec2 => $place->frame->project($frame->at($p)), $shape->points));
            $least = min($least, max(
                self::side($box->x0 - $place->box->x0, $paper),
                self::side($place->box->x1 - $box->x1, $paper),
                self::side($box->y0 - $place->box->y0, $paper),
                self::side($place->box->y1 - $box->y1, $paper),
            ));
        }

        return $least;
    }

    private static function side(float $in, float $paper): float
    {
        return min(abs($in), abs($in - $paper));
    }
}
