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

/**
 * Where a breast is wider and deeper below: strips of card on its paper, the front one running past those at its sides, with a paper of
 * their own round them. docs/formulas.md#chimneys-on-walls
 */
final readonly class SetOffs
{
    private Stack $wide;

    /** @param  Part  $paper  of the breast, or of the whole chimney where that has no shoulders */
    public function __construct(private Stack $stack, private Breast $breast, private Building $building, private Part $paper)
    {
        $this->wide = $stack->overBreast();
    }

    public function make(): PartSet
    {
        return PartSet::joined(array_map($this->round(...), Course::setOffs($this->wide, $this->breast)));
    }

    private function round(Course $course): PartSet
    {
        $out = $course->out();
        $cards = PartSet::joined([
            $this->strip($course, 'front', [0]),
            $this->strip($course, 'side', [3, 1]),
        ]);
        $wrap = new HalfWrap(
            $this->wide, $this->building, $out, ["$course->name-paper", "paper of the $course->words"],
            [(float) $course->foot, $course->top, $course->top], [],
        );

        return $cards->with($wrap->make($cards->parts));
    }

    /** From where to where a strip of a side goes, from the left end of the breast's own side. */
    private function run(Course $course, int $side): Interval
    {
        return match ($side) {
            0 => new Interval(-$course->out(), $this->wide->w + $course->out()),
            1 => new Interval(-$this->stack->paper(), $this->wide->d),
            default => new Interval(0.0, $this->wide->d + $this->stack->paper()),
        };
    }

    /** @param  non-empty-list<int>  $sides  that are alike */
    private function strip(Course $course, string $name, array $sides): PartSet
    {
        $placed = [];
        foreach ($sides as $side) {
            array_push($placed, ...array_map(static fn (int $layer): array => [$side, $layer], range(1, $course->layers)));
        }
        $run = $this->run($course, $sides[0]);
        $ring = Ring::rectangle(0.0, (float) $course->foot, $run->length(), $course->top);
        $more = $sides[0] === 0 ? 2.0 * $course->out() : $this->stack->paper();
        $frame = fn (int $of, int $layer): Frame => StackFrames::side($this->wide, $of, $course->out($layer))
            ->moved($this->run($course, $of)->from, 0.0);
        $part = Part::of(
            $this->stack->name("$course->name-$name"), 'T', "Chimney, $course->words, $name", PartGroup::Trim,
            $course->stock, $course->card,
            new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            array_map(static fn (array $p): Frame => $frame(...$p), $placed),
            [
                'width' => Figure::given($run->length() - $more, 'the side of the breast')
                    ->plus($more, 'plus what it runs past at its ends, '.LengthFormat::trimmed($more, 3)),
                'height' => Figure::given($course->top - (float) $course->foot, 'from its foot to its top'),
            ],
        );

        return new PartSet([$part], $this->joints($part, $placed));
    }

    /**
     * @param  non-empty-list<array{int, int}>  $placed
     * @return list<Joint> each layer on the one behind it, the first on the paper of the breast
     */
    private function joints(Part $part, array $placed): array
    {
        $joints = [];
        foreach ($placed as $copy => [$side, $layer]) {
            [$behind, $area] = $layer === 1
                ? [Ref::outside($this->paper->id), $this->onPaper($part, $side, $copy)]
                : [Ref::outside($part->id, $copy - 1), $part->outline->ring->area()];
            $joints = $area < Tolerance::MEET ? $joints : [...$joints, new Joint(
                JointKind::Lap, Ref::inside($part->id, $copy), $behind, $part->corners($copy), why: 'stuck on', contact_mm2: $area,
            )];
        }

        return $joints;
    }

    /** How much of a strip lies on the paper, from crease to crease. */
    private function onPaper(Part $part, int $side, int $copy): float
    {
        $half = $this->stack->paper() / 2.0;
        // The paper of a whole stack begins with one of its sides, without a crease.
        $from = ! $this->breast->hasShoulders() && $this->wide->firstSide() === $side ? 0.0 : -$half;
        $face = match ($side) {
            0 => new Interval($from, $this->wide->w + $half),
            1 => new Interval($from, $this->wide->d),
            default => new Interval(0.0, $this->wide->d + $half),
        };
        $top = $this->breast->hasShoulders() ? $this->breast->shoulder : $this->stack->head();
        $ring = Ring::rectangle($face->from, $this->breast->foot, $face->to, $top);
        $plane = StackFrames::side($this->wide, $side);
        $flat = array_map(static fn (Vec2 $p): Vec2 => $plane->project($part->placements[$copy]->at($p)), $part->outline->ring->points);

        return Clip::sharedArea(new Region($ring), new Region(new Ring($flat)));
    }
}
