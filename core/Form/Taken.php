<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Vec2;

/** What another block takes of a wall, in the wall's frame: a stretch between two lines. */
final readonly class Taken
{
    /**
     * @param  ?list<array{float, float, float, float}>  $low  from, to, and the heights there; null where it goes all the way down
     * @param  list<array{float, float, float, float}>  $top
     */
    public function __construct(
        public float $from,
        public float $to,
        public ?array $low,
        public array $top,
    ) {
    }

    public function holds(Vec2 $at): bool
    {
        return $at->x > $this->from
            && $at->x < $this->to
            && ($this->low === null || $at->y > RoofLine::height($this->low, $at->x))
            && $at->y < RoofLine::height($this->top, $at->x);
    }
}
