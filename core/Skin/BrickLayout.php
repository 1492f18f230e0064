<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\BrickArt;

/** Lays the bricks of a paper, course by course on one datum, each run from its quoins or jambs. docs/formulas.md#bonds */
final readonly class BrickLayout
{
    public function __construct(private BrickArt $art)
    {
    }

    /**
     * The bricks, without their joints, from $bottom to $top.
     *
     * @return list<Box2>
     */
    public function bricks(float $bottom, float $top): array
    {
        return array_merge(...array_map($this->course(...), $this->courses($bottom, $top)));
    }

    /** @return list<int> the courses that show between two heights */
    private function courses(float $bottom, float $top): array
    {
        $first = (int) floor(($bottom - $this->art->datum) / $this->art->course + Tolerance::ROUNDING);
        $last = (int) ceil(($top - $this->art->datum) / $this->art->course - Tolerance::ROUNDING);

        return $last > $first ? range($first, $last - 1) : [];
    }

    /** @return list<Box2> the bricks of one course; course 0 lies on the datum */
    public function course(int $course): array
    {
        $bond = Bond::course($this->art->bond, ($course % 2 !== 0) !== $this->art->swapped);
        $low = $this->art->datum + $course * $this->art->course;
        $high = $low + $this->art->course - $this->art->joint;
        $bricks = [];
        foreach ($this->runs($low, $high) as $run) {
            [$x0, $x1] = [$run->from, $run->to];
            $x = $x0;
            foreach ($bond->fill(($x1 - $x0) / $this->art->brick) as $unit) {
                $end = $x + $unit * $this->art->brick;
                // A brick's own ends stand half a joint inside its place, but for those at the end of the run.
                $from = $x <= $x0 + Tolerance::FIGURE ? $x0 : $x + $this->art->joint / 2.0;
                $to = $end >= $x1 - Tolerance::FIGURE ? $x1 : $end - $this->art->joint / 2.0;
                if ($to - $from > $this->art->joint / 4.0) {
                    $bricks[] = new Box2($from, $low, $to, $high);
                }
                $x = $end;
            }
        }

        return $bricks;
    }

    /**
     * How courses go on round a corner or into a reveal: with the bond's other course, since a stretcher shows its end there.
     *
     * @param  float  $from  where it turns
     * @param  float  $far  how far it goes on from there; negative to the left
     * @return list<Box2>
     */
    public function turned(float $from, float $far, Interval $heights): array
    {
        $bricks = [];
        [$way, $length] = [$far < 0.0 ? -1.0 : 1.0, abs($far)];
        foreach ($this->courses($heights->from, $heights->to) as $course) {
            $bond = Bond::course($this->art->bond, ($course % 2 !== 0) === $this->art->swapped);
            $low = $this->art->datum + $course * $this->art->course;
            for ($i = 0, $at = 0.0; $at < $length; $i++) {
                $end = min($length, $at + $bond->unit($i) * $this->art->brick);
                $x = [
                    $from + $way * ($at + ($i === 0 ? 0.0 : $this->art->joint / 2.0)),
                    $from + $way * ($end - ($end === $length ? 0.0 : $this->art->joint / 2.0)),
                ];
                $bricks[] = new Box2(min($x), $low, max($x), $low + $this->art->course - $this->art->joint);
                $at = $end;
            }
        }

        return $bricks;
    }

    /** @return list<Box2> where what is printed over the bricks ends a course: as far as it covers it from its bed to its top */
    private function ended(float $low, float $high): array
    {
        $ended = [];
        foreach ($this->art->dressings as $shape) {
            // Just inside its bed and its top: a side that lies on either counts. Under a vault the wall goes on.
            foreach (self::across($shape->ring, $low + Tolerance::FIGURE) as $below) {
                foreach (self::across($shape->ring, $high - Tolerance::FIGURE) as $above) {
                    if ($below->overlaps($above)) {
                        $ended[] = new Box2(max($below->from, $above->from), $low, min($below->to, $above->to), $high);
                    }
                }
            }
        }

        return $ended;
    }

    /** @return list<Interval> from where to where a shape reaches at a height */
    private static function across(Ring $ring, float $y): array
    {
        $at = [];
        $from = $ring->points[$ring->count() - 1];
        foreach ($ring->points as $to) {
            if (($from->y > $y) !== ($to->y > $y)) {
                $at[] = $from->x + ($y - $from->y) / ($to->y - $from->y) * ($to->x - $from->x);
            }
            $from = $to;
        }
        sort($at);

        return array_map(static fn (array $pair): Interval => new Interval(...$pair), array_chunk($at, 2));
    }

    /**
     * The course's runs between quoins and jambs, from left to right.
     *
     * @return list<Interval>
     */
    private function runs(float $low, float $high): array
    {
        $middle = ($low + $high) / 2.0;
        $jambs = [
            ...array_filter($this->art->jambs, static fn (Box2 $jamb): bool => $jamb->y0 < $middle && $jamb->y1 > $middle),
            ...$this->ended($low, $high),
        ];
        usort($jambs, static fn (Box2 $a, Box2 $b): int => $a->x0 <=> $b->x0);
        $runs = [];
        $x = $this->art->quoins[0];
        foreach ($jambs as $jamb) {
            if ($jamb->x0 > $x) {
                $runs[] = new Interval($x, $jamb->x0);
            }
            $x = max($x, $jamb->x1);
        }
        if ($this->art->quoins[1] > $x) {
            $runs[] = new Interval($x, $this->art->quoins[1]);
        }

        return $runs;
    }
}
