<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShapes;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Size;
use Chartula\Core\Problem\Problem;

/**
 * A building as it is described, for the screen, while something is wrong with it: outlines, walls with their openings, edges of roofs,
 * and what of them clashes. Nothing is derived: no card, no planes that meet, no proof. Shapes as in BuildingView, so that one screen
 * draws both.
 */
final readonly class Sketch
{
    /** Gables are drawn no higher than so many times the wall is long. */
    private const STEEPEST = 3.0;

    /** @param  list<string>  $faulty  paths */
    private function __construct(private Building $building, private array $faulty)
    {
    }

    /**
     * @param  list<Problem>  $faults
     * @return array<string, mixed>
     */
    public static function of(Building $building, array $faults): array
    {
        $self = new self($building, array_map(static fn (Problem $p): string => $p->path, $faults));
        $ratio = $building->scale->ratio;
        $skin = $building->methods->skin;

        return [
            'scale' => '1:'.LengthFormat::trimmed($ratio, 4),
            'rule' => ['foot_mm' => 304.8 / $ratio, 'metre_mm' => 1000.0 / $ratio],
            'walls' => array_merge(...array_map($self->walls(...), $building->blocks)),
            'plan' => ['blocks' => array_map($self->block(...), $building->blocks), 'walls' => [], 'braces' => [], 'gaps' => []],
            'roof' => [
                'lines' => array_merge(...array_map($self->roof(...), $building->blocks)), 'panels' => [], 'area_mm2' => 0.0,
                'things' => RoofThings::of($building, null, fn (Feature $f): bool => $self->clashes($f->said->path)),
            ],
            'section' => null,
            'skin' => [
                'brick' => $skin->brick, 'mortar' => $skin->mortar,
                'flap' => LengthFormat::millimetres($skin->flap($building->methods->wall()->thickness_mm)),
            ],
            'stocks' => [],
            'shelf' => BuildingView::shelf($building),
        ];
    }

    /** Whether something is wrong at a place or in it. */
    private function clashes(string $path): bool
    {
        return array_filter($this->faulty, static fn (string $p): bool => $p === $path || str_starts_with($p, "$path.")) !== [];
    }

    private function ring(Block $block): Ring
    {
        return $block->standing()->scaled(1.0 / $this->building->scale->ratio);
    }

    /** @return array<string, mixed> */
    private function block(Block $block): array
    {
        $own = array_filter(
            ['footprint', 'at', 'turn', 'place', 'eaves', 'base', 'plinth', 'roof', 'storeys', 'storeys_of', 'id'],
            fn (string $key): bool => $this->clashes("$block->path.$key"),
        );

        return PlanView::drawn($this->building, $block, $this->ring($block), [
            'block' => $own !== [] || in_array($block->path, $this->faulty, true),
            'edges' => array_map(fn (RoofEdge $e): bool => $this->clashes($e->path), $block->roof->edges), 'measurable' => [],
        ]);
    }

    /** @return list<array<string, mixed>> the edges of its roof */
    private function roof(Block $block): array
    {
        $ring = $this->ring($block);
        $lines = [];
        foreach ($block->roof->edges as $i => $edge) {
            $length = $ring->edgeLength($i);
            $lines[] = [
                'kind' => match ($edge->kind) {
                    RoofEdge::GABLE => 'verge', RoofEdge::WALL => 'wall line', default => 'eaves'
                },
                'from' => $ring->point($i)->toArray(), 'to' => $ring->point($i + 1)->toArray(),
                'length' => Size::ofModel($length, $this->building->scale), 'fold' => null,
                'workings' => ['of' => 'edge', 'steps' => []],
            ];
        }

        return $lines;
    }

    /** @return list<array<string, mixed>> */
    private function walls(Block $block): array
    {
        $count = $block->footprint->count();
        $walls = array_filter($block->walls, static fn (Wall $w): bool => $w->edge < $count);

        return array_map(fn (Wall $wall): array => $this->wall($block, $wall), array_values($walls));
    }

    /** @return array<string, mixed> */
    private function wall(Block $block, Wall $wall): array
    {
        $scale = $this->building->scale;
        $isOne = count($this->building->blocks) === 1;
        $length = $this->ring($block)->edgeLength($wall->edge);
        $eaves = $scale->modelMm($block->eaves) - $scale->modelMm($block->base);
        $outline = $this->outline($block, $wall->edge, $length, $eaves);
        $openings = new OpeningsView($this->building, $length, $this->openings($wall));
        $showsCourses = $this->building->papers($wall);
        $apex = max(array_map(static fn (Vec2 $p): float => $p->y, $outline->points));

        return [
            'key' => "$block->id.$wall->name", 'block' => $block->id, 'edge' => $wall->name,
            'title' => ($isOne ? ucfirst($wall->name) : "$block->name, $wall->name").', from outside',
            'path' => $wall->path, 'finish' => $wall->finish->value, 'shows_courses' => false,
            'step' => OpeningsView::step($this->building, $showsCourses),
            'length' => Size::ofModel($length, $scale), 'height' => Size::ofModel($eaves, $scale),
            'apex' => $apex > $eaves ? Size::ofModel($apex, $scale) : null,
            'outlines' => [$outline->toArray()], 'whole' => $outline->toArray(), 'parts' => [], 'paper' => null,
            'openings' => $openings->figures(fn (OpeningForm $o): bool => $this->clashes($o->opening->path)),
            'things' => array_map(
                fn (array $thing): array => ['rings' => $this->described($block, $thing, $length)] + $thing,
                ThingsView::of($block, $wall->edge, [], fn (Feature $f): bool => $this->clashes($f->said->path)),
            ),
            'chains' => $openings->chains(), 'marks' => [], 'covered' => [],
            'ends' => array_map(fn (string $end): array => $this->end($block, $wall->edge, $end), ['left', 'right']),
        ];
    }

    /**
     * What a thing along a wall takes of it, as it is described; nothing is drawn of others.
     *
     * @param  array<string, mixed>  $thing
     * @return list<list<array{float, float}>>
     */
    private function described(Block $block, array $thing, float $length): array
    {
        foreach ($block->features as $feature) {
            $place = $feature->place;
            $high = $feature->said->real('h');
            if ($feature->id !== $thing['id'] || $place?->anchor !== Anchor::Wall || $high === null) {
                continue;
            }
            $mm = fn (?RealLength $l): float => $l === null ? 0.0 : $this->building->scale->modelMm($l);
            $to = $place->to === null ? $length : $mm($place->to);

            return [Ring::rectangle($mm($place->from), $mm($place->up), $to, $mm($place->up) + $mm($high))->toArray()];
        }

        return [];
    }

    /** @return list<OpeningForm> from left to right */
    private function openings(Wall $wall): array
    {
        $shapes = new OpeningShapes($this->building->scale);
        $forms = array_merge(...array_map(
            static fn (Opening $o): array => array_map(
                static fn (int $i): OpeningForm => OpeningForm::of($o, $i, $shapes),
                range(0, $o->count - 1),
            ),
            $wall->openings,
        ), ...[[]]);
        usort($forms, static fn (OpeningForm $a, OpeningForm $b): int => $a->left <=> $b->left);

        return $forms;
    }

    /** A wall up to its eaves, and between slopes that come down beside it as far as they meet. */
    private function outline(Block $block, int $edge, float $length, float $eaves): Ring
    {
        $n = $block->footprint->count();
        $edges = $block->roof->edges;
        $rises = ($edges[$edge] ?? null)?->kind === RoofEdge::GABLE;
        $slope = static function (int $i) use ($edges, $n, $rises): ?float {
            $beside = $edges[(($i % $n) + $n) % $n] ?? null;

            return $rises && $beside?->kind === RoofEdge::SLOPE ? tan(deg2rad($beside->pitch->degrees)) : null;
        };
        [$left, $right] = [$slope($edge - 1), $slope($edge + 1)];
        $top = match (true) {
            $left !== null && $right !== null => [(new Vec2($right, $left * $right))->times($length / ($left + $right))],
            $left !== null => [new Vec2($length, $length * $left)],
            $right !== null => [new Vec2(0.0, $length * $right)],
            default => [],
        };
        $foot = [new Vec2(0.0, 0.0), new Vec2($length, 0.0), new Vec2($length, $eaves)];
        $up = array_map(static fn (Vec2 $p): Vec2 => new Vec2($p->x, $eaves + min($p->y, self::STEEPEST * $length)), $top);

        return Ring::ofDistinct([...$foot, ...$up, new Vec2(0.0, $eaves)]);
    }

    /**
     * @param  'left'|'right'  $end
     * @return array<string, mixed>
     */
    private function end(Block $block, int $edge, string $end): array
    {
        $n = $block->footprint->count();
        $vertex = ($edge + ($end === 'left' ? 0 : 1)) % $n;
        $corner = $block->corners[$vertex] ?? null;
        $other = ($edge + ($end === 'left' ? $n - 1 : 1)) % $n;

        return [
            'end' => $end, 'vertex' => $vertex, 'name' => $corner?->name,
            'angle' => LengthFormat::trimmed($block->footprint->angle($vertex), 1).'°', 'kind' => $this->building->methods->corner->value,
            'other' => $block->footprint->edges[$other], 'said' => '',
        ];
    }
}
