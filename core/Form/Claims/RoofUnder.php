<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Methods;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Overlay;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** The roof under a thing that stands on it. Model millimetres, the building's axes. */
final readonly class RoofUnder
{
    /**
     * @param  list<Facet>  $facets  all slopes of the building, as far as they are seen
     * @param  Methods  $methods  by which the building is made
     * @param  Ring  $inside  in plan, the room between the walls of the block
     * @param  BlockForm  $block  to which it belongs
     * @param  list<BlockForm>  $others  all other blocks
     * @param  ?float  $cut  how far back low relief leaves anything, as y; null where it cuts nothing
     */
    public function __construct(
        public array $facets,
        public Methods $methods,
        public Ring $inside,
        public BlockForm $block,
        public ?float $cut = null,
        public array $others = [],
    ) {
    }

    /** The slope that is seen over a place; null where none is. */
    public function over(Vec2 $at): ?Facet
    {
        foreach ($this->facets as $facet) {
            foreach ($facet->patches as $patch) {
                if ($patch->region()->contains($at)) {
                    return $facet;
                }
            }
        }

        return null;
    }

    /**
     * The highest of any roof's card along an outline in plan; the lowest there is where no roof lies under it.
     *
     * @param  float  $step  it is looked at so far apart
     */
    public function highestAlong(Ring $ring, float $step): float
    {
        $highest = -INF;
        foreach ($ring->points as $i => $from) {
            $way = $ring->point($i + 1)->minus($from);
            $count = (int) ceil($way->length() / $step);
            for ($k = 0; $k < $count; $k++) {
                $at = $from->plus($way->times($k / $count));
                $facet = $this->over($at);
                $highest = $facet === null ? $highest : max($highest, $this->height($facet, $at, true));
            }
        }

        return $highest;
    }

    /** How far a slope goes on in plan, at the least, to the right of a line over it; no farther than is asked. */
    public static function goesOn(Facet $facet, Vec2 $from, Vec2 $to, float $asked): float
    {
        $length = $from->distanceTo($to);
        $along = $to->minus($from)->times(1.0 / $length);
        $out = new Vec2($along->y, -$along->x);
        // Between both ends it is least where a corner of what is seen of it lies.
        $places = [Tolerance::EDGE, $length - Tolerance::EDGE];
        foreach ($facet->patches as $patch) {
            array_push($places, ...array_map(static fn (Vec2 $p): float => $p->minus($from)->dot($along), $patch->outline->points));
        }
        $least = $asked;
        foreach (array_filter($places, static fn (float $x): bool => $x > 0.0 && $x < $length) as $x) {
            $line = new Profile($from->plus($along->times($x)), $out, 0.0, $asked);
            $runs = [];
            foreach ($facet->patches as $patch) {
                $inside = $line->inside($patch->outline);
                array_push($runs, ...array_map(static fn (array $s): Interval => new Interval($s[0], $s[1]), $inside));
            }
            $first = Interval::joined($runs, Tolerance::MEET)[0] ?? new Interval(INF, INF);
            $least = min($least, $first->from > Tolerance::MEET ? 0.0 : $first->to);
        }

        return $least;
    }

    /** How high a slope's card reaches over a place, or its underside. */
    public function height(Facet $facet, Vec2 $at, bool $isTop): float
    {
        $card = $this->methods->roof()->thickness_mm / max(Tolerance::NOTHING, $facet->frame->normal->z);

        return $facet->heightAt($at) + ($isTop ? $card : 0.0);
    }

    /** The highest place of a block's roof over its own footprint, on its card. */
    public function ridge(): float
    {
        $block = $this->block;
        $heights = [$block->eaves];
        $sides = array_map(
            static fn (int $i): Line => new Line($block->ring->point($i), $block->ring->point($i + 1), ''),
            array_keys($block->ring->points),
        );
        foreach ($block->roof->facets as $facet) {
            $over = Overlay::patches(
                [...$facet->whole->lines(), ...$sides],
                static fn (Vec2 $p): bool => $facet->whole->outline->contains($p) && $block->ring->contains($p),
            );
            foreach ($over as $patch) {
                array_push($heights, ...array_map(fn (Vec2 $p): float => $this->height($facet, $p, true), $patch->outline->points));
            }
        }

        return max($heights);
    }
}
