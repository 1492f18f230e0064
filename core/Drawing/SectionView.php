<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;

/** The kit cut through by an upright plane, as card. Model millimetres: along the cut, and up. */
final readonly class SectionView
{
    /**
     * Across the first block's ridge, where a screen begins; and the figures that go with it.
     *
     * @return array<string, mixed>
     */
    public static function across(Building $building, Kit $kit): array
    {
        $block = $kit->form->blocks[0];
        $scale = $building->scale;
        $roof = $block->block->roof;
        $top = $block->top();
        $cut = self::inPlane($kit, self::firstPlane($kit));
        $thickness = $building->methods->roof()->thickness_mm;
        $reach = max([
            0.0,
            ...array_map(
                static fn ($e): float => $e->slopesFromEaves() ? $scale->modelMm($e->overhang) + $thickness * $e->pitch->sin() : 0.0,
                $roof->edges,
            ),
        ]);
        $square = 2.0 * $building->methods->roof()->layers[0]->thickness_mm * $roof->pitch->sin();

        return $cut + [
            'eaves' => Size::ofModel($block->eaves - $block->base, $scale),
            'ridge' => Size::ofModel($top - $block->base, $scale), 'rise' => Size::ofModel($top - $block->eaves, $scale),
            'reach' => Size::ofModel($reach, $scale), 'pitch' => $roof->pitch->text(),
            'note' => $roof->pitch->degrees > 0.0
                ? 'Cut square, panels of '.$roof->pitch->text().' part by '.LengthFormat::millimetres($square)
                    .' at the top of a ridge; the strip covers it.'
                : '',
        ];
    }

    /**
     * @param  Vec3  $at  a point of the plane
     * @param  Vec3  $normal  which way it is looked, level and of length 1
     * @return array{rings: list<array{name: string, part: string, ring: list<array{float, float}>}>, bounds: array{float, float, float,
     *     float}}
     */
    public static function cut(Kit $kit, Vec3 $at, Vec3 $normal): array
    {
        // To the right along the cut, seen against its normal.
        return self::inPlane($kit, new Frame($at, new Vec3(-$normal->y, $normal->x, 0.0), new Vec3(0.0, 0.0, 1.0)));
    }

    /** Across the first block's ridge, off its middle, where windows and chimneys like to stand. */
    public static function firstPlane(Kit $kit): Frame
    {
        $block = $kit->form->blocks[0];
        $along = $block->block->roof->ridge === 'x' || $block->block->footprint->rect === null ? $block->ground->x : $block->ground->y;
        $box = $block->ring->bounds();
        $centre = $box->centre();
        $by = ($along->x !== 0.0 ? $box->width() : $box->height()) * 0.07;
        $at = new Vec3($centre->x + $along->x * $by, $centre->y + $along->y * $by, 0.0);

        return new Frame($at, new Vec3(-$along->y, $along->x, 0.0), new Vec3(0.0, 0.0, 1.0));
    }

    /**
     * @return array{rings: list<array{name: string, part: string, ring: list<array{float, float}>}>, bounds: array{float, float, float,
     *     float}}
     */
    private static function inPlane(Kit $kit, Frame $plane): array
    {
        $rings = [];
        foreach (self::at($kit, $plane) as [$labelled, , $ring]) {
            $name = self::name($labelled->part);
            if ($name !== null) {
                $rings[] = ['name' => $name, 'part' => $labelled->part->id, 'ring' => $ring->toArray()];
            }
        }
        $all = array_merge(
            ...array_map(
                static fn (array $r): array => array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), $r['ring']),
                $rings,
            ),
        );
        $box = $all === [] ? new Box2(0.0, 0.0, 1.0, 1.0) : Box2::around($all);

        return ['rings' => $rings, 'bounds' => [$box->x0, $box->y0, $box->x1, $box->y1]];
    }

    /**
     * What a plane cuts of every part that is not folded.
     *
     * @return list<array{LabelledPart, int, Ring}> the part, which of its copies, and the cut in the plane's frame
     */
    public static function at(Kit $kit, Frame $plane): array
    {
        $rings = [];
        foreach ($kit->parts as $labelled) {
            foreach (array_keys($labelled->part->placements) as $copy) {
                foreach (self::rings($labelled->part, $copy, $plane) as $ring) {
                    $rings[] = [$labelled, $copy, $ring];
                }
            }
        }

        return $rings;
    }

    /** @return list<Ring> */
    private static function rings(Part $part, int $copy, Frame $plane): array
    {
        if (! $part->shape->isFlat()) {
            return [];
        }
        $frame = $part->placements[$copy];
        if (! self::mayCross($part, $frame, $plane)) {
            return [];
        }
        $faces = array_map(static fn (float $out): array => self::crossings($part, $frame, $plane, $out), [0.0, -$part->thickness]);
        $rings = [];
        for ($i = 1, $n = min(count($faces[0]), count($faces[1])); $i < $n; $i += 2) {
            $ring = Ring::ofDistinct([$faces[0][$i - 1], $faces[0][$i], $faces[1][$i], $faces[1][$i - 1]]);
            if ($ring->count() > 2) {
                $rings[] = $ring;
            }
        }

        return $rings;
    }

    /** Whether the plane comes near the box of a flat part: most of a kit lies well to one side of it. */
    private static function mayCross(Part $part, Frame $frame, Frame $plane): bool
    {
        $box = $part->outline->ring->bounds();
        $least = $most = $plane->height($frame->origin);
        foreach ([
            [$plane->normal->dot($frame->x), $box->x0, $box->x1],
            [$plane->normal->dot($frame->y), $box->y0, $box->y1],
            [$plane->normal->dot($frame->normal), -$part->thickness, 0.0],
        ] as [$slope, $from, $to]) {
            $least += min($slope * $from, $slope * $to);
            $most += max($slope * $from, $slope * $to);
        }

        return $least <= Tolerance::FIGURE && $most >= -Tolerance::FIGURE;
    }

    /**
     * Where the plane crosses the outline of a face, in order along the cut.
     *
     * @return list<Vec2>
     */
    private static function crossings(Part $part, Frame $frame, Frame $plane, float $out): array
    {
        $points = [];
        // The plane's height over the part's own axes: most of its sides lie well to one side of it.
        [$along, $up] = [$plane->normal->dot($frame->x), $plane->normal->dot($frame->y)];
        $base = $plane->height($frame->at(new Vec2(0.0, 0.0), $out));
        $high = static fn (Vec2 $p): float => $base + $along * $p->x + $up * $p->y;
        foreach ([$part->outline->ring, ...$part->holes] as $ring) {
            foreach ($ring->points as $i => $p) {
                $q = $ring->point($i + 1);
                [$ha, $hb] = [$high($p), $high($q)];
                if (min($ha, $hb) > Tolerance::FIGURE || max($ha, $hb) < -Tolerance::FIGURE) {
                    continue;
                }
                [$a, $b] = [$frame->at($p, $out), $frame->at($q, $out)];
                [$da, $db] = [$plane->height($a), $plane->height($b)];
                if (($da > 0.0) !== ($db > 0.0)) {
                    $points[] = $plane->project($a->plus($b->minus($a)->times($da / ($da - $db))));
                }
            }
        }
        usort($points, static fn (Vec2 $p, Vec2 $q): int => abs($p->x - $q->x) > Tolerance::ROUNDING ? $p->x <=> $q->x : $p->y <=> $q->y);

        return $points;
    }

    /** Says what a part is drawn as in section; papers and trim are too thin to show. */
    private static function name(Part $part): ?string
    {
        $isLevel = abs($part->placements[0]->normal->z) > 0.999;

        return match ($part->group) {
            PartGroup::Shell => $isLevel ? 'floor' : 'wall',
            PartGroup::Brace => 'floor',
            PartGroup::Roof => $part->shape->isFlat() ? 'roof' : 'strip',
            PartGroup::Skin, PartGroup::Trim => null,
        };
    }
}
