<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** A closed outline; the first point is not repeated. Edge i runs from point i to point i + 1. */
final readonly class Ring
{
    /** @param  non-empty-list<Vec2>  $points */
    public function __construct(public array $points)
    {
    }

    /**
     * Most of what is kept of a building is rings: as plain numbers they take a fifth of the room, and of the time.
     *
     * @return array{string}
     */
    public function __serialize(): array
    {
        $numbers = [];
        foreach ($this->points as $p) {
            $numbers[] = $p->x;
            $numbers[] = $p->y;
        }

        return [pack('d*', ...$numbers)];
    }

    /** @param  array{string}  $data */
    public function __unserialize(array $data): void
    {
        /** @var array<int, float> $numbers */
        $numbers = unpack('d*', $data[0]);
        $points = [];
        for ($i = 1, $n = count($numbers); $i < $n; $i += 2) {
            $points[] = new Vec2($numbers[$i], $numbers[$i + 1]);
        }
        assert($points !== []);
        $this->points = $points;
    }

    public static function rectangle(float $x0, float $y0, float $x1, float $y1): self
    {
        return new self([new Vec2($x0, $y0), new Vec2($x1, $y0), new Vec2($x1, $y1), new Vec2($x0, $y1)]);
    }

    /**
     * Without points that repeat their neighbour.
     *
     * @param  list<Vec2>  $points
     */
    public static function ofDistinct(array $points): self
    {
        $kept = [];
        foreach ($points as $point) {
            if ($kept === [] || $point->distanceTo($kept[count($kept) - 1]) > Tolerance::SAME) {
                $kept[] = $point;
            }
        }
        while (count($kept) > 1 && $kept[0]->distanceTo($kept[count($kept) - 1]) <= Tolerance::SAME) {
            array_pop($kept);
        }
        assert($kept !== []);

        return new self($kept);
    }

    public function count(): int
    {
        return count($this->points);
    }

    /** Gives point $i, counted round and round. */
    public function point(int $i): Vec2
    {
        if (isset($this->points[$i])) {
            return $this->points[$i];
        }
        $n = count($this->points);

        return $this->points[(($i % $n) + $n) % $n];
    }

    public function edgeLength(int $edge): float
    {
        return $this->point($edge)->distanceTo($this->point($edge + 1));
    }

    /** Positive where the ring runs counter-clockwise. */
    public function signedArea(): float
    {
        // Written out, as its perimeter and what is asked of a place are: the geometry asks these more often than anything else.
        $sum = 0.0;
        $a = $this->points[0];
        for ($i = 1, $n = count($this->points); $i <= $n; $i++) {
            $b = $this->points[$i] ?? $this->points[0];
            $sum += $a->x * $b->y - $a->y * $b->x;
            $a = $b;
        }

        return $sum / 2.0;
    }

    public function area(): float
    {
        return abs($this->signedArea());
    }

    public function perimeter(): float
    {
        $sum = 0.0;
        $a = $this->points[0];
        for ($i = 1, $n = count($this->points); $i <= $n; $i++) {
            $b = $this->points[$i] ?? $this->points[0];
            $sum += hypot($a->x - $b->x, $a->y - $b->y);
            $a = $b;
        }

        return $sum;
    }

    /** The mean of its corners: inside it where it is convex. */
    public function middle(): Vec2
    {
        $n = count($this->points);

        return array_reduce($this->points, static fn (Vec2 $sum, Vec2 $p): Vec2 => $sum->plus($p->times(1.0 / $n)), new Vec2(0.0, 0.0));
    }

    public function bounds(): Box2
    {
        return Box2::around($this->points);
    }

    public function scaled(float $by): self
    {
        return new self(array_map(static fn (Vec2 $p): Vec2 => $p->times($by), $this->points));
    }

    public function moved(float $dx, float $dy): self
    {
        return new self(array_map(static fn (Vec2 $p): Vec2 => new Vec2($p->x + $dx, $p->y + $dy), $this->points));
    }

    /** Mirrors the ring left to right about x = $axis; it stays counter-clockwise if it was. */
    public function mirrored(float $axis = 0.0): self
    {
        return new self(array_map(static fn (Vec2 $p): Vec2 => new Vec2(2.0 * $axis - $p->x, $p->y), array_reverse($this->points)));
    }

    /** Whether it turns to one side only. */
    public function isConvex(): bool
    {
        $n = count($this->points);
        $least = INF;
        $most = -INF;
        for ($i = 0; $i < $n; $i++) {
            [$a, $b, $c] = [$this->points[$i], $this->point($i + 1), $this->point($i + 2)];
            $turn = ($b->x - $a->x) * ($c->y - $b->y) - ($b->y - $a->y) * ($c->x - $b->x);
            [$least, $most] = [$turn < $least ? $turn : $least, $turn > $most ? $turn : $most];
        }

        return $least >= 0.0 || $most <= 0.0;
    }

    public function contains(Vec2 $point): bool
    {
        $inside = false;
        [$x, $y] = [$point->x, $point->y];
        $b = $this->points[count($this->points) - 1];
        foreach ($this->points as $a) {
            if (($a->y > $y) !== ($b->y > $y) && $x < ($b->x - $a->x) * ($y - $a->y) / ($b->y - $a->y) + $a->x) {
                $inside = ! $inside;
            }
            $b = $a;
        }

        return $inside;
    }

    /** @return ?array{int, int} sides that are no neighbours, and cross or touch */
    public function crossing(): ?array
    {
        $n = count($this->points);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 2; $j < $n - ($i === 0 ? 1 : 0); $j++) {
                if (self::segmentsMeet($this->point($i), $this->point($i + 1), $this->point($j), $this->point($j + 1))) {
                    return [$i, $j];
                }
            }
        }

        return null;
    }

    /** Whether two stretches cross or touch. */
    public static function segmentsMeet(Vec2 $a, Vec2 $b, Vec2 $c, Vec2 $d): bool
    {
        $ab = $b->minus($a);
        $cd = $d->minus($c);
        [$s, $t] = [$ab->cross($c->minus($a)), $ab->cross($d->minus($a))];
        [$u, $v] = [$cd->cross($a->minus($c)), $cd->cross($b->minus($c))];
        if ((($s > 0.0) !== ($t > 0.0)) && (($u > 0.0) !== ($v > 0.0)) && $s !== 0.0 && $t !== 0.0 && $u !== 0.0 && $v !== 0.0) {
            return true;
        }

        return min(
            $a->distanceToSegment($c, $d),
            $b->distanceToSegment($c, $d),
            $c->distanceToSegment($a, $b),
            $d->distanceToSegment($a, $b),
        ) < Tolerance::SAME;
    }

    public function distanceTo(Vec2 $point): float
    {
        // Written out, since the dry fit asks it for every point of contact; see Vec2::distanceToSegment().
        $least = INF;
        $a = $this->points[count($this->points) - 1];
        foreach ($this->points as $b) {
            $dx = $b->x - $a->x;
            $dy = $b->y - $a->y;
            $px = $point->x - $a->x;
            $py = $point->y - $a->y;
            $square = $dx * $dx + $dy * $dy;
            $at = $square > 0.0 ? max(0.0, min(1.0, ($px * $dx + $py * $dy) / $square)) : 0.0;
            $px -= $at * $dx;
            $py -= $at * $dy;
            $least = min($least, $px * $px + $py * $py);
            $a = $b;
        }
        $least = sqrt($least);

        return $least;
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return array_map(static fn (Vec2 $p): array => $p->toArray(), $this->points);
    }
}
