<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** The nodes and sides of a skeleton as they are found, and the faces that they close. */
final class Sides
{
    /** @var list<Vec3> */
    private array $nodes = [];

    /** @var array<string, list<int>> nodes by the cell they stand in */
    private array $cells = [];

    /** @var list<array{int, float}> edge and speed of each face */
    private array $faces = [];

    /** @var array<int, list<array{int, int, ?int}>> by face: from, to, and the face beyond */
    private array $sides = [];

    public function face(int $edge, float $speed): int
    {
        $this->faces[] = [$edge, $speed];

        return count($this->faces) - 1;
    }

    public function node(Vec2 $at, float $height): int
    {
        $cell = [floor($at->x), floor($at->y)];
        for ($i = -1; $i <= 1; $i++) {
            for ($j = -1; $j <= 1; $j++) {
                foreach ($this->cells[($cell[0] + $i).' '.($cell[1] + $j)] ?? [] as $id) {
                    $node = $this->nodes[$id];
                    if (
                        abs($node->x - $at->x) < Tolerance::SAME
                            && abs($node->y - $at->y) < Tolerance::SAME
                            && abs($node->z - $height) < Tolerance::SAME
                    ) {
                        return $id;
                    }
                }
            }
        }
        $this->nodes[] = new Vec3($at->x, $at->y, $height);
        $this->cells[$cell[0].' '.$cell[1]][] = count($this->nodes) - 1;

        return count($this->nodes) - 1;
    }

    public function add(int $face, int $from, int $to, ?int $beyond): void
    {
        if ($from !== $to) {
            $this->sides[$face][] = [$from, $to, $beyond];
        }
    }

    /** @return list<SkeletonFace> */
    public function faces(): array
    {
        $rings = [];
        foreach ($this->faces as $face => [$edge, $speed]) {
            foreach ($this->cycles($this->sides[$face] ?? []) as $cycle) {
                $rings[] = [$face, $cycle];
            }
        }
        // A face may come in several pieces; a side names the piece that has the same side the other way round.
        $owner = [];
        foreach ($rings as $piece => [$face, $cycle]) {
            foreach ($cycle as [$from, $to]) {
                $owner[$face][$from][$to] = $piece;
            }
        }
        $levels = [];
        $faces = [];
        foreach ($rings as [$face, $cycle]) {
            [$edge, $speed] = $this->faces[$face];
            $levels[$edge][$face] ??= count($levels[$edge] ?? []);
            $points = [];
            $beyond = [];
            foreach ($cycle as [$from, $to, $other]) {
                $points[] = $this->nodes[$from];
                $beyond[] = $other === null ? null : ($owner[$other][$to][$from] ?? null);
            }
            [$points, $beyond] = self::straightened($points, $beyond);
            assert($points !== []);
            $faces[] = new SkeletonFace($edge, $levels[$edge][$face], $speed, $points, $beyond);
        }

        return $faces;
    }

    /**
     * @param  list<array{int, int, ?int}>  $sides
     * @return list<list<array{int, int, ?int}>>
     */
    private function cycles(array $sides): array
    {
        // A side that is gone along both ways is none.
        $count = [];
        foreach ($sides as $i => [$from, $to]) {
            $count[$from.' '.$to][] = $i;
        }
        foreach ($count as $key => $ids) {
            [$from, $to] = explode(' ', $key);
            while ($ids !== [] && ($count[$to.' '.$from] ?? []) !== [] && $from < $to) {
                unset($sides[array_pop($ids)], $sides[array_pop($count[$to.' '.$from])]);
            }
        }
        $out = [];
        foreach ($sides as $i => [$from]) {
            $out[$from][$i] = true;
        }
        $cycles = [];
        while ($sides !== []) {
            $first = array_key_first($sides);
            $cycle = [];
            $at = $first;
            while ($at !== null) {
                $side = $sides[$at];
                $cycle[] = $side;
                unset($out[$side[0]][$at], $sides[$at]);
                $at = $this->sharpest($side, array_keys($out[$side[1]] ?? []), $sides, $cycle[0][0] === $side[1]);
            }
            if (count($cycle) > 2) {
                $cycles[] = $cycle;
            }
        }

        return $cycles;
    }

    /**
     * @param  array{int, int, ?int}  $from
     * @param  list<int>  $ways
     * @param  array<int, array{int, int, ?int}>  $sides
     */
    private function sharpest(array $from, array $ways, array $sides, bool $isClosed): ?int
    {
        if ($isClosed || $ways === []) {
            return null;
        }
        $best = null;
        $least = INF;
        $back = $this->angle($from[1], $from[0]);
        foreach ($ways as $way) {
            $turn = fmod($back - $this->angle($sides[$way][0], $sides[$way][1]) + 4.0 * M_PI, 2.0 * M_PI);
            if ($turn < $least) {
                [$best, $least] = [$way, $turn];
            }
        }

        return $best;
    }

    private function angle(int $from, int $to): float
    {
        return atan2($this->nodes[$to]->y - $this->nodes[$from]->y, $this->nodes[$to]->x - $this->nodes[$from]->x);
    }

    /**
     * @param  list<Vec3>  $points
     * @param  list<?int>  $beyond
     * @return array{list<Vec3>, list<?int>}
     */
    private static function straightened(array $points, array $beyond): array
    {
        for ($i = 0; $i < count($points) && count($points) > 3;) {
            $n = count($points);
            $before = ($i + $n - 1) % $n;
            $one = $points[$i]->minus($points[$before]);
            $other = $points[($i + 1) % $n]->minus($points[$i]);
            if (
                $beyond[$before] === $beyond[$i]
                && $one->cross($other)->length() < Tolerance::ROUNDING * max(1.0, $one->length() * $other->length())
            ) {
                array_splice($points, $i, 1);
                array_splice($beyond, $i, 1);
                $i = max(0, $i - 1);

                continue;
            }
            $i++;
        }

        return [$points, $beyond];
    }
}
