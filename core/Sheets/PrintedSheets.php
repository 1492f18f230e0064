<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Kit;

/** Sheets that have been printed, with what is still good of them where it lies. */
final readonly class PrintedSheets
{
    /**
     * @param  array<string, PrintedPlace>  $kept  by piece
     * @return list<Sheet> by their numbers
     */
    public static function of(Building $building, Kit $kit, array $kept): array
    {
        $sheets = [];
        foreach ($kit->parts as $part) {
            for ($copy = 0; $copy < $part->part->qty(); $copy++) {
                $place = $kept[$part->part->id.'#'.$copy] ?? null;
                if ($place !== null) {
                    $isMirrored = $part->part->stock->takesTemplate() && $building->methods->template->side === 'back';
                    $placed = new PlacedPart($part, $copy, $place->x, $place->y, $place->turn, $isMirrored);
                    $sheets[$place->sheet][0][$part->part->stock->id][] = $placed;
                    $sheets[$place->sheet][1] = $place->size;
                }
            }
        }
        ksort($sheets);

        return array_map(
            static fn (int $number, array $sheet): Sheet => self::sheet($building, $number, $sheet[0], $sheet[1]),
            array_keys($sheets),
            $sheets,
        );
    }

    /**
     * @param  non-empty-array<string, non-empty-list<PlacedPart>>  $byStock
     * @param  array{float, float}  $size
     */
    private static function sheet(Building $building, int $number, array $byStock, array $size): Sheet
    {
        $page = new Page($building->sheets->sized($size));
        $room = $page->room();
        $frames = array_values(array_map(static fn (array $parts): Frame => new Frame($parts[0]->part->part->stock, new Box2(
            $room->x0,
            min(array_map(static fn (PlacedPart $p): float => $p->y, $parts)),
            $room->x1,
            max(array_map(static fn (PlacedPart $p): float => $p->y + $p->height(), $parts)),
        ), $parts), $byStock));
        usort($frames, static fn (Frame $a, Frame $b): int => $b->box->y1 <=> $a->box->y1);

        return new Sheet($number, $page, $frames, isPrinted: true);
    }
}
