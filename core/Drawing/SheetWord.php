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

    /** Widths of letters by the height of the type, those of the printed face and a little more; all others are of middle width. */
    private const LETTERS = [" .,:;'!|ijlI" => 0.34, 'frt()[]/-"J' => 0.43, 'ABCDEFGHKLNOPQRSTUVXYZ&#+<>=~' => 0.75, 'mwMW%@' => 0.95];

    private const MIDDLE = 0.61;

    private const BOLD = 1.1;

    /** Capitals and what hangs below them, by the height of the type. */
    public const HIGH = 0.95;

    /** An arrow takes so much room, by the height of the type. */
    private const ARROW = 1.24;

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
        $this->width = self::widthOf($text, $size, $arrow !== null, $bold);
    }

    public static function widthOf(string $text, float $size = self::SMALL, bool $hasArrow = false, bool $isBold = false): float
    {
        $width = self::MIDDLE * mb_strlen($text);
        foreach (self::LETTERS as $letters => $wide) {
            for ($at = strcspn($text, $letters), $n = strlen($text); $at < $n; $at += 1 + strcspn($text, $letters, $at + 1)) {
                $width += $wide - self::MIDDLE;
            }
        }

        return $size * ($width * ($isBold ? self::BOLD : 1.0) + ($hasArrow ? self::ARROW : 0.0));
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
