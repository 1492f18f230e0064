<?php

declare(strict_types=1);

namespace Chartula\Core\Compression;

use Chartula\Core\Measure\Tolerance;

/** What of a length is blank, between the stretches that something takes. Real millimetres. */
final readonly class Blank
{
    /**
     * @param  list<array{float, float}>  $taken  in order of where they begin; they may overlap
     * @return list<array{float, float}> from end to end
     */
    public static function between(float $from, float $to, array $taken): array
    {
        $blank = [];
        $at = $from;
        foreach ($taken as [$begins, $ends]) {
            if ($begins > $at + Tolerance::MEET) {
                $blank[] = [$at, $begins];
            }
            $at = max($at, $ends);
        }

        return $to > $at + Tolerance::MEET ? [...$blank, [$at, $to]] : $blank;
    }
}
