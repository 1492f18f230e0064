<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\Scale;

/**
 * What a strip, sheet or siding on the bench stands for in reality, and what on the bench comes nearest to something real.
 * docs/formulas.md#stock-sizes
 */
final readonly class Sizes
{
    /** Strips and sheets that are sold nearly everywhere, millimetres and fractions of an inch. */
    private const SOLD_MM = [0.25, 0.5, 0.75, 1.0, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0];

    private const SOLD_IN = [
        '1/64' => 64, '1/32' => 32, '3/64' => 64 / 3, '1/16' => 16, '3/32' => 32 / 3, '1/8' => 8, '5/32' => 32 / 5,
        '3/16' => 16 / 3, '1/4' => 4,
    ];

    /** Sawn timber is sold by its nominal size; planed it measures less, inches. */
    private const PLANED_IN = [1 => 0.75, 2 => 1.5, 3 => 2.5, 4 => 3.5, 6 => 5.5, 8 => 7.25, 10 => 9.25, 12 => 11.25];

    /** An error of more than this shows. */
    private const FAR = 0.2;

    /** Two sizes whose errors differ by less are a tie, and both are offered. */
    private const TIE = 0.0005;

    /** A real size this near to a planed board's is called by the board's name. */
    private const AS_PLANED = 0.03;

    /** @return array{real_mm: float, imperial: string, metric: string, planed: ?string, text: string} */
    public static function ofModel(float $model_mm, Scale $scale): array
    {
        $real = $model_mm * $scale->ratio;
        $planed = self::planedLike($real);
        $text = sprintf(
            '%s on the model stands for %s (%s)%s.',
            LengthFormat::trimmed($model_mm, 3).' mm',
            self::inches($real),
            LengthFormat::metric($real),
            $planed === null ? '' : ", about $planed",
        );

        return [
            'real_mm' => round($real, 4), 'imperial' => self::inches($real), 'metric' => LengthFormat::metric($real),
            'planed' => $planed, 'text' => $text,
        ];
    }

    /**
     * In millimetres and in inches apart, since a shop has one or the other.
     *
     * @param  array<string, Stock>  $stocks  of the building: what was measured counts too
     * @return array{wanted_mm: float, planed: ?string, nearest: non-empty-list<array{name: string, model_mm: float, error_percent: float,
     *     far: bool}>, text: string}
     */
    public static function nearest(float $real_mm, Scale $scale, array $stocks): array
    {
        $wanted = $real_mm / $scale->ratio;
        $metric = $inches = $own = [];
        foreach (self::SOLD_MM as $mm) {
            $metric[LengthFormat::trimmed($mm, 2).' mm'] = $mm;
        }
        foreach (self::SOLD_IN as $name => $of) {
            $inches["$name in"] = 25.4 / $of;
        }
        foreach ($stocks as $stock) {
            if ($stock->measured) {
                $own["your $stock->id"] = $stock->thickness_mm;
            }
        }
        $lists = array_map(
            static fn (array $sizes): array => self::best($sizes, $wanted),
            array_filter([$metric, $inches, $own], static fn (array $sizes): bool => $sizes !== []),
        );
        $nearest = array_merge(...$lists);
        $words = implode('; ', array_map(static fn (array $list): string => implode(' or ', array_map(self::words(...), $list)), $lists));
        $timber = self::timber($real_mm, $scale);
        $isFar = array_filter($nearest, static fn (array $f): bool => ! $f['far']) === [];

        return [
            'wanted_mm' => round($wanted, 4), 'planed' => $timber, 'nearest' => $nearest,
            'text' => sprintf(
                '%s wants %s: the nearest are %s.%s%s',
                self::inches($real_mm),
                LengthFormat::millimetres($wanted, 3),
                $words,
                $isFar ? ' All of them show; build it up from thinner card, or let it be.' : '',
                $timber === null ? '' : " $timber",
            ),
        ];
    }

    /**
     * @param  non-empty-array<string, float>  $sizes
     * @return non-empty-list<array{name: string, model_mm: float, error_percent: float, far: bool}> more than one where they are as near
     */
    private static function best(array $sizes, float $wanted): array
    {
        $found = [];
        foreach ($sizes as $name => $mm) {
            $error = $mm / $wanted - 1.0;
            $found[] = [
                'name' => $name, 'model_mm' => round($mm, 4), 'error_percent' => round($error * 100.0, 2),
                'far' => abs($error) > self::FAR,
            ];
        }
        usort(
            $found,
            static fn (array $a, array $b): int =>
                [abs($a['error_percent']), $a['model_mm']] <=> [abs($b['error_percent']), $b['model_mm']],
        );
        $least = abs($found[0]['error_percent']);

        return [
            $found[0],
            ...array_values(
                array_filter(array_slice($found, 1), static fn (array $f): bool => abs($f['error_percent']) - $least <= self::TIE * 100.0),
            ),
        ];
    }

    /** @param  array{name: string, model_mm: float, error_percent: float, far: bool}  $size */
    private static function words(array $size): string
    {
        $percent = LengthFormat::trimmed(abs($size['error_percent']), 1);

        return $percent === '0'
            ? "{$size['name']}, which is right"
            : sprintf('%s, %s %% too %s', $size['name'], $percent, $size['error_percent'] < 0.0 ? 'small' : 'large');
    }

    /** Real sizes in inches to a hundredth, where that is how they are known. */
    private static function inches(float $mm): string
    {
        return $mm < 610.0 ? LengthFormat::trimmed($mm / 25.4, 2).' in' : LengthFormat::imperial($mm);
    }

    private static function planedLike(float $real_mm): ?string
    {
        foreach (self::PLANED_IN as $nominal => $planed) {
            if (abs($real_mm / ($planed * 25.4) - 1.0) <= self::AS_PLANED) {
                return sprintf('a %d in board, planed to %s in', $nominal, LengthFormat::trimmed($planed, 2));
            }
        }

        return null;
    }

    /** Where a nominal size of timber was typed, what it measures when it is planed. */
    private static function timber(float $real_mm, Scale $scale): ?string
    {
        foreach (self::PLANED_IN as $nominal => $planed) {
            if (abs($real_mm - $nominal * 25.4) < 0.01) {
                return sprintf(
                    'Timber of %d in, planed, measures %s in: %s on the model.',
                    $nominal,
                    LengthFormat::trimmed($planed, 2),
                    LengthFormat::millimetres($planed * 25.4 / $scale->ratio, 3),
                );
            }
        }

        return null;
    }
}
