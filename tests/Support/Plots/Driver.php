<?php

declare(strict_types=1);

namespace Tests\Support\Plots;

/**
 * Drives a vehicle along a track of straights and curves, on a line of very many points, and measures how near its sides come to a place.
 * It shares nothing with the core. Millimetres.
 */
final class Driver
{
    /** The line has a point so often. */
    private const STEP_MM = 0.05;

    /** Beyond its ends it goes on straight by so much. */
    private const BEYOND_MM = 400.0;

    /** @var list<array{float, float}> */
    private array $line = [];

    private readonly float $length;

    /** @param  list<array{float, float, int}>  $pieces  length, radius (0: straight) and turn, 1 to the left */
    public function __construct(float $x, float $y, float $headingDeg, array $pieces)
    {
        $angle = deg2rad($headingDeg);
        [$x, $y] = [$x - self::BEYOND_MM * cos($angle), $y - self::BEYOND_MM * sin($angle)];
        foreach ([[self::BEYOND_MM, 0.0, 0], ...$pieces, [self::BEYOND_MM, 0.0, 0]] as [$length, $radius, $turn]) {
            $steps = (int) round($length / self::STEP_MM);
            for ($i = 0; $i < $steps; $i++) {
                $this->line[] = [$x, $y];
                // In the middle of a step it heads where it is to go.
                $by = $length / $steps;
                $bend = $radius > 0.0 ? $turn * $by / $radius : 0.0;
                [$x, $y] = [$x + $by * cos($angle + $bend / 2.0), $y + $by * sin($angle + $bend / 2.0)];
                $angle += $bend;
            }
        }
        $this->length = array_sum(array_column($pieces, 0));
    }

    /**
     * The least distance of a vehicle's sides and ends from any of some places, on its whole way.
     *
     * @param  list<array{float, float}>  $places
     */
    public function nearest(array $places, float $long, float $wide, float $centres, float $bogie, float $every = 0.25): float
    {
        $least = INF;
        for ($rear = 0.0; $rear < $this->length + 2.0 * self::BEYOND_MM - $long * 1.7; $rear += $every) {
            $at = (int) round($rear / self::STEP_MM);
            [$bx, $by] = $this->pivot($at, $bogie);
            $next = $this->ahead($at, $centres, fn (int $i): array => $this->pivot($i, $bogie), [$bx, $by]);
            [$fx, $fy] = $this->pivot($next, $bogie);
            $d = hypot($fx - $bx, $fy - $by);
            [$ux, $uy] = [($fx - $bx) / $d, ($fy - $by) / $d];
            [$cx, $cy] = [($fx + $bx) / 2.0, ($fy + $by) / 2.0];
            foreach ($places as [$x, $y]) {
                $along = abs(($x - $cx) * $ux + ($y - $cy) * $uy) - $long / 2.0;
                $aside = abs(($y - $cy) * $ux - ($x - $cx) * $uy) - $wide / 2.0;
                $off = max($along, $aside) > 0.0 ? hypot(max(0.0, $along), max(0.0, $aside)) : max($along, $aside);
                $least = min($least, $off);
            }
        }

        return $least;
    }

    /** @return array{float, float} the middle of a bogie whose rear wheels stand at a point of the line */
    private function pivot(int $rear, float $bogie): array
    {
        [$x, $y] = $this->line[$rear];
        [$u, $v] = $bogie > 0.0 ? $this->line[$this->ahead($rear, $bogie, fn (int $i): array => $this->line[$i], [$x, $y])] : [$x, $y];

        return [($x + $u) / 2.0, ($y + $v) / 2.0];
    }

    /**
     * The point of the line that is so far away, as the crow flies.
     *
     * @param  callable(int): array{float, float}  $place
     * @param  array{float, float}  $from
     */
    private function ahead(int $at, float $distance, callable $place, array $from): int
    {
        [$low, $high] = [$at, $at + (int) ceil($distance * 1.6 / self::STEP_MM)];
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$x, $y] = $place($middle);
            [$low, $high] = hypot($x - $from[0], $y - $from[1]) < $distance ? [$middle, $high] : [$low, $middle];
        }

        return $high;
    }
}
