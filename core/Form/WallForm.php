<?php

declare(strict_types=1);

namespace Chartula\Core\Form;

use Chartula\Core\Building\CopiesWith;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Pierced;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\Tolerance;

/**
 * A wall as a surface without thickness: the outside of its outermost card.
 * Frame: origin at the left end of the foot as seen from outside, x right, y up, normal outwards; model millimetres.
 */
final readonly class WallForm
{
    use CopiesWith;

    /**
     * @param  int  $block  by its place in the form
     * @param  Figure  $height  of the eaves above the foot
     * @param  ?Figure  $apex  of the highest point of its top, where that is not level
     * @param  non-empty-list<Vec2>  $top  from left to right, under its own roof
     * @param  list<Patch>  $patches  what of it is built, openings left out; sides as WallSection labels them
     * @param  list<OpeningForm>  $openings from left to right
     * @param  float  $turnIn  thickness of the paper that turns into the openings; 0 where none does
     * @param  array{float, float}  $angles  interior, of the footprint at its left and its right end, degrees
     * @param  WallSection  $section  what of it is built behind its outside
     * @param  float  $foot  of the card against the block's base: 0, or less where the ground falls away
     * @param  ?array{float, float}  $ground  at its left and its right end against the block's base
     * @param  list<Claim>  $claims  what things take of its face: round openings first, from left to right
     * @param  ?Homography  $receding  from the wall as it is to the wall as it is built, in forced perspective
     */
    public function __construct(
        public int $block,
        public Wall $wall,
        public Frame $frame,
        public Figure $length,
        public Figure $height,
        public ?Figure $apex,
        public array $top,
        public array $patches,
        public array $openings,
        public bool $isPapered,
        public float $turnIn,
        public array $angles,
        public WallSection $section,
        public float $foot,
        public ?array $ground,
        public ?Homography $receding = null,
        public array $claims = [],
    ) {
    }

    /** @return list<Claim> what things take round one of its openings */
    public function claimsRound(string $opening): array
    {
        return array_values(array_filter($this->claims, static fn (Claim $claim): bool => $claim->opening === $opening));
    }

    /** @return list<Ring> holes for what goes through it */
    public function holes(): array
    {
        $through = array_filter($this->claims, static fn (Claim $claim): bool => $claim->pierces);

        return array_values(array_map(static fn (Claim $claim): Ring => Pierced::hole($claim->ring), $through));
    }

    public function isGable(): bool
    {
        return $this->apex !== null;
    }

    /** The wall's top over $x, under its own roof. */
    public function heightAt(float $x): float
    {
        $last = $this->top[0];
        foreach ($this->top as $point) {
            if ($x <= $point->x) {
                return $point->x - $last->x < Tolerance::ROUNDING
                    ? max($last->y, $point->y)
                    : $last->y + ($point->y - $last->y) * ($x - $last->x) / ($point->x - $last->x);
            }
            $last = $point;
        }

        return $last->y;
    }

    /**
     * Whether it is built up to one of its ends.
     *
     * @param  'left'|'right'  $end
     */
    public function reaches(string $end): bool
    {
        foreach ($this->patches as $patch) {
            if (in_array($end, $patch->labels, true)) {
                return true;
            }
        }

        return false;
    }

    public function isBuilt(): bool
    {
        return $this->patches !== [];
    }
}
