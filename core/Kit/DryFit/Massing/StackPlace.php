<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Building\Feature\Place;
use Chartula\Core\Building\Relief;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** Where a document has a chimney: its middle in plan and which way it is wide, found on the massing. docs/formulas.md#chimneys */
final readonly class StackPlace
{
    /** What rises less than that for each millimetre is level. */
    private const LEVEL = 0.01;

    private function __construct(public Vec2 $middle, public Vec2 $along)
    {
    }

    /** Where it is known otherwise. */
    public static function on(Vec2 $middle, Vec2 $along): self
    {
        return new self($middle, $along);
    }

    /** Null where nothing is there. */
    public static function of(Massing $massing, Mass $mass, Feature $feature): ?self
    {
        $place = $feature->place;
        $self = match ($place?->anchor) {
            Anchor::Slope => self::onSlope($massing, $mass, $place),
            Anchor::RoofLine => self::onRidge($massing, $mass, $place),
            default => null,
        };
        $turn = deg2rad($feature->said->number('turn') ?? 0.0);
        $along = $self->along ?? new Vec2(1.0, 0.0);

        return $self === null ? null : new self($self->middle, new Vec2(
            $along->x * cos($turn) - $along->y * sin($turn), $along->x * sin($turn) + $along->y * cos($turn),
        ));
    }

    private static function onSlope(Massing $massing, Mass $mass, Place $place): ?self
    {
        $at = $mass->block->inPlan($place->at ?? new Vec2(0.0, 0.0))->times(1.0 / $massing->building->scale->ratio);
        $at = $mass->place(new Vec3($at->x, $at->y, 0.0));
        $at = new Vec2($at->x, $at->y);
        $slope = $mass->slopeOver($at);

        if ($slope === null || ! $mass->ring->contains($at) || ! self::isSeen($massing, $mass, $slope, $at)) {
            return null;
        }
        $ring = $mass->block->standing();
        $wall = $ring->point(($place->edge ?? 0) + 1)->minus($ring->point($place->edge ?? 0));

        return new self($at, $slope->rise->length() < Tolerance::FIGURE ? $wall->times(1.0 / $wall->length()) : self::level($slope));
    }

    /** Along which it is level. */
    private static function level(Slope $slope): Vec2
    {
        $x = $slope->frame()->x;

        return new Vec2($x->x, $x->y);
    }

    private static function onRidge(Massing $massing, Mass $mass, Place $place): ?self
    {
        $name = $mass->block->walls[$place->edge ?? 0]->name;
        $own = array_values(array_filter($mass->slopes, static fn (Slope $s): bool => $s->name === $name));
        // Of a mansard the flatter one lies above the break.
        usort($own, static fn (Slope $a, Slope $b): int => $b->rise->length() <=> $a->rise->length());
        $own = array_values(array_filter($own, static fn (Slope $s): bool => abs(
            $s->rise->length() - $own[$place->level > 0 ? count($own) - 1 : 0]->rise->length(),
        ) < Tolerance::FIGURE));
        $lines = [];
        foreach ($own as $slope) {
            foreach (array_keys($slope->plan->points) as $i) {
                $ends = [$slope->plan->point($i), $slope->plan->point($i + 1)];
                // An outline runs to the right below, and back to the left above.
                $isRidge = self::isRidge($mass, $slope, $ends) || self::isCutRidge($massing, $mass, $slope, $ends);
                array_push($lines, ...$isRidge ? [[$slope, $ends[1], $ends[0]]] : []);
            }
        }
        $start = $mass->block->standing()->point($place->edge ?? 0);
        $way = $mass->block->standing()->point(($place->edge ?? 0) + 1)->minus($start);
        $at = $start->plus($way->times(($place->from->mm ?? 0.0) / $way->length()))->times(1.0 / $massing->building->scale->ratio);
        $at = $mass->place(new Vec3($at->x, $at->y, 0.0));
        foreach ($lines as [$slope, $from, $to]) {
            $along = self::level($slope);
            $off = (new Vec2($at->x, $at->y))->minus($from)->dot($along);
            $on = $from->plus($along->times($off));
            $isOver = $mass->ring->contains($on) || $mass->ring->distanceTo($on) < Tolerance::MEET;
            if ($isOver && $off > -Tolerance::MEET && $off < $to->minus($from)->dot($along) && self::isSeen($massing, $mass, $slope, $on)) {
                return new self($on, $along);
            }
        }

        return null;
    }

    /**
     * Whether another plane of the mass lies beyond a level side, and falls away from it.
     *
     * @param  array{Vec2, Vec2}  $ends
     */
    private static function isRidge(Mass $mass, Slope $slope, array $ends): bool
    {
        $way = $ends[1]->minus($ends[0]);
        if ($way->length() < Tolerance::MEET || abs($slope->height($ends[0]) - $slope->height($ends[1])) > self::LEVEL * $way->length()) {
            return false;
        }
        $beyond = $ends[0]->plus($way->times(0.5))->plus((new Vec2($way->y, -$way->x))->times(Tolerance::PLANE / $way->length()));
        foreach ($mass->slopes as $other) {
            $falls = $other->height($beyond) < $slope->height($beyond) - Tolerance::CUT;
            if ($other !== $slope && $other->plan->contains($beyond) && $falls
                && abs($other->height($ends[0]) - $slope->height($ends[0])) < Tolerance::MEET) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether low relief leaves the ridge there and nothing behind it.
     *
     * @param  array{Vec2, Vec2}  $ends
     */
    private static function isCutRidge(Massing $massing, Mass $mass, Slope $slope, array $ends): bool
    {
        $middle = $ends[0]->plus($ends[1])->times(0.5);
        foreach ($massing->building->relief?->school === Relief::KEEP_RIDGE ? $mass->edges : [] as $edge => $wall) {
            [$from, $to] = [$mass->ring->point($edge), $mass->ring->point($edge + 1)];
            $isOn = $wall === null && $middle->distanceToSegment($from, $to) < Tolerance::MEET;
            if ($isOn && abs($slope->height($ends[0]) - $slope->height($ends[1])) < Tolerance::MEET) {
                return true;
            }
        }

        return false;
    }

    private static function isSeen(Massing $massing, Mass $mass, Slope $slope, Vec2 $at): bool
    {
        foreach ($massing->masses as $other) {
            if ($other === $mass) {
                continue;
            }
            $runsOn = $other->mayReach($at)
                && array_filter($massing->hosts($other), static fn (Mass $m): bool => $m->ring->contains($at)) !== [];
            // Beyond its walls only a slope of it may lie over the place.
            $height = match (true) {
                $other->ring->contains($at) => $other->height($at, $at),
                $runsOn => $other->slopeOver($at)?->height($at) ?? -INF,
                default => -INF,
            };
            if ($height > $slope->height($at) + Tolerance::EDGE) {
                return false;
            }
        }

        return true;
    }

    public function across(): Vec2
    {
        return new Vec2(-$this->along->y, $this->along->x);
    }
}
