<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Sheets\Page;

/** Pages with a piece of every covering of a building, to be held beside what is there, before all of it is printed. */
final readonly class SwatchPages
{
    private const HIGH_MM = 34.0;

    private const WORDS_MM = 9.0;

    private const GAP_MM = 5.0;

    private const COLUMNS = 2;

    private const WHAT = 'A piece of every covering, at the size of the model: hold it beside what you have before you print the rest';

    /** @return list<Drawing> */
    public static function of(Building $building, string $footer): array
    {
        $page = new Page($building->sheets);
        $uses = CoveringUse::all($building);
        $rows = max(1, (int) floor(($page->roomHeight() + self::GAP_MM) / (self::HIGH_MM + self::WORDS_MM + self::GAP_MM)));
        $pages = $uses === [] ? [] : array_chunk($uses, $rows * self::COLUMNS);
        $drawings = [];
        foreach ($pages as $i => $some) {
            $drawing = new Drawing($page->width, $page->height, "$building->name, coverings ".($i + 1));
            foreach ($some as $k => $use) {
                self::one($drawing, self::at($page, $k), $building, $use);
            }
            SheetFurniture::plain($drawing, $page, $building->name, 'coverings '.($i + 1).' of '.count($pages), [
                self::WHAT, trim('1:'.LengthFormat::trimmed($building->scale->ratio, 2).' '.$footer),
            ]);
            $drawings[] = $drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
        }

        return $drawings;
    }

    private static function at(Page $page, int $number): Box2
    {
        $wide = ($page->roomWidth() - self::GAP_MM) / self::COLUMNS;
        $x = $page->roomX() + ($number % self::COLUMNS) * ($wide + self::GAP_MM);
        $y = $page->room()->y1 - intdiv($number, self::COLUMNS) * (self::HIGH_MM + self::WORDS_MM + self::GAP_MM);

        return new Box2($x, $y - self::HIGH_MM, $x + $wide, $y);
    }

    private static function one(Drawing $drawing, Box2 $at, Building $building, CoveringUse $use): void
    {
        $all = Ring::rectangle(0.0, 0.0, $at->width(), $at->height());
        $id = 'swatch-'.count($drawing->symbols());
        $symbol = new Symbol($id, $at->width(), $at->height(), [$all], CoveringSwatch::paths($use, $building, $all));
        $drawing->place($symbol, new Placement($id, 1.0, 0.0, 0.0, 1.0, $at->x0, $at->y0));
        $drawing->text(new Text(new Vec2($at->x0, $at->y0 - 3.6), ucfirst($use->words($building)), 2.8, bold: true));
        $drawing->text(new Text(new Vec2($at->x0, $at->y0 - 7.2), $use->where(), 2.4));
    }
}
