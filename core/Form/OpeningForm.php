<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Opening;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** One opening in its wall, finished size. Model millimetres, in the wall's frame. */
final readonly class OpeningForm
{
    /**
     * @param  string  $id  the opening's own, with its number from 2 where it is repeated ("w1", "w1-2")
     * @param  int  $copy  0 for the first of a row
     * @param  float  $foot  of its wall
     * @param  ?self  $true  as it is, in the wall as it is, where it recedes
     */
    public function __construct(
        public string $id,
        public Opening $opening,
        public int $copy,
        public float $left,
        public float $sill,
        public OpeningShape $shape,
        private float $foot,
        public ?self $true = null,
    ) {
    }

    /** @param  float  $foot  of its wall against the block's base */
    public static function of(Opening $opening, int $copy, OpeningShapes $shapes, float $foot = 0.0): self
    {
        return new self(
            $opening->copyId($copy), $opening, $copy,
            $opening->leftMm($copy) / $shapes->scale->ratio,
            $shapes->scale->modelMm($opening->sill),
            $shapes->of($opening->style),
            $foot,
        );
    }

    /** Gives the opening where it comes to lie in a wall that recedes. */
    public function receding(Homography $map): self
    {
        [$left, $right] = [$map->at(new Vec2($this->left, $this->sill)), $map->at(new Vec2($this->right(), $this->sill))];
        $corner = new Vec2($left->x, min($left->y, $right->y));

        return new self(
            $this->id,
            $this->opening,
            $this->copy,
            $corner->x,
            $corner->y,
            $this->shape->receding($map->between(new Vec2($this->left, $this->sill), $corner)),
            $this->foot,
            $this,
        );
    }

    public function right(): float
    {
        return $this->left + $this->shape->width;
    }

    public function top(): float
    {
        return $this->sill + $this->shape->height;
    }

    /** A door: it interrupts the wall's foot. */
    public function reachesFoot(): bool
    {
        return $this->sill <= $this->foot;
    }

    /** The opening grown by $by; a foot that stands on the ground stays there. */
    public function ring(float $by = 0.0): Ring
    {
        return $this->shape->ring($by, $this->reachesFoot() ? 0.0 : $by)->moved($this->left, $this->sill);
    }
}
