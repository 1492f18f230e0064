<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Feature\RoofLineKind;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** The lines of a block's roof, as far as they are built. Model millimetres, the building's axes. docs/formulas.md#places */
final readonly class RoofLines
{
    /** What rises less than that for each millimetre is level: walls are never quite square. */
    private const LEVEL = 0.01;

    /**
     * @param  list<Facet>  $facets  of the block, as far as they are seen
     * @param  bool  $isCutAtRidge  whether low relief leaves the ridge, and nothing behind it
     */
    public function __construct(private BlockForm $block, private array $facets, private bool $isCutAtRidge = false)
    {
    }

    /**
     * Along a line of a slope; null where there is none, or none where the place begins. What runs along the foot of the slope is counted
     * from the left end of the wall there, whatever else from its own left or lower end.
     */
    public function site(Feature $feature, Place $place, Masonry $masonry): ?Site
    {
        $own = array_filter($this->facets, static fn (Facet $f): bool => $f->edge === $place->edge);
        $level = array_filter($own, static fn (Facet $f): bool => $f->level === $place->level);
        $nth = $place->nth;
        // A half hip has no slope below.
        $kind = $place->line ?? RoofLineKind::Ridge;
        foreach ($level === [] ? $own : $level as $facet) {
            foreach ($this->lines($facet, $kind) as $line) {
                $run = $this->run($facet, $line, $place, $masonry->ratio());
                if ($run !== null && $nth-- === 0) {
                    [$from, $to, $normal] = $line;
                    $x = $to->minus($from)->times(1.0 / $from->distanceTo($to));

                    return new Site($feature, $place, $this->block->index, $masonry,
                        new Frame($from->plus($x->times($run->from)), $x, $normal->cross($x)), $run->length(), isOnSlope: true);
                }
            }
        }

        return null;
    }

    /**
     * From where to where along a line the place is; null where it is not on it.
     *
     * @param  array{Vec3, Vec3, Vec3}  $line
     */
    private function run(Facet $facet, array $line, Place $place, float $ratio): ?Interval
    {
        [$from, $to] = [$facet->frame->project($line[0]), $facet->frame->project($line[1])];
        $length = $from->distanceTo($to);
        $isAlong = abs($to->y - $from->y) < self::LEVEL * $length;
        $start = $isAlong ? $facet->frame->project($this->block->wall($facet->edge)->frame->origin)->x - $from->x : 0.0;
        $begin = $place->from === null ? 0.0 : $start + $place->from->mm / $ratio;
        $end = $place->to === null ? $length : min($length, $start + $place->to->mm / $ratio);

        return $begin < -Tolerance::MEET || $end - $begin < Tolerance::CUT ? null : new Interval($begin, $end);
    }

    /** @return list<array{Vec3, Vec3, Vec3}> ends, from the left, and which way is outwards */
    private function lines(Facet $facet, RoofLineKind $kind): array
    {
        $lines = [];
        foreach ($facet->patches as $patch) {
            foreach ($patch->labels as $i => $label) {
                [$a, $b] = [$patch->outline->point($i), $patch->outline->point($i + 1)];
                $normal = $this->normal($facet, [$a, $b], Side::of($label), $kind);
                if ($normal !== null) {
                    [$a, $b] = self::isBefore($facet->flat($a), $facet->flat($b)) ? [$a, $b] : [$b, $a];
                    $lines[] = [$facet->lifted($a), $facet->lifted($b), $normal];
                }
            }
        }
        usort($lines, static fn (array $p, array $q): int => $facet->frame->project($p[0])->x <=> $facet->frame->project($q[0])->x);

        return $lines;
    }

    /** What runs straight up begins at its foot. */
    private static function isBefore(Vec2 $one, Vec2 $other): bool
    {
        return abs($one->x - $other->x) > Tolerance::MEET ? $one->x < $other->x : $one->y < $other->y;
    }

    /**
     * Which way is outwards at a side of a slope; null where that is no such line.
     *
     * @param  array{Vec2, Vec2}  $ends  in plan
     */
    private function normal(Facet $facet, array $ends, Side $side, RoofLineKind $kind): ?Vec3
    {
        $own = match ($side->kind) {
            SideKind::Eaves => RoofLineKind::Eaves,
            SideKind::Verge => RoofLineKind::Verge,
            SideKind::Wall, SideKind::On => RoofLineKind::Abutment,
            SideKind::Cut => $this->isCutAtRidge ? RoofLineKind::Ridge : null,
            default => null,
        };
        if ($own !== null || $side->kind !== SideKind::Plane) {
            return $own === $kind ? $facet->frame->normal : null;
        }
        $id = $side->planeOrFail();
        foreach ($id->block === $this->block->index ? $this->block->roof->facets : [] as $other) {
            if ($other->edge === $id->edge && $other->level === $id->level) {
                return self::between($facet, $other, $ends) === $kind ? self::mean($facet, $other) : null;
            }
        }

        return null;
    }

    /** @param  array{Vec2, Vec2}  $ends */
    private static function between(Facet $facet, Facet $other, array $ends): RoofLineKind
    {
        $along = $ends[1]->minus($ends[0]);
        // Outlines run counter-clockwise: what lies beyond a side is on its right.
        $outward = new Vec2($along->y, -$along->x);
        if ($facet->foldTo($other, $outward) < 0.0) {
            return RoofLineKind::Valley;
        }

        $rise = abs($facet->heightAt($ends[0]) - $facet->heightAt($ends[1]));

        return $rise < self::LEVEL * $along->length() ? RoofLineKind::Ridge : RoofLineKind::Hip;
    }

    private static function mean(Facet $one, Facet $other): Vec3
    {
        $sum = $one->frame->normal->plus($other->frame->normal);

        return $sum->times(1.0 / $sum->length());
    }
}
