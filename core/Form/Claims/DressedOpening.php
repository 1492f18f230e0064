<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Vec2;

/** An opening that things stand round, one after the other, each over what the one before it took. The wall's frame, model millimetres. */
final readonly class DressedOpening
{
    /**
     * @param  OpeningForm  $opening  of a wall that recedes, as it is
     * @param  float  $over  how far what is over its head already reaches up from it
     * @param  float  $beside  how far that reaches beyond its jambs
     */
    public function __construct(
        public OpeningForm $opening,
        public Masonry $masonry,
        public float $over = 0.0,
        public float $beside = 0.0,
    ) {
    }

    /** The same with something more over its head. */
    public function under(Claim $claim): self
    {
        $box = $claim->ring->bounds();
        if (! isset($claim->finishes['head']) && $box->y1 <= $this->opening->top()) {
            return $this;
        }

        return new self(
            $this->opening,
            $this->masonry,
            max($this->over, $box->y1 - $this->opening->top()),
            max($this->beside, $this->opening->left - $box->x0),
        );
    }

    public function isFlat(): bool
    {
        return $this->opening->shape->radius() === null;
    }

    /** The centre of its head's curve; null where that is flat. */
    public function centre(): ?Vec2
    {
        return $this->opening->shape->centre()?->plus(new Vec2($this->opening->left, $this->opening->sill));
    }

    /** @return array{float, float} where its head springs, seen from the centre of its curve, from right to left, radians */
    public function angles(): array
    {
        $centre = $this->centre() ?? new Vec2(0.0, 0.0);
        $springing = $this->opening->sill + $this->opening->shape->springing();
        $right = atan2($springing - $centre->y, $this->opening->right() - $centre->x);

        return [$right, M_PI - $right];
    }
}
