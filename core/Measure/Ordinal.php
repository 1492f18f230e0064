<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** “first”, “second” … “tenth”, “11th”, “21st”: what somebody who counts along a wall says. */
final readonly class Ordinal
{
    private const WORDS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

    /** @param  int  $index  counted from 0 */
    public static function of(int $index): string
    {
        $n = $index + 1;
        $isTeen = intdiv($n, 10) % 10 === 1;

        return self::WORDS[$index] ?? $n.($isTeen ? 'th' : ['th', 'st', 'nd', 'rd'][$n % 10] ?? 'th');
    }

    /** “second sash” of several, “sash” where it is the only one. */
    public static function among(int $index, int $count, string $what): string
    {
        return $count === 1 ? $what : self::of($index).' '.$what;
    }
}
