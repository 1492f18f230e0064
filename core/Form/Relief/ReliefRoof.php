<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Uncut;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\PlaneId;
use Chartula\Core\Form\RoofForm;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Tolerance;

/** The roof of a whole block, cut along a line and squeezed towards the front. Model millimetres. docs/formulas.md#relief */
final readonly class ReliefRoof
{
    /** A facet smaller than this in plan, mm², is none. */
    private const LEAST_MM2 = 0.0001;

    private const REACHES_THE_CUT_MM = 0.0001;

    private function __construct(
        private Uncut $uncut,
        private float $front,
        private float $cut,
    ) {
    }

    public static function of(RoofForm $roof, Uncut $uncut, float $ratio): RoofForm
    {
        $self = new self($uncut, $uncut->front / $ratio, $uncut->cut / $ratio);
        $facets = array_values(array_filter(array_map($self->facet(...), $roof->facets)));
        $outline = $roof->outline === null
            ? null
            : $self->cut(new Patch($roof->outline, array_fill(0, max(1, $roof->outline->count()), 'eaves')));

        return new RoofForm($facets, $outline?->outline);
    }

    private function facet(Facet $facet): ?Facet
    {
        $patch = $this->cut($facet->whole);
        if ($patch === null || $patch->outline->signedArea() < self::LEAST_MM2) {
            return null;
        }
        $patch = new Patch($patch->outline, array_map($this->label(...), $patch->labels), $patch->holes, $patch->holeLabels);
        $edge = $this->uncut->edges[$facet->edge] ?? $facet->edge;

        return new Facet($facet->block, $edge, $facet->level, $facet->name, $this->pitch($facet), $this->frame($facet), $patch, [$patch],
            [$patch]);
    }

    private function cut(Patch $patch): ?Patch
    {
        $box = $patch->outline->bounds();
        if ($box->y1 > $this->cut - self::REACHES_THE_CUT_MM) {
            // First, so that it names what lies along it: a ridge that is cut along is none any more.
            $lines = [new Line(new Vec2($box->x0 - 1.0, $this->cut), new Vec2($box->x1 + 1.0, $this->cut), 'cut'), ...$patch->lines()];
            $patch = Overlay::patches($lines, fn (Vec2 $p): bool => $p->y < $this->cut && $patch->outline->contains($p))[0] ?? null;
        }

        return $patch?->mapped($this->squeezed(...));
    }

    private function squeezed(Vec2 $at): Vec2
    {
        return new Vec2($at->x, $this->front + ($at->y - $this->front) * $this->uncut->squeeze);
    }

    /** Gives a side's name after the edges that its planes slope down to. */
    private function label(string $label): string
    {
        $plane = Side::of($label)->plane;

        return $plane === null || ! Side::isOfKind($label, SideKind::Plane)
            ? $label
            : Side::plane(new PlaneId($plane->block, $this->uncut->edges[$plane->edge] ?? $plane->edge, $plane->level));
    }

    private function pitch(Facet $facet): Angle
    {
        return abs($this->uncut->squeeze - 1.0) < Tolerance::NOTHING
            ? $facet->pitch
            : Angle::ofDegrees(rad2deg(atan($this->gradient($facet)->length())));
    }

    private function gradient(Facet $facet): Vec2
    {
        $slope = $facet->gradient();

        return new Vec2($slope->x, $slope->y / $this->uncut->squeeze);
    }

    private function frame(Facet $facet): Frame
    {
        if (abs($this->uncut->squeeze - 1.0) < Tolerance::NOTHING) {
            return $facet->frame;
        }
        $origin = $this->squeezed(new Vec2($facet->frame->origin->x, $facet->frame->origin->y));
        $along = new Vec2($facet->frame->x->x, $facet->frame->x->y * $this->uncut->squeeze);
        $along = $along->times(1.0 / $along->length());
        $slope = $this->gradient($facet);
        $tan = $slope->length();
        $cos = 1.0 / sqrt(1.0 + $tan * $tan);
        // Level lines stay level, and the slope rises square to them.
        $up = new Vec2(-$along->y, $along->x);

        return new Frame(
            new Vec3($origin->x, $origin->y, $facet->frame->origin->z),
            new Vec3($along->x, $along->y, 0.0),
            new Vec3($up->x * $cos, $up->y * $cos, $tan * $cos),
        );
    }
}
