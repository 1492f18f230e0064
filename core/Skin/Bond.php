<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Measure\Tolerance;
use LogicException;

/**
 * Brick bonds as their two courses, read from a quoin or jamb inwards. Units in parts of a stretcher's length:
 * stretcher 1, three-quarter bat ¾, header ½, queen closer ¼. docs/formulas.md#bonds
 */
final readonly class Bond
{
    /** Whole bricks are aimed at, or half ones, where no brick is longer or shorter for it than by such a part. */
    private const EVENED = [[1.0, 0.04], [0.5, 0.1]];

    /** No bat is shorter than this. */
    public const LEAST = 0.25;

    private const STRETCHER = 1.0;

    private const HEADER = 0.5;

    private const CLOSER = 0.25;

    /** Three quarters of a brick. */
    private const BAT = 0.75;

    /** Every so many courses one of an English garden wall is of headers. */
    private const GARDEN = 4;

    /**
     * @param  list<float>  $start  units laid once, from the quoin
     * @param  non-empty-list<float>  $then  units repeated after them
     */
    private function __construct(
        private array $start,
        private array $then,
    ) {
    }

    /**
     * @param  int  $course  from the datum up
     * @param  bool  $swapped  whether courses begin with the second one; header courses of garden bonds run round at one level all the same
     */
    public static function course(BrickBond $bond, int $course, bool $swapped = false): self
    {
        $second = ($course % 2 !== 0) !== $swapped;
        $headers = [self::HEADER, self::CLOSER];
        $three = [self::STRETCHER, self::STRETCHER, self::STRETCHER, self::HEADER];

        return match ($bond) {
            BrickBond::Stretcher => new self($second ? [self::HEADER] : [], [self::STRETCHER]),
            BrickBond::Header => new self($second ? [self::BAT] : [], [self::HEADER]),
            BrickBond::English => $second ? new self($headers, [self::HEADER]) : new self([], [self::STRETCHER]),
            BrickBond::Flemish => $second
                ? new self($headers, [self::STRETCHER, self::HEADER])
                : new self([], [self::STRETCHER, self::HEADER]),
            BrickBond::EnglishGarden => ($course % self::GARDEN + self::GARDEN) % self::GARDEN === self::GARDEN - 1
                ? new self($headers, [self::HEADER])
                : self::course(BrickBond::Stretcher, $course, $swapped),
            BrickBond::FlemishGarden => $second
                ? new self($headers, $three)
                : new self([self::STRETCHER, self::STRETCHER, self::HEADER], $three),
        };
    }

    /** Gives the length of unit $i from the quoin, in stretchers. */
    public function unit(int $i): float
    {
        $n = count($this->start);

        return $i < $n ? $this->start[$i] : $this->then[($i - $n) % count($this->then)];
    }

    /**
     * Fills a run from both ends towards the middle. As a bricklayer does, it first opens or closes the joints, all alike, until whole
     * bricks or half ones come out; only where that would be seen is a bat cut, and never one of less than a quarter brick.
     *
     * @param  float  $length  in stretchers
     * @return list<float> widths from left to right, in stretchers, adding up to the length
     */
    public function fill(float $length): array
    {
        if ($length < 0.0) {
            throw new LogicException('A run has a length');
        }
        $even = self::evened($length);
        if ($even !== null) {
            return array_map(static fn (float $unit): float => $unit * $length / $even, $this->laid($even));
        }
        $units = $this->laid($length);
        // What is left in the middle is shared with the brick beside it.
        $odd = intdiv(count($units), 2);
        if ($odd > 0 && $units[$odd] < self::LEAST) {
            $half = ($units[$odd] + $units[$odd - 1]) / 2.0;
            array_splice($units, $odd - 1, 2, [$half, $half]);
        }

        return $units;
    }

    /** As how many stretchers a run is laid with all its joints alike; null where one of its bricks has to be cut. */
    public static function evened(float $length): ?float
    {
        foreach (self::EVENED as [$step, $most]) {
            $even = max($step, round($length / $step) * $step);
            if (abs($length / $even - 1.0) <= $most) {
                return $even;
            }
        }

        return null;
    }

    /**
     * Units along a whole face from both its ends, which meet at a place: there is what is left.
     *
     * @param  float  $length  in stretchers, of halves
     * @param  float  $meet  from its left end, likewise
     * @return list<float> widths from left to right, adding up to the length
     */
    public function through(float $length, float $meet): array
    {
        $ends = [];
        $rest = $length;
        $meet = max(1.0, floor($meet));
        foreach ([$meet, $length - $meet] as $side => $upTo) {
            [$ends[$side], $laid] = [[], 0.0];
            for ($i = 0; $laid + $this->unit($i) <= $upTo + Tolerance::FIGURE; $i++) {
                $ends[$side][] = $this->unit($i);
                $laid += $this->unit($i);
            }
            $rest -= $laid;
        }
        if ($this->start === [self::HEADER] && $this->then === [self::STRETCHER] && abs($rest - self::HEADER) < Tolerance::FIGURE) {
            // A half brick too many would have its joint over that of the course below: two three-quarter bats do not.
            $rest += array_pop($ends[1]) ?? 0.0;
            $bats = $rest > self::STRETCHER ? [self::BAT, self::BAT] : [];
            $ends[0] = [...$ends[0], ...$bats];
            $rest -= array_sum($bats);
        }
        for ($i = count($ends[0]); $rest > Tolerance::FIGURE; $i++) {
            $unit = min($rest, $this->unit($i));
            $ends[0][] = $unit;
            $rest -= $unit;
        }

        return [...$ends[0], ...array_reverse($ends[1])];
    }

    /** @return non-empty-list<float> whole units from both ends, and in the middle what is left */
    private function laid(float $length): array
    {
        $left = [];
        $right = [];
        $rest = $length;
        for ($i = 0; ; $i++) {
            $unit = $this->unit(intdiv($i, 2));
            if ($unit > $rest + Tolerance::FIGURE) {
                break;
            }
            if ($i % 2 === 0) {
                $left[] = $unit;
            } else {
                $right[] = $unit;
            }
            $rest -= $unit;
        }

        $units = [...$left, ...($rest > Tolerance::FIGURE ? [$rest] : []), ...array_reverse($right)];

        return $units === [] ? [$length] : $units;
    }
}
