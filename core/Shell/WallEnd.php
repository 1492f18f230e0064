<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** How a wall ends at a corner of its footprint. docs/formulas.md#corner */
final readonly class WallEnd
{
    public const THROUGH = 'through';

    public const STOPPED = 'stopped';

    /** Nothing is built round the corner. */
    public const OPEN = 'open';

    /** The corner is so nearly straight that both walls just end there. */
    public const STRAIGHT = 'straight';

    /**
     * @param  self::*  $kind
     * @param  int  $edge  of the wall round the corner
     * @param  float  $angle  interior, degrees
     * @param  float  $other  thickness of the wall round the corner
     */
    public function __construct(
        public string $kind,
        public int $edge,
        public float $angle,
        private float $other,
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
            $this->kind === self::STRAIGHT => max(0.0, $m / tan(deg2rad($this->angle / 2.0))),
            $this->kind === self::OPEN => CornerCut::start($m, 0.0, $this->angle),
            ($this->kind === self::THROUGH) === $this->isConvex() => CornerCut::start($m, 0.0, $this->angle),
            default => CornerCut::start($m, $this->other, $this->angle),
        };
    }

    /** Of a card from depth $outer to $inner, cut square: nothing of it goes into the other wall. */
    public function squareCut(float $outer, float $inner): float
    {
        return max($this->cut($outer), $this->cut($inner));
    }

    /** What a square cut leaves open between it and the other wall. */
    public function gap(float $outer, float $inner): float
    {
        return $this->kind === self::STOPPED ? abs($this->cut($outer) - $this->cut($inner)) : 0.0;
    }
}
