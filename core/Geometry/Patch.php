<?php

declare(strict_types=1);

namespace Chartula\Core\Geometry;

/** A flat shape whose every side has a label: an outline, counter-clockwise, and holes, clockwise. */
final readonly class Patch
{
    /**
     * @param  non-empty-list<string>  $labels  of side i of the outline, from point i to point i + 1
     * @param  list<Ring>  $holes
     * @param  list<non-empty-list<string>>  $holeLabels
     */
    public function __construct(
        public Ring $outline,
        public array $labels,
        public array $holes = [],
        public array $holeLabels = [],
    ) {
    }

    public function region(): Region
    {
        return new Region($this->outline, $this->holes);
    }

    public function area(): float
    {
        return $this->region()->area();
    }

    /** @return list<Line> */
    public function lines(): array
    {
        $lines = [];
        foreach ([$this->outline, ...$this->holes] as $k => $ring) {
            foreach ($k === 0 ? $this->labels : $this->holeLabels[$k - 1] as $i => $label) {
                $lines[] = new Line($ring->point($i), $ring->point($i + 1), $label);
            }
        }

        return $lines;
    }

    /** @param  callable(Vec2): Vec2  $map  that keeps straight lines straight and turns nothing over */
    public function mapped(callable $map): self
    {
        $ring = static fn (Ring $r): Ring => new Ring(array_map($map, $r->points));

        return new self($ring($this->outline), $this->labels, array_map($ring, $this->holes), $this->holeLabels);
    }

    /** The same, its outline begun at point $first. */
    public function turned(int $first): self
    {
        $points = [...array_slice($this->outline->points, $first), ...array_slice($this->outline->points, 0, $first)];
        $labels = [...array_slice($this->labels, $first), ...array_slice($this->labels, 0, $first)];
        assert($points !== [] && $labels !== []);

        return new self(new Ring($points), $labels, $this->holes, $this->holeLabels);
    }
}
