<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\CornerMethod;
use Chartula\Core\Form\Covered;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Shell\WallMarks;
use Chartula\Core\Shell\WallSpan;

/**
 * An elevation for the screen: outlines, openings with their figures, and dimension chains. Model millimetres, origin
 * at the left end of the foot, y up.
 */
final readonly class WallView
{
    private function __construct(
        private Building $building,
        private Kit $kit,
        private WallSpan $span,
        private WallForm $wall,
    ) {
    }

    /** @return array<string, mixed> */
    public static function of(Building $building, Kit $kit, WallSpan $span): array
    {
        return (new self($building, $kit, $span, $span->form))->all();
    }

    /** @return array<string, mixed> */
    private function all(): array
    {
        $name = $this->wall->wall->name;
        $block = $this->span->block;
        $scale = $this->building->scale;
        $openings = new OpeningsView($this->building, $this->wall->length->mm, $this->wall->openings);

        return [
            'key' => $block->id.'.'.$name,
            'block' => $block->id,
            'edge' => $name,
            'title' => (count($this->building->blocks) > 1 ? $block->name.', ' : '')
                .(count($this->building->blocks) > 1 ? $name : ucfirst($name)).', from outside',
            'path' => $this->wall->wall->path,
            'finish' => $this->wall->wall->finish->value,
            'shows_courses' => $this->wall->isPapered,
            'step' => OpeningsView::step($this->building, $this->wall->isPapered),
            'length' => Size::ofModel($this->wall->length->mm, $scale),
            'height' => Size::ofModel($this->wall->height->mm, $scale),
            'apex' => $this->wall->apex === null ? null : Size::ofModel($this->wall->apex->mm, $scale),
            // What of it is built, and what would stand there were no other block in the way.
            'outlines' => array_map(static fn (Patch $p): array => $p->outline->toArray(), $this->wall->patches),
            'whole' => $this->whole(),
            'parts' => array_map(static fn (LabelledPart $p): string => $p->part->id, $this->parts()),
            'paper' => $this->paper(),
            'openings' => $openings->figures(static fn (): bool => false), 'chains' => $openings->chains(),
            'things' => ThingsView::of($block, $this->wall->wall->edge, $this->wall->claims, static fn (): bool => false),
            'marks' => array_map(
                static fn (Mark $m): array =>
                    ['path' => array_map(static fn (Vec2 $p): array => $p->toArray(), $m->path), 'text' => $m->text],
                array_merge(
                    ...array_map(
                        fn (Patch $p): array => WallMarks::of($this->kit->form, $this->span, new Region($p->outline)),
                        $this->wall->patches,
                    ),
                ),
            ),
            'covered' => $this->covered(),
            'ends' => array_map($this->end(...), ['left', 'right'])];
    }

    /** @return list<LabelledPart> what is cut for it, papers, frames and glass with it */
    private function parts(): array
    {
        $block = $this->span->block->id;

        return array_values(array_filter(
            $this->kit->parts,
            fn (LabelledPart $p): bool => $p->part->of->block === $block
                && $p->part->of->edge === $this->wall->wall->name
                && $p->part->group !== PartGroup::Roof,
        ));
    }

    /** @return list<array{by: string, ring: list<array{float, float}>}> */
    private function covered(): array
    {
        $form = $this->kit->form;

        return array_map(
            static fn (Covered $c): array => ['by' => $form->blocks[$c->block]->block->name, 'ring' => $c->ring->toArray()],
            Covered::of($form, $this->wall),
        );
    }

    /** The paper that is drawn on it. */
    private function paper(): ?string
    {
        foreach ($this->parts() as $part) {
            if ($part->part->of->layer === 'paper' && $part->part->of->opening === null) {
                return $part->part->id;
            }
        }

        return null;
    }

    /**
     * How it ends at a corner, and what is said of that.
     *
     * @param  'left'|'right'  $end
     * @return array<string, mixed>
     */
    private function end(string $end): array
    {
        $n = $this->span->block->footprint->count();
        $vertex = ($this->wall->wall->edge + ($end === 'left' ? 0 : 1)) % $n;
        $corner = $this->span->block->corners[$vertex] ?? null;
        $is = $end === 'left' ? $this->span->left : $this->span->right;

        return [
            'end' => $end, 'vertex' => $vertex, 'name' => $corner?->name,
            'angle' => LengthFormat::trimmed($is->angle, 1).'°', 'kind' => $is->kind,
            'other' => $this->kit->walls->span($this->wall->block, $is->edge)->name(),
            'said' => match (true) {
                $corner === null || ($corner->method === null && $corner->through === null) => '',
                $corner->method === CornerMethod::Mitre => $corner->method->value,
                default => ($corner->through === 'after') === ($end === 'left') ? 'through' : 'stopped',
            },
        ];
    }

    /** @return list<array{float, float}> */
    private function whole(): array
    {
        return [
            [0.0, 0.0],
            [round($this->wall->length->mm, 4), 0.0],
            ...array_map(static fn (Vec2 $p): array => $p->toArray(), array_reverse($this->wall->top)),
        ];
    }
}
