<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** What a quick run takes of a property's cases. bin/test prints the seed; with the same CHARTULA_SEED it takes the same. */
final class Sample
{
    public static function isDeep(): bool
    {
        return getenv('CHARTULA_DEEP') !== false;
    }

    public static function seed(): int
    {
        $seed = getenv('CHARTULA_SEED');

        return is_string($seed) && ctype_digit($seed) ? (int) $seed : 1;
    }

    /**
     * Of each so many that follow one another one, at a random place; all of them in a deep run.
     *
     * @template K
     * @template V
     *
     * @param  iterable<K, V>  $all
     * @return iterable<K, V>
     */
    public static function oneIn(int $count, iterable $all): iterable
    {
        $random = new Randomizer(new Mt19937(self::seed()));
        $n = $taken = 0;
        foreach ($all as $key => $one) {
            $taken = $n % $count === 0 ? $n + $random->getInt(0, $count - 1) : $taken;
            if (self::isDeep() || $n === $taken) {
                yield $key => $one;
            }
            $n++;
        }
    }
}
