<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Opening;
use Chartula\Core\Geometry\Ring;

/** One opening in its wall, finished size. Model millimetres, in the wall's frame. */
final readonly class OpeningForm
{
    /**
     * @param  string  $id  the opening's own, with its number from 2 where it is repeated ("w1", "w1-2")
     * @param  int  $copy  0 for the first of a row
     * @param  float  $foot  of its wall
     */
    public function __construct(
        public string $id,
        public Opening $opening,
        public int $copy,
        public float $left,
        public float $sill,
        public OpeningShape $shape,
        private float $foot,
    ) {
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
