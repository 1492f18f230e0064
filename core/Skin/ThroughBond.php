<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;

/**
 * Bricks that are set out once for a whole face, as a bricklayer does at its foot: upright joints stay in line from course to course past
 * all openings, and what does not come out is cut under one of them. Places along the face are told in bricks, as they would lie if all
 * were of one length; each stretch between two jambs is of so many halves. docs/formulas.md#bonds
 */
final readonly class ThroughBond
{
    /** A stretch has joints all alike opened or closed by no more than such a part; else one of its bricks is cut. */
    private const EVENED = 0.1;

    /** What is shorter is a closer. */
    private const CLOSER = 0.3;

    /** What is shorter than that, and longer than a closer, is a header. */
    private const HEADER = 0.6;

    /** No bat is shorter than this. */
    private const LEAST = 0.2;

    /**
     * @param  list<array{float, float}>  $places  where along the face, and how many bricks from its left end, in order
     * @param  float  $meet  how many bricks from there what is laid from either end meets
     * @param  float  $brick  from brick to brick, as they are
     */
    private function __construct(private array $places, private float $meet, private float $brick)
    {
    }

    /** @param  float  $brick  from brick to brick */
    public static function of(FaceArt $art, float $brick): self
    {
        [$left, $right] = $art->quoins;
        $ends = [$left, $right];
        foreach ($art->jambs as $jamb) {
            array_push($ends, max($left, $jamb->x0), min($right, $jamb->x1));
        }
        sort($ends);
        $places = [[$left, 0.0]];
        $meet = null;
        foreach (array_slice($ends, 1) as $end) {
            [$from, $at] = $places[count($places) - 1];
            // Jambs that nearly stand over each other are one, but for the end of the face.
            $length = ($end - $from) / $brick;
            if ($length < self::LEAST && $end < $right) {
                continue;
            }
            $between = ($from + $end) / 2.0;
            $isOpen = array_filter($art->jambs, static fn (Box2 $j): bool => $j->x0 < $between && $j->x1 > $between) !== [];
            $places = [...$places, ...self::stretch($from, $at, $length, $brick)];
            $middle = ($at + $places[count($places) - 1][1]) / 2.0;
            $meet = $isOpen && ($meet === null || abs($from + $end - $left - $right) < $meet[0])
                ? [abs($from + $end - $left - $right), $middle]
                : $meet;
        }

        return new self($places, $meet[1] ?? $places[count($places) - 1][1] / 2.0, $brick);
    }

    /** @return list<array{float, float}> where it ends, and on the way where its bricks change their length */
    private static function stretch(float $from, float $at, float $length, float $brick): array
    {
        $even = max(0.5, round(2.0 * $length) / 2.0);
        $end = [$from + $length * $brick, $at + $even];
        if (abs($length / $even - 1.0) <= self::EVENED || $even <= 1.0) {
            return [$end];
        }
        // The brick in its middle is cut.
        $before = floor($even) / 2.0;

        return [[$from + $before * $brick, $at + $before], [$end[0] - ($even - 1.0 - $before) * $brick, $at + $before + 1.0], $end];
    }

    /**
     * @param  Bond  $beside  of the course that lies on it
     * @return list<Interval> the bricks of a course along a run, from left to right
     */
    public function bricks(Bond $bond, Bond $beside, Interval $run): array
    {
        [$bricks, $next] = [$this->cut($bond, $run), $this->cut($beside, $run)];
        $left = $this->ended(self::turned(array_slice($bricks, 0, 2)), self::turned(array_slice($next, 0, 2)), -$run->from);
        $bricks = [...self::turned($left), ...array_slice($bricks, 2)];
        $right = $this->ended(array_slice($bricks, -2), array_slice($next, -2), $run->to);

        return [...array_slice($bricks, 0, -2), ...$right];
    }

    /** @return list<Interval> what of a course lies in a run */
    private function cut(Bond $bond, Interval $run): array
    {
        $bricks = [];
        $at = 0.0;
        foreach ($bond->through($this->places[count($this->places) - 1][1], $this->meet) as $unit) {
            $shared = (new Interval($this->place($at), $this->place($at + $unit)))->shared($run);
            array_push($bricks, ...$shared === null || $shared->length() < Tolerance::FIGURE ? [] : [$shared]);
            $at += $unit;
        }

        return $bricks;
    }

    /**
     * The last two bricks before a jamb. A closer is never the last: with a header it is a three-quarter bat; of a stretcher before it
     * a header is made, or it comes before that, whichever has no joint over the other course's. Two headers are a stretcher.
     *
     * @param  list<Interval>  $bricks
     * @param  list<Interval>  $beside  those of the other course
     * @param  float  $end  where the run ends; a quoin is as the bond has it
     * @return list<Interval>
     */
    private function ended(array $bricks, array $beside, float $end): array
    {
        if (count($bricks) < 2 || abs(abs($end) - $this->places[0][0]) < Tolerance::MEET
            || abs(abs($end) - $this->places[count($this->places) - 1][0]) < Tolerance::MEET) {
            return $bricks;
        }
        [[$before, $last], $its] = [$bricks, $beside[count($beside) - 1] ?? $bricks[1]];
        [$b, $a] = [$before->length() / $this->brick, $last->length() / $this->brick];
        $isShort = count($beside) < 2 || $its->length() + $beside[0]->length() > (2.0 * self::HEADER) * $this->brick;
        $at = match (true) {
            $a < self::LEAST => ($before->from + $last->to) / 2.0,
            $a <= self::HEADER && $b <= self::HEADER => null,
            $a > self::CLOSER => $last->from,
            $isShort && $its->length() <= self::HEADER * $this->brick => $before->from + $last->length(),
            default => $before->to - $last->length(),
        };

        return $at === null
            ? [new Interval($before->from, $last->to)]
            : [new Interval($before->from, $at), new Interval($at, $last->to)];
    }

    /**
     * @param  list<Interval>  $bricks
     * @return list<Interval> the other way round
     */
    private static function turned(array $bricks): array
    {
        return array_reverse(array_map(static fn (Interval $i): Interval => new Interval(-$i->to, -$i->from), $bricks));
    }

    private function place(float $bricks): float
    {
        $last = count($this->places) - 1;
        foreach ($this->places as $i => [$to, $at]) {
            if ($i > 0 && ($bricks <= $at + Tolerance::ROUNDING || $i === $last)) {
                [$from, $before] = $this->places[$i - 1];

                return $from + ($bricks - $before) * ($to - $from) / ($at - $before);
            }
        }

        return $this->places[0][0];
    }
}
