<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Tolerance;
use Chartula\Core\Geometry\Vec2;
use LogicException;

/** A ring whose every edge has a name. */
final readonly class Outline
{
    /** @param  non-empty-list<Edge>  $edges edge i runs from point i to point i + 1 */
    public function __construct(
        public Ring $ring,
        public array $edges,
    ) {
        if (count($edges) !== $ring->count()) {
            throw new LogicException('Every edge of an outline has a name');
        }
    }

    /**
     * From a walk round the shape: each entry is a point and the edge that leaves it. Repeated points are left out.
     *
     * @param  non-empty-list<array{Vec2, Edge}>  $walk
     */
    public static function walk(array $walk): self
    {
        $points = [];
        $edges = [];
        foreach ($walk as $i => [$point, $edge]) {
            $next = $walk[($i + 1) % count($walk)][0];
            if ($point->distanceTo($next) > Tolerance::SAME) {
                $points[] = $point;
                $edges[] = $edge;
            }
        }
        if ($points === [] || $edges === []) {
            throw new LogicException('An outline without an extent');
        }

        return new self(new Ring($points), $edges);
    }

    public static function rectangle(float $width, float $height, Edge $foot, Edge $right, Edge $top, Edge $left): self
    {
        return new self(Ring::rectangle(0.0, 0.0, $width, $height), [$foot, $right, $top, $left]);
    }

    /** The index of the first edge of that name. */
    public function edge(string $name): int
    {
        foreach ($this->edges as $i => $edge) {
            if ($edge->name === $name) {
                return $i;
            }
        }
        throw new LogicException("No edge $name");
    }

    /** @return list<int> */
    public function edgesNamed(string $name): array
    {
        return array_keys(array_filter($this->edges, static fn (Edge $edge): bool => $edge->name === $name));
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->ring->moved($dx, $dy), $this->edges);
    }
}
