<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Form\Claims\Standing;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\Tolerance;

/**
 * One plane of a roof: where the underside of the carrier lies. Model millimetres, the building's axes.
 *
 * Sides of its patches are labelled as Side says.
 */
final readonly class Facet
{
    /**
     * @param  int  $edge  of the block's footprint, whose wall it slopes down to
     * @param  int  $level  1 above the break of a mansard
     * @param  Frame  $frame  of the underside: x along the edge, y up the slope, normal outwards
     * @param  list<Patch>  $patches  what is seen of it, in plan
     * @param  list<Patch>  $built  of what card is cut: the same without what goes through it
     * @param  list<Standing>  $standing  what stands on it or goes through it
     */
    public function __construct(
        public int $block,
        public int $edge,
        public int $level,
        public string $name,
        public Angle $pitch,
        public Frame $frame,
        public Patch $whole,
        public array $patches,
        public array $built,
        public array $standing = [],
    ) {
    }

    public function id(): PlaneId
    {
        return new PlaneId($this->block, $this->edge, $this->level);
    }

    /**
     * @param  ?list<Patch>  $patches  seen of it; all of that is card, too
     * @param  ?list<Patch>  $built
     * @param  ?list<Standing>  $standing
     */
    public function with(?array $patches = null, ?array $built = null, ?array $standing = null): self
    {
        return new self($this->block, $this->edge, $this->level, $this->name, $this->pitch, $this->frame, $this->whole,
            $patches ?? $this->patches, $built ?? $patches ?? $this->built, $standing ?? $this->standing);
    }

    /** Gives the height of the underside over a place in plan. */
    public function heightAt(Vec2 $at): float
    {
        $n = $this->frame->normal;
        $o = $this->frame->origin;

        return $o->z - ($n->x * ($at->x - $o->x) + $n->y * ($at->y - $o->y)) / $n->z;
    }

    /** Gives the vector in plan that points up the slope; its length is the rise for each millimetre. */
    public function gradient(): Vec2
    {
        $n = $this->frame->normal;

        return new Vec2(-$n->x / $n->z, -$n->y / $n->z);
    }

    public function lifted(Vec2 $at): Vec3
    {
        return new Vec3($at->x, $at->y, $this->heightAt($at));
    }

    /** A place in plan, in the frame's own axes. */
    public function flat(Vec2 $at): Vec2
    {
        return $this->frame->project($this->lifted($at));
    }

    /** The angle between its outward normal and another's, degrees; below 0 where they form a valley. */
    public function foldTo(self $other, Vec2 $outward): float
    {
        $angle = rad2deg(acos(max(-1.0, min(1.0, $this->frame->normal->dot($other->frame->normal)))));
        $lean = ($other->frame->normal->x - $this->frame->normal->x) * $outward->x
            + ($other->frame->normal->y - $this->frame->normal->y) * $outward->y;

        return $lean < 0.0 ? -$angle : $angle;
    }

    /** Whether it may be higher than another plane by something between two figures in a box. */
    public function mayBeWithin(self $other, Box2 $box, float $least, float $most): bool
    {
        $offs = $this->offs($other, $box);

        return min($offs) < $most && max($offs) > $least;
    }

    /** Whether it is above another plane in some places of a box and below it in others. */
    public function crosses(self $other, Box2 $box): bool
    {
        $offs = $this->offs($other, $box);

        return min($offs) < Tolerance::FIGURE && max($offs) > -Tolerance::FIGURE;
    }

    /** @return non-empty-list<float> by how much it is higher than another plane at the corners of a box */
    private function offs(self $other, Box2 $box): array
    {
        $offs = [];
        foreach ([[$box->x0, $box->y0], [$box->x1, $box->y0], [$box->x0, $box->y1], [$box->x1, $box->y1]] as [$x, $y]) {
            $at = new Vec2($x, $y);
            $offs[] = $this->heightAt($at) - $other->heightAt($at);
        }

        return $offs;
    }

    /**
     * The line along which it is as high as another plane, or by so much higher, as far as that may matter; none where they
     * are parallel.
     *
     * @return list<Line>
     */
    public function levelWith(self $other, Box2 $within, float $higher = 0.0): array
    {
        $slope = $this->gradient()->minus($other->gradient());
        $steep = $slope->length();
        if ($steep < Tolerance::ROUNDING) {
            return [];
        }
        $centre = $within->centre();
        $off = $this->heightAt($centre) - $other->heightAt($centre) - $higher;
        $foot = $centre->minus($slope->times($off / ($steep * $steep)));
        $reach = $within->width() + $within->height();
        if ($foot->distanceTo($centre) > $reach) {
            return [];
        }
        $along = (new Vec2(-$slope->y, $slope->x))->times($reach / $steep);

        return [new Line($foot->minus($along), $foot->plus($along), Side::plane($other->id()))];
    }
}
