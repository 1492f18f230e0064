<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\LabelledPart;

/** A copy of a part on a sheet: `x`, `y` the lower left of its box from the sheet's lower left, millimetres. */
final readonly class PlacedPart
{
    public function __construct(
        public LabelledPart $part,
        public int $copy,
        public float $x,
        public float $y,
        public bool $turned,
        public bool $mirrored,
    ) {
    }

    /** A point of the part, on the sheet. Mirrored first, then turned a quarter to the left. */
    public function toSheet(Vec2 $point): Vec2
    {
        $x = $this->mirrored ? $this->part->part->width() - $point->x : $point->x;

        return $this->turned
            ? new Vec2($this->x + $this->part->part->height() - $point->y, $this->y + $x)
            : new Vec2($this->x + $x, $this->y + $point->y);
    }

    public function width(): float
    {
        return $this->turned ? $this->part->part->height() : $this->part->part->width();
    }

    public function height(): float
    {
        return $this->turned ? $this->part->part->width() : $this->part->part->height();
    }
}
