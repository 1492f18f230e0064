<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Profile;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Ref;
use Chartula\Core\Shell\Walls;
use Chartula\Core\Shell\WallSpan;
use Chartula\Core\Stock\Layer;

/** The room under a block's roof, in which its supports stand: between the walls, above the eaves. Model millimetres. */
final readonly class UnderRoof
{
    /** The gap between a support and a wall, so that it drops in. */
    public const CLEARANCE_MM = 0.1;

    /** Gives the spacing of supports for each millimetre of the carrier's thickness, and its least and greatest value, mm. */
    private const SPACING_PER_MM = 60.0;

    private const SPACING_MM = [40.0, 120.0];

    public Layer $layer;

    private Ring $inside;

    public function __construct(
        private Panels $panels,
        Walls $walls,
        public BlockForm $block,
    ) {
        $this->layer = $panels->stack->layers[$panels->carrier()];
        $this->inside = Offset::lines(
            $block->ring,
            array_map(
                static fn (WallSpan $s): float => -($s->isBuilt() ? $s->stack->thickness_mm : 0.0) - self::CLEARANCE_MM,
                $walls->spans($block->index),
            ),
        );
    }

    /**
     * Lines in plan along which two planes of the block fold over, with both.
     *
     * @return list<array{Vec2, Vec2, Facet, Facet}> hips from their lower end
     */
    public function lines(bool $isLevel): array
    {
        $lines = [];
        foreach ($this->block->roof->facets as $facet) {
            foreach ($facet->whole->lines() as $line) {
                $other = self::isShared($line) ? $this->panels->form->plane(Side::of($line->label)->planeOrFail()) : null;
                if ($other !== null && $this->isFold($facet, $line, $other)) {
                    $rise = $facet->heightAt($line->to) - $facet->heightAt($line->from);
                    $key = sprintf('%.3F %.3F', $line->from->x + $line->to->x, $line->from->y + $line->to->y);
                    if ($isLevel === (abs($rise) < Tolerance::FIGURE)) {
                        $lines[$key] ??= $rise >= 0.0 ? [$line->from, $line->to, $facet, $other] : [$line->to, $line->from, $other, $facet];
                    }
                }
            }
        }

        return array_values($lines);
    }

    private static function isShared(Line $line): bool
    {
        return Side::isOfKind($line->label, SideKind::Plane) && $line->from->distanceTo($line->to) > Tolerance::PASSING;
    }

    private function isFold(Facet $facet, Line $line, Facet $other): bool
    {
        $along = $line->to->minus($line->from);

        return $other->block === $facet->block
            && $other->edge !== $facet->edge
            && $facet->foldTo($other, new Vec2($along->y, -$along->x)) > 0.0;
    }

    /**
     * Places along a ridge at which it wants holding; the gables or hips at its ends hold those. Where something goes through the roof
     * there, right beside it.
     *
     * @return list<float> from its beginning
     */
    public function stations(Vec2 $from, Vec2 $to): array
    {
        $length = $from->distanceTo($to);
        $taken = $this->through($from, $to->minus($from)->times(1.0 / $length), $this->layer->thickness_mm / 2.0);
        $held = [];
        foreach ($this->evenly($length) as $at) {
            foreach ($taken as $one) {
                if ($at > $one->from && $at < $one->to) {
                    $isNearer = $at - $one->from < $one->to - $at;
                    $at = ($isNearer && $one->from > 0.0) || $one->to > $length ? $one->from : $one->to;
                }
            }
            array_push($held, ...$at > 0.0 && $at < $length ? [$at] : []);
        }

        return $held;
    }

    /**
     * From where to where along a line in plan something goes through the roof, with room for a support.
     *
     * @param  float  $half  of the support's own thickness
     * @param  ?float  $aside  only what comes so near to the line; null: whatever there is
     * @return list<Interval> apart from each other
     */
    public function through(Vec2 $from, Vec2 $along, float $half, ?float $aside = null): array
    {
        $taken = [];
        foreach ($this->panels->form->facets as $facet) {
            foreach ($facet->block === $this->block->index ? $facet->standing : [] as $standing) {
                $own = array_map(static fn (Vec2 $p): Vec2 => new Vec2(
                    $p->minus($from)->dot($along), $along->cross($p->minus($from)),
                ), $standing->goesThrough ? $standing->ring->points : []);
                if ($aside !== null) {
                    $own = StripHalf::clipped(StripHalf::clipped($own, 0.0, 1.0, $aside), 0.0, -1.0, $aside);
                }
                $x = array_map(static fn (Vec2 $p): float => $p->x, $own);
                $room = $half + self::CLEARANCE_MM;
                array_push($taken, ...$x === [] ? [] : [new Interval(min($x) - $room, max($x) + $room)]);
            }
        }

        return Interval::joined($taken);
    }

    /** @return list<float> places that part a length evenly */
    private function evenly(float $length): array
    {
        $spacing = max(self::SPACING_MM[0], min(self::SPACING_MM[1], self::SPACING_PER_MM * $this->layer->thickness_mm));
        $n = (int) ceil($length / $spacing);

        return array_map(static fn (int $i): float => $length * $i / $n, $n < 2 ? [] : range(1, $n - 1));
    }

    /**
     * From wall to wall along a line in plan, about a place of it.
     *
     * @return ?array{float, float}
     */
    public function room(Profile $profile, float $about): ?array
    {
        foreach ($profile->inside($this->inside) as [$from, $to]) {
            if ($from < $about && $to > $about) {
                return [$from, $to];
            }
        }

        return null;
    }

    /** Whether no other block stands in the way, above or below. */
    public function isOpen(Profile $profile, float $low, float $high): bool
    {
        foreach ($this->panels->form->solids as $solid) {
            if (
                $solid->index !== $this->block->index
                && array_filter($profile->inside($solid->ring), static fn (array $s): bool => $s[0] < $high && $s[1] > $low) !== []
            ) {
                return false;
            }
        }
        for ($k = 0; $k <= 8; $k++) {
            if (! $this->isSeen($profile->at($low + ($high - $low) * ($k + 0.37) / 8.8))) {
                return false;
            }
        }

        return true;
    }

    private function isSeen(Vec2 $place): bool
    {
        foreach ($this->panels->form->facets as $facet) {
            foreach ($facet->block === $this->block->index ? $facet->patches : [] as $patch) {
                if ($patch->region()->contains($place)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The block's slopes that rest on a support's edge.
     *
     * @return list<Joint>
     */
    public function seats(Part $part, int $edge, string $why): array
    {
        $joints = [];
        foreach ($this->panels->layer($this->panels->carrier()) as $panel) {
            $met = $panel->facet->block === $this->block->index ? Meeting::onFace($part, $edge, $panel->part, 'inside') : null;
            if ($met !== null) {
                $joints[] = new Joint(
                    JointKind::Seat,
                    Ref::edge($part->id, $edge),
                    Ref::inside($panel->part->id),
                    $met->ends,
                    $met->length,
                    free_mm: max(0.0, $part->outline->ring->edgeLength($edge) - $met->length),
                    why: $why,
                    touch: $met->touch,
                );
            }
        }

        return $joints;
    }
}
