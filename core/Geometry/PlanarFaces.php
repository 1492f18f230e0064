<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

use Chartula\Core\Measure\Tolerance;

/**
 * The faces into which lines cut a region: lines that meet in their ends or in each other's middles, but do not cross.
 * Faces are traced by always turning left as sharply as can be; each knows the faces beyond its sides.
 */
final class PlanarFaces
{
    /** A corner so near to a line lies on it: a slit may end on a chord of the arc it was drawn to. */
    private const ON_LINE = Tolerance::CHORD + Tolerance::EDGE;

    /** Corners are looked up in squares of this size. */
    private const CELL_MM = 1.0;

    /** @var list<Vec2> */
    private array $points = [];

    /** @var array<string, list<int>> the corners in a square */
    private array $near = [];

    /** @var array<int, array<int, int>> from corner to corner: the line it belongs to */
    private array $sides = [];

    /** @param  list<array{Vec2, Vec2}>  $lines */
    private function __construct(array $lines)
    {
        $ends = array_map(fn (array $line): array => [$this->point($line[0]), $this->point($line[1])], $lines);
        foreach ($ends as $line => [$a, $b]) {
            $this->line($a, $b, $line);
        }
    }

    /**
     * @param  list<array{Vec2, Vec2}>  $cuts  lines within the region
     * @return list<Face> those that lie in the region
     */
    public static function of(Region $region, array $cuts): array
    {
        $lines = $cuts;
        foreach ($region->rings() as $ring) {
            foreach (array_keys($ring->points) as $i) {
                $lines[] = [$ring->point($i), $ring->point($i + 1)];
            }
        }

        return (new self($lines))->faces($region, count($cuts));
    }

    /** The corner at a place, a new one where there is none near. */
    private function point(Vec2 $at): int
    {
        $found = [];
        foreach ($this->within((new Box2($at->x, $at->y, $at->x, $at->y))->grown(Tolerance::EDGE)) as $i) {
            $point = $this->points[$i];
            if (abs($point->x - $at->x) <= Tolerance::EDGE && abs($point->y - $at->y) <= Tolerance::EDGE) {
                $found[] = $i;
            }
        }
        if ($found !== []) {
            return min($found);
        }
        $this->points[] = $at;
        $this->near[(int) floor($at->x / self::CELL_MM).' '.(int) floor($at->y / self::CELL_MM)][] = count($this->points) - 1;

        return count($this->points) - 1;
    }

    /** @return list<int> the corners that may lie in a box, in their order */
    private function within(Box2 $box): array
    {
        [$x0, $x1] = [(int) floor($box->x0 / self::CELL_MM), (int) floor($box->x1 / self::CELL_MM)];
        [$y0, $y1] = [(int) floor($box->y0 / self::CELL_MM), (int) floor($box->y1 / self::CELL_MM)];
        if ($x0 === $x1 && $y0 === $y1) {
            return $this->near["$x0 $y0"] ?? [];
        }
        if (($x1 - $x0 + 1) * ($y1 - $y0 + 1) > count($this->points)) {
            return array_keys($this->points);
        }
        $found = [];
        for ($x = $x0; $x <= $x1; $x++) {
            for ($y = $y0; $y <= $y1; $y++) {
                array_push($found, ...$this->near["$x $y"] ?? []);
            }
        }
        sort($found);

        return $found;
    }

    /** Adds a line, cut at every corner that lies on it. */
    private function line(int $from, int $to, int $line): void
    {
        [$a, $b] = [$this->points[$from], $this->points[$to]];
        $along = $b->minus($a);
        $length = $along->length();
        if ($length <= Tolerance::EDGE) {
            return;
        }
        $stops = [$from => 0.0, $to => $length];
        $box = Box2::around([$a, $b])->grown(self::ON_LINE);
        foreach ($this->within($box) as $i) {
            $point = $this->points[$i];
            if ($point->x < $box->x0 || $point->x > $box->x1 || $point->y < $box->y0 || $point->y > $box->y1) {
                continue;
            }
            $at = $point->minus($a)->dot($along) / $length;
            if ($at > self::ON_LINE && $at < $length - self::ON_LINE && $point->distanceToSegment($a, $b) <= self::ON_LINE) {
                $stops[$i] = $at;
            }
        }
        asort($stops);
        $corners = array_keys($stops);
        for ($k = 1, $n = count($corners); $k < $n; $k++) {
            // A cut along an outline stays a cut.
            $this->sides[$corners[$k - 1]][$corners[$k]] ??= $line;
            $this->sides[$corners[$k]][$corners[$k - 1]] ??= $line;
        }
    }

