<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;

/** Roofs whose outermost layer makes the edge: the card under it ends before, at its walls at the least. docs/formulas.md#thin-edges */
final readonly class ThinEdge
{
    /** A building with the overhangs of the card under the outermost layer of its roofs; itself where those are the same. */
    public static function under(Building $building): Building
    {
        $by = $building->methods->thin_edge_mm * $building->scale->ratio;
        $edge = static fn (RoofEdge $e): RoofEdge => $e->with(overhang: RealLength::ofMillimetres(max(0.0, $e->overhang->mm - $by)));

        return $by <= 0.0 ? $building : $building->with(blocks: array_map(
            static fn (Block $b): Block => $b->with(roof: $b->roof->with(edges: array_map($edge, $b->roof->edges))),
            $building->blocks,
        ));
    }
}
