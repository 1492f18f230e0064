<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Interval;

/** Where card is missing along one line of a surface. */
final readonly class Gaps
{
    /**
     * @param  list<Interval>  $missing
     * @param  list<Interval>  $mayClose  those of them that something behind them or over them may close, where cards cut square may part
     */
    public function __construct(public float $x, public array $missing, public array $mayClose)
    {
    }

    /** @return list<Interval> those that are closed */
    public function closed(Closing $closing): array
    {
        return array_values(array_filter($this->mayClose, fn (Interval $s): bool => $closing->isClosed($this->x, $s)));
    }
}
