<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Massing\BreastBox;
use Chartula\Core\Kit\DryFit\Massing\StackBox;
use Chartula\Core\Measure\Tolerance;

/**
 * Whether the breast of every chimney outside a wall stands where it is described: card on its front, its sides and its shoulders, none
 * beyond them, and set-offs as far out and as high as they are said to be. docs/formulas.md#chimneys-on-walls
 */
final readonly class BreastCheck
{
    /** Sides are looked at so far apart, mm. */
    private const STEP_MM = 0.5;

    /** What is farther off is not there. */
    private const FAR_MM = 10.0;

    /** @param  list<Piece>  $pieces  of the chimney */
    private function __construct(private StackBox $stack, private BreastBox $breast, private array $pieces)
    {
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Finding>
     */
    public static function of(StackBox $stack, array $pieces): array
    {
        return $stack->breast === null ? [] : (new self($stack, $stack->breast, $pieces))->findings();
    }

    /** @return list<Finding> */
    private function findings(): array
    {
        [$missing, $beyond] = $this->front();
        foreach (['left', 'right'] as $side) {
            $missing = max($missing, $this->side($side), $this->shoulder($side));
        }
        $name = $this->stack->name;
        $findings = [];
        foreach ([
            ['stack.breast', $missing, 'On the breast of %s card is missing over %.2f mm'],
            ['stack.breast', $beyond, 'On the breast of %s card stands out over %.2f mm'],
            ['stack.set-off', $this->setOffs(), 'A set-off of %s is %.2f mm higher, lower or farther out than it is described'],
        ] as [$code, $mm, $words]) {
            if ($mm > Tolerance::COVER) {
                $findings[] = new Finding($code, $name, sprintf($words, $name, $mm), $mm);
            }
        }

        return $findings;
    }

    /** @return list<Piece> */
    private function cards(): array
    {
        return array_values(array_filter($this->pieces, static fn (Piece $p): bool => ! $p->part->isPaper()));
    }

    /** @return array{float, float} the longest stretches of its front on which card is missing, and stands out */
    private function front(): array
    {
        $wide = $this->breast->wide;
        $plates = Plates::in($this->stack->side(0), $this->cards(), 'wall');
        $events = [$wide->from, $wide->to, $this->breast->narrow->from, $this->breast->narrow->to];
        foreach ($plates as $plate) {
            array_push($events, ...array_map(fn (Vec2 $p): float => $p->x + $this->breast->narrow->from, $plate->outline->points));
        }
        $missing = $beyond = 0.0;
        foreach (Stretches::places($events, new Interval(min($events), max($events)), self::STEP_MM) as $x) {
            $at = $x - $this->breast->narrow->from;
            $is = Interval::joined(array_merge(...Stretches::upright($plates, [$at - Tolerance::PLANE, $at + Tolerance::PLANE])));
            $isEdge = min(abs($x - $wide->from), abs($x - $wide->to)) < Tolerance::COVER
                || min(abs($x - $this->breast->narrow->from), abs($x - $this->breast->narrow->to)) < Tolerance::COVER;
            $top = $this->breast->heightAt($x);
            $rise = $this->breast->top - $this->breast->shoulder;
            $near = Tolerance::COVER * (1.0 + $rise / max(Tolerance::MEET, $this->breast->narrowest()));
            $isStack = $this->breast->narrow->contains($x);
            if ($isEdge) {
                continue;
            }
            $should = $top === null ? [] : [new Interval($this->breast->foot, $isStack ? $this->breast->seam() : $top)];
            $may = $isStack ? [new Interval(-INF, INF)] : ($top === null ? [] : [new Interval(-INF, $top + $near)]);
            $missing = max($missing, Stretches::longest(Stretches::without($should, $is)));
            $beyond = max($beyond, Stretches::longest(Stretches::without($is, $may)));
        }

        return [$missing, $beyond];
    }

    /**
     * The longest stretch on which card is missing on a side, below its shoulder; where it is cut square under that, paper is enough.
     *
     * @param  'left'|'right'  $side
     */
    private function side(string $side): float
    {
        $plan = $this->breast->plan($this->breast->wide);
        [$from, $to] = $side === 'left' ? [$plan->point(3), $plan->point(0)] : [$plan->point(1), $plan->point(2)];
        $top = $this->breast->shoulder($side) === null ? $this->breast->seam() : $this->breast->shoulder;

        return $this->missing(StackBox::plane($from, $to), new Interval($this->breast->foot, max($this->breast->foot, $top)));
    }

    /** @param  'left'|'right'  $side */
    private function shoulder(string $side): float
    {
        $shoulder = $this->breast->shoulder($side);

        return $shoulder === null ? 0.0 : $this->missing($shoulder[0], new Interval(0.0, $shoulder[1]));
    }

    /** The longest stretch of a plane, from its back to its front, without card; at its upper end, by less than a card, paper may do. */
    private function missing(Frame $plane, Interval $should): float
    {
        $plates = Plates::in($plane, $this->cards(), 'wall');
        $events = array_merge(...array_map(
            static fn ($plate): array => array_map(static fn (Vec2 $p): float => $p->x, $plate->outline->points),
            $plates,
        ));
        $deep = $this->breast->deep;
        $missing = 0.0;
        foreach (Stretches::places([0.0, $deep, ...$events], new Interval(0.0, $deep), self::STEP_MM) as $x) {
            if ($x > Tolerance::COVER && $x < $deep - Tolerance::COVER) {
                $is = Interval::joined(array_merge(...Stretches::upright($plates, [$x - Tolerance::PLANE, $x + Tolerance::PLANE])));
                foreach (Stretches::without([$should], $is) as $open) {
                    $isSquare = $open->to > $should->to - Tolerance::COVER && $open->length() < $this->breast->card + Tolerance::COVER;
                    $isShut = $isSquare && Papered::over($this->pieces, $plane, [$x, $open]);
                    $missing = $isShut ? $missing : max($missing, $open->length());
                }
            }
        }

        return $missing;
    }

    /** By how much set-offs are not as they are described: at the most, card coming as near as it does. */
    private function setOffs(): float
    {
        $worst = 0.0;
        foreach ($this->breast->setOffs($this->stack->course()) as [$name, $foot, $top, $out]) {
            $own = array_filter($this->pieces, static fn (Piece $p): bool => str_contains($p->part->id, ".stack-$name-"));
            $card = min([$this->breast->card, ...array_map(
                static fn (Piece $p): float => $p->part->isPaper() ? INF : $p->part->thickness,
                array_values($own),
            )]);
            $plan = $this->breast->plan($this->breast->wide);
            foreach ([0, 1, 3] as $side) {
                $plane = StackBox::plane($plan->point($side), $plan->point($side + 1));
                $long = $side === 0 ? [$this->breast->wide->length(), 2] : [$this->breast->deep, 1];
                $least = self::FAR_MM;
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
}
