<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

/** What the wall round a corner fills of a card that rises past its top: model millimetres along and up the card's wall. */
final readonly class CornerCard
{
    /**
     * @param  WallId  $wall  the one round the corner
     * @param  bool  $isLeft  at which end
     * @param  array{float, float}  $high  its top at both, over the card's outer face: in perspective tops rise or fall
     * @param  float  $behind  by how much higher it is over the card's inner face
     */
    public function __construct(
        public WallId $wall,
        public bool $isLeft,
        public float $from,
        public float $to,
        public array $high,
        public float $behind,
    ) {
    }

    /** How much its top rises for each millimetre to the right. */
    public function rise(): float
    {
        return ($this->high[1] - $this->high[0]) / ($this->to - $this->from);
    }
}
