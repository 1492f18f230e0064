<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\LabelledPart;

/** A copy of a part on a sheet: `x`, `y` the lower left of what is cut from the sheet's lower left, millimetres. */
final readonly class PlacedPart
{
    private Box2 $box;

    public function __construct(
        public LabelledPart $part,
        public int $copy,
        public float $x,
        public float $y,
        public bool $turned,
        public bool $mirrored,
    ) {
        $this->box = $part->part->blank()->outline->bounds();
    }

    /** A point of the part, on the sheet. Mirrored first, then turned a quarter to the left. */
    public function toSheet(Vec2 $point): Vec2
    {
        $x = $this->mirrored ? $this->box->x1 - $point->x : $point->x - $this->box->x0;

        return $this->turned
            ? new Vec2($this->x + $this->box->y1 - $point->y, $this->y + $x)
            : new Vec2($this->x + $x, $this->y + $point->y - $this->box->y0);
    }

    public function width(): float
    {
        return $this->turned ? $this->box->height() : $this->box->width();
    }

    public function height(): float
    {
        return $this->turned ? $this->box->width() : $this->box->height();
    }
}
