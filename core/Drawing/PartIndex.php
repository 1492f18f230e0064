<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Ref;
use Chartula\Core\Sheets\SheetPlan;

/** Every part in words: on which sheet it lies, and what it meets where. */
final readonly class PartIndex
{
    /** @return list<array{string, string}> label and words, in the order of the kit */
    public static function of(Kit $kit, SheetPlan $plan): array
    {
        $labels = $on = $said = [];
        foreach ($kit->parts as $part) {
            $labels[$part->part->id] = $part;
        }
        foreach ($plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                $on[$placed->part->part->id][$sheet->number] = true;
            }
        }
        foreach ($kit->joints as $joint) {
            foreach ([[$joint->a, $joint->b], [$joint->b, $joint->a]] as [$own, $other]) {
                $said[$own->part][self::side($labels[$own->part], $own)][$labels[$other->part]->label] = true;
            }
        }

        return array_map(static fn (LabelledPart $p): array => [
            $p->label,
            self::words($p, array_keys($on[$p->part->id] ?? []), $said[$p->part->id] ?? []),
        ], $kit->parts);
    }

    /**
     * @param  list<int>  $sheets
     * @param  array<string, array<string, true>>  $said  labels by side
     */
    private static function words(LabelledPart $part, array $sheets, array $said): string
    {
        $words = $part->part->name.($part->part->qty() > 1 ? ', '.$part->part->qty().' pieces' : '');
        $words .= $part->like === null ? '' : " ($part->like)";
        $words .= match (count($sheets)) {
            0 => ', on no sheet', 1 => ", sheet $sheets[0]", default => ', sheets '.implode(', ', $sheets)
        };
        $meets = [];
        foreach ($said as $side => $labels) {
            $meets[] = "$side ".implode(', ', array_keys($labels));
        }

        return $words.($meets === [] ? '.' : '. Meets: '.implode('; ', $meets).'.');
    }

    /** What a side of a part is called: an edge by its own name, without that of an opening. */
    private static function side(LabelledPart $part, Ref $ref): string
    {
        if ($ref->hole !== null) {
            return 'in an opening';
        }
        if ($ref->edge !== null) {
            $name = (string) preg_replace('/^.*-(?=(jamb|head|sill)\b)/', '', $part->part->outline->edges[$ref->edge]->name);

            return 'at its '.strtr($name, ['-' => ' ', 'stands' => 'step']).' edge';
        }

        return ['inside' => 'on its inside', 'outside' => 'on its outside'][$ref->face] ?? 'all round';
    }
}
