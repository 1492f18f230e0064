<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FoldedArt;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Score;
use Chartula\Core\Part\Shape;
use Chartula\Core\Skin\CoveredFace;

/** A paper round three sides of what stands on a wall: its left side, its front, its right side. docs/formulas.md#chimneys-on-walls */
final readonly class HalfWrap
{
    private float $thickness;

    /** @var array{float, float} where the front begins and ends in the flat */
    private array $creases;

    /**
     * @param  Stack  $stack  as wide as what it goes round
     * @param  float  $out  how far the card that it goes round stands before that, at its front and both sides
     * @param  array{string, string}  $called  its layer, and its words
     * @param  array{float, float, float}  $heights  its foot, and the tops of its left and its right side, above the datum
     * @param  list<Vec2>  $top  of its front, from right to left between both, x from the stack’s left side
     */
    public function __construct(
        private Stack $stack,
        private Building $building,
        private float $out,
        private array $called,
        private array $heights,
        private array $top,
    ) {
        $this->thickness = $building->methods->paper->thickness_mm;
        $first = $this->deep() + $this->thickness / 2.0;
        $this->creases = [$first, $first + $this->wide() + $this->thickness];
    }

    private function deep(): float
    {
        return $this->stack->d + $this->out;
    }

    private function wide(): float
    {
        return $this->stack->w + 2.0 * $this->out;
    }

    /** @param  list<Part>  $cards  on which it is stuck */
    public function make(array $cards): PartSet
    {
        [$foot, $left, $right] = $this->heights;
        [$a, $b] = $this->creases;
        $end = $b + $this->deep() + $this->thickness / 2.0;
        $top = array_map(fn (Vec2 $p): Vec2 => new Vec2($p->x + $this->shift(), $p->y), $this->top);
        $points = [
            new Vec2(0.0, $foot), new Vec2($a, $foot), new Vec2($b, $foot), new Vec2($end, $foot), new Vec2($end, $right),
            new Vec2($b, $right), ...$top, new Vec2($a, $left), new Vec2(0.0, $left),
        ];
        $outline = Outline::walk(array_map(static fn (Vec2 $p): array => [$p, new Edge('edge', 'clearance')], self::apart($points)));
        $part = $this->part($outline, [
            new Score(new Vec2($a, $foot), new Vec2($a, $left), 'away', 90.0, 'back'),
            new Score(new Vec2($b, $foot), new Vec2($b, $right), 'away', 90.0, 'back'),
        ]);
        // Both sides begin at the wall, and end in a crease.
        $long = $this->deep() + $this->thickness / 2.0;
        $joints = [
            ...Stuck::on($part, $this->sidePlane(3), Ring::rectangle(0.0, $foot, $long, $left), $cards),
            ...Stuck::on($part, $this->sidePlane(1), Ring::rectangle($this->deep() - $long, $foot, $this->deep(), $right), $cards),
        ];
        $front = self::apart([new Vec2($a, $foot), new Vec2($b, $foot), new Vec2($b, $right), ...$top, new Vec2($a, $left)]);
        $ring = new Ring(array_map(fn (Vec2 $p): Vec2 => new Vec2($p->x - $this->shift(), $p->y), $front));
        array_push($joints, ...Stuck::on($part, StackFrames::side($this->stack, 0, $this->out), $ring, $cards));

        return new PartSet([$part], $joints);
    }

    /** From the stack’s left side to the left end in the flat. */
    private function shift(): float
    {
        return $this->creases[0] + $this->thickness / 2.0 + $this->out;
    }

    /** The plane of a side: x from its left end as seen from outside. */
    private function sidePlane(int $side): Frame
    {
        return StackFrames::side($this->stack, $side, $this->out)->moved($side === 1 ? -$this->out : 0.0, 0.0);
    }

    /** @param  list<Score>  $folds */
    private function part(Outline $outline, array $folds): Part
    {
        $paper = $this->building->methods->paper;
        $words = static fn (float $mm): string => LengthFormat::trimmed($mm, 3);
        $width = Figure::given($this->wide(), 'its front')->plus(2.0 * $this->deep(), "plus its sides, 2 × {$words($this->deep())}")
            ->plus(2.0 * $this->thickness, "plus for its folds 2 × the paper, {$words($this->thickness)}");
        $middle = new Vec2(($this->creases[0] + $this->creases[1]) / 2.0, $this->heights[0] + 10.0 * Tolerance::EDGE);

        return Part::of(
            $this->stack->name($this->called[0]), 'P', "Chimney, {$this->called[1]}", PartGroup::Skin, $paper, $this->thickness, $outline,
            [StackFrames::side($this->stack, 0, $this->out + $this->thickness)->moved(-$this->shift(), 0.0)],
            ['width' => $width, 'height' => Figure::given($outline->ring->bounds()->height(), 'from its foot up')],
            scores: $folds, mayTurn: false, shape: Shape::folded($middle), art: $this->art($outline->ring->bounds()->x1),
        );
    }

    private function art(float $end): ?Artwork
    {
        $covering = StackCovering::of($this->stack->said, $this->building);
        $faces = [[0.0, $this->creases[0]], $this->creases, [$this->creases[1], $end]];

        // Sides that meet at a corner begin their courses by turns.
        return $covering === null ? null : new FoldedArt(array_map(
            static fn (int $i): Artwork => $covering->artwork(new CoveredFace(0.0, $faces[$i], $i !== 1)),
            [0, 1, 2],
        ));
    }

    /**
     * @param  list<Vec2>  $points
     * @return non-empty-list<Vec2> without those that lie where the one before them does
     */
    private static function apart(array $points): array
    {
        $left = [$points[0]];
        foreach ($points as $p) {
            array_push($left, ...$left[count($left) - 1]->distanceTo($p) > Tolerance::MEET ? [$p] : []);
        }

        return $left;
    }
}
