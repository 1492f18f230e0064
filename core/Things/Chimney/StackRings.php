<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Trim\ThingParts;

/**
 * Strips of card on a chimney's paper for every course that stands out of it, those on its front and back running past the others, with a
 * paper of their own round them. docs/formulas.md#chimneys
 */
final readonly class StackRings
{
    /** @param  Part  $shaft  the paper of the stack */
    public function __construct(private Stack $stack, private Building $building, private Part $shaft)
    {
    }

    public function make(): PartSet
    {
        return PartSet::joined(array_map($this->ring(...), $this->stack->courses()));
    }

    private function ring(Course $course): PartSet
    {
        // What is level all round is as long on both of its long sides, and on both of its short ones.
        $cards = PartSet::joined($course->foot === null
            ? array_map(fn (int $side): PartSet => $this->onRoof($course, $side), [0, 1, 2, 3])
            : [$this->level($course, $course->foot, [0, 2]), $this->level($course, $course->foot, [1, 3])]);
        $out = $course->out();
        $feet = array_map(function (int $side) use ($course, $out): array {
            $length = $this->stack->length($side) + 2.0 * $out;

            return $course->foot === null
                ? (new Feet($this->stack, $out))->of($side, new Interval(0.0, $length), 0.0)
                : [new Vec2(0.0, $course->foot), new Vec2($length, $course->foot)];
        }, [0, 1, 2, 3]);

        $round = new Round("$course->name-paper", "paper of the $course->words", $out, $feet, $course->top, $course->finish, array_map(
            fn (int $side): array => $course->windows($this->stack, $side),
            [0, 1, 2, 3],
        ));

        return $cards->with((new StackPapers($this->stack, $this->building, $round))->make($cards->parts));
    }

    /** How far a strip reaches beyond the stack's own card at both ends: those on its front and back run past the others. */
    private function ends(Course $course, int $side): float
    {
        return $side % 2 === 0 ? $course->out() : $this->stack->paper();
    }

    /** @param  array{int, int}  $sides  that are alike */
    private function level(Course $course, float $foot, array $sides): PartSet
    {
        $length = $this->stack->length($sides[0]) + 2.0 * $this->ends($course, $sides[0]);
        $placed = [];
        foreach ($sides as $side) {
            array_push($placed, ...array_map(static fn (int $layer): array => [$side, $layer], range(1, $course->layers)));
        }

        return $this->strip($course, $sides[0] === 0 ? 'long' : 'short', [new Vec2(0.0, $foot), new Vec2($length, $foot)], $placed);
    }

    /** The strips of one side on the slope, a part for each layer. */
    private function onRoof(Course $course, int $side): PartSet
    {
        $ends = $this->ends($course, $side);

        return PartSet::joined(array_map(function (int $layer) use ($course, $side, $ends): PartSet {
            $out = $course->out($layer);
            $run = new Interval($out - $ends, $out + $this->stack->length($side) + $ends);
            $feet = array_map(
                static fn (Vec2 $p): Vec2 => new Vec2($p->x - $run->from, $p->y),
                (new Feet($this->stack, $out))->of($side, $run, $course->card),
            );

            return $this->strip($course, Stack::SIDES[$side].($layer === 1 ? '' : "-$layer"), $feet, [[$side, $layer]]);
        }, range(1, $course->layers)));
    }

    /**
     * @param  list<Vec2>  $feet  from left to right
     * @param  non-empty-list<array{int, int}>  $placed  on which sides, and as which layers from the stack outwards, from 1
     */
    private function strip(Course $course, string $name, array $feet, array $placed): PartSet
    {
        $side = $placed[0][0];
        $ends = $this->ends($course, $side);
        $foot = new Edge($course->foot === null ? ThingParts::ON_ROOF : 'foot', 'clearance');
        $end = new Edge('end', 'clearance');
        $last = count($feet) - 1;
        $walk = array_map(static fn (Vec2 $p, int $k): array => [$p, $k === $last ? $end : $foot], $feet, array_keys($feet));
        $walk[] = [new Vec2($feet[count($feet) - 1]->x, $course->top), new Edge('top', 'clearance')];
        $walk[] = [new Vec2($feet[0]->x, $course->top), $end];
        $outline = Outline::walk($walk);
        $part = Part::of(
            $this->stack->name("$course->name-$name"), 'T',
            "Chimney, $course->words, ".strtok($name, '-'), PartGroup::Trim, $course->stock, $course->card, $outline,
            array_map(
                fn (array $p): Frame => StackFrames::side($this->stack, $p[0], $course->out($p[1]))->moved(-$ends, 0.0),
                $placed,
            ),
            [
                'width' => Figure::given($this->stack->length($side), 'the side of the stack')
                    ->plus(2.0 * $ends, 'plus 2 × '.LengthFormat::trimmed($ends, 3)),
                'height' => Figure::given($outline->ring->bounds()->height(), 'from its foot to its top'),
            ],
            holes: array_map(static fn (Ring $r): Ring => $r->moved($ends, 0.0), $course->windows($this->stack, $side)),
        );

        return new PartSet([$part], $this->joints($part, $placed));
    }

    /**
     * @param  non-empty-list<array{int, int}>  $placed
     * @return list<Joint> each layer on the one behind it, the first on the stack's paper
     */
    private function joints(Part $part, array $placed): array
    {
        $joints = [];
        foreach ($placed as $copy => [$side, $layer]) {
            [$behind, $area] = match (true) {
                $layer === 1 => [Ref::outside($this->shaft->id), $this->onShaft($part, $side, $copy)],
                $copy > 0 => [Ref::outside($part->id, $copy - 1), $part->region()->area()],
                default => [null, 0.0],
            };
            $joints = $behind === null || $area < Tolerance::MEET ? $joints : [...$joints, new Joint(
                JointKind::Lap, Ref::inside($part->id, $copy), $behind, $part->corners($copy), why: 'stuck on', contact_mm2: $area,
            )];
        }

        return $joints;
    }

    /** How much of a strip lies on the stack's paper. */
    private function onShaft(Part $part, int $side, int $copy): float
    {
        $plane = StackFrames::side($this->stack, $side);
        $half = $this->stack->paper() / 2.0;
        $points = $this->stack->paperFeet($side);
        if ($points === []) {
            return 0.0;
        }
        // The paper begins at the left end of one of its sides, without a crease.
        $points = FootLine::carriedOn($points, $side === $this->stack->firstSide() ? 0.0 : $half, $half);
        $right = $points[count($points) - 1]->x;
        $face = new Ring([...$points, new Vec2($right, $this->stack->head()), new Vec2($points[0]->x, $this->stack->head())]);
        $frame = $part->placements[$copy];
        $on = static fn (Vec2 $p): Vec2 => $plane->project($frame->at($p));
        $flat = static fn (Ring $ring): Ring => new Ring(array_map($on, $ring->points));

        return Clip::sharedArea(new Region($face), new Region($flat($part->outline->ring), array_map($flat, $part->holes)));
    }
}
