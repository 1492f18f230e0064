<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\StackBox;
use Chartula\Core\Measure\Tolerance;

/** Whether the lead of a chimney lies round its foot and on the roof. docs/formulas.md#chimneys */
final readonly class LeadCheck
{
    /** Where it has no roof under it, it is so far off. */
    private const FAR_MM = 10.0;

    /** Corners are looked at by so much of the way to its middle inside it: where it ends others may begin. */
    private const INNER = 0.05;

    /** Roofs are looked at so far apart, mm. */
    private const STEP_MM = 0.25;

    /** A higher step than this is the end of one roof over another, mm. */
    private const HIGH_MM = 0.3;

    /** Roofs go on where they do so far beyond what stands round its foot, and so little before that, mm. */
    private const BEYOND = [-0.3, 0.0, 0.8];

    /**
     * By how much what turns out lies over the roof, or in it, at the most.
     *
     * @param  list<Piece>  $pieces  of the chimney
     */
    public static function off(StackBox $stack, array $pieces): float
    {
        $worst = 0.0;
        foreach (self::facets($pieces) as $facet) {
            $up = abs($facet->frame->normal->z);
            $middle = $facet->region->outline->middle();
            // Its crease lies on either of its faces, before the roof or at it.
            $may = $facet->thickness * (1.0 + sqrt(max(0.0, 1.0 - $up * $up))) / max(Tolerance::PLANE, $up);
            foreach ($up < Tolerance::PLANE ? [] : $facet->region->outline->points as $p) {
                $at = $facet->frame->at($p->plus($middle->minus($p)->times(self::INNER)), -$facet->thickness);
                $roof = $stack->roofAt(new Vec2($at->x, $at->y));
                $worst = max($worst, $roof === -INF ? self::FAR_MM : abs($at->z - $roof) - $may);
            }
        }

        return $worst;
    }

    /**
     * How long a side is, at the most, along which a roof goes on and no lead stands.
     *
     * @param  list<Piece>  $pieces  of the chimney
     */
    public static function missing(StackBox $stack, array $pieces): float
    {
        $worst = 0.0;
        foreach ($stack->feature->said->text('flashing') === 'none' ? [] : array_keys($stack->plan->points) as $side) {
            $plane = $stack->side($side);
            $stands = array_filter(
                self::facets($pieces),
                static fn (Facet $f): bool => $f->frame->normal->dot($plane->normal) > 1.0 - Tolerance::UNIT,
            );
            $length = $stack->plan->edgeLength($side);
            $worst = $stands === [] && self::isOnRoof($stack, $plane, $length) ? max($worst, $length) : $worst;
        }

        return $worst;
    }

    private static function isOnRoof(StackBox $stack, Frame $plane, float $length): bool
    {
        $step = self::HIGH_MM + self::STEP_MM * $stack->steepest();
        $out = ($stack->feature->said->count('plinth') ?? 0) > 0 ? $stack->mm('plinth_out') : 0.0;
        foreach (self::BEYOND as $beyond) {
            $before = max(Tolerance::EDGE, $out + $beyond);
            $count = (int) ceil(($length + 2.0 * $before) / self::STEP_MM);
            $last = null;
            for ($k = 0; $k <= $count; $k++) {
                $at = $plane->at(new Vec2(($length + 2.0 * $before) * $k / $count - $before, 0.0), $before);
                $height = $stack->roofAt(new Vec2($at->x, $at->y));
                if ($height === -INF || abs($height - ($last ?? $height)) > $step) {
                    return false;
                }
                $last = $height;
            }
        }

        return true;
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Facet>
     */
    private static function facets(array $pieces): array
    {
        $own = array_filter($pieces, static fn (Piece $p): bool => str_contains($p->part->id, '.stack-flashing-'));

        return array_merge(...array_map(static fn (Piece $p): array => $p->facets, array_values($own)));
    }
}
