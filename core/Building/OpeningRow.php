<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Tolerance;

/** An opening, or a row of them, where they stand after their wall has changed. Real millimetres. */
final readonly class OpeningRow
{
    /**
     * One row where they are alike and equally far apart, one by one where they are not.
     *
     * @param  list<Interval>  $places  of those that are left, from jamb to jamb from the wall's left end
     * @param  ?RealLength  $sill  where that has changed
     * @return list<Opening>
     */
    public static function of(Opening $opening, array $places, ?RealLength $sill = null): array
    {
        if ($places === []) {
            return [];
        }
        $widths = array_map(static fn (Interval $p): float => $p->length(), $places);
        $isAlike = max($widths) - min($widths) < Tolerance::MEET;
        for ($i = 2; $isAlike && $i < count($places); $i++) {
            $isAlike = abs(($places[$i]->from - $places[$i - 1]->from) - ($places[1]->from - $places[0]->from)) < Tolerance::MEET;
        }
        $sill ??= $opening->sill;
        if ($isAlike) {
            $pitch = count($places) > 1 ? RealLength::ofMillimetres($places[1]->from - $places[0]->from) : null;

            return [self::opening($opening, $opening->id, $places[0], $sill, count($places), $pitch)];
        }

        return array_map(
            static fn (Interval $place, int $i): Opening =>
                self::opening($opening, $opening->id.($i > 0 ? '-'.($i + 1) : ''), $place, $sill, 1, null),
            $places,
            array_keys($places),
        );
    }

    private static function opening(
        Opening $opening,
        string $id,
        Interval $place,
        RealLength $sill,
        int $count,
        ?RealLength $pitch,
    ): Opening {
        $style = $opening->style;
        if ($style->w->mm - Tolerance::MEET > $place->length()) {
            $style = $style->with(w: RealLength::ofMillimetres($place->length()));
        }

        $from = RealLength::ofMillimetres($place->from);

        return $opening->with(id: $id, style: $style, from: $from, sill: $sill, count: $count, pitch: $pitch);
    }
}
