<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\Tolerance;

/** Sheets that have been printed, with what is still good of them where it lies. */
final readonly class PrintedSheets
{
    /**
     * @param  list<LabelledPart>  $parts  as they are printed
     * @param  array<string, PrintedPlace>  $kept  by piece
     * @return list<Sheet> by their numbers
     */
    public static function of(Building $building, array $parts, array $kept): array
    {
        $sheets = [];
        foreach ($parts as $part) {
            for ($copy = 0; $copy < $part->part->qty(); $copy++) {
                $place = $kept[$part->part->id.'#'.$copy] ?? null;
                if ($place !== null) {
                    $isMirrored = SheetPiece::isMirrored($part->part, $building->methods->template);
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
     * Whether what is printed lies as a plan has it, and nothing else on the same sheets.
     *
     * @param  list<Sheet>  $sheets
     */
    public static function lieIn(array $sheets, Prints $prints): bool
    {
        $found = 0;
        foreach ($sheets as $sheet) {
            $isPrinted = in_array($sheet->number, $prints->sheets, true);
            foreach ($sheet->wanted() as $placed) {
                $place = $prints->places[$placed->part->part->id.'#'.$placed->copy] ?? null;
                if ($place === null ? $isPrinted : ! self::isThere($place, $sheet, $placed)) {
                    return false;
                }
                $found += $place === null ? 0 : 1;
            }
        }

        return $found === count($prints->places);
    }

    private static function isThere(PrintedPlace $place, Sheet $sheet, PlacedPart $placed): bool
    {
        return $place->sheet === $sheet->number && $place->turn === $placed->turn
            && abs($place->x - $placed->x) < Tolerance::MEET && abs($place->y - $placed->y) < Tolerance::MEET;
    }

    /**
     * A plan whose sheets are marked as printed where all of their pieces are.
     *
     * @param  list<Sheet>  $sheets
     * @param  array<string, PrintedPlace>  $places  by piece
     * @return list<Sheet>
     */
    public static function marked(array $sheets, array $places): array
    {
        return array_map(static function (Sheet $sheet) use ($places): Sheet {
            $wanted = $sheet->wanted();
            $left = array_filter($wanted, static fn (PlacedPart $p): bool => ! isset($places[$p->part->part->id.'#'.$p->copy]));

            return new Sheet($sheet->number, $sheet->page, $sheet->frames, $wanted !== [] && $left === []);
        }, $sheets);
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
