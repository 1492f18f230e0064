<?php

declare(strict_types=1);

namespace Chartula\Core\Fit;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\Building;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\Wall;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\Check;

/**
 * What a practitioner would do before the first cut: a mock-up where it is needed, and nothing that ties a building to no place.
 * docs/formulas.md#advice
 */
final readonly class AdviceChecks
{
    /** A corner farther than this from square, degrees, is skew. */
    private const SKEW_DEG = 5.0;

    /** @return list<Check> */
    public static function of(Building $building, Kit $kit): array
    {
        return array_values(array_filter([self::mockup($building, $kit), self::place($building)]));
    }

    private static function mockup(Building $building, Kit $kit): ?Check
    {
        $relief = $kit->compressed->building->relief;
        $reasons = array_keys(array_filter([
            'its roof is hipped' => array_filter(
                $building->blocks,
                static fn (Block $b): bool => $b->roof->kind->isHipped(),
            ) !== [],
            'its parts meet' => count($building->blocks) > 1,
            'its corners are askew' => array_filter($kit->form->walls(), self::isSkew(...)) !== [],
            'it is squeezed' => $kit->compressed->taken !== [] || in_array(
                $relief?->school,
                [Relief::SQUEEZE, Relief::KEEP_RIDGE, Relief::KEEP_PITCH],
                true,
            ),
            'it is built to look deeper than it is' => $building->perspective !== null,
        ]));

        return $reasons === [] ? null : new Check(
            'mockup.first',
            Check::NOTE,
            'mockup',
            'Make a paper mock-up first, and try each new kind of part in scrap: '.implode(', ', $reasons).'. It is under Sheets.',
        );
    }

    private static function isSkew(WallForm $wall): bool
    {
        return $wall->isBuilt() && abs(fmod($wall->angles[0], 90.0) - 45.0) < 45.0 - self::SKEW_DEG;
    }

    private static function place(Building $building): ?Check
    {
        if ($building->plot !== null) {
            return null;
        }
        $omitted = array_merge(...array_map(
            static fn (Block $b): array => array_values(array_map(
                static fn (Wall $w): string => $b->footprint->edges[$w->edge],
                array_filter($b->walls, static fn (Wall $w): bool => $w->isLeftOut()),
            )),
            $building->blocks,
        ));
        $settled = 'Keep every wall at least plain, its feet level and its floor whole until it is known where it stands; then describe that under Plot.';

        return $omitted === []
            ? new Check('place.open', Check::NOTE, 'plot', "Nobody has said yet where it stands. $settled")
            : new Check('place.open', Check::WARN, 'plot', 'The '.implode(' and the ', $omitted).' wall is left out, and nobody has said where it stands: that ties it to places where nobody sees that side. '.$settled);
    }
}
