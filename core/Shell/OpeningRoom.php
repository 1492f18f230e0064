<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Holding;
use Chartula\Core\Building\Methods;
use Chartula\Core\Building\Opening;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Stock\Stack;

/** The room round openings, in their wall and on its back: between corners, under roofs, clear of others. docs/formulas.md#behind */
final readonly class OpeningRoom
{
    /** As wide as rings are, beyond the finished opening, where there is room. */
    private const BANDS_MM = [3.0, 2.4, 1.8];

    /** How far what stands in an opening reaches beyond it where nobody has said, the best first; less would not hold it. */
    private const LAPS_MM = [Methods::REBATE_MM, 0.8, 0.6];

    /** Less than so much wider than what leans on it a ring is not. */
    private const LEAST_MORE_MM = 0.3;

    /** It keeps so far from all else. */
    private const CLEAR_MM = 0.2;

    /** Under slopes there are formers and boards, too. */
    private const UNDER_ROOF_MM = 1.0;

    private const STRAIGHT_DEG = 3.0;

    private BlockForm $block;

    private Stack $stack;

    public function __construct(private Building $building, private Form $form, private WallForm $wall)
    {
        $this->block = $form->blocks[$wall->block];
        $this->stack = $building->methods->stacks[$wall->wall->stack];
    }

    /**
     * How far what stands in an opening, and in all of its row, may reach beyond it, and how wide rings round them may be; nothing of
     * that where there is no room behind the wall. What somebody has said stays; the usual is less where there is no room for it.
     *
     * @return array{float, float} lap and band
     */
    public function behind(Opening $opening): array
    {
        $deep = OpeningCut::deepBehind($this->building, $this->stack, $opening, $this->wall->turnIn);
        $rings = OpeningCut::ringsBehind($this->building, $this->stack, $opening->style, $this->wall->turnIn);
        $more = $rings > 0 ? self::LEAST_MORE_MM : 0.0;
        foreach ($this->wall->receding === null ? $this->laps($opening) : [] as $lap) {
            foreach ([...self::BANDS_MM, $lap + $more] as $band) {
                $isFree = fn (OpeningForm $form): bool => $this->isFree($form, $band, $deep);
                if ($band >= $lap + $more && $this->isSoForAll($opening, $isFree)) {
                    return [$lap, $band];
                }
            }
        }

        return [0.0, 0.0];
    }

    /**
     * How far layers behind the face may be cut back round an opening: what was said, the usual, or less than that where there is no
     * room for it; 0 where there is none for the least.
     */
    public function rebate(Opening $opening): float
    {
        $laps = $this->laps($opening);
        if ($opening->style->rebate !== null || $this->wall->receding !== null) {
            return $laps[0];
        }
        foreach ($laps as $lap) {
            $isFree = fn (OpeningForm $form): bool => $this->isOnWall($form, $lap)
                && $this->isBetweenCorners($form->ring($lap)->bounds(), null) && $this->isClearOfOthers($form, $lap);
            if ($this->isSoForAll($opening, $isFree)) {
                return $lap;
            }
        }

        return 0.0;
    }

    /** @return non-empty-list<float> how far it may lap, the best first */
    private function laps(Opening $opening): array
    {
        $said = $this->building->methods->rebateMm($opening->style, $this->building->scale);
        $isUsual = $opening->style->rebate === null && $opening->style->bought === null;

        return $isUsual ? self::LAPS_MM : [$said];
    }

    /** @param  callable(OpeningForm): bool  $is */
    private function isSoForAll(Opening $opening, callable $is): bool
    {
        foreach ($this->wall->openings as $form) {
            if ($form->opening === $opening && ! $is($form)) {
                return false;
            }
        }

        return true;
    }

    private function isFree(OpeningForm $opening, float $band, float $deep): bool
    {
        $box = $opening->ring($band)->bounds();

        return $this->isOnWall($opening, $band) && $this->isBetweenCorners($box, $deep) && $this->isClearOfOthers($opening, $band)
            && $this->isUnderRoof($box, $deep) && $this->isInNobodysWay($box, $deep);
    }

    private function isOnWall(OpeningForm $opening, float $band): bool
    {
        $points = $opening->ring($band + self::CLEAR_MM)->points;
        // What stands on the ground is asked just above it.
        $isIn = static fn (Patch $patch): bool => array_filter(
            $points,
            static fn (Vec2 $p): bool => ! $patch->outline->contains(new Vec2($p->x, $opening->reachesFoot() ? max($p->y, 0.001) : $p->y)),
        ) === [];

        return array_filter($this->wall->patches, $isIn) !== [];
    }

    /** @param  ?float  $deep  behind the wall's outside; null within the wall */
    private function isBetweenCorners(Box2 $box, ?float $deep): bool
    {
        return $box->x0 >= $this->taken('left', $deep) + self::CLEAR_MM
            && $box->x1 <= $this->wall->length->mm - $this->taken('right', $deep) - self::CLEAR_MM;
    }

    /**
     * How much of the back of this wall the one round a corner takes, with what is stuck on its own back.
     *
     * @param  'left'|'right'  $side
     */
    private function taken(string $side, ?float $deep): float
    {
        $edge = $this->wall->wall->edge;
        $angle = $this->wall->angles[$side === 'left' ? 0 : 1];
        $other = $this->block->wall($side === 'left' ? $edge - 1 : $edge + 1);
        if ($angle > 180.0 - self::STRAIGHT_DEG || ! $other->isBuilt()) {
            return 0.0;
        }
        $its = $this->building->methods->stacks[$other->wall->stack];
        $most = $its->thickness_mm;
        foreach ($deep === null ? [] : $other->wall->openings as $opening) {
            // Whatever is held may come to be held there.
            $mayBeThere = $this->building->methods->holding($opening->style) !== Holding::Glue
                || $this->building->methods->isInLayer($opening->style, $its);
            $most = $mayBeThere
                ? max($most, OpeningCut::deepBehind($this->building, $its, $opening, $other->turnIn) + self::CLEAR_MM)
                : $most;
        }

        $depths = [0.0, $this->stack->thickness_mm, $deep ?? 0.0];

        return max(array_map(static fn (float $m): float => CornerCut::start($m, $most, $angle), $depths));
    }

    private function isClearOfOthers(OpeningForm $opening, float $band): bool
    {
        $box = self::box($opening);
        foreach ($this->wall->openings as $other) {
            if ($other !== $opening && self::areNear(self::box($other), $box, 2.0 * $band + self::CLEAR_MM)) {
                return false;
            }
        }
        $pierced = array_filter($this->wall->holes(), static fn ($hole): bool => self::areNear($hole->bounds(), $box, $band));

        return $pierced === [];
    }

    private static function box(OpeningForm $opening): Box2
    {
        return new Box2($opening->left, $opening->sill, $opening->right(), $opening->top());
    }

    private static function areNear(Box2 $a, Box2 $b, float $within): bool
    {
        return $a->x0 < $b->x1 + $within && $b->x0 < $a->x1 + $within && $a->y0 < $b->y1 + $within && $b->y0 < $a->y1 + $within;
    }

    private function isUnderRoof(Box2 $box, float $deep): bool
    {
        foreach ($this->places($box, $deep) as $place) {
            $top = $this->block->roof->heightAt($place);
            if ($top !== null && $this->wall->frame->origin->z + $box->y1 > $top - self::UNDER_ROOF_MM) {
                return false;
            }
        }

        return true;
    }

    /** Whether no other block stands there. */
    private function isInNobodysWay(Box2 $box, float $deep): bool
    {
        [$low, $high] = [$this->wall->frame->origin->z + $box->y0, $this->wall->frame->origin->z + $box->y1];
        foreach ($this->form->solids as $solid) {
            if ($solid->index === $this->wall->block || $solid->peak() < $low || $solid->base > $high) {
                continue;
            }
            foreach ($this->places($box, $deep) as $place) {
                if ($solid->contains($place) || $solid->ring->distanceTo($place) < self::CLEAR_MM) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return list<Vec2> its ends in plan, on the back of the wall and as deep as anything stuck on that reaches */
    private function places(Box2 $box, float $deep): array
    {
        $places = [];
        foreach ([$box->x0, $box->x1] as $x) {
            foreach ([$this->stack->thickness_mm, $deep] as $behind) {
                $at = $this->wall->frame->point($x, 0.0, -$behind);
                $places[] = new Vec2($at->x, $at->y);
            }
        }

        return $places;
    }
}
