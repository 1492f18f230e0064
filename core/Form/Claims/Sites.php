<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\Site\Course;
use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Storey;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/**
 * Puts places on the surfaces that the first step of Form made: after compression, relief and perspective. A place that is not there any
 * more gives none. Model millimetres. docs/formulas.md#places
 */
final readonly class Sites
{
    private Masonry $masonry;

    /** @param  list<Facet>  $facets  of all roofs, cut to what is seen */
    public function __construct(private Building $building, private array $facets)
    {
        $this->masonry = Masonry::of($building);
    }

    /** A place on a block; null where nothing is there. */
    public function onBlock(Feature $feature, BlockForm $block): ?Site
    {
        $place = $feature->place;

        return $place === null ? null : match ($place->anchor) {
            Anchor::Wall => $this->along($feature, $place, $block),
            Anchor::Openings => $this->group($feature, $place, $block),
            Anchor::Corner => $this->corner($feature, $place, $block),
            Anchor::Slope => $this->slope($feature, $place, $block),
            Anchor::RoofLine => (new RoofLines(
                $block,
                $this->facetsOf($block),
                $this->building->relief?->school === Relief::KEEP_RIDGE,
            ))->site($feature, $place, $this->masonry),
            Anchor::Floor => $this->floor($feature, $place, $block),
            default => null,
        };
    }

    /** A place on the plot, which the building may not have any more. */
    public function onPlot(Feature $feature): ?Site
    {
        [$plot, $place] = [$this->building->plot, $feature->place];
        if ($plot === null || $place === null) {
            return null;
        }
        $box = $plot->outline->bounds();

        return match ($place->anchor) {
            Anchor::Ground => $place->at === null ? null : $this->lying($feature, $plot, $place->at, [$place->turnDeg, 0.0]),
            Anchor::Track => $this->track($feature, $place, $plot),
            Anchor::Plot => $this->lying($feature, $plot, new Vec2($box->x0, $box->y0), [0.0, 0.0])
                ?->with(length: $box->width(), height: $box->height()),
            default => null,
        };
    }

    /** The front of another thing: of the card that is raised there, or where that thing itself is. */
    public function onOther(Feature $feature, Site $under, ?Claim $claim): ?Site
    {
        if ($feature->place === null) {
            return null;
        }
        $frame = $under->frame;
        [$length, $height] = [$under->length, $under->height];
        $face = $under->faces[0] ?? null;
        if ($claim !== null && $face !== null) {
            $box = $claim->ring->bounds();
            $frame = $face->wall->frame->moved($box->x0, $box->y0, $claim->how->isRaised() ? $claim->proud : 0.0);
            [$length, $height] = [$box->width(), $box->height()];
        }

        return new Site($feature, $feature->place, $under->block, $this->masonry, $frame, $length, $height, $under->faces);
    }

    private function along(Feature $feature, Place $place, BlockForm $block): ?Site
    {
        $wall = $block->walls[$place->edge ?? -1] ?? null;
        if ($wall === null || ! $wall->isBuilt()) {
            return null;
        }
        $length = $this->length($block, $wall);
        $from = $this->mm($place->from?->mm);
        $to = $place->to === null ? $length : min($length, $this->mm($place->to->mm));
        $up = $this->mm($place->up?->mm);
        if ($to - $from < Tolerance::CUT) {
            return null;
        }

        return new Site($feature, $place, $block->index, $this->masonry, $wall->frame->moved($from, $up), $to - $from, 0.0, [
            new SiteFace($wall, new Vec2($from, $up), $length),
        ]);
    }

    /** Openings under one head, as if they were one: all have to be there. */
    private function group(Feature $feature, Place $place, BlockForm $block): ?Site
    {
        $wall = $block->walls[$place->edge ?? -1] ?? null;
        $some = array_values(array_filter(
            $wall === null || ! $wall->isBuilt() ? [] : $wall->openings,
            static fn (OpeningForm $o): bool => in_array($o->id, $place->openings, true),
        ));
        if ($wall === null || $some === [] || count($some) < count($place->openings)) {
            return null;
        }
        $boxes = array_map(static fn (OpeningForm $o): Box2 => ($o->true ?? $o)->ring()->bounds(), $some);
        $box = new Box2(
            min(array_map(static fn (Box2 $b): float => $b->x0, $boxes)),
            min(array_map(static fn (Box2 $b): float => $b->y0, $boxes)),
            max(array_map(static fn (Box2 $b): float => $b->x1, $boxes)),
            max(array_map(static fn (Box2 $b): float => $b->y1, $boxes)),
        );
        $shape = OpeningShape::of($box->width(), $box->height(), null);
        $whole = new OpeningForm($feature->id ?? '', $some[0]->opening, 0, $box->x0, $box->y0, $shape, $wall->foot);
        $group = new DressedOpening($whole, $this->masonry, members: $some);
        // It goes over what stands over any of them already.
        foreach ($wall->claims as $claim) {
            $group = in_array($claim->opening, $place->openings, true) ? $group->under($claim) : $group;
        }

        return new Site($feature, $place, $block->index, $this->masonry, $wall->frame->moved($box->x0, $box->y0), $box->width(),
            $box->height(), [new SiteFace($wall, new Vec2($box->x0, $box->y0), $this->length($block, $wall))], $group);
    }

    /** Up a corner: from the foot of the wall that begins there, as seen from outside. */
    private function corner(Feature $feature, Place $place, BlockForm $block): ?Site
    {
        if ($place->corner === null) {
            return null;
        }
        [$before, $after] = [$block->wall($place->corner - 1), $block->wall($place->corner)];
        if (! $before->isBuilt() || ! $after->isBuilt() || ! $before->reaches('right') || ! $after->reaches('left')) {
            return null;
        }
        $up = $this->mm($place->up?->mm);
        $top = $place->upTo === null ? min($before->height->mm, $after->height->mm) : $this->mm($place->upTo->mm);
        $length = $this->length($block, $before);

        return $top - $up < Tolerance::CUT ? null : new Site($feature, $place, $block->index, $this->masonry,
            $after->frame->moved(0.0, $up), 0.0, $top - $up, [
                new SiteFace($before, new Vec2($length, $up), $length),
                new SiteFace($after, new Vec2(0.0, $up), $this->length($block, $after)),
            ]);
    }

    private function slope(Feature $feature, Place $place, BlockForm $block): ?Site
    {
        if ($place->at === null) {
            return null;
        }
        $plan = $this->inPlan($block, $place->at);
        foreach ($this->facetsOf($block) as $facet) {
            foreach ($facet->patches as $patch) {
                if ($patch->region()->contains($plan)) {
                    // A deck has no foot: it lies along the wall that is named.
                    $wall = $block->wall($place->edge ?? 0)->frame->x;
                    $plane = $facet->pitch->degrees > 0.0
                        ? $facet->frame
                        : new Frame($facet->frame->origin, $wall, $facet->frame->normal->cross($wall));
                    $at = $plane->project($facet->lifted($plan));
                    $frame = $plane->moved($at->x, $at->y);

                    return new Site($feature, $place, $block->index, $this->masonry, $frame, isOnSlope: true);
                }
            }
        }

        return null;
    }

    /** @return list<Facet> */
    private function facetsOf(BlockForm $block): array
    {
        return array_values(array_filter($this->facets, static fn (Facet $f): bool => $f->block === $block->index));
    }

    private function floor(Feature $feature, Place $place, BlockForm $block): ?Site
    {
        if ($place->at === null) {
            return null;
        }
        $plan = $this->inPlan($block, $place->at);
        if (! $block->ring->contains($plan)) {
            return null;
        }
        $storeys = array_filter($block->block->storeys, static fn (Storey $s): bool => $s->id === $place->storey);
        if ($place->storey !== null && $storeys === []) {
            return null;
        }
        $level = $storeys === [] ? $block->base : $this->building->scale->modelMm(array_values($storeys)[0]->floor);
        $turn = deg2rad($block->block->turnDeg + $place->turnDeg);

        return new Site($feature, $place, $block->index, $this->masonry, self::level(new Vec3($plan->x, $plan->y, $level), $turn));
    }

    /** @param  array{float, float}  $turned  by how many degrees, and at which height */
    private function lying(Feature $feature, Plot $plot, Vec2 $at, array $turned): ?Site
    {
        [$turnDeg, $level] = $turned;
        $plan = $plot->inBuilding($at);
        $turn = deg2rad($plot->turnDeg + $turnDeg);

        return $feature->place === null ? null : new Site($feature, $feature->place, null, $this->masonry,
            self::level(new Vec3($plan->x, $plan->y, $level), $turn));
    }

    private function track(Feature $feature, Place $place, Plot $plot): ?Site
    {
        foreach ($plot->tracks as $track) {
            if ($track->id === $place->track) {
                $course = Course::of($track);
                $heading = $course->heading($place->along);
                $at = $course->at($place->along)->plus((new Vec2(-sin($heading), cos($heading)))->times($place->off));

                return $this->lying($feature, $plot, $at, [rad2deg($heading), $track->rail]);
            }
        }

        return null;
    }

    /** A place of the block as it is described, in the building's axes as it is built. */
    private function inPlan(BlockForm $block, Vec2 $at): Vec2
    {
        $receding = $block->block->receding;
        $whole = $receding->block ?? $block->block;
        $plan = $receding === null ? $whole->inPlan($at) : $receding->view->plan($whole->inPlan($at));

        return $plan->times(1.0 / $this->building->scale->ratio);
    }

    /** Of a wall that recedes, as it is. */
    private function length(BlockForm $block, WallForm $wall): float
    {
        $whole = $block->block->receding?->block;

        return $wall->receding === null || $whole === null
            ? $wall->length->mm
            : $whole->footprint->length($wall->wall->edge)->mm / $this->building->scale->ratio;
    }

    private static function level(Vec3 $at, float $turn): Frame
    {
        return new Frame($at, new Vec3(cos($turn), sin($turn), 0.0), new Vec3(-sin($turn), cos($turn), 0.0));
    }

    private function mm(?float $real): float
    {
        return ($real ?? 0.0) / $this->building->scale->ratio;
    }
}
