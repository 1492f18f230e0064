<?php

declare(strict_types=1);

namespace Chartula\Core\Output;

use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Sheets\SheetPlan;

/** Writes the cut list: a line a part, RFC 4180, UTF-8. */
final readonly class CsvWriter
{
    private const HEADING = [
        'label', 'part', 'name', 'group', 'stock', 'thickness_mm', 'pieces', 'width_mm', 'height_mm', 'area_mm2',
        'alike', 'mirror_of', 'sheets',
    ];

    /** @param  list<LabelledPart>  $parts */
    public static function write(array $parts, SheetPlan $plan): string
    {
        $sheets = [];
        foreach ($plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                $sheets[$placed->part->part->id][$sheet->number] = (string) $sheet->number;
            }
        }
        $rows = [self::HEADING];
        foreach ($parts as $labelled) {
            $part = $labelled->part;
            $rows[] = [
                $labelled->label, $part->id, $part->name, $part->group->value, $part->stock->id,
                self::number($part->thickness), (string) $part->qty(),
                self::number($part->width()), self::number($part->height()), number_format($part->region()->area(), 1, '.', ''),
                $labelled->like ?? '', $labelled->mirrorOf ?? '', implode(' ', $sheets[$part->id] ?? []),
            ];
        }

        return implode('', array_map(static fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows));
    }

    /** A cell that a spreadsheet would take for a formula is led by an apostrophe. */
    public static function cell(string $text): string
    {
        if (preg_match('/^[=+\-@\t\r]/', $text) === 1 && ! is_numeric($text)) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    private static function number(float $mm): string
    {
        return number_format($mm, 2, '.', '');
    }
}
