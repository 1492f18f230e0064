<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** The card that lies in a plane. */
final readonly class Plates
{
    /**
     * What lies in the plane, in the plane's own axes: faces of card, and at walls the ends of the boards that run
     * through. (At 45 degrees the edge of one slope lies in the plane of the other, beyond the ridge.)
     *
     * @param  iterable<Piece>  $pieces  of the group that fills such surfaces, and may reach it
     * @param  'wall'|'slope'  $kind
     * @return list<Region>
     */
    public static function in(Frame $plane, iterable $pieces, string $kind): array
    {
        $plates = [];
        foreach ($pieces as $piece) {
            foreach ($piece->facets as $facet) {
                // Card that fills a surface lies behind it; what only touches it from outside is another wall's.
                $faces = $facet->frame->normal->dot($plane->normal);
                foreach (['outside' => 0.0, 'inside' => -$facet->thickness] as $face => $out) {
                    $card = $facet->face($face);
                    if (
                        ($kind === 'slope' || $faces * ($out === 0.0 ? 1.0 : -1.0) > 0.0)
                        && self::isIn($plane, array_map(static fn (Vec2 $p): Vec3 => $facet->frame->at($p, $out), $card->outline->points))
                    ) {
                        $plates[] = new Region(
                            self::drawn($card->outline, $facet->frame, $out, $plane),
                            array_map(static fn (Ring $r): Ring => self::drawn($r, $facet->frame, $out, $plane), $card->holes),
                        );
                    }
                }
            }
            foreach ($kind === 'wall' ? array_keys($piece->part->region->outline->points) : [] as $edge) {
                [$a, $b, $c, $d] = $piece->strip($edge);
                if (
                    self::isIn($plane, [$a, $b, $c, $d], Tolerance::MEET)
                    && $b->minus($a)->cross($piece->frame->normal)->dot($plane->normal) > 0.0
                ) {
                    $plates[] = new Region(new Ring([$plane->project($a), $plane->project($b), $plane->project($d), $plane->project($c)]));
                }
            }
        }

        return $plates;
    }

    /** @param  list<Vec3>  $points */
    private static function isIn(Frame $plane, array $points, float $within = Tolerance::COVER): bool
    {
        foreach ($points as $point) {
            if (abs($plane->height($point)) > $within) {
                return false;
            }
        }

        return true;
    }

    private static function drawn(Ring $ring, Frame $from, float $out, Frame $plane): Ring
    {
        return new Ring(array_map(static fn (Vec2 $p): Vec2 => $plane->project($from->at($p, $out)), $ring->points));
    }
}
