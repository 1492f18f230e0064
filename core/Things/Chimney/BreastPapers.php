<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Skin\CoveredFace;

/** The papers of a breast: round its left, its front and its right in one, and one on each shoulder. docs/formulas.md#chimneys-on-walls */
final readonly class BreastPapers
{
    public function __construct(private Stack $stack, private Breast $breast, private Building $building)
    {
    }

    /** @param  list<Part>  $cards  of the chimney */
    public function make(array $cards): PartSet
    {
        if (! $this->breast->hasShoulders()) {
            return new PartSet;
        }

        return PartSet::joined([
            $this->round($cards),
            ...array_map(fn (string $side): PartSet => $this->onShoulder($side, $cards), $this->breast->shoulders()),
        ]);
    }

    /** @param  list<Part>  $cards */
    private function round(array $cards): PartSet
    {
        [$top, $shoulder] = [$this->breast->top, $this->breast->shoulder];
        $has = array_fill_keys($this->breast->shoulders(), true);
        $half = $this->building->methods->paper->thickness_mm / 2.0;
        [$left, $w] = [$this->breast->stepsIn('left'), $this->breast->narrow->length()];
        $wrap = new HalfWrap(
            $this->stack->overBreast(), $this->building, 0.0, ['breast-paper', 'paper of the breast'],
            [$this->breast->foot, isset($has['left']) ? $shoulder : $top, isset($has['right']) ? $shoulder : $top],
            [new Vec2($left + $w + $half, $top), new Vec2($left - $half, $top)],
        );

        return $wrap->make($cards);
    }

    /**
     * @param  'left'|'right'  $side
     * @param  list<Part>  $cards
     */
    private function onShoulder(string $side, array $cards): PartSet
    {
        $paper = $this->building->methods->paper;
        $frame = BreastCards::slope($this->stack, $this->breast, $side);
        $long = hypot($this->breast->stepsIn($side), $this->breast->top - $this->breast->shoulder);
        // At its upper end it stops at the paper of the stack, at its front it is flush with the card there.
        $less = $paper->thickness_mm * $frame->normal->z / max(0.1, $frame->y->z);
        $ring = Ring::rectangle(0.0, 0.0, $this->breast->deep, $long - $less);
        $covering = StackCovering::of($this->stack->said, $this->building);
        $part = Part::of(
            $this->stack->name("shoulder-$side-paper"), 'P', "Chimney, paper of the $side shoulder", PartGroup::Skin,
            $paper, $paper->thickness_mm, new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
            [$frame->moved(0.0, 0.0, $paper->thickness_mm)],
            [
                'width' => Figure::given($this->breast->deep, 'from its back to its front'),
                'height' => Figure::given($long, 'up its slope')
                    ->less($less, 'less where it meets the stack’s paper, '.LengthFormat::trimmed($less, 3)),
            ],
            mayTurn: false, art: $covering?->artwork(new CoveredFace(0.0, [0.0, $this->breast->deep])),
        );
        $under = array_values(array_filter($cards, fn (Part $c): bool => $c->id === $this->stack->name("shoulder-$side")->id));

        return new PartSet([$part], array_map(static fn (Part $card): Joint => new Joint(
            JointKind::Lap, Ref::inside($part->id), Ref::outside($card->id),
            array_map(static fn (Vec2 $p): Vec3 => $frame->at($p, $paper->thickness_mm), $ring->points), why: 'stuck on',
            contact_mm2: $card->outline->ring->bounds()->width() * ($long - $less),
        ), $under));
    }
}
