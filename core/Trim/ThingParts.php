<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Form;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;

/** Whatever things are made of that say themselves where they stand. */
final readonly class ThingParts
{
    public static function make(Building $building, Form $form): PartSet
    {
        $sets = [];
        foreach ($form->sites as $site) {
            $kind = $site->feature->kind;
            array_push($sets, ...$kind instanceof Makes ? [$kind->made($site, $building)] : []);
        }

        return PartSet::joined($sets);
    }

    /** What a part of a thing is called: `block.layer.thing`, on the plot `plot.layer.thing`. */
    public static function name(Site $site, Building $building, string $layer): PartName
    {
        $block = $site->block === null ? null : $building->blocks[$site->block]->id;
        $feature = $site->feature->id ?? '';

        return new PartName(($block ?? 'plot').".$layer.$feature", $block, null, $layer, null, $feature);
    }
}
