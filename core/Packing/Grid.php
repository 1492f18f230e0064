<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use GMP;

/**
 * The places at which a shape's lower left may stand in a bin, as the bits of one great number, row by row from the foot: all
 * places that another shape forbids are a number too, so that a bin is asked for its lowest free place in a few operations.
 * What is forbidden is exact at every place; only the places are a step apart. docs/formulas.md#packing
 */
final class Grid
{
    public const STEP_MM = 0.5;

    private const BYTES_KEPT = 96 << 20;

    /** Bytes. */
    private const WORD = 8;

    /** What two convex pieces forbid each other takes as long to work out as so many looks at it. */
    private const LOOKS_OF_A_PAIR = 8;

    private readonly int $columns;

    private readonly int $rows;

    /** Bits from one row to the next. */
    private readonly int $stride;

    /** @var array<string, array{GMP, int}> what one shape forbids another, and by how much it is moved */
    private array $forbidden = [];

    private int $bytes = 0;

    private int $looks = 0;

    /** @var array<string, string> */
    private array $rowsOfBits = [];

    /** @param  int  $most  so much is done at most; after that it is spent */
    public function __construct(public readonly Bin $bin, private readonly int $most)
    {
        $this->columns = self::steps($bin->width);
        $this->rows = self::steps($bin->height);
        // What is forbidden left of the bin lands at the end of the row below, where the right side forbids it too.
        $this->stride = intdiv($this->columns + self::steps($bin->gap) + 12, 8) * 8;
    }

    private static function steps(float $mm): int
    {
        return (int) floor($mm / self::STEP_MM + Tolerance::FIGURE);
    }

    /** Whether it has been asked what one shape forbids another as often as may be. */
    public function isSpent(): bool
    {
        return $this->looks >= $this->most;
    }

    /** What the sides of the bin forbid a shape. */
    public function edges(Shape $shape): GMP
    {
        $free = self::steps($this->bin->width - $shape->width) + 1;
        $rows = self::steps($this->bin->height - $shape->height) + 1;

        return self::number(str_repeat($this->bits($free, $this->stride - 1), $rows));
    }

    /** @return ?array{int, int} column and row of the lowest place that is free, and the leftmost of these */
    public function lowest(GMP $forbidden, Shape $shape): ?array
    {
        $bit = gmp_scan0($forbidden, 0);
        $row = intdiv($bit, $this->stride);

        return $row > self::steps($this->bin->height - $shape->height) ? null : [$bit % $this->stride, $row];
    }

    public function isFree(GMP $forbidden, int $column, int $row): bool
    {
        return ! gmp_testbit($forbidden, $row * $this->stride + $column);
    }

    /** What a shape that lies in the bin forbids another, added to what is forbidden that already. */
    public function with(GMP $forbidden, Lying $lying, Shape $shape): GMP
    {
        [$bits, $shift] = $this->forbidden[$lying->shape->key.' '.$shape->key] ??= $this->against($lying->shape, $shape);
        $shift += $lying->row * $this->stride + $lying->column;
        $this->looks++;

        return $forbidden | ($shift < 0 ? $bits >> -$shift : $bits << $shift);
    }

    /** @return array{GMP, int} */
    private function against(Shape $placed, Shape $shape): array
    {
        $this->looks += self::LOOKS_OF_A_PAIR * count($placed->pieces) * count($shape->pieces);
        if ($this->bytes > self::BYTES_KEPT) {
            $this->forbidden = [];
            $this->bytes = 0;
        }
        $gap = $this->bin->gap;
        $foot = -min(self::steps($shape->height + $gap) + 1, $this->rows);
        $top = min(self::steps($placed->height + $gap) + 1, $this->rows);
        $left = max(-self::steps($shape->width + $gap) - 1, self::steps($placed->width) - $this->columns);
        $right = min(self::steps($placed->width + $gap) + 1, $this->columns - self::steps($shape->width));
        $all = gmp_init(0);
        foreach ($placed->pieces as $a) {
            $a = Hull::around($a)->grown($gap)->points;
            foreach ($shape->pieces as $b) {
                $all |= $this->within(self::difference($a, $b), [$foot, $top, $left, $right]);
            }
        }
        $this->bytes += intdiv(($top - $foot + 1) * $this->stride, 8);

        return [$all, $foot * $this->stride + $left];
    }

    /**
     * Where the origin of $b stands while $b meets $a, both convex: Minkowski's difference.
     *
     * @param  non-empty-list<Vec2>  $a
     * @param  non-empty-list<Vec2>  $b
     * @return non-empty-list<array{float, float}> round it counter-clockwise, from its lowest point
     */
    private static function difference(array $a, array $b): array
    {
        $a = self::fromLowest($a);
        $b = self::fromLowest(array_map(static fn (Vec2 $p): Vec2 => new Vec2(-$p->x, -$p->y), $b));
        [$n, $m] = [count($a), count($b)];
        $ring = [];
        $i = $k = 0;
        while ($i < $n || $k < $m) {
            $p = $a[$i % $n];
            $q = $b[$k % $m];
            $ring[] = [$p->x + $q->x, $p->y + $q->y];
            $p1 = $a[($i + 1) % $n];
            $q1 = $b[($k + 1) % $m];
            $cross = ($p1->x - $p->x) * ($q1->y - $q->y) - ($p1->y - $p->y) * ($q1->x - $q->x);
            if ($k >= $m || ($i < $n && $cross >= 0.0)) {
                $i++;
                if ($cross === 0.0 && $k < $m && $i <= $n) {
                    $k++;
                }
            } else {
                $k++;
            }
        }

        return $ring === [] ? [[0.0, 0.0]] : $ring;
    }

