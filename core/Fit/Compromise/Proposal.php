<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Compromise;

/** A way to make a wall shorter: its steps, what they cost, and what comes of it. */
final readonly class Proposal
{
    /**
     * @param  non-empty-list<array<string, mixed>>  $steps  as the document has them
     * @param  list<string>  $costs  what is given up, in words and figures
     * @param  float  $harm  how much it shows; the less the better. docs/formulas.md#compression
     * @param  bool  $isProtected  whether it makes smaller what is protected
     */
    public function __construct(
        public string $key,
        public array $steps,
        public array $costs,
        public float $harm,
        public bool $isProtected = false,
    ) {
    }
}
