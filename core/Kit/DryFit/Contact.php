<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** How an edge of one piece meets a face of another, measured from nothing but where they stand. */
final readonly class Contact
{
    private function __construct(
        public string $touch,
        public float $length,
    ) {
    }

    /** The contact of edge $edge of $a with the named face of a facet; null where they are apart. */
    public static function find(Piece $a, int $edge, Facet $facet, string $face): ?self
    {
        $strip = $a->strip($edge);
        $outsideOn = abs($facet->beyond($strip[0], $face)) <= Tolerance::MEET && abs($facet->beyond($strip[1], $face)) <= Tolerance::MEET;
        $insideOn = abs($facet->beyond($strip[2], $face)) <= Tolerance::MEET && abs($facet->beyond($strip[3], $face)) <= Tolerance::MEET;
        if ($outsideOn && $insideOn) {
            return self::along(self::middle($strip[0], $strip[2]), self::middle($strip[1], $strip[3]), $facet, $face, 'strip');
        }
        if ($outsideOn) {
            return self::along($strip[0], $strip[1], $facet, $face, 'line');
        }

        return $insideOn ? self::along($strip[2], $strip[3], $facet, $face, 'line') : null;
    }

    private static function along(Vec3 $p, Vec3 $q, Facet $facet, string $face, string $touch): ?self
    {
        $length = Clip::lengthInside($facet->frame->project($p), $facet->frame->project($q), $facet->face($face));

        return $length <= Tolerance::MEET ? null : new self($touch, $length);
    }

    private static function middle(Vec3 $p, Vec3 $q): Vec3
    {
        return $p->plus($q)->times(0.5);
    }
}
