<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/** Equal openings along a wall: in equal bays, between margins, or from a place on at a spacing. Real millimetres. docs/formulas.md#rows */
final readonly class Bays
{
    /**
     * @param  float  $from  left jamb of the first
     * @param  float  $pitch  from one to the next
     */
    private function __construct(public float $from, public float $pitch, private float $width, private int $count)
    {
    }

    /**
     * @param  float  $length  of the wall
     * @param  array{margin?: ?float, from?: ?float, pitch?: ?float}  $said  what is said of where they stand
     */
    public static function of(float $length, float $width, int $count, array $said): self
    {
        [$margin, $from, $pitch] = [$said['margin'] ?? null, $said['from'] ?? null, $said['pitch'] ?? null];
        $bay = $pitch ?? $length / $count;
        [$first, $apart] = match (true) {
            $from !== null => [$from, $pitch ?? ($count > 1 ? ($length - 2.0 * $from - $width) / ($count - 1) : $bay)],
            $margin !== null && $count > 1 => [$margin, $pitch ?? ($length - 2.0 * $margin - $width) / ($count - 1)],
            // The same spacing about the wall's middle.
            default => [($length - ($count - 1) * $bay - $width) / 2.0, $bay],
        };

        return new self($first, $apart, $width, $count);
    }

    /** Whether they stand side by side within the wall. */
    public function fit(float $length): bool
    {
        $end = $this->from + ($this->count - 1) * $this->pitch + $this->width;

        return $this->from >= 0.0 && $end <= $length + Tolerance::FIGURE && ($this->count === 1 || $this->pitch > $this->width);
    }

    /** @return list<Interval> from jamb to jamb */
    public function places(): array
    {
        return array_map(fn (int $i): Interval => Interval::of($this->from + $i * $this->pitch, $this->width), range(0, $this->count - 1));
    }
}
