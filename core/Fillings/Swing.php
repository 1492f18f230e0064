<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** What is turned outwards about an upright line: where that is, and how far. docs/formulas.md#leaves */
final readonly class Swing
{
    /**
     * @param  float  $pin  from the opening's left jamb
     * @param  'left'|'right'  $hinge  on which side of what turns the line is
     * @param  float  $degrees  outwards
     * @param  float  $behind  how deep a sheet of it lies behind its foremost
     */
    public function __construct(public float $pin, private string $hinge, private float $degrees, public float $behind = 0.0)
    {
    }

    public function deeper(float $by): self
    {
        return new self($this->pin, $this->hinge, $this->degrees, $this->behind + $by);
    }

    /** As it is seen from before the wall. */
    public function seen(Ring $ring): Ring
    {
        return new Ring(array_map($this->at(...), $ring->points));
    }

    /** Where a place of it is seen. */
    public function at(Vec2 $place): Vec2
    {
        return new Vec2($this->pin + cos(deg2rad($this->degrees)) * ($place->x - $this->pin), $place->y);
    }

    /**
     * Of a sheet, in the opening's own frame, turned about the front edge of that side.
     *
     * @param  Frame  $wall  its wall's
     * @param  float  $front  how deep the foremost of what turns stands
     */
    public function frame(Frame $wall, OpeningForm $form, float $front, float $depth): Frame
    {
        $turn = deg2rad($this->degrees) * ($this->hinge === 'left' ? 1.0 : -1.0);
        $way = $wall->x->times(cos($turn))->plus($wall->normal->times(sin($turn)));
        $pin = $wall->moved($form->left, $form->sill, -$front)->point($this->pin, 0.0);
        $out = $way->cross(new Vec3(0.0, 0.0, 1.0));

        return new Frame($pin->minus($way->times($this->pin))->minus($out->times($depth - $front)), $way, $wall->y);
    }
}
