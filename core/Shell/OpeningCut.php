<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Filling;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\SkinMethod;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Stock\Stack;

/**
 * How each layer of a wall is cut round one opening, and how deep what stands in it stands. Those before a rebate end at the finished
 * opening, those behind it are cut back by so much, and a frame leans against what is left standing. Model millimetres.
 * docs/formulas.md#frame
 */
final readonly class OpeningCut
{
    /**
     * @param  int  $front  so many layers, from the outermost, end at the finished opening
     * @param  float  $rebate  how far those behind are cut back; 0 where there are none
     * @param  float  $depth  of the outside of a frame or a leaf, behind the outside of the wall
     * @param  float  $round  how thick the card is round which paper turns in
     * @param  float  $paper  that turns in
     */
    private function __construct(
        public int $front,
        public float $rebate,
        public float $depth,
        public float $round,
        private float $paper,
    ) {
    }

    public static function of(Building $building, WallForm $wall, Stack $stack, Opening $opening): self
    {
        $style = $opening->style;
        $reveal = $building->scale->modelMm($style->reveal);
        $room = $stack->thickness_mm - self::takes($building, $opening);
        $rebate = $building->methods->rebateMm($style, $building->scale);
        $front = self::front($stack, $reveal, $room - $wall->turnIn);

        return $rebate <= 0.0 || $front === null
            ? new self(count($stack->layers), 0.0, max(0.0, min($reveal, $room)), $stack->thickness_mm, $wall->turnIn)
            : new self($front, $rebate, $stack->depthOf($front) + $wall->turnIn, $stack->depthOf($front), $wall->turnIn);
    }

    /** Of no wall: what stands in it by itself. */
    public static function none(): self
    {
        return new self(1, 0.0, 0.0, 0.0, 0.0);
    }

    /** How much larger than finished the opening is in a layer. */
    public function grow(int $layer): float
    {
        return $this->paper + ($layer < $this->front ? 0.0 : $this->rebate);
    }

    /** How deep paper turns in: in a rebate no farther than to its side. */
    public function flap(SkinMethod $skin): float
    {
        $flap = $skin->flap($this->round);

        return $this->rebate > 0.0 ? min($flap, $this->round + $this->rebate) : $flap;
    }

    /** How thick all that stands in it is: cards, the glass behind them, the paper before what it is filled up with. */
    public static function takes(Building $building, Opening $opening): float
    {
        $style = $opening->style;
        if (! $style->isFilled()) {
            return 0.0;
        }

        return ($style->bought->depth ?? 0.0) + $style->cards() * self::frameThickness($building)
            + ($style->isGlazed() ? $building->methods->glazing->thickness_mm : 0.0)
            + ($style->filling() === Filling::Blind ? $building->methods->paper->thickness_mm : 0.0);
    }

    public static function frameThickness(Building $building): float
    {
        return $building->methods->frame->thickness_mm + $building->methods->template->addsTo($building->methods->frame);
    }

    /** How many layers stand before a frame: as many as the reveal is deep, one at the least; null where it has no room behind one. */
    private static function front(Stack $stack, float $reveal, float $room): ?int
    {
        $front = null;
        for ($n = 1; $n < count($stack->layers); $n++) {
            $depth = $stack->depthOf($n);
            if ($depth <= $room + Tolerance::ROUNDING && ($n === 1 || $depth <= $reveal + Tolerance::FIGURE)) {
                $front = $n;
            }
        }

        return $front;
    }
}
