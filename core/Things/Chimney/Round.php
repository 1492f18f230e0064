<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Finish;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** What a paper goes round: a chimney, or what stands out of it. Model millimetres. */
final readonly class Round
{
    /**
     * @param  string  $layer  as the paper is called
     * @param  float  $out  how far its card stands before the stack's sides
     * @param  list<list<Vec2>>  $feet  of every side, from its left end to its right, y above the datum
     * @param  float  $head  as far as the paper goes up
     * @param  ?Finish  $finish  what it shows; null as the stack
     * @param  list<list<Ring>>  $windows  what is cut out of it, by the sides, x from the left end of the stack’s
     */
    public function __construct(
        public string $layer,
        public string $words,
        public float $out,
        public array $feet,
        public float $head,
        public ?Finish $finish = null,
        public array $windows = [],
    ) {
    }

    /** The stack itself, from the roof, or from under that where it goes through, to under its cap. */
    public static function stack(Stack $stack): self
    {
        return new self('paper', 'paper', 0.0, array_map($stack->paperFeet(...), [0, 1, 2, 3]), $stack->head());
    }
}
