<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Receding;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;

/**
 * The road of a street and the alleys of a row that recede: level ground as it comes to rise, between the blocks and before the depth ends.
 * docs/formulas.md#perspective
 */
final readonly class GroundParts
{
    /** The ground stays so far from walls and their papers, model mm. */
    private const CLEARANCE_MM = 0.4;

    /** A piece smaller than this, mm², is filled with paint. */
    private const LEAST_MM2 = 60.0;

    private const UNITS = 6;

    /** Lines that run back are drawn so far apart, real mm: 5 ft. */
    private const APART_MM = 1524.0;

    public static function make(Building $building): PartSet
    {
        if ($building->perspective?->hasGround !== true) {
            return new PartSet;
        }
        $ratio = $building->scale->ratio;
        $receding = array_values(
            array_filter(
                array_map(static fn (Block $b): ?Receding => $b->receding, $building->blocks),
                static fn (?Receding $r): bool => $r !== null,
            ),
        );
        if ($receding === []) {
            return new PartSet;
        }
        $view = $receding[0]->view->over($ratio);
        $base = min(array_map(static fn (Receding $r): float => $r->block->base->mm, $receding)) / $ratio;
        $box = Box2::around(
            array_merge(...array_map(static fn (Receding $r): array => $r->block->standing()->scaled(1.0 / $ratio)->points, $receding)),
        );
        $whole = new Ring(
            array_map(
                $view->plan(...),
                Ring::rectangle($box->x0, $view->front, $box->x1, min($box->y1, $view->front + $view->apparent))->points,
            ),
        );
        $taken = array_map(
            static fn (Block $b): Ring =>
                Offset::lines($b->standing()->scaled(1.0 / $ratio), array_fill(0, $b->footprint->count(), self::CLEARANCE_MM)),
            $building->blocks,
        );
        $sets = [];
        foreach (self::free($whole, $taken) as $i => $patch) {
            $sets[] = self::parts($building, $view, $base, $box, $patch, $i);
        }

        return PartSet::joined($sets);
    }

    /**
     * @param  list<Ring>  $taken
     * @return list<Patch> from left to right
     */
    private static function free(Ring $whole, array $taken): array
    {
        $lines = [];
        foreach ([$whole, ...$taken] as $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), '');
            }
        }
        $patches = Overlay::patches(
            $lines,
            static fn (Vec2 $at): bool =>
                $whole->contains($at) && array_filter($taken, static fn (Ring $r): bool => $r->contains($at)) === [],
        );
        $patches = array_values(array_filter($patches, static fn (Patch $p): bool => $p->area() > self::LEAST_MM2));
        usort($patches, static fn (Patch $a, Patch $b): int => $a->outline->bounds()->x0 <=> $b->outline->bounds()->x0);

        return $patches;
    }

    /** The card, and the paper with the lines that are seen. */
    private static function parts(Building $building, OnePoint $view, float $base, Box2 $box, Patch $patch, int $number): PartSet
    {
        // Level ground becomes a plane that is level across and rises towards the eye's axis.
        $rise = ($view->axis - $base) / $view->vanishing();
        $lifted = static fn (Vec2 $p): Vec3 => new Vec3($p->x, $p->y, $base + ($p->y - $view->front) * $rise);
        $corner = $lifted(new Vec2($patch->outline->bounds()->x0, $patch->outline->bounds()->y0));
        $frame = new Frame($corner, new Vec3(1.0, 0.0, 0.0), (new Vec3(0.0, 1.0, $rise))->times(1.0 / sqrt(1.0 + $rise * $rise)));
        $flat = static fn (Ring $r): Ring => new Ring(array_map(static fn (Vec2 $p): Vec2 => $frame->project($lifted($p)), $r->points));
        $region = new Region($flat($patch->outline), array_map($flat, $patch->holes));
        $layers = $building->methods->wall()->layers;
        $layer = $layers[count($layers) - 1];
        $size = $region->outline->bounds();

        $id = 'ground'.($number > 0 ? '-'.($number + 1) : '');
        $outline = new Outline($region->outline, array_map(static fn (): Edge => new Edge('side', 'clearance'), $region->outline->points));
        $workings = [
            'width' => Figure::given($size->width(), 'between the walls, in perspective, less clearance'),
            'height' => Figure::given($size->height(), 'to the back, along its rise'),
        ];
        $card = Part::of(
            new PartName($id, null, null, 'ground'),
            'M',
            'Ground between the blocks',
            PartGroup::Trim,
            $layer->stock,
            $layer->thickness_mm,
            $outline,
            [$frame],
            $workings,
            $region->holes,
        );
        $paper = $building->methods->paper;
        $top = Part::of(
            new PartName($id.'.paper', null, null, 'paper'),
            'P',
            'Ground between the blocks, paper',
            PartGroup::Skin,
            $paper,
            $paper->thickness_mm,
            $outline,
            [$frame->moved(0.0, 0.0, $paper->thickness_mm)],
            $workings,
            $region->holes,
            marks: self::drawn($view, $base, $box, $region, static fn (Vec3 $p): Vec2 => $frame->project($p), $building->scale->ratio),
        );

        return new PartSet(
            [$card, $top],
            [
                new Joint(
                    JointKind::Lap,
                    Ref::inside($top->id),
                    Ref::outside($card->id),
                    $card->corners(),
                    why: 'stuck to the ground',
                    contact_mm2: $region->area(),
                ),
            ],
        );
    }

    /**
     * Lines that run back to one point, and units of equal apparent depth.
     *
     * @param  callable(Vec3): Vec2  $flat
     * @return list<Mark>
     */
    private static function drawn(OnePoint $view, float $base, Box2 $box, Region $card, callable $flat, float $ratio): array
    {
        $back = $view->front + $view->apparent;
        $lines = [];
        for ($x = $box->x0; $x <= $box->x1 + Tolerance::ROUNDING; $x += self::APART_MM / $ratio) {
            $lines[] = [new Vec3($x, $view->front, $base), new Vec3($x, $back, $base), ''];
        }
        for ($i = 1; $i < self::UNITS; $i++) {
            $y = $view->front + $view->apparent * $i / self::UNITS;
            $lines[] = [new Vec3($box->x0, $y, $base), new Vec3($box->x1, $y, $base), sprintf('%.0f', $view->apparent * $i / self::UNITS)];
        }
        $marks = [];
        foreach ($lines as [$from, $to, $text]) {
            foreach (Clip::inside($flat($view->at($from)), $flat($view->at($to)), $card) as [$a, $b]) {
                if ($a->distanceTo($b) > 1.0) {
                    $marks[] = new Mark([$a, $b], $text);
                }
            }
        }

        return $marks;
    }
}
