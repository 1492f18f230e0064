<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing\Guide;

use Chartula\Core\Building\Building;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\SheetFurniture;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Sheets\Page;

/** The pages that show the building and where each part goes, before the sheets. */
final readonly class GuidePages
{
    /** @return list<Drawing> */
    public static function of(Building $building, Kit $kit, string $footer): array
    {
        $page = new Page($building->sheets);
        $draws = [
            ['The building and its parts', static fn (Drawing $d): null => BuildingPictures::draw($d, $kit, $page)],
            ...array_map(static fn (callable $draw): array => ['Where things go', $draw], WhereThingsGo::of($kit, $page)),
        ];
        $scale = trim('1:'.LengthFormat::trimmed($building->scale->ratio, 4)."  $footer");
        $pages = [];
        foreach ($draws as $i => [$what, $draw]) {
            $number = 'guide '.($i + 1).' of '.count($draws);
            $drawing = new Drawing($page->width, $page->height, "$building->name, $number");
            SheetFurniture::plain($drawing, $page, $building->name, $number, [$what, $scale]);
            $draw($drawing);
            $pages[] = $drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
        }

        return $pages;
    }
}
