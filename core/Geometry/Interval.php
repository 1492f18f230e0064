<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A stretch between two places along one axis, in the unit and the axes of whoever asks; `from` is never after `to`. */
final readonly class Interval
{
    public function __construct(
        public float $from,
        public float $to,
    ) {
    }

    /** Makes the stretch between two places that come in either order. */
    public static function between(float $a, float $b): self
    {
        return new self(min($a, $b), max($a, $b));
    }

    public static function of(float $from, float $length): self
    {
        return new self($from, $from + $length);
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    public function middle(): float
    {
        return ($this->from + $this->to) / 2.0;
    }

    /** Whether two share more than so much; with less than nothing, whether they come so near each other. */
    public function overlaps(self $other, float $by = 0.0): bool
    {
        return $this->from < $other->to - $by && $this->to > $other->from + $by;
    }

    /** Whether it lies within another that is so much larger on each side. */
    public function isWithin(self $other, float $by = 0.0): bool
    {
        return $this->from > $other->from - $by && $this->to < $other->to + $by;
    }

    /** What both have; null where that is nothing. */
    public function shared(self $other): ?self
    {
        [$from, $to] = [max($this->from, $other->from), min($this->to, $other->to)];

        return $from < $to ? new self($from, $to) : null;
    }

    /** Whether a place lies inside, so far from either end. */
    public function contains(float $place, float $by = 0.0): bool
    {
        return $place > $this->from + $by && $place < $this->to - $by;
    }

    /**
     * What the others leave free of it, from end to end.
     *
     * @param  list<self>  $taken  in any order; they may overlap
     * @param  float  $by  gaps no longer than so much are none
     * @return list<self>
     */
    public function without(array $taken, float $by = 0.0): array
    {
        $free = [];
        $at = $this->from;
        foreach (self::inOrder($taken) as $one) {
            if ($one->from > $at + $by && $this->to > $at + $by) {
                $free[] = new self($at, min($one->from, $this->to));
            }
            $at = max($at, $one->to);
        }

        return $this->to > $at + $by ? [...$free, new self($at, $this->to)] : $free;
    }

    /**
     * Those that overlap, or come so near each other, as one.
     *
     * @param  list<self>  $intervals
     * @return list<self> in order and apart
     */
    public static function joined(array $intervals, float $by = 0.0): array
    {
        $joined = [];
        foreach (self::inOrder($intervals) as $one) {
            $last = array_pop($joined);
            if ($last !== null && $one->from <= $last->to + $by) {
                $joined[] = new self($last->from, max($last->to, $one->to));
            } else {
                array_push($joined, ...($last === null ? [] : [$last]), ...[$one]);
            }
        }

        return $joined;
    }

    /**
     * @param  list<self>  $intervals
     * @return list<self> by where they begin
     */
    private static function inOrder(array $intervals): array
    {
        usort($intervals, static fn (self $a, self $b): int => [$a->from, $a->to] <=> [$b->from, $b->to]);

        return $intervals;
    }
}
