<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\SkinMethod;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Roll;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;

/**
 * Strips of paper that line openings, where the wall's paper ends at their edges: up both jambs, on the foot, along the head; one for each
 * curve of it, rolled where that is one arc and else folded from chord to chord. docs/formulas.md#strips
 */
final readonly class RevealStrips
{
    /** How far a strip that is folded may leave its arc. */
    private const SAG_MM = 0.1;

    private float $deep;

    private float $paper;

    /** @param  non-empty-list<OpeningForm>  $forms  that are alike */
    private function __construct(private Building $building, private WallSpan $span, private array $forms)
    {
        $this->deep = $span->cut($forms[0]->opening)->round;
        $this->paper = $building->methods->paper->thickness_mm;
    }

    public static function make(Building $building, Walls $walls): PartSet
    {
        $parts = [];
        foreach ($building->methods->skin->inOpenings === SkinMethod::STRIPS ? $walls->spans() : [] as $span) {
            $rows = [];
            foreach ($span->isBuilt() && $span->form->turnIn > 0.0 ? $span->form->openings : [] as $form) {
                $rows[$form->opening->id][] = $form;
            }
            foreach ($rows as $forms) {
                array_push($parts, ...(new self($building, $span, $forms))->strips());
            }
        }

        return new PartSet($parts);
    }

    /** @return list<Part> */
    private function strips(): array
    {
        $shape = $this->forms[0]->shape;
        $strips = [];
        if (! $shape->isRound()) {
            $strips[] = $this->jambs();
            $strips[] = $shape->chains() === [] ? $this->level('head', new Vec2($shape->width, $shape->height), -1.0) : null;
            $strips[] = $this->forms[0]->reachesFoot() ? null : $this->level('foot', new Vec2(0.0, 0.0), 1.0);
        }
        foreach ($shape->chains() as $i => $chain) {
            $strips[] = $this->curved('head'.($i === 0 ? '' : '-'.($i + 1)), $chain);
        }

        return array_values(array_filter($strips));
    }

    /** Both upright, so that their courses are in line: of the left one the left side is in front, of the right one the right. */
    private function jambs(): Part
    {
        $wall = $this->span->form->frame;
        $frames = [];
        foreach ($this->forms as $form) {
            $frames[] = new Frame($wall->point($form->left, $form->sill), $wall->normal->times(-1.0), $wall->y);
            $frames[] = $this->frame($form, new Vec2($form->shape->width, 0.0), $wall->y);
        }

        return $this->part('jamb', $this->forms[0]->shape->springing(), $frames);
    }

    /** @param  float  $way  to the right (1) or to the left (−1): what is to its left is the opening */
    private function level(string $side, Vec2 $from, float $way): Part
    {
        $along = $this->span->form->frame->x->times($way);

        return $this->part($side, $this->forms[0]->shape->width, array_map(
            fn (OpeningForm $form): Frame => $this->frame($form, $from, $along),
            $this->forms,
        ));
    }

    /** A head that is of arcs, from its right end to its left one. */
    private function curved(string $which, ArcChain $chain): Part
    {
        $wall = $this->span->form->frame;
        $single = $chain->single();
        if ($single !== null) {
            [$arc, $from, $to] = $single;
            $way = $wall->x->times(-sin($from))->plus($wall->y->times(cos($from)));
            $radius = $arc->radius + $this->paper / 2.0;
            $roll = Roll::cylinder(new Vec2(0.0, 0.0), new Vec2(-1.0, 0.0), $radius, $from - $to);
            $frames = array_map(fn (OpeningForm $form): Frame => $this->frame($form, $arc->at($from), $way), $this->forms);

            return $this->part($which, ($to - $from) * $radius, $frames, [[], Shape::rolled(new Vec2($this->deep / 2.0, 0.0), $roll)]);
        }
        $points = array_column($chain->tabs(self::SAG_MM, 0.0), 1);
        [$scores, $length] = [[], 0.0];
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            $length += $points[$i]->distanceTo($points[$i - 1]);
            if ($i < $n - 1) {
                [$in, $out] = [$points[$i]->minus($points[$i - 1]), $points[$i + 1]->minus($points[$i])];
                $angle = rad2deg(atan2($in->cross($out), $in->dot($out)));
                $scores[] = new Score(new Vec2(0.0, $length), new Vec2($this->deep, $length), 'towards', $angle, 'face');
            }
        }
        $first = $points[1]->minus($points[0])->times(1.0 / $points[1]->distanceTo($points[0]));
        $way = $wall->x->times($first->x)->plus($wall->y->times($first->y));
        $frames = array_map(fn (OpeningForm $form): Frame => $this->frame($form, $points[0], $way), $this->forms);
        $base = new Vec2($this->deep / 2.0, $points[1]->distanceTo($points[0]) / 2.0);

        return $this->part($which, $length, $frames, [$scores, Shape::folded($base)]);
    }

    /** Its length along a side of the opening, from the back of what is lined to the wall's outside across it. */
    private function frame(OpeningForm $form, Vec2 $from, Vec3 $along): Frame
    {
        $wall = $this->span->form->frame;

        return new Frame($wall->point($form->left + $from->x, $form->sill + $from->y, -$this->deep), $wall->normal, $along);
    }

    /**
     * @param  non-empty-list<Frame>  $frames
     * @param  ?array{list<Score>, Shape}  $bend  round a curve
     */
    private function part(string $which, float $length, array $frames, ?array $bend = null): Part
    {
        $side = explode('-', $which)[0];
        [$block, $wall, $form] = [$this->span->block->id, $this->span->name(), $this->forms[0]];
        $paper = $this->building->methods->paper;
        $layer = "reveal-$which";

        return Part::of(
            new PartName("$block.$wall.$layer.{$form->id}", $block, $wall, $layer, $form->id), 'P',
            ucfirst($form->opening->style->name).' reveal, '.$side, PartGroup::Skin, $paper, $this->paper,
            Outline::rectangle($this->deep, $length, new Edge('end'), new Edge('side'), new Edge('end'), new Edge('side')),
            $frames,
            [
                'width' => Figure::given($this->deep, 'as deep as the wall there'),
                'height' => Figure::given($length, $bend === null ? 'the opening' : 'round the head, '.LengthFormat::trimmed($length, 3)),
            ],
            scores: $bend[0] ?? [], mayTurn: false, shape: $bend[1] ?? null, art: $this->art($form, $side),
        );
    }

    /** As the wall, as the kind says of its sides, or in the colour of what finishes the edge. */
    private function art(OpeningForm $form, string $side): ?Artwork
    {
        $wall = $this->span->form->wall;
        $covering = Coverings::ofLining($form->opening->style, $this->building)
            ?? Coverings::of($wall->finish, $this->building, $wall->paper, $wall->palette);
        foreach ($this->span->form->claims as $claim) {
            if (isset($claim->turned[$form->id][$side === 'jamb' ? 'left' : $side])) {
                $colour = ($claim->edge ?? $claim->tone)->unit;
                $plain = Coverings::of(Finish::Render, $this->building);
                $covering = $plain === null ? null : new Covering($plain->pattern->inPalette(Palette::of($colour, 0.0), $colour), 0.0);
            }
        }
        // Up the jambs its courses go on; on a foot and along a head they stand on edge.
        $datum = $side === 'jamb' ? -$form->sill - $this->building->scale->modelMm($this->span->block->base) : 0.0;

        return $covering?->artwork(new CoveredFace($datum, [0.0, $this->deep]));
    }
}
