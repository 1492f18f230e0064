<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

/** What of a surface no card fills, and a board behind it or a paper over it closes. */
final readonly class Excused
{
    /**
     * @param  float  $mm2  how much of it
     * @param  float  $widest  the longest stretch of it, mm
     */
    public function __construct(
        public string $surface,
        public float $mm2,
        public float $widest,
    ) {
    }
}
