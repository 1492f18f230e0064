<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** One wall of a block, seen from outside. */
final readonly class Wall
{
    use CopiesWith;

    /**
     * @param  int  $edge  of the footprint, from corner edge to corner edge + 1
     * @param  list<Opening>  $openings
     * @param  ?array{RealLength, RealLength}  $ground  levels above the datum at its left and its right end; null: the block's base
     * @param  array<value-of<AsBuilt::OF_WALLS>, AsBuilt>  $built  what was measured of it
     * @param  ?string  $paper  one of a person's own, in which the finish is printed
     * @param  ?string  $palette  one of a person's own, whose colours it has
     */
    public function __construct(
        public int $edge,
        public string $name,
        public Finish $finish,
        public Treatment $treat,
        public string $stack,
        public array $openings,
        public ?array $ground,
        public string $path,
        public array $built = [],
        public ?string $paper = null,
        public ?string $palette = null,
    ) {
    }

    /** Whether no card is cut for it. */
    public function isLeftOut(): bool
    {
        return $this->treat === Treatment::Omit;
    }

    /** Whether something is drawn on it. */
    public function isCovered(): bool
    {
        return $this->treat === Treatment::Full && ($this->finish->isDrawn() || $this->paper !== null);
    }
}
