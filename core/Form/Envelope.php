<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * Cuts the roofs of blocks to what is seen of them: a plane ends where it enters another block, and where two overhangs
 * run into each other. docs/formulas.md#envelope
 */
final readonly class Envelope
{
    /** Heights nearer than this are equal, mm. */
    private const SAME = 1e-7;

    /** Pieces smaller than this, mm², are nothing that can be cut. */
    private const LEAST_MM2 = 0.01;

    /** A patch that comes this near to its block's outline stands on it, mm. */
    private const TOUCHES = 0.001;

    /**
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness  of each block's walls, by edge: a wall that comes out of a roof stands on it
     * @param  float  $roof  thickness of the roof: cut square, its eaves reach further out by so much times sin of the pitch
     */
    private function __construct(
        private array $solids,
        private array $thickness,
        private float $roof,
    ) {
    }

    /**
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness
     * @return list<Facet>
     */
    public static function of(array $solids, array $thickness, float $roof): array
    {
        if (count($solids) === 1) {
            return $solids[0]->roof->facets;
        }
        $self = new self($solids, $thickness, $roof);
        $self = new self(array_map($self->withTail(...), $solids), $thickness, $roof);
        $facets = [];
        foreach ($self->solids as $solid) {
            foreach ($solid->roof->facets as $facet) {
                $facets[] = self::rooted($self->cut($facet), $solid);
            }
        }

        return array_values(array_filter($facets, static fn (Facet $f): bool => $f->patches !== []));
    }

    /** A roof that runs on into another ends where it first dies into that, though it may be higher again behind it. */
    private function withTail(Solid $solid): Solid
    {
        if ($solid->tails === []) {
            return $solid;
        }
        $seen = [];
        foreach ($solid->roof->facets as $facet) {
            foreach (self::rooted($this->cut($facet), $solid)->patches as $patch) {
                $seen[] = $patch->outline;
            }
        }

        return $solid->withTail($seen);
    }

    private static function rooted(Facet $facet, Solid $solid): Facet
    {
        return $solid->tails === [] ? $facet : $facet->with(array_values(array_filter($facet->patches, static function (Patch $patch) use ($solid): bool {
            foreach ($patch->outline->points as $i => $point) {
                if ($solid->contains($point) || $solid->contains($point->plus($patch->outline->point($i + 1))->times(0.5)) || $solid->ring->distanceTo($point) < self::TOUCHES) {
                    return true;
                }
            }

            return false;
        })));
    }

    private function cut(Facet $facet): Facet
    {
        $box = $facet->whole->outline->bounds();
        $near = array_values(array_filter($this->solids, static fn (Solid $s): bool => $s->index !== $facet->block && $s->roof->outline !== null && $box->meets($s->roof->outline->bounds())
            || $s->index !== $facet->block && $box->meets($s->ring->bounds())));
        if ($near === []) {
            return $facet;
        }
        $own = $this->solids[$facet->block];
        $stubs = array_merge(...array_map(fn (Solid $s): array => Overhangs::stubs($facet, $own, $s, $this->roof), $near));
        // Cut square, its edges lean out over that side by so much.
        $lean = $this->roof * $facet->pitch->sin();
        // Where lines lie on each other the first says what the side is: a ridge before what happens to run along it, a wall
        // before an eaves that ends at it.
        $sides = $facet->whole->lines();
        $isShared = static fn (Line $line): bool => str_starts_with($line->label, 'plane:');
        $lines = [
            ...array_values(array_filter($sides, $isShared)),
            ...array_merge(...array_map(fn (Solid $s): array => $this->meetings($facet, $s, $box), $near)),
            ...array_merge(...array_map(static fn (Solid $s): array => $s->edges(), $near)),
            ...$sides,
            ...Overhangs::plain($own->ring), ...Overhangs::plain(Offset::lines($own->ring, array_fill(0, $own->ring->count(), -$lean))),
            ...array_merge(...array_map(fn (Solid $s): array => [...$s->tailEdges(), ...$this->feet($facet, $s, $box)], $near)), ...$own->tailEdges(),
            ...array_merge(...array_map(static fn (Patch $p): array => $p->lines(), $stubs)),
        ];
        $outline = $facet->whole->outline;
        $patches = Overlay::patches($lines, function (Vec2 $at) use ($outline, $facet, $near, $own, $stubs): bool {
            if (! $outline->contains($at) || ! $this->isOver($own, $at, $near)) {
                return false;
            }
            foreach ($near as $solid) {
                if ($this->hides($solid, $facet, $at, $own)) {
                    return false;
                }
            }
            foreach ($stubs as $stub) {
                if ($stub->outline->contains($at)) {
                    return false;
                }
            }

            return true;
        }, fn (string $label, Vec2 $at): string => $this->named($label, $at, $own, $lean));

        return $facet->with(array_values(array_filter($patches, static fn (Patch $p): bool => $p->area() > self::LEAST_MM2)));
    }

    /** An overhang that comes down on another block's roof ends on top of it: only inside its own block is that roof cut. */
    private function named(string $label, Vec2 $at, Solid $own, float $lean): string
    {
        [$kind, $block] = [...explode(':', $label), ''];
        if ($kind !== 'plane' || (int) $block === $own->index || $own->mayReach($at)) {
            return $label;
        }
        $other = $this->solids[(int) $block];
        $isInside = $own->contains($at) && ! ($own->ring->distanceTo($at) < $lean && $other->ring->distanceTo($at) > $lean);

        return ! $isInside && $other->contains($at) ? 'over'.substr($label, 5) : $label;
    }

    /**
     * A roof that runs on beyond its block does so only over the blocks it runs into.
     *
     * @param  list<Solid>  $near
     */
    private function isOver(Solid $own, Vec2 $at, array $near): bool
    {
        if (! $own->isBesideTail($at)) {
            return true;
        }
        foreach ($near as $solid) {
            if ($solid->contains($at)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Where a plane is as high as another block's planes.
     *
     * @return list<Line>
     */
    private function meetings(Facet $facet, Solid $solid, Box2 $box): array
    {
        $lines = [];
        foreach ($solid->roof->facets as $other) {
            $bounds = $other->whole->outline->bounds();
            if ($box->meets($bounds)) {
                $lines = [...$lines, ...$facet->levelWith($other, $bounds)];
            }
        }

        return $lines;
    }

    /** Whether a place of a plane lies inside another block, and no wall of that block stands on it. */
    private function hides(Solid $solid, Facet $facet, Vec2 $at, Solid $own): bool
    {
        $isInside = $solid->contains($at);
        if (! $isInside && ! ($solid->reaches($at) && ($own->contains($at) || $this->isInOther($solid, $own, $at)))) {
            return false;
        }
        $height = $facet->heightAt($at);
        $top = $solid->top($at);
        if (abs($height - $top) <= self::SAME) {
            return $solid->index < $facet->block;
        }

        return $height < $top && ! ($isInside && $own->contains($at) && $this->isUnderWall($solid, $height + $this->roof / $facet->pitch->cos(), $at));
    }

    private function isInOther(Solid $solid, Solid $own, Vec2 $at): bool
    {
        foreach ($this->solids as $other) {
            if ($other->index !== $solid->index && $other->index !== $own->index && $other->contains($at)) {
                return true;
            }
        }

        return false;
    }

    /** Walls that come out of a roof stand on it: under them it goes on. */
    private function isUnderWall(Solid $solid, float $top, Vec2 $at): bool
    {
        foreach ($this->thickness[$solid->index] as $edge => $thickness) {
            $a = $solid->ring->point($edge);
            $along = $solid->ring->point($edge + 1)->minus($a);
            $depth = $along->cross($at->minus($a)) / $along->length();
            if ($depth > 0.0 && $depth < $thickness && $top < $solid->eaves - self::SAME) {
                return true;
            }
        }

        return false;
    }

    /**
     * The inner faces of a block's walls, and where a roof's top rises past its eaves.
     *
     * @return list<Line>
     */
    private function feet(Facet $facet, Solid $solid, Box2 $box): array
    {
        $lines = [];
        foreach ($this->thickness[$solid->index] as $edge => $thickness) {
            $a = $solid->ring->point($edge);
            $b = $solid->ring->point($edge + 1);
            $along = $b->minus($a)->times(1.0 / $b->distanceTo($a));
            $in = (new Vec2(-$along->y, $along->x))->times($thickness);
            $lines[] = new Line($a->plus($in), $b->plus($in), 'foot');
        }
        $slope = $facet->gradient();
        $steep = $slope->length();
        if ($steep > 1e-9) {
            $centre = $box->centre();
            $foot = $centre->minus($slope->times(($facet->heightAt($centre) + $this->roof / $facet->pitch->cos() - $solid->eaves) / ($steep * $steep)));
            $way = (new Vec2(-$slope->y, $slope->x))->times(($box->width() + $box->height()) / $steep);
            $lines[] = new Line($foot->minus($way), $foot->plus($way), 'foot');
        }

        return $lines;
    }
}
