<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/**
 * Where places along one axis of the building come to lie when stretches of it are made shorter: rising, never folding over,
 * and true everywhere else. Real millimetres. docs/formulas.md#compression
 */
final readonly class AxisMap
{
    /** @param  list<Shrink>  $shrunk  in order and apart */
    public function __construct(private array $shrunk)
    {
    }

    public function at(float $place): float
    {
        $off = 0.0;
        foreach ($this->shrunk as $one) {
            $off += $one->by * max(0.0, min(1.0, ($place - $one->stretch->from) / $one->stretch->length()));
        }

        return $place - $off;
    }

    /** Whether a stretch that vanishes begins at a place. */
    public function begins(float $place): bool
    {
        foreach ($this->shrunk as $one) {
            if ($one->by > $one->stretch->length() - Tolerance::FIGURE && abs($one->stretch->from - $place) < Tolerance::FIGURE) {
                return true;
            }
        }

        return false;
    }

    /** Adds up how much shorter the whole axis becomes. */
    public function total(): float
    {
        return array_sum(array_map(static fn (Shrink $one): float => $one->by, $this->shrunk));
    }

    /** Whether a stretch vanishes, so that what lies within it goes. */
    public function swallows(Interval $place): bool
    {
        foreach ($this->shrunk as $one) {
            if ($one->by > $one->stretch->length() - Tolerance::FIGURE && $place->isWithin($one->stretch, Tolerance::FIGURE)) {
                return true;
            }
        }

        return false;
    }
}
