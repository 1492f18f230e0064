<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Measure\Tolerance;

/**
 * Where places along one axis of the building come to lie when stretches of it are made shorter: rising, never folding over,
 * and true everywhere else. Real millimetres. docs/formulas.md#compression
 */
final readonly class AxisMap
{
    /** @param  list<array{float, float, float}>  $shrunk  stretches from and to, in order and apart, and by how much each is shorter */
    public function __construct(private array $shrunk)
    {
    }

    public function at(float $place): float
    {
        $off = 0.0;
        foreach ($this->shrunk as [$from, $to, $by]) {
            $off += $by * max(0.0, min(1.0, ($place - $from) / ($to - $from)));
        }

        return $place - $off;
    }

    /** By how much it shortens whatever spans all of it. */
    public function total(): float
    {
        return array_sum(array_column($this->shrunk, 2));
    }

    /** Whether a stretch vanishes, so that what lies within it goes. */
    public function swallows(float $from, float $to): bool
    {
        foreach ($this->shrunk as [$a, $b, $by]) {
            if ($by > $b - $a - Tolerance::FIGURE && $from > $a - Tolerance::FIGURE && $to < $b + Tolerance::FIGURE) {
                return true;
            }
        }

        return false;
    }
}
