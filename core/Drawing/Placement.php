<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

/** A symbol in its place: x′ = a·x + c·y + e, y′ = b·x + d·y + f. */
final readonly class Placement
{
    public function __construct(
        public string $symbol,
        public float $a,
        public float $b,
        public float $c,
        public float $d,
        public float $e,
        public float $f,
    ) {
    }
}
