<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** Whether a breast can stand where it is described, and what it takes of its wall. docs/formulas.md#chimneys-on-walls */
final readonly class BreastChecks
{
    /** Shoulders rise no less than one in so much, or card cut square leaves them open. */
    private const FLATTEST = 2.0;

    /** A stack that ends lower over the roof, or the wall, behind it is none, mm. */
    private const LEAST_OVER_MM = 1.0;

    /** An opening that shares less than this with a breast is beside it, mm². */
    private const LEAST_MM2 = 0.01;

    public function __construct(private Stack $stack, private Breast $breast)
    {
    }

    /** The code of what is wrong; null where nothing is. */
    public function objection(): ?string
    {
        $breast = $this->breast;
        $steps = array_map($breast->stepsIn(...), $breast->shoulders());
        $rise = $breast->top - $breast->shoulder;
        $isBox = $breast->layers === 0;
        $card = $this->stack->card();
        $limit = $breast->hasShoulders() ? $breast->shoulder : $breast->foot + $breast->onWall()->bounds()->height();
        $isOff = static fn (Course $c): bool => $c->top - (float) $c->foot < Tolerance::MEET || $c->top > $limit;

        return match (true) {
            $breast->isPastWall() => 'chimney.past-wall',
            $isBox && min($breast->deep, $breast->narrow->length()) < Breast::LEAST_BOX * $card,
            $breast->deep < $card / 2.0 => 'chimney.too-thin',
            $breast->hasShoulders() && $breast->shoulder < $breast->foot + $card => 'chimney.shoulders-low',
            $steps !== [] && ($rise * self::FLATTEST < max($steps) || min($steps) < Breast::LEAST_STEP_MM) => 'chimney.shoulders-flat',
            ! $breast->isUnderRoof() => 'chimney.shoulders-high',
            $this->stack->head() < $this->behind() => 'chimney.too-low',
            array_filter($this->setOffs(), $isOff) !== [] => 'chimney.set-offs',
            $this->isOverOpening() => 'chimney.breast-over-opening',
            default => null,
        };
    }

    /** How high the stack has to be at the least: over the roof, or the wall, behind it. */
    private function behind(): float
    {
        $roof = array_map(static fn (?FootLine $l): float => $l?->highest() ?? -INF, $this->stack->tops);

        $wall = array_map(static fn (Vec2 $p): float => $p->y, $this->stack->paperFeet(2));

        return max([...$roof, ...$wall, $this->breast->foot]) + self::LEAST_OVER_MM;
    }

    /** @return list<Course> */
    private function setOffs(): array
    {
        return Course::setOffs($this->stack->overBreast(), $this->breast);
    }

    private function isOverOpening(): bool
    {
        $base = $this->breast->wall->frame->origin->z;
        $rings = [$this->breast->onWall(), ...array_map(fn (Course $c): Ring => $this->ringOf($c, $base), $this->setOffs())];
        foreach ($this->breast->wall->openings as $opening) {
            foreach ($rings as $ring) {
                if (Clip::sharedArea(new Region($ring), new Region($opening->ring())) > self::LEAST_MM2) {
                    return true;
                }
            }
        }

        return false;
    }

    private function ringOf(Course $course, float $base): Ring
    {
        $out = $course->out() + $this->stack->paper();
        $wide = $this->breast->wide;

        return Ring::rectangle($wide->from - $out, (float) $course->foot - $base, $wide->to + $out, $course->top - $base);
    }

    /** @return list<Claim> */
    public function setOffClaims(Feature $feature): array
    {
        $base = $this->breast->wall->frame->origin->z;
        $deep = $this->breast->behind + $this->breast->deep + $this->stack->paper();

        return array_map(
            fn (Course $c): Claim => Claim::own($c->name, $feature, $this->ringOf($c, $base), $deep + $c->out()),
            $this->setOffs(),
        );
    }
}
