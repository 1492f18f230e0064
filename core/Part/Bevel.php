<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** An edge that is not cut square to its card. docs/formulas.md#bevels */
final readonly class Bevel
{
    /**
     * @param  float  $degrees  off square
     * @param  'outside'|'inside'  $longer  the face that reaches further
     */
    public function __construct(
        public int $edge,
        public float $degrees,
        public string $longer,
    ) {
    }

    /** @return array{edge: int, degrees: float, longer: 'outside'|'inside'} */
    public function toArray(): array
    {
        return ['edge' => $this->edge, 'degrees' => round($this->degrees, 6), 'longer' => $this->longer];
    }
}
