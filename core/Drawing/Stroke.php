<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** How a line looks: width and dashes in millimetres, colour as #rrggbb. */
final readonly class Stroke
{
    /** @param  list<float>  $dash */
    public function __construct(
        public float $width,
        public string $colour = '#1f2a2e',
        public array $dash = [],
    ) {
    }
}
