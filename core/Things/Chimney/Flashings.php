<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Form\Claims\RoofUnder;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\PrintedArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Part\Ref;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;

/**
 * Lead round the foot of a chimney, as paper: on sides along which the roof rises in steps, a course each, on level ones an apron or a back
 * gutter that turns out onto the slope. docs/formulas.md#chimneys
 */
final readonly class Flashings
{
    /** Each step stands at least so far over the roof, real mm. */
    private const LEAST_MM = 50.8;

    /** What turns out stays so far inside the end of a slope, mm. */
    private const IN_MM = 0.1;

    /** What would turn out by less cannot be folded. */
    private const LEAST_OUT_MM = 0.5;

    public function __construct(private Stack $stack)
    {
    }

    /** @param  array<string, Part>  $papers  of the stack and of what stands out of it, by id */
    public function make(array $papers): PartSet
    {
        if ($this->stack->said->text('flashing') === 'none') {
            return new PartSet;
        }
        $plinth = array_values(array_filter($this->stack->courses(), static fn (Course $c): bool => $c->isOnRoof()))[0] ?? null;
        $before = ($plinth?->out() ?? 0.0) + $this->stack->paper();
        $on = $this->stack->name($plinth === null ? 'paper' : 'plinth-paper')->id;

        return PartSet::joined(array_map(
            fn (int $side): PartSet => $this->side($side, $before, $plinth->top ?? $this->stack->head(), $papers[$on] ?? null),
            [0, 1, 2, 3],
        ));
    }

    private function side(int $side, float $before, float $most, ?Part $on): PartSet
    {
        $ring = $this->stack->ring($before);
        $line = FootLine::along($this->stack->roof, $ring->point($side), $ring->point($side + 1), true);
        if ($line === null || $on === null) {
            return new PartSet;
        }
        $isLevel = $line->highest() - $line->lowest() < Tolerance::PLANE;
        $feet = $line->points();
        $high = min($most, $line->lowest() + $this->stack->mm('apron'));
        $top = $isLevel ? [new Vec2($feet[count($feet) - 1]->x, $high), new Vec2(0.0, $high)] : array_reverse($this->steps($line, $most));
        $frame = StackFrames::side($this->stack, $side, $before + $this->stack->paper())->moved(-$before, 0.0);
        $part = $isLevel ? $this->apron([$feet, $top], $frame, $line->facet($ring->edgeLength($side) / 2.0), $side) : $this->part(
            [[...$feet, ...$top], []], $frame, ['stepped flashing', $side], 'from its foot to its highest step',
        );
        $flat = new Ring([...$feet, ...$top]);

        return new PartSet([$part], [new Joint(
            JointKind::Lap, Ref::inside($part->id), Ref::outside($on->id),
            array_map(static fn (Vec2 $p): Vec3 => $frame->at($p), $flat->points), why: 'stuck round its foot',
            contact_mm2: Clip::sharedArea(new Region($flat), new Region($this->face($side, $before, $most))),
        )]);
    }

    /**
     * Along a level side, folded out onto the slope as far as that goes on.
     *
     * @param  array{non-empty-list<Vec2>, list<Vec2>}  $upstand  its foot and its top
     */
    private function apron(array $upstand, Frame $frame, Facet $slope, int $side): Part
    {
        [$feet, $top] = $upstand;
        [$left, $right] = [$feet[0], $feet[count($feet) - 1]];
        $lean = $frame->normal->dot($slope->frame->normal);
        $called = [$lean > 0.0 ? 'apron' : 'back gutter', $side];
        $level = $slope->frame->normal->z;
        $asked = $this->stack->mm('apron');
        $ends = array_map(static fn (Vec2 $p): Vec2 => StackFrames::flat($frame->at($p)), [$left, $right]);
        $room = RoofUnder::goesOn($slope, $ends[0], $ends[1], ($asked + self::IN_MM) * $level);
        $out = min($asked, $room / $level - self::IN_MM);
        if ($out < self::LEAST_OUT_MM) {
            return $this->part([[$left, $right, ...$top], []], $frame, $called, 'up the stack');
        }
        $by = new Vec2(0.0, -$out);
        $fold = new Score($left, $right, 'towards', rad2deg(acos(max(-1.0, min(1.0, $lean)))), 'back');

        return $this->part(
            [[$left->plus($by), $right->plus($by), $right, ...$top, $left], [$fold]], $frame, $called,
            'up the stack and out on the slope'.($out < $asked ? ', as far as that goes on' : ''),
        );
    }

    /**
     * @param  array{non-empty-list<Vec2>, list<Score>}  $shape
     * @param  array{string, int}  $called  in words, and its side
     */
    private function part(array $shape, Frame $frame, array $called, string $high): Part
    {
        [$points, $folds] = $shape;
        $paper = $this->stack->roof->methods->paper;
        $outline = Outline::walk(array_map(static fn (Vec2 $p): array => [$p, new Edge('edge', 'clearance')], $points));
        $box = $outline->ring->bounds();
        $name = Stack::SIDES[$called[1]];
        $base = $folds === [] ? null : $folds[0]->from->plus($folds[0]->to)->times(0.5)->plus(new Vec2(0.0, Tolerance::PLANE));

        return Part::of(
            $this->stack->name("flashing-$name"), 'P', "Chimney, $called[0], $name", PartGroup::Skin,
            $paper, $paper->thickness_mm, $outline, [$frame],
            ['width' => Figure::given($box->width(), 'the side, over its paper'), 'height' => Figure::given($box->height(), $high)],
            scores: $folds, mayTurn: false, shape: $base === null ? Shape::flat() : Shape::folded($base),
            art: new PrintedArt(new PrintedShape($outline->ring, [], new Tone(Tone::LEAD, Tone::LEAD)), [$box->x0, $box->x1]),
        );
    }

    /** What of the paper behind it is a side’s, from crease to crease: x from the left end of the flashing. */
    private function face(int $side, float $before, float $most): Ring
    {
        $paper = $this->stack->paper();
        $ring = $this->stack->ring($before - $paper);
        $isTop = $before > $paper + Tolerance::MEET || $this->stack->school() !== 'through';
        $line = FootLine::along($this->stack->roof, $ring->point($side), $ring->point($side + 1), $isTop);
        // Outside a wall nothing else stands on the roof.
        $points = $this->stack->breast !== null ? $this->stack->paperFeet($side) : ($line?->points() ?? []);
        $points = count($points) > 1 ? $points : [new Vec2(0.0, 0.0), new Vec2(1.0, 0.0)];
        // The paper begins at the left end of one of its sides, without a crease.
        $left = $side === $this->stack->firstSide() ? 0.0 : $paper / 2.0;
        $feet = array_map(
            static fn (Vec2 $p): Vec2 => new Vec2($paper + $p->x, $p->y),
            FootLine::carriedOn($points, $left, $paper / 2.0),
        );
        $last = count($feet) - 1;

        return new Ring([...$feet, new Vec2($feet[$last]->x, $most), new Vec2($feet[0]->x, $most)]);
    }

    /**
     * Along a side on which the roof rises, course by course on the datum.
     *
     * @return non-empty-list<Vec2> from left to right
     */
    private function steps(FootLine $line, float $most): array
    {
        $course = $this->stack->course();
        $least = self::LEAST_MM / $this->stack->site->masonry->ratio();
        $xs = $line->places();
        foreach ($line->stretches as [$a, $b]) {
            [$low, $high] = [min($a->y, $b->y) + $least, max($a->y, $b->y) + $least];
            for ($k = ceil($low / $course); $k * $course < $high && abs($b->y - $a->y) > Tolerance::PLANE; $k++) {
                $xs[] = $a->x + ($b->x - $a->x) * ($k * $course - $least - $a->y) / ($b->y - $a->y);
            }
        }
        sort($xs);
        $steps = [];
        foreach (array_slice($xs, 1) as $i => $to) {
            if ($to - $xs[$i] > Tolerance::MEET) {
                $top = min($most, ceil(($line->at(($xs[$i] + $to) / 2.0) + $least) / $course) * $course);
                array_push($steps, new Vec2($xs[$i], $top), new Vec2($to, $top));
            }
        }
        assert($steps !== []);

        return $steps;
    }
}
