<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Bins;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** A flat piece of a placed part: the whole part where it is not folded. */
final class Facet
{
    /** @var ?list<Ring> */
    private ?array $pieces = null;

    /** @var ?list<Box2> where each piece lies */
    private ?array $places = null;

    private ?Bins $bins = null;

    private ?int $corners = null;

    /** @var array<int, Convex> of the pieces that were asked for */
    private array $slabs = [];

    /** @var ?list<Convex> what bevelled edges have beyond what is as deep as the card */
    private ?array $wedges = null;

    private readonly Region $inner;

    /** @param  ?Ring  $inside  the outline of the inside face, point for point, where edges are bevelled */
    public function __construct(
        public readonly Frame $frame,
        public readonly Region $region,
        public readonly float $thickness,
        public readonly ?Ring $inside = null,
    ) {
        $this->inner = self::innerFace($region, $inside);
    }

    private static function innerFace(Region $region, ?Ring $inside): Region
    {
        return $inside === null ? $region : new Region($inside, $region->holes);
    }

    /** @return array{Frame, Region, float, ?Ring} what it is: what was looked up in it is made again where it is asked for */
    public function __serialize(): array
    {
        return [$this->frame, $this->region, $this->thickness, $this->inside];
    }

    /** @param  array{Frame, Region, float, ?Ring}  $facet */
    public function __unserialize(array $facet): void
    {
        [$this->frame, $this->region, $this->thickness, $this->inside] = $facet;
        $this->inner = self::innerFace($this->region, $this->inside);
    }

    public function face(string $face): Region
    {
        return $face === 'inside' ? $this->inner : $this->region;
    }

    /** @return list<Ring> convex pieces that tile what is as deep as the card: all but what is bevelled away */
    private function pieces(): array
    {
        return $this->pieces ??= $this->inside === null
            ? $this->region->trapezoids()
            : (new Region($this->core($this->inside), $this->region->holes))->trapezoids();
    }

    /** Takes each edge where it is on the face that reaches less far. */
    private function core(Ring $inside): Ring
    {
        $outside = $this->region->outline;

        return Offset::lines($outside, array_map(static function (int $i) use ($outside, $inside): float {
            $along = $outside->point($i + 1)->minus($outside->point($i));

            return min(0.0, -$along->cross($inside->point($i)->minus($outside->point($i))) / $along->length());
        }, array_keys($outside->points)));
    }

    /** @return list<Convex> */
    private function wedges(): array
    {
        if ($this->wedges !== null || $this->inside === null) {
            return $this->wedges ??= [];
        }
        $this->wedges = [];
        $core = $this->core($this->inside);
        foreach (array_keys($core->points) as $i) {
            [$a, $b] = [$core->point($i), $core->point($i + 1)];
            foreach ([
                [$this->region->outline, 0.0, -$this->thickness],
                [$this->inside, -$this->thickness, 0.0],
            ] as [$ring, $here, $there]) {
                [$p, $q] = [$ring->point($i), $ring->point($i + 1)];
                if ($p->distanceTo($a) + $q->distanceTo($b) > Tolerance::MEET) {
                    $this->wedges[] = Convex::wedge(
                        [
                            $this->frame->at($a, $here),
                            $this->frame->at($b, $here),
                            $this->frame->at($p, $here),
                            $this->frame->at($q, $here),
                            $this->frame->at($a, $there),
                            $this->frame->at($b, $there),
                        ],
                        $this->frame,
                    );
                }
            }
        }

        return $this->wedges;
    }

    /**
     * The slabs that may reach into a box by more than $by: of a long wall, few.
     *
     * @param  array{float, float, float, float, float, float}  $box  least and greatest x, y, z
     * @return list<Convex>
     */
    public function slabsIn(array $box, float $by): array
    {
        $area = $this->shadow($box);
        if ($area === null) {
            return [];
        }
        $near = [];
        $this->places ??= array_map(static fn (Ring $r): Box2 => $r->bounds(), $this->pieces());
        $this->bins ??= new Bins(array_map(static fn (Box2 $b): array => [$b->x0, $b->x1], $this->places));
        foreach ($this->bins->between($area->x0, $area->x1) as $i) {
            $place = $this->places[$i];
            if ($place->x0 < $area->x1 && $place->x1 > $area->x0 && $place->y0 < $area->y1 && $place->y1 > $area->y0) {
                $slab = $this->slabs[$i] ??= Convex::slab($this->pieces()[$i], $this->frame, $this->thickness);
                if ($slab->reaches($box, $by)) {
                    $near[] = $slab;
                }
            }
        }
        foreach ($this->wedges() as $wedge) {
            if ($wedge->reaches($box, $by)) {
                $near[] = $wedge;
            }
        }

        return $near;
    }

