<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Edit\QuickShape;
use Chartula\Core\Building\Edit\StackBlock;
use Chartula\Core\Building\StoreySum;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\BuiltFigures;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Size;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Shell\WallSpan;

/** The plan for the screen: blocks with their edges and roofs, walls as they are cut, braces. Model millimetres, the building's axes. */
final readonly class PlanView
{
    /** @return array<string, mixed> */
    public static function of(Building $building, Kit $kit): array
    {
        $walls = [];
        foreach ($kit->walls->spans() as $span) {
            $outer = $kit->walls->facing($span, true);
            foreach ($kit->walls->facing($span, false) as $i => $piece) {
                $walls[] = self::wall(
                    $building,
                    $span,
                    ($outer[$i] ?? $piece)->shape->outline->face('outside')->bounds(),
                    $piece->shape->outline->face('inside')->bounds(),
                );
            }
        }
        $braces = [];
        foreach ($kit->parts as $part) {
            foreach ($part->part->group === PartGroup::Brace && abs($part->part->placements[0]->normal->z) > 0.5
                ? $part->part->placements
                : [] as $frame) {
                $braces[] = array_map(static fn (Vec2 $p): array => self::flat($frame->at($p)), $part->part->outline->ring->points);
            }
        }

        return [
            'blocks' => array_map(
                static fn (BlockForm $b): array => self::drawn($building, $b->block, $b->ring, [
                    'stack' => StackBlock::of($building, $b->block->id) !== null,
                    'block' => false, 'edges' => [], 'measurable' => BuiltFigures::measurable($kit->compressed->building, $kit->form, $b),
                ]),
                $kit->form->blocks,
            ),
            'walls' => $walls, 'braces' => $braces, 'gaps' => PlanGaps::of($building, $kit),
        ];
    }

    /**
     * A block as it is described, on the outline that is drawn for it.
     *
     * @param  array{block: bool, stack?: bool, edges: array<int, bool>, measurable: array<int, array<string, float>>}  $said  with what
     *     of it something is wrong, whether it is a stack, and by edge what can be measured of it
     * @return array<string, mixed>
     */
    public static function drawn(Building $building, Block $block, Ring $ring, array $said): array
    {
        $scale = $building->scale;
        $edges = [];
        foreach ($block->footprint->edges as $i => $name) {
            $roof = $block->roof->edges[$i];
            $edges[] = [
                'name' => $name, 'block' => $block->id, 'key' => $block->id.'.'.$name,
                'from' => $ring->point($i)->toArray(), 'to' => $ring->point($i + 1)->toArray(),
                'length' => Size::ofModel($ring->edgeLength($i), $scale), 'roof' => $roof->kind, 'pitch' => $roof->pitch->text(),
                'overhang' => Size::ofReal($roof->overhang, $scale), 'clashes' => $said['edges'][$i] ?? false,
                'measurable' => array_map(static fn (string $figure, float $mm): array => [
                    'figure' => $figure, 'is' => Size::ofModel($mm, $scale),
                ], array_keys($said['measurable'][$i] ?? []), $said['measurable'][$i] ?? []),
            ];
        }

        return [
            'id' => $block->id, 'name' => $block->name, 'path' => $block->path,
            'ring' => $ring->toArray(), 'edges' => $edges, 'clashes' => $said['block'],
            'is_stack' => $said['stack'] ?? false,
            'at' => [Size::ofModel($block->at->x / $scale->ratio, $scale), Size::ofModel($block->at->y / $scale->ratio, $scale)],
            'turn' => $block->turnDeg, 'eaves' => Size::ofReal($block->eaves, $scale), 'base' => Size::ofReal($block->base, $scale),
            'roof' => ['kind' => $block->roof->kind->value, 'pitch' => $block->roof->pitch->text()],
            'storeys' => StoreySum::words($block, $building->gauge),
        ] + self::shape($scale, $block);
    }

    /**
     * Of which shape its outline is, with the figures of that, and what it measures over all.
     *
     * @return array<string, mixed>
     */
    private static function shape(Scale $scale, Block $block): array
    {
        $corners = array_map(static fn (array $c): array => [$c[0]->mm, $c[1]->mm], $block->footprint->corners);
        $lengths = array_filter(array_merge(...$block->footprint->corners), static fn (RealLength $l): bool => $l->mm > 0.0);
        $like = array_values($lengths)[0] ?? null;
        [$w, $d] = QuickShape::overAll($corners);
        $known = QuickShape::recognised($corners);
        $figures = ['w' => 'width over all'] + (($known['shape'] ?? null) === 'polygon' ? [] : ['d' => 'depth over all']);
        $figures += QuickShape::FIGURES[$known['shape'] ?? ''] ?? [];

        return [
            'wide' => Size::ofReal(RealLength::ofMillimetres($w), $scale), 'deep' => Size::ofReal(RealLength::ofMillimetres($d), $scale),
            'shape' => $known['shape'] ?? null,
            'figures' => $known === null || $known['shape'] === 'rect' ? [] : array_map(static fn (string $key, string $words): array => [
                'key' => $key, 'words' => $words, 'text' => LengthFormat::like($like->text ?? '0ft', $known[$key]),
            ], array_keys($figures), array_values($figures)),
        ];
    }

    /**
     * From where to where a wall stands, on its outside and on its inside.
     *
     * @return array<string, mixed>
     */
    private static function wall(Building $building, WallSpan $span, Box2 $outside, Box2 $inside): array
    {
        $frame = $span->form->frame;
        $t = $span->stack->thickness_mm;
        $ring = static fn (float $a, float $b, float $c, float $d): array => array_map(
            static fn (array $p): array => self::flat($frame->point($p[0], 0.0, $p[1])),
            [[$a, 0.0], [$b, 0.0], [$c, -$t], [$d, -$t]],
        );
        $gaps = [];
        foreach ($span->form->openings as $opening) {
            if ($opening->left >= $outside->x0 && $opening->right() <= $outside->x1) {
                $gaps[] = $ring($opening->left, $opening->right(), $opening->right(), $opening->left);
            }
        }

        return [
            'key' => $span->block->id.'.'.$span->name(), 'edge' => $span->name(),
            'ring' => $ring($outside->x0, $outside->x1, $inside->x1, $inside->x0), 'openings' => $gaps,
            'length' => Size::ofModel($span->form->length->mm, $building->scale),
        ];
    }

    /** @return array{float, float} */
    private static function flat(Vec3 $at): array
    {
        return (new Vec2($at->x, $at->y))->toArray();
    }
}