    /**
     * @param  non-empty-list<Vec2>  $points
     * @return non-empty-list<Vec2>
     */
    private static function fromLowest(array $points): array
    {
        $at = 0;
        foreach ($points as $i => $p) {
            $lowest = $points[$at];
            // Of a level foot it is the left end, also where rounding has tilted it.
            if ($p->y < $lowest->y - Tolerance::SAME || ($p->y < $lowest->y + Tolerance::SAME && $p->x < $lowest->x)) {
                $at = $i;
            }
        }

        return $at === 0 ? $points : [$points[$at], ...array_slice($points, $at + 1), ...array_slice($points, 0, $at)];
    }

    /**
     * The places strictly inside a convex ring, as bits from the window's first row and column on.
     *
     * @param  non-empty-list<array{float, float}>  $ring  from its lowest point
     * @param  array{int, int, int, int}  $window  first and last row, first and last column
     */
    private function within(array $ring, array $window): GMP
    {
        [$foot, $top, $left, $right] = $window;
        [$lefts, $rights] = self::sides($ring);
        $first = max($foot, (int) floor($ring[0][1] / self::STEP_MM + Tolerance::FIGURE) + 1);
        $last = min($top, (int) ceil($lefts[count($lefts) - 1][3] / self::STEP_MM - Tolerance::FIGURE) - 1);
        $bytes = str_repeat($this->bits(1, 0), max(0, min($first, $top + 1) - $foot));
        $l = $r = 0;
        for ($row = $first; $row <= $last; $row += $same) {
            $y = $row * self::STEP_MM;
            while ($lefts[$l][3] <= $y) {
                $l++;
            }
            while ($rights[$r][3] <= $y) {
                $r++;
            }
            [$xl, $slopeL, $yl, $toL] = $lefts[$l];
            [$xr, $slopeR, $yr, $toR] = $rights[$r];
            // Where both sides are upright, rows are alike up to the next corner.
            $corner = (int) ceil(min($toL, $toR) / self::STEP_MM - Tolerance::FIGURE) - 1;
            $same = $slopeL === 0.0 && $slopeR === 0.0 ? max(1, min($last, $corner) - $row + 1) : 1;
            $from = (int) floor(($xl + $slopeL * ($y - $yl)) / self::STEP_MM + Tolerance::FIGURE) + 1;
            $to = (int) ceil(($xr + $slopeR * ($y - $yr)) / self::STEP_MM - Tolerance::FIGURE) - 1;
            $bytes .= str_repeat($this->bits(max($from, $left) - $left, min($to, $right) - $left), $same);
        }

        return self::number($bytes);
    }

    /** @param  string  $bytes  of its bits, the lowest first; whole words are read far sooner than single bytes */
    private static function number(string $bytes): GMP
    {
        $words = $bytes.str_repeat("\0", -strlen($bytes) & (self::WORD - 1));

        return gmp_import($words, self::WORD, GMP_LSW_FIRST | GMP_LITTLE_ENDIAN);
    }

    /**
     * The two sides of a convex ring, from its foot up.
     *
     * @param  non-empty-list<array{float, float}>  $ring  from its lowest point
     * @return array{list<array{float, float, float, float}>, list<array{float, float, float, float}>} left and right; each of x at its
     *     foot, slope, and from which height to which
     */
    private static function sides(array $ring): array
    {
        $lefts = $rights = [];
        $n = count($ring);
        foreach ($ring as $i => [$px, $py]) {
            [$qx, $qy] = $ring[($i + 1) % $n];
            if ($qy - $py > Tolerance::ROUNDING) {
                $rights[] = [$px, ($qx - $px) / ($qy - $py), $py, $qy];
            } elseif ($py - $qy > Tolerance::ROUNDING) {
                $lefts[] = [$qx, ($px - $qx) / ($py - $qy), $qy, $py];
            }
        }

        return [array_reverse($lefts), $rights];
    }

    /** A row in which the bits from $from to $to stand; none where there are none between. */
    private function bits(int $from, int $to): string
    {
        return $this->rowsOfBits["$from $to"] ??= self::rowOfBits($from, $to, intdiv($this->stride, 8));
    }

    private static function rowOfBits(int $from, int $to, int $bytes): string
    {
        if ($from > $to) {
            return str_repeat("\0", $bytes);
        }
        [$a, $b] = [$from >> 3, $to >> 3];
        $row = str_repeat("\0", $a).str_repeat("\xff", $b - $a + 1).str_repeat("\0", $bytes - $b - 1);
        $row[$a] = chr(ord($row[$a]) & (0xFF << ($from & 7)) & 0xFF);
        $row[$b] = chr(ord($row[$b]) & (0xFF >> (7 - ($to & 7))));

        return $row;
    }
}
