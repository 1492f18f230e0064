<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Step;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\OpeningKind;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * A wall's length in stretches: openings of it and of every wall that runs beside it, which stay true, and what is blank in all of
 * them, which may shrink. So corners meet as they did. Real millimetres, the building's axes. docs/formulas.md#compression
 */
final readonly class Lengths
{
    /** Two directions are one where the cosine between them is at least this. */
    private const PARALLEL = 1.0 - Tolerance::ROUNDING;

    /** No blank stretch becomes narrower than a brick and a half, nor a pier than so much of itself. */
    private const LEAST_BRICKS = 1.5;

    private const LEAST_SHARE = 0.75;

    /** A row stands over a door where their middles are no farther apart than this share of a bay. */
    private const CENTRAL = 0.05;

    /** A row keeps at least so many of its openings. */
    private const LEAST_BAYS = 3;

    /**
     * @param  bool  $isAcross  along x; along y otherwise
     * @param  list<Interval>  $taken  stretches that stay true, in order and apart
     * @param  list<array{place: Interval, pitch: float, count: int}>  $rows  of the wall itself: from jamb to jamb, a bay, how many
     * @param  list<float>  $corners  of all blocks between its ends
     * @param  list<Interval>  $openings  of all walls beside it
     * @param  list<Interval>  $doors  among them
     * @param  list<float>  $doorways  where the middles of the wall's own doors stand
     */
    private function __construct(
        public bool $isAcross,
        private Interval $whole,
        private array $taken,
        private array $rows,
        private array $corners,
        private array $openings,
        private array $doors,
        private array $doorways,
        private float $brick,
    ) {
    }

    /** Null where the wall runs neither along x nor along y. */
    public static function along(Building $building, Block $block, int $edge): ?self
    {
        $ring = $block->standing();
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        $way = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        if (max(abs($way->x), abs($way->y)) < self::PARALLEL) {
            return null;
        }
        $isAcross = abs($way->x) > 0.5;
        $on = static fn (Vec2 $p): float => $isAcross ? $p->x : $p->y;
        $whole = Interval::between($on($a), $on($b));
        $openings = $doors = $skew = $corners = [];
        foreach ($building->blocks as $other) {
            $outline = $other->standing();
            $corners = [...$corners, ...array_map($on, $outline->points)];
            foreach ($other->walls as $i => $wall) {
                [$p, $q] = [$outline->point($i), $outline->point($i + 1)];
                $along = $q->minus($p)->times(1.0 / $p->distanceTo($q));
                $is = abs($isAcross ? $along->x : $along->y);
                if ($is > self::PARALLEL) {
                    $sign = ($isAcross ? $along->x : $along->y) > 0.0 ? 1.0 : -1.0;
                    foreach ($wall->openings as $opening) {
                        for ($k = 0; $k < $opening->count; $k++) {
                            $place = $opening->extent($k);
                            $openings[] = $one = Interval::between($on($p) + $sign * $place->from, $on($p) + $sign * $place->to);
                            array_push($doors, ...($opening->style->kind === OpeningKind::Door ? [$one] : []));
                        }
                    }
                } elseif ($is > 1.0 - self::PARALLEL) {
                    // A wall askew keeps its shape: all that it spans is kept.
                    $skew[] = Interval::between($on($p), $on($q));
                }
            }
        }
        $isIn = static fn (Interval $s): bool => $s->overlaps($whole, Tolerance::MEET);
        $taken = Interval::joined(array_values(array_filter([...$openings, ...$skew], $isIn)), Tolerance::MEET);
        $corners = array_values(array_filter($corners, static fn (float $c): bool => $whole->contains($c, Tolerance::MEET)));

        $own = $block->walls[$edge]->openings;
        $sign = $on($b) > $on($a) ? 1.0 : -1.0;

        return new self(
            $isAcross,
            $whole,
            $taken,
            self::rows($own, $on($a), $sign),
            $corners,
            array_values(array_filter($openings, $isIn)),
            array_values(array_filter($doors, $isIn)),
            array_map(
                static fn (Opening $o): float => $on($a) + $sign * ($o->extent(0)->from + $o->extent(0)->to) / 2.0,
                array_values(array_filter($own, static fn (Opening $o): bool => $o->style->kind === OpeningKind::Door && $o->count === 1)),
            ),
            $building->gauge->brick_mm,
        );
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<array{place: Interval, pitch: float, count: int}>
     */
    private static function rows(array $openings, float $start, float $sign): array
    {
        $rows = [];
        foreach ($openings as $opening) {
            if ($opening->count > 1 && $opening->pitch !== null) {
                $last = $opening->extent($opening->count - 1);
                $rows[] = [
                    'place' => Interval::between($start + $sign * $opening->leftMm(0), $start + $sign * $last->to),
                    'pitch' => $opening->pitch->mm,
                    'count' => $opening->count,
                ];
            }
        }

        return $rows;
    }

    /** @return list<Interval> what is blank in every wall, from end to end */
    private function blank(): array
    {
        return $this->whole->without($this->taken, Tolerance::MEET);
    }

    /**
     * How much of it is margin and pier, how little each may be in all, how many openings its longest row has, and whether a door stands
     * under the middle of that: of such a row, how many openings could go at each end at once.
     *
     * @return array{length: float, margins: float, piers: float, openings: float, least_margins: float, least_piers: float,
     *     piers_count: int, row: int, bay: float, central: bool, pairs: int}
     */
    public function measures(): array
    {
        $found = [
            'length' => $this->whole->length(), 'margins' => 0.0, 'piers' => 0.0, 'openings' => 0.0, 'least_margins' => 0.0,
            'least_piers' => 0.0, 'piers_count' => 0, 'row' => 0, 'bay' => 0.0, 'central' => false, 'pairs' => 0,
        ];
        foreach ($this->blank() as $stretch) {
            $what = $this->isMargin($stretch) ? 'margins' : 'piers';
            $found[$what] += $stretch->length();
            $found["least_$what"] += min($stretch->length(), $this->least($stretch));
            $found['piers_count'] += $what === 'piers' ? 1 : 0;
        }
        $found['openings'] = $found['length'] - $found['margins'] - $found['piers'];
        foreach ($this->rows as $row) {
            if ($row['count'] > $found['row']) {
                [$found['row'], $found['bay'], $found['central']] = [$row['count'], $row['pitch'], $this->isOverDoor($row)];
                $found['pairs'] = $found['central'] ? $this->pairs($row) : 0;
            }
        }

        return $found;
    }

    private function isMargin(Interval $stretch): bool
    {
        return $stretch->from < $this->whole->from + Tolerance::MEET || $stretch->to > $this->whole->to - Tolerance::MEET;
    }

    private function least(Interval $stretch): float
    {
        return max(self::LEAST_BRICKS * $this->brick, $this->isMargin($stretch) ? 0.0 : self::LEAST_SHARE * $stretch->length());
    }

    /** Everything from end to end by a factor, what is taken too. */
    public function times(float $factor): AxisMap
    {
        return new AxisMap([new Shrink($this->whole, (1.0 - $factor) * $this->whole->length())]);
    }

    /**
     * So much longer, or shorter where it is less than nothing, as near its far end as nothing but blank wall gives way; null where that
     * is nowhere.
     */
    public function nearEnd(float $by): ?AxisMap
    {
        foreach (array_reverse($this->blank()) as $blank) {
            $inner = array_filter($this->corners, static fn (float $x): bool => $blank->contains($x, -Tolerance::MEET));
            $cuts = [$blank->from, ...$inner, $blank->to];
            sort($cuts);
            for ($i = count($cuts) - 1; $i > 0; $i--) {
                $stretch = new Interval($cuts[$i - 1], $cuts[$i]);
                if (min($stretch->length(), $stretch->length() + $by) > Tolerance::MEET) {
                    return new AxisMap([new Shrink($stretch, -$by)]);
                }
            }
        }

        return null;
    }

    /** Makes every blank stretch longer by as much as the others. */
    public function longer(float $by): AxisMap
    {
        $blank = $this->blank();

        return new AxisMap(array_map(static fn (Interval $s): Shrink => new Shrink($s, -$by / count($blank)), $blank));
    }

    /**
     * Shorter by so much in its margins, its piers, or all that is blank.
     *
     * @param  value-of<Step::OPS>  $op
     * @return array{?AxisMap, float} and the most that could be; null where that is less
     */
    public function shorter(string $op, float $by): array
    {
        $most = [];
        foreach ($this->blank() as $stretch) {
            if ($op === Step::SHORTEN || ($op === Step::MARGINS) === $this->isMargin($stretch)) {
                $most[] = new Shrink($stretch, max(0.0, $stretch->length() - $this->least($stretch)));
            }
        }
        $room = array_sum(array_map(static fn (Shrink $m): float => $m->by, $most));
        if ($room < $by - Tolerance::MEET) {
            return [null, $room];
        }
        $shrunk = $op === Step::SHORTEN
            ? array_map(static fn (Shrink $m): Shrink => new Shrink($m->stretch, $m->by * $by / $room), $most)
            : self::evenly($most, $by);

        return [new AxisMap(array_values(array_filter($shrunk, static fn (Shrink $s): bool => $s->by > 0.0))), $room];
    }

    /**
     * Each by as much as the others, as far as each can.
     *
     * @param  list<Shrink>  $most
     * @return list<Shrink>
     */
    private static function evenly(array $most, float $by): array
    {
        $order = array_keys($most);
        usort($order, static fn (int $a, int $b): int => $most[$a]->by <=> $most[$b]->by);
        $left = $by;
        $shares = [];
        foreach ($order as $done => $i) {
            $shares[$i] = min($most[$i]->by, $left / (count($most) - $done));
            $left -= $shares[$i];
        }

        return array_map(static fn (Shrink $m, int $i): Shrink => new Shrink($m->stretch, $shares[$i] ?? 0.0), $most, array_keys($most));
    }

    /** @param  array{place: Interval, pitch: float, count: int}  $row */
    private function isOverDoor(array $row): bool
    {
        $middle = ($row['place']->from + $row['place']->to) / 2.0;

        return array_filter($this->doorways, static fn (float $at): bool => abs($at - $middle) < self::CENTRAL * $row['pitch']) !== [];
    }

    /** @param  array{place: Interval, pitch: float, count: int}  $row */
    private function pairs(array $row): int
    {
        $pairs = 0;
        while ($row['count'] - 2 * $pairs - 2 >= self::LEAST_BAYS && $this->fromBothEnds($row, $pairs + 1) !== null) {
            $pairs++;
        }

        return $pairs;
    }

    /**
     * Takes out so many bays of the wall's own row, where that cuts nothing in two; null where there is no such place. A row over a door
     * in its middle loses as many at either end, and so stays over it, where it can.
     *
     * @return ?array{AxisMap, bool} and whether a door stands in the middle no more
     */
    public function withoutBays(int $count): ?array
    {
        foreach ($this->rows as $row) {
            if ($row['count'] - $count < self::LEAST_BAYS) {
                continue;
            }
            $isCentral = $this->isOverDoor($row);
            $both = $isCentral && $count % 2 === 0 ? $this->fromBothEnds($row, intdiv($count, 2)) : null;
            if ($both !== null) {
                return [$both, false];
            }
            // The last first: bays go from the end where they are missed least.
            for ($i = $row['count'] - $count; $i >= 1; $i--) {
                $cut = Interval::of($row['place']->to - $row['pitch'] * ($row['count'] - $i), $row['pitch'] * $count);
                if ($this->isClear($cut)) {
                    return [new AxisMap([new Shrink($cut, $cut->length())]), $isCentral];
                }
            }
        }

        return null;
    }

    /**
     * So many bays of a row at each of its ends, its outermost openings and the piers beside them.
     *
     * @param  array{place: Interval, pitch: float, count: int}  $row
     */
    private function fromBothEnds(array $row, int $each): ?AxisMap
    {
        $length = $row['pitch'] * $each;
        $cuts = [Interval::of($row['place']->from, $length), Interval::of($row['place']->to - $length, $length)];

        return $this->isClear($cuts[0]) && $this->isClear($cuts[1])
            ? new AxisMap(array_map(static fn (Interval $cut): Shrink => new Shrink($cut, $length), $cuts))
            : null;
    }

    private function isClear(Interval $cut): bool
    {
        foreach ($this->corners as $corner) {
            if ($cut->contains($corner, Tolerance::MEET)) {
                return false;
            }
        }
        foreach ($this->doors as $door) {
            if ($door->overlaps($cut, Tolerance::MEET)) {
                return false;
            }
        }
        foreach ($this->openings as $opening) {
            if (! $opening->isWithin($cut, Tolerance::MEET) && $opening->overlaps($cut, Tolerance::MEET)) {
                return false;
            }
        }

        return true;
    }
}
