<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Tracery;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * Lights with heads of their own, and over each mullion the largest circle that has room between them and the head; over an odd number of
 * lights one more in the middle. The opening's frame, model millimetres. docs/formulas.md#tracery
 */
final readonly class HeadTracery
{
    /** A circle smaller than this is none. */
    private const LEAST_MM = 0.8;

    /** Heights at which a circle is tried, before the best of them is sought between its neighbours. */
    private const TRIED = 40;

    private const HALVED = 24;

    /** Points of a foil, and of a plain circle as many as of four. */
    private const POINTS = 18;

    /** @var non-empty-list<Ring> */
    private array $openings;

    /** @var list<array{Vec2, float}> */
    private array $circles;

    /**
     * @param  non-empty-list<array{float, float}>  $lights  from where to where each goes
     * @param  array{float, float}  $sides  how far from the opening's sides they begin, and at what height
     * @param  float  $bar  how wide what stands round each circle is
     */
    public function __construct(
        private OpeningShape $shape,
        private array $lights,
        private array $sides,
        private Tracery $tracery,
        private float $bar,
    ) {
        $this->openings = $this->openings();
        $this->circles = $this->circles();
    }

    public function isPossible(): bool
    {
        return $this->circles !== [] && min(array_map(static fn (Ring $r): float => $r->area(), $this->openings)) > 0.0;
    }

    /** @return list<Ring> lights from the left, then what is open of each circle */
    public function holes(): array
    {
        return [...$this->openings, ...array_map(fn (array $circle): Ring => $this->foiled(...$circle), $this->circles)];
    }

    /** How wide the narrowest of its openings is: a foil, a circle or a light. */
    public function narrowest(): float
    {
        $circles = array_map(fn (array $circle): float => 2.0 * $this->foil($circle[1]), $this->circles);

        return min([...$circles, ...array_map(static fn (array $light): float => $light[1] - $light[0], $this->lights)]);
    }

    /** @return non-empty-list<Ring> lights with their heads, which spring as high as the head over all of them lets them */
    private function openings(): array
    {
        $heads = array_map(fn (array $light): array => $this->head($light), $this->lights);
        $springing = INF;
        foreach ($heads as $points) {
            foreach ($points as $p) {
                $springing = min($springing, $this->shape->headAt($p->x, -$this->sides[0]) - $p->y);
            }
        }

        return array_map(fn (array $light, array $points): Ring => Ring::ofDistinct([
            new Vec2($light[0], $this->sides[1]), new Vec2($light[1], $this->sides[1]),
            ...array_map(static fn (Vec2 $p): Vec2 => new Vec2($p->x, max($p->y + $springing, 0.0)), $points),
        ]), $this->lights, $heads);
    }

    /**
     * @param  array{float, float}  $light
     * @return non-empty-list<Vec2> over a springing line at 0, from the right
     */
    private function head(array $light): array
    {
        $width = $light[1] - $light[0];
        $shape = $this->tracery->heads === 'round' ? HeadShape::Round : HeadShape::Pointed;
        $rise = $shape->rise($width, null) ?? 0.0;
        $own = OpeningShape::of($width, $rise + 1.0, $rise, $shape);

        return array_map(static fn (Vec2 $p): Vec2 => new Vec2($p->x + $light[0], $p->y - 1.0), $own->head($width, 0.0));
    }

    /** @return list<array{Vec2, float}> middles and radii of what is open, the outermost pair first */
    private function circles(): array
    {
        $axis = $this->shape->width / 2.0;
        $circles = [];
        $n = count($this->lights);
        for ($i = 1; 2 * $i < $n; $i++) {
            $x = ($this->lights[$i - 1][1] + $this->lights[$i][0]) / 2.0;
            // Half of what stands between it and the one on the other side is its own.
            foreach ($this->circle($x, $circles, $axis - $x + $this->bar / 2.0) as [$middle, $radius]) {
                array_push($circles, [$middle, $radius], [new Vec2(2.0 * $axis - $x, $middle->y), $radius]);
            }
        }

        return [...$circles, ...$this->circle($axis, $circles, INF)];
    }

    /**
     * The largest one on an upright line.
     *
     * @param  list<array{Vec2, float}>  $others
     * @param  float  $most  no more room than this
     * @return list<array{Vec2, float}> none where it is too small
     */
    private function circle(float $x, array $others, float $most): array
    {
        $low = min(array_map(static fn (Ring $r): float => $r->bounds()->y1, $this->openings)) / 2.0;
        $top = $this->shape->headAt($x, -$this->sides[0]);
        $step = ($top - $low) / self::TRIED;
        $best = [$low, -INF];
        for ($i = 0; $i <= self::TRIED; $i++) {
            $room = min($most, $this->room(new Vec2($x, $low + $i * $step), $others));
            $best = $room > $best[1] ? [$low + $i * $step, $room] : $best;
        }
        for ($i = 0; $i < self::HALVED; $i++) {
            $step /= 2.0;
            foreach ([$best[0] - $step, $best[0] + $step] as $y) {
                $room = min($most, $this->room(new Vec2($x, $y), $others));
                $best = $room > $best[1] ? [$y, $room] : $best;
            }
        }
        $radius = $best[1] - $this->bar;

        return 2.0 * $radius < self::LEAST_MM ? [] : [[new Vec2($x, $best[0]), $radius]];
    }

    /**
     * How near the nearest thing is; less than nothing within a light or over the head.
     *
     * @param  list<array{Vec2, float}>  $others
     */
    private function room(Vec2 $at, array $others): float
    {
        $near = $at->y >= $this->shape->headAt($at->x, -$this->sides[0]) ? -1.0 : INF;
        foreach ([$this->shape->ring(-$this->sides[0]), ...$this->openings] as $i => $ring) {
            if ($i > 0 && $ring->contains($at)) {
                return -1.0;
            }
            $near = min($near, $ring->distanceTo($at));
        }
        foreach ($others as [$middle, $radius]) {
            $near = min($near, $at->distanceTo($middle) - $radius);
        }

        return $near;
    }

    /** The radius of a foil: as large as so many that touch each other can be. */
    private function foil(float $radius): float
    {
        $sine = $this->tracery->foils === 0 ? INF : sin(M_PI / $this->tracery->foils);

        return $sine === INF ? $radius : $radius * $sine / (1.0 + $sine);
    }

    /** Of so many circles that touch each other and the one round them, all that is in one of them or between them. */
    private function foiled(Vec2 $middle, float $radius): Ring
    {
        $foils = $this->tracery->foils;
        $foil = $this->foil($radius);
        $count = self::POINTS * max(4, $foils);
        $points = [$middle->plus(new Vec2(0.0, $radius))];
        for ($i = 1; $i < $count; $i++) {
            // A foil stands upright over the middle; between two of them they come to a point.
            $angle = M_PI / 2.0 + 2.0 * M_PI * $i / $count;
            $off = $foils === 0 ? 0.0 : fmod(2.0 * M_PI * $i / $count + M_PI / $foils, 2.0 * M_PI / $foils) - M_PI / $foils;
            $far = ($radius - $foil) * cos($off) + sqrt(max(0.0, $foil ** 2 - (($radius - $foil) * sin($off)) ** 2));
            $points[] = $middle->plus(new Vec2($far * cos($angle), $far * sin($angle)));
        }

        return new Ring($points);
    }
}
