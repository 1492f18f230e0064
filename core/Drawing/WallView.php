<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Size;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Shell\WallMarks;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Trim\PanelParts;

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

        return [
            'key' => $block->id.'.'.$name,
            'block' => $block->id,
            'edge' => $name,
            'title' => (count($this->building->blocks) > 1 ? $block->name.', ' : '')
                .(count($this->building->blocks) > 1 ? $name : ucfirst($name)).', from outside',
            'path' => $this->wall->wall->path,
            'finish' => $this->wall->wall->finish,
            'shows_courses' => $this->wall->isPapered,
            // One press of an arrow key: a brick and a course, or 3in where no courses show.
            'step' => $this->wall->isPapered
                ? [
                    'along_mm' => $this->building->gauge->brick_mm / $scale->ratio,
                    'up_mm' => $this->building->gauge->course_mm / $scale->ratio,
                ]
                : ['along_mm' => 76.2 / $scale->ratio, 'up_mm' => 76.2 / $scale->ratio],
            'length' => Size::ofModel($this->wall->length->mm, $scale),
            'height' => Size::ofModel($this->wall->height->mm, $scale),
            'apex' => $this->wall->apex === null ? null : Size::ofModel($this->wall->apex->mm, $scale),
            // What of it is built, and what would stand there were no other block in the way.
            'outlines' => array_map(static fn (Patch $p): array => $p->outline->toArray(), $this->wall->patches),
            'whole' => $this->whole(),
            'parts' => array_map(static fn (LabelledPart $p): string => $p->part->id, $this->parts()),
            'paper' => $this->paper(),
            'openings' => array_map($this->opening(...), $this->wall->openings), 'chains' => $this->chains(),
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
            'said' => $corner === null || ($corner->method === null && $corner->through === null)
                ? ''
                : ($corner->method === 'mitre' ? 'mitre' : (($corner->through === 'after') === ($end === 'left') ? 'through' : 'stopped')),
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

    /** @return array<string, mixed> */
    private function opening(OpeningForm $opening): array
    {
        $described = $opening->opening;
        $style = $described->style;
        $scale = $this->building->scale;
        $panes = PanelParts::panesOf($opening, $scale);

        return [
            'key' => $opening->id, 'id' => $described->id, 'copy' => $opening->copy, 'count' => $described->count,
            'style' => $style->id, 'kind' => $style->kind, 'path' => $described->path, 'style_path' => "styles.$style->id",
            'left' => Size::ofModel($opening->left, $scale), 'sill' => Size::ofModel($opening->sill, $scale),
            'width' => Size::ofReal($style->w, $scale), 'height' => Size::ofReal($style->h, $scale),
            'rise' => $style->rise === null ? null : Size::ofReal($style->rise, $scale),
            'pitch' => $described->pitch === null ? null : Size::ofReal($described->pitch, $scale),
            'ring' => $opening->ring()->toArray(),
            'panes' => array_map(static fn (Ring $r): array => $r->moved($opening->left, $opening->sill)->toArray(), $panes),
        ];
    }

    /**
     * Along the foot: every pier and opening, then the whole.
     *
     * @return list<list<array<string, mixed>>>
     */
    private function chains(): array
    {
        $length = $this->wall->length->mm;
        $links = [];
        $at = 0.0;
        foreach ($this->wall->openings as $opening) {
            if ($opening->left >= $at) {
                $links[] = $this->link($at, $opening->left, null);
                $links[] = $this->link($opening->left, $opening->right(), $opening->id);
                $at = $opening->right();
            }
        }
        $links[] = $this->link($at, $length, null);
        $chains = [array_values(array_filter($links, static fn (array $l): bool => $l['to'] - $l['from'] > Tolerance::FIGURE))];

        return count($chains[0]) > 1 ? [...$chains, [$this->link(0.0, $length, null)]] : $chains;
    }

    /** @return array{from: float, to: float, opening: ?string, size: array<string, string|float>, bricks: string} */
    private function link(float $from, float $to, ?string $opening): array
    {
        $brick = $this->building->gauge->brick_mm / $this->building->scale->ratio;

        return [
            'from' => round($from, 4), 'to' => round($to, 4), 'opening' => $opening,
            'size' => Size::ofModel($to - $from, $this->building->scale),
            'bricks' => LengthFormat::trimmed(($to - $from) / $brick, 2).' bricks',
        ];
    }
}
