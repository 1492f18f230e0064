<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Course;
use Chartula\Core\Building\Site\Obstacle;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;

/**
 * What the place asks of the building: to stand as askew as what runs past it, and to come off what needs hands. docs/formulas.md#advice
 */
final readonly class PlaceChecks
{
    /** Under this nobody sees that a wall runs askew. */
    private const SKEW_DEG = 5.0;

    /** Straight. */
    private const SQUARE_DEG = 0.25;

    /** What runs past farther off than this asks nothing, model millimetres. */
    private const FAR_MM = 60.0;

    /** What moves, lights or wears out. */
    private const REACHED = ['motor', 'lamp', 'screw', 'rod', 'wire'];

    /** @param  list<Clearance>  $clearances */
    public function __construct(
        private Plot $plot,
        private Finished $finished,
        private array $clearances,
        private Kit $kit,
    ) {
    }

    /** @return list<Check> */
    public function all(): array
    {
        return [...$this->askew(), ...$this->reached()];
    }

    /** @return list<Check> how the walls run to the nearest road or track beside them */
    private function askew(): array
    {
        $nearest = null;
        foreach ($this->lines() as [$name, $from, $to]) {
            $way = Hull::around([$from, $to]);
            foreach ($this->kit->form->walls() as $wall) {
                if (! $wall->isBuilt()) {
                    continue;
                }
                [$a, $b] = [$this->end($wall, 0.0), $this->end($wall, $wall->length->mm)];
                $distance = Hull::around([$a, $b])->distanceTo($way);
                $angle = fmod(abs(rad2deg(atan2($b->y - $a->y, $b->x - $a->x) - atan2($to->y - $from->y, $to->x - $from->x))), 90.0);
                if ($distance < min(self::FAR_MM, $nearest[0] ?? INF) - Tolerance::MEET) {
                    $nearest = [$distance, min($angle, 90.0 - $angle), $name];
                }
            }
        }
        if ($nearest === null || $nearest[1] < self::SQUARE_DEG) {
            return [];
        }
        [, $angle, $name] = $nearest;

        return [new Check('plot.skew', Check::NOTE, $name, $angle <= self::SKEW_DEG
            ? sprintf('Its walls run %.1f° askew to %s. Up to 5° nobody sees that: square is simpler.', $angle, $name)
            : sprintf('Its walls run %.1f° askew to %s. Over 5° that is seen: model the skew, with a wall that runs along it, rather than move the road or the track.', $angle, $name))];
    }

    /** @return list<array{string, Vec2, Vec2}> roads and straights of tracks, by name */
    private function lines(): array
    {
        $lines = [];
        foreach ($this->plot->roads as $road) {
            foreach (array_slice($road->line, 1) as $i => $to) {
                $lines[] = [$road->name, $road->line[$i], $to];
            }
        }
        foreach ($this->plot->tracks as $track) {
            $course = Course::of($track);
            $along = 0.0;
            foreach ($track->pieces as $piece) {
                if ($piece->turns === 0) {
                    $lines[] = [$track->name, $course->at($along), $course->at($along + $piece->length)];
                }
                $along += $piece->length;
            }
        }

        return $lines;
    }

    private function end(WallForm $wall, float $along): Vec2
    {
        $at = $wall->frame->point($along, 0.0);

        return $this->plot->inPlot(new Vec2($at->x, $at->y));
    }

    /** @return list<Check> what is under it, and whether anybody gets at that */
    private function reached(): array
    {
        $caught = array_filter($this->clearances, static fn (Clearance $c): bool => $c->kind === 'lift' && ! $c->isFree());
        $under = array_filter(
            $this->plot->obstacles,
            fn (Obstacle $o): bool => in_array($o->kind, self::REACHED, true) && $this->covers($o),
        );

        return array_values(array_map(static fn (Obstacle $o): Check => $caught === []
            ? new Check('plot.reach', Check::NOTE, $o->name, "The $o->kind $o->name is under the building. It is reached by taking that off: do not fix it down.")
            : new Check('plot.reach', Check::WARN, $o->name, "The $o->kind $o->name is under the building, and that does not come off: nobody gets at it."), $under));
    }

    private function covers(Obstacle $obstacle): bool
    {
        foreach (Bodies::obstacle($obstacle) as $body) {
            foreach ($this->finished->pieces as $piece) {
                $isNear = $piece->whole->high > $body->low && $piece->box->gapTo($body->shadow->bounds()) < 0.0;
                if ($isNear && $piece->whole->shadow->distanceTo($body->shadow) < 0.0) {
                    return true;
                }
            }
        }

        return false;
    }
}
