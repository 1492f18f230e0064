<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Form\Form;
use Chartula\Core\Geometry\Ring;

/** Things on roofs, for the screen: each with what it takes up in plan. Model millimetres, the building's axes. */
final readonly class RoofThings
{
    /**
     * @param  ?Form  $form  null where nothing could be derived: they are listed, and nothing of them is drawn
     * @param  callable(Feature): bool  $clashes  whether something is wrong with it
     * @return list<array<string, mixed>> in the order in which they are described
     */
    public static function of(Building $building, ?Form $form, callable $clashes): array
    {
        $rings = self::rings($form);
        $things = [];
        foreach ($building->blocks as $block) {
            foreach ($block->features as $feature) {
                $place = $feature->place;
                // What goes up before a wall is there, too, where it goes through the roof.
                $isOnRoof = in_array($place?->anchor, [Anchor::Slope, Anchor::RoofLine], true);
                if ($place !== null && ($isOnRoof || isset($rings[$feature->said->path]))) {
                    $things[] = self::described($block, $feature) + [
                        'anchor' => $place->anchor->value, 'openings' => [],
                        'rings' => array_map(static fn (Ring $r): array => $r->toArray(), $rings[$feature->said->path] ?? []),
                        'clashes' => $clashes($feature),
                    ];
                }
            }
        }

        return $things;
    }

    /** @return array<string, mixed> */
    private static function described(Block $block, Feature $feature): array
    {
        return [
            'id' => $feature->id, 'path' => $feature->said->path, 'kind' => $feature->kind->name(), 'called' => $block->called($feature),
            'block' => $block->id, 'edge' => $block->footprint->edges[$feature->place->edge ?? 0] ?? '',
        ];
    }

    /** @return array<string, list<Ring>> by the paths of what stands there */
    private static function rings(?Form $form): array
    {
        $rings = [];
        foreach ($form->facets ?? [] as $facet) {
            foreach ($facet->standing as $standing) {
                $key = implode(' ', array_map(static fn ($p): string => sprintf('%.3F %.3F', $p->x, $p->y), $standing->ring->points));
                $rings[$standing->feature->said->path][$key] = $standing->ring;
            }
        }

        return array_map(array_values(...), $rings);
    }
}
