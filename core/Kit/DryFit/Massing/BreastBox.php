<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/**
 * A chimney on the outside of a wall as its document describes it, as far as its shoulders. Places along the wall from its left end as it
 * is built, heights above the datum; model millimetres.
 */
final readonly class BreastBox
{
    use CopiesWith;

    /** Layers are stuck on each other where a box would leave less than so many thicknesses of its card. */
    private const LEAST_BOX = 4.0;

    /** What is left of it that is narrower is none, mm. */
    private const LEAST_MM = 2.0;

    private const LEAST_STEP_MM = 0.5;

    /**
     * @param  Vec2  $start  of the wall in plan
     * @param  Interval  $asSaid  the stack before low relief cut it
     * @param  float  $behind  how far its back stands before the wall’s card
     * @param  float  $card  how thick its card is
     */
    private function __construct(
        public Feature $feature,
        private Vec2 $start,
        public Vec2 $along,
        private Interval $asSaid,
        public Interval $wide,
        public Interval $narrow,
        public float $foot,
        public float $shoulder,
        public float $top,
        public float $behind,
        public float $deep,
        public float $card,
        public float $base,
        private float $ratio,
    ) {
    }

    /** Null where nothing of its wall is there, or its block is built to look deeper than it is. */
    public static function of(Massing $massing, Mass $mass, Feature $feature): ?self
    {
        $building = $massing->building;
        $place = $feature->place;
        $edge = array_search($place->edge ?? -1, $mass->edges, true);
        if ($place === null || $edge === false || self::recedes($building, $mass) || ! Faces::isSeen($massing, $mass, $edge)) {
            return null;
        }
        [$from, $to] = [$mass->ring->point($edge), $mass->ring->point($edge + 1)];
        $length = $from->distanceTo($to);
        $along = $to->minus($from)->times(1.0 / $length);
        $middle = self::on($building, $mass, $feature)->minus($from)->dot($along);
        if ($middle < -Tolerance::MEET || $middle > $length + Tolerance::MEET) {
            return null;
        }
        $runs = self::runs($massing, $feature, [$from, $to], $middle);
        if ($runs === null) {
            return null;
        }
        [$asSaid, $cut, $stack] = $runs;
        $mm = static fn (?RealLength $l): float => $l === null ? 0.0 : $building->scale->modelMm($l);
        $said = $feature->said;
        $behind = $building->papers($mass->block->walls[$place->edge ?? 0]) ? $building->methods->paper->thickness_mm : 0.0;
        $card = self::card($building, $feature);
        $deep = $mm($said->real('d')) - $behind;
        $isBox = $said->text('of') === 'box' || ($said->text('of') !== 'solid' && min($deep, $stack->length()) >= self::LEAST_BOX * $card);
        $shoulder = $mass->base + $mm($said->real('shoulder'));
        $up = $mm($place->up);

        return new self(
            $feature, $from, $along, $asSaid, $cut, $stack,
            $up > Tolerance::MEET ? $mass->base + $up : min($mass->base, $mass->feet[$edge], $mass->feet[($edge + 1) % count($mass->feet)]),
            $shoulder, $shoulder + $mm($said->real('shoulder_h')), $behind,
            $isBox ? $deep : max(1, (int) round($deep / $card)) * $card, $card, $mass->base, $building->scale->ratio,
        );
    }

    /**
     * From where to where the stack goes as it is said, then the breast and the stack as far as low relief leaves them; null where that is
     * nothing.
     *
     * @param  array{Vec2, Vec2}  $ends  of the wall
     * @return ?array{Interval, Interval, Interval}
     */
    private static function runs(Massing $massing, Feature $feature, array $ends, float $middle): ?array
    {
        $said = $feature->said;
        $mm = static fn (?RealLength $l): float => $l === null ? 0.0 : $massing->building->scale->modelMm($l);
        [$w, $breast] = [$mm($said->real('w')), max($mm($said->real('w')), $mm($said->real('breast_w')))];
        $wide = new Interval($middle - $breast / 2.0, $middle + $breast / 2.0);
        $narrow = Interval::of(match ($said->text('stack_at')) {
            'left' => $wide->from,
            'right' => $wide->to - $w,
            default => $middle - $w / 2.0,
        }, $w);
        $left = self::left($massing, $ends, StackDetails::beforeCut($massing->building, $feature));
        [$cut, $stack] = [$wide->shared($left), $narrow->shared($left)];
        if ($cut === null || $stack === null || $stack->length() < self::LEAST_MM) {
            return null;
        }
        if ($cut->length() < $wide->length() - Tolerance::MEET) {
            // A shoulder of which nothing is left that can be cut is none.
            $cut = new Interval(
                $stack->from - $cut->from < self::LEAST_STEP_MM ? $stack->from : $cut->from,
                $cut->to - $stack->to < self::LEAST_STEP_MM ? $stack->to : $cut->to,
            );
        }

        return [$narrow, $cut, $stack];
    }

    /** Where its middle has come to lie in plan. */
    private static function on(Building $building, Mass $mass, Feature $feature): Vec2
    {
        $edge = $feature->place->edge ?? 0;
        $start = $mass->block->standing()->point($edge);
        $way = $mass->block->standing()->point($edge + 1)->minus($start);
        $at = $start->plus($way->times(($feature->place->from->mm ?? 0.0) / $way->length()))->times(1.0 / $building->scale->ratio);
        $at = $mass->place(new Vec3($at->x, $at->y, 0.0));

        return new Vec2($at->x, $at->y);
    }

    private static function recedes(Building $building, Mass $mass): bool
    {
        $perspective = $building->perspective;

        return $perspective?->depth !== null
            && ($perspective->blocks === null || in_array($mass->block->id, $perspective->blocks, true));
    }

    /**
     * What of a wall low relief leaves, less what stands out of a chimney where it is cut.
     *
     * @param  array{Vec2, Vec2}  $ends
     */
    private static function left(Massing $massing, array $ends, float $out): Interval
    {
        $cut = $massing->cut();
        $isCut = static fn (Vec2 $p): bool => $cut !== null && $p->y > $cut - Tolerance::MEET;

        return new Interval($isCut($ends[0]) ? $out : -INF, $isCut($ends[1]) ? $ends[0]->distanceTo($ends[1]) - $out : INF);
    }

    private static function card(Building $building, Feature $feature): float
    {
        $stock = $feature->said->stock('card');
        foreach ($stock === null ? $building->methods->wall()->layers : [] as $layer) {
            $stock = $stock === null || $layer->thickness_mm > $stock->thickness_mm ? $layer->stock : $stock;
        }

        return $stock === null ? 0.0 : $stock->thickness_mm + $building->methods->template->addsTo($stock);
    }

    /** Whether it is no more than a stack from the foot of its wall. */
    public function isPlain(): bool
    {
        return ! $this->hasShoulders() && ($this->feature->said->count('set_offs') ?? 0) === 0
            && $this->foot < $this->base + Tolerance::MEET;
    }

    /** As a box, with its back so much farther before its wall. */
    public function beyond(float $mm): self
    {
        $deep = ($this->feature->said->real('d')->mm ?? 0.0) / $this->ratio;

        return $this->with(behind: $this->behind + $mm, deep: $deep - $this->behind - $mm);
    }

    public function hasShoulders(): bool
    {
        return $this->wide->length() > $this->narrow->length() + Tolerance::MEET;
    }

    /** How far its shoulder goes in that does so by less; so much as nothing stands for none. */
    public function narrowest(): float
    {
        $in = array_filter(
            [$this->narrow->from - $this->wide->from, $this->wide->to - $this->narrow->to],
            static fn (float $mm): bool => $mm > Tolerance::MEET,
        );

        return min([INF, ...$in]);
    }

    /** From where on the stack goes up as narrow as it is. */
    public function seam(): float
    {
        return $this->hasShoulders() ? $this->top : $this->foot;
    }

    /** The middle of the stack in plan, before low relief cut it. */
    public function middle(): Vec2
    {
        return $this->at($this->asSaid->middle(), $this->behind + $this->deep / 2.0);
    }

    private function at(float $x, float $out): Vec2
    {
        return $this->start->plus($this->along->times($x))->plus((new Vec2($this->along->y, -$this->along->x))->times($out));
    }

    /** In plan, from its front on counter-clockwise. */
    public function plan(Interval $run): Ring
    {
        $front = $this->behind + $this->deep;

        return new Ring([
            $this->at($run->from, $front), $this->at($run->to, $front),
            $this->at($run->to, $this->behind), $this->at($run->from, $this->behind),
        ]);
    }

    /** How high it goes at a place along its wall; nothing where it is not. */
    public function heightAt(float $x): ?float
    {
        if ($x < $this->wide->from || $x > $this->wide->to) {
            return null;
        }
        $share = match (true) {
            $x < $this->narrow->from => ($x - $this->wide->from) / ($this->narrow->from - $this->wide->from),
            $x > $this->narrow->to => ($this->wide->to - $x) / ($this->wide->to - $this->narrow->to),
            default => 1.0,
        };

        return $this->shoulder + ($this->top - $this->shoulder) * $share;
    }

    /**
     * The plane of a shoulder, and how far it goes up; null where there is none. x level from left to right as seen from outside.
     *
     * @param  'left'|'right'  $side
     * @return ?array{Frame, float}
     */
    public function shoulder(string $side): ?array
    {
        $in = $side === 'left' ? $this->narrow->from - $this->wide->from : $this->wide->to - $this->narrow->to;
        if ($in < Tolerance::MEET) {
            return null;
        }
        $start = $side === 'left' ? $this->at($this->wide->from, $this->behind) : $this->at($this->wide->to, $this->behind + $this->deep);
        $x = (new Vec2($this->along->y, -$this->along->x))->times($side === 'left' ? 1.0 : -1.0);
        $inwards = $this->along->times($side === 'left' ? $in : -$in);
        $long = hypot($in, $this->top - $this->shoulder);
        $up = new Vec3($inwards->x / $long, $inwards->y / $long, ($this->top - $this->shoulder) / $long);

        return [new Frame(new Vec3($start->x, $start->y, $this->shoulder), new Vec3($x->x, $x->y, 0.0), $up), $long];
    }

    /** @return list<array{string, float, float, float}> its set-offs: what their parts are called, foot, top, how far out; from below */
    public function setOffs(float $course): array
    {
        $said = $this->feature->said;
        $mm = fn (string $key): float => ($said->real($key)->mm ?? 0.0) / $this->ratio;
        $count = $said->count('set_offs') ?? 0;
        $tops = [];
        for ($k = 1; $k <= $count; $k++) {
            $height = $this->base + $mm('set_off_up') - ($k - 1) * $mm('set_off_down');
            $tops[$k] = floor($height / $course + Tolerance::SHARE) * $course;
        }
        $all = [];
        foreach ($tops as $k => $top) {
            $all[] = ["set-off-$k", $tops[$k + 1] ?? $this->foot, $top, $k * $mm('set_off_out')];
        }

        return array_reverse($all);
    }
}
