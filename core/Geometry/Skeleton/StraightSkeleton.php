<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * The weighted straight skeleton of a simple outline, by letting the outline shrink: edges vanish, and corners that point
 * inwards run into edges and split it. Each edge has its own speed, which may be 0 (a gable) and may change at given
 * heights (half-hips, mansards). docs/formulas.md#skeleton
 */
final class StraightSkeleton
{
    private const PARALLEL = Tolerance::ROUNDING;

    private Events $events;

    /** @var array<int, Corner> */
    private array $alive = [];

    /** @var list<Front> */
    private array $fronts = [];

    private float $now;

    private Sides $sides;

    /**
     * @param  Ring  $outline  counter-clockwise and simple
     * @param  list<list<array{float, float}>>  $schedules  for each edge: from which height it moves at which speed
     */
    private function __construct(Ring $outline, array $schedules, float $start)
    {
        $this->now = $start;
        $this->events = new Events;
        $this->sides = new Sides;
        $n = $outline->count();
        foreach ($schedules as $i => $schedule) {
            $this->fronts[] = $front = new Front($i, $outline->point($i), $outline->point($i + 1), $schedule, $start);
            $front->face = $this->sides->face($i, $front->speed);
        }
        $nodes = array_map(fn (Vec2 $p): int => $this->sides->node($p, $start), $outline->points);
        $corners = [];
        foreach ($outline->points as $i => $point) {
            $corners[] = $this->corner($this->fronts[($i + $n - 1) % $n], $this->fronts[$i], $nodes[$i], $point);
            $this->sides->add($this->fronts[$i]->face, $nodes[$i], $nodes[($i + 1) % $n], null);
        }
        foreach ($corners as $i => $corner) {
            self::join($corner, $corners[($i + 1) % $n]);
        }
        array_map($this->expect(...), $corners);
    }

    /**
     * The outline may be run from below its height of 0, so that its overhang is part of the figure.
     *
     * @param  list<list<array{float, float}>>  $schedules
     * @return ?list<SkeletonFace> null where it never closes
     */
    public static function of(Ring $outline, array $schedules, float $start = 0.0): ?array
    {
        $skeleton = new self($outline, $schedules, $start);

        return $skeleton->run() ? $skeleton->sides->faces() : null;
    }

    private function run(): bool
    {
        foreach ($this->turns() as $turn) {
            $this->until($turn);
            if ($this->alive === []) {
                return true;
            }
            $this->now = $turn;
            $this->turn();
        }
        $this->until(INF);

        return $this->alive === [];
    }

    /** @return list<float> heights at which a speed changes */
    private function turns(): array
    {
        $turns = [];
        foreach ($this->fronts as $front) {
            foreach ($front->schedule as [$height]) {
                if ($height > $this->now + Tolerance::FIGURE) {
                    $turns[] = $height;
                }
            }
        }
        sort($turns);

        return array_values(array_unique($turns));
    }

    private function until(float $height): void
    {
        while ($this->alive !== [] && ($event = $this->events->next($height)) !== null) {
            [$at, $one, $other, $front] = $event;
            if (! $one->isAlive) {
                continue;
            }
            $this->now = max($this->now, $at);
            if ($front !== null) {
                $this->split($one, $front);
            } elseif ($other !== null && $other->isAlive && $one->next === $other) {
                $this->collapse($one, $other);
            }
        }
    }

    /** Lets every front go on at its new speed. */
    private function turn(): void
    {
        $changed = [];
        foreach ($this->fronts as $i => $front) {
            if ($front->turnAt($this->now)) {
                $changed[$i] = $front->face;
                $front->face = $this->sides->face($front->edge, $front->speed);
            }
        }
        $this->events = new Events;
        $old = $this->alive;
        $this->alive = [];
        $new = [];
        foreach ($old as $id => $corner) {
            $place = $corner->at($this->now);
            $node = $this->sides->node($place, $this->now);
            $faces = [$changed[$corner->before->edge] ?? $corner->before->face, $changed[$corner->after->edge] ?? $corner->after->face];
            $this->trace($corner->node, $node, $faces[0], $faces[1]);
            $new[$id] = $this->corner($corner->before, $corner->after, $node, $place);
        }
        foreach ($old as $id => $corner) {
            $next = $new[spl_object_id($corner->next)];
            self::join($new[$id], $next);
            if (isset($changed[$corner->after->edge])) {
                $this->sides->add($changed[$corner->after->edge], $next->node, $new[$id]->node, $corner->after->face);
                $this->sides->add($corner->after->face, $new[$id]->node, $next->node, $changed[$corner->after->edge]);
            }
        }
        array_map($this->settle(...), $new);
    }

    private static function join(Corner $one, Corner $next): void
    {
        $one->next = $next;
        $next->previous = $one;
    }

    private function corner(Front $before, Front $after, int $node, Vec2 $place): Corner
    {
        $cross = $before->along->cross($after->along);
        $motion = new Vec2(0.0, 0.0);
        if (abs($cross) > self::PARALLEL) {
            // n₁·v = s₁ and n₂·v = s₂, both normals being the fronts' own turned a quarter.
            $n1 = $before->inward;
            $n2 = $after->inward;
            $motion = new Vec2(
                ($before->speed * $n2->y - $after->speed * $n1->y) / $cross,
                ($after->speed * $n1->x - $before->speed * $n2->x) / $cross,
            );
        } elseif ($before->along->dot($after->along) > 0.0) {
            $motion = $before->inward->times(($before->speed + $after->speed) / 2.0);
        }
        // Fronts that run against each other have met: the corner stands still until its ridge is closed.
        $mayHit = $cross < -self::PARALLEL || ($cross <= self::PARALLEL && $before->along->dot($after->along) > 0.0);
        $corner = new Corner($before, $after, $node, $place, $this->now, $motion, $mayHit);

        return $this->alive[spl_object_id($corner)] = $corner;
    }

