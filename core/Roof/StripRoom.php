<?php

declare(strict_types=1);

namespace Chartula\Core\Roof;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Side;
use Chartula\Core\Form\SideKind;
use Chartula\Core\Form\WallId;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;

/** How far a strip may go along its line and into its panels before something else is in the way. Model millimetres. */
final readonly class StripRoom
{
    /** A strip wants so much room under another roof. */
    private const ROOM_MM = 1.5;

    /** A roof that lies further below the strip than this is not in its way. */
    private const BELOW_MM = 4.0;

    /** The room is measured in steps of this length along the line. */
    private const STEP_MM = 0.25;

    /** The room is measured so far from an end of the line; no eaves reach further. */
    private const LONGEST_EAVES_MM = 15.0;

    /** A line that crosses a wall at a sine less than this runs along it. */
    private const ALONG = 0.05;

    /** A strip stops before these. */
    private const STOPS = [SideKind::Wall, SideKind::Over, SideKind::Clear, SideKind::Below];

    public function __construct(
        private Building $building,
        private Panels $panels,
    ) {
    }

    /** How far into a panel a strip may reach: short of the corners of what is cut into it from the other side. */
    public function beside(Patch $shape, int $edge): float
    {
        $ring = $shape->outline;
        [$a, $b] = [$ring->point($edge), $ring->point($edge + 1)];
        $length = $a->distanceTo($b);
        $along = $b->minus($a)->times(1.0 / $length);
        $stock = $this->building->methods->strip;
        $clear = 2.0 * ($stock->thickness_mm + $this->building->methods->template->addsTo($stock));
        $room = INF;
        foreach (array_keys($shape->labels) as $k) {
            $corner = $ring->point($k)->minus($a);
            $isInner = $ring->point($k)->minus($ring->point($k - 1))->cross($ring->point($k + 1)->minus($ring->point($k))) < 0.0;
            if ($isInner && $corner->dot($along) > 0.0 && $corner->dot($along) < $length) {
                $room = min($room, $along->cross($corner) - $clear);
            }
        }

        return $room;
    }

    /** How far from an end of its line a strip has another roof so close above it that there is no room. */
    public function underRoof(RoofPanel $panel, Patch $shape, int $edge, bool $atStart): float
    {
        $frame = $panel->facet->frame;
        [$a, $b] = [$shape->outline->point($edge), $shape->outline->point($edge + 1)];
        [$from, $to] = $atStart ? [$a, $b] : [$b, $a];
        $length = $from->distanceTo($to);
        $under = 0.0;
        for ($at = self::STEP_MM; $at < min($length, self::LONGEST_EAVES_MM); $at += self::STEP_MM) {
            $top = $frame->at($from->plus($to->minus($from)->times($at / $length)), $this->panels->stack->thickness_mm);
            $place = new Vec2($top->x, $top->y);
            foreach ($this->panels->form->facets as $other) {
                $gap = $other->block === $panel->facet->block ? INF : $other->heightAt($place) - $top->z;
                if ($gap > -self::BELOW_MM && $gap < self::ROOM_MM && $this->reaches($other, $place)) {
                    $under = $at + self::STEP_MM;
                }
            }
        }

        return $under;
    }

    /** Whether some of a plane's card stands over a place: cut square, it leans out past its underside. */
    private function reaches(Facet $facet, Vec2 $place): bool
    {
        $lean = $this->panels->stack->thickness_mm * $facet->pitch->sin() + self::STEP_MM;
        foreach ($facet->patches as $patch) {
            if ($patch->region()->contains($place) || $patch->outline->distanceTo($place) < $lean) {
                return true;
            }
        }

        return false;
    }

    /** How far short of the end of a line its strip stops, before a valley or a wall: by twice its own thickness. */
    public function atEnd(RoofPanel $panel, Patch $shape, int $edge, int $way): float
    {
        $n = $shape->outline->count();
        $side = Side::of($shape->labels[($edge + $way + $n) % $n]);
        $isValley = $side->kind === SideKind::Plane && $this->isValley($panel, $shape, ($edge + $way + $n) % $n);
        $stock = $this->building->methods->strip;

        $clear = 2.0 * ($stock->thickness_mm + $this->building->methods->template->addsTo($stock));

        return match (true) {
            // The panel goes on under a wall that stands on it; the strip does not.
            $side->kind === SideKind::Beneath => $clear + $this->underWall($panel, $shape, $edge, $side->wallOrFail()),
            $isValley, in_array($side->kind, self::STOPS, true) => $clear,
            default => 0.0,
        };
    }

    /** How far a line runs under the card of a wall that stands on its roof. */
    private function underWall(RoofPanel $panel, Patch $shape, int $edge, WallId $wall): float
    {
        $described = $this->building->blocks[$wall->block]->walls[$wall->edge];
        $ring = $this->panels->form->solids[$wall->block]->ring;
        $along = $ring->point($wall->edge + 1)->minus($ring->point($wall->edge));
        [$a, $b] = [$panel->facet->frame->at($shape->outline->point($edge)), $panel->facet->frame->at($shape->outline->point($edge + 1))];
        $way = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        $across = abs($along->cross(new Vec2($way->x, $way->y))) / $along->length();

        return $described->isLeftOut() || $across < self::ALONG
            ? 0.0
            : $this->building->methods->stacks[$described->stack]->thickness_mm / $across;
    }

    private function isValley(RoofPanel $panel, Patch $shape, int $edge): bool
    {
        $along = $shape->outline->point($edge + 1)->minus($shape->outline->point($edge));
        $frame = $panel->facet->frame;
        $out = new Vec2($frame->x->x * $along->y - $frame->y->x * $along->x, $frame->x->y * $along->y - $frame->y->y * $along->x);

        return $panel->facet->foldTo($this->panels->form->plane(Side::of($shape->labels[$edge])->planeOrFail()), $out) < 0.0;
    }
}
