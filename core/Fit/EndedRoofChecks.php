<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\Check;

/** Says where a roof that should run into another ends in a gable, because it would come out over or beside that one. */
final readonly class EndedRoofChecks
{
    /** @return list<Check> */
    public static function of(Kit $kit): array
    {
        $made = [];
        foreach ($kit->modelled->building->blocks as $block) {
            $made[$block->id] = $block;
        }
        $checks = [];
        foreach ($kit->compressed->building->blocks as $block) {
            foreach (isset($made[$block->id]) ? self::ended($block, $made[$block->id]) : [] as $edge) {
                $wall = $block->walls[$edge];
                $checks[] = new Check('roof.ended', Check::NOTE, $block->id.'.'.$wall->name, sprintf(
                    'The roof of %s would come out over what it runs into at its %s, or beside it, and ends there in a gable without an '
                        .'overhang; where it should run in, lower its eaves or its pitch, make the block narrower, or move it in from the '
                        .'end of the other.',
                    $block->name,
                    $wall->name,
                ));
            }
        }

        return $checks;
    }

    /** @return list<int> */
    private static function ended(Block $described, Block $made): array
    {
        $before = ($made->uncut->block ?? $made)->roof->edges;

        return array_keys(array_filter(
            $described->roof->edges,
            static fn (RoofEdge $edge, int $i): bool => $edge->kind === RoofEdge::WALL && ($before[$i] ?? $edge)->kind === RoofEdge::GABLE,
            ARRAY_FILTER_USE_BOTH,
        ));
    }
}