    private function end(Corner $corner, int $node): void
    {
        $corner->isAlive = false;
        unset($this->alive[spl_object_id($corner)]);
        $this->trace($corner->node, $node, $corner->before->face, $corner->after->face);
    }

    private function trace(int $from, int $to, int $before, int $after): void
    {
        $this->sides->add($before, $from, $to, $after);
        $this->sides->add($after, $to, $from, $before);
    }

    /** Adds the events that may befall a corner: an edge beside it vanishes, or it runs into another edge. */
    private function expect(Corner $corner): void
    {
        $this->events->expectCollapse($this->now, $corner, $corner->next, Tolerance::FIGURE);
        $this->events->expectCollapse($this->now, $corner->previous, $corner, Tolerance::FIGURE);
        foreach ($corner->mayHit ? $this->fronts : [] as $front) {
            if ($front !== $corner->before && $front !== $corner->after) {
                $this->events->expectSplit($this->now, $corner, $front, Tolerance::FIGURE);
            }
        }
    }

    private function collapse(Corner $one, Corner $other): void
    {
        $place = $this->meeting($one->before, $other->after) ?? $one->at($this->now)->plus($other->at($this->now))->times(0.5);
        $node = $this->sides->node($place, $this->now);
        [$before, $after] = [$one->previous, $other->next];
        $this->end($one, $node);
        $this->end($other, $node);
        if ($before === $other) {
            return;
        }
        $new = $this->corner($one->before, $other->after, $node, $place);
        self::join($before, $new);
        self::join($new, $after);
        $this->settle($new);
    }

    private function split(Corner $corner, Front $front): void
    {
        $place = $corner->at($this->now);
        // Only in its own loop: what was split off stays apart, so that with each event the loops have one corner less between them.
        for ($from = $corner->next; $from->next !== $corner; $from = $from->next) {
            if ($from->after !== $front) {
                continue;
            }
            $to = $from->next;
            $at = $front->along->dot($place);
            $low = $front->along->dot($from->at($this->now));
            $high = $front->along->dot($to->at($this->now));
            if ($at < $low - Tolerance::FIGURE || $at > $high + Tolerance::FIGURE) {
                continue;
            }
            $node = $this->sides->node($place, $this->now);
            [$previous, $next] = [$corner->previous, $corner->next];
            $this->end($corner, $node);
            $left = $this->corner($corner->before, $front, $node, $place);
            $right = $this->corner($front, $corner->after, $node, $place);
            self::join($previous, $left);
            self::join($left, $to);
            self::join($from, $right);
            self::join($right, $next);
            $this->settle($left);
            $this->settle($right);

            return;
        }
    }

    /** A new corner goes on, or, where only two are left that face each other, closes in a ridge. */
    private function settle(Corner $corner): void
    {
        while ($corner->isAlive && $corner->next->next !== $corner && $corner->partsInLine()) {
            $corner = $this->handOver($corner);
        }
        if (! $corner->isAlive) {
            return;
        }
        $other = $corner->next;
        if ($other->next !== $corner) {
            $this->expect($corner);

            return;
        }
        $node = $this->sides->node($other->at($this->now), $this->now);
        $this->end($other, $node);
        $this->end($corner, $corner->node);
        $this->trace($node, $corner->node, $corner->after->face, $corner->before->face);
    }

    /**
     * Two fronts have come to lie in one line and would part again, since one is faster: it goes on for both, over a level
     * break. From steep to shallow, as a mansard, rather than the other way round.
     *
     * @return Corner at the far end of what is handed over
     */
    private function handOver(Corner $corner): Corner
    {
        $isAfter = $corner->before->speed > $corner->after->speed;
        $far = $isAfter ? $corner->next : $corner->previous;
        [$kept, $ended] = $isAfter ? [$corner->before, $corner->after] : [$corner->after, $corner->before];
        $place = $far->at($this->now);
        $node = $this->sides->node($place, $this->now);
        [$previous, $next] = $isAfter ? [$corner->previous, $far->next] : [$far->previous, $corner->next];
        $this->end($far, $node);
        $this->end($corner, $corner->node);
        [$from, $to] = $isAfter ? [$corner->node, $node] : [$node, $corner->node];
        $this->sides->add($kept->face, $from, $to, $ended->face);
        $this->sides->add($ended->face, $to, $from, $kept->face);
        $new = $isAfter ? $this->corner($kept, $far->after, $node, $place) : $this->corner($far->before, $kept, $node, $place);
        self::join($previous, $new);
        self::join($new, $next);

        return $new;
    }

    private function meeting(Front $one, Front $other): ?Vec2
    {
        $cross = $one->along->cross($other->along);
        if (abs($cross) < 0.001) {
            return null;
        }
        [$c1, $c2] = [$one->offset($this->now), $other->offset($this->now)];

        return new Vec2(
            ($c1 * $other->inward->y - $c2 * $one->inward->y) / $cross,
            ($c2 * $one->inward->x - $c1 * $other->inward->x) / $cross,
        );
    }
}
