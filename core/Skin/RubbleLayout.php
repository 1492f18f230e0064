<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Rubble;

/** Lays stones as they come to hand: each is what lies nearest to its own place. docs/formulas.md#coverings */
final class RubbleLayout implements Layout
{
    /** A place lies by so much of a stone off where it would lie in rows. */
    private const OFF = 0.36;

    /** No place farther than so many rows and columns has a part of a stone. */
    private const NEAR = 2;

    private const FAR = 2.0;

    private readonly Toned $toned;

    private readonly float $wide;

    private readonly float $high;

    /** How many rows lie between two level beds; 0 where there are none. */
    private readonly int $inBed;

    /** @var array<int, array<int, Vec2>> places of stones by row and column, each asked for by all its neighbours */
    private array $places = [];

    public function __construct(private readonly FaceArt $art, private readonly Rubble $rubble)
    {
        $this->toned = new Toned($rubble->palette());
        [$this->wide, $high] = $rubble->stone;
        $this->inBed = $rubble->bed > 0.0 ? max(1, (int) round($rubble->bed / $high)) : 0;
        $this->high = $this->inBed > 0 ? $rubble->bed / $this->inBed : $high;
    }

    public function units(Box2 $box): array
    {
        $ends = new Interval(max($box->x0, $this->art->quoins[0]), min($box->x1, $this->art->quoins[1]));
        $first = (int) floor(($box->y0 - $this->art->datum) / $this->high) - 1;
        $last = (int) ceil(($box->y1 - $this->art->datum) / $this->high) + 1;
        $stones = [];
        for ($row = $first; $row <= $last; $row++) {
            $begins = (int) floor(($ends->from - $this->art->quoins[0]) / $this->wide) - 1;
            for ($column = $begins; $ends->to > $this->art->quoins[0] + ($column - 1) * $this->wide; $column++) {
                $stone = $this->stone($row, $column, $ends);
                array_push($stones, ...$stone !== null && $stone->bounds()->width() > Tolerance::EDGE ? [$stone->points] : []);
            }
        }

        return $stones;
    }

    public function turned(float $from, float $far, Interval $heights): array
    {
        [$left, $right] = [min($from, $from + $far), max($from, $from + $far)];
        if ($right <= $left) {
            return [];
        }
        $half = $this->rubble->joint() / 2.0;
        $boxes = [];
        for ($row = (int) floor(($heights->from - $this->art->datum) / $this->high); $this->low($row) < $heights->to; $row++) {
            $boxes[] = new Box2($left, $this->low($row) + $half, $right, $this->low($row + 1) - $half);
        }

        return $boxes;
    }

    public function onEdge(): float
    {
        return $this->wide;
    }

    public function tones(): array
    {
        return $this->toned->tones;
    }

    public function toneOf(array $unit): int
    {
        $middle = Box2::around($unit)->centre();

        return $this->toned->at(
            (int) floor(($middle->x - $this->art->quoins[0]) / $this->wide * 3.0),
            (int) floor(($middle->y - $this->art->datum) / $this->high * 3.0),
        );
    }

    private function low(int $row): float
    {
        return $this->art->datum + $row * $this->high;
    }

    /** All that lies nearer to its place than to any beside it, less half a joint, between level beds and the face's ends. */
    private function stone(int $row, int $column, Interval $ends): ?Hull
    {
        $place = $this->place($row, $column);
        [$w, $h] = [2.0 * $this->wide, 2.0 * $this->high];
        $half = $this->rubble->joint() / 2.0;
        $bed = $this->inBed > 0 ? (int) floor($row / $this->inBed) : null;
        [$low, $high] = $bed === null
            ? [-INF, INF]
            : [$this->low($bed * $this->inBed) + $half, $this->low(($bed + 1) * $this->inBed) - $half];
        $box = new Box2(
            max($place->x - $w, $ends->from), max($place->y - $h, $low), min($place->x + $w, $ends->to), min($place->y + $h, $high),
        );
        $stone = min($box->width(), $box->height()) > 0.0 ? Hull::rectangle($box->x0, $box->y0, $box->x1, $box->y1) : null;
        for ($r = $row - self::NEAR; $r <= $row + self::NEAR; $r++) {
            for ($c = $column - self::NEAR; $c <= $column + self::NEAR && $stone !== null; $c++) {
                if (($r === $row && $c === $column) || ($bed !== null && (int) floor($r / $this->inBed) !== $bed)) {
                    continue;
                }
                // Distances count as if stones were as high as they are long.
                $way = $this->place($r, $c)->minus($place);
                // One so far off has no part of it.
                if (abs($way->x) > self::FAR * $this->wide || abs($way->y) > self::FAR * $this->high) {
                    continue;
                }
                $square = new Vec2($way->x / $this->wide ** 2, $way->y / $this->high ** 2);
                $length = $square->length();
                $on = $place->plus($way->times(0.5))->minus($square->times($half / $length));
                $stone = $stone->leftOf($on, new Vec2(-$square->y / $length, $square->x / $length));
            }
        }

        return $stone;
    }

    private function place(int $row, int $column): Vec2
    {
        if (isset($this->places[$row][$column])) {
            return $this->places[$row][$column];
        }
        $off = static fn (string $axis): float => self::OFF * ((crc32("$axis,$row,$column") % 2001) / 1000.0 - 1.0);
        $along = $column + 0.5 + ($row % 2 === 0 ? 0.0 : 0.5) + $off('x');

        return $this->places[$row][$column] = new Vec2(
            $this->art->quoins[0] + $along * $this->wide, $this->low($row) + (0.5 + $off('y')) * $this->high,
        );
    }
}