    /**
     * Whether this and another in a parallel plane lie clear of each other, side by side or one in the other's opening: no
     * edges cross, and neither has a corner in the other or on its edge. What it cannot tell it denies.
     */
    public function liesBeside(self $that): bool
    {
        if (
            $this->inside !== null
            || $that->inside !== null
            || abs(abs($this->frame->normal->dot($that->frame->normal)) - 1.0) > Tolerance::UNIT
        ) {
            return false;
        }
        [$few, $many] = $this->corners() < $that->corners() ? [$this, $that] : [$that, $this];
        $index = $many->region->index();
        foreach ($few->region->rings() as $ring) {
            $last = $many->frame->project($few->frame->at($ring->points[count($ring->points) - 1]));
            foreach ($ring->points as $p) {
                $at = $many->frame->project($few->frame->at($p));
                if (
                    $index->contains($at) || $index->nearest($at, Tolerance::OVERLAP) <= Tolerance::OVERLAP || $index->isCrossed($last, $at)
                ) {
                    return false;
                }
                $last = $at;
            }
        }

        // Where nothing crosses, one corner tells whether the whole of it lies inside.
        return ! $few->holdsCornerOf($many);
    }

    /** Whether the first corner of another lies over this one. */
    public function holdsCornerOf(self $that): bool
    {
        return $this->region->contains($this->frame->project($that->frame->at($that->region->outline->points[0])));
    }

    public function corners(): int
    {
        return $this->corners ??= array_sum(array_map(static fn (Ring $r): int => $r->count(), $this->region->rings()));
    }

    /** How far a point lies outside the card beyond the named face; negative in the card's direction. */
    public function beyond(Vec3 $point, string $face): float
    {
        // Written out: the dry fit asks this more often than anything else.
        $o = $this->frame->origin;
        $n = $this->frame->normal;
        $height = ($point->x - $o->x) * $n->x + ($point->y - $o->y) * $n->y + ($point->z - $o->z) * $n->z;

        return $face === 'inside' ? -($height + $this->thickness) : $height;
    }

    /** Whether a place lies in the card, to within so much of its faces. */
    public function holds(Vec3 $place, float $within): bool
    {
        $height = $this->frame->height($place);
        if ($height >= $within || $height <= -$this->thickness - $within) {
            return false;
        }
        $flat = $this->frame->project($place);

        return $this->region->contains($flat) || $this->inner->contains($flat);
    }

    /**
     * What of the card may lie in a box: two facets that say the same hold the same places in it.
     *
     * @param  array{float, float, float, float, float, float}  $box
     * @return ?array{Frame, float, list<array{bool, list<array{float, float, float, float}>}>} its plane, its thickness, and of both faces
     *     whether a corner of the box lies in it, with the edges near the box; null where there is none of it
     */
    public function within(array $box): ?array
    {
        $area = $this->shadow($box);

        return $area === null ? null : [$this->frame, $this->thickness, array_map(
            static fn (Region $face): array => [$face->index()->contains(new Vec2($area->x0, $area->y0)), $face->index()->in($area)],
            $this->inside === null ? [$this->region] : [$this->region, $this->inner],
        )];
    }

    /**
     * Where a box lies on the facet's own plane; null where it lies wholly before or behind the card.
     *
     * @param  array{float, float, float, float, float, float}  $box
     */
    private function shadow(array $box): ?Box2
    {
        $o = $this->frame->origin;
        $ranges = [];
        foreach ([$this->frame->x, $this->frame->y, $this->frame->normal] as $axis) {
            $low = $high = -($axis->x * $o->x + $axis->y * $o->y + $axis->z * $o->z);
            foreach ([[$axis->x, 0], [$axis->y, 2], [$axis->z, 4]] as [$slope, $i]) {
                $low += min($slope * $box[$i], $slope * $box[$i + 1]);
                $high += max($slope * $box[$i], $slope * $box[$i + 1]);
            }
            $ranges[] = [$low, $high];
        }
        [[$x0, $x1], [$y0, $y1], [$back, $front]] = $ranges;

        return $front <= -$this->thickness || $back >= 0.0 ? null : new Box2($x0, $y0, $x1, $y1);
    }
}
