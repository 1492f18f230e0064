<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Offset;
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

/**
 * What stands proud of walls round their openings: card, in as many layers as come nearest to how far it is proud, and a paper of its own
 * over it, which turns round the edges of what is square. Finished it is as large as it is described. docs/formulas.md#dressings
 */
final readonly class RaisedParts
{
    private function __construct(private Building $building, private Walls $walls, private WallSpan $span)
    {
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        $sets = [];
        foreach ($walls->spans() as $span) {
            $maker = new self($building, $walls, $span);
            foreach ($span->isBuilt() ? $maker->alike() : [] as [$claim, $forms]) {
                $sets[] = $maker->raised($claim, $forms);
            }
        }

        return PartSet::joined($sets);
    }

    /** @return list<array{Claim, non-empty-list<OpeningForm>}> what is raised round the openings of each row, where there is room for it */
    private function alike(): array
    {
        $alike = [];
        foreach ($this->span->form->openings as $opening) {
            foreach ($this->span->form->claims[$opening->id] ?? [] as $claim) {
                if (RaisedRoom::has($this->span->form, $opening, $claim)) {
                    $alike[spl_object_id($opening->opening).$claim->id][] = [$claim, $opening];
                }
            }
        }

        return array_values(array_map(
            static fn (array $some): array => [$some[0][0], array_map(static fn (array $one): OpeningForm => $one[1], $some)],
            $alike,
        ));
    }

    /** @param  non-empty-list<OpeningForm>  $forms  that have it round them */
    private function raised(Claim $claim, array $forms): PartSet
    {
        [$stock, $paper] = [$this->building->methods->frame, $this->building->methods->paper];
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);
        $layers = max(1, (int) round(($claim->proud - $paper->thickness_mm) / $thickness));
        $box = $claim->ring->bounds();
        $isSquare = $claim->ring->count() === 4 && abs($claim->ring->area() - $box->width() * $box->height()) < Tolerance::ROUNDING;
        $ring = $isSquare ? Offset::lines($claim->ring, array_fill(0, 4, -$paper->thickness_mm)) : $claim->ring;
        $on = $this->span->form->isPapered ? $paper->thickness_mm : 0.0;
        $card = $this->card($claim, $forms, $ring, array_map(
            static fn (int $layer): float => $on + $thickness * $layer,
            range(1, $layers),
        ));
        $front = $on + $layers * $thickness + $paper->thickness_mm;
        $cover = $this->cover($claim, $forms, $isSquare ? $layers * $thickness + $paper->thickness_mm : 0.0, $front);

        return new PartSet([$card, $cover], $this->joints($card, $cover, count($forms), $layers));
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  non-empty-list<float>  $fronts  how far the front of each layer stands from the wall
     */
    private function card(Claim $claim, array $forms, Ring $ring, array $fronts): Part
    {
        $stock = $this->building->methods->frame;
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);
        $frames = [];
        foreach ($forms as $form) {
            array_push($frames, ...array_map(fn (float $front): Frame => $this->frame($forms[0], $form, $front), $fronts));
        }
        $box = $claim->ring->bounds();
        $off = $box->width() - $ring->bounds()->width();
        $workings = static function (float $whole, string $of) use ($off): Figure {
            $figure = Figure::given($whole, $of);

            return $off > 0.0 ? $figure->less($off, 'less its paper at both ends, 2 × '.LengthFormat::trimmed($off / 2.0, 3)) : $figure;
        };

        return Part::of(
            $this->name($claim, $forms[0], $claim->id), 'T', ucfirst($this->words($claim, $forms[0])), PartGroup::Trim, $stock, $thickness,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            $frames,
            ['width' => $workings($box->width(), 'over all'), 'height' => $workings($box->height(), 'over all')],
        );
    }

    /**
     * @param  non-empty-list<OpeningForm>  $forms
     * @param  float  $turn  how far its paper turns round its edges; 0 where it does not
     */
    private function cover(Claim $claim, array $forms, float $turn, float $front): Part
    {
        $paper = $this->building->methods->paper;
        $box = $claim->ring->bounds();
        [$outline, $scores] = $turn > 0.0 ? self::wrap($box, $turn) : [
            new Outline($claim->ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $claim->ring->points)), [],
        ];
        $width = Figure::given($box->width(), 'over all');
        $height = Figure::given($box->height(), 'over all');
        $more = 'plus 2 × what turns round its edges, '.LengthFormat::trimmed($turn, 3);

        return Part::of(
            $this->name($claim, $forms[0], $claim->id.'-paper'), 'P', ucfirst($this->words($claim, $forms[0])).', paper', PartGroup::Skin,
            $paper, $paper->thickness_mm, $outline,
            array_map(fn (OpeningForm $form): Frame => $this->frame($forms[0], $form, $front), $forms),
            [
                'width' => $turn > 0.0 ? $width->plus(2.0 * $turn, $more) : $width,
                'height' => $turn > 0.0 ? $height->plus(2.0 * $turn, $more) : $height,
            ],
            scores: $scores, mayTurn: false,
            shape: $turn > 0.0 ? Shape::folded($box->centre()) : Shape::flat(),
            art: new PrintedArt(PrintedShape::of($claim), [$box->x0, $box->x1]),
        );
    }

    /** @return array{Outline, list<Score>} a face with a flap at every side, its corners cut out */
    private static function wrap(Box2 $box, float $turn): array
    {
        [$x0, $y0, $x1, $y1] = [$box->x0, $box->y0, $box->x1, $box->y1];
        $points = [
            [$x0, $y0 - $turn], [$x1, $y0 - $turn], [$x1, $y0], [$x1 + $turn, $y0], [$x1 + $turn, $y1], [$x1, $y1],
            [$x1, $y1 + $turn], [$x0, $y1 + $turn], [$x0, $y1], [$x0 - $turn, $y1], [$x0 - $turn, $y0], [$x0, $y0],
        ];
        $ring = new Ring(array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), $points));
        $corners = [new Vec2($x0, $y0), new Vec2($x1, $y0), new Vec2($x1, $y1), new Vec2($x0, $y1)];
        $fold = static fn (int $i): Score => new Score($corners[$i], $corners[($i + 1) % 4], 'away', 90.0, 'back');

        return [
            new Outline($ring, array_map(static fn (): Edge => new Edge('flap', 'clearance'), $ring->points)),
            array_map($fold, range(0, 3)),
        ];
    }

    /** @return list<Joint> every layer on the one behind it, the first on the wall, the paper on the last */
    private function joints(Part $card, Part $cover, int $copies, int $layers): array
    {
        $joints = [];
        $area = $card->outline->ring->area();
        for ($copy = 0; $copy < $copies; $copy++) {
            for ($k = 0; $k < $layers; $k++) {
                $at = $copy * $layers + $k;
                foreach ($k > 0 ? [Ref::outside($card->id, $at - 1)] : $this->behind($card, $at) as $behind) {
                    $joints[] = new Joint(
                        JointKind::Lap,
                        Ref::inside($card->id, $at),
                        $behind,
                        $card->corners($at),
                        why: 'stuck on',
                        contact_mm2: $area,
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

    /** @return list<Ref> the paper of the wall, or its bare card, behind a piece */
    private function behind(Part $card, int $copy): array
    {
        $at = $card->placements[$copy]->at($card->outline->ring->point(0));
        foreach ($this->walls->facing($this->span, true) as $i => $piece) {
            if (! $piece->part->region()->contains($piece->part->placements[0]->project($at))) {
                continue;
            }
            $paper = $this->span->block->id.'.'.$this->span->name().($i > 0 ? '-'.($i + 1) : '').'.paper';

            return [Ref::outside($this->span->form->isPapered ? $paper : $piece->part->id)];
        }

        return [];
    }

    private function frame(OpeningForm $first, OpeningForm $form, float $front): Frame
    {
        return $this->span->form->frame->moved($form->left - $first->left, $form->sill - $first->sill, $front);
    }

    private function name(Claim $claim, OpeningForm $opening, string $layer): PartName
    {
        $id = $this->span->block->id.'.'.$this->span->name().".$layer.$opening->id";

        return new PartName($id, $this->span->block->id, $this->span->name(), $layer, $opening->id);
    }

    private function words(Claim $claim, OpeningForm $opening): string
    {
        return $opening->opening->style->name.', '.lcfirst($claim->feature->kind->title());
    }
}
