<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Measure\Tolerance;

/** Pieces in their places. Bins are counted from nought, and the last is the one with most room. */
final readonly class Packing
{
    /**
     * @param  list<Place>  $places
     * @param  float  $lastTop  how far up the last bin is used, mm
     * @param  float  $lastArea  how much lies in it, mm²
     */
    private function __construct(
        public array $places,
        public int $bins,
        public float $lastTop,
        private float $lastArea,
    ) {
    }

    /** @param  list<Place>  $places */
    public static function of(array $places): self
    {
        $bins = $places === [] ? 0 : 1 + max(array_map(static fn (Place $p): int => $p->bin, $places));
        $top = $area = 0.0;
        foreach ($places as $place) {
            if ($place->bin === $bins - 1) {
                $top = max($top, $place->y + $place->shape()->height);
                $area += $place->shape()->area;
            }
        }

        return new self($places, $bins, $top, $area);
    }

    /** Less is better: bins, then how full the last one is, by what lies in it and by how high it reaches. */
    public function cost(Bin $bin): float
    {
        $full = ($this->lastArea / ($bin->width * $bin->height) + $this->lastTop / $bin->height) / 2.0;

        return $this->bins + $full * (1.0 - Tolerance::FIGURE);
    }

    /** @return list<non-empty-list<Place>> by bin */
    public function byBin(): array
    {
        $bins = [];
        foreach ($this->places as $place) {
            $bins[$place->bin][] = $place;
        }
        ksort($bins);

        return array_values($bins);
    }
}
