<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\Wall;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;

/**
 * A wall as a surface without thickness: the outside of its outermost card.
 * Frame: origin at the left end of the foot as seen from outside, x right, y up, model millimetres.
 */
final readonly class WallForm
{
    /**
     * @param  ?Figure  $apex  height of a gable's peak above the foot; null on a wall under the eaves
     * @param  list<OpeningForm>  $openings  from left to right
     * @param  float  $turnIn  thickness of the paper that turns into the openings; 0 where none does
     */
    public function __construct(
        public Wall $wall,
        public Frame $frame,
        public Figure $length,
        public Figure $height,
        public ?Figure $apex,
        public array $openings,
        public bool $isPapered,
        public float $turnIn,
    ) {
    }

    public function isGable(): bool
    {
        return $this->apex !== null;
    }

    /** The wall's top over $x. */
    public function heightAt(float $x): float
    {
        if ($this->apex === null) {
            return $this->height->mm;
        }
        $half = $this->length->mm / 2.0;

        return $this->height->mm + ($this->apex->mm - $this->height->mm) * (1.0 - abs($x - $half) / $half);
    }

    public function outline(): Ring
    {
        return $this->between(0.0, $this->length->mm);
    }

    /** The part of the outline from $x0 to $x1, without openings: foot, right end, top from right to left, left end. */
    public function between(float $x0, float $x1): Ring
    {
        $top = [new Vec2($x1, $this->heightAt($x1)), new Vec2($x0, $this->heightAt($x0))];
        if ($this->apex !== null) {
            array_splice($top, 1, 0, [new Vec2($this->length->mm / 2.0, $this->apex->mm)]);
        }

        return new Ring([new Vec2($x0, 0.0), new Vec2($x1, 0.0), ...$top]);
    }
}
