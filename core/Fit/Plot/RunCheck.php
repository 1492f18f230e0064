<?php

declare(strict_types=1);

namespace Chartula\Core\Fit\Plot;

use Chartula\Core\Building\Site\Plot;
use Chartula\Core\Building\Site\Run;
use Chartula\Core\Measure\Tolerance;

/** Whether platforms and sidings are long enough for what is to stand in them. docs/formulas.md#runs */
final readonly class RunCheck
{
    /** @return list<Clearance> */
    public static function all(Plot $plot): array
    {
        return array_map(self::one(...), $plot->runs);
    }

    private static function one(Run $run): Clearance
    {
        $needs = $run->needs();
        $sums = array_map(
            static fn (array $t): string => sprintf(
                '%d × %s, %.1f mm each: %.1f',
                $t['count'],
                $t['vehicle']->name,
                $t['vehicle']->length,
                $t['count'] * $t['vehicle']->length,
            ),
            $run->train,
        );
        $sums[] = sprintf('%d gaps of %.1f: %.1f', $run->vehicles() - 1, $run->gap, $run->gap * ($run->vehicles() - 1));
        $sums[] = $run->kind === 'platform'
            ? sprintf('%.1f at either end: %.1f', $run->margin, 2.0 * $run->margin)
            : sprintf('%.1f beyond the points', $run->margin);
        $left = $run->has === null ? 0.0 : $run->has - $needs;
        $text = sprintf('%s needs %.1f mm', ucfirst($run->name), $needs).match (true) {
            $run->has === null => '.',
            $left < -Tolerance::TOLD => sprintf(
                ' and has %.1f: %.1f mm too short. Leave a vehicle out, or make it longer; ramps do not count.',
                $run->has,
                -$left,
            ),
            default => sprintf(' and has %.1f: %.1f mm to spare.', $run->has, $left),
        };

        return new Clearance('run', 'plot.run', $run->name, '', $left, null, $text, $run->path, $sums);
    }
}
