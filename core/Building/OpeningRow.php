<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** An opening, or a row of them, where they stand after their wall has changed. Real millimetres. */
final readonly class OpeningRow
{
    /**
     * One row where they are alike and equally far apart, one by one where they are not.
     *
     * @param  list<array{float, float}>  $places  of those that are left, from jamb to jamb from the wall's left end
     * @param  ?RealLength  $sill  where that has changed
     * @return list<Opening>
     */
    public static function of(Opening $opening, array $places, ?RealLength $sill = null): array
    {
        if ($places === []) {
            return [];
        }
        $widths = array_map(static fn (array $p): float => $p[1] - $p[0], $places);
        $isAlike = max($widths) - min($widths) < Tolerance::MEET;
        for ($i = 2; $isAlike && $i < count($places); $i++) {
            $isAlike = abs(($places[$i][0] - $places[$i - 1][0]) - ($places[1][0] - $places[0][0])) < Tolerance::MEET;
        }
        $sill ??= $opening->sill;
        if ($isAlike) {
            $pitch = count($places) > 1 ? RealLength::ofMillimetres($places[1][0] - $places[0][0]) : null;

            return [self::opening($opening, $opening->id, $places[0], $sill, count($places), $pitch)];
        }

        return array_map(
            static fn (array $place, int $i): Opening =>
                self::opening($opening, $opening->id.($i > 0 ? '-'.($i + 1) : ''), $place, $sill, 1, null),
            $places,
            array_keys($places),
        );
    }

    /** @param  array{float, float}  $place */
    private static function opening(Opening $opening, string $id, array $place, RealLength $sill, int $count, ?RealLength $pitch): Opening
    {
        $style = $opening->style;
        if ($style->w->mm - Tolerance::MEET > $place[1] - $place[0]) {
            $style = new Style(
                $style->id,
                $style->kind,
                RealLength::ofMillimetres($place[1] - $place[0]),
                $style->h,
                $style->rise,
                $style->reveal,
                $style->sill,
                $style->frame,
            );
        }

        return new Opening($id, $style, RealLength::ofMillimetres($place[0]), $sill, $count, $pitch, $opening->path);
    }
}
