<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Sight;

use Chartula\Core\Form\Form;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** How high a building's surfaces stand over a line in plan, where that could matter to an eye: at all its corners. Model millimetres. */
final readonly class Heights
{
    public function __construct(private Form $form)
    {
    }

    /**
     * Roofs and the tops of walls over a line from one place to another; what lies between two of them lies no higher than a line from
     * the one to the other.
     *
     * @return list<array{float, float}> how much of the way lies before each, and how high it stands
     */
    public function along(Vec2 $from, Vec2 $to): array
    {
        $found = [];
        foreach ($this->form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach (self::crossed($patch, $from, $to) as $share) {
                    $found[] = [$share, $facet->heightAt(self::between($from, $to, $share))];
                }
            }
        }
        foreach ($this->form->walls() as $wall) {
            array_push($found, ...self::overWall($wall, $from, $to));
        }

        return $found;
    }

    private static function between(Vec2 $from, Vec2 $to, float $share): Vec2
    {
        return $from->plus($to->minus($from)->times($share));
    }

    /** @return list<float> where the line passes the outline of a patch, and its ends where they lie in it */
    private static function crossed(Patch $patch, Vec2 $from, Vec2 $to): array
    {
        $shares = [];
        $way = $to->minus($from);
        $points = $patch->outline->points;
        foreach ($points as $i => $p) {
            $side = $points[($i + 1) % count($points)]->minus($p);
            $across = $way->cross($side);
            $off = $p->minus($from);
            if (abs($across) < Tolerance::ROUNDING) {
                continue;
            }
            $share = $off->cross($side) / $across;
            $on = $off->cross($way) / $across;
            if ($on >= -Tolerance::UNIT && $on <= 1.0 + Tolerance::UNIT && $share >= 0.0 && $share <= 1.0 + Tolerance::UNIT) {
                $shares[] = min(1.0, $share);
            }
        }

        return $patch->outline->contains($to) ? [...$shares, 1.0] : $shares;
    }

    /** @return list<array{float, float}> the top of a wall where the line passes it */
    private static function overWall(WallForm $wall, Vec2 $from, Vec2 $to): array
    {
        $normal = new Vec2($wall->frame->normal->x, $wall->frame->normal->y);
        $origin = new Vec2($wall->frame->origin->x, $wall->frame->origin->y);
        [$here, $there] = [$normal->dot($from->minus($origin)), $normal->dot($to->minus($origin))];
        $share = abs($here - $there) < Tolerance::ROUNDING ? -1.0 : $here / ($here - $there);
        if ($share < 0.0 || $share > 1.0 + Tolerance::UNIT) {
            return [];
        }
        $at = self::between($from, $to, $share);
        $along = (new Vec2($wall->frame->x->x, $wall->frame->x->y))->dot($at->minus($origin));
        $top = -INF;
        foreach ($wall->patches as $patch) {
            $points = $patch->outline->points;
            foreach ($points as $i => $p) {
                $top = max($top, self::over($p, $points[($i + 1) % count($points)], $along));
            }
        }

        return $top === -INF ? [] : [[min(1.0, $share), $wall->frame->origin->z + $top]];
    }

    /** How high a side of a wall's outline stands at a place along it; -∞ where it does not reach it. */
    private static function over(Vec2 $p, Vec2 $q, float $along): float
    {
        if (min($p->x, $q->x) > $along + Tolerance::UNIT || max($p->x, $q->x) < $along - Tolerance::UNIT) {
            return -INF;
        }
        $run = $q->x - $p->x;

        return abs($run) < Tolerance::UNIT ? max($p->y, $q->y) : $p->y + ($q->y - $p->y) * ($along - $p->x) / $run;
    }
}
