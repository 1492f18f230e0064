<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Part\PartGroup;

/** A piece of the finished building as it stands on the plot. */
final class FinishedPiece
{
    /** A piece is looked for in a box larger by this than its own. */
    private const ROUND_MM = 1.0;

    public readonly Box2 $box;

    /** @var ?list<Convex> */
    private ?array $solids = null;

    /**
     * @param  string  $fingerprint  its shape and where it stands in the building, in one word
     * @param  Body  $whole  all of it, openings filled
     * @param  callable(): list<Facet>  $facets  in the building's axes, asked for where it has to be looked at closely; none where it is
     *     convex
     */
    public function __construct(
        public readonly string $id,
        public readonly string $name,
        public readonly string $fingerprint,
        public readonly PartGroup $group,
        public readonly Body $whole,
        private readonly mixed $facets,
        private readonly Plot $plot,
    ) {
        $this->box = $whole->shadow->bounds();
    }

    /** @param  non-empty-list<Vec3>  $corners  in the building's axes */
    public static function body(array $corners, Plot $plot): Body
    {
        $heights = array_map(static fn (Vec3 $p): float => $p->z, $corners);

        return new Body(
            Hull::around(array_map(static fn (Vec3 $p): Vec2 => $plot->inPlot(new Vec2($p->x, $p->y)), $corners)),
            min($heights),
            max($heights),
        );
    }

    /** @return list<Convex> it without its openings, in convex pieces, in the building's axes */
    public function solids(): array
    {
        return $this->solids ??= $this->cut();
    }

    /** @return list<Convex> */
    private function cut(): array
    {
        $facets = ($this->facets)();
        $slabs = array_merge(...array_map(static fn (Facet $f): array => $f->slabsIn(self::boxOf($f), -self::ROUND_MM), $facets));

        return $facets === [] ? [$this->whole->solid($this->plot)] : $slabs;
    }

    /** @return list<Hull> what of it lies between two heights, as it looks from above, in the plot's own axes */
    public function shadows(float $low, float $high): array
    {
        $hulls = [];
        foreach ($this->whole->isLevelWith($low, $high) ? $this->solids() : [] as $solid) {
            $points = array_map($this->plot->inPlot(...), $solid->between($low, $high));
            array_push($hulls, ...($points === [] ? [] : [Hull::around($points)]));
        }

        // Of a wall many pieces stand one over another.
        return Hull::outermost($hulls);
    }

    /** @return list<list<Vec2>> its faces as they look from above, in the plot's own axes */
    public function outlines(): array
    {
        return array_map(
            fn (Facet $f): array => array_map(
                fn (Vec2 $p): Vec2 => $this->plot->inPlot(new Vec2($f->frame->at($p)->x, $f->frame->at($p)->y)),
                $f->region->outline->points,
            ),
            ($this->facets)(),
        );
    }

    /** @return array{float, float, float, float, float, float} */
    private static function boxOf(Facet $facet): array
    {
        $box = [INF, -INF, INF, -INF, INF, -INF];
        foreach (self::cornersOf($facet) as $p) {
            $box = [
                min($box[0], $p->x - self::ROUND_MM),
                max($box[1], $p->x + self::ROUND_MM),
                min($box[2], $p->y - self::ROUND_MM),
                max($box[3], $p->y + self::ROUND_MM),
                min($box[4], $p->z - self::ROUND_MM),
                max($box[5], $p->z + self::ROUND_MM),
            ];
        }

        return $box;
    }

    /** @return non-empty-list<Vec3> of both faces */
    public static function cornersOf(Facet $facet): array
    {
        $corners = [];
        foreach (['outside' => 0.0, 'inside' => -$facet->thickness] as $face => $out) {
            foreach ($facet->face($face)->outline->points as $p) {
                $corners[] = $facet->frame->at($p, $out);
            }
        }

        return $corners;
    }
}
