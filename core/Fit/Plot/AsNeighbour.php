<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;

/** A building as it stands beside another: each block's finished outline and height. Model millimetres, from its front left corner. */
final readonly class AsNeighbour
{
    /** @return list<array{name: string, outline: list<array{string, string}>, to: string, pitch: float}> */
    public static function of(Kit $kit, Assembly $assembly): array
    {
        $building = $kit->modelled->building;
        $finished = Finished::of(Plot::bare(1.0, 1.0), $assembly);
        $box = $finished->extents();
        $found = [];
        foreach ($building->blocks as $block) {
            $own = array_filter($finished->pieces, static fn (FinishedPiece $p): bool => str_starts_with($p->id, "$block->id."));
            if ($own === []) {
                continue;
            }
            $shadows = array_map(static fn (FinishedPiece $p): array => $p->whole->shadow->points, array_values($own));
            $hull = Hull::around(array_merge(...$shadows));
            $found[] = [
                'name' => $block->name,
                'outline' => array_map(static fn (Vec2 $p): array => [self::mm($p->x - $box['x0']), self::mm($p->y - $box['y0'])], $hull->points),
                'to' => self::mm(max(array_map(static fn (FinishedPiece $p): float => $p->whole->high, $own))),
                'pitch' => $block->roof->pitch->degrees,
            ];
        }

        return $found;
    }

    private static function mm(float $mm): string
    {
        return LengthFormat::trimmed(round($mm, 2), 2).'mm';
    }
}
