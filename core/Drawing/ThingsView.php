<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Form\Claims\Claim;

/** Things with a place of their own on one wall, for the screen: each with what it takes of the wall. Model millimetres. */
final readonly class ThingsView
{
    /**
     * @param  list<Claim>  $claims  of the wall
     * @param  callable(Feature): bool  $clashes  whether something is wrong with it
     * @return list<array<string, mixed>> in the order in which they are described
     */
    public static function of(Block $block, int $edge, array $claims, callable $clashes): array
    {
        $things = [];
        foreach ($block->features as $feature) {
            if (! self::isOn($block, $feature, $edge)) {
                continue;
            }
            $own = array_filter($claims, static fn (Claim $c): bool => $c->opening === null && $c->feature->id === $feature->id);
            $things[] = [
                'id' => $feature->id, 'path' => $feature->said->path, 'kind' => $feature->kind->name(),
                'called' => $block->called($feature),
                'anchor' => $feature->place?->anchor->value, 'openings' => $feature->place->openings ?? [],
                'rings' => array_map(static fn (Claim $c): array => ($c->shown ?? $c->ring)->toArray(), array_values($own)),
                'clashes' => $clashes($feature),
            ];
        }

        return $things;
    }

    /** Whether it is on a wall, at one of its ends, or on something that is. */
    private static function isOn(Block $block, Feature $feature, int $edge): bool
    {
        $place = $feature->place;
        if ($place?->anchor === Anchor::Corner) {
            return in_array($place->corner, [$edge, ($edge + 1) % $block->footprint->count()], true);
        }
        foreach ($place?->anchor === Anchor::Feature ? $block->features : [] as $under) {
            if ($under->id === $place?->feature) {
                return self::isOn($block, $under, $edge);
            }
        }

        return in_array($place?->anchor, [Anchor::Wall, Anchor::Openings], true) && $place->edge === $edge;
    }
}
