<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\PrintSettings;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Packing\Bin;

/**
 * A page and the room on it: a line of heading above; the proving rules lie in the strips of the margin at the left and the foot, words
 * in that at the right. Origin lower left, mm.
 */
final readonly class Page
{
    public const HEADING_MM = 6.0;

    /** A strip of the margin that takes a rule or words is as wide as this at least. */
    private const STRIP_MM = 8.0;

    public float $width;

    public float $height;

    public float $margin;

    public function __construct(public PrintSettings $settings)
    {
        [$this->width, $this->height] = $settings->size_mm;
        $this->margin = $settings->margin_mm;
    }

    public function bin(float $gap): Bin
    {
        return new Bin($this->roomWidth(), $this->roomHeight(), $gap);
    }

    public function room(): Box2
    {
        return new Box2($this->roomX(), $this->roomY(), $this->roomX() + $this->roomWidth(), $this->roomY() + $this->roomHeight());
    }

    public function roomX(): float
    {
        return max($this->margin, self::STRIP_MM);
    }

    public function roomY(): float
    {
        return max($this->margin, self::STRIP_MM);
    }

    public function roomWidth(): float
    {
        return $this->width - 2.0 * $this->roomX();
    }

    public function roomHeight(): float
    {
        return $this->height - $this->margin - self::HEADING_MM - $this->roomY();
    }
}
