<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Block;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Describes the space that a block takes up: its footprint from base to roof, and the roofs that run on into its neighbours. */
final readonly class Solid
{
    /**
     * @param  list<Ring>  $tails  where its roof may run on beyond the footprint
     * @param  list<int>  $gables  edges under which no slope comes down
     * @param  ?list<Ring>  $seen  where it does, once that is known
     */
    private function __construct(
        public int $index,
        public Ring $ring,
        public float $base,
        public float $eaves,
        public RoofForm $roof,
        public array $tails,
        public bool $hasParapet,
        public array $gables,
        private ?array $seen = null,
    ) {
    }

    public static function of(int $index, Block $block, Ring $ring, float $base, float $eaves, RoofForm $roof, float $reach): self
    {
        $tails = [];
        foreach ($block->roof->edges as $i => $edge) {
            // Beyond the last edge are those of which low relief has left nothing.
            if ($i < $ring->count() && $block->roof->runsOn($edge) && $reach > 0.0) {
                $tails[] = self::tail($ring, $i, $reach);
            }
        }

        return new self(
            $index,
            $ring,
            $base,
            $eaves,
            $roof,
            $tails,
            $block->roof->isBehindWalls(),
            array_values(array_filter(
                array_keys($ring->points),
                static fn (int $edge): bool => ($block->roof->edges[$edge] ?? null)?->slopesFromEaves() !== true,
            )),
        );
    }

    /** Outlines a tail beyond an edge, between the lines of the neighbouring edges carried on. */
    private static function tail(Ring $ring, int $edge, float $reach): Ring
    {
        $a = $ring->point($edge);
        $b = $ring->point($edge + 1);
        $left = $a->minus($ring->point($edge - 1));
        $right = $b->minus($ring->point($edge + 2));

        return new Ring([$a, $a->plus($left->times($reach / $left->length())), $b->plus($right->times($reach / $right->length())), $b]);
    }

    /** @return list<Line> of the footprint */
    public function edges(): array
    {
        return array_map(
            fn (int $i): Line => new Line($this->ring->point($i), $this->ring->point($i + 1), Side::wall($this->index, $i)),
            array_keys($this->ring->points),
        );
    }

    /** @return list<Line> of the footprint, where its own roof ends at it */
    public function outsides(): array
    {
        return array_map(
            fn (int $i): Line => new Line($this->ring->point($i), $this->ring->point($i + 1), Side::within($this->index, $i)),
            array_keys($this->ring->points),
        );
    }

    /** @return list<Line> */
    public function tailEdges(): array
    {
        $lines = [];
        foreach ($this->tails as $tail) {
            foreach (array_keys($tail->points) as $i) {
                $lines[] = new Line($tail->point($i), $tail->point($i + 1), SideKind::Open->value);
            }
        }

        // The overhang beside it ends with the block where there is nothing to run into.
        return [...$lines, ...$this->roots()];
    }

    /** Whether footprints share more than a line. */
    public function overlaps(self $that): bool
    {
        return Clip::sharedArea(new Region($this->ring), new Region($that->ring)) > 0.01;
    }

    /** Whether it stands on another's roof: all of its footprint lies over it, as a dormer's does. */
    public function standsIn(self $that): bool
    {
        foreach ($this->ring->points as $point) {
            if (! $that->contains($point) && $that->ring->distanceTo($point) > Tolerance::PLANE) {
                return false;
            }
        }

        return $this->index !== $that->index;
    }

    public function contains(Vec2 $at): bool
    {
        return $this->ring->contains($at);
    }

    /** Whether a place lies in it or at one of its walls. */
    public function holds(Vec2 $at): bool
    {
        return $this->contains($at) || $this->ring->distanceTo($at) < Tolerance::PLANE;
    }

    /** Whether its roof may run on to a place beyond its footprint. */
    public function mayReach(Vec2 $at): bool
    {
        return self::isIn($this->tails, $at);
    }

    /** Whether it does. */
    public function reaches(Vec2 $at): bool
    {
        return $this->mayReach($at) && ($this->seen === null || self::isIn($this->seen, $at));
    }

    /** Whether a wall of another block, given by the ends of its outside, stands against one of its own. */
    public function standsAgainst(Vec2 $from, Vec2 $to): bool
    {
        $along = $to->minus($from)->times(1.0 / $to->distanceTo($from));
        foreach (array_keys($this->ring->points) as $edge) {
            [$a, $b] = [$this->ring->point($edge)->minus($from), $this->ring->point($edge + 1)->minus($from)];
            $isInLine = max(abs($along->cross($a)), abs($along->cross($b))) < Tolerance::PLANE;
            if ($isInLine && max($b->dot($along), 0.0) < min($a->dot($along), $to->distanceTo($from)) - Tolerance::PLANE) {
                return true;
            }
        }

        return false;
    }

    /** How far a place lies from the nearest side of it, or of where its roof may run on. */
    public function distanceToSide(Vec2 $at): float
    {
        return min(array_map(static fn (Ring $r): float => $r->distanceTo($at), [$this->ring, ...$this->tails]));
    }

    /** @param  list<Ring>  $rings */
    private static function isIn(array $rings, Vec2 $at): bool
    {
        foreach ($rings as $ring) {
            if ($ring->contains($at)) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Ring>  $seen  what is left of its roof where it runs on */
    public function withTail(array $seen): self
    {
        return new self(
            $this->index,
            $this->ring,
            $this->base,
            $this->eaves,
            $this->roof,
            $this->tails,
            $this->hasParapet,
            $this->gables,
            $seen,
        );
    }

    /** How far a place lies behind the outside of a wall. */
    public function behind(int $edge, Vec2 $at): float
    {
        $a = $this->ring->point($edge);
        $along = $this->ring->point($edge + 1)->minus($a);

        return $along->cross($at->minus($a)) / $along->length();
    }

    /** The place on the outside of a wall that lies square before a place. */
    public function before(int $edge, Vec2 $at): Vec2
    {
        $along = $this->ring->point($edge + 1)->minus($this->ring->point($edge));

        return $at->plus((new Vec2($along->y, -$along->x))->times($this->behind($edge, $at) / $along->length()));
    }

    /** How high a wall reaches: level at the eaves under its own slope, else to the slopes over it. */
    public function wallTop(int $edge, Vec2 $at): float
    {
        foreach ($this->hasParapet ? [] : $this->roof->facets as $facet) {
            if ($facet->edge !== $edge && $facet->whole->outline->contains($at)) {
                return $facet->heightAt($at);
            }
        }

        return $this->eaves;
    }

    /** Gives the height up to which it fills a place inside it; the walls of a parapet shut in what lies between them. */
    public function top(Vec2 $at): float
    {
        return $this->hasParapet ? $this->eaves : ($this->roof->heightAt($at) ?? $this->eaves);
    }

    /** Gives the height of the solid over a place. */
    public function peak(): float
    {
        return max([
            $this->eaves,
            ...array_map(static fn (Facet $f): float => max(array_map($f->heightAt(...), $f->whole->outline->points)), $this->roof->facets),
        ]);
    }

    /** @return list<Line> the edges beyond which it runs on, carried on past their ends */
    public function roots(): array
    {
        $roots = [];
        foreach ($this->tails as $tail) {
            [$a, , , $b] = $tail->points;
            $aside = $b->minus($a)->times($tail->edgeLength(0) / $b->distanceTo($a));
            $roots[] = new Line($a->minus($aside), $b->plus($aside), SideKind::Open->value);
        }

        return $roots;
    }

    /** Says whether a place lies in a tail or in the overhang beside it: beyond the line of an edge that stands against another block. */
    public function isBesideTail(Vec2 $at): bool
    {
        return $this->beyondTail($at) > 0.0 && ! $this->contains($at);
    }

    /** Gives how far a place lies beyond the line of an edge that stands against another block; 0 where it does not. */
    public function beyondTail(Vec2 $at): float
    {
        $most = 0.0;
        foreach ($this->tails as $tail) {
            [$a, , , $b] = $tail->points;
            $along = $b->minus($a);
            $most = max($most, -$along->cross($at->minus($a)) / $along->length());
        }

        return $most;
    }
}
