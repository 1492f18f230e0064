<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Packing\Place;
use Chartula\Core\Stock\Stock;

/** Pieces of one stock in their places, before it is said on which page: as wide as a page and as high as they reach. */
final readonly class Band
{
    /**
     * @param  non-empty-list<Place>  $places  from the band's lower left
     * @param  array<string, Lot>  $lots  by key
     * @param  string  $medium  bands of one medium may share a page
     */
    public function __construct(
        public Stock $stock,
        public string $medium,
        public array $places,
        private array $lots,
    ) {
    }

    public function height(): float
    {
        return max(array_map(static fn (Place $p): float => $p->y + $p->shape()->height, $this->places));
    }

    /** @param  array<string, int>  $ranks  of lots, by key */
    public function rank(array $ranks): float
    {
        return array_sum(array_map(static fn (Place $p): int => $ranks[$p->piece->key], $this->places)) / count($this->places);
    }

    public function frame(Page $page, float $y): Frame
    {
        $parts = [];
        foreach ($this->places as $place) {
            array_push($parts, ...$this->lots[$place->piece->key]->placed($place, $page->roomX(), $y));
        }

        return new Frame(
            $this->stock,
            new Box2($page->roomX(), $y, $page->roomX() + $page->roomWidth(), $y + $this->height()),
            $parts,
        );
    }
}
