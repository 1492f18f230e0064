<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Building\Building;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Sheets\Page;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Stock\Stock;

/** The pages before the sheets: what is bought, what to know before cutting, and every part in words with where it goes. */
final readonly class IndexPages
{
    private const SIZE = 2.2;

    /** Width of a letter by its height. */
    private const LETTER = 0.5;

    private const LINE = 3.3;

    private const COLUMNS = 2;

    private const BETWEEN = 6.0;

    /** Lines after the first of a part stand so far in. */
    private const INDENT = 8.0;

    /** @return list<Drawing> none where there is no sheet */
    public static function of(Building $building, Kit $kit, SheetPlan $plan, string $footer): array
    {
        if ($plan->sheets === []) {
            return [];
        }
        $page = new Page($building->sheets);
        $lines = [...self::head($building, $kit, $plan), ...self::parts($kit, $plan, self::letters($page))];
        $most = max(1, (int) floor(($page->roomHeight() - self::LINE) / self::LINE));
        $pages = array_chunk(array_chunk($lines, $most), self::COLUMNS);
        $scale = trim('1:'.LengthFormat::trimmed($building->scale->ratio, 4)."  $footer");
        $drawings = [];
        foreach ($pages as $i => $columns) {
            $number = 'index '.($i + 1).' of '.count($pages);
            $drawing = new Drawing($page->width, $page->height, "$building->name, $number");
            SheetFurniture::plain($drawing, $page, $building->name, $number, ['What is bought, and every part with what it meets', $scale]);
            foreach ($columns as $k => $column) {
                self::column($drawing, $page, $k, $column);
            }
            $drawings[] = $drawing->stretched($building->sheets->factorX(), $building->sheets->factorY());
        }

        return $drawings;
    }

    private static function width(Page $page): float
    {
        return ($page->roomWidth() - self::BETWEEN * (self::COLUMNS - 1)) / self::COLUMNS;
    }

    /** How many letters go into a line of a column. */
    private static function letters(Page $page): int
    {
        return (int) floor((self::width($page) - self::INDENT) / (self::LETTER * self::SIZE));
    }

    /** @param  list<array{float, string, bool}>  $lines  how far in, words, whether they are bold */
    private static function column(Drawing $drawing, Page $page, int $column, array $lines): void
    {
        $x = $page->roomX() + $column * (self::width($page) + self::BETWEEN);
        $y = $page->roomY() + $page->roomHeight() - self::LINE;
        foreach ($lines as [$in, $words, $isBold]) {
            $drawing->text(new Text(new Vec2($x + $in, $y), $words, self::SIZE, bold: $isBold));
            $y -= self::LINE;
        }
    }

    /** @return list<array{float, string, bool}> */
    private static function head(Building $building, Kit $kit, SheetPlan $plan): array
    {
        $template = $building->methods->template;
        $count = [];
        $stock = [];
        foreach (array_merge(...array_map(static fn (Sheet $s): array => $s->frames, $plan->sheets)) as $frame) {
            $count[$frame->stock->id] = ($count[$frame->stock->id] ?? 0.0) + $frame->box->height() / $plan->sheets[0]->page->roomHeight();
            $stock[$frame->stock->id] = $frame->stock;
        }
        $lines = [[0.0, 'What is bought', true]];
        foreach ($count as $id => $pages) {
            $lines[] = [0.0, self::bought($stock[$id], (int) ceil($pages)), false];
        }
        foreach (self::fittings($building, $kit) as $words) {
            $lines[] = [0.0, $words, false];
        }

        return [
            ...$lines,
            [0.0, '', false],
            [0.0, 'Before cutting', true],
            [0.0, 'Print at 100 %, never fitted to the page; measure both rules of one sheet.', false],
            [0.0, SheetFurniture::ORDER, false],
            [0.0, "Sheets for card are stuck to its $template->side; they ".(
                $template->stays ? 'stay on and count as thickness.' : 'are peeled off after cutting.'
            ), false],
            [0.0, 'Measure a pile of your own card: the parts are made for the thicknesses above.', false],
            [0.0, 'Cut nothing before its label says what it is; write the name on what is peeled.', false],
            [0.0, 'Where others stand on a piece is dotted on its printed side.', false],
            [0.0, '', false],
            [0.0, 'Every part, and what it meets', true],
        ];
    }

    /** @return list<string> what comes as it is, kind by kind: how many, how large, from where and what they cost */
    private static function fittings(Building $building, Kit $kit): array
    {
        $count = [];
        foreach ($kit->parts as $part) {
            $stock = $part->part->stock;
            $id = $stock->isBought() ? substr($stock->id, 7) : '';
            $count += $id === '' ? [] : [$id => 0];
            $count[$id] = ($count[$id] ?? 0) + $part->part->qty();
        }
        $words = [];
        foreach ($building->styles as $style) {
            $n = $count[$style->id] ?? 0;
            [$bought, $mm] = [$style->bought, LengthFormat::trimmed(...)];
            array_push($words, ...$bought === null || $n === 0 ? [] : [
                "$n × $style->name, {$mm($bought->w, 2)} × {$mm($bought->h, 2)} × {$mm($bought->depth, 2)} mm"
                    .($bought->source === '' ? '' : ", from $bought->source")
                    .(is_numeric($bought->price) ? sprintf(', at %s: %.2f', $bought->price, $n * (float) $bought->price) : ''),
            ]);
        }

        return $words;
    }

    /** A sheet of stock for each page that is printed for it, and what that costs where its price is known. */
    private static function bought(Stock $stock, int $pages): string
    {
        [$width, $height] = array_map(static fn (float $mm): string => LengthFormat::trimmed($mm, 1), $stock->sheet_mm);
        $words = "$pages × {$stock->words()}, sheets of $width × $height mm";

        return $stock->price === null || ! is_numeric($stock->price)
            ? $words
            : sprintf('%s, at %s a sheet: %.2f', $words, $stock->price, $pages * (float) $stock->price);
    }

    /** @return list<array{float, string, bool}> */
    private static function parts(Kit $kit, SheetPlan $plan, int $letters): array
    {
        $lines = [];
        foreach (PartIndex::of($kit, $plan) as [$label, $words]) {
            foreach (explode("\n", wordwrap($words, $letters, "\n", true)) as $i => $line) {
                if ($i === 0) {
                    $lines[] = [0.0, "$label  $line", false];
                } else {
                    $lines[] = [self::INDENT, $line, false];
                }
            }
        }

        return $lines;
    }
}
