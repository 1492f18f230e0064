<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;

/** A line of text. `at` is on its baseline; size is the height of the type in millimetres; turned to the left by degrees. */
final readonly class Text
{
    /** @param  'start'|'middle'|'end'  $anchor */
    public function __construct(
        public Vec2 $at,
        public string $text,
        public float $size,
        public string $anchor = 'start',
        public float $turnDeg = 0.0,
        public bool $bold = false,
        public string $colour = '#1f2a2e',
    ) {
    }
}
