<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** The paper's face of a course that stands out of a chimney, against its figures. docs/formulas.md#chimneys */
final readonly class CourseFace
{
    /** Card comes no nearer to a figure than that, mm. */
    private const HALF_CARD_MM = 0.25;

    /**
     * By how much a facet is not a face of a course, mm; without end where it faces elsewhere.
     *
     * @param  Frame  $plane  of the side out of which it stands
     * @param  array{?float, float, float, float}  $course  its foot where that is told, its top, how far out it is, how thick its card
     * @param  array{float, int}  $long  how long the side is, and at how many ends what stands out goes on
     */
    public static function off(Facet $facet, Frame $plane, array $course, array $long): float
    {
        [$foot, $top, $out, $card] = $course;
        $before = $plane->height($facet->frame->origin);
        if ($facet->frame->normal->dot($plane->normal) < 1.0 - Tolerance::UNIT || $before < Tolerance::EDGE) {
            return INF;
        }
        $box = Box2::around(array_map(
            static fn (Vec2 $p): Vec2 => $plane->project($facet->frame->at($p)),
            $facet->region->outline->points,
        ));

        return max(
            // The stack's own paper lies under it; a card is as thick as it is.
            max(0.0, abs($before - $out - $facet->thickness) - max(self::HALF_CARD_MM, $card)),
            abs($box->y1 - $top), $foot === null ? 0.0 : abs($box->y0 - $foot),
            max(0.0, abs($box->width() - $long[0] - $long[1] * $before) - 2.0 * $facet->thickness),
        );
    }
}
