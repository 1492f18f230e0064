<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Storey;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Problem\Check;

/** Whether storeys stand on each other, come to the eaves, and lie in courses. docs/formulas.md#storeys */
final readonly class StoreyChecks
{
    /** A floor or eaves within this share of a course of a bed joint lie on it. */
    private const OFF = 0.1;

    /** @return list<Check> */
    public static function of(Building $building): array
    {
        return array_merge([], ...array_map(
            static fn (Block $block): array => $block->storeys === [] ? [] : self::all($building, $block),
            $building->blocks,
        ));
    }

    /** @return list<Check> */
    private static function all(Building $building, Block $block): array
    {
        $storeys = $block->storeys;
        usort($storeys, static fn (Storey $a, Storey $b): int => $a->floor->mm <=> $b->floor->mm);
        $checks = [];
        $under = null;
        foreach ($storeys as $storey) {
            $over = $under === null ? 0.0 : $under->floor->mm + $under->height->mm - $storey->floor->mm;
            array_push($checks, ...$under === null || $over <= Tolerance::FIGURE ? [] : [new Check(
                'storeys.overlap', Check::WARN, $block->id, sprintf(
                    'The storey “%s” of %s reaches %s over the floor of “%s”: lower it, or raise that floor.',
                    $under->name, $block->name, LengthFormat::imperial($over), $storey->name,
                ), $over / $building->scale->ratio,
            )]);
            $under = $storey;
        }
        $over = $under === null ? 0.0 : $under->floor->mm + $under->height->mm - $block->eaves->mm;
        if ($over > Tolerance::FIGURE) {
            $checks[] = new Check('storeys.over-eaves', Check::NOTE, $block->id, sprintf(
                'The storeys of %s come to %s over its eaves: the topmost one is partly in the roof. Is that meant?',
                $block->name, LengthFormat::imperial($over),
            ), $over / $building->scale->ratio);
        }
        $levels = array_map(static fn (Storey $s): array => ["the floor of “{$s->name}”", $s->floor->mm], $storeys);

        return [...$checks, ...self::courses($building, $block, [...$levels, ['the eaves', $block->eaves->mm]])];
    }

    /**
     * One for all levels that no bed joint lies at; what shows no bricks has no courses.
     *
     * @param  list<array{string, float}>  $levels  above the datum, which a bed joint lies at
     * @return list<Check>
     */
    private static function courses(Building $building, Block $block, array $levels): array
    {
        $hasBricks = array_filter($block->walls, static fn ($wall): bool => $wall->finish->bond() !== null) !== [];
        $course = $building->gauge->course_mm;
        $off = [];
        foreach ($hasBricks ? $levels : [] as [$words, $mm]) {
            $by = $mm - round($mm / $course) * $course;
            array_push($off, ...abs($by) <= self::OFF * $course ? [] : [sprintf(
                '%s %s %s', $words, LengthFormat::imperial(abs($by)), $by > 0.0 ? 'above' : 'below',
            )]);
        }

        return $off === [] ? [] : [new Check('storeys.courses', Check::NOTE, $block->id, sprintf(
            'In %s these lie off a bed joint: %s. Storeys that come out in courses let sills and heads lie on them.',
            $block->name, implode(', ', $off),
        ))];
    }
}
