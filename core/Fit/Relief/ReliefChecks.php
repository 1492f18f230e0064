<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Relief;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\Check;

/** Says what low relief has cost, and what would make it look better. docs/formulas.md#relief */
final readonly class ReliefChecks
{
    /** A gable steeper than this, degrees, betrays that its depth was squeezed. */
    private const STEEP_DEG = 60.0;

    /** @return list<Check> */
    public static function of(Building $building, Kit $kit): array
    {
        if ($building->relief === null) {
            return [];
        }
        $cut = $kit->modelled->cut;
        if ($cut === null || abs($cut['depth'] - $cut['whole']) < 0.001) {
            return [new Check('relief.nothing', Check::NOTE, 'relief', 'The depth is the building’s own: nothing is cut off.')];
        }
        $checks = array_map(
            static fn (string $line, array $lost): Check => new Check(
                'relief.lost',
                $lost['what'] === 'block' ? Check::WARN : Check::NOTE,
                $lost['at'],
                ucfirst($line).'. Is that meant?',
            ),
            ReliefTable::lost($kit->modelled, $kit->compressed->building),
            $kit->modelled->lost,
        );
        $half = $building->gauge->brick_mm / 2.0 / $building->scale->ratio;
        $isBrick = array_filter(
            $kit->form->walls(),
            static fn (WallForm $w): bool => $w->isPapered && abs($w->frame->normal->x) > 0.5,
        ) !== [];
        $count = $cut['depth'] / $half;
        if ($isBrick && abs($count - round($count)) > 0.001) {
            $checks[] = new Check(
                'relief.half-brick',
                Check::NOTE,
                'relief',
                sprintf(
                    '%.2f mm is %.2f half-bricks: with %.2f or %.2f mm the flanks end on a closer.',
                    $cut['depth'],
                    $count,
                    floor($count) * $half,
                    ceil($count) * $half,
                ),
                $cut['depth'],
            );
        }
        $steep = max([0.0, ...array_map(static fn (Facet $f): float => $f->pitch->degrees, $kit->form->facets)]);
        if ($cut['share'] < 1.0 && $steep > self::STEEP_DEG) {
            $checks[] = new Check(
                'relief.steep',
                Check::WARN,
                'relief',
                sprintf(
                    'Squeezed so far the roof stands at %.1f°; the gables betray it. Keep-ridge or slice looks better where they can be seen.',
                    $steep,
                ),
                $cut['depth'],
            );
        }

        return $checks;
    }
}
