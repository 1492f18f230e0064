<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

use LogicException;

/** Runs the steps of a figure's workings again. */
final readonly class Workings
{
    /**
     * @param  list<array{op: string, mm: float|int, by?: float|int}>  $steps
     * @return float the figure, model millimetres
     */
    public static function evaluate(array $steps): float
    {
        $value = 0.0;
        foreach ($steps as $step) {
            $by = (float) ($step['by'] ?? 0.0);
            $value = match ($step['op']) {
                'measured', 'given' => (float) $step['mm'],
                '+' => $value + $by,
                '−' => $value - $by,
                '×' => $value * $by,
                '÷' => $value / $by,
                default => throw new LogicException("Unknown step {$step['op']}"),
            };
        }

        return $value;
    }
}
