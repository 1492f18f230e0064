<?php

declare(strict_types=1);

namespace Chartula\Core\Trim;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Form\Form;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Meeting;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Roof\Panels;

/** Whatever things are made of that say themselves where they stand. */
final readonly class ThingParts
{
    /** What an edge is called that rests on the roof: where it does a joint says so. */
    public const ON_ROOF = 'on the roof';

    /** @param  callable(): Panels  $panels  asked for where something stands on a roof */
    public static function make(Building $building, Form $form, callable $panels): PartSet
    {
        $sets = [];
        foreach ($form->sites as $site) {
            $kind = $site->feature->kind;
            $set = $kind instanceof Makes ? $kind->made($site, $building) : new PartSet;
            $sets[] = $set;
            foreach ($site->isOnSlope ? $set->parts : [] as $part) {
                $edges = $part->outline->edgesNamed(self::ON_ROOF);
                $sets[] = new PartSet([], $edges === [] ? [] : self::seats($part, $edges, $panels()));
            }
        }

        return PartSet::joined($sets);
    }

    /**
     * @param  non-empty-list<int>  $edges
     * @return list<Joint>
     */
    private static function seats(Part $part, array $edges, Panels $panels): array
    {
        $joints = [];
        foreach ($edges as $edge) {
            foreach ($panels->layer(0) as $panel) {
                $met = Meeting::onFace($part, $edge, $panel->part, 'outside');
                $joints = $met === null ? $joints : [...$joints, new Joint(
                    JointKind::Seat, Ref::edge($part->id, $edge), Ref::outside($panel->part->id), $met->ends, $met->length,
                    free_mm: max(0.0, $part->outline->ring->edgeLength($edge) - $met->length), why: 'stands on the slope',
                    touch: $met->touch,
                )];
            }
        }

        return $joints;
    }

    /** What a part of a thing is called: `block.layer.thing`, on the plot `plot.layer.thing`. */
    public static function name(Site $site, Building $building, string $layer): PartName
    {
        $block = $site->block === null ? null : $building->blocks[$site->block]->id;
        $feature = $site->feature->id ?? '';

        return new PartName(($block ?? 'plot').".$layer.$feature", $block, null, $layer, null, $feature);
    }
}
