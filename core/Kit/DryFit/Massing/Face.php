<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit\Massing;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;

/** The outside of one wall as the document describes it. Model millimetres; heights above the datum. */
final readonly class Face
{
    /**
     * @param  int  $mass  by its place in the massing
     * @param  Vec2  $from  its left end in plan, as seen from outside
     * @param  array{float, float}  $foot  at its left and its right end
     * @param  bool  $isOnGround  what card there is below its foot is buried, as ends of boards that go down further are
     * @param  list<Ring>  $openings  finished, along the wall and up
     * @param  float  $paper  by how much the card's openings may be larger, for paper that turns in
     * @param  list<Ring>  $perhaps  where low relief may have left an opening
     * @param  list<array{Ring, float, ?float}>  $filled  openings in which something stands, by how much it reaches behind what it leans
     *     against, 0 where it leans against nothing, and how deep the layer is in which it may be cut
     * @param  float  $thickness  of its card
     * @param  float  $outer  of the outermost of its layers
     * @param  array{float, float}  $corners  how much at either end cards cut square may leave open
     */
    public function __construct(
        public string $name,
        public int $mass,
        public Vec2 $from,
        public Vec2 $to,
        public array $foot,
        public bool $isOnGround,
        public array $openings,
        public float $paper,
        public array $perhaps,
        public array $filled,
        public float $thickness,
        public float $outer,
        public array $corners,
    ) {
    }

    public function length(): float
    {
        return $this->from->distanceTo($this->to);
    }

    public function along(): Vec2
    {
        return $this->to->minus($this->from)->times(1.0 / $this->length());
    }

    /** Out of the building, in plan. */
    public function out(): Vec2
    {
        $along = $this->along();

        return new Vec2($along->y, -$along->x);
    }

    /** x along the wall, y up from the datum, the normal outwards. */
    public function frame(): Frame
    {
        $along = $this->along();

        return new Frame(new Vec3($this->from->x, $this->from->y, 0.0), new Vec3($along->x, $along->y, 0.0), new Vec3(0.0, 0.0, 1.0));
    }

    public function footAt(float $x): float
    {
        return $this->foot[0] + ($this->foot[1] - $this->foot[0]) * $x / $this->length();
    }
}
