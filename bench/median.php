<?php

declare(strict_types=1);

/**
 * Milliseconds, over so many runs after one to warm up.
 *
 * @param  callable(): mixed  $work
 */
function median(int $runs, callable $work): float
{
    $work();
    $times = [];
    for ($i = 0; $i < $runs; $i++) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv($runs, 2)];
}
