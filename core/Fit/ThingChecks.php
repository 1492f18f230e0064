<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Feature\Feature;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Dresses;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Claims\Takes;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\Check;
use Chartula\Core\Trim\Remarks;

/** Things that the document describes and the kit does not have, and why. docs/formulas.md#places */
final readonly class ThingChecks
{
    /**
     * @param  Building  $building  as it is described
     * @return list<Check>
     */
    public static function all(Building $building, Kit $kit): array
    {
        $there = array_column(array_map(static fn (Site $s): array => [$s->feature->said->path, $s], $kit->form->sites), 1, 0);
        $claims = array_merge(...array_map(static fn (WallForm $w): array => $w->claims, $kit->form->walls()));
        $claimed = array_fill_keys(array_map(static fn (Claim $c): string => $c->feature->said->path, $claims), true);
        $left = [];
        foreach ($kit->modelled->building->blocks as $block) {
            $left += array_fill_keys(array_map(static fn (Feature $f): string => $f->said->path, $block->features), true);
        }
        $checks = [];
        foreach ($building->blocks as $block) {
            foreach ($block->features as $feature) {
                $path = $feature->said->path;
                $isSaid = isset($there[$path]) && $feature->kind instanceof Remarks && $feature->kind->remarks($there[$path]) !== [];
                $takes = ! $isSaid && ($there[$path] ?? null)?->faces !== []
                    && ($feature->kind instanceof Takes || $feature->kind instanceof Dresses);
                $checks[] = match (true) {
                    ! isset($left[$path]) => self::check($block, $feature, 'thing.cut-away',
                        'not made, since low relief or what is given up leaves nothing of where it is.'),
                    ! isset($there[$path]) => self::check($block, $feature, 'thing.nowhere',
                        'not made, since nothing is built where it is to be: move it, or take it out.'),
                    $takes && ! isset($claimed[$path]) => self::check($block, $feature, 'thing.no-room',
                        'not made, since openings and what stands round them leave it no room there.'),
                    default => null,
                };
            }
        }

        foreach ($kit->form->sites as $site) {
            $kind = $site->feature->kind;
            foreach ($site->block !== null && $kind instanceof Remarks ? $kind->remarks($site) : [] as $code => $text) {
                $checks[] = self::check($kit->form->blocks[$site->block ?? 0]->block, $site->feature, $code, $text);
            }
        }

        return array_values(array_filter($checks, static fn (?Check $c): bool => $c !== null));
    }

    private static function check(Block $block, Feature $feature, string $code, string $text): Check
    {
        return new Check($code, Check::WARN, "$block->id.$feature->id", "{$feature->kind->title()}: $text");
    }
}
