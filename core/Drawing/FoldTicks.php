<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Score;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Sheets\PlacedPart;

/**
 * Folds of a printed paper, and where rolled card begins and ends to bend, are shown where they run out of it, beyond all that is
 * printed: nothing of them is on its face.
 */
final readonly class FoldTicks
{
    /** So far off a cut that nothing is printed beside a tick begins. */
    private const CLEAR_MM = 0.3;

    /** @return list<array{Vec2, Vec2}> on the sheet; of what is not printed only where it is rolled */
    public static function of(PlacedPart $placed): array
    {
        $part = $placed->part->part;
        $region = $part->region();
        $ticks = [];
        $folds = $part->art === null ? [] : array_map(static fn (Score $s): array => [$s->from, $s->to], $part->scores);
        foreach ([...$folds, ...$part->shape->roll?->limits($region) ?? []] as [$from, $to]) {
            $along = $to->minus($from)->times(1.0 / $to->distanceTo($from));
            foreach ([[$from, $along->times(-1.0)], [$to, $along]] as [$end, $out]) {
                $beyond = $part->art === null ? self::CLEAR_MM : max(Artwork::BLEED_MM, Bleed::beyond($part, $end, $out));
                $tick = [$end->plus($out->times($beyond)), $end->plus($out->times($beyond + Artwork::TICK_MM))];
                // An end within the paper is a corner of an opening, which is seen.
                if (array_filter([$end->plus($out->times(Tolerance::MEET)), ...$tick], $region->contains(...)) === []) {
                    $ticks[] = [$placed->toSheet($tick[0]), $placed->toSheet($tick[1])];
                }
            }
        }

        return $ticks;
    }
}
