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
        private Resting $resting,
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
        $resting = Resting::of($solids);
        $alone = array_map(static fn (Solid $s): Solid => $s->withTail([]), $solids);
        $self = new self($alone, $thickness, $roof, $problems, $paths, $resting);
        $self = new self(array_map($self->withTail(...), $solids), $thickness, $roof, $problems, $paths, $resting);
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
        $leans = array_merge(...array_map(fn (Solid $s): array => Overhangs::leans($facet, $own, $s, $this->roof), $near));
        $party = PartyVerges::of($facet, $own, $near, $this->roof);
        $lean = $this->roof * $facet->pitch->sin();
        // Where lines lie on each other the first says what the side is: a ridge before what happens to run along it, a wall
        // before an eaves that ends at it.
        $sides = $facet->whole->lines();
        $isShared = static fn (Line $line): bool => Side::isOfKind($line->label, SideKind::Cut, SideKind::Plane);
        $lines = [
            ...array_values(array_filter($sides, $isShared)),
            ...array_merge(...array_map(fn (Solid $s): array => $this->meetings($facet, $s, $box), $near)),
            ...array_merge(...array_map(static fn (Solid $s): array => $s->edges(), $near)),
            ...$own->outsides(),
            ...$sides,
            ...array_merge(...array_map(
                static fn (Ring $r): array => Overhangs::plain(Offset::lines($r, array_fill(0, $r->count(), -$lean))),
                [$own->ring, ...$own->tails],
            )),
            ...array_merge(...array_map(fn (Solid $s): array => [...$s->tailEdges(), ...$this->feet($facet, $s, $box)], $near)),
            ...$own->tailEdges(),
            ...$party->lines(),
            ...array_merge(...array_map(static fn (Patch $p): array => $p->lines(), [...$stubs, ...$notches, ...$leans])),
        ];
        $lines = array_values(array_filter(array_map(static fn (Line $l): ?Line => $l->within($box), $lines)));
        $outline = $facet->whole->outline;
        $names = new SideNames($this->solids, $this->roof, $this->resting);
        $cut = [...$stubs, ...$notches];
        $into = self::above($own, $near);
        $patches = Overlay::patches($lines, function (Vec2 $at) use ($outline, $facet, $near, $own, $cut, $into, $party): bool {
            if (! $outline->contains($at) || $party->cut($at) || ! $this->isOver($own, $at, $into)) {
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
        }, static function (string $label, Vec2 $at) use ($notches, $leans, $names, $own, $facet, $lean): string {
            $name = self::isBeside($notches, $at) ? SideKind::Open->value : $names->of($label, $at, $own, $facet, $lean);

            return $name === 'eaves' && self::isBeside($leans, $at) ? Side::within($facet->block, $facet->edge) : $name;
        });

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
        $shared = $this->solids[$facet->block]->ring->bounds()->shared($solid->ring->bounds()->grown(self::ASIDE));
        $isBeside = $shared !== null && self::isThin($shared);
        foreach ($solid->roof->facets as $other) {
            $bounds = $other->whole->outline->bounds();
            // Roofs that end flush at one wall share no more than a line.
            $both = $box->shared($bounds->grown(self::ASIDE));
            if ($both !== null && $facet->crosses($other, $both)) {
                $lines = [...$lines, ...$facet->levelWith($other, $bounds)];
            }
            if ($both !== null && $this->resting->isOn($other->id(), $facet->id())) {
                $lines = [...$lines, ...$this->carries($facet, $other, $bounds)];
            }
            if ($both !== null && $this->resting->shareGround($solid->index, $facet->block)) {
                // Under gables of what comes out of it.
                $lines = [...$lines, ...self::named('foot', $facet->levelWith($other, $bounds, -$this->roof / $facet->pitch->cos()))];
            }
            // Beside a flush wall what leans out of a square-cut eaves stays clear of the other's card, not only of its underside.
            if ($both !== null && (self::isThin($both) || $isBeside)) {
                $offs = [$this->roof / $other->pitch->cos(), -$this->roof / $facet->pitch->cos(), -$this->halfUnder($facet, $other)];
                foreach ($offs as $higher) {
                    $lines = [...$lines, ...self::named(SideKind::Open->value, $facet->levelWith($other, $bounds, $higher))];
                }
            }
        }

        return $lines;
    }

    /**
     * @param  list<Line>  $lines
     * @return list<Line>
     */
    private static function named(string $label, array $lines): array
    {
        return array_map(static fn (Line $l): Line => new Line($l->from, $l->to, $label), $lines);
    }

    private static function isThin(Box2 $box): bool
    {
        return min($box->width(), $box->height()) < 3.0 * self::ASIDE;
    }

    /** How far below another plane a plane's underside lies where the middle of its card is as high as that. */
    private function halfUnder(Facet $facet, Facet $other): float
    {
        $normal = $facet->frame->normal;
        $gradient = $other->gradient();

        return $this->roof / 2.0 * ($normal->z - $normal->x * $gradient->x - $normal->y * $gradient->y);
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

        $above = $isInside ? $solid->roof->facetAt($at) : null;
        if ($above !== null && $this->resting->isOn($above->id(), $facet->id()) && ! $this->isUnderRoof($solid, $facet, $at)) {
            return false;
        }

        return $height < $top
            && ! ($isInside && $own->contains($at) && $this->isUnderWall($solid, $own, $height + $this->roof / $facet->pitch->cos(), $at));
    }

    /** Whether this plane's card, cut square, ends below the roof of what stands on it, and does not carry that. */
    private function isUnderRoof(Solid $solid, Facet $facet, Vec2 $at): bool
    {
        $normal = $facet->frame->normal;
        $top = $at->plus((new Vec2($normal->x, $normal->y))->times($this->roof));
        // Beside its gables the roof over it is carried on.
        $under = $solid->roof->heightAt($top) ?? $solid->roof->facetAt($at)?->heightAt($top);

        return $facet->heightAt($at) + $this->roof * $normal->z < ($under ?? $solid->eaves);
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

        return self::named(SideKind::Open->value, $facet->levelWith($other, $box, $higher));
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

    /** Walls that come out of a roof stand on it: under them it goes on. Those that stand before its block only reach into its room. */
    private function isUnderWall(Solid $solid, Solid $own, float $top, Vec2 $at): bool
    {
        $isUnder = false;
        foreach ($this->thickness[$solid->index] as $edge => $thickness) {
            $face = $solid->before($edge, $at);
            $depth = $solid->behind($edge, $at);
            if ($depth > 0.0 && $depth < $thickness) {
                if (! $own->holds($face)) {
                    return false;
                }
                $isUnder = $isUnder || $top < $solid->wallTop($edge, $at) - Tolerance::CUT;
            }
        }

        return $isUnder;
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
