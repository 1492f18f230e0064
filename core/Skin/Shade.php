<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

/** A colour somewhat lighter or darker. */
final readonly class Shade
{
    /** So much on the way to another, from 0 to 1. */
    public static function mixed(string $colour, string $other, float $by): string
    {
        $mixed = '#';
        foreach ([1, 3, 5] as $at) {
            $from = (int) hexdec(substr($colour, $at, 2));
            $mixed .= sprintf('%02x', (int) round($from + ($by * ((int) hexdec(substr($other, $at, 2)) - $from))));
        }

        return $mixed;
    }

    /** @param  string  $colour  #rrggbb */
    public static function of(string $colour, float $by): string
    {
        $shaded = '#';
        foreach ([1, 3, 5] as $at) {
            $value = (int) hexdec(substr($colour, $at, 2));
            $shaded .= sprintf('%02x', max(0, min(255, (int) round($value * (1.0 + $by)))));
        }

        return $shaded;
    }
}
