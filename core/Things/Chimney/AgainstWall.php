<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;

/** A stack that stands on a lower roof, against the wall that goes on over that. docs/formulas.md#chimneys-on-walls */
final readonly class AgainstWall
{
    /** A stack that ends lower over the roof than that is none, mm. */
    private const LEAST_MM = 1.0;

    /** An opening that shares less than this with it is beside it, mm². */
    private const LEAST_MM2 = 0.01;

    public function __construct(private Stack $stack, private WallForm $wall)
    {
    }

    /** The code of what is wrong; null where nothing is. */
    public function objection(): ?string
    {
        $run = $this->run();
        $ring = $this->before($this->stack->top - $this->wall->frame->origin->z);
        $isOver = static fn (OpeningForm $o): bool => Clip::sharedArea(new Region($ring), new Region($o->ring())) > self::LEAST_MM2;

        return match (true) {
            $run->from < -Tolerance::MEET || $run->to > $this->wall->length->mm + Tolerance::MEET => 'chimney.past-wall',
            ! $this->goesOnOver() => 'thing.blocked',
            array_filter($this->stack->tops, static fn (?FootLine $l): bool => $l?->hasValley === true) !== [] => 'chimney.in-valley',
            $this->stack->isSolid() => 'chimney.solid-on-slope',
            ! $this->stack->hasRoomForBox() => 'chimney.too-thin',
            $this->stack->head() < $this->highest() + self::LEAST_MM => 'chimney.too-low',
            array_filter($this->wall->openings, $isOver) !== [] => 'chimney.breast-over-opening',
            $this->runsIntoWall() => 'chimney.against-wall',
            default => null,
        };
    }

    /** Whether the wall goes on over the lower roof all along it. */
    private function goesOnOver(): bool
    {
        return min($this->wallTops()) > $this->before(0.0)->bounds()->y0 + Tolerance::PLANE;
    }

    /** @return list<Claim> its place before the wall, over the lower roof and as far as the wall goes up; none where that is nothing */
    public function claims(Feature $feature): array
    {
        $base = $this->wall->frame->origin->z;
        $ring = $this->before(min($this->stack->top - $base, min($this->wallTops())));
        $deep = $this->stack->d + 3.0 * $this->stack->paper();

        return $ring->bounds()->height() < Tolerance::PLANE ? [] : [
            Claim::own('stack', $feature, $ring, $deep)->with(shown: $this->before($this->stack->top - $base)),
        ];
    }

    /** From where to where it goes along the wall. */
    private function run(): Interval
    {
        $at = array_map(fn (Vec2 $p): float => $this->wall->frame->project(new Vec3($p->x, $p->y, 0.0))->x, $this->stack->ring()->points);

        return new Interval(min($at), max($at));
    }

    /** What of the wall it stands before, over the lower roof, up to a height. */
    private function before(float $top): Ring
    {
        $run = $this->run();
        // Between it and the wall the lower roof may go up a little.
        $at = fn (float $x): Vec2 => StackFrames::flat($this->wall->frame->at(new Vec2($x, 0.0), Tolerance::EDGE));
        $behind = FootLine::along($this->stack->roof, $at($run->from), $at($run->to), true)?->highest() ?? -INF;
        $foot = max($this->highest(), $behind) - $this->wall->frame->origin->z + Tolerance::PLANE;

        return Ring::rectangle($run->from, $foot, $run->to, max($foot, $top));
    }

    /** The highest of the lower roof round it. */
    private function highest(): float
    {
        return max([-INF, ...array_map(static fn (?FootLine $l): float => $l?->highest() ?? -INF, $this->stack->tops)]);
    }

    /** @return non-empty-list<float> how high the wall goes up behind it */
    private function wallTops(): array
    {
        $run = $this->run();
        $bends = array_filter(array_map(static fn (Vec2 $p): float => $p->x, $this->wall->top), $run->contains(...));

        return array_map($this->wall->heightAt(...), [$run->from, $run->to, ...array_values($bends)]);
    }

    /** Whether what stands out of it all round would come into the wall. */
    private function runsIntoWall(): bool
    {
        $top = $this->wall->frame->origin->z + max($this->wallTops());
        $low = array_filter($this->stack->courses(), static fn (Course $c): bool => $c->isOnRoof() || (float) $c->foot < $top);

        return $low !== [] || ($this->stack->mm('cap_out') > 0.0 && $this->stack->head() < $top);
    }
}
