<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Ref;

/** A paper stuck on the outsides of cards that lie in one plane. */
final readonly class Stuck
{
    /**
     * @param  Ring  $ring  what of the paper lies in the plane
     * @param  list<Part>  $cards
     * @return list<Joint>
     */
    public static function on(Part $paper, Frame $plane, Ring $ring, array $cards): array
    {
        $corners = array_map(static fn (Vec2 $p): Vec3 => $plane->at($p, $paper->thickness), $ring->points);
        $joints = [];
        foreach ($cards as $card) {
            foreach ($card->placements as $copy => $frame) {
                $flat = static fn (Ring $r): Ring => new Ring(array_map(
                    static fn (Vec2 $p): Vec2 => $plane->project($frame->at($p)),
                    $r->points,
                ));
                $area = self::isIn($frame, $plane)
                    ? Clip::sharedArea(new Region($ring), new Region($flat($card->outline->ring), array_map($flat, $card->holes)))
                    : 0.0;
                $joints = $area <= Tolerance::MEET ? $joints : [...$joints, new Joint(
                    JointKind::Lap, Ref::inside($paper->id), Ref::outside($card->id, $copy), $corners, why: 'stuck on', contact_mm2: $area,
                )];
            }
        }

        return $joints;
    }

    /** Whether the outside of a card lies in a plane. */
    private static function isIn(Frame $card, Frame $plane): bool
    {
        return $card->normal->dot($plane->normal) > 1.0 - Tolerance::UNIT && abs($plane->height($card->origin)) < Tolerance::MEET;
    }
}
