<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry\Skeleton;

use Chartula\Core\Measure\Tolerance;
use SplMinHeap;

/** Holds the expected events of the moving outline by height: an edge vanishes, or a corner runs into a front. */
final class Events
{
    private const PARALLEL = Tolerance::ROUNDING;

    /** @var SplMinHeap<array{float, int, int, Corner, ?Corner, ?Front}> */
    private SplMinHeap $heap;

    private int $ordered = 0;

    public function __construct()
    {
        $this->heap = new SplMinHeap;
    }

    /**
     * Takes the next event at or below a height; of two at one height the vanishing edge comes first.
     *
     * @return ?array{float, Corner, ?Corner, ?Front} when, the corner, and the corner at the vanishing edge's other end or the front that
     *     is run into
     */
    public function next(float $height): ?array
    {
        if ($this->heap->isEmpty() || $this->heap->top()[0] > $height) {
            return null;
        }
        [$at, , , $one, $other, $front] = $this->heap->extract();

        return [$at, $one, $other, $front];
    }

    /** Whether and when the edge between two corners vanishes. */
    public function expectCollapse(float $now, Corner $one, Corner $other, float $same): void
    {
        $along = $one->after->along;
        $length = $along->dot($other->at($now)->minus($one->at($now)));
        $growing = $along->dot($other->motion()->minus($one->motion()));
        if ($length <= $same && $growing <= self::PARALLEL) {
            $this->heap->insert([$now, 0, $this->ordered++, $one, $other, null]);
        } elseif ($growing < 0.0) {
            $this->heap->insert([$now + max(0.0, $length) / -$growing, 0, $this->ordered++, $one, $other, null]);
        }
    }

    /** Whether and when a corner reaches the line of a front; where on it shows only then. */
    public function expectSplit(float $now, Corner $corner, Front $front, float $same): void
    {
        $gap = $front->inward->dot($corner->at($now)) - $front->offset($now);
        $closing = $front->speed - $front->inward->dot($corner->motion());
        if ($gap >= -$same && $closing > self::PARALLEL) {
            $this->heap->insert([$now + ($gap <= $same ? 0.0 : $gap / $closing), 1, $this->ordered++, $corner, null, $front]);
        }
    }
}
