<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** Words to be written on a sheet, with the room they take; before a name an arrow that points up the piece. */
final readonly class SheetWord
{
    /** What is no name is as small as can be read, mm. */
    public const SMALL = 2.0;

    /** Width of a letter by its height, generous. */
    private const LETTER = 0.62;

    /** Capitals and what hangs below them, by the height of the type. */
    public const HIGH = 0.95;

    /** An arrow takes as much room as so many letters. */
    private const ARROW = 2.0;

    public float $width;

    /** @param  ?Vec2  $arrow  a unit vector */
    public function __construct(
        public Vec2 $middle,
        public string $text,
        public float $turn = 0.0,
        public float $size = self::SMALL,
        public ?Vec2 $arrow = null,
        public bool $bold = false,
    ) {
        $this->width = self::widthOf($text, $size, $arrow !== null);
    }

    public static function widthOf(string $text, float $size = self::SMALL, bool $hasArrow = false): float
    {
        return self::LETTER * $size * (mb_strlen($text) + ($hasArrow ? self::ARROW : 0.0));
    }

    /** The way in which it is read. */
    public function along(): Vec2
    {
        return self::way($this->turn);
    }

    public function up(): Vec2
    {
        return self::way($this->turn + 90.0);
    }

    /** The room it takes. */
    public function box(): Ring
    {
        [$along, $up] = [$this->along()->times($this->width / 2.0), $this->up()->times($this->size * self::HIGH / 2.0)];
        $m = $this->middle;

        return new Ring([
            $m->minus($along)->minus($up), $m->plus($along)->minus($up), $m->plus($along)->plus($up), $m->minus($along)->plus($up),
        ]);
    }

    private static function way(float $degrees): Vec2
    {
        return new Vec2(cos(deg2rad($degrees)), sin(deg2rad($degrees)));
    }
}
