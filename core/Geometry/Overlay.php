<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/**
 * Finds the patches of a plane that are wanted, where the answer changes only along given lines; these may cross and lie on
 * each other. The question is put on both sides of each stretch of line; a stretch bounds a patch where only one side is wanted.
 * docs/formulas.md#envelope
 */
final class Overlay
{
    /** The question is put so far from a line: well under what can be cut, well over the errors of arithmetic. */
    private const ASIDE = 0.00002;

    /** A stretch shorter than this bounds nothing. */
    private const SHORT = 0.00001;

    /** @var list<Vec2> */
    private array $points = [];

    /** @var array<int, array<int, list<int>>> points by the square millimetre they lie in */
    private array $cells = [];

    /** @var array<int, array<int, string>> label of the side from point to point, what is wanted on its left */
    private array $sides = [];

    /**
     * @param  list<Line>  $lines  where several lie on each other the first gives the label
     * @param  callable(Vec2): bool  $isWanted
     * @param  ?callable(string, Vec2): string  $named  gives a stretch another label by where its middle lies
     * @return list<Patch> largest first
     */
    public static function patches(array $lines, callable $isWanted, ?callable $named = null): array
    {
        $overlay = new self;
        foreach (self::stretches($lines) as [$a, $b, $label]) {
            $overlay->bound($a, $b, $named === null ? $label : $named($label, $a->plus($b)->times(0.5)), $isWanted);
        }

        return $overlay->traced();
    }

    /**
     * The lines cut where they cross each other or end on each other.
     *
     * @param  list<Line>  $lines
     * @return list<array{Vec2, Vec2, string}>
     */
    private static function stretches(array $lines): array
    {
        $cuts = array_fill(0, count($lines), [0.0, 1.0]);
        $n = count($lines);
        $boxes = array_map(
            static fn (Line $l): array => [
                min($l->from->x, $l->to->x) - self::SHORT,
                max($l->from->x, $l->to->x) + self::SHORT,
                min($l->from->y, $l->to->y) - self::SHORT,
                max($l->from->y, $l->to->y) + self::SHORT,
            ],
            $lines,
        );
        $bins = new Bins(array_map(static fn (array $box): array => [$box[0], $box[1]], $boxes));
        for ($i = 0; $i < $n; $i++) {
            $a = $lines[$i]->from;
            [$x0, $x1, $y0, $y1] = $boxes[$i];
            $d = $lines[$i]->to->minus($a);
            $square = $d->dot($d);
            if ($square < self::SHORT * self::SHORT) {
                continue;
            }
            foreach ($bins->between($x0, $x1) as $j) {
                [$u0, $u1, $v0, $v1] = $boxes[$j];
                if ($j <= $i || $u0 > $x1 || $u1 < $x0 || $v0 > $y1 || $v1 < $y0) {
                    continue;
                }
                $c = $lines[$j]->from;
                $e = $lines[$j]->to->minus($c);
                $other = $e->dot($e);
                if ($other < self::SHORT * self::SHORT) {
                    continue;
                }
                $cross = $d->cross($e);
                $ac = $c->minus($a);
                if (abs($cross) > Tolerance::ROUNDING * sqrt($square * $other)) {
                    $s = $ac->cross($e) / $cross;
                    $t = $ac->cross($d) / $cross;
                    $ds = self::SHORT / sqrt($square);
                    $dt = self::SHORT / sqrt($other);
                    if ($s > -$ds && $s < 1.0 + $ds && $t > -$dt && $t < 1.0 + $dt) {
                        $cuts[$i][] = $s;
                        $cuts[$j][] = $t;
                    }
                } elseif (abs($ac->cross($d)) < self::SHORT * sqrt($square)) {
                    array_push($cuts[$i], $ac->dot($d) / $square, $ac->plus($e)->dot($d) / $square);
                    array_push($cuts[$j], -$ac->dot($e) / $other, $d->minus($ac)->dot($e) / $other);
                }
            }
        }
        $stretches = [];
        foreach ($lines as $i => $line) {
            $d = $line->to->minus($line->from);
            $least = self::SHORT / max(self::SHORT, $d->length());
            $at = array_filter($cuts[$i], static fn (float $s): bool => $s >= 0.0 && $s <= 1.0);
            sort($at);
            $from = 0.0;
            foreach ($at as $to) {
                if ($to - $from > $least) {
                    $stretches[] = [$line->from->plus($d->times($from)), $line->from->plus($d->times($to)), $line->label];
                    $from = $to;
                }
            }
        }

        return $stretches;
    }

    /** @param  callable(Vec2): bool  $isWanted */
    private function bound(Vec2 $a, Vec2 $b, string $label, callable $isWanted): void
    {
        $along = $b->minus($a);
        $length = $along->length();
        $middle = $a->plus($b)->times(0.5);
        $aside = new Vec2(-$along->y / $length * self::ASIDE, $along->x / $length * self::ASIDE);
        $left = $isWanted($middle->plus($aside));
        $right = $isWanted($middle->minus($aside));
        if ($left === $right) {
            return;
        }
        [$from, $to] = [$this->point($left ? $a : $b), $this->point($left ? $b : $a)];
        if ($from !== $to) {
            $this->sides[$from][$to] ??= $label;
        }
    }

