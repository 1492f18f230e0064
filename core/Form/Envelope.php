<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Problems;

/**
 * Cuts the roofs of blocks to what is seen of them: a plane ends where it enters another block, and where two overhangs
 * run into each other. docs/formulas.md#envelope
 */
final readonly class Envelope
{
    /** A point beside a line is taken so far to either side of it, mm. */
    private const ASIDE = 0.001;

    /** A piece smaller than this, mm², cannot be cut. */
    private const LEAST_MM2 = 0.01;

    /**
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness  of each block's walls, by edge: a wall that comes out of a roof stands on it
     * @param  list<string>  $paths  of each block's roof, for faults
     * @param  float  $roof  thickness of the roof: cut square, its eaves reach further out by so much times sin of the pitch
     */
    private function __construct(
        private array $solids,
        private array $thickness,
        private float $roof,
        private Problems $problems,
        private array $paths,
    ) {
    }

    /**
     * @param  list<Solid>  $solids
     * @param  list<list<float>>  $thickness
     * @param  list<string>  $paths
     * @return list<Facet>
     */
    public static function of(array $solids, array $thickness, float $roof, Problems $problems, array $paths): array
    {
        if (count($solids) === 1) {
            return $solids[0]->roof->facets;
        }
        // First each for itself, as though no other ran on; then all together.
        $self = new self(array_map(static fn (Solid $s): Solid => $s->withTail([]), $solids), $thickness, $roof, $problems, $paths);
        $self = new self(array_map($self->withTail(...), $solids), $thickness, $roof, $problems, $paths);
        $facets = [];
        foreach ($self->solids as $solid) {
            foreach ($solid->roof->facets as $facet) {
                $facets[] = Tails::rooted($self->cut($facet), $solid);
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
        $runsOver = false;
        $into = self::above($solid, $this->solids);
        foreach ($solid->roof->facets as $facet) {
            foreach (Tails::rooted($this->cut($facet), $solid)->patches as $patch) {
                $seen[] = $patch->outline;
                $runsOver = $runsOver || Tails::runOver($patch, $solid, $into);
            }
        }
        if ($runsOver) {
            $highest = max([$solid->eaves, ...array_map(static fn (Solid $s): float => $s->peak(), $into)]);
            $isHigher = $solid->peak() > $highest - Tolerance::SAME;
            $this->problems->add($this->paths[$solid->index].'.edges', $isHigher ? 'roof.runs-over' : 'roof.runs-beside');
        }

        return $solid->withTail($seen);
    }

    private function cut(Facet $facet): Facet
    {
        $box = $facet->whole->outline->bounds();
        $near = array_values(
            array_filter(
                $this->solids,
                static fn (Solid $s): bool =>
                    $s->index !== $facet->block && $s->roof->outline !== null && $box->meets($s->roof->outline->bounds())
                        || $s->index !== $facet->block && $box->meets($s->ring->bounds()),
            ),
        );
        if ($near === []) {
            return $facet;
        }
        $own = $this->solids[$facet->block];
        $stubs = array_merge(...array_map(fn (Solid $s): array => Overhangs::stubs($facet, $own, $s, $this->roof), $near));
        $notches = array_merge(...array_map(fn (Solid $s): array => Overhangs::notches($facet, $own, $s, $this->roof), $near));
        $lean = $this->roof * $facet->pitch->sin();
        // Where lines lie on each other the first says what the side is: a ridge before what happens to run along it, a wall
        // before an eaves that ends at it.
        $sides = $facet->whole->lines();
        $isShared = static fn (Line $line): bool => Side::isOfKind($line->label, SideKind::Cut, SideKind::Plane);
        $lines = [
            ...array_values(array_filter($sides, $isShared)),
            ...array_merge(...array_map(fn (Solid $s): array => $this->meetings($facet, $s, $box), $near)),
            ...array_merge(...array_map(static fn (Solid $s): array => $s->edges(), $near)),
            ...$sides,
            ...Overhangs::plain($own->ring), ...Overhangs::plain(Offset::lines($own->ring, array_fill(0, $own->ring->count(), -$lean))),
            ...array_merge(...array_map(fn (Solid $s): array => [...$s->tailEdges(), ...$this->feet($facet, $s, $box)], $near)),
            ...$own->tailEdges(),
            ...array_merge(...array_map(static fn (Patch $p): array => $p->lines(), [...$stubs, ...$notches])),
        ];
        $lines = array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($box), $lines)));
        $outline = $facet->whole->outline;
        $names = new SideNames($this->solids, $this->roof);
        $cut = [...$stubs, ...$notches];
        $into = self::above($own, $near);
        $patches = Overlay::patches($lines, function (Vec2 $at) use ($outline, $facet, $near, $own, $cut, $into): bool {
            if (! $outline->contains($at) || ! $this->isOver($own, $at, $into)) {
                return false;
            }
            foreach ($near as $solid) {
                if ($this->hides($solid, $facet, $at, $own)) {
                    return false;
                }
            }
            foreach ($cut as $patch) {
                if ($patch->outline->contains($at)) {
                    return false;
                }
            }

            return true;
        }, fn (string $label, Vec2 $at): string => self::isBeside($notches, $at) ? 'open' : $names->of($label, $at, $own, $facet, $lean));

        return $facet->with(array_values(array_filter($patches, static fn (Patch $p): bool => $p->area() > self::LEAST_MM2)));
    }

    /** @param  list<Patch>  $patches */
    private static function isBeside(array $patches, Vec2 $at): bool
    {
        foreach ($patches as $patch) {
            if ($patch->outline->distanceTo($at) < Tolerance::CUT) {
                return true;
            }
        }

        return false;
    }

    /**
     * Those that a roof may run into.
     *
     * @param  list<Solid>  $solids
     * @return list<Solid>
     */
    private static function above(Solid $own, array $solids): array
    {
        return array_values(array_filter($solids, static fn (Solid $s): bool => $s->peak() > $own->eaves));
    }

    /**
     * A roof that runs on beyond its block does so only over the blocks it runs into, which are higher than its eaves.
     *
     * @param  list<Solid>  $into
     */
    private function isOver(Solid $own, Vec2 $at, array $into): bool
    {
        if (! $own->isBesideTail($at)) {
            return true;
        }
        foreach ($into as $solid) {
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
            // Roofs that end flush at one wall share no more than a line.
            $both = $box->shared($bounds->grown(self::ASIDE));
            if ($both !== null && $facet->crosses($other, $both)) {
                $lines = [...$lines, ...$facet->levelWith($other, $bounds)];
            }
            if ($both !== null && $solid->standsIn($this->solids[$facet->block])) {
                $lines = [...$lines, ...$this->carries($facet, $other, $bounds)];
            }
            // Beside a flush wall what leans out of a square-cut eaves stays clear of the other's card, not only of its underside.
            if ($both !== null && min($both->width(), $both->height()) < 3.0 * self::ASIDE) {
                $lines = [
                    ...$lines,
                    ...$facet->levelWith($other, $bounds, $this->roof / $other->pitch->cos()),
                    ...$facet->levelWith($other, $bounds, -$this->roof / $facet->pitch->cos()),
                ];
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
        if (abs($height - $top) <= Tolerance::CUT) {
            return $solid->index < $facet->block;
        }

        if ($isInside && $solid->standsIn($own) && ! $this->isUnderRoof($solid, $facet, $at)) {
            return false;
        }

        return $height < $top
            && ! ($isInside && $own->contains($at) && $this->isUnderWall($solid, $height + $this->roof / $facet->pitch->cos(), $at));
    }

    /** Whether this plane's card, cut square, ends below the roof of what stands on it, and does not carry that. */
    private function isUnderRoof(Solid $solid, Facet $facet, Vec2 $at): bool
    {
        $normal = $facet->frame->normal;
        $top = $at->plus((new Vec2($normal->x, $normal->y))->times($this->roof));

        return $facet->heightAt($at) + $this->roof * $normal->z < $solid->top($top);
    }

    /**
     * Where this plane's card ends on top at the roof of what stands on it.
     *
     * @return list<Line>
     */
    private function carries(Facet $facet, Facet $other, Box2 $box): array
    {
        $normal = $facet->frame->normal;
        $higher = $this->roof * ($normal->x * $other->gradient()->x + $normal->y * $other->gradient()->y - $normal->z);

        return [
            ...array_map(static fn (Line $l): Line => new Line($l->from, $l->to, 'open'), $facet->levelWith($other, $box, $higher)),
            // And under its gables.
            ...array_map(
                static fn (Line $l): Line => new Line($l->from, $l->to, 'foot'),
                $facet->levelWith($other, $box, -$this->roof / $facet->pitch->cos()),
            ),
        ];
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
            if ($depth > 0.0 && $depth < $thickness && $top < self::wallTop($solid, $edge, $at) - Tolerance::CUT) {
                return true;
            }
        }

        return false;
    }

    /** How high a wall reaches: level at the eaves under its own slope, else to the slopes over it. */
    private static function wallTop(Solid $solid, int $edge, Vec2 $at): float
    {
        foreach ($solid->hasParapet ? [] : $solid->roof->facets as $facet) {
            if ($facet->edge !== $edge && $facet->whole->outline->contains($at)) {
                return $facet->heightAt($at);
            }
        }

        return $solid->eaves;
    }

    /**
     * The inner faces of a block's walls, and where a roof rises past its eaves, on top and underneath.
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
            $lines[] = new Line($a->plus($in), $b->plus($in), Side::beneath($solid->index, $edge));
        }
        $slope = $facet->gradient();
        $steep = $slope->length();
        if ($steep > Tolerance::ROUNDING) {
            $centre = $box->centre();
            $way = (new Vec2(-$slope->y, $slope->x))->times(($box->width() + $box->height()) / $steep);
            foreach ([$this->roof / $facet->pitch->cos(), 0.0] as $above) {
                $foot = $centre->minus($slope->times(($facet->heightAt($centre) + $above - $solid->eaves) / ($steep * $steep)));
                $lines[] = new Line($foot->minus($way), $foot->plus($way), 'foot');
            }
        }

        return $lines;
    }
}
