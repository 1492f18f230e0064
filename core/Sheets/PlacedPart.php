<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;

/** A copy of a part on a sheet: `x`, `y` the lower left of what is cut from the sheet's lower left, millimetres. */
final readonly class PlacedPart
{
    private Box2 $box;

    /** @param  0|90|180|270  $turn  degrees to the left */
    public function __construct(
        public LabelledPart $part,
        public int $copy,
        public float $x,
        public float $y,
        public int $turn,
        public bool $mirrored,
    ) {
        $this->box = $part->part->blank()->outline->bounds();
    }

    /** Whether it stands nowhere: one more, should another be lost. */
    public function isSpare(): bool
    {
        return $this->copy >= $this->part->part->qty();
    }

    /** The copy whose place in the building is its own; of a spare the first. */
    public function standsFor(): int
    {
        return $this->isSpare() ? 0 : $this->copy;
    }

    /** A point of the part, on the sheet. Mirrored first, then turned to the left. */
    public function toSheet(Vec2 $point): Vec2
    {
        $x = $this->mirrored ? $this->box->x1 - $point->x : $point->x - $this->box->x0;
        $y = $point->y - $this->box->y0;
        [$width, $height] = [$this->box->width(), $this->box->height()];

        return match ($this->turn) {
            0 => new Vec2($this->x + $x, $this->y + $y),
            90 => new Vec2($this->x + $height - $y, $this->y + $x),
            180 => new Vec2($this->x + $width - $x, $this->y + $height - $y),
            270 => new Vec2($this->x + $y, $this->y + $width - $x),
        };
    }

    public function width(): float
    {
        return $this->turn % 180 === 0 ? $this->box->width() : $this->box->height();
    }

    public function height(): float
    {
        return $this->turn % 180 === 0 ? $this->box->height() : $this->box->width();
    }
}
