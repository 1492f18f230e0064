<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** How a wall ends at a corner of its footprint. docs/formulas.md#corner */
final readonly class WallEnd
{
    public const THROUGH = 'through';

    public const STOPPED = 'stopped';

    /** Both walls are bevelled at half the turn. */
    public const MITRE = 'mitre';

    /** Nothing is built round the corner. */
    public const OPEN = 'open';

    /** The corner is so nearly straight that both walls just end there. */
    public const STRAIGHT = 'straight';

    /**
     * @param  self::*  $kind
     * @param  int  $edge  of the wall round the corner
     * @param  float  $angle  interior, degrees
     * @param  float  $other  thickness of the wall round the corner
     * @param  bool  $yields  whether it is the other wall that comes first: its card stops this one's, or its paper this one's lap
     */
    public function __construct(
        public string $kind,
        public int $edge,
        public float $angle,
        private float $other,
        public bool $yields,
    ) {
    }

    public function thickness(): float
    {
        return $this->other;
    }

    public function isConvex(): bool
    {
        return $this->angle < 180.0;
    }

    /** How far a face at depth $m stops short of the corner. */
    public function cut(float $m): float
    {
        return match (true) {
            $this->kind === self::MITRE => $m / tan(deg2rad($this->angle / 2.0)),
            $this->kind === self::STRAIGHT => max(0.0, $m / tan(deg2rad($this->angle / 2.0))),
            $this->kind === self::OPEN => CornerCut::start($m, 0.0, $this->angle),
            ($this->kind === self::THROUGH) === $this->isConvex() => CornerCut::start($m, 0.0, $this->angle),
            default => CornerCut::start($m, $this->other, $this->angle),
        };
    }

    /** Gives how far a card from depth $outer to $inner, cut square, stops short: nothing of it goes into the other wall. */
    public function squareCut(float $outer, float $inner): float
    {
        return max($this->cut($outer), $this->cut($inner));
    }

    /** The distance from the corner to where the outside face of a card begins. */
    public function outerCut(float $outer, float $inner): float
    {
        return $this->kind === self::MITRE ? $this->cut($outer) : $this->squareCut($outer, $inner);
    }

    /** The distance from the corner to where the card's blank begins; the rest of it is bevelled away. */
    public function blankCut(float $outer, float $inner): float
    {
        return $this->kind === self::MITRE ? min($this->cut($outer), $this->cut($inner)) : $this->squareCut($outer, $inner);
    }

    /** The gap that a square cut leaves between the card and the other wall. */
    public function gap(float $outer, float $inner): float
    {
        return $this->kind === self::STOPPED ? abs($this->cut($outer) - $this->cut($inner)) : 0.0;
    }
}
