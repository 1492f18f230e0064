<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Perspective;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\RoofForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Tolerance;

/** A roof that recedes: each plane where it comes to lie, its sides what they were. Model millimetres. docs/formulas.md#perspective */
final readonly class RecedingRoof
{
    /** A plane that rises less than this for each mm has no way up. */
    private const LEVEL = Tolerance::ROUNDING;

    /** Null where a part of it comes too near to the eye. */
    public static function of(RoofForm $roof, OnePoint $view): ?RoofForm
    {
        foreach ($roof->outline->points ?? [] as $point) {
            if (! $view->reaches($point)) {
                return null;
            }
        }

        return new RoofForm(
            array_map(static fn (Facet $f): Facet => self::facet($f, $view), $roof->facets),
            $roof->outline === null ? null : new Ring(array_map($view->plan(...), $roof->outline->points)),
        );
    }

    private static function facet(Facet $facet, OnePoint $view): Facet
    {
        $whole = $facet->whole->mapped($view->plan(...));
        $origin = $view->at($facet->frame->origin);
        $along = $view->at($facet->frame->point(1.0, 0.0))->minus($origin);
        $normal = $along->cross($view->at($facet->frame->point(0.0, 1.0))->minus($origin));
        $normal = $normal->times(($normal->z < 0.0 ? -1.0 : 1.0) / $normal->length());
        $slope = new Vec2(-$normal->x / $normal->z, -$normal->y / $normal->z);
        $steep = $slope->length();
        // Level along the slope, as every roof's frame is, though its eaves no longer are.
        $level = $steep < self::LEVEL
            ? (new Vec2($along->x, $along->y))->times(1.0 / hypot($along->x, $along->y))
            : (new Vec2($slope->y, -$slope->x))->times(1.0 / $steep);
        $x = new Vec3($level->x, $level->y, 0.0);

        return new Facet(
            $facet->block,
            $facet->edge,
            $facet->level,
            $facet->name,
            Angle::ofDegrees(rad2deg(atan($steep))),
            new Frame($origin, $x, $normal->cross($x)),
            $whole,
            [$whole],
            [$whole],
        );
    }
}
