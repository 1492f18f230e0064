<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Building;

/** A building as it is modelled, and what low relief has taken from it. */
final readonly class Relieved
{
    /**
     * @param  list<array{what: 'block'|'opening'|'narrowed', at: string, count: int}>  $lost  blocks and openings that are not modelled, or
     *     narrower than they are
     * @param  ?array{depth: float, whole: float, share: float}  $cut  model millimetres: how deep it is modelled, how deep it is, and the
     *     squeeze; null where nothing was cut
     */
    public function __construct(
        public Building $building,
        public array $lost,
        public ?array $cut,
    ) {
    }

    public function with(Building $building): self
    {
        return new self($building, $this->lost, $this->cut);
    }
}
