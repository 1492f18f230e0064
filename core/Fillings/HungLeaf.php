<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\HeadShape;
use Chartula\Core\Building\Leaf;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Shell\OpeningCut;

/** Leaves on hinges: the door's frame with holes for their pins, and where each leaf is within it. docs/formulas.md#hinges */
final readonly class HungLeaf
{
    /** A leaf hangs so far over what it stands on, besides its play. */
    private const OFF_MM = 0.2;

    /** A hole is so much wider than its pin. */
    private const EASY_MM = 0.1;

    /** A hole has so many corners. */
    private const CORNERS = 16;

    /** Less than that is no leaf. */
    private const LEAST_MM = 2.0;

    public float $post;

    private float $thickness;

    public function __construct(private Building $building, private OpeningForm $opening, private Leaf $leaf)
    {
        $this->post = $leaf->hinges === null ? 0.0 : $building->scale->modelMm($leaf->hinges->post);
        $this->thickness = OpeningCut::frameThickness($building);
    }

    public function hasRoom(): bool
    {
        return min($this->width(), $this->height()) > self::LEAST_MM;
    }

    /**
     * Openings that its leaves would fill but for their play; of two the left one first.
     *
     * @return non-empty-list<OpeningForm>
     */
    public function leaves(): array
    {
        $sides = $this->leaf->isDouble ? ['left', 'right'] : [$this->leaf->hinge];
        $wide = $this->width();
        $shape = OpeningShape::of($wide, $this->height(), null);
        $real = fn (float $mm): RealLength => RealLength::ofMillimetres($mm * $this->building->scale->ratio);
        $style = $this->opening->opening->style->with(head: HeadShape::Flat, w: $real($shape->width), h: $real($shape->height));
        $leaves = [];
        foreach ($sides as $n => $side) {
            // The gap for its swing is where it does not hang.
            $left = $this->inner() + ($n === 1 || $side === 'right' && ! $this->leaf->isDouble ? $this->between() - $wide : 0.0);
            $leaves[] = new OpeningForm(
                $this->opening->id,
                $this->opening->opening->with(style: $style->with(leaf: $this->leaf->half($side))),
                $this->opening->copy,
                $this->opening->left + $left, $this->opening->sill + $this->foot() + self::OFF_MM, $shape, -INF,
            );
        }

        return $leaves;
    }

    /** How wide its edge needs to be clear for the swing, where it does not hang: √(w² + t²) − w. */
    public function swing(): float
    {
        $wide = $this->between() / ($this->leaf->isDouble ? 2.0 : 1.0);

        return hypot($wide, $this->thickness) - $wide;
    }

    /** The door's frame, its holes over its middle as high as the straps. */
    public function frame(Fitted $in): Sheet
    {
        $outer = $in->outline()->ring;
        $box = [$this->inner(), $this->inner() + $this->between(), $this->foot(), $this->opening->shape->height - $this->inner()];
        $sheet = $in->card('door-frame', 'D', 'frame', []);
        $holes = $this->holes();
        if (! $this->opening->reachesFoot()) {
            return $sheet->with(holes: [Ring::rectangle($box[0], $box[2], $box[1], $box[3]), ...$holes]);
        }
        $points = [
            $outer->points[0], new Vec2($box[0], 0.0), new Vec2($box[0], $box[3]), new Vec2($box[1], $box[3]), new Vec2($box[1], 0.0),
            ...array_slice($outer->points, 1),
        ];
        $names = ['foot', 'inside', 'inside', 'inside', 'foot', 'jamb-right'];
        $edges = array_map(static fn (int $i): Edge => new Edge(
            $names[$i] ?? ($i === count($points) - 1 ? 'jamb-left' : 'head'), 'clearance',
        ), array_keys($points));

        return $sheet->with(outline: new Outline(new Ring($points), $edges), holes: $holes);
    }

    /** @return list<Ring> holes over the middle of the frame, on each side where a leaf hangs, the opening's own frame */
    public function holes(): array
    {
        $radius = ($this->pinWidth() + self::EASY_MM) / 2.0;
        $middle = FillingParts::CLEARANCE_MM + $this->post / 2.0;
        $sides = $this->leaf->isDouble ? ['left', 'right'] : [$this->leaf->hinge];
        $holes = [];
        foreach ($sides as $side) {
            $x = $side === 'left' ? $middle : $this->opening->shape->width - $middle;
            foreach (Straps::heights($this->building, $this->leaf, $this->height()) as $y) {
                $at = new Vec2($x, $y + $this->foot() + self::OFF_MM);
                $holes[] = new Ring(array_map(static fn (int $i): Vec2 => $at->plus(
                    new Vec2($radius * cos(2.0 * M_PI * $i / self::CORNERS), $radius * sin(2.0 * M_PI * $i / self::CORNERS)),
                ), range(0, self::CORNERS - 1)));
            }
        }

        return $holes;
    }

    private function pinWidth(): float
    {
        return $this->leaf->hinges->pin ?? 0.0;
    }

    /** Where the frame ends beside a leaf, and under its head. */
    private function inner(): float
    {
        return FillingParts::CLEARANCE_MM + $this->post;
    }

    /** Where it begins: on the ground, or over a sill of the frame's own. */
    private function foot(): float
    {
        return $this->opening->reachesFoot() ? 0.0 : $this->inner();
    }

    /** Between both sides of the frame. */
    private function between(): float
    {
        return $this->opening->shape->width - 2.0 * $this->inner();
    }

    /** Of what a leaf would fill; of two each has half, and a gap for the swing of both is between them. */
    private function width(): float
    {
        $free = max(0.0, $this->swing() - FillingParts::CLEARANCE_MM);

        return $this->leaf->isDouble ? $this->between() / 2.0 - $free : $this->between() - $free;
    }

    private function height(): float
    {
        return $this->opening->shape->height - $this->inner() - $this->foot() - self::OFF_MM;
    }
}
