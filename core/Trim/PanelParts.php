<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Leaf;
use Chartula\Core\Building\Opening;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Shell\OpeningCut;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use LogicException;

/** Frames, glazing and door leaves, one part for each row of equal openings. docs/formulas.md#frame */
final readonly class PanelParts
{
    /** The gap between the finished opening and what stands in it, each side. */
    public const CLEARANCE_MM = 0.1;

    /** Glass is smaller than its frame by this on each side, so that glue can creep. */
    public const GLASS_INSET_MM = 0.5;

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
        $panes = new PaneHoles($building->scale);
        foreach ($walls->spans() as $span) {
            $maker = new self($building, $walls, $span, $recall, $panes);
            $forms = [];
            foreach ($span->form->openings as $form) {
                $forms[spl_object_id($form->opening)][] = $form;
            }
            foreach ($span->isBuilt() ? $span->form->wall->openings : [] as $opening) {
                $sets[] = $opening->style->filling() === Filling::Nothing
                    ? new PartSet
                    : $maker->panels($opening, $forms[spl_object_id($opening)] ?? []);
            }
        }

        return PartSet::joined($sets);
    }

    public static function collectFaults(Building $building, Form $form, Problems $problems): void
    {
        $done = [];
        foreach ($form->walls() as $wall) {
            foreach ($wall->openings as $opening) {
                $style = $opening->opening->style;
                $divided = $style->frame ?? ($style->leaf?->isPanelled() === true ? $style->leaf->divided() : null);
                if ($divided === null || isset($done[$style->id])) {
                    continue;
                }
                $done[$style->id] = true;
                $layout = new PaneLayout($opening->shape->true ?? $opening->shape, $divided, $building->scale, self::CLEARANCE_MM);
                if (! $layout->isPossible()) {
                    $problems->add("styles.$style->id.".($style->frame === null ? 'leaf' : 'frame'), 'frame.no-room', [
                        'stile' => round($layout->stile, 2), 'bar' => round($layout->bar, 2),
                        'width' => round($opening->shape->width, 2), 'height' => round($opening->shape->height, 2)]);
                }
            }
        }
    }

    /** @param  list<OpeningForm>  $forms  the opening, and where it is repeated each of them */
    private function panels(Opening $opening, array $forms): PartSet
    {
        if ($forms === []) {
            throw new LogicException("The opening $opening->id has no form");
        }
        // Of a row that recedes no two are alike.
        $groups = $this->span->form->receding === null ? [$forms] : array_chunk($forms, 1);

        return PartSet::joined(array_map(fn (array $alike): PartSet => $this->panel($opening, $alike), $groups));
    }

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    private function panel(Opening $opening, array $forms): PartSet
    {
        $first = $forms[0];
        $isLeaf = $opening->style->filling() === Filling::Leaf;
        $id = $this->span->block->id.'.'.$this->span->name().($isLeaf ? '.leaf.' : '.frame.').$first->id;
        $cut = $this->span->cut($opening);
        $inset = self::CLEARANCE_MM - $cut->rebate;
        $frame = $opening->style->frame;
        $deep = $frame?->isDeep === true ? $this->panes->deep($first, $frame) : null;
        $holes = $deep[0] ?? $this->panes->of($first);
        $isPanelled = $isLeaf && $opening->style->leaf?->isPanelled() === true;
        $behind = $isPanelled ? OpeningCut::frameThickness($this->building) : 0.0;
        $name = new PartName($id, $this->span->block->id, $this->span->name(), $isLeaf ? 'leaf' : 'frame', $first->id);
        $part = Part::of(
            $name, $isLeaf ? 'D' : 'F', $isLeaf ? 'Door leaf' : ucfirst($opening->style->name).' frame', PartGroup::Trim,
            $this->building->methods->frame, OpeningCut::frameThickness($this->building),
            $this->outline($first, $inset), $this->frames($forms, $cut->depth + $behind),
            $this->workings($first, $cut),
            $holes, marks: $isLeaf ? [...$this->planks($first), ...$isPanelled ? [] : $this->middle($first)] : [],
        );
        $joints = new PanelJoints($this->walls, $this->span, $part);
        if ($isPanelled) {
            return (new PartSet([$part], $joints->clearances($forms)))->with($this->panelled($forms, $part));
        }
        $set = new PartSet([$part], $joints->of($forms));

        return match (true) {
            $isLeaf => $set,
            $deep !== null => $set->with($this->lowerHalf($forms, $part, $deep[1])),
            default => $set->with($this->glazing($forms, $part, $holes)),
        };
    }

    /**
     * The card of a deep sash that has its lower half, behind the one with the upper half, and the glass behind both.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  list<Ring>  $holes
     */
    private function lowerHalf(array $forms, Part $front, array $holes): PartSet
    {
        [$first, $style] = [$forms[0], $forms[0]->opening->style];
        $cut = $this->span->cut($first->opening);
        $id = $this->span->block->id.'.'.$this->span->name().'.frame-back.'.$first->id;
        $back = Part::of(
            new PartName($id, $this->span->block->id, $this->span->name(), 'frame-back', $first->id), 'F',
            ucfirst($style->name).' frame, lower half', PartGroup::Trim, $this->building->methods->frame,
            $front->thickness, $this->outline($first, self::CLEARANCE_MM - $cut->rebate),
            $this->frames($forms, $cut->depth + $front->thickness), $this->workings($first, $cut), $holes,
        );
        $shared = Clip::sharedArea($front->region(), $back->region());
        $joints = [];
        foreach (array_keys($forms) as $copy) {
            $joints[] = new Joint(
                JointKind::Lap, Ref::inside($front->id, $copy), Ref::outside($id, $copy), $back->corners($copy),
                why: 'the lower half stuck behind the upper', contact_mm2: $shared,
            );
        }
        $clear = (new PanelJoints($this->walls, $this->span, $back))->clearances($forms);

        return (new PartSet([$back], [...$joints, ...$clear]))->with($this->glazing($forms, $back, $holes));
    }

    /**
     * What makes a leaf panelled: a card over it with an opening for each panel.
     *
     * @param  non-empty-list<OpeningForm>  $forms
     */
    private function panelled(array $forms, Part $leaf): PartSet
    {
        [$first, $style] = [$forms[0], $forms[0]->opening->style];
        $cut = $this->span->cut($first->opening);
        $id = $this->span->block->id.'.'.$this->span->name().'.leaf-face.'.$first->id;
        $face = Part::of(
            new PartName($id, $this->span->block->id, $this->span->name(), 'leaf-face', $first->id), 'D',
            ucfirst($style->name).' leaf, panels', PartGroup::Trim, $this->building->methods->frame,
            OpeningCut::frameThickness($this->building), $this->outline($first, self::CLEARANCE_MM - $cut->rebate),
            $this->frames($forms, $cut->depth), $this->workings($first, $cut), $this->panes->panels($first),
            marks: $this->middle($first),
        );
        $joints = [];
        foreach (array_keys($forms) as $copy) {
            $joints[] = new Joint(
                JointKind::Lap, Ref::inside($id, $copy), Ref::outside($leaf->id, $copy), $leaf->corners($copy),
                why: 'its panels stuck on the leaf', contact_mm2: $face->region()->area(),
            );
        }

        return new PartSet([$face], [...$joints, ...(new PanelJoints($this->walls, $this->span, $face))->of($forms)]);
    }

    /** @return list<Mark> where two leaves meet */
    private function middle(OpeningForm $opening): array
    {
        $x = $opening->shape->width / 2.0;
        $top = new Vec2($x, $opening->shape->headAt($x, -self::CLEARANCE_MM));

        return $opening->opening->style->leaf?->isDouble !== true ? [] : [new Mark([new Vec2($x, 0.0), $top], 'leaves', MarkKind::Plank)];
    }

    private function outline(OpeningForm $opening, float $inset): Outline
    {
        $ring = self::ring($opening, $inset);
        $edges = [new Edge('foot', 'clearance'), new Edge('jamb-right', 'clearance')];
        while (count($edges) < $ring->count() - 1) {
            $edges[] = new Edge('head', 'clearance');
        }
        $edges[] = new Edge('jamb-left', 'clearance');

        return new Outline($ring, $edges);
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @return non-empty-list<Frame>
     */
    private function frames(array $forms, float $depth): array
    {
        return array_map(fn (OpeningForm $o): Frame => $this->span->form->frame->moved($o->left, $o->sill, -$depth), $forms);
    }

    /** The opening less so much on each side; what stands on the ground stays there. */
    private static function ring(OpeningForm $opening, float $inset): Ring
    {
        return $opening->shape->ring(-$inset, $opening->reachesFoot() ? 0.0 : -$inset);
    }

    /** @return array<string, Figure> */
    private function workings(OpeningForm $opening, OpeningCut $cut): array
    {
        $style = $opening->opening->style;
        $sides = $opening->reachesFoot() ? 1.0 : 2.0;
        $size = [
            'width' => Figure::measured($style->w, $this->building->scale, 'opening'),
            'height' => Figure::measured($style->h, $this->building->scale, 'opening'),
        ];
        if ($opening->true !== null) {
            // Its sides are not square to each other: what the insets come to follows from its shape.
            $box = self::ring($opening, self::CLEARANCE_MM - $cut->rebate)->bounds();

            return [
                'width' => $size['width']->to($box->width(), 'where it recedes'),
                'height' => $size['height']->to($box->height(), 'where it recedes'),
            ];
        }

        $box = self::ring($opening, self::CLEARANCE_MM - $cut->rebate)->bounds();
        $size = ['width' => [$size['width'], 2.0, $box->width()], 'height' => [$size['height'], $sides, $box->height()]];

        return array_map(static function (array $side) use ($cut): Figure {
            [$figure, $times, $mm] = $side;
            $words = static fn (float $mm): string => ($times > 1.0 ? '2 × ' : '').LengthFormat::trimmed($mm, 3);
            $figure = $cut->rebate > 0.0 ? $figure->plus($times * $cut->rebate, 'plus the rebate, '.$words($cut->rebate)) : $figure;

            return $figure->less($times * self::CLEARANCE_MM, 'less clearance, '.$words(self::CLEARANCE_MM))->to($mm, 'in a point');
        }, $size);
    }

    /** @return list<Mark> */
    private function planks(OpeningForm $opening): array
    {
        $width = $opening->shape->width - 2.0 * self::CLEARANCE_MM;
        $leaf = $opening->opening->style->leaf;
        $marks = [];
        if ($leaf === null || $leaf->kind !== Leaf::PLANKS) {
            return $marks;
        }
        $n = max(1, (int) round($width / $this->building->scale->modelMm($leaf->board)));
        for ($i = 1; $i < $n; $i++) {
            $x = self::CLEARANCE_MM + $width * $i / $n;
            $top = new Vec2($x, $opening->shape->headAt($x, -self::CLEARANCE_MM));
            $marks[] = new Mark([new Vec2($x, 0.0), $top], 'plank', MarkKind::Plank);
        }

        return $marks;
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  Part  $frame  behind which it is stuck
     * @param  list<Ring>  $holes  of that, in the opening's own frame
     */
    private function glazing(array $forms, Part $frame, array $holes): PartSet
    {
        $opening = $forms[0]->opening;
        $cut = $this->span->cut($opening);
        $depth = $cut->depth + ($opening->style->frame?->isDeep === true ? 2.0 : 1.0) * $frame->thickness;
        $stock = $this->building->methods->glazing;
        $inset = self::CLEARANCE_MM + self::GLASS_INSET_MM;
        $first = $forms[0];
        $ring = $first->shape->ring($cut->rebate - $inset, $first->reachesFoot() ? -$inset : $cut->rebate - $inset);
        $edges = array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points);
        $id = $this->span->block->id.'.'.$this->span->name().'.glazing.'.$first->id;
        $workings = $this->workings($first, $cut);
        $why = $first->true === null ? 'in a point' : 'where it recedes';
        $box = $ring->bounds();
        $glue = 2.0 * self::GLASS_INSET_MM;
        $name = new PartName($id, $this->span->block->id, $this->span->name(), 'glazing', $first->id);
        $words = ucfirst($opening->style->name).' glazing';
        $part = Part::of(
            $name, 'G', $words, PartGroup::Trim, $stock, $stock->thickness_mm, new Outline($ring, $edges),
            $this->frames($forms, $depth),
            [
                'width' => $workings['width']
                    ->less($glue, 'less 2 × '.self::GLASS_INSET_MM.', room for glue')
                    ->to($box->width(), $why),
                'height' => $workings['height']->less(
                    $first->reachesFoot() ? self::CLEARANCE_MM + $glue : $glue,
                    'less room for glue',
                )->to($box->height(), $why),
            ],
        );
        // Both shapes in the opening's own frame: the area on which the glass touches the frame.
        $shared = $this->touching($ring, $holes);
        $joints = [];
        foreach (array_keys($forms) as $copy) {
            $joints[] = new Joint(
                JointKind::Lap,
                Ref::inside($frame->id, $copy),
                Ref::outside($id, $copy),
                $part->corners($copy),
                why: 'glass stuck behind the frame',
                contact_mm2: $shared,
            );
        }

        return new PartSet([$part], $joints);
    }

    /** @param  list<Ring>  $panes */
    private function touching(Ring $glass, array $panes): float
    {
        $open = static fn (): float =>
            array_sum(array_map(static fn (Ring $pane): float => Clip::sharedArea(new Region($glass), new Region($pane)), $panes));

        return $glass->area() - $this->recall->of(Recall::question('panes', $glass, $panes), $open);
    }
}
