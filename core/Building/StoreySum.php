<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;

/** What heights from the ground to the eaves add up to: floors, and what is between and over them. docs/formulas.md#storeys */
final readonly class StoreySum
{
    /** A sum this near to whole courses, in courses, is as many. */
    private const OFF = 0.05;

    /** In words; null where a block has no storeys, or they do not stand on each other under its eaves. */
    public static function words(Block $block, Gauge $gauge): ?string
    {
        $storeys = $block->storeys;
        usort($storeys, static fn (Storey $a, Storey $b): int => $a->floor->mm <=> $b->floor->mm);
        $terms = [];
        $level = 0.0;
        foreach ($storeys as $storey) {
            $terms[] = [$storey->floor->mm - $level, $level === 0.0 ? 'under the floor' : 'between floors'];
            $terms[] = [$storey->height->mm, $storey->name];
            $level = $storey->floor->mm + $storey->height->mm;
        }
        $terms[] = [$block->eaves->mm - $level, 'over that'];
        if ($storeys === [] || array_filter($terms, static fn (array $t): bool => $t[0] < -Tolerance::FIGURE) !== []) {
            return null;
        }
        $said = array_filter($terms, static fn (array $t): bool => $t[0] > Tolerance::FIGURE);
        $courses = $block->eaves->mm / $gauge->course_mm;
        $isWhole = abs($courses - round($courses)) < self::OFF;

        return sprintf(
            '%s = %s to the eaves, %s courses.',
            implode(' + ', array_map(static fn (array $t): string => LengthFormat::imperial($t[0]).' '.$t[1], $said)),
            LengthFormat::imperial($block->eaves->mm),
            LengthFormat::trimmed($isWhole ? round($courses) : $courses, 2),
        );
    }
}
