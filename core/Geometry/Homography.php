<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A map of one plane on another that keeps straight lines straight. */
final readonly class Homography
{
    /** @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $rows  of its matrix */
    public function __construct(private array $rows)
    {
    }

    public function at(Vec2 $p): Vec2
    {
        [$x, $y, $w] = array_map(static fn (array $row): float => $row[0] * $p->x + $row[1] * $p->y + $row[2], $this->rows);

        return new Vec2($x / $w, $y / $w);
    }

    /** @param  Ring  $ring  every corner of it; its sides stay straight */
    public function ring(Ring $ring): Ring
    {
        return new Ring(array_map($this->at(...), $ring->points));
    }

    /** The map without its bend: what it does close to a place, carried on everywhere. */
    public function tangentAt(Vec2 $p): self
    {
        [$x, $y, $w] = $this->rows;
        $over = $w[0] * $p->x + $w[1] * $p->y + $w[2];
        $at = $this->at($p);
        [$a, $b] = [($x[0] - $at->x * $w[0]) / $over, ($x[1] - $at->x * $w[1]) / $over];
        [$c, $d] = [($y[0] - $at->y * $w[0]) / $over, ($y[1] - $at->y * $w[1]) / $over];

        return new self([
            [$a, $b, $at->x - $a * $p->x - $b * $p->y],
            [$c, $d, $at->y - $c * $p->x - $d * $p->y],
            [0.0, 0.0, 1.0],
        ]);
    }

    public function inverse(): self
    {
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $this->rows;

        return new self([
            [$e * $i - $f * $h, $c * $h - $b * $i, $b * $f - $c * $e],
            [$f * $g - $d * $i, $a * $i - $c * $g, $c * $d - $a * $f],
            [$d * $h - $e * $g, $b * $g - $a * $h, $a * $e - $b * $d],
        ]);
    }

    /**
     * Gives the map between planes whose origins have moved: it moves a place from the new origin, maps it, and moves the result to its
     * new origin.
     */
    public function between(Vec2 $from, Vec2 $to): self
    {
        $rows = array_map(
            static fn (array $row): array => [$row[0], $row[1], $row[2] + $row[0] * $from->x + $row[1] * $from->y],
            $this->rows,
        );
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $rows;

        return new self([
            [$a - $to->x * $g, $b - $to->x * $h, $c - $to->x * $i],
            [$d - $to->y * $g, $e - $to->y * $h, $f - $to->y * $i],
            [$g, $h, $i],
        ]);
    }

    /** @return list<list<float>> its matrix, row by row, the last figure 1 */
    public function toArray(): array
    {
        $last = $this->rows[2][2];

        return array_map(
            static fn (array $row): array => array_map(static fn (float $v): float => round($v / $last, 10), $row),
            $this->rows,
        );
    }
}
