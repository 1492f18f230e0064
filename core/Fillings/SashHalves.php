<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;
use Closure;

/** The halves of a sash, each on a card of its own, the lower one behind the other and perhaps pushed up. docs/formulas.md#frame */
final readonly class SashHalves
{
    /** Half a stile stays round what is open before or behind the other half. */
    private float $rim;

    /**
     * @param  float  $inset  of its panes, from the opening
     * @param  float  $middle  where the panes of the upper half begin, over the meeting rail
     * @param  array{list<Ring>, list<Ring>}  $panes  of the lower half, and of the upper one
     * @param  float  $raised  how far the lower half is pushed up; 0 where it is not
     * @param  Closure(array{float, float}, array{float, float}, float): list<Ring>  $open  what of a stretch between two heights, so far
     *     within the opening, is open
     */
    public function __construct(
        private OpeningShape $shape,
        private float $inset,
        private float $stile,
        private float $middle,
        private array $panes,
        public float $raised,
        private Closure $open,
    ) {
        $this->rim = $inset - $stile / 2.0;
    }

    /** @return list<Ring> of the card that has the upper half: its panes, and an opening before those of the lower one */
    public function upper(): array
    {
        $before = Ring::rectangle($this->rim, $this->rim, $this->shape->width - $this->rim, $this->middle - $this->stile);

        return [$before, ...$this->panes[1]];
    }

    /**
     * @return list<Ring> of the card behind it: the panes of the lower half, and an opening behind those of the upper one, both as far up
     *     as it is pushed, and what is open under it then
     */
    public function lower(): array
    {
        $across = [$this->rim, $this->shape->width - $this->rim];

        return [
            ...array_map(fn (Ring $r): Ring => $r->moved(0.0, $this->raised), $this->panes[0]),
            ...($this->open)($across, [$this->middle + $this->raised, $this->shape->height], $this->rim),
            ...$this->raised > 0.0 ? [Ring::rectangle($across[0], $this->rim, $across[1], $this->rim + $this->raised)] : [],
        ];
    }

    /** Up to where there is no glass, where it is pushed up: the middle of what is left of its foot. */
    public function unglazed(): float
    {
        return $this->raised > 0.0 ? $this->inset - $this->stile / 4.0 + $this->raised : -INF;
    }

    /** Whether it goes so far up before what is open over its meeting rail ends at the frame. */
    public function mayPass(): bool
    {
        return $this->raised <= $this->mayRise();
    }

    public function mayRise(): float
    {
        return max(0.0, $this->shape->springing(-$this->inset) - $this->middle);
    }
}
