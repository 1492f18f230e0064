<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\StarterShape;
use Chartula\Core\Form\EndedRoofs;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\Problems;

/**
 * The roofs of a shape that a building may begin with, from above, in plan; model millimetres.
 *
 * @phpstan-type Drawn array{kind: 'roof', ring: non-empty-list<array{float, float}>}
 */
final readonly class StarterPlan
{
    /** @return list<Drawn> by where they begin, lowest first, so that what comes out of a roof is drawn over it */
    public static function of(StarterShape $shape): array
    {
        $building = BuildingReader::fromDocument(Starter::document($shape->title(), $shape));
        $form = Surfaces::of(EndedRoofs::of($building), new Problems);
        $planes = [];
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                $planes[] = [self::foot($facet, $patch), $patch];
            }
        }
        usort($planes, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(static fn (array $plane): array => [
            'kind' => 'roof',
            'ring' => array_map(static fn (Vec2 $p): array => [round($p->x, 3), round($p->y, 3)], $plane[1]->outline->points),
        ], $planes);
    }

    private static function foot(Facet $facet, Patch $patch): float
    {
        return min(array_map($facet->heightAt(...), $patch->outline->points));
    }
}
