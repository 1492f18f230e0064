<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;
use LogicException;

/** The upper part of a circle over a span. docs/formulas.md#heads */
final readonly class Arc
{
    /** Chords of one arc at most; an arc of a metre's radius on the model needs fewer. */
    private const MOST_CHORDS = 2000;

    public function __construct(
        public Vec2 $centre,
        public float $radius,
    ) {
    }

    /** Makes the arc over the span from (x0, y) to (x1, y) that rises by $rise above y. r = (s²/4 + h²)/(2h) */
    public static function over(float $x0, float $x1, float $y, float $rise): self
    {
        if ($rise <= 0.0) {
            throw new LogicException('An arc has a rise');
        }
        $half = ($x1 - $x0) / 2.0;
        $radius = ($half * $half + $rise * $rise) / (2.0 * $rise);

        return new self(new Vec2(($x0 + $x1) / 2.0, $y + $rise - $radius), $radius);
    }

    /** Gives the height over $x, on the upper half; null beyond its sides. */
    public function heightAt(float $x): ?float
    {
        $square = $this->radius ** 2 - ($x - $this->centre->x) ** 2;

        return $square < -Tolerance::SAME ? null : $this->centre->y + sqrt(max(0.0, $square));
    }

    public function grown(float $by): self
    {
        return new self($this->centre, $this->radius + $by);
    }

    /**
     * Points from over $fromX to over $toX along the upper half, both ends included, each chord within
     * Tolerance::CHORD of the arc.
     *
     * @return non-empty-list<Vec2>
     */
    public function points(float $fromX, float $toX): array
    {
        return $this->between($this->angleAt($fromX), $this->angleAt($toX));
    }

    /**
     * The same between two angles, radians.
     *
     * @return non-empty-list<Vec2>
     */
    public function between(float $from, float $to): array
    {
        $step = 2.0 * acos(max(-1.0, 1.0 - min(1.0, Tolerance::CHORD / $this->radius)));
        // An even number, so that the crown of a whole head is one of the points.
        $n = 2 * max(1, min(self::MOST_CHORDS, (int) ceil(abs($to - $from) / $step / 2.0)));
        $points = [$this->at($from)];
        for ($i = 1; $i <= $n; $i++) {
            $points[] = $this->at($from + ($to - $from) * $i / $n);
        }

        return $points;
    }

    public function at(float $angle): Vec2
    {
        return new Vec2($this->centre->x + $this->radius * cos($angle), $this->centre->y + $this->radius * sin($angle));
    }

    private function angleAt(float $x): float
    {
        return acos(max(-1.0, min(1.0, ($x - $this->centre->x) / $this->radius)));
    }
}
