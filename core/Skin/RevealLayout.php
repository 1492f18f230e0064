<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Form\Claims\Units;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\TurnedOpening;

/**
 * The covering on what a paper turns into one opening: courses run on into the jambs, sill and head are of bricks on edge, or of one piece.
 * docs/formulas.md#bonds
 */
final readonly class RevealLayout
{
    private float $depth;

    /** @param  float  $beyond  how much deeper it is drawn than the paper turns in */
    public function __construct(
        private Layout $layout,
        private float $joint,
        private TurnedOpening $reveal,
        float $beyond = 0.0,
    ) {
        $box = $reveal->ring->bounds();
        $this->depth = min($reveal->flap + $beyond, 0.49 * min($box->width(), $box->height()));
    }

    /**
     * The bricks of the head, or of the foot where there is one, or the units of whatever finishes it.
     *
     * @param  'foot'|'head'  $edge
     * @return list<Hull>
     */
    public function onEdge(string $edge): array
    {
        $points = $this->reveal->ring->points;
        $joints = ($this->reveal->finishes[$edge] ?? null)?->joints;

        return match (true) {
            $this->reveal->isRound => $edge === 'head' ? $this->row([...$points, $points[0]], $joints) : [],
            $edge === 'head' => $this->row(array_slice($points, 2), $joints),
            $this->reveal->reachesFoot => [],
            default => $this->row([$points[0], $points[1]], $joints),
        };
    }

    /** @return array{Hull, Hull} where the flaps of the left and of the right jamb lie */
    public function jambs(): array
    {
        $points = $this->reveal->ring->points;

        return [$this->jamb($points[0], $points[count($points) - 1], 1.0), $this->jamb($points[1], $points[2], -1.0)];
    }

    /**
     * The bricks of a jamb, or the units of whatever finishes it.
     *
     * @param  'left'|'right'  $edge
     * @return list<Hull>
     */
    public function courses(string $edge): array
    {
        $bricks = [];
        $flap = $this->jambs()[$edge === 'left' ? 0 : 1];
        foreach ($this->onJamb($edge, $flap) as $brick) {
            $hull = Hull::rectangle($brick->x0, $brick->y0, $brick->x1, $brick->y1);
            $from = $flap->points[count($flap->points) - 1];
            foreach ($flap->points as $to) {
                $hull = $hull?->leftOf($from, $to->minus($from));
                $from = $to;
            }
            $box = $hull?->bounds();
            array_push($bricks, ...$hull !== null && min($box?->width(), $box?->height()) > Tolerance::EDGE ? [$hull] : []);
        }

        return $bricks;
    }

    /**
     * @param  'left'|'right'  $edge
     * @return list<Box2> before they are cut to the flap
     */
    private function onJamb(string $edge, Hull $flap): array
    {
        $points = $this->reveal->ring->points;
        [$foot, $top] = $edge === 'left' ? [$points[0], $points[count($points) - 1]] : [$points[1], $points[2]];
        $far = $edge === 'left' ? $this->depth : -$this->depth;
        $finish = $this->reveal->finishes[$edge] ?? null;
        if ($finish === null) {
            $box = $flap->bounds();

            return $this->layout->turned($foot->x, $far, new Interval($box->y0, $box->y1));
        }
        $ends = [0.0, ...$finish->joints, 1.0];
        $high = $top->y - $foot->y;
        $unit = fn (int $k): Box2 => new Box2(
            min($foot->x, $foot->x + $far),
            $foot->y + $ends[$k] * $high + ($k === 0 ? 0.0 : $this->joint / 2.0),
            max($foot->x, $foot->x + $far),
            $foot->y + $ends[$k + 1] * $high - ($k === count($ends) - 2 ? 0.0 : $this->joint / 2.0),
        );

        return array_map($unit, range(0, count($ends) - 2));
    }

    private function jamb(Vec2 $foot, Vec2 $top, float $in): Hull
    {
        $rise = $this->reveal->reachesFoot ? 0.0 : $this->depth;
        $drop = $this->reveal->flap > 0.0 ? $this->reveal->drop * $this->depth / $this->reveal->flap : $this->depth;

        return Hull::around([
            $foot, $top, new Vec2($top->x + $in * $this->depth, $top->y - $drop), new Vec2($foot->x + $in * $this->depth, $foot->y + $rise),
        ]);
    }

    /**
     * Bricks on edge along a line, as wide as a course is high, square to it on its left.
     *
     * @param  list<Vec2>  $line
     * @param  ?list<float>  $joints  where along it they are, from 0 to 1; as many as go where nothing is said
     * @return list<Hull>
     */
    private function row(array $line, ?array $joints): array
    {
        $length = 0.0;
        $along = [];
        foreach (array_slice($line, 1) as $i => $to) {
            $along[] = [$length, $line[$i], $to];
            $length += $to->distanceTo($line[$i]);
        }
        $ends = [0.0, ...$joints ?? $this->even($length), 1.0];
        $last = count($ends) - 1;
        $bricks = [];
        for ($k = 0; $k < $last; $k++) {
            $corners = [];
            foreach ([$k, $k + 1] as $end) {
                $at = $length * $ends[$end] + ($end === $k ? 1.0 : -1.0) * ($end % $last === 0 ? 0.0 : $this->joint / 2.0);
                [$place, $in] = self::at($along, $at);
                array_push($corners, $place, $place->plus($in->times($this->depth)));
            }
            $bricks[] = Hull::around($corners);
        }

        return $bricks;
    }

    /** @return list<float> where joints are along a line of so long, from 0 to 1 */
    private function even(float $length): array
    {
        $unit = $this->layout->onEdge();

        return Units::joints($unit <= 0.0 ? 1 : max(1, (int) round($length / $unit)));
    }

    /**
     * @param  list<array{float, Vec2, Vec2}>  $along
     * @return array{Vec2, Vec2} a place on the line, and the way square to it
     */
    private static function at(array $along, float $at): array
    {
        [$begins, $from, $to] = $along[0];
        foreach ($along as $piece) {
            if ($piece[0] <= $at) {
                [$begins, $from, $to] = $piece;
            }
        }
        $way = $to->minus($from)->times(1.0 / $to->distanceTo($from));

        return [$from->plus($way->times($at - $begins)), new Vec2(-$way->y, $way->x)];
    }
}
