<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Course;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * All that a vehicle covers on its way along a track: it is driven along it in steps, on its bogies or axles. What would lie before the
 * track's beginning or beyond its end is left out. The plot's own axes.
 * docs/formulas.md#throw
 */
final class DrivenVehicle
{
    /** Between two steps on a curve nothing of it strays from its line by more than this. */
    private const STRAY_MM = 0.002;

    private const LONGEST_STEP_MM = 4.0;

    /** So many shapes are looked at as one to begin with. */
    private const TOGETHER = 48;

    /** @var ?non-empty-list<array{Box2, list<array{Hull, Box2}>}> a box round several steps, and each with its own */
    private ?array $covered = null;

    private function __construct(
        public readonly Vehicle $vehicle,
        private readonly Course $course,
    ) {
    }

    /** @return non-empty-list<self> every vehicle that runs on a track */
    public static function all(Track $track): array
    {
        $course = Course::of($track);

        return array_map(static fn (Vehicle $v): self => new self($v, $course), $track->vehicles);
    }

    /** How near it comes to a shape; negative where it strikes it. */
    public function distanceTo(Hull $shape, float $enough = INF): float
    {
        $least = $enough;
        $box = $shape->bounds();
        foreach ($this->covered() as [$all, $steps]) {
            foreach ($all->gapTo($box) < $least ? $steps : [] as [$step, $place]) {
                $least = $place->gapTo($box) < $least ? min($least, $step->distanceTo($shape, $least)) : $least;
            }
        }

        return $least;
    }

    /** No more than how near it comes to anything in a box, and quickly told. */
    public function gapTo(Box2 $box): float
    {
        return min(array_map(static fn (array $c): float => $c[0]->gapTo($box), $this->covered()));
    }

    /** Whether it comes to stand under or over a shape. */
    public function passes(Hull $shape): bool
    {
        return $this->distanceTo($shape, 0.0) < 0.0;
    }

    /**
     * How far it reaches to the left and to the right of the track's middle at a place along it.
     *
     * @return array{float, float}
     */
    public function reach(float $along): array
    {
        $at = $this->course->at($along);
        $heading = $this->course->heading($along);
        $aside = new Vec2(-sin($heading), cos($heading));
        [$left, $right] = [0.0, 0.0];
        $far = $this->vehicle->length;
        $hair = (new Vec2($aside->y, -$aside->x))->times(Tolerance::MEET);
        $line = Hull::around([$at->minus($aside->times($far)), $at->plus($aside->times($far))]);
        $box = $line->bounds();
        foreach ($this->covered() as [$all, $steps]) {
            foreach ($all->gapTo($box) <= 0.0 ? $steps : [] as [$step]) {
                // What of it lies within a hair of the line across.
                $strip = $step->leftOf($at->plus($hair), $aside)?->leftOf($at->minus($hair), $aside->times(-1.0));
                foreach ($strip->points ?? [] as $p) {
                    $off = $aside->dot($p->minus($at));
                    [$left, $right] = [max($left, $off), max($right, -$off)];
                }
            }
        }

        return [$left, $right];
    }

    /** @return non-empty-list<array{Box2, list<array{Hull, Box2}>}> */
    private function covered(): array
    {
        return $this->covered ??= $this->driven();
    }

    /** @return non-empty-list<array{Box2, list<array{Hull, Box2}>}> */
    private function driven(): array
    {
        $covered = $steps = [];
        $places = $this->places();
        $before = [$places[0], $this->corners($places[0])];
        foreach ($places as $place) {
            $now = $this->corners($place);
            foreach (self::swept($before[1], $now) as $swept) {
                $step = $this->within($swept, $before[0], $place);
                array_push($steps, ...($step === null ? [] : [$step]));
            }
            if (count($steps) >= self::TOGETHER) {
                $covered[] = self::together($steps);
                $steps = [];
            }
            $before = [$place, $now];
        }

        return $steps === [] && $covered !== [] ? $covered : [...$covered, self::together($steps)];
    }

