<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Measure\Tolerance;

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

    /** A corner nearer to square than this, degrees, closes with cards cut square. */
    private const SQUARE_DEG = 20.0;

    /**
     * @param  self::THROUGH|self::STOPPED|self::MITRE|self::OPEN|self::STRAIGHT  $kind
     * @param  int  $edge  of the wall round the corner
     * @param  float  $angle  interior, degrees
     * @param  float  $other  thickness of the wall round the corner
     * @param  bool  $yields  whether it is the other wall that comes first: its card stops this one's, or its paper this one's lap
     * @param  ?array{float, float}  $top  where the wall round the corner ends level under a slope: its top there above this one's
     *     base, and how much that rises for each millimetre away from the corner
     */
    public function __construct(
        public string $kind,
        public int $edge,
        public float $angle,
        private float $other,
        public bool $yields,
        private ?array $top = null,
    ) {
    }

    public function thickness(): float
    {
        return $this->other;
    }

    /** Whether a corner is so near to square that cards cut square close it. */
    public static function isSquare(float $angle): bool
    {
        return abs(abs($angle - 180.0) - 90.0) <= self::SQUARE_DEG;
    }

    public function isNearSquare(): bool
    {
        return self::isSquare($this->angle);
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

    /**
     * Whether the end of a card is bevelled: in a mitre, in a butt near square, and where nothing is built round a corner and the end,
     * cut square, would leave the outside open.
     */
    public function isBevelled(float $outer, float $inner): bool
    {
        $late = $this->cut($inner) - $this->cut($outer);

        return match ($this->kind) {
            self::MITRE => true,
            // Its end follows the other wall's face.
            self::STOPPED => $this->isNearSquare() && abs($late) > Tolerance::MEET,
            self::THROUGH => $this->isNearSquare() && $late > Tolerance::MEET,
            self::OPEN => $late > Tolerance::MEET,
            self::STRAIGHT => false,
        };
    }

    /** The distance from the corner to where the outside face of a card begins. */
    public function outerCut(float $outer, float $inner): float
    {
        return $this->isBevelled($outer, $inner) ? $this->cut($outer) : $this->squareCut($outer, $inner);
    }

    /** The distance from the corner to where the card's blank begins; the rest of it is bevelled away. */
    public function blankCut(float $outer, float $inner): float
    {
        return $this->isBevelled($outer, $inner) ? min($this->cut($outer), $this->cut($inner)) : $this->squareCut($outer, $inner);
    }

    /**
     * What the wall that stops a card here fills of it, below what rises past its top.
     *
     * @param  array{float, float}  $depths  of the card's faces
     * @param  bool  $isSquare  whether the card is cut square all round
     * @return ?array{float, float, float, float, float} from where to where from the corner on, how high at both over the card's outer
     *     face, and how much higher over its inner face; null where it fills all
     */
    public function filled(array $depths, bool $isSquare): ?array
    {
        if ($this->kind !== self::STOPPED || ! $this->isConvex() || $this->top === null) {
            return null;
        }
        [$high, $rise] = $this->top;
        // A place's way along the wall round the corner.
        [$cos, $sin] = [cos(deg2rad($this->angle)), sin(deg2rad($this->angle))];
        $top = static fn (float $x): float => $high + $rise * ($x * $cos + $depths[0] * $sin);
        $starts = array_map(fn (float $m): float => CornerCut::start($m, 0.0, $this->angle), $depths);
        $from = $isSquare ? max($starts) : $starts[0];
        $to = $isSquare ? $this->squareCut(...$depths) : $this->blankCut(...$depths);

        return [$from, $to, $top($from), $top($to), $rise * $sin * ($depths[1] - $depths[0])];
    }

    /** How much of a wall of a thickness the corner takes, on either face: no card of its own, or the other wall's card against it. */
    public function taken(float $thickness): float
    {
        return match (true) {
            $this->kind === self::OPEN, $this->kind === self::STRAIGHT => 0.0,
            $this->kind === self::MITRE, ! $this->isConvex() => max(0.0, $this->cut(0.0), $this->cut($thickness)),
            default => max(CornerCut::start(0.0, $this->other, $this->angle), CornerCut::start($thickness, $this->other, $this->angle)),
        };
    }

    /** The gap that a square cut leaves between the card and the other wall. */
    public function gap(float $outer, float $inner): float
    {
        return $this->kind === self::STOPPED && ! $this->isBevelled($outer, $inner) ? abs($this->cut($outer) - $this->cut($inner)) : 0.0;
    }
}
