<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\Pierced;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Measure\Tolerance;

/** Whether there is room on and over the roof for what a chimney is said to be. docs/formulas.md#chimneys */
final readonly class StackRoom
{
    /** A strip of card beside a hole that is thinner than this cannot be cut. */
    private const LEAST_WEB_MM = 1.0;

    /** A block that shares less than this with it is beside it, mm². */
    private const LEAST_MM2 = 0.01;

    /** A panel that is narrower or lower than this cannot be cut out. */
    private const LEAST_PANEL_MM = 0.6;

    /** Card of other roofs, cut square, leans out past its underside by less than this, mm. */
    private const BESIDE_MM = 1.5;

    /** Roofs beside it are looked at so far apart, mm. */
    private const STEP_MM = 0.5;

    public function __construct(private Stack $stack)
    {
    }

    /** What there is no room for, by the code of its fault, wherever it stands. */
    public function objection(): ?string
    {
        $flues = new Flues($this->stack);

        return match (true) {
            ! $flues->fit() => 'chimney.flues',
            $flues->open() > 0 && $this->stack->mm('pot_w') > $flues->wide + Tolerance::MEET => 'chimney.pot-too-wide',
            ! $this->forPanels() => 'chimney.panels',
            ! $this->forCourses() => 'chimney.courses',
            $this->leavesSliver() => 'chimney.sliver',
            default => null,
        };
    }

    /** Whether another block's walls, which go up past the roof there, stand in its plan. */
    public function isInABlock(): bool
    {
        $foot = min([INF, ...array_map(static fn (?FootLine $l): float => $l?->lowest() ?? INF, $this->stack->tops)]);
        $plan = new Region($this->stack->ring($this->stack->paper()));
        foreach ($this->stack->roof->others as $block) {
            $isUp = $block->eaves > $foot + Tolerance::PLANE && $block->base < $this->stack->top;
            if ($isUp && Clip::sharedArea($plan, new Region($block->ring)) > self::LEAST_MM2) {
                return true;
            }
        }

        return false;
    }

    /** Whether panels can be cut, and more than nothing of each is to be seen. */
    private function forPanels(): bool
    {
        foreach ($this->stack->courses() as $course) {
            foreach ([0, 1] as $side) {
                foreach ($course->windows($this->stack, $side) as $window) {
                    if (min($window->bounds()->width(), $window->bounds()->height()) < self::LEAST_PANEL_MM) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /** Whether none of them begins before the one under it ends, or before the stack is out of the roof all round. */
    private function forCourses(): bool
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
    private function leavesSliver(): bool
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
                    // Against a wall its hole goes on to that.
                    $isAgainst = Side::isOfKind($line->label, SideKind::Wall, SideKind::On) && $room->distanceTo($side) <= 0.0;
                    if (! $isAgainst && $room->distanceTo($side) < self::LEAST_WEB_MM && $stands->distanceTo($side) > Tolerance::CUT) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
