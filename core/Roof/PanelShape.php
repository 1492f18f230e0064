<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/**
 * The shape of a plane at a height above its underside: its sides move with the planes they meet in. In the plane's own
 * axes, model millimetres. docs/formulas.md#panel-edges
 */
final readonly class PanelShape
{
    public function __construct(
        private Form $form,
        private Facet $facet,
        private Patch $flat,
        private float $thickness,
    ) {
    }

    /** @param  float  $thickness  of the whole roof */
    public static function of(Form $form, Facet $facet, int $piece, float $thickness): self
    {
        return new self($form, $facet, $facet->built[$piece]->mapped($facet->flat(...)), $thickness);
    }

    /** Gives the outline that its sides truly have at that height. */
    public function at(float $height): ?Patch
    {
        return Offset::patch($this->flat, fn (string $label): float => $this->out($label, $height));
    }

    /** A card from one height to another, cut square so that neither of its faces goes beyond. */
    public function square(float $low, float $high): ?Patch
    {
        return Offset::patch($this->flat, fn (string $label): float => min($this->out($label, $low), $this->out($label, $high)));
    }

    /**
     * The outside and the inside face of a card from one height to another, bevelled wherever it meets another plane or a wall;
     * openings are cut square. Null where the faces have unlike sides.
     *
     * @return ?array{Patch, Patch}
     */
    public function bevelled(float $low, float $high): ?array
    {
        $face = fn (float $height): ?Patch => Offset::patch(
            $this->flat,
            fn (string $label): float =>
                Side::isOfKind($label, SideKind::Plane, SideKind::Wall, SideKind::Beside)
                    ? $this->out($label, $height)
                    : min($this->out($label, $low), $this->out($label, $high)),
        );
        [$outside, $inside, $square] = [$face($high), $face($low), $this->square($low, $high)];

        // A side that is too short to be left of what is as deep as the card cannot be bevelled.
        $isWhole = $outside !== null && $outside->labels === $inside?->labels && $outside->labels === $square?->labels;

        return ! $isWhole ? null
            : [new Patch($outside->outline, $outside->labels, $square->holes, $square->holeLabels), $inside];
    }

    /**
     * How far a side moves out at a height. It stays in the plane in which it ends, whose normal is w: for each millimetre
     * of height −N·w / u·w, with N its own plane's normal and u the way out over that side.
     */
    private function out(string $label, float $height): float
    {
        $side = Side::of($label);
        $normal = $this->facet->frame->normal;
        if ($side->kind === SideKind::Plane || $side->kind === SideKind::Below) {
            $other = $this->form->plane($side->planeOrFail())->frame->normal;
            // The mitre's plane halves the fold: tan β/2 from the normals.
            $fold = $normal->minus($other)->length() / $normal->plus($other)->length();

            return $height * ($this->isValley($label) ? -$fold : $fold);
        }
        if ($side->kind === SideKind::Over || $side->kind === SideKind::Clear) {
            // On top of the other roof, square to it: its thickness is what the side must clear.
            $other = $this->form->plane($side->planeOrFail())->frame->normal;
            $cos = $normal->dot($other);

            return -($this->thickness - $height * $cos) / sqrt(max(Tolerance::NOTHING, 1.0 - $cos * $cos));
        }
        if ($side->wall !== null) {
            $out = $this->form->blocks[$side->wall->block]->wall($side->wall->edge)->frame->normal;
            $level = $normal->dot(new Vec3(-$out->x, -$out->y, 0.0));
            // Within the plane the way into the wall is the wall's own, less what sticks out of the plane.
            $lean = -$level / sqrt(max(Tolerance::NOTHING, 1.0 - $level * $level));
            if ($side->kind === SideKind::Within) {
                return -$height * $lean;
            }

            // Under a wall that stands on it the top goes as far as the wall's inside, whatever sticks out below.
            return $side->kind !== SideKind::Beneath ? $height * $lean : max(0.0, $this->thickness * $lean);
        }

        return 0.0;
    }

    private function isValley(string $label): bool
    {
        $out = $this->outward($label);

        return $out !== null && $this->facet->foldTo($this->form->plane(Side::of($label)->planeOrFail()), $out) < 0.0;
    }

    /** The way out over the first side with that label, in plan. */
    private function outward(string $label): ?Vec2
    {
        foreach ($this->flat->lines() as $line) {
            if ($line->label === $label) {
                $along = $line->to->minus($line->from);
                $out = new Vec2($along->y, -$along->x);
                $frame = $this->facet->frame;

                return new Vec2($frame->x->x * $out->x + $frame->y->x * $out->y, $frame->x->y * $out->x + $frame->y->y * $out->y);
            }
        }

        return null;
    }
}
