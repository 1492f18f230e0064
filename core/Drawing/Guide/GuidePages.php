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

        return self::pages($building, $footer, 'guide', [
            ['The building and its parts', static fn (Drawing $d): null => BuildingPictures::draw($d, $kit, $page)],
            ...array_map(
                static fn (callable $draw): array => ['Where things go', $draw],
                Rows::of(WhereThingsGo::of($kit), $page),
            ),
        ]);
    }

    /** @return list<Drawing> pages on which every part of card is to be marked out by rule and square */
    public static function markingOut(Building $building, Kit $kit, string $footer): array
    {
        $page = new Page($building->sheets);

        return self::pages($building, $footer, 'marking out', array_map(
            static fn (callable $draw): array => ['From the left end and from the foot, to half a millimetre; not to scale', $draw],
            Rows::of(MarkingOut::of($kit), $page),
        ));
    }

    /** @return list<Drawing> templates of openings, to be traced */
    public static function templates(Building $building, Kit $kit, string $footer): array
    {
        $page = new Page($building->sheets);

        return self::pages($building, $footer, 'templates', array_map(
            static fn (callable $draw): array => ['Openings at true size: stick on card, cut along the line, trace round it', $draw],
            Rows::of(Templates::of($kit), $page),
        ));
    }

    /**
     * @param  list<array{string, callable(Drawing): mixed}>  $draws  what each page says in its heading, and what is drawn on it
     * @return list<Drawing>
     */
    private static function pages(Building $building, string $footer, string $kind, array $draws): array
    {
        $page = new Page($building->sheets);
        $scale = trim('1:'.LengthFormat::trimmed($building->scale->ratio, 4)."  $footer");
        $pages = [];
        foreach ($draws as $i => [$what, $draw]) {
            $number = "$kind ".($i + 1).' of '.count($draws);
            $drawing = new Drawing($page->width, $page->height, "$building->name, $number");
            SheetFurniture::plain($drawing, $page, $building->name, $number, [$what, $scale]);
            $draw($drawing);
            $pages[] = $drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
        }

        return $pages;
    }
}
