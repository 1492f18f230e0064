<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\Massing;
use Chartula\Core\Kit\DryFit\Massing\StackBox;
use Chartula\Core\Measure\Tolerance;

/**
 * Whether every chimney of the document stands where it is described: card on all its sides from the roof up, and a cap over it. A gap at
 * its foot, where card cut square leaves a slope, counts as closed only where paper lies over it. docs/formulas.md#chimneys
 */
final readonly class StackCheck
{
    /** Sides are looked at so far apart, mm. */
    private const STEP_MM = 0.5;

    /** What is farther off is not there. */
    private const FAR_MM = 10.0;

    /** Card comes no nearer to a figure than that, mm. */
    private const HALF_CARD_MM = 0.25;

    /** The middle of what is folded from so many faces lies off that of what is round by less than this, mm. */
    private const ROUND_MM = 0.1;

    /** @param  list<Piece>  $pieces  of one chimney */
    private function __construct(private StackBox $stack, private array $pieces, private float $thickness)
    {
    }

    /** @return list<Finding> */
    public static function all(Assembly $assembly, Massing $massing): array
    {
        $findings = [];
        $stacks = StackBox::all($massing);
        $things = array_fill_keys(array_map(static fn (StackBox $s): string => $s->name, $stacks), true);
        foreach (StackBox::said($massing) as $name) {
            $isThere = array_filter($assembly->pieces, static fn (Piece $p): bool => $p->part->thing === $name) !== [];
            if ($isThere && ! isset($things[$name])) {
                $findings[] = new Finding('stack.nowhere', $name, "$name stands where its document has none", self::FAR_MM);
            }
        }
        foreach ($stacks as $stack) {
            $own = array_values(array_filter($assembly->pieces, static fn (Piece $p): bool => $p->part->thing === $stack->name));
            $thick = max([0.0, ...array_map(static fn (Piece $p): float => $p->part->isPaper() ? 0.0 : $p->part->thickness, $own)]);
            array_push($findings, ...(new self($stack, $own, $thick))->findings());
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function findings(): array
    {
        $name = $this->stack->name;
        $worst = [0.0, 0.0];
        foreach (array_keys($this->stack->plan->points) as $i) {
            [$missing, $beyond] = $this->side($i);
            $worst = [max($worst[0], $missing), max($worst[1], $beyond)];
        }
        $findings = [];
        foreach ([
            ['stack.cover', $worst[0], 'On a side of %s card is missing over %.2f mm'],
            ['stack.cover', $worst[1], 'On a side of %s card stands out over %.2f mm'],
            ['stack.course', $this->courses(), 'A course that stands out of %s is %.2f mm higher, lower or farther out than it is described'],
            ['stack.panel', $this->panels(), 'A panel of %s is not open, or not shut beside, over %.2f mm'],
            ['stack.pot', $this->pots(), 'A pot of %s stands %.2f mm away from where it is described'],
            ['stack.cap', $this->cap(), 'The cap of %s is %.2f mm larger or smaller than it is described, or elsewhere'],
            ['stack.lead', LeadCheck::off($this->stack, $this->pieces), 'Lead round %s that turns out lies %.2f mm off the roof'],
            ['stack.lead', LeadCheck::missing($this->stack, $this->pieces), 'On a side of %s lead is missing over %.2f mm'],
            ['stack.behind', $this->behind(), '%s stands %.2f mm past the line at which low relief cuts the building'],
        ] as [$code, $mm, $words]) {
            if ($mm > Tolerance::COVER) {
                $findings[] = new Finding($code, $name, sprintf($words, $name, $mm), $mm);
            }
        }

        return [...$findings, ...BreastCheck::of($this->stack, $this->pieces)];
    }

    /** @return array{float, float} the longest stretches on which card is missing, and stands out */
    private function side(int $i): array
    {
        $frame = $this->stack->side($i);
        $length = $this->stack->plan->edgeLength($i);
        $card = array_filter($this->pieces, static fn (Piece $p): bool => ! $p->part->isPaper());
        $plates = Plates::in($frame, $card, 'wall');
        $head = $this->stack->top - max($this->stack->mm('cap_h') + $this->thickness / 2.0, $this->thickness);
        $events = [];
        foreach ($plates as $plate) {
            array_push($events, ...array_map(static fn (Vec2 $p): float => $p->x, $plate->outline->points));
        }
        $around = new Interval(min([0.0, ...$events]), max([$length, ...$events]));
        $missing = $beyond = 0.0;
        foreach (Stretches::places([0.0, $length, ...$events], $around, self::STEP_MM) as $x) {
            // Between cards that touch there is nothing so narrow.
            $is = Interval::joined(array_merge(...Stretches::upright($plates, [$x - Tolerance::PLANE, $x + Tolerance::PLANE])));
            $isOn = $x > Tolerance::COVER && $x < $length - Tolerance::COVER;
            $isOff = $x < -Tolerance::COVER || $x > $length + Tolerance::COVER;
            $foot = $isOn ? $this->stack->footAt($i, $x) : 0.0;
            $short = $isOn ? Stretches::without([new Interval(min($foot, $head), $head)], $is) : [];
            $missing = max($missing, Stretches::longest(array_values(array_filter(
                $short,
                fn (Interval $s): bool => $s->from > $foot + Tolerance::COVER || $s->length() > $this->atFoot()
                    || ! Papered::over($this->pieces, $frame, [$x, $s]),
            ))));
            $over = Stretches::without($is, [new Interval(-INF, $isOff ? $this->stack->seam() : $this->stack->top)]);
            $beyond = max($beyond, Stretches::longest($over));
        }

        return [$missing, $beyond];
    }

    /** How far its walls go up: its cap is of as many cards as come nearest to what is said. */
    private function head(): float
    {
        $layers = max(1, (int) round($this->stack->mm('cap_h') / max(Tolerance::MEET, $this->thickness)));

        return $this->stack->top - $layers * $this->thickness;
    }

    /** How much card cut square leaves open at its foot at the most. */
    private function atFoot(): float
    {
        return Tolerance::COVER + $this->thickness * $this->stack->steepest();
    }

    /** By how much courses that stand out of its sides are not as they are described: at the most, card coming as near as it does. */
    private function courses(): float
    {
        $worst = 0.0;
        foreach ($this->stack->details()->courses($this->head()) as $name => [$foot, $top, $out]) {
            $own = array_filter($this->pieces, static fn (Piece $p): bool => str_contains($p->part->id, ".stack-$name-"));
            $card = min([$this->thickness, ...array_map(
                static fn (Piece $p): float => $p->part->isPaper() ? INF : $p->part->thickness,
                array_values($own),
            )]);
            foreach (array_keys($this->stack->plan->points) as $i) {
                $least = self::FAR_MM;
                // From crease to crease it is as long as the side, and what stands out at both ends.
                [$plane, $long] = [$this->stack->side($i), [$this->stack->plan->edgeLength($i), 2]];
                foreach ($own as $piece) {
                    foreach ($piece->part->isPaper() ? $piece->facets : [] as $facet) {
                        $least = min($least, CourseFace::off($facet, $plane, [$foot, $top, $out, $card], $long));
                    }
                }
                $worst = max($worst, $least);
            }
        }

        return $worst;
    }

    /** How much of panels is not open where they are described, or not shut between and beside them. */
    private function panels(): float
    {
        [$foot, $top] = array_slice($this->stack->details()->courses($this->head())['panels'] ?? [0.0, 0.0], 0, 2);
        $own = array_filter($this->pieces, static fn (Piece $p): bool => str_contains($p->part->id, '.stack-panels-'));
        $worst = 0.0;
        foreach (array_keys($this->stack->plan->points) as $side) {
            foreach ($this->stack->details()->panels($side) as $isShut => $places) {
                foreach ($places as $x) {
                    $is = $this->isBefore($own, $side, new Vec2($x, ((float) $foot + $top) / 2.0));
                    $worst = $is === ($isShut === 1) ? $worst : max($worst, $top - (float) $foot);
                }
            }
        }

        return $worst;
    }

    /**
     * Whether paper of some pieces lies before a place of a side.
     *
     * @param  array<Piece>  $pieces
     */
    private function isBefore(array $pieces, int $side, Vec2 $at): bool
    {
        $plane = $this->stack->side($side);
        foreach ($pieces as $piece) {
            foreach ($piece->part->isPaper() ? $piece->facets : [] as $facet) {
                $before = $plane->height($facet->frame->origin);
                $isParallel = $facet->frame->normal->dot($plane->normal) > 1.0 - Tolerance::UNIT;
                $place = $plane->at($at, $before - $facet->thickness / 2.0);
                if ($isParallel && $before > Tolerance::EDGE && $facet->holds($place, Tolerance::COVER)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** By how much the pot that is farthest from its place is so. */
    private function pots(): float
    {
        $worst = 0.0;
        foreach ($this->stack->details()->pots() as $place) {
            $least = self::FAR_MM;
            foreach ($this->pieces as $piece) {
                if (str_contains($piece->part->id, '.stack-pot.')) {
                    [$x0, $x1, $y0, $y1, $z0] = $piece->box;
                    $least = min($least, max(
                        hypot(($x0 + $x1) / 2.0 - $place->x, ($y0 + $y1) / 2.0 - $place->y) - self::ROUND_MM,
                        abs($z0 - $this->stack->top) - self::HALF_CARD_MM,
                    ));
                }
            }
            $worst = max($worst, $least);
        }

        return $worst;
    }

    /** How far it stands past the line at which low relief cuts the building. */
    private function behind(): float
    {
        $cut = $this->stack->cut() ?? INF;

        return max([0.0, ...array_map(static fn (Piece $p): float => $p->box[3] - $cut, $this->pieces)]);
    }

    /** By how much the uppermost card is larger or smaller than the cap, or elsewhere. */
    private function cap(): float
    {
        $frame = $this->stack->cap();
        $out = $this->stack->mm('cap_out');
        $wanted = [-$out, $this->stack->plan->edgeLength(0) + $out, -$out, $this->stack->plan->edgeLength(1) + $out];
        $card = array_filter($this->pieces, static fn (Piece $p): bool => ! $p->part->isPaper());
        $least = INF;
        foreach (Plates::in($frame, $card, 'wall') as $plate) {
            $box = $plate->outline->bounds();
            $is = [$box->x0, $box->x1, $box->y0, $box->y1];
            $off = array_map(static fn (float $a, float $b): float => abs($a - $b), $is, $wanted);
            $least = min($least, max($off));
        }

        return min($least, max($this->stack->plan->edgeLength(0), $this->stack->plan->edgeLength(1)));
    }
}
