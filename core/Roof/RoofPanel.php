<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Side;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Ref;

/** One panel of one layer, with what its sides meet. */
final readonly class RoofPanel
{
    /**
     * @param  int  $patch  which of the facet's patches it is of
     * @param  int  $piece  0, or which of several that one plane is cut into
     * @param  list<string>  $labels  of each edge of the outline, as Facet has them
     * @param  list<list<string>>  $holeLabels  the same of each hole
     */
    public function __construct(
        public Facet $facet,
        public int $patch,
        public int $piece,
        public int $layer,
        public array $labels,
        public array $holeLabels,
        public Part $part,
    ) {
    }

    /**
     * With sides that meet nothing and stay clear.
     *
     * @param  callable(int, string): bool  $isFree  by side and label, of those that are not free already
     */
    public function freed(callable $isFree): self
    {
        $edges = $this->part->outline->edges;
        $free = array_filter(
            $this->labels,
            static fn (string $label, int $i): bool => $edges[$i]->free === null && $isFree($i, $label),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($free === []) {
            return $this;
        }
        $part = $this->part->withEdges(array_map(
            static fn (Edge $edge, int $i): Edge => isset($free[$i]) ? new Edge($edge->name, 'clearance') : $edge,
            $edges,
            array_keys($edges),
        ));

        return new self($this->facet, $this->patch, $this->piece, $this->layer, $this->labels, $this->holeLabels, $part);
    }

    /** Whether both are of one piece of one plane. */
    public function isOver(self $other): bool
    {
        return $this->facet->id()->key() === $other->facet->id()->key() && $this->piece === $other->piece;
    }

    /** @return list<array{?int, int}> hole and edge of every side on which it meets the plane of another panel */
    public function meetings(self $other): array
    {
        $sides = [];
        $met = Side::plane($other->facet->id());
        foreach ([null, ...array_keys($this->holeLabels)] as $hole) {
            foreach ($hole === null ? $this->labels : $this->holeLabels[$hole] as $edge => $label) {
                if ($label === $met) {
                    $sides[] = [$hole, $edge];
                }
            }
        }

        return $sides;
    }

    public function lengthOf(?int $hole, int $edge, string $face): float
    {
        return ($hole === null ? $this->part->outline->face($face) : $this->part->holes[$hole])->edgeLength($edge);
    }

    public function ref(?int $hole, int $edge): Ref
    {
        return $hole === null ? Ref::edge($this->part->id, $edge) : Ref::holeEdge($this->part->id, $hole, $edge);
    }
}
