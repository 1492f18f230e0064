<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Sheets\PlacedPart;

/** Folds of a printed paper are shown where they run out of it, beyond all that is printed: nothing of them is on its face. */
final readonly class FoldTicks
{
    /** @return list<array{Vec2, Vec2}> on the sheet; none of what is not printed */
    public static function of(PlacedPart $placed): array
    {
        $part = $placed->part->part;
        $region = $part->region();
        $ticks = [];
        foreach ($part->art === null ? [] : $part->scores as $score) {
            $along = $score->to->minus($score->from)->times(1.0 / $score->to->distanceTo($score->from));
            foreach ([[$score->from, $along->times(-1.0)], [$score->to, $along]] as [$end, $out]) {
                $beyond = max(BrickArt::BLEED_MM, Bleed::beyond($part, $end, $out));
                $tick = [$end->plus($out->times($beyond)), $end->plus($out->times($beyond + BrickArt::TICK_MM))];
                // An end within the paper is a corner of an opening, which is seen.
                if (array_filter([$end->plus($out->times(Tolerance::MEET)), ...$tick], $region->contains(...)) === []) {
                    $ticks[] = [$placed->toSheet($tick[0]), $placed->toSheet($tick[1])];
                }
            }
        }

        return $ticks;
    }
}
