<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/** A convex shape in a plane, counter-clockwise; it may be as thin as a line or a point. Millimetres. */
final readonly class Hull
{
    /** @param  non-empty-list<Vec2>  $points */
    private function __construct(public array $points)
    {
    }

    /**
     * What a string round the points would enclose.
     *
     * @param  non-empty-list<Vec2>  $points
     */
    public static function around(array $points): self
    {
        // What stands upright but for rounding is one column, from the bottom up: otherwise a true corner could be taken for a point on it.
        $columns = array_map(static fn (Vec2 $p, int $i): array => [round($p->x, 7), $p->y, $i], $points, array_keys($points));
        sort($columns);
        $points = array_map(static fn (array $c): Vec2 => $points[$c[2]], $columns);
        $lower = self::chain($points);
        $upper = self::chain(array_reverse($points));
        $whole = [...array_slice($lower, 0, -1), ...array_slice($upper, 0, -1)];

        return new self($whole === [] ? [$points[0]] : $whole);
    }

    public static function rectangle(float $x0, float $y0, float $x1, float $y1): self
    {
        return new self([new Vec2($x0, $y0), new Vec2($x1, $y0), new Vec2($x1, $y1), new Vec2($x0, $y1)]);
    }

    /** A circle's outline in as many sides as keep to it within $within, on the outside of it. */
    public static function circle(Vec2 $centre, float $radius, float $within = 0.01): self
    {
        $sides = max(8, (int) ceil(M_PI / acos($radius / ($radius + $within))));
        $out = $radius / cos(M_PI / $sides);

        return new self(
            array_map(
                static fn (int $i): Vec2 =>
                    new Vec2($centre->x + $out * cos(2.0 * M_PI * $i / $sides), $centre->y + $out * sin(2.0 * M_PI * $i / $sides)),
                range(0, $sides - 1),
            ),
        );
    }

    /** All that lies within $by of it, and a little more at corners: an octagon goes round each. */
    public function grown(float $by): self
    {
        if ($by <= 0.0) {
            return $this;
        }
        $near = $by * tan(M_PI / 8.0);
        $all = [];
        foreach ($this->points as $p) {
            foreach ([[$by, $near], [$near, $by], [-$near, $by], [-$by, $near]] as [$x, $y]) {
                array_push($all, new Vec2($p->x + $x, $p->y + $y), new Vec2($p->x - $x, $p->y - $y));
            }
        }

        return self::around($all);
    }

    /**
     * @param  list<Vec2>  $points  in order along x
     * @return list<Vec2>
     */
    private static function chain(array $points): array
    {
        $chain = [];
        $last = -1;
        foreach ($points as $p) {
            // Written out, as are the gaps below: distances between what stands on a plot ask nothing more often.
            while ($last > 0) {
                [$a, $b] = [$chain[$last - 1], $chain[$last]];
                if (($b->x - $a->x) * ($p->y - $b->y) - ($b->y - $a->y) * ($p->x - $b->x) > Tolerance::SAME * Tolerance::SAME) {
                    break;
                }
                $last--;
            }
            $chain[++$last] = $p;
        }

        return array_slice($chain, 0, $last + 1);
    }

    /** Gives all that the hull covers while it moves by $by. */
    public function swept(Vec2 $by): self
    {
        return self::around([...$this->points, ...array_map(static fn (Vec2 $p): Vec2 => $p->plus($by), $this->points)]);
    }

    public function bounds(): Box2
    {
        return Box2::around($this->points);
    }

    /** Cuts the hull to its part left of the line from $a in a direction; null where nothing is left. */
    public function leftOf(Vec2 $a, Vec2 $direction): ?self
    {
        $offs = [];
        foreach ($this->points as $p) {
            $offs[] = $direction->x * ($p->y - $a->y) - $direction->y * ($p->x - $a->x);
        }
        if (min($offs) >= 0.0) {
            return $this;
        }
        $kept = [];
        $n = count($this->points);
        foreach ($this->points as $i => $p) {
            $q = $this->points[($i + 1) % $n];
            [$here, $there] = [$offs[$i], $offs[($i + 1) % $n]];
            if ($here >= 0.0) {
                $kept[] = $p;
            }
            if (($here > 0.0 && $there < 0.0) || ($here < 0.0 && $there > 0.0)) {
                $kept[] = $p->plus($q->minus($p)->times($here / ($here - $there)));
            }
        }

        return $kept === [] ? null : new self($kept);
    }

    /** Whether a place lies in it or on its edge. */
    private function holds(Vec2 $at): bool
    {
        $from = $this->points[count($this->points) - 1];
        foreach ($this->points as $to) {
            if (($to->x - $from->x) * ($at->y - $from->y) - ($to->y - $from->y) * ($at->x - $from->x) < 0.0) {
                return false;
            }
            $from = $to;
        }

        return count($this->points) > 2;
    }

    /**
     * Those that do not lie wholly inside one of the others.
     *
     * @param  list<self>  $hulls
     * @return list<self> in the order given
     */
    public static function outermost(array $hulls): array
    {
        $areas = array_map(static fn (self $h): float => (new Ring($h->points))->area(), $hulls);
        arsort($areas);
        $kept = [];
        foreach (array_keys($areas) as $i) {
            foreach ($kept as $larger) {
                foreach ($hulls[$i]->points as $p) {
                    if (! $larger->holds($p)) {
                        continue 2;
                    }
                }

                continue 2;
            }
            $kept[$i] = $hulls[$i];
        }
        ksort($kept);

        return array_values($kept);
    }

    /**
     * How far the two are apart; negative where they share a place: the least way by which one could be moved out.
     *
     * @param  float  $enough  where they are farther apart than so much, by how much more is not asked
     */
    public function distanceTo(self $that, float $enough = INF): float
    {
        $gap = max($this->gapTo($that), $that->gapTo($this));
        if (($gap < 0.0 && $gap !== -INF) || $gap >= $enough) {
            return $gap;
        }

        return max($gap, min($this->cornersTo($that), $that->cornersTo($this)));
    }

    /** Gives the distance from a place to the hull; 0 inside. */
    public function distanceFrom(Vec2 $at): float
    {
        return max(0.0, $this->distanceTo(new self([$at])));
    }

    /** The widest gap that one of its sides has before the other. */
    private function gapTo(self $that): float
    {
        $widest = -INF;
        $n = count($this->points);
        for ($i = 0; $n > 1 && $i < $n; $i++) {
            [$a, $b] = [$this->points[$i], $this->points[($i + 1) % $n]];
            [$dx, $dy] = [$b->x - $a->x, $b->y - $a->y];
            $length = hypot($dx, $dy);
            if ($length === 0.0) {
                continue;
            }
            $least = INF;
            foreach ($that->points as $p) {
                $gap = -($dx * ($p->y - $a->y) - $dy * ($p->x - $a->x)) / $length;
                $least = $gap < $least ? $gap : $least;
            }
            $widest = $least > $widest ? $least : $widest;
        }

        return $widest;
    }

    private function cornersTo(self $that): float
    {
        $least = INF;
        $n = count($that->points);
        foreach ($this->points as $p) {
            foreach ($that->points as $i => $a) {
                $least = min($least, $p->distanceToSegment($a, $that->points[($i + 1) % $n]));
            }
        }

        return $least;
    }
}
