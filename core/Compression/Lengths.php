<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Compression\Step;
use Chartula\Core\Building\Opening;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/**
 * A wall's length in stretches: openings of it and of every wall that runs beside it, which stay true, and what is blank in all of
 * them, which may shrink. So corners meet as they did. Real millimetres, the building's axes. docs/formulas.md#compression
 */
final readonly class Lengths
{
    /** Directions this alike are one, as a cosine. */
    private const PARALLEL = 1.0 - Tolerance::ROUNDING;

    /** No blank stretch becomes narrower than a brick and a half, nor a pier than so much of itself. */
    private const LEAST_BRICKS = 1.5;

    private const LEAST_SHARE = 0.75;

    /** A row keeps at least so many of its openings. */
    private const LEAST_BAYS = 3;

    /**
     * @param  bool  $isAcross  along x; along y otherwise
     * @param  list<array{float, float}>  $taken  stretches that stay true, in order and apart
     * @param  list<array{float, float, float}>  $rows  of the wall itself: where its rows' bays begin and end, and how long one is
     * @param  list<float>  $corners  of all blocks between its ends
     * @param  list<array{float, float}>  $openings  of all walls beside it
     */
    private function __construct(
        public bool $isAcross,
        private float $from,
        private float $to,
        private array $taken,
        private array $rows,
        private array $corners,
        private array $openings,
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
        [$from, $to] = [min($on($a), $on($b)), max($on($a), $on($b))];
        $openings = $skew = $corners = [];
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
                            $ends = [
                                $on($p) + $sign * $opening->leftMm($k),
                                $on($p) + $sign * ($opening->leftMm($k) + $opening->style->w->mm),
                            ];
                            $openings[] = [min($ends), max($ends)];
                        }
                    }
                } elseif ($is > 1.0 - self::PARALLEL) {
                    // A wall askew keeps its shape: all that it spans is kept.
                    $skew[] = [min($on($p), $on($q)), max($on($p), $on($q))];
                }
            }
        }
        $isIn = static fn (array $s): bool => $s[1] > $from + Tolerance::MEET && $s[0] < $to - Tolerance::MEET;
        $taken = self::joined(array_values(array_filter([...$openings, ...$skew], $isIn)));
        $corners = array_values(
            array_filter($corners, static fn (float $c): bool => $c > $from + Tolerance::MEET && $c < $to - Tolerance::MEET),
        );

        return new self(
            $isAcross,
            $from,
            $to,
            $taken,
            self::rows($block->walls[$edge]->openings, $on($a), $on($b) > $on($a) ? 1.0 : -1.0),
            $corners,
            array_values(array_filter($openings, $isIn)),
            $building->gauge->brick_mm,
        );
    }

    /**
     * @param  list<Opening>  $openings
     * @return list<array{float, float, float}>
     */
    private static function rows(array $openings, float $start, float $sign): array
    {
        $rows = [];
        foreach ($openings as $opening) {
            if ($opening->count > 1 && $opening->pitch !== null) {
                $ends = [
                    $start + $sign * $opening->leftMm(0),
                    $start + $sign * ($opening->leftMm($opening->count - 1) + $opening->style->w->mm),
                ];
                $rows[] = [min($ends), max($ends), $opening->pitch->mm];
            }
        }

        return $rows;
    }

    /**
     * @param  list<array{float, float}>  $stretches
     * @return list<array{float, float}>
     */
    private static function joined(array $stretches): array
    {
        sort($stretches);
        $joined = [];
        foreach ($stretches as [$from, $to]) {
            $last = $joined === [] ? null : $joined[count($joined) - 1];
            if ($last !== null && $from <= $last[1] + Tolerance::MEET) {
                $joined[count($joined) - 1] = [$last[0], max($last[1], $to)];
            } else {
                $joined[] = [$from, $to];
            }
        }

        return $joined;
    }

    /** @return list<array{float, float}> what is blank in every wall, from end to end */
    private function blank(): array
    {
        return Blank::between($this->from, $this->to, $this->taken);
    }

    /**
     * How much of it is margin and pier, how little each may be in all, and how many openings its longest row has.
     *
     * @return array{length: float, margins: float, piers: float, least_margins: float, least_piers: float, piers_count: int, row: int,
     *     bay: float}
     */
    public function measures(): array
    {
        $found = [
            'length' => $this->to - $this->from, 'margins' => 0.0, 'piers' => 0.0, 'least_margins' => 0.0,
            'least_piers' => 0.0, 'piers_count' => 0, 'row' => 0, 'bay' => 0.0,
        ];
        foreach ($this->blank() as $stretch) {
            $what = $this->isMargin($stretch) ? 'margins' : 'piers';
            $found[$what] += $stretch[1] - $stretch[0];
            $found["least_$what"] += min($stretch[1] - $stretch[0], $this->least($stretch));
            $found['piers_count'] += $what === 'piers' ? 1 : 0;
        }
        foreach ($this->rows as [$from, $to, $pitch]) {
            $bays = (int) round(($to - $from) / $pitch) + 1;
            if ($bays > $found['row']) {
                [$found['row'], $found['bay']] = [$bays, $pitch];
            }
        }

        return $found;
    }

    /** @param  array{float, float}  $stretch */
    private function isMargin(array $stretch): bool
    {
        return $stretch[0] < $this->from + Tolerance::MEET || $stretch[1] > $this->to - Tolerance::MEET;
    }

    /** @param  array{float, float}  $stretch */
    private function least(array $stretch): float
    {
        return max(self::LEAST_BRICKS * $this->brick, $this->isMargin($stretch) ? 0.0 : self::LEAST_SHARE * ($stretch[1] - $stretch[0]));
    }

    /** Every blank stretch longer by as much as the others. */
    public function longer(float $by): AxisMap
    {
        $blank = $this->blank();

        return new AxisMap(array_map(static fn (array $s): array => [$s[0], $s[1], -$by / count($blank)], $blank));
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
        foreach ($this->blank() as [$from, $to]) {
            if ($op === Step::SHORTEN || ($op === Step::MARGINS) === $this->isMargin([$from, $to])) {
                $most[] = [$from, $to, max(0.0, $to - $from - $this->least([$from, $to]))];
            }
        }
        $room = array_sum(array_column($most, 2));
        if ($room < $by - Tolerance::MEET) {
            return [null, $room];
        }
        $shrunk = $op === Step::SHORTEN
            ? array_map(static fn (array $m): array => [$m[0], $m[1], $m[2] * $by / $room], $most)
            : self::evenly($most, $by);

        return [new AxisMap(array_values(array_filter($shrunk, static fn (array $s): bool => $s[2] > 0.0))), $room];
    }

    /**
     * Each by as much as the others, as far as each can.
     *
     * @param  list<array{float, float, float}>  $most
     * @return list<array{float, float, float}>
     */
    private static function evenly(array $most, float $by): array
    {
        $order = array_keys($most);
        usort($order, static fn (int $a, int $b): int => $most[$a][2] <=> $most[$b][2]);
        $left = $by;
        $shares = [];
        foreach ($order as $done => $i) {
            $shares[$i] = min($most[$i][2], $left / (count($most) - $done));
            $left -= $shares[$i];
        }

        return array_map(static fn (array $m, int $i): array => [$m[0], $m[1], $shares[$i] ?? 0.0], $most, array_keys($most));
    }

    /** Without so many bays of a row of its own, where that cuts nothing in two; null where there is no such place. */
    public function withoutBays(int $count): ?AxisMap
    {
        foreach ($this->rows as [$from, $to, $pitch]) {
            $bays = (int) round(($to - $from) / $pitch) + 1;
            if ($bays - $count < self::LEAST_BAYS) {
                continue;
            }
            // The last first: bays go from the end where they are missed least.
            for ($i = $bays - $count; $i >= 1; $i--) {
                $cut = [$to - $pitch * ($bays - $i), $to - $pitch * ($bays - $i - $count)];
                if ($this->isClear($cut)) {
                    return new AxisMap([[$cut[0], $cut[1], $cut[1] - $cut[0]]]);
                }
            }
        }

        return null;
    }

    /** @param  array{float, float}  $cut */
    private function isClear(array $cut): bool
    {
        foreach ($this->corners as $corner) {
            if ($corner > $cut[0] + Tolerance::MEET && $corner < $cut[1] - Tolerance::MEET) {
                return false;
            }
        }
        foreach ($this->openings as [$from, $to]) {
            $isInside = $from > $cut[0] - Tolerance::MEET && $to < $cut[1] + Tolerance::MEET;
            if (! $isInside && $to > $cut[0] + Tolerance::MEET && $from < $cut[1] - Tolerance::MEET) {
                return false;
            }
        }

        return true;
    }
}
