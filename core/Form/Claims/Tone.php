<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

/** In which colours something is printed, as #rrggbb. */
final readonly class Tone
{
    public const STONE = '#b9b09c';

    /** Between stones that are told apart. */
    public const STONE_JOINT = '#958c79';

    public const CONCRETE = '#a9a69d';

    public const TIMBER = '#7f654a';

    public const STEEL = '#747b81';

    public const TILE = '#8d4b39';

    /** The same in the light that falls on what slopes: a quarter of the way to white. */
    public static function lit(string $colour): string
    {
        $parts = array_map(static fn (string $hex): int => (int) hexdec($hex), str_split(substr($colour, 1), 2));

        return '#'.implode('', array_map(static fn (int $c): string => sprintf('%02x', $c + intdiv(255 - $c, 4)), $parts));
    }

    /** @param  string  $joint  of what shows between its units */
    public function __construct(public string $unit, public string $joint)
    {
    }
}
