<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Shell\WallParts;

/** Plan and section for the screen. Model millimetres; the plan in the block's own axes, the section across the ridge. */
final readonly class PlanView
{
    /** @return array<string, mixed> */
    public static function plan(Building $building, Kit $kit): array
    {
        $form = $kit->form;
        [$w, $d] = [$form->wall(0)->length->mm, $form->wall(1)->length->mm];
        $alongX = $form->block->roof->ridge === 'x';
        [$ox, $oy] = $alongX ? [$form->vergeOverhang_mm, $form->eavesOverhang_mm] : [$form->eavesOverhang_mm, $form->vergeOverhang_mm];
        $walls = [];
        foreach (WallParts::spans($building, $form) as $span) {
            $wall = $span->form;
            $corners = [[$span->start, 0.0], [$span->end, 0.0], [$span->end, -$span->stack->thickness_mm], [$span->start, -$span->stack->thickness_mm]];
            $gaps = [];
            foreach ($wall->openings as $o) {
                $gaps[] = self::onGround($form->ground, $wall->frame, [[$o->left, 0.0], [$o->right(), 0.0], [$o->right(), -$span->stack->thickness_mm], [$o->left, -$span->stack->thickness_mm]]);
            }
            $walls[] = ['edge' => $wall->wall->name, 'ring' => self::onGround($form->ground, $wall->frame, $corners), 'openings' => $gaps, 'length' => Size::ofModel($wall->length->mm, $building->scale)];
        }
        $braces = [];
        foreach ($kit->parts as $part) {
            foreach ($part->part->group === 'brace' ? $part->part->placements : [] as $frame) {
                $braces[] = array_map(static fn (Vec2 $p): array => $form->ground->project($frame->at($p))->toArray(), $part->part->outline->ring->points);
            }
        }

        return [
            'footprint' => Ring::rectangle(0.0, 0.0, $w, $d)->toArray(),
            'roof' => Ring::rectangle(-$ox, -$oy, $w + $ox, $d + $oy)->toArray(),
            'ridge' => $alongX ? [[-$ox, $d / 2.0], [$w + $ox, $d / 2.0]] : [[$w / 2.0, -$oy], [$w / 2.0, $d + $oy]],
            'walls' => $walls, 'braces' => $braces,
        ];
    }

    /**
     * Across the ridge, seen along it.
     *
     * @return array<string, mixed>
     */
    public static function section(Building $building, Kit $kit): array
    {
        $form = $kit->form;
        $scale = $building->scale;
        $pitch = $form->pitch;
        [$one, $other] = $form->planes;
        $span = $form->wall($one->edge + 1)->length->mm;
        $height = $form->wall($one->edge)->height->mm;
        $stacks = $building->methods->stacks;
        $t = [$stacks[$form->wall($one->edge)->wall->stack]->thickness_mm, $stacks[$form->wall($other->edge)->wall->stack]->thickness_mm];
        $roof = $building->methods->roof()->thickness_mm;
        $slope = $one->slope->mm;
        $out = $form->eavesOverhang_mm;
        $tip = new Vec2(-$out, $height - $out * $pitch->tan());
        $up = new Vec2($pitch->cos(), $pitch->sin());
        $side = (new Vec2(-$pitch->sin(), $pitch->cos()))->times($roof);
        $panel = new Ring([$tip, $tip->plus($up->times($slope)), $tip->plus($up->times($slope))->plus($side), $tip->plus($side)]);
        $rings = [
            ['name' => 'wall', 'ring' => Ring::rectangle(0.0, 0.0, $t[0], $height)->toArray()],
            ['name' => 'wall', 'ring' => Ring::rectangle($span - $t[1], 0.0, $span, $height)->toArray()],
            ['name' => 'roof', 'ring' => $panel->toArray()],
            ['name' => 'roof', 'ring' => $panel->mirrored($span / 2.0)->toArray()],
        ];
        array_push($rings, ...self::stripRings($kit, new Vec2($span / 2.0, $height + $span / 2.0 * $pitch->tan() + $roof / $pitch->cos()), $up, $span / 2.0));
        $floor = array_filter($kit->parts, static fn (LabelledPart $p): bool => $p->part->name === 'Floor');
        foreach ($floor as $part) {
            $rings[] = ['name' => 'floor', 'ring' => Ring::rectangle($t[0] + 0.1, 0.0, $span - $t[1] - 0.1, $part->part->thickness)->toArray()];
        }
        $ridge = $form->ridge->mm;

        return [
            'rings' => $rings,
            'span' => Size::ofModel($span, $scale), 'run' => Size::ofModel($span / 2.0, $scale), 'rise' => Size::ofModel($ridge - $height, $scale),
            'eaves' => Size::ofModel($height, $scale), 'ridge' => Size::ofModel($ridge, $scale), 'slope' => Size::ofModel($slope, $scale),
            'overhang' => Size::ofModel($out, $scale), 'reach' => Size::ofModel($out + $roof * $pitch->sin(), $scale), 'pitch' => $pitch->text(),
            'workings' => [
                $one->slope->workings('slope of a panel'), $one->along->workings('panel along the ridge'), $form->ridge->workings('ridge, underside'),
                ...self::strip($kit),
            ],
            'note' => 'Cut square, the panels part by '.LengthFormat::millimetres(2.0 * $building->methods->roof()->layers[0]->thickness_mm * $pitch->sin()).' at the top of the ridge; the strip covers it.',
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function strip(Kit $kit): array
    {
        $workings = [];
        foreach ($kit->parts as $part) {
            if ($part->part->name === 'Ridge strip') {
                $workings[] = $part->part->workings['height']->workings('width of the ridge strip');
            }
        }

        return $workings;
    }

    /**
     * The ridge strip on the panels' tops, which meet in $apex.
     *
     * @param  Vec2  $up  the way the first panel rises
     * @return list<array{name: string, ring: list<array{float, float}>}>
     */
    private static function stripRings(Kit $kit, Vec2 $apex, Vec2 $up, float $middle): array
    {
        $rings = [];
        foreach ($kit->parts as $part) {
            if ($part->part->name === 'Ridge strip') {
                $foot = $apex->minus($up->times($part->part->height() / 2.0));
                $out = (new Vec2(-$up->y, $up->x))->times($part->part->thickness);
                $leg = new Ring([$foot, $apex, $apex->plus($out), $foot->plus($out)]);
                $rings[] = ['name' => 'strip', 'ring' => $leg->toArray()];
                $rings[] = ['name' => 'strip', 'ring' => $leg->mirrored($middle)->toArray()];
            }
        }

        return $rings;
    }

    /**
     * @param  list<array{float, float}>  $points  along the wall, and out of it
     * @return list<array{float, float}>
     */
    private static function onGround(Frame $ground, Frame $wall, array $points): array
    {
        return array_map(static fn (array $p): array => $ground->project($wall->point($p[0], 0.0, $p[1]))->toArray(), $points);
    }
}
