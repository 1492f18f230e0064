<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\Pierced;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Measure\Tolerance;

/** Whether there is room on and over the roof for what a chimney is said to be. docs/formulas.md#chimneys */
final readonly class StackRoom
{
    /** A strip of card beside a hole that is thinner than this cannot be cut. */
    private const LEAST_WEB_MM = 1.0;

    /** Card of other roofs, cut square, leans out past its underside by less than this, mm. */
    private const BESIDE_MM = 1.5;

    /** Roofs beside it are looked at so far apart, mm. */
    private const STEP_MM = 0.5;

    public function __construct(private Stack $stack)
    {
    }

    /** Whether none of them begins before the one under it ends, or before the stack is out of the roof all round. */
    public function forCourses(): bool
    {
        $least = max([-INF, ...array_map(static fn (?FootLine $l): float => $l?->highest() ?? -INF, $this->stack->tops)]);
        foreach ($this->stack->courses() as $course) {
            $isOff = $course->foot !== null && $course->foot < max(
                $least - Tolerance::MEET,
                $this->stack->roof->highestAlong($this->stack->ring($course->out() + self::BESIDE_MM), self::STEP_MM),
            );
            foreach ($course->isOnRoof() ? [0, 1, 2, 3] : [] as $side) {
                $ring = $this->stack->ring($course->out());
                $line = FootLine::along($this->stack->roof, $ring->point($side), $ring->point($side + 1), true);
                $isOff = $isOff || $line === null || $line->hasValley || $line->highest() > $course->top - Tolerance::MEET;
            }
            if ($isOff || $course->top > $this->stack->head() + Tolerance::MEET) {
                return false;
            }
            $least = $course->top;
        }

        return true;
    }

    /** Whether its hole leaves a strip of a slope beside it that is too thin to cut: it passes a side of that without standing over it. */
    public function leavesSliver(): bool
    {
        $hole = $this->stack->hole();
        $room = $hole === null ? null : Hull::around(Pierced::hole($hole)->points);
        $stands = Hull::around(($hole ?? $this->stack->ring())->points);
        if ($room === null) {
            return false;
        }
        foreach ($this->stack->roof->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    $side = Hull::around([$line->from, $line->to]);
                    if ($room->distanceTo($side) < self::LEAST_WEB_MM && $stands->distanceTo($side) > Tolerance::CUT) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
