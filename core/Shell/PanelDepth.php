<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\Opening;

/** How deep in a wall a frame or a door leaf stands. Model millimetres. docs/formulas.md#frame */
final readonly class PanelDepth
{
    /**
     * The reveal, measured from the card's face, but never so deep that frame and glass leave the wall's thickness
     * (a check says so).
     */
    public static function of(Building $building, WallSpan $span, Opening $opening): float
    {
        return max(
            0.0,
            min($building->scale->modelMm($opening->style->reveal), $span->stack->thickness_mm - self::thickness($building, $opening)),
        );
    }

    /** The thickness of frame and glass, or of the leaf, on each other. */
    public static function thickness(Building $building, Opening $opening): float
    {
        return self::frameThickness($building) + ($opening->style->frame === null ? 0.0 : $building->methods->glazing->thickness_mm);
    }

    public static function frameThickness(Building $building): float
    {
        return $building->methods->frame->thickness_mm + $building->methods->template->addsTo($building->methods->frame);
    }

    /** How far a panel that reaches the ground stands into the room, where the wall is thinner than the panel. */
    public static function intoRoom(Building $building, WallSpan $span): float
    {
        $most = 0.0;
        foreach ($span->form->wall->openings as $opening) {
            if ($opening->sill->mm <= 0.0) {
                $most = max(
                    $most,
                    self::of($building, $span, $opening) + self::thickness($building, $opening) - $span->stack->thickness_mm,
                );
            }
        }

        return $most;
    }
}
