<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Form\Claims\Site;
use LogicException;

/** A building as surfaces without thickness, walls and roofs resolved together. */
final readonly class Form
{
    use CopiesWith;

    /**
     * @param  non-empty-list<BlockForm>  $blocks
     * @param  list<Facet>  $facets  of all roofs, cut to what is seen
     * @param  list<Solid>  $solids  what each block takes up
     * @param  list<Site>  $sites  where things are that say so themselves
     * @param  ?list<Facet>  $under  the planes as far as the card under the outermost layer goes; null where that goes as far
     */
    public function __construct(
        public array $blocks,
        public array $facets,
        public array $solids,
        public array $sites = [],
        public ?array $under = null,
    ) {
    }

    /** @return list<WallForm> of all blocks */
    public function walls(): array
    {
        return array_merge(...array_map(static fn (BlockForm $b): array => $b->walls, $this->blocks));
    }

    /** Gives the height of the building over a place, above the datum. */
    public function top(): float
    {
        return max(array_map(static fn (BlockForm $b): float => $b->top(), $this->blocks));
    }

    public function plane(PlaneId $id): Facet
    {
        foreach ($this->blocks[$id->block]->roof->facets as $facet) {
            if ($facet->edge === $id->edge && $facet->level === $id->level) {
                return $facet;
            }
        }
        throw new LogicException("No plane {$id->key()}");
    }
}
