<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Field\Said;
use Chartula\Core\Form\Claims\InTheWay;
use Chartula\Core\Form\Claims\RoofUnder;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/**
 * What of a chimney stands on the outside of a wall: a breast from its foot to its shoulders, over which the stack goes on narrower, past
 * the roof. Places along the wall from its left end, heights above the datum; model millimetres. docs/formulas.md#chimneys-on-walls
 */
final readonly class Breast
{
    /** Layers of card are stuck on each other where a box would leave less than so many thicknesses between. */
    public const LEAST_BOX = 4.0;

    /** What is left of a breast that is narrower than this is none, mm. */
    private const LEAST_MM = 2.0;

    /** A shoulder that goes in by less than this cannot be cut, mm. */
    public const LEAST_STEP_MM = 0.5;

    /** It keeps so far below the roof that it does not go through. */
    private const CLEAR_MM = 0.3;

    /**
     * @param  Interval  $asSaid  the stack before low relief cut it
     * @param  Interval  $wide  the breast
     * @param  Interval  $narrow  the stack over it
     * @param  float  $foot  of both, above the datum
     * @param  float  $shoulder  where it begins to grow narrower
     * @param  float  $top  where it is as narrow as the stack
     * @param  float  $behind  how far its back stands before the wall’s card
     * @param  float  $deep  from its back to its front
     * @param  int  $layers  of card that it is made of; 0 where it is a box
     * @param  bool  $isCut  whether low relief leaves less of it than is described
     */
    private function __construct(
        public Said $said,
        public WallForm $wall,
        private RoofUnder $roof,
        public Interval $asSaid,
        public Interval $wide,
        public Interval $narrow,
        public float $foot,
        public float $shoulder,
        public float $top,
        public float $behind,
        public float $deep,
        public int $layers,
        public bool $isCut,
    ) {
    }

    /**
     * Null where there is no wall for it, that stands in the line at which low relief cuts the building, or its block recedes.
     *
     * @param  bool  $isOnRoof  whether it stands on a lower roof before its wall: its paper then goes round it down to that
     */
    public static function of(Site $site, RoofUnder $roof, bool $isOnRoof = false): ?self
    {
        $face = $site->faces[0] ?? null;
        if ($face === null || $roof->block->block->receding !== null || self::isBehind($face->wall, $roof)) {
            return null;
        }
        $said = $site->feature->said;
        $mm = static fn (string $key): float => $site->masonry->mm($said->real($key));
        $wall = $face->wall;
        [$narrow, $wide] = self::runs($face->at->x, [$mm('w'), max($mm('w'), $mm('breast_w'))], $said->text('stack_at') ?? 'middle');
        $left = self::left($wall, $roof, BeforeCut::farthest($site, $roof));
        [$cut, $stack] = [$wide->shared($left), $narrow->shared($left)];
        if ($cut === null || $stack === null || $stack->length() < self::LEAST_MM) {
            return null;
        }
        $cut = self::withoutSlivers($wide, $cut, $stack);
        $base = $wall->frame->origin->z;
        $up = $face->at->y;
        $behind = ($wall->isPapered ? $roof->methods->paper->thickness_mm : 0.0) + ($isOnRoof ? $roof->methods->paper->thickness_mm : 0.0);
        $card = Stack::cardOf($said, $roof->methods);
        $deep = $mm('d') - $behind;
        $isBox = $said->text('of') !== 'solid' && min($stack->length(), $deep) >= self::LEAST_BOX * $card;
        $layers = $isBox || $isOnRoof || $said->text('of') === 'box' ? 0 : max(1, (int) round($deep / $card));

        return new self(
            $said, $wall, $roof, $narrow, $cut, $stack, $base + ($up < Tolerance::MEET ? $wall->foot : $up), $base + $mm('shoulder'),
            $base + $mm('shoulder') + $mm('shoulder_h'), $behind, $layers === 0 ? $deep : $layers * $card, $layers,
            $cut->length() < $wide->length() - Tolerance::MEET,
        );
    }

    /** Whether a wall stands where the backscene does. */
    public static function isBehind(WallForm $wall, RoofUnder $roof): bool
    {
        $ends = [$wall->frame->origin->y, $wall->frame->at(new Vec2($wall->length->mm, 0.0))->y];

        return $roof->cut !== null && min($ends) > $roof->cut - Tolerance::MEET;
    }

    /**
     * @param  array{float, float}  $widths  of the stack and of the breast
     * @return array{Interval, Interval} from where to where both go
     */
    private static function runs(float $middle, array $widths, string $at): array
    {
        [$w, $breast] = $widths;
        $wide = new Interval($middle - $breast / 2.0, $middle + $breast / 2.0);
        $from = match ($at) {
            'left' => $wide->from,
            'right' => $wide->to - $w,
            default => $middle - $w / 2.0,
        };

        return [new Interval($from, $from + $w), $wide];
    }

    /** What low relief leaves of a wall, less what stands out of a chimney where it is cut; an end that is not cut ends nothing. */
    private static function left(WallForm $wall, RoofUnder $roof, float $out): Interval
    {
        $isCut = static fn (float $x): bool =>
            $roof->cut !== null && $wall->frame->at(new Vec2($x, 0.0))->y > $roof->cut - Tolerance::MEET;

        return new Interval($isCut(0.0) ? $out : -INF, $isCut($wall->length->mm) ? $wall->length->mm - $out : INF);
    }

    /** What low relief leaves of a shoulder that could not be cut goes with the rest of it. */
    private static function withoutSlivers(Interval $said, Interval $left, Interval $stack): Interval
    {
        $isCut = $said->length() > $left->length() + Tolerance::MEET;

        return new Interval(
            $isCut && $stack->from - $left->from < self::LEAST_STEP_MM ? $stack->from : $left->from,
            $isCut && $left->to - $stack->to < self::LEAST_STEP_MM ? $stack->to : $left->to,
        );
    }

    public function isPastWall(): bool
    {
        return $this->wide->from < -Tolerance::MEET || $this->wide->to > $this->wall->length->mm + Tolerance::MEET;
    }

    /** How far it is from a side of the breast in to the stack. @param  'left'|'right'  $side */
    public function stepsIn(string $side): float
    {
        return $side === 'left' ? $this->narrow->from - $this->wide->from : $this->wide->to - $this->narrow->to;
    }

    /** @return list<'left'|'right'> on which sides it has a shoulder */
    public function shoulders(): array
    {
        return array_values(array_filter(['left', 'right'], fn (string $side): bool => $this->stepsIn($side) > Tolerance::MEET));
    }

    public function hasShoulders(): bool
    {
        return $this->shoulders() !== [];
    }

    /** Whether it is no more than a stack, which may stand on a lower roof. */
    public function isPlain(): bool
    {
        return ! $this->hasShoulders() && ($this->said->count('set_offs') ?? 0) === 0
            && $this->foot < $this->wall->frame->origin->z + Tolerance::MEET;
    }

    /** How high its own papers go up, over which those of the stack begin. */
    public function seam(): float
    {
        return $this->hasShoulders() ? $this->top : $this->foot;
    }

    /** In plan, along the wall as it is seen from outside. */
    public function along(): Vec2
    {
        $x = $this->wall->frame->x;

        return new Vec2($x->x, $x->y);
    }

    /** In plan, the middle between its back and its front over a run. */
    public function middle(Interval $run): Vec2
    {
        return $this->inPlan($run->middle(), $this->behind + $this->deep / 2.0);
    }

    /**
     * Its outline from the front, x from the stack’s left side, y above the datum, counter-clockwise.
     *
     * @param  float  $head  how far it goes up
     * @return non-empty-list<Vec2>
     */
    public function outline(float $head): array
    {
        [$left, $right, $w] = [-$this->stepsIn('left'), $this->narrow->length() + $this->stepsIn('right'), $this->narrow->length()];
        $onRight = in_array('right', $this->shoulders(), true) ? [new Vec2($right, $this->shoulder), new Vec2($w, $this->top)] : [];
        $onLeft = in_array('left', $this->shoulders(), true) ? [new Vec2(0.0, $this->top), new Vec2($left, $this->shoulder)] : [];
        $above = $head > $this->top + Tolerance::MEET || ! $this->hasShoulders()
            ? [new Vec2($w, $head), new Vec2(0.0, $head)]
            // A side without a shoulder goes up to where the other one ends.
            : [...$onRight === [] ? [new Vec2($w, $head)] : [], ...$onLeft === [] ? [new Vec2(0.0, $head)] : []];

        return [new Vec2($left, $this->foot), new Vec2($right, $this->foot), ...$onRight, ...$above, ...$onLeft];
    }

    /** What of the wall it stands before, below the roof, in the wall’s frame. */
    public function onWall(): Ring
    {
        $tops = array_map($this->wall->heightAt(...), $this->places($this->narrow));
        $head = $this->wall->frame->origin->z + min($tops);

        return $this->upTo(max($this->hasShoulders() ? $this->top : $this->foot + Tolerance::MEET, $head));
    }

    /** Its outline in the wall’s frame, up to a height. */
    public function upTo(float $head): Ring
    {
        $base = $this->wall->frame->origin->z;

        return new Ring(array_map(
            fn (Vec2 $p): Vec2 => new Vec2($this->narrow->from + $p->x, $p->y - $base),
            $this->outline($head),
        ));
    }

    /** @return non-empty-list<float> both ends of a run, and where the wall’s top bends between them */
    private function places(Interval $run): array
    {
        $bends = array_filter(array_map(static fn (Vec2 $p): float => $p->x, $this->wall->top), $run->contains(...));
        $places = [$run->from, ...$bends, $run->to];
        sort($places);

        return array_values(array_unique($places));
    }

    /** @return list<Vec2> as Stack::paperFeet() */
    public function paperFeet(int $side): array
    {
        $length = $side % 2 === 0 ? $this->narrow->length() : $this->deep;
        if ($side !== 2) {
            return [new Vec2(0.0, $this->seam()), new Vec2($length, $this->seam())];
        }
        $base = $this->wall->frame->origin->z;

        return array_map(
            fn (float $x): Vec2 => new Vec2($this->narrow->to - $x, $base + $this->wall->heightAt($x)),
            array_reverse($this->places($this->narrow)),
        );
    }

    /** Whether it stays below its own roof, and its wall’s top, but for the stack that goes through. */
    public function isUnderRoof(): bool
    {
        if (! $this->hasShoulders()) {
            return true;
        }
        $base = $this->wall->frame->origin->z;
        foreach ([...$this->places($this->wide), $this->narrow->from, $this->narrow->to] as $x) {
            if ($this->highestAt($x) > $base + $this->wall->heightAt($x)) {
                return false;
            }
        }
        $ends = [$this->wide->from, $this->narrow->from, $this->narrow->to, $this->wide->to];
        foreach ([0, 1, 2] as $i) {
            if ($ends[$i + 1] - $ends[$i] > Tolerance::MEET && ! $this->isUnderSlopes(new Interval($ends[$i], $ends[$i + 1]))) {
                return false;
            }
        }

        return true;
    }

    /** The same of a run over which it is level, or rises evenly, as slopes over it do. */
    private function isUnderSlopes(Interval $run): bool
    {
        $front = $this->behind + $this->deep;
        $at = fn (float $x, float $out): Vec2 => $this->inPlan($x, $out);
        $plan = new Ring([$at($run->from, $front), $at($run->to, $front), $at($run->to, 0.0), $at($run->from, 0.0)]);
        foreach ($this->roof->facets as $facet) {
            foreach ($facet->block === $this->wall->block ? $facet->patches : [] as $patch) {
                foreach ($patch->outline->bounds()->gapTo($plan->bounds()) > 0.0 ? [] : InTheWay::shared($patch, $plan) as $over) {
                    foreach ($over->outline->points as $p) {
                        $x = $this->wall->frame->project(new Vec3($p->x, $p->y, 0.0))->x;
                        $x = min($run->to, max($run->from, $x));
                        if ($this->highestAt($x) > $this->roof->height($facet, $p, false) - self::CLEAR_MM) {
                            return false;
                        }
                    }
                }
            }
        }

        return true;
    }

    private function inPlan(float $x, float $out): Vec2
    {
        $at = $this->wall->frame->at(new Vec2($x, 0.0), $out);

        return new Vec2($at->x, $at->y);
    }

    /** How high the breast is at a place along the wall. */
    private function highestAt(float $x): float
    {
        $rise = $this->top - $this->shoulder;
        $share = match (true) {
            $x < $this->narrow->from => ($x - $this->wide->from) / max(Tolerance::MEET, $this->stepsIn('left')),
            $x > $this->narrow->to => ($this->wide->to - $x) / max(Tolerance::MEET, $this->stepsIn('right')),
            default => 1.0,
        };

        return $this->shoulder + $rise * $share;
    }
}
