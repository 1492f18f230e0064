<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Building\Storey;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/**
 * A block's height in stretches: openings, which stay true, and what is blank in every wall, which may lose courses from the top down. Real
 * millimetres above the datum.
 */
final readonly class Heights
{
    /** So many courses stay above and below every opening. */
    private const LEAST_COURSES = 3;

    public function __construct(
        private Building $building,
        private Block $block,
    ) {
    }

    /** @return array{?AxisMap, float} shorter by so much, and the most that could be; null where that is less */
    public function without(float $by): array
    {
        $taken = [];
        foreach ($this->block->walls as $wall) {
            foreach ($wall->openings as $opening) {
                $taken[] = Interval::of($this->block->base->mm + $opening->sill->mm, $opening->style->h->mm);
            }
        }
        $blank = (new Interval($this->block->base->mm, $this->block->eaves->mm))->without($taken, Tolerance::MEET);
        $course = $this->building->gauge->course_mm;
        $left = $by;
        $room = 0.0;
        $shrunk = [];
        foreach (array_reverse($blank) as $stretch) {
            // Whole courses, so that beds stay beds.
            $most = max(0.0, floor($stretch->length() / $course + Tolerance::FIGURE - self::LEAST_COURSES) * $course);
            $room += $most;
            $share = min($left, $most);
            $left -= $share;
            if ($share > 0.0) {
                array_unshift($shrunk, new Shrink($stretch, $share));
            }
        }

        return [$left > Tolerance::MEET ? null : new AxisMap($shrunk), $room];
    }

    /** So much higher, or lower where it is less than nothing, above all openings; null where there is not so much. */
    public function atTop(float $by): ?AxisMap
    {
        $last = $this->block->base->mm;
        foreach ($this->block->walls as $wall) {
            foreach ($wall->openings as $opening) {
                $last = max($last, $this->block->base->mm + $opening->sill->mm + $opening->style->h->mm);
            }
        }
        $top = new Interval($last, $this->block->eaves->mm);

        return $last > $top->to - Tolerance::MEET || $top->length() + $by < Tolerance::MEET ? null : new AxisMap([new Shrink($top, -$by)]);
    }

    /** Without a storey and all that is in it; null where something reaches out of it, or a door stands in it. */
    public function withoutStorey(Storey $storey): ?AxisMap
    {
        $gone = $this->extentOf($storey);
        foreach ($this->block->walls as $wall) {
            foreach ($wall->openings as $opening) {
                $place = Interval::of($this->block->base->mm + $opening->sill->mm, $opening->style->h->mm);
                $isIn = $place->isWithin($gone, Tolerance::MEET);
                if (($isIn && $opening->style->kind === OpeningKind::Door) || (! $isIn && $place->overlaps($gone, Tolerance::MEET))) {
                    return null;
                }
            }
        }
        $isWhole = $gone->from < $this->block->base->mm + Tolerance::MEET && $gone->to > $this->block->eaves->mm - Tolerance::MEET;

        return $isWhole || $gone->length() < Tolerance::MEET ? null : new AxisMap([new Shrink($gone, $gone->length())]);
    }

    /** From its floor to the next one, or to the eaves. */
    public function extentOf(Storey $storey): Interval
    {
        $next = $this->block->eaves->mm;
        foreach ($this->block->storeys as $other) {
            $next = $other->floor->mm > $storey->floor->mm + Tolerance::MEET ? min($next, $other->floor->mm) : $next;
        }
        $from = max($this->block->base->mm, $storey->floor->mm);

        return new Interval($from, max($from, $next));
    }
}
