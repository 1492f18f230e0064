<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** How far print runs on beyond a cut. */
final readonly class Bleed
{
    /** Corners farther out than so many times the bleed are cut off. */
    private const MITRE = 1.5;

    /**
     * What is printed for a shape: its outline moved outwards, its holes inwards; each keeps its way round, and where an opening is
     * narrower than that its sides cross, so that it is filled by the rule that counts turns.
     *
     * @return non-empty-list<Ring> the outline counter-clockwise, holes clockwise
     */
    public static function of(Region $region, float $by): array
    {
        $rings = [self::grown(self::wound($region->outline, 1.0), $by)];
        foreach ($region->holes as $hole) {
            $rings[] = self::grown(self::wound($hole, -1.0), $by);
        }

        return $rings;
    }

    private static function wound(Ring $ring, float $way): Ring
    {
        return $ring->signedArea() * $way < 0.0 ? new Ring(array_reverse($ring->points)) : $ring;
    }

    private static function grown(Ring $ring, float $by): Ring
    {
        $points = [];
        foreach ($ring->points as $i => $p) {
            [$in, $out] = [self::way($ring->point($i - 1), $p), self::way($p, $ring->point($i + 1))];
            [$a, $b] = [new Vec2($in->y, -$in->x), new Vec2($out->y, -$out->x)];
            $share = 1.0 + $a->dot($b);
            $mitre = $share > 0.01 ? $a->plus($b)->times($by / $share) : null;
            if ($mitre !== null && ($in->cross($out) <= 0.0 || $mitre->length() <= self::MITRE * $by)) {
                $points[] = $p->plus($mitre);
            } else {
                array_push($points, $p->plus($a->times($by))->plus($in->times($by)), $p->plus($b->times($by))->minus($out->times($by)));
            }
        }

        return new Ring($points);
    }

    private static function way(Vec2 $from, Vec2 $to): Vec2
    {
        $length = $to->distanceTo($from);

        return $length > 0.0 ? $to->minus($from)->times(1.0 / $length) : new Vec2(1.0, 0.0);
    }
}
