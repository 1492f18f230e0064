<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Measures the area over which faces lie on each other. */
final class SharedAreas
{
    /** @var array<string, float> what was measured, by parts and how they stand to each other */
    private array $areas = [];

    /**
     * Copies of two parts that stand to each other alike share alike, and are measured once.
     *
     * @param  array{Facet, string}  $side  and its face
     * @param  array{Facet, string}  $otherSide
     */
    public function of(Piece $one, array $side, Piece $other, array $otherSide): float
    {
        [[$f, $face], [$g, $otherFace]] = [$side, $otherSide];
        $place = array_map(
            static fn (Vec2 $p): string => sprintf('%.4F %.4F', $p->x, $p->y),
            [
                $f->frame->project($g->frame->point(0.0, 0.0)),
                $f->frame->project($g->frame->point(1.0, 0.0)),
                $f->frame->project($g->frame->point(0.0, 1.0)),
            ],
        );
        $key = implode(
            '|',
            [$one->part->id, array_search($f, $one->facets, true), $other->part->id, array_search($g, $other->facets, true), ...$place],
        );

        return $this->areas[$key] ??= self::measured($f->face($face), $f->frame, $g->face($otherFace), $g->frame);
    }

    private static function measured(Region $one, Frame $frame, Region $other, Frame $its): float
    {
        $carried = static fn (Ring $ring): Ring =>
            new Ring(array_map(static fn (Vec2 $p): Vec2 => $frame->project($its->at($p)), $ring->points));
        $other = new Region($carried($other->outline), array_map($carried, $other->holes));

        // Layers of one wall are cut alike: most laps are of equal shapes.
        return self::isSame($one, $other) ? $one->area() : Clip::sharedArea($one, $other);
    }

    private static function isSame(Region $a, Region $b): bool
    {
        $others = $b->rings();
        foreach ($a->rings() as $i => $ring) {
            if (! isset($others[$i]) || $ring->count() !== $others[$i]->count()) {
                return false;
            }
            foreach ($ring->points as $k => $point) {
                if ($point->distanceTo($others[$i]->points[$k]) > Tolerance::EDGE) {
                    return false;
                }
            }
        }

        return count($others) === count($a->rings());
    }
}
