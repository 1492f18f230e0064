<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** Writes lengths for people: feet and inches with sixteenths, metres, millimetres. Rounds by name only. */
final readonly class LengthFormat
{
    /** `7ft 6 1/2in`, to the nearest sixteenth of an inch. */
    public static function imperial(float $mm): string
    {
        $sixteenths = (int) round(abs($mm) / 25.4 * 16.0);
        $sign = $mm < 0.0 && $sixteenths > 0 ? '-' : '';
        $feet = intdiv($sixteenths, 192);
        $rest = $sixteenths % 192;
        $inches = self::inches($rest);
        if ($feet === 0) {
            return $sign.$inches;
        }

        return $sign.$feet.'ft'.($rest === 0 ? '' : ' '.$inches);
    }

    /** `2.286m` from a metre up, `228.6mm` below, to the nearest tenth of a millimetre. */
    public static function metric(float $mm): string
    {
        return abs($mm) >= 1000.0 ? self::trimmed($mm / 1000.0, 4).'m' : self::trimmed($mm, 1).'mm';
    }

    /**
     * Written as the length that it replaces was: in feet and inches where that was and where sixteenths say it
     * exactly, in millimetres otherwise.
     */
    public static function like(string $before, float $mm): string
    {
        $wasImperial = preg_match('/ft|in|["\'′″]|yd/u', $before) === 1 || preg_match('/[a-z]/', $before) === 0;
        $isExact = abs($mm / 25.4 * 16.0 - round($mm / 25.4 * 16.0)) < Tolerance::FIGURE;

        return $wasImperial && $isExact ? self::imperial($mm) : self::trimmed($mm, 4).'mm';
    }

    /** `22.50 mm`, always with so many decimals. */
    public static function millimetres(float $mm, int $decimals = 2): string
    {
        $text = number_format($mm, $decimals, '.', '');

        return ((float) $text === 0.0 ? ltrim($text, '-') : $text).' mm';
    }

    public static function trimmed(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');
        $text = $decimals > 0 ? rtrim(rtrim($text, '0'), '.') : $text;

        return $text === '-0' ? '0' : $text;
    }

    private static function inches(int $sixteenths): string
    {
        $whole = intdiv($sixteenths, 16);
        $over = $sixteenths % 16;
        if ($over === 0) {
            return $whole.'in';
        }
        $under = 16;
        while ($over % 2 === 0) {
            $over = intdiv($over, 2);
            $under = intdiv($under, 2);
        }

        return ($whole === 0 ? '' : $whole.' ').$over.'/'.$under.'in';
    }
}
