<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\OwnPaper;
use Chartula\Core\Building\RoofLaid;
use Chartula\Core\Building\Valleys;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Side;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Pattern\Pattern;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Repeats;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Part\StackedArt;
use Chartula\Core\Part\Sweep;
use Chartula\Core\Roof\Panels;
use Chartula\Core\Roof\RoofPanel;

/** A paper on each slope that has a covering, turned down over its card at eaves and verges. docs/formulas.md#coverings */
final readonly class SlopePapers
{
    /** Lead shows so far on either side of an open valley, real millimetres: five inches. */
    private const VALLEY_MM = 127.0;

    /** So far from a swept valley rows of the slope with the flatter lean begin to curve, real millimetres: fifteen inches. */
    private const SWEEP_MM = 381.0;

    /** A shorter edge has nothing turned down over it. */
    private const LEAST_EDGE_MM = 1.0;

    private function __construct(private Building $building, private Panels $panels)
    {
    }

    public static function make(Building $building, Panels $panels): PartSet
    {
        $own = new self($building, $panels);

        return PartSet::joined(array_map($own->paper(...), $panels->layer(0)));
    }

    private function paper(RoofPanel $panel): PartSet
    {
        $roof = $this->panels->form->blocks[$panel->facet->block]->block->roof;
        $own = $this->building->papers[$roof->paper ?? ''] ?? null;
        $covering = Coverings::ofRoof($roof, $this->building);
        if (($covering === null && $own === null) || $this->panels->stack->texture() !== null) {
            return new PartSet;
        }
        $stock = $this->building->methods->paper;
        $card = $panel->part;
        [$outline, $scores] = $this->outline($card);
        $region = $card->region();
        $id = "$card->id-paper";
        $art = $this->art($panel, $covering?->pattern, $own);
        $set = $roof->laid === RoofLaid::Paper ? null : SlopeSet::of($card, $art, $stock->thickness_mm, $roof->laid === RoofLaid::Pieces);
        if ($set !== null) {
            return $this->set($card, $roof->laid, $set);
        }
        $part = Part::of(
            new PartName($id, $card->of->block, $card->of->edge, 'paper'), 'P',
            self::name($card), PartGroup::Skin, $stock, $stock->thickness_mm, $outline,
            [$card->placements[0]->moved(0.0, 0.0, $stock->thickness_mm)], $this->workings($card, $outline), $card->holes, $scores,
            mayTurn: false,
            shape: $scores === [] ? Shape::flat() : Shape::folded($region->nearACorner(10.0 * Tolerance::EDGE)),
            art: $art,
        );

        return new PartSet([$part], [new Joint(
            JointKind::Lap, Ref::inside($id), Ref::outside($card->id),
            array_map(fn (Vec2 $p): Vec3 => $card->placements[0]->at($p, $stock->thickness_mm), $card->outline->ring->points),
            why: 'stuck to the slope', contact_mm2: $region->area(),
        )]);
    }

    /** @param  array{outline: Outline, slits: list<array{Vec2, Vec2}>, repeats: Repeats, art: StackedArt, rows: int, spares: int}  $set */
    private function set(Part $card, RoofLaid $laid, array $set): PartSet
    {
        $stock = $this->building->methods->paper;
        $id = "$card->id-paper";
        $high = SlopeSet::LAYERS * $stock->thickness_mm;
        $box = $set['outline']->ring->bounds();
        $part = Part::of(
            new PartName($id, $card->of->block, $card->of->edge, 'paper'), 'P', self::name($card, $laid->words()), PartGroup::Skin,
            $stock, $stock->thickness_mm, $set['outline'], [$card->placements[0]->moved(0.0, 0.0, $high)],
            [
                'width' => $card->workings['width'] ?? Figure::given($box->width(), 'its slope'),
                'height' => Figure::given($box->height(), sprintf('%d rows and %d spare, each with what lies under the next', $set['rows'], $set['spares'])),
            ],
            slits: $set['slits'], mayTurn: false, shape: Shape::repeated($set['repeats']), art: $set['art'],
        );

        return new PartSet([$part], [new Joint(
            JointKind::Lap, Ref::inside($id), Ref::outside($card->id),
            array_map(fn (Vec2 $p): Vec3 => $card->placements[0]->at($p, $high), $card->outline->ring->points),
            why: 'laid on the slope', contact_mm2: $card->region()->area(),
        )]);
    }

    /** As its card is called, but for the layer. */
    private static function name(Part $card, string $layer = 'paper'): string
    {
        return substr($card->name, 0, (int) strrpos($card->name, ', ')).", $layer";
    }

    /** @return array{Outline, list<Score>} with what is turned down over the edges of its card */
    private function outline(Part $card): array
    {
        $ring = $card->outline->ring;
        $walk = $scores = [];
        foreach ($card->outline->edges as $i => $edge) {
            [$from, $to] = [$ring->point($i), $ring->point($i + 1)];
            if (! $this->isTurned($card, $i)) {
                $walk[] = [$from, new Edge('side', 'clearance')];

                continue;
            }
            $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
            $out = (new Vec2($along->y, -$along->x))->times($card->thickness);
            $scores[] = new Score($from, $to, 'away', 90.0, 'back');
            array_push(
                $walk,
                [$from, new Edge('flap', 'clearance')],
                [$from->plus($out)->plus($along->times($this->inset($card, $i, 0))), new Edge($edge->name, 'clearance')],
                [$to->plus($out)->minus($along->times($this->inset($card, $i, 1))), new Edge('flap', 'clearance')],
            );
        }

        return [Outline::walk($walk), $scores];
    }

    private function isTurned(Part $card, int $i): bool
    {
        $name = $card->outline->edges[$i]->name;

        return $card->outline->inside === null && $card->outline->ring->edgeLength($i) > self::LEAST_EDGE_MM
            && (str_starts_with($name, 'eaves') || str_starts_with($name, 'verge'));
    }

    /** By how much what is turned down is shorter at an end, so that it lies beside its neighbour in the flat. */
    private function inset(Part $card, int $i, int $end): float
    {
        $ring = $card->outline->ring;
        $n = $ring->count();
        $corner = $i + $end;
        $in = $ring->point($corner)->minus($ring->point($corner - 1 + $n));
        $out = $ring->point($corner + 1)->minus($ring->point($corner));
        // At a corner that turns in both would lie on each other.
        $turn = atan2($in->cross($out), $in->dot($out));

        return $turn < 0.0 ? min($ring->edgeLength($i) / 3.0, $card->thickness * tan(-$turn / 2.0) + Tolerance::CUT) : 0.0;
    }

    /** @return array<string, Figure> */
    private function workings(Part $card, Outline $outline): array
    {
        $figures = [];
        foreach (['width' => $outline->ring->bounds()->width(), 'height' => $outline->ring->bounds()->height()] as $of => $mm) {
            $figure = $card->workings[$of] ?? Figure::given($mm, 'its slope');
            $more = $mm - $figure->mm;
            $figures[$of] = abs($more) < Tolerance::FIGURE
                ? $figure
                : $figure->plus($more, 'plus what is turned down over its card, '.LengthFormat::trimmed($more, 3));
        }

        return $figures;
    }

    /** @param  ?OwnPaper  $own  in which it is printed, its courses as those that would be drawn */
    private function art(RoofPanel $panel, ?Pattern $pattern, ?OwnPaper $own): FaceArt
    {
        $facet = $panel->facet;
        $above = $this->panels->stack->thickness_mm;
        $slopes = SlopeCourses::alike($facet, $this->panels->form->facets);
        $courses = SlopeCourses::of($slopes, $pattern, $above);
        $drawn = $pattern === null ? null : $courses->on($pattern);
        $frame = $panel->part->placements[0];
        // The part's own frame lies along the slope's: its courses are counted from the eaves.
        $datum = $courses->datumOn($facet, $above) - $facet->frame->project($frame->origin)->y;
        $box = $panel->part->outline->ring->bounds();

        $shown = $own === null ? $drawn : FittedPaper::of($own, $drawn)->pattern;
        assert($shown !== null);

        return (new Covering($shown, 0.0))->artwork(new CoveredFace(
            $datum, [$box->x0, $box->x1], dressings: $this->valleys($panel),
            sweeps: $shown instanceof Rows && ! $shown->isUpright ? $this->sweeps($panel) : [],
        ));
    }

    /** @return list<Sweep> valleys through which its rows go in a curve, each sinking as far as those of the other slope there */
    private function sweeps(RoofPanel $panel): array
    {
        $form = $this->panels->form;
        $isSwept = $form->blocks[$panel->facet->block]->block->roof->valleys === Valleys::Swept;
        $card = $panel->part;
        $sweeps = [];
        foreach ($isSwept ? $card->outline->edges : [] as $i => $edge) {
            [$from, $to] = [$card->outline->ring->point($i), $card->outline->ring->point($i + 1)];
            if ($edge->name !== 'valley' || $from->distanceTo($to) < self::LEAST_EDGE_MM) {
                continue;
            }
            $along = $card->placements[0]->at($to)->minus($card->placements[0]->at($from));
            $leans = array_map(
                static fn (Facet $f): float => abs($along->dot($f->frame->x)) / max(Tolerance::NOTHING, abs($along->dot($f->frame->y))),
                [$panel->facet, $form->plane(Side::of($panel->labels[$i])->planeOrFail())],
            );
            if (min($leans) > Tolerance::PLANE) {
                [$low, $high] = $from->y < $to->y ? [$from, $to] : [$to, $from];
                $sinks = min($leans) * self::SWEEP_MM / $this->building->scale->ratio;
                $sweeps[] = new Sweep($low, $high, $sinks / $leans[0], $leans[0]);
            }
        }

        return $sweeps;
    }

    /** @return list<PrintedShape> the lead that shows along open valleys */
    private function valleys(RoofPanel $panel): array
    {
        $roof = $this->panels->form->blocks[$panel->facet->block]->block->roof;
        [$card, $wide] = [$panel->part, self::VALLEY_MM / $this->building->scale->ratio];
        $shapes = [];
        foreach ($roof->valleys === Valleys::Open ? $card->outline->edges : [] as $i => $edge) {
            $ring = $card->outline->ring;
            if ($edge->name !== 'valley' || $ring->edgeLength($i) < self::LEAST_EDGE_MM) {
                continue;
            }
            [$from, $to] = [$ring->point($i), $ring->point($i + 1)];
            $along = $to->minus($from)->times(1.0 / $from->distanceTo($to));
            // The paper lies to the left of its edge; beyond it the lead is printed as far as anything is.
            [$in, $out] = [(new Vec2(-$along->y, $along->x))->times($wide), (new Vec2($along->y, -$along->x))->times(FaceArt::MORE_MM)];
            $lead = new Ring([$from->plus($out), $to->plus($out), $to->plus($in), $from->plus($in)]);
            $shapes[] = new PrintedShape($lead, [], new Tone(Tone::LEAD, Tone::LEAD), of: "valley-$i");
        }

        return $shapes;
    }
}
