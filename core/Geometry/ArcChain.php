<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/**
 * Arcs that go on into each other without a bend, from the right to the left, over a springing line. Grown, each keeps its centre; where
 * two chains meet in a point they do so on an upright line, however far they are grown. docs/formulas.md#heads
 */
final readonly class ArcChain
{
    /** A quarter of an ellipse is drawn in so many pairs of arcs. */
    private const PAIRS = 6;

    /** What is left of an arc that is drawn smaller than this is none. */
    private const LEAST_MM = 0.02;

    /** As it is, not grown: every place along it asks for that. */
    private float $length;

    /**
     * @param  non-empty-list<array{Arc, float, float}>  $arcs  each with where it begins and ends, radians
     * @param  ?float  $from  the x at which it begins, where that is a point
     * @param  ?float  $to  the x at which it ends, likewise
     */
    private function __construct(private array $arcs, private ?float $from = null, private ?float $to = null)
    {
        $this->length = $this->grownLength(0.0);
    }

    /** A part of a circle over a span from 0, rising so far above y. */
    public static function segment(float $span, float $y, float $rise): self
    {
        $arc = Arc::over(0.0, $span, $y, $rise);
        $right = atan2($y - $arc->centre->y, $span / 2.0);

        return new self([[$arc, $right, M_PI - $right]]);
    }

    /** All of a circle but one chord at its foot, as long as its others. */
    public static function circle(Vec2 $centre, float $radius): self
    {
        // As near to it as the chords of any arc: docs/formulas.md#heads.
        $half = acos(max(0.0, 1.0 - Tolerance::CHORD / $radius));

        return new self([[new Arc($centre, $radius), $half - M_PI / 2.0, 3.0 * M_PI / 2.0 - $half]]);
    }

    /**
     * Two arcs that meet in a point: r = (s²/4 + h²)/s, their centres on the springing line r from where they spring.
     *
     * @return array{self, self} the right one and the left one
     */
    public static function pointed(float $span, float $y, float $rise): array
    {
        $radius = ($span * $span / 4.0 + $rise * $rise) / $span;
        $turn = acos(max(-1.0, min(1.0, ($radius - $span / 2.0) / $radius)));
        [$right, $left] = [new Arc(new Vec2($span - $radius, $y), $radius), new Arc(new Vec2($radius, $y), $radius)];

        return [new self([[$right, 0.0, $turn]], to: $span / 2.0), new self([[$left, M_PI - $turn, M_PI]], from: $span / 2.0)];
    }

    /** Three arcs of 60°: r₁ = (h − 0.13397 s)/0.73205 at the sides, s − r₁ at the crown. */
    public static function threeCentred(float $span, float $y, float $rise): self
    {
        $side = ($rise - (1.0 - sqrt(3.0) / 2.0) * $span) / (sqrt(3.0) - 1.0);
        $crown = $span - $side;
        $at = static fn (float $x, float $up, float $radius): Arc => new Arc(new Vec2($x, $y + $up), $radius);

        return new self([
            [$at($span - $side, 0.0, $side), 0.0, M_PI / 3.0],
            [$at($span / 2.0, $rise - $crown, $crown), M_PI / 3.0, 2.0 * M_PI / 3.0],
            [$at($side, 0.0, $side), 2.0 * M_PI / 3.0, M_PI],
        ]);
    }

    /** Half an ellipse, as pairs of arcs that touch it and each other: so near to it that nobody could measure the difference. */
    public static function ellipse(float $span, float $y, float $rise): self
    {
        $half = $span / 2.0;
        $arcs = [];
        $spot = static fn (float $t): Vec2 => new Vec2($half + $half * cos($t), $y + $rise * sin($t));
        $way = static function (float $t) use ($half, $rise): Vec2 {
            $way = new Vec2(-$half * sin($t), $rise * cos($t));

            return $way->times(1.0 / $way->length());
        };
        $count = 2 * self::PAIRS;
        for ($i = 0; $i < $count; $i++) {
            [$t, $u] = [M_PI * $i / $count, M_PI * ($i + 1) / $count];
            array_push($arcs, ...self::pair([$spot($t), $way($t)], [$spot($u), $way($u)]));
        }
        assert($arcs !== []);

        return new self($arcs);
    }

    /**
     * Two arcs from one place to another that leave and arrive as they are told.
     *
     * @param  array{Vec2, Vec2}  $from  a place, and the way there
     * @param  array{Vec2, Vec2}  $to
     * @return list<array{Arc, float, float}>
     */
    private static function pair(array $from, array $to): array
    {
        $apart = $to[0]->minus($from[0]);
        $ways = $from[1]->plus($to[1]);
        $bend = 2.0 * (1.0 - $from[1]->dot($to[1]));
        $reach = (-$apart->dot($ways) + sqrt($apart->dot($ways) ** 2 + $bend * $apart->dot($apart))) / $bend;
        $middle = $from[0]->plus($to[0])->plus($from[1]->minus($to[1])->times($reach))->times(0.5);
        $arc = static function (Vec2 $place, Vec2 $way, Vec2 $begin, Vec2 $end) use ($middle): array {
            $in = new Vec2(-$way->y, $way->x);
            $on = $middle->minus($place);
            $radius = $on->dot($on) / (2.0 * $in->dot($on));
            $centre = $place->plus($in->times($radius));
            $angle = static fn (Vec2 $p): float => atan2($p->y - $centre->y, $p->x - $centre->x);

            return [new Arc($centre, $radius), $angle($begin), $angle($end)];
        };

        return [$arc($from[0], $from[1], $from[0], $middle), $arc($to[0], $to[1], $middle, $to[0])];
    }

    public function moved(Vec2 $by): self
    {
        $arcs = [];
        foreach ($this->arcs as [$arc, $from, $to]) {
            $arcs[] = [new Arc($arc->centre->plus($by), $arc->radius), $from, $to];
        }

        return new self(
            $arcs,
            $this->from === null ? null : $this->from + $by->x,
            $this->to === null ? null : $this->to + $by->x,
        );
    }

    /** @return array{bool, bool} whether it ends in a point at its right, and at its left */
    public function isPointed(): array
    {
        return [$this->from !== null, $this->to !== null];
    }

    /** @return ?array{Arc, float, float} with where it begins and ends, radians; null where it is of several arcs */
    public function single(): ?array
    {
        return count($this->arcs) === 1 ? $this->grownAt(0, 0.0) : null;
    }

    /** The radius of the arc in its middle. */
    public function crownRadius(): float
    {
        return $this->arcs[$this->place(0.5)[0]][0]->radius;
    }

    /** How long it is, grown by so much. */
    public function length(float $by = 0.0): float
    {
        return $by === 0.0 ? $this->length : $this->grownLength($by);
    }

    private function grownLength(float $by): float
    {
        return array_sum(array_map(static fn (array $a): float => $a[0]->radius * ($a[2] - $a[1]), $this->grown($by)));
    }

    /** A place along it, from 0 at its right end to 1 at its left one: on the grown one beside that on itself. */
    public function at(float $share, float $by): Vec2
    {
        [$i, $part] = $this->place($share);
        [$arc, $from, $to] = $this->grownAt($i, $by);

        return $arc->at($from + $part * ($to - $from));
    }

    /**
     * From one place along it to another, both ends included, by chords no farther from it than any head's.
     *
     * @return non-empty-list<Vec2>
     */
    public function run(float $from, float $to, float $by): array
    {
        [$first, $begins] = $this->place($from);
        [$last, $ends] = $this->place($to);
        $points = [$this->at($from, $by)];
        for ($i = $first; $i <= $last; $i++) {
            [$arc, $a, $b] = $this->grownAt($i, $by);
            $angles = [$a + ($i === $first ? $begins : 0.0) * ($b - $a), $a + ($i === $last ? $ends : 1.0) * ($b - $a)];
            array_push($points, ...array_slice($arc->between(...$angles), 1));
        }

        return $points;
    }

    /**
     * What of it lies over a stretch, grown by so much, from the right to the left; its ends go on as far as is asked.
     *
     * @return list<Vec2>
     */
    public function over(float $left, float $right, float $by): array
    {
        $points = [];
        $grown = $this->grown($by);
        foreach ($grown as $i => [$arc, $from, $to]) {
            $isFree = [$i === 0 && $this->from === null, $i === count($grown) - 1 && $this->to === null];
            $ends = [$isFree[0] ? INF : $arc->at($from)->x, $isFree[1] ? -INF : $arc->at($to)->x];
            [$begin, $end] = [min($right, $ends[0]), max($left, $ends[1])];
            if ($begin > $end + Tolerance::SAME) {
                array_push($points, ...array_slice($arc->points($begin, $end), $points === [] ? 0 : 1));
            }
        }

        return $points;
    }

    /** Its height over $x, grown by so much; null where it does not go there. */
    public function heightAt(float $x, float $by): ?float
    {
        $grown = $this->grown($by);
        foreach ($grown as $i => [$arc, $from, $to]) {
            $isRight = ($i === 0 && $this->from === null) || $x <= $arc->at($from)->x + Tolerance::SAME;
            $isLeft = ($i === count($grown) - 1 && $this->to === null) || $x >= $arc->at($to)->x - Tolerance::SAME;
            if ($isRight && $isLeft) {
                return $arc->heightAt($x);
            }
        }

        return null;
    }

    /**
     * Places at which a strip along it has to be cut so that each piece lies straight within a sag of the arc, after where the cut begins.
     *
     * @return list<array{Vec2, Vec2}> its ends among them, from the right to the left
     */
    public function tabs(float $sag, float $inwards): array
    {
        $tabs = [];
        foreach (array_keys($this->arcs) as $i) {
            [$arc, $from, $to] = $this->arcs[$i];
            [$inner, $begin, $end] = $this->grownAt($i, -min($inwards, $arc->radius - self::LEAST_MM));
            $n = max(1, (int) ceil($arc->radius * ($to - $from) / sqrt(8.0 * $arc->radius * $sag)));
            for ($k = $tabs === [] ? 0 : 1; $k <= $n; $k++) {
                $tabs[] = [$inner->at($begin + ($end - $begin) * $k / $n), $arc->at($from + ($to - $from) * $k / $n)];
            }
        }

        return $tabs;
    }

    /** @return list<array{Arc, float, float}> what is left of each */
    private function grown(float $by): array
    {
        $grown = [];
        foreach (array_keys($this->arcs) as $i) {
            array_push($grown, ...$this->arcs[$i][0]->radius + $by > self::LEAST_MM ? [$this->grownAt($i, $by)] : []);
        }

        return $grown;
    }

    /** @return array{Arc, float, float} */
    private function grownAt(int $i, float $by): array
    {
        [$arc, $from, $to] = $this->arcs[$i];
        $arc = $arc->grown($by);
        $angle = static fn (float $x): float => acos(max(-1.0, min(1.0, ($x - $arc->centre->x) / $arc->radius)));

        return [
            $arc,
            $i === 0 && $this->from !== null ? $angle($this->from) : $from,
            $i === count($this->arcs) - 1 && $this->to !== null ? $angle($this->to) : $to,
        ];
    }

    /** @return array{int, float} which arc a place is on, and how much of that is to its right */
    private function place(float $share): array
    {
        $left = $share * $this->length();
        $last = count($this->arcs) - 1;
        foreach ($this->arcs as $i => [$arc, $from, $to]) {
            $length = $arc->radius * ($to - $from);
            if ($left <= $length || $i === $last) {
                return [$i, $left / $length];
            }
            $left -= $length;
        }

        return [0, 0.0];
    }
}
