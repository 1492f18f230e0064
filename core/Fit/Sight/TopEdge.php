<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Measure\Tolerance;

/**
 * What an eye sees over a building of one place of its back edge. Distances along the line of sight in shares of the way to that edge,
 * heights in model millimetres. docs/formulas.md#sight
 */
final readonly class TopEdge
{
    /** @param  list<array{float, float}>  $heights  of what stands between the eye and the edge, the edge among it */
    public function __construct(private array $heights)
    {
    }

    public function height(): float
    {
        return max([-INF, ...array_map(static fn (array $h): float => $h[0] > 1.0 - Tolerance::SHARE ? $h[1] : -INF, $this->heights)]);
    }

    /** The least height of an eye that sees its top, past all that stands before it. */
    public function shownFrom(): float
    {
        $top = $this->height();

        return max([$top, ...$this->over($top)]);
    }

    /**
     * Lines from the edge over all that stands before it, to where the eye is.
     *
     * @return list<float>
     */
    private function over(float $top): array
    {
        $before = array_values(array_filter($this->heights, static fn (array $h): bool => $h[0] < 1.0 - Tolerance::SHARE && $h[0] > 0.0));

        return array_map(static fn (array $h): float => $top + ($h[1] - $top) / (1.0 - $h[0]), $before);
    }

    /**
     * How far down an eye sees what stands behind the edge.
     *
     * @param  float  $eye  its height
     * @param  float  $behind  the whole way to what stands there, in shares of that to the edge
     */
    public function seenDownTo(float $eye, float $behind): float
    {
        return max([
            -INF,
            ...array_map(static fn (array $h): float => $h[0] > 0.0 ? $eye + ($h[1] - $eye) * $behind / $h[0] : -INF, $this->heights),
        ]);
    }
}
