<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Bricks;

/** Lays the bricks of a paper, course by course on one datum, each run from its quoins or jambs. docs/formulas.md#bonds */
final readonly class BrickLayout implements Layout
{
    private Toned $toned;

    private ?ThroughBond $through;

    public function __construct(private FaceArt $art, private Bricks $bricks)
    {
        $this->toned = new Toned($bricks->palette());
        $this->through = $bricks->isThrough ? ThroughBond::of($art, $bricks->brick) : null;
    }

    public function units(Box2 $box): array
    {
        return array_map(static fn (Box2 $b): array => $b->corners(), $this->between($box->y0, $box->y1));
    }

    public function onEdge(): float
    {
        return $this->bricks->course;
    }

    public function tones(): array
    {
        return $this->toned->tones;
    }

    public function toneOf(array $unit): int
    {
        // The first corner is the lowest on the left.
        $along = ($unit[0]->x - $this->art->quoins[0]) / $this->bricks->brick;
        [$quarter, $course] = [(int) floor($along * 4.0 + 0.5), (int) round(($unit[0]->y - $this->art->datum) / $this->bricks->course)];
        $accents = $this->bricks->palette()->accents;
        $box = $accents === null ? null : Box2::around($unit);
        // Bricks on edge over openings and under them are as the rest.
        if ($box !== null && abs($box->height() - $this->bricks->course + $this->bricks->joint()) < Tolerance::MEET) {
            $long = $box->width() / $this->bricks->brick;
            $which = $accents->of($course, (int) round($along * 2.0), (int) round($long * 2.0), Toned::number($quarter, $course) >> 3);
        }

        return isset($which) ? $this->toned->accent($which, $quarter, $course) : $this->toned->at($quarter, $course);
    }

    /** @return list<Box2> the bricks, without their joints, from $bottom to $top */
    public function between(float $bottom, float $top): array
    {
        return array_merge(...array_map($this->course(...), $this->courses($bottom, $top)));
    }

    /** @return list<int> the courses that show between two heights */
    private function courses(float $bottom, float $top): array
    {
        $first = (int) floor(($bottom - $this->art->datum) / $this->bricks->course + Tolerance::ROUNDING);
        $last = (int) ceil(($top - $this->art->datum) / $this->bricks->course - Tolerance::ROUNDING);

        return $last > $first ? range($first, $last - 1) : [];
    }

    /** @return list<Box2> the bricks of one course; course 0 lies on the datum */
    public function course(int $course): array
    {
        $low = $this->art->datum + $course * $this->bricks->course;
        $high = $low + $this->bricks->course - $this->bricks->joint();
        $bricks = [];
        foreach (Runs::of($this->art, $low, $high) as $run) {
            [$x0, $x1] = [$run->from, $run->to];
            foreach ($this->laid($course, $run) as $unit) {
                [$x, $end] = [$unit->from, $unit->to];
                // A brick's own ends stand half a joint inside its place, but for those at the end of the run.
                $from = $x <= $x0 + Tolerance::FIGURE ? $x0 : $x + $this->bricks->joint() / 2.0;
                $to = $end >= $x1 - Tolerance::FIGURE ? $x1 : $end - $this->bricks->joint() / 2.0;
                if ($to - $from > $this->bricks->joint() / 4.0) {
                    $bricks[] = new Box2($from, $low, $to, $high);
                }
            }
        }

        return $bricks;
    }

    /** @return list<Interval> the bricks of a run, each with its joint */
    private function laid(int $course, Interval $run): array
    {
        $bond = Bond::course($this->bricks->bond, $course, $this->art->swapped);
        if ($this->through !== null) {
            return $this->through->bricks($bond, Bond::course($this->bricks->bond, $course + 1, $this->art->swapped), $run);
        }
        [$bricks, $x] = [[], $run->from];
        foreach ($bond->fill($run->length() / $this->bricks->brick) as $unit) {
            $bricks[] = new Interval($x, $x + $unit * $this->bricks->brick);
            $x += $unit * $this->bricks->brick;
        }

        return $bricks;
    }

    /** With the bond's other course, since a stretcher shows its end there. */
    public function turned(float $from, float $far, Interval $heights): array
    {
        $bricks = [];
        [$way, $length] = [$far < 0.0 ? -1.0 : 1.0, abs($far)];
        foreach ($this->courses($heights->from, $heights->to) as $course) {
            $bond = Bond::course($this->bricks->bond, $course, ! $this->art->swapped);
            $low = $this->art->datum + $course * $this->bricks->course;
            for ($i = 0, $at = 0.0; $at < $length; $i++) {
                $end = min($length, $at + $bond->unit($i) * $this->bricks->brick);
                $x = [
                    $from + $way * ($at + ($i === 0 ? 0.0 : $this->bricks->joint() / 2.0)),
                    $from + $way * ($end - ($end === $length ? 0.0 : $this->bricks->joint() / 2.0)),
                ];
                $bricks[] = new Box2(min($x), $low, max($x), $low + $this->bricks->course - $this->bricks->joint());
                $at = $end;
            }
        }

        return $bricks;
    }
}
