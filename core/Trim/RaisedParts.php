<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\RaisedRoom;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Skin\PaperParts;

/**
 * What stands proud of walls round their openings: card, in as many layers as come nearest to how far it is proud, and a paper of its own
 * over it, which turns round the edges of what is square. Finished it is as large as it is described. docs/formulas.md#dressings
 */
final readonly class RaisedParts
{
    /** What lies on something over less than this is not stuck to it, mm². */
    private const LEAST_MM2 = 0.01;

    private function __construct(
        private Building $building,
        private Walls $walls,
        private WallSpan $span,
        private RaisedPlace $place,
    ) {
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        $sets = [];
        foreach ($walls->spans() as $span) {
            $maker = new self($building, $walls, $span, new RaisedPlace($building, $walls, $span));
            foreach ($span->isBuilt() ? $maker->alike() : [] as [$claim, $offs]) {
                $sets[] = $maker->raised($claim, $offs);
            }
        }

        return PartSet::joined($sets);
    }

    /** @return list<array{Claim, non-empty-list<Vec2>}> what is raised where there is room, and how far from there it is once more */
    private function alike(): array
    {
        $alike = [];
        $wall = $this->span->form;
        $openings = array_column(array_map(static fn (OpeningForm $o): array => [$o->id, $o], $wall->openings), 1, 0);
        foreach ($wall->claims as $claim) {
            if (RaisedRoom::has($wall, $claim)) {
                // Those of a row are cut alike.
                $form = $openings[$claim->opening ?? ''] ?? null;
                $key = $form === null ? $claim->key() : spl_object_id($form->opening).$claim->id;
                $alike[$key][] = [$claim, $form === null ? new Vec2(0.0, 0.0) : new Vec2($form->left, $form->sill)];
            }
        }

        return array_values(array_map(
            static fn (array $some): array => [$some[0][0], array_map(static fn (array $one): Vec2 => $one[1]->minus($some[0][1]), $some)],
            $alike,
        ));
    }

    /** @param  non-empty-list<Vec2>  $offs  from itself to wherever it is */
    private function raised(Claim $claim, array $offs): PartSet
    {
        $paper = $this->building->methods->paper;
        [$thickness, $layers] = $this->place->layers($claim);
        $claim = $this->place->ended($claim);
        $box = $claim->ring->bounds();
        $ring = self::isSquare($claim) ? Offset::lines($claim->ring, array_fill(0, 4, -$paper->thickness_mm)) : $claim->ring;
        $on = $this->place->base($claim);
        $card = $this->card($claim, $offs, $ring, array_map(
            static fn (int $layer): float => $on + $thickness * $layer,
            range(1, $layers),
        ));
        $front = $this->place->front($claim);
        $cover = $this->cover($claim, $offs, $front);

        return new PartSet([$card, $cover], $this->joints($card, $cover, [count($offs), $layers], $this->place->under($claim)));
    }

    /**
     * @param  non-empty-list<Vec2>  $offs
     * @param  non-empty-list<float>  $fronts  how far the front of each layer stands from the wall
     */
    private function card(Claim $claim, array $offs, Ring $ring, array $fronts): Part
    {
        $stock = $this->building->methods->frame;
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);
        $frames = [];
        foreach ($offs as $off) {
            array_push($frames, ...array_map(fn (float $front): Frame => $this->frame($off, $front), $fronts));
        }
        $box = $claim->ring->bounds();
        $less = $box->width() - $ring->bounds()->width();
        $workings = static function (float $whole, string $of) use ($less): Figure {
            $figure = Figure::given($whole, $of);

            return $less > 0.0 ? $figure->less($less, 'less its paper at both ends, 2 × '.LengthFormat::trimmed($less / 2.0, 3)) : $figure;
        };

        return Part::of(
            $this->name($claim, $claim->id), 'T', ucfirst($this->words($claim)), PartGroup::Trim, $stock, $thickness,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            $frames,
            ['width' => $workings($box->width(), 'over all'), 'height' => $workings($box->height(), 'over all')],
        );
    }

    private static function isSquare(Claim $claim): bool
    {
        $box = $claim->ring->bounds();

        return $claim->ring->count() === 4 && abs($claim->ring->area() - $box->width() * $box->height()) < Tolerance::ROUNDING;
    }

    /** How far its paper turns round its edges; 0 where it does not. */
    private function turn(Claim $claim): float
    {
        [$thickness, $layers] = $this->place->layers($claim);

        return self::isSquare($claim) ? $layers * $thickness + $this->building->methods->paper->thickness_mm : 0.0;
    }

    /** @return array{Outline, list<Score>} of its paper, in the wall's frame */
    private function wrap(Claim $claim): array
    {
        $turn = $this->turn($claim);

        return $turn > 0.0 ? EdgeWrap::of($claim->ring->bounds(), $turn) : [
            new Outline($claim->ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $claim->ring->points)), [],
        ];
    }

    /** @param  non-empty-list<Vec2>  $offs */
    private function cover(Claim $claim, array $offs, float $front): Part
    {
        $paper = $this->building->methods->paper;
        [$box, $turn] = [$claim->ring->bounds(), $this->turn($claim)];
        [$outline, $scores] = $this->wrap($claim);
        $width = Figure::given($box->width(), 'over all');
        $height = Figure::given($box->height(), 'over all');
        $more = 'plus 2 × what turns round its edges, '.LengthFormat::trimmed($turn, 3);

        return Part::of(
            $this->name($claim, $claim->id.'-paper'), 'P', ucfirst($this->words($claim)).', paper', PartGroup::Skin,
            $paper, $paper->thickness_mm, $outline,
            array_map(fn (Vec2 $off): Frame => $this->frame($off, $front), $offs),
            [
                'width' => $turn > 0.0 ? $width->plus(2.0 * $turn, $more) : $width,
                'height' => $turn > 0.0 ? $height->plus(2.0 * $turn, $more) : $height,
            ],
            scores: $scores, mayTurn: false,
            shape: $turn > 0.0 ? Shape::folded($box->centre()) : Shape::flat(),
            art: new PrintedArt(PrintedShape::of($claim), [$box->x0, $box->x1]),
        );
    }

    /**
     * Every layer on the one behind it, the first on the wall or what it lies over, the paper on the last.
     *
     * @param  array{int, int}  $counts  of copies, and of layers of each
     * @param  list<Claim>  $under
     * @return list<Joint>
     */
    private function joints(Part $card, Part $cover, array $counts, array $under): array
    {
        [$copies, $layers] = $counts;
        $joints = [];
        $area = $card->outline->ring->area();
        for ($copy = 0; $copy < $copies; $copy++) {
            for ($k = 0; $k < $layers; $k++) {
                $at = $copy * $layers + $k;
                $on = $k > 0 ? [[Ref::outside($card->id, $at - 1), $area]] : $this->behind($card, [$at, $copy], $under);
                foreach ($on as [$behind, $shared]) {
                    $joints[] = new Joint(
                        JointKind::Lap,
                        Ref::inside($card->id, $at),
                        $behind,
                        $card->corners($at),
                        why: 'stuck on',
                        contact_mm2: $shared,
                    );
                }
            }
            $joints[] = new Joint(
                JointKind::Lap,
                Ref::inside($cover->id, $copy),
                Ref::outside($card->id, ($copy + 1) * $layers - 1),
                $this->face($cover, $copy),
                why: 'stuck on its front',
                contact_mm2: $area,
            );
        }

        return $joints;
    }

    /** @return list<Vec3> the corners of a paper that lie on its front: those at which it folds, or all of them */
    private function face(Part $cover, int $copy): array
    {
        $frame = $cover->placements[$copy];

        return $cover->scores === []
            ? $cover->corners($copy)
            : array_map(static fn (Score $score): Vec3 => $frame->at($score->from), $cover->scores);
    }

    /**
     * @param  array{int, int}  $which  of its pieces, and which of several alike that is of
     * @param  list<Claim>  $under
     * @return list<array{Ref, float}> papers of the wall, or its bare card, or of what it lies over, behind a piece, and over how much, mm²
     */
    private function behind(Part $card, array $which, array $under): array
    {
        [$at, $copy] = $which;
        $wall = $this->span->form;
        $on = static fn (int $piece): Region => new Region(new Ring(array_map(
            static fn (Vec2 $p): Vec2 => $wall->frame->project($card->placements[$piece]->at($p)),
            $card->outline->ring->points,
        )));
        if ($under !== []) {
            return array_map(fn (Claim $c): array => [
                Ref::outside($this->name($c, "$c->id-paper")->id, $copy),
                // With what of that paper turns round its edges, as it is cut.
                Clip::sharedArea($on(0), new Region($this->wrap($this->place->ended($c))[0]->ring)),
            ], $under);
        }
        $behind = [];
        foreach ($wall->isPapered ? $wall->patches : [] as $i => $patch) {
            $paper = $this->span->block->id.'.'.$this->span->name().($i > 0 ? '-'.($i + 1) : '').'.paper';
            $shared = Clip::sharedArea($on($at), new Region($patch->outline));
            // What runs on past the end of the wall lies over the lap there, as the paper is cut.
            $end = $on($at)->outline->bounds();
            $past = min($end->x1, $wall->length->mm + PaperParts::lap($this->building, $this->walls, $this->span, $this->span->right))
                - $wall->length->mm;
            $behind[] = [Ref::outside($paper), $shared + ($shared > 0.0 ? max(0.0, $past) * $end->height() : 0.0)];
        }
        foreach ($wall->isPapered ? [] : $this->walls->facing($this->span, true) as $piece) {
            // What is raised lies over no opening: where it follows the arc of one, it is by other chords.
            $ends = $piece->shape->outline->ring->bounds();
            $whole = new Ring(array_map(
                static fn (Vec2 $p): Vec2 => new Vec2(max($ends->x0, min($ends->x1, $p->x)), $p->y),
                $piece->shape->whole->points,
            ));
            $shared = Clip::sharedArea($on($at), new Region($whole));
            $behind[] = [Ref::outside($piece->part->id), $shared];
        }

        return array_values(array_filter($behind, static fn (array $one): bool => $one[1] > self::LEAST_MM2));
    }

    private function frame(Vec2 $off, float $front): Frame
    {
        return $this->span->form->frame->moved($off->x, $off->y, $front);
    }

    private function name(Claim $claim, string $layer): PartName
    {
        $id = $this->span->block->id.'.'.$this->span->name().".$layer.{$claim->owner()}";
        $feature = $claim->opening === null ? $claim->feature->id : null;

        return new PartName($id, $this->span->block->id, $this->span->name(), $layer, $claim->opening, $feature);
    }

    private function words(Claim $claim): string
    {
        $what = $claim->feature->kind->title();
        foreach ($this->span->form->openings as $opening) {
            if ($opening->id === $claim->opening) {
                return $opening->opening->style->name.', '.lcfirst($what);
            }
        }

        return $this->span->name().', '.lcfirst($what);
    }
}
