<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use LogicException;

/** A ring whose every edge has a name, and where edges are bevelled the ring of the other face. docs/formulas.md#bevels */
final readonly class Outline
{
    /**
     * @param  Ring  $ring  on the outside face
     * @param  non-empty-list<Edge>  $edges edge i runs from point i to point i + 1
     * @param  ?Ring  $inside  on the inside face, point for point; null where no edge is bevelled
     */
    public function __construct(
        public Ring $ring,
        public array $edges,
        public ?Ring $inside = null,
    ) {
        if (count($edges) !== $ring->count() || ($inside !== null && $inside->count() !== $ring->count())) {
            throw new LogicException('Every edge of an outline has a name, and both faces have as many');
        }
    }

    /**
     * Sides in two plain lists: of every part that is kept there are some.
     *
     * @return array{Ring, ?Ring, list<string>, array<int, string>}
     */
    public function __serialize(): array
    {
        $free = array_map(static fn (Edge $e): ?string => $e->free, $this->edges);

        return [
            $this->ring, $this->inside, array_map(static fn (Edge $e): string => $e->name, $this->edges),
            array_filter($free, static fn (?string $one): bool => $one !== null),
        ];
    }

    /** @param  array{Ring, ?Ring, non-empty-list<string>, array<int, value-of<Edge::FREE>>}  $data */
    public function __unserialize(array $data): void
    {
        [$this->ring, $this->inside, $names, $free] = $data;
        $this->edges = array_map(static fn (string $name, int $i): Edge => new Edge($name, $free[$i] ?? null), $names, array_keys($names));
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

    /** @return list<array{edge: int, name: string, free?: string}> */
    public function edgesToArray(): array
    {
        return array_map(static fn (Edge $e, int $i): array => $e->toArray($i), $this->edges, array_keys($this->edges));
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->ring->moved($dx, $dy), $this->edges, $this->inside?->moved($dx, $dy));
    }

    public function face(string $face): Ring
    {
        return $face === 'inside' ? $this->inside ?? $this->ring : $this->ring;
    }

    /** What is cut square before edges are bevelled: each edge as far out as it goes on either face. */
    public function blank(): Ring
    {
        return $this->inside === null
            ? $this->ring
            : Offset::lines($this->ring, array_map(fn (int $i): float => max(0.0, $this->wider($i)), array_keys($this->edges)));
    }

    /** @return array<int, Bevel> by edge */
    public function bevels(float $thickness): array
    {
        $bevels = [];
        foreach ($this->inside === null ? [] : array_keys($this->edges) as $i) {
            $wider = $this->wider($i);
            if (abs($wider) > Tolerance::SAME) {
                $bevels[$i] = new Bevel($i, rad2deg(atan2(abs($wider), $thickness)), $wider > 0.0 ? 'inside' : 'outside');
            }
        }

        return $bevels;
    }

    /** How much further out an edge stands on the inside face than on the outside face. */
    private function wider(int $edge): float
    {
        $along = $this->ring->point($edge + 1)->minus($this->ring->point($edge));
        $off = ($this->inside ?? $this->ring)->point($edge)->minus($this->ring->point($edge));

        return -$along->times(1.0 / $along->length())->cross($off);
    }
}
