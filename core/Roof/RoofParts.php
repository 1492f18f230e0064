<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\RoofPlane;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\RoofSeat;
use Chartula\Core\Part\Score;
use Chartula\Core\Shell\WallParts;
use Chartula\Core\Shell\WallShape;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Stack;

/** Panels of a gable roof in layers, how they sit on the walls and meet at the ridge, and the strip that covers the gap. */
final readonly class RoofParts
{
    /** What the ridge strip lies on at least, each side. docs/formulas.md#ridge-strip */
    private const LEAST_COVER_MM = 1.0;

    /** The wing of a ridge tile on the prototype, 6 in. */
    private const WING_MM = 152.4;

    /** @param  array{WallSpan, WallSpan, WallSpan, WallSpan}  $spans */
    private function __construct(
        private Building $building,
        private BlockForm $form,
        private array $spans,
        private Stack $stack,
    ) {
    }

    public static function make(Building $building, BlockForm $form): PartSet
    {
        return (new self($building, $form, WallParts::spans($building, $form), $building->methods->roof()))->all();
    }

    private function all(): PartSet
    {
        $parts = [];
        $joints = [];
        foreach ($this->form->planes as $plane) {
            foreach ($this->stack->layers as $k => $layer) {
                $parts[] = $this->panel($plane, $k);
                if ($k > 0) {
                    // The outer layer reaches further up; what it lies on is the inner layer's whole top.
                    $joints[] = new Joint('lap', Ref::inside($this->panelId($plane, $k - 1)), Ref::outside($this->panelId($plane, $k)), end($parts)->corners(),
                        why: 'layers stuck together', contact_mm2: $plane->along->mm * $this->slope($plane, $k)->mm);
                }
            }
        }
        $strip = $this->strip();

        return new PartSet([...$parts, $strip], [...$joints, ...$this->ridgeJoints($strip), ...$this->seats()]);
    }

    private function panelId(RoofPlane $plane, int $layer): string
    {
        return $this->form->block->id.'.'.$plane->name.'-slope.'.$this->stack->layers[$layer]->id;
    }

    private function carrierId(RoofPlane $plane): string
    {
        return $this->panelId($plane, count($this->stack->layers) - 1);
    }

    private function stripId(): string
    {
        return $this->form->block->id.'.ridge.strip';
    }

    /** How far the underside of a layer lies above the roof's underside, square to it. */
    private function above(int $layer): float
    {
        return $this->stack->thickness_mm - $this->stack->depthOf($layer) - $this->stack->layers[$layer]->thickness_mm;
    }

    /** A layer that lies higher reaches further up: by its height times tan of half the fold, which is the pitch. */
    private function slope(RoofPlane $plane, int $layer): Figure
    {
        $above = $this->above($layer);

        return $above === 0.0 ? $plane->slope
            : $plane->slope->plus($above * $this->form->pitch->tan(), 'plus '.LengthFormat::trimmed($above, 3).' × tan '.$this->form->pitch->text().', lying higher');
    }

    private function panel(RoofPlane $plane, int $k): Part
    {
        $layer = $this->stack->layers[$k];
        $slope = $this->slope($plane, $k);
        $underside = array_map(fn (Vec2 $p) => $plane->frame->point($p->x, $p->y, $this->above($k)),
            Outline::rectangle($plane->along->mm, $slope->mm, new Edge(''), new Edge(''), new Edge(''), new Edge(''))->ring->points);

        return Part::of(
            $this->panelId($plane, $k), 'R', ucfirst($plane->name).' slope, '.$layer->id, 'roof', $layer->stock, $layer->thickness_mm,
            Outline::rectangle($plane->along->mm, $slope->mm, new Edge('eaves', 'eaves'), new Edge('verge-right', 'verge'), new Edge('ridge'), new Edge('verge-left', 'verge')),
            [$plane->frame->moved(0.0, 0.0, $this->above($k) + $layer->thickness_mm)],
            ['width' => $plane->along, 'height' => $slope],
            roof: new RoofSeat($this->form->block->id, $plane->name, $layer->id, $underside),
        );
    }

    private function cover(): float
    {
        return max(self::LEAST_COVER_MM, self::WING_MM / $this->building->scale->ratio);
    }

    /** Half the V that square edges leave at the top: the outermost layer's thickness times tan pitch, along the slope. */
    private function openHalf(): float
    {
        return $this->stack->layers[0]->thickness_mm * $this->form->pitch->tan();
    }

    private function strip(): Part
    {
        $plane = $this->form->planes[0];
        $stock = $this->building->methods->strip;
        $thickness = $stock->thickness_mm + $this->building->methods->template->addsTo($stock);
        $open = $this->openHalf();
        $leg = $open + $this->cover();
        $width = Figure::given($open, 'half the gap at the ridge, '.LengthFormat::trimmed($this->stack->layers[0]->thickness_mm, 3).' × tan '.$this->form->pitch->text())
            ->plus($this->cover(), 'plus what lies on the panel, '.LengthFormat::trimmed($this->cover(), 3))
            ->times(2.0, '× 2, both sides');
        $topLine = $plane->slope->mm + $this->stack->thickness_mm * $this->form->pitch->tan();

        return Part::of(
            $this->stripId(), 'R', 'Ridge strip', 'roof', $stock, $thickness,
            Outline::rectangle($plane->along->mm, 2.0 * $leg, new Edge('front edge', 'top'), new Edge('end', 'verge'), new Edge('back edge', 'top'), new Edge('other end', 'verge')),
            [$plane->frame->moved(0.0, $topLine - $leg, $this->stack->thickness_mm + $thickness)],
            ['width' => $plane->along, 'height' => $width],
            scores: [new Score(new Vec2(0.0, $leg), new Vec2($plane->along->mm, $leg), 'away', 2.0 * $this->form->pitch->degrees, 'face')],
            foldedAbout: new Vec2($plane->along->mm / 2.0, $leg / 2.0),
        );
    }

    /** @return list<Joint> */
    private function ridgeJoints(Part $strip): array
    {
        [$one, $other] = $this->form->planes;
        $joints = [];
        foreach (array_keys($this->stack->layers) as $k) {
            $y = $this->slope($one, $k)->mm;
            $gap = 2.0 * $this->stack->layers[$k]->thickness_mm * $this->form->pitch->sin();
            $joints[] = new Joint(
                'mitre', Ref::edge($this->panelId($one, $k), 2), Ref::edge($this->panelId($other, $k), 2),
                [$one->frame->point(0.0, $y, $this->above($k)), $one->frame->point($one->along->mm, $y, $this->above($k))],
                $one->along->mm, $gap, why: 'cut square, the tops part by '.LengthFormat::millimetres($gap), coveredBy: $strip->id,
            );
        }
        foreach ($this->form->planes as $i => $plane) {
            $ends = $i === 0 ? array_slice($strip->corners(), 0, 2) : [];
            $joints[] = new Joint('lap', Ref::inside($strip->id), Ref::outside($this->panelId($plane, 0)), $ends, why: 'the strip covers the ridge', contact_mm2: $plane->along->mm * $this->cover());
        }

        return $joints;
    }

    /** @return list<Joint> */
    private function seats(): array
    {
        $joints = [];
        foreach ($this->spans as $edge => $span) {
            if ($span->form->isGable()) {
                array_push($joints, ...$this->gableSeats($edge, $span));
            } else {
                array_push($joints, ...$this->eavesSeats($edge, $span));
            }
        }

        return $joints;
    }

    private function planeOver(int $edge): RoofPlane
    {
        [$one, $other] = $this->form->planes;

        return $one->edge === (($edge % 4) + 4) % 4 ? $one : $other;
    }

    /** @return list<Joint> */
    private function gableSeats(int $edge, WallSpan $span): array
    {
        $joints = [];
        $wall = $span->form;
        $apex = [$wall->length->mm / 2.0, $wall->apex->mm ?? 0.0];
        foreach (array_keys($span->stack->layers) as $k) {
            $id = $span->partId($this->form->block->id, $k);
            $depth = $span->stack->depthOf($k);
            foreach ([['rake-left', $edge - 1, $span->start], ['rake-right', $edge + 1, $span->end]] as [$name, $plane, $x]) {
                $foot = $wall->frame->point($x, $wall->heightAt($x), -$depth);
                $peak = $wall->frame->point($apex[0], $apex[1], -$depth);
                $joints[] = new Joint('seat', Ref::edge($id, $this->edgeOf($span, $name)), Ref::inside($this->carrierId($this->planeOver($plane))),
                    [$foot, $peak], $foot->distanceTo($peak), why: 'the slope rests on the gable', touch: 'strip');
            }
        }

        return $joints;
    }

    /**
     * Wall tops are cut square, so only the outer arris touches the slope.
     *
     * @return list<Joint>
     */
    private function eavesSeats(int $edge, WallSpan $span): array
    {
        $joints = [];
        $wall = $span->form;
        $panel = Ref::inside($this->carrierId($this->planeOver($edge)));
        foreach (array_keys($span->stack->layers) as $k) {
            $top = Ref::edge($span->partId($this->form->block->id, $k), $this->edgeOf($span, 'top'));
            $depth = $span->stack->depthOf($k);
            $joints[] = $k === 0
                ? new Joint('seat', $top, $panel, [$wall->frame->point($span->start, $wall->height->mm), $wall->frame->point($span->end, $wall->height->mm)],
                    $span->length(), why: 'the slope rests on the outer arris', touch: 'line')
                : new Joint('clearance', $top, $panel,
                    [$wall->frame->point($span->start, $wall->height->mm, -$depth), $wall->frame->point($span->end, $wall->height->mm, -$depth)], gap_mm: $depth * $this->form->pitch->sin(), why: 'cut square below the slope');
        }

        return $joints;
    }

    private function edgeOf(WallSpan $span, string $name): int
    {
        $edge = new Edge('');

        return WallShape::of($span->form, $span->start, $span->end, $span->form->turnIn, $edge, $edge)->outline->edge($name);
    }
}