    private function point(Vec2 $at): int
    {
        // Its own cell, and where it lies on the border of one the next as well.
        $reach = 4.0 * self::SHORT;
        for ($x = (int) floor($at->x - $reach), $x1 = (int) floor($at->x + $reach); $x <= $x1; $x++) {
            for ($y = (int) floor($at->y - $reach), $y1 = (int) floor($at->y + $reach); $y <= $y1; $y++) {
                foreach ($this->cells[$x][$y] ?? [] as $id) {
                    if ($this->points[$id]->distanceTo($at) < $reach) {
                        return $id;
                    }
                }
            }
        }
        $this->points[] = $at;
        $this->cells[(int) floor($at->x)][(int) floor($at->y)][] = count($this->points) - 1;

        return count($this->points) - 1;
    }

    /** @return list<Patch> */
    private function traced(): array
    {
        $outlines = [];
        $holes = [];
        while (($from = array_key_first($this->sides)) !== null) {
            $to = (int) array_key_first($this->sides[$from]);
            [$points, $labels] = $this->round($from, $to);
            [$points, $labels] = self::straightened($points, $labels);
            if (count($points) < 3 || $labels === []) {
                continue;
            }
            $ring = new Ring($points);
            if ($ring->signedArea() > 0.0) {
                $outlines[] = [$ring, $labels];
            } else {
                $holes[] = [$ring, $labels];
            }
        }
        usort($outlines, static fn (array $a, array $b): int => $b[0]->area() <=> $a[0]->area());

        return array_map(static function (array $outline) use ($holes, $outlines): Patch {
            $own = array_values(array_filter($holes, static fn (array $hole): bool => self::isRound($outline[0], $hole[0], $outlines)));

            return new Patch($outline[0], $outline[1], array_column($own, 0), array_column($own, 1));
        }, $outlines);
    }

    /**
     * Whether an outline is the smallest one round a hole.
     *
     * @param  list<array{Ring, non-empty-list<string>}>  $outlines
     */
    private static function isRound(Ring $outline, Ring $hole, array $outlines): bool
    {
        $at = $hole->points[0]->plus($hole->point(1))->times(0.5);
        $smallest = null;
        foreach ($outlines as [$ring]) {
            if ($ring->contains($at) && $ring->area() > $hole->area()) {
                $smallest = $ring;
            }
        }

        return $smallest === $outline;
    }

    /**
     * Takes a walk out of the sides, turning right as sharply as can be, so that shapes which touch in a point stay apart.
     *
     * @return array{list<Vec2>, list<string>}
     */
    private function round(int $from, int $to): array
    {
        $points = [];
        $labels = [];
        $first = $from;
        while (true) {
            $points[] = $this->points[$from];
            $labels[] = $this->sides[$from][$to];
            unset($this->sides[$from][$to]);
            if ($this->sides[$from] === []) {
                unset($this->sides[$from]);
            }
            if ($to === $first || ! isset($this->sides[$to])) {
                return $to === $first ? [$points, $labels] : [[], []];
            }
            [$from, $to] = [$to, $this->leftmost($from, $to)];
        }
    }

    private function leftmost(int $from, int $at): int
    {
        $ways = array_keys($this->sides[$at]);
        if (count($ways) === 1) {
            return $ways[0];
        }
        $back = $this->angle($at, $from);
        $best = $ways[0];
        $least = INF;
        foreach ($ways as $way) {
            $turn = fmod($back - $this->angle($at, $way) + 4.0 * M_PI, 2.0 * M_PI);
            if ($turn < $least) {
                [$best, $least] = [$way, $turn];
            }
        }

        return $best;
    }

    private function angle(int $from, int $to): float
    {
        return atan2($this->points[$to]->y - $this->points[$from]->y, $this->points[$to]->x - $this->points[$from]->x);
    }

    /**
     * Without corners on a straight side of one label.
     *
     * @param  list<Vec2>  $points
     * @param  list<string>  $labels
     * @return array{list<Vec2>, list<string>}
     */
    private static function straightened(array $points, array $labels): array
    {
        for ($i = 0; $i < count($points) && count($points) > 2;) {
            $n = count($points);
            $before = ($i + $n - 1) % $n;
            $one = $points[$i]->minus($points[$before]);
            $other = $points[($i + 1) % $n]->minus($points[$i]);
            $isStraight = abs($one->cross($other)) < 0.00002 * max($one->length(), $other->length()) && $one->dot($other) > 0.0;
            if ($isStraight && $labels[$before] === $labels[$i]) {
                array_splice($points, $i, 1);
                array_splice($labels, $i, 1);
                $i = max(0, $i - 1);

                continue;
            }
            $i++;
        }

        return [$points, $labels];
    }
}
