<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Leaf;
use Chartula\Core\Building\Opening;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use LogicException;

/** What stands in openings, sheet behind sheet, one part each for all equal ones of a row. docs/formulas.md#frame */
final readonly class FillingParts
{
    /** The gap between the finished opening and what stands in it, each side. */
    public const CLEARANCE_MM = Filling::PLAY_MM;

    private function __construct(
        private Building $building,
        private Walls $walls,
        private WallSpan $span,
        private Recall $recall,
        private PaneHoles $panes,
    ) {
    }

    public static function make(Building $building, Walls $walls, Recall $recall = new Recall): PartSet
    {
        $sets = [];
        $panes = new PaneHoles($building);
        foreach ($walls->spans() as $span) {
            $maker = new self($building, $walls, $span, $recall, $panes);
            $forms = [];
            foreach ($span->form->openings as $form) {
                $forms[spl_object_id($form->opening)][] = $form;
            }
            foreach ($span->isBuilt() ? $span->form->wall->openings : [] as $opening) {
                array_push($sets, ...$maker->fillings($opening, $forms[spl_object_id($opening)] ?? []));
            }
        }

        return PartSet::joined($sets);
    }

    /**
     * @param  list<OpeningForm>  $forms  the opening, and where it is repeated each of them
     * @return list<PartSet>
     */
    private function fillings(Opening $opening, array $forms): array
    {
        if ($forms === []) {
            throw new LogicException("The opening $opening->id has no form");
        }
        if ($opening->style->filling() === Filling::Nothing) {
            return [];
        }
        // Of a row that recedes no two are alike.
        $groups = $this->span->form->receding === null ? [$forms] : array_chunk($forms, 1);

        return array_map($this->filling(...), $groups);
    }

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    private function filling(array $forms): PartSet
    {
        $leaf = $forms[0]->opening->style->leaf;
        if ($leaf?->hinges !== null) {
            return $this->hung($forms, $leaf);
        }
        $forms = Stance::filled($leaf, $forms, $this->building->scale->ratio);
        if ($leaf?->slides !== 'apart') {
            return $this->standing($forms, '');
        }
        // Halves that go apart mirror each other.
        $halves = [[], []];
        foreach ($forms as $i => $form) {
            $halves[$i % 2][] = $form;
        }

        return PartSet::joined(array_map(
            fn (array $half, int $i): PartSet => $half === [] ? new PartSet : $this->standing($half, $i === 0 ? '' : '-right'),
            $halves,
            [0, 1],
        ));
    }

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    private function hung(array $forms, Leaf $leaf): PartSet
    {
        $in = new Fitted($this->building, $forms[0], $this->span->cut($forms[0]->opening));
        $sets = [$this->standing($forms, '', [(new HungLeaf($this->building, $forms[0], $leaf))->frame($in)])];
        $leaves = array_map(fn (OpeningForm $form): array => (new HungLeaf($this->building, $form, $leaf))->leaves(), $forms);
        foreach (array_keys($leaves[0]) as $n) {
            $sets[] = $this->standing(array_map(static fn (array $of): OpeningForm => $of[$n], $leaves), $n === 0 ? '' : '-right');
        }

        return PartSet::joined($sets);
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms  that are alike
     * @param  ?non-empty-list<Sheet>  $frame  of a leaf that is hung, which stands in the opening for itself
     * @param  string  $half  of its two halves, as its layers are told apart
     */
    private function standing(array $forms, string $half, ?array $frame = null): PartSet
    {
        $stance = Stance::of($this->building, $this->span->form, $frame === null ? $forms[0]->opening->style->leaf : null);
        $cut = $this->span->cut($forms[0]->opening);
        $in = new Fitted($this->building, $forms[0], $stance->isFitted() ? $cut : OpeningCut::none());
        $sheets = $frame ?? FillingSheets::of($in, $this->panes, $this->span);
        // The foremost is a layer of the wall.
        $isLayer = $cut->held === Holding::Layer && $stance->isFitted();
        $sheets = $isLayer ? array_slice($sheets, 1) : $sheets;
        $thickness = array_sum(array_map(static fn (Sheet $s): float => $s->thickness, $sheets));
        $front = $stance->depth($cut->depth, $thickness);
        $depth = $front + ($isLayer ? $this->span->stack->layers[$cut->front - 1]->thickness_mm : 0.0);
        [$rings, $before, $cards] = [$stance->isFitted() ? $this->rings($forms) : new PartSet, null, null];
        [$parts, $joints] = [$rings->parts, $rings->joints];
        foreach ($sheets as $sheet) {
            $part = $this->part($sheet->with(layer: $sheet->layer.$half), $forms[0], array_map(
                fn (OpeningForm $form): Frame => $this->stands($sheet->swing, $form, $front) ?? $stance->frame($form, $front, $depth),
                $forms,
            ));
            $meets = new FillingJoints($this->walls, $this->span, $part);
            array_push($joints, ...$before === null || $sheet->why === '' ? [] : $this->laps($before, $part, $sheet->why));
            array_push($joints, ...$sheet->isFitted && $stance->isFitted() ? $meets->clearances($forms) : []);
            array_push($joints, ...$before === null && $stance->isFitted() ? $this->held($part, $forms, $rings->parts) : []);
            $parts[] = $before = $part;
            $cards = $sheet->isFitted ? $part : $cards;
            $depth += $sheet->thickness;
        }
        if ($before !== null && $stance->slides()) {
            array_push($joints, ...(new FillingJoints($this->walls, $this->span, $before))->before($forms, -$depth));
        }
        $set = new PartSet($parts, $joints);

        return $cards === null || ! $stance->isFitted()
            ? $set
            : $set->with((new Stops($this->building, $this->span, $forms))->behind($cards));
    }

    /** How a sheet stands that turns; null where it does not. */
    private function stands(?Swing $swing, OpeningForm $form, float $front): ?Frame
    {
        return $swing?->frame($this->span->form->frame, $form, $front, $front + $swing->behind);
    }

    /**
     * How the first sheet lies against what holds it.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  list<Part>  $rings  on the back of the wall
     * @return list<Joint>
     */
    private function held(Part $part, array $forms, array $rings): array
    {
        return $rings === []
            ? (new FillingJoints($this->walls, $this->span, $part))->stops($forms)
            : $this->laps($rings[count($rings) - 1], $part, 'stuck on the back of the rings', $this->span->form->turnIn);
    }

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    private function rings(array $forms): PartSet
    {
        $cut = $this->span->cut($forms[0]->opening);
        $stack = $this->span->stack;
        [$parts, $joints, $before, $depth] = [[], [], null, $stack->thickness_mm];
        foreach (Rings::of($forms[0], $cut, $stack->innermost(), $this->span->form->turnIn) as $sheet) {
            $part = $this->part($sheet, $forms[0], array_map(
                fn (OpeningForm $form): Frame => $this->span->form->frame->moved($form->left, $form->sill, -$depth),
                $forms,
            ));
            array_push($joints, ...$before === null
                ? (new FillingJoints($this->walls, $this->span, $part))->onBack($forms, 0.0, $sheet->why)
                : $this->laps($before, $part, $sheet->why));
            $parts[] = $before = $part;
            $depth += $sheet->thickness;
        }

        return new PartSet($parts, $joints);
    }

    /** @param  non-empty-list<Frame>  $frames */
    private function part(Sheet $sheet, OpeningForm $form, array $frames): Part
    {
        [$block, $wall, $opening] = [$this->span->block->id, $this->span->name(), $form->id];

        return Part::of(
            new PartName("$block.$wall.$sheet->layer.$opening", $block, $wall, $sheet->layer, $opening),
            $sheet->letter, $sheet->words, $sheet->group, $sheet->stock, $sheet->thickness, $sheet->outline, $frames,
            $sheet->workings, $sheet->holes, marks: $sheet->marks, art: $sheet->art,
        );
    }

    /** @return list<Joint> how a sheet goes on the one before it */
    private function laps(Part $before, Part $part, string $why, float $gap = 0.0): array
    {
        // Both in the opening's own frame: they differ by where their corners lie.
        [$from, $to] = [$part->placements[0], $before->placements[0]];
        $by = $to->project($from->origin);
        $region = $part->region()->moved($by->x, $by->y);
        $shared = $this->recall->of(
            Recall::question('sheets', $before->outline->ring, $before->holes, $region->outline, $region->holes),
            static fn (): float => Clip::sharedArea($before->region(), $region),
        );

        return array_map(static fn (int $copy): Joint => new Joint(
            JointKind::Lap, Ref::inside($before->id, $copy), Ref::outside($part->id, $copy), $part->corners($copy),
            gap_mm: $gap, why: $why, contact_mm2: $shared,
        ), array_keys($part->placements));
    }
}
