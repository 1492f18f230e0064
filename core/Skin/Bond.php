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
    private const LEAST = 0.25;

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
        foreach (self::EVENED as [$step, $most]) {
            $even = max($step, round($length / $step) * $step);
            if (abs($length / $even - 1.0) <= $most) {
                return array_map(static fn (float $unit): float => $unit * $length / $even, $this->laid($even));
            }
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
