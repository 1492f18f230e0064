<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

/**
 * Scores first, while the sheet is whole; then slits; then openings, smallest first; then outlines, the outer parts of
 * the sheet first, so that the waste holds what is left. docs/formulas.md#cutting-order
 */
final readonly class CuttingOrder
{
    /** @return list<CutStep> */
    public static function of(Sheet $sheet): array
    {
        $scores = $slits = [];
        $openings = $outlines = [];
        foreach ($sheet->parts as $placed) {
            $part = $placed->part->part;
            foreach (array_keys($part->scores) as $i) {
                $scores[] = new CutStep('score', $placed, $i);
            }
            foreach (array_keys($part->slits) as $i) {
                $slits[] = new CutStep('slit', $placed, $i);
            }
            foreach ($part->holes as $i => $hole) {
                $openings[] = [$hole->area(), new CutStep('opening', $placed, $i)];
            }
            $outlines[] = [self::inset($sheet->page, $placed), new CutStep('outline', $placed, null)];
        }
        $sort = static fn (array $a, array $b): int => $a[0] <=> $b[0];
        usort($openings, $sort);
        usort($outlines, $sort);

        return [...$scores, ...$slits, ...array_column($openings, 1), ...array_column($outlines, 1)];
    }

    /** How far a part lies from the nearest edge of the page. */
    private static function inset(Page $page, PlacedPart $placed): float
    {
        return min($placed->x, $placed->y, $page->width - $placed->x - $placed->width(), $page->height - $placed->y - $placed->height());
    }
}
