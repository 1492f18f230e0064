<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Bevel;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\Score;
use Chartula\Core\Recall\Recall;

/**
 * The kit as its public format's arrays (docs/formats.md, section 3), without checks and sheets, which later rooms add.
 */
final readonly class KitDocument
{
    public const FORMAT = 'chartula.kit';

    /** @return array<string, mixed> */
    public static function of(Building $building, string $fingerprint, Kit $kit, Recall $recall = new Recall): array
    {
        return self::head($building, $fingerprint) + ['parts' => array_map(self::part(...), $kit->parts)] + self::rest($kit, $recall);
    }

    /** @return array<string, mixed> */
    public static function head(Building $building, string $fingerprint): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'building' => ['name' => $building->name, 'fingerprint' => $fingerprint],
            'scale' => $building->scale->ratio,
        ];
    }

    /** @return array<string, mixed> what stands behind the parts */
    public static function rest(Kit $kit, Recall $recall): array
    {
        return [
            'joints' => array_map(
                static fn (Joint $joint, int $i): array => $joint->toArray('j'.($i + 1)),
                $kit->joints,
                array_keys($kit->joints),
            ),
            'outside' => array_map(static fn (Surface $s): array => $s->toArray(), Surface::of($kit->walls, $kit->panels, $recall)),
        ];
    }

    /** @return array<string, mixed> */
    public static function part(LabelledPart $labelled): array
    {
        $part = $labelled->part;

        return [
            'id' => $part->id, 'of' => $part->of->toArray(), 'label' => $labelled->label, 'name' => $part->name,
            'group' => $part->group->value,
            'stock' => $part->stock->id, 'thickness' => round($part->thickness, 4), 'qty' => $part->qty(),
            'like' => $labelled->like, 'mirror_of' => $labelled->mirrorOf,
            'outline' => $part->outline->ring->toArray(),
            'holes' => array_map(static fn (Ring $r): array => $r->toArray(), $part->holes),
            'bevels' => array_values(array_map(static fn (Bevel $b): array => $b->toArray(), $part->bevels())),
            'scores' => array_map(static fn (Score $s): array => $s->toArray(), $part->scores),
            'slits' => array_map(static fn (array $s): array => [$s[0]->toArray(), $s[1]->toArray()], $part->slits),
            'edges' => array_map(
                static fn (Edge $e, int $i): array => self::edge($part, $e, $i),
                $part->outline->edges,
                array_keys($part->outline->edges),
            ),
            'marks' => array_map(static fn (Mark $m): array => $m->toArray(), $part->marks),
            'placements' => array_map(static fn (Frame $f): array => self::placement($labelled->label, $f), $part->placements),
            'loose' => false,
            'cut' => $labelled->cut, 'print' => $labelled->print,
            'workings' => array_map(
                static fn (Figure $f, string $of): array => $f->workings($of),
                $part->workings,
                array_keys($part->workings),
            ),
        ] + self::extras($part);
    }

    /** @return array<string, mixed> */
    private static function edge(Part $part, Edge $edge, int $i): array
    {
        // A foot stands at a level of its own: where the ground falls, walls go down further.
        return $edge->free === 'foot' && $part->group === PartGroup::Shell
            ? $edge->toArray($i) + ['level' => round($part->placements[0]->at($part->outline->ring->point($i))->z, 4)]
            : $edge->toArray($i);
    }

    /** @return array<string, mixed> */
    private static function extras(Part $part): array
    {
        $extras = [];
        if ($part->outline->inside !== null) {
            $extras['inside_outline'] = $part->outline->inside->toArray();
        }
        $form = $part->shape->toArray($part->thickness);
        if ($form !== null) {
            $extras['form'] = $form;
        }
        if ($part->roof !== null) {
            $extras['roof'] = ['block' => $part->roof->block, 'edge' => $part->roof->edge, 'layer' => $part->roof->layer,
                'underside' => array_map(static fn (Vec3 $p): array => $p->toArray(), $part->roof->underside)];
        }
        if ($part->art !== null) {
            $extras['art'] = $part->art->toArray();
        }

        return $extras;
    }

    /** @return array<string, mixed> */
    private static function placement(string $label, Frame $frame): array
    {
        return ['label' => $label, 'origin' => $frame->origin->toArray(), 'x' => $frame->x->toDirection(), 'y' => $frame->y->toDirection()];
    }

    /**
     * @param  array{sheets: int, sheets_bound: int, sheets_yield: float}  $sheets  how many, no fewer than, and what share of them is parts
     * @return array<string, mixed>
     */
    public static function totals(Kit $kit, array $sheets): array
    {
        $cut = 0.0;
        $areas = [];
        foreach ($kit->parts as $labelled) {
            $part = $labelled->part;
            $length = $part->outline->blank()->perimeter();
            foreach ($part->holes as $hole) {
                $length += $hole->perimeter();
            }
            foreach ($part->slits as [$a, $b]) {
                $length += $a->distanceTo($b);
            }
            $cut += $length * $part->qty();
            $areas[$part->stock->id] = ($areas[$part->stock->id] ?? 0.0) + $part->region()->area() * $part->qty();
        }

        return [
            'parts' => $kit->count(), ...$sheets, 'cut_length_mm' => round($cut, 1),
            'area_mm2' => (object) array_map(static fn (float $a): float => round($a, 1), $areas),
        ];
    }
}