    /**
     * What is covered from one step to the next: run straight, the hull of both. On a curve that would be more than is covered along the
     * sides, so there it is the vehicle as it stands, and what its ends pass over.
     *
     * @param  array{Vec2, Vec2, Vec2, Vec2}  $before  corners: rear right, front right, front left, rear left
     * @param  array{Vec2, Vec2, Vec2, Vec2}  $now
     * @return list<Hull>
     */
    private static function swept(array $before, array $now): array
    {
        $turned = $before[1]->minus($before[0])->cross($now[1]->minus($now[0]));
        if (abs($turned) < Tolerance::UNIT) {
            return [Hull::around([...$before, ...$now])];
        }

        return [
            Hull::around([$before[1], $before[2], $now[1], $now[2]]),
            Hull::around([$before[0], $before[3], $now[0], $now[3]]), Hull::around($now),
        ];
    }

    /**
     * @param  list<Hull>  $steps
     * @return array{Box2, list<array{Hull, Box2}>}
     */
    private static function together(array $steps): array
    {
        $points = [];
        foreach ($steps as $step) {
            array_push($points, ...$step->points);
        }

        return [Box2::around($points), array_map(static fn (Hull $h): array => [$h, $h->bounds()], $steps)];
    }

    /**
     * Where its rear wheels stand from step to step: far apart while it runs straight.
     *
     * @return non-empty-list<float> along the track
     */
    private function places(): array
    {
        $v = $this->vehicle;
        $over = ($v->length - $v->centres) / 2.0 + $v->bogie / 2.0;
        [$first, $last] = [-$v->length - $v->bogie, $this->course->length + $over];
        $step = min(self::LONGEST_STEP_MM, sqrt(8.0 * self::STRAY_MM * $this->course->leastRadius));
        $straights = [];
        foreach ($this->course->straights() as [$from, $to]) {
            [$from, $to] = [max($from, $first), min($last, $to - $v->centres - $v->bogie)];
            if ($to > $from + $step) {
                $straights[] = [$from, $to];
            }
        }
        $places = [];
        $at = $first;
        foreach ([...$straights, [$last, $last]] as [$from, $to]) {
            for (; $at < $from; $at += $step) {
                $places[] = $at;
            }
            array_push($places, $from, $to);
            $at = $to + $step;
        }

        return $places;
    }

    /**
     * @return array{Vec2, Vec2, Vec2, Vec2} its corners where its rearmost wheels stand at a place: rear right, front right, front left,
     * rear left
     */
    private function corners(float $rear): array
    {
        $v = $this->vehicle;
        $back = $this->pivot($rear);
        // The bogie before it is so far on that the pivots are apart by their distance.
        $next = $rear + $v->centres;
        for ($i = 0; $i < Course::MOST_STEPS; $i++) {
            $missing = $v->centres - $this->pivot($next)->distanceTo($back);
            $next += $missing;
            if (abs($missing) < Tolerance::ROUNDING) {
                break;
            }
        }
        $front = $this->pivot($next);
        $along = $front->minus($back);
        $along = $along->times(1.0 / $along->length());
        $aside = new Vec2(-$along->y, $along->x);
        $centre = $back->plus($front)->times(0.5);
        $along = $along->times($v->length / 2.0);
        $aside = $aside->times($v->width / 2.0);

        return [
            $centre->minus($along)->minus($aside), $centre->plus($along)->minus($aside), $centre->plus($along)->plus($aside),
            $centre->minus($along)->plus($aside),
        ];
    }

    /** The middle of a bogie whose rear wheels stand at a place. */
    private function pivot(float $rear): Vec2
    {
        return $this->course->at($rear)->plus($this->course->at($this->course->chord($rear, $this->vehicle->bogie)))->times(0.5);
    }

    /** What of a hull, covered from one place of the rear wheels to another, lies beside the track and not beyond its ends. */
    private function within(Hull $hull, float $from, float $to): ?Hull
    {
        $reach = 2.0 * ($this->vehicle->length + $this->vehicle->bogie);
        foreach ([
            [0.0, -M_PI_2, $from < $reach],
            [$this->course->length, M_PI_2, $to > $this->course->length - $reach],
        ] as [$end, $turn, $isNear]) {
            $heading = $this->course->heading($end) + $turn;
            $hull = $isNear ? $hull->leftOf($this->course->at($end), new Vec2(cos($heading), sin($heading))) : $hull;
            if ($hull === null) {
                return null;
            }
        }

        return $hull;
    }
}
