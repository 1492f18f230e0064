<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Building;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;

/**
 * Bricks as a model shows them: their gauge, their joints as far as those can be printed, their colours. Model millimetres.
 * docs/formulas.md#dressings
 */
final readonly class Masonry
{
    /** Two dots of a printer of 600 to the inch: nothing finer is a line. */
    public const LEAST_LINE_MM = 0.085;

    /** Less card than that between the folds of its paper nobody cuts. */
    private const LEAST_CARD_MM = 0.15;

    /** Nothing reaches farther than so many bricks on edge, and nothing is of more stones: beyond that a figure is a slip. */
    public const MOST = 500;

    /**
     * @param  float  $unit  a brick on edge or on end with its joint, as wide as a course is high
     * @param  float  $half  half a brick's length
     * @param  float  $halfOfReal  half a brick of the real building, in the model: less where a factor leaves bricks larger than all else
     * @param  float  $joint  between units; 0 where it would be too fine to print
     * @param  float  $leastRaised  what is raised is as wide and as high as that
     * @param  bool  $isWidened  whether it is wider than to scale, so that it can be printed
     */
    private function __construct(
        public float $unit,
        public float $half,
        public float $halfOfReal,
        public float $joint,
        public Tone $brick,
        private Scale $scale,
        public bool $isWidened = false,
        public float $leastRaised = 0.0,
    ) {
    }

    public static function of(Building $building): self
    {
        [$gauge, $scale, $skin] = [$building->gauge, $building->scale, $building->methods->skin];
        $joint = $gauge->joint_mm / $scale->ratio;
        $isFine = $joint < self::LEAST_LINE_MM;
        $widened = $isFine && $skin->widensJoints ? self::LEAST_LINE_MM : 0.0;

        return new self(
            $gauge->course_mm / $scale->ratio,
            $gauge->brick_mm / $scale->ratio / 2.0,
            $gauge->brick_mm * $building->shrunk / $scale->ratio / 2.0,
            $isFine ? $widened : $joint,
            new Tone($skin->brick, $skin->mortar),
            $scale,
            $widened > 0.0,
            2.0 * $building->methods->paper->thickness_mm + self::LEAST_CARD_MM,
        );
    }

    public function mm(?RealLength $length): float
    {
        return $length === null ? 0.0 : $this->scale->modelMm($length);
    }

    /** How many times as large the real thing is. */
    public function ratio(): float
    {
        return $this->scale->ratio;
    }

    /** How far anything may reach. */
    public function farthest(): float
    {
        return self::MOST * max($this->unit, 2.0 * self::LEAST_LINE_MM);
    }

    /** How many of a width go into a length: the nearest number; one, in their tone, where none could be told apart. */
    public function countOf(float $length, float $each): int
    {
        return $each < 2.0 * self::LEAST_LINE_MM ? 1 : max(1, (int) round(min($length / $each, self::MOST)));
    }

    /** How many units go into a length: the nearest number, or the nearest odd one; one, in their tone, where none could be told apart. */
    public function count(float $length, bool $isOdd = false): int
    {
        if ($this->unit < 2.0 * self::LEAST_LINE_MM) {
            return 1;
        }
        $wanted = min($length / $this->unit, self::MOST);

        return $isOdd ? max(1, 2 * (int) round(($wanted - 1.0) / 2.0) + 1) : max(1, (int) round($wanted));
    }
}