    /** @return list<Face> */
    private function faces(Region $region, int $cuts): array
    {
        [$inner, $outer, $owner, $rings, $islands] = $this->cycles();
        $areas = array_map(static fn (Ring $ring): float => $ring->area(), $islands);
        $bins = new Bins(array_map(static fn (Ring $ring): array => [$ring->points[0]->x, $ring->points[0]->x], $islands));
        $faces = [];
        $around = [];
        foreach ($inner as $id => $corners) {
            $ring = $rings[$id];
            [$box, $area] = [$ring->bounds(), $ring->area()];
            $holes = [];
            $around[$id] = [$corners];
            $near = $bins->between($box->x0, $box->x1);
            sort($near);
            foreach ($near as $k) {
                [$cycle, $at] = [$outer[$k], $islands[$k]->points[0]];
                $isNear = $areas[$k] < $area && $at->x >= $box->x0 && $at->x <= $box->x1 && $at->y >= $box->y0 && $at->y <= $box->y1;
                // The outer side of a part of the drawing that touches nothing else is a hole in the face round it.
                if ($isNear && ! in_array($cycle[0], $corners, true) && $ring->contains($at)) {
                    $holes[] = $islands[$k];
                    $around[$id][] = $cycle;
                    $owner = self::owned($owner, $cycle, $id);
                }
            }
            $faces[$id] = new Region($ring, $holes);
        }
        $faces = array_filter($faces, static fn (Region $face): bool => self::isIn($face, $region));
        $number = array_flip(array_keys($faces));

        return array_values(
            array_map(
                fn (Region $face, int $id): Face => new Face(
                    $face,
                    array_merge(...array_map(fn (array $cycle): array => $this->beyond($cycle, $owner, $number, $cuts), $around[$id])),
                ),
                $faces,
                array_keys($faces),
            ),
        );
    }

    /** By its middle, or where it is not convex by that of its largest piece: that of a sliver lies on a side as likely as not. */
    private static function isIn(Region $face, Region $region): bool
    {
        if ($face->holes === [] && $face->outline->isConvex()) {
            return $region->contains($face->outline->middle());
        }
        $largest = null;
        $most = 0.0;
        foreach ($face->trapezoids() as $piece) {
            $area = $piece->area();
            [$largest, $most] = $largest === null || $area > $most ? [$piece, $area] : [$largest, $most];
        }

        return $largest !== null && $region->contains($largest->middle());
    }

    /**
     * @return array{array<int, list<int>>, list<list<int>>, array<int, array<int, int>>, array<int, Ring>, list<Ring>} faces, outer sides,
     *     which face is on the left of each side, and faces and outer sides as they are drawn
     */
    private function cycles(): array
    {
        $inner = $outer = $owner = $done = $rings = $islands = [];
        foreach ($this->sides as $from => $ends) {
            foreach (array_keys($ends) as $to) {
                if (isset($done[$from][$to])) {
                    continue;
                }
                $cycle = [];
                for ([$a, $b] = [$from, $to]; ! isset($done[$a][$b]); [$a, $b] = [$b, $this->next($a, $b)]) {
                    $done[$a][$b] = true;
                    $cycle[] = $a;
                }
                $ring = $this->ring($cycle);
                if ($ring->signedArea() > 0.0) {
                    $id = count($inner);
                    $inner[$id] = $cycle;
                    $rings[$id] = $ring;
                    $owner = self::owned($owner, $cycle, $id);
                } else {
                    $outer[] = $cycle;
                    $islands[] = $ring;
                }
            }
        }

        return [$inner, $outer, $owner, $rings, $islands];
    }

    /**
     * @param  array<int, array<int, int>>  $owner
     * @param  list<int>  $cycle
     * @return array<int, array<int, int>>
     */
    private static function owned(array $owner, array $cycle, int $face): array
    {
        foreach ($cycle as $k => $corner) {
            $owner[$corner][$cycle[($k + 1) % count($cycle)]] = $face;
        }

        return $owner;
    }

    /** Chooses the corner that follows $b on a face whose side runs from $a to $b: the first one clockwise from $a. */
    private function next(int $a, int $b): int
    {
        $ways = array_keys($this->sides[$b] ?? []);
        if (count($ways) === 2) {
            return $ways[0] === $a ? $ways[1] : $ways[0];
        }
        $back = $this->angle($b, $a);
        $best = $a;
        $least = INF;
        foreach ($ways as $to) {
            $turn = fmod($back - $this->angle($b, $to) + 4.0 * M_PI, 2.0 * M_PI);
            $turn = $turn < Tolerance::ROUNDING ? 2.0 * M_PI : $turn;
            if ($turn < $least) {
                $least = $turn;
                $best = $to;
            }
        }

        return $best;
    }

    private function angle(int $from, int $to): float
    {
        $way = $this->points[$to]->minus($this->points[$from]);

        return atan2($way->y, $way->x);
    }

    /**
     * @param  list<int>  $corners
     * @param  array<int, array<int, int>>  $owner
     * @param  array<int, int>  $number  of the faces that are kept
     * @return list<array{cut: int, face: int, from: Vec2, to: Vec2}>
     */
    private function beyond(array $corners, array $owner, array $number, int $cuts): array
    {
        $sides = [];
        foreach ($corners as $k => $corner) {
            $to = $corners[($k + 1) % count($corners)];
            $cut = $this->sides[$corner][$to];
            $face = $number[$owner[$to][$corner] ?? -1] ?? null;
            if ($cut < $cuts && $face !== null) {
                $sides[] = ['cut' => $cut, 'face' => $face, 'from' => $this->points[$corner], 'to' => $this->points[$to]];
            }
        }

        return $sides;
    }

    /** @param  list<int>  $corners */
    private function ring(array $corners): Ring
    {
        $points = array_map(fn (int $i): Vec2 => $this->points[$i], $corners);
        assert($points !== []);

        return new Ring($points);
    }
}
