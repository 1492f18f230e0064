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

    public const RENDER = '#cfc6b3';

    public const TIMBER = '#7f654a';

    public const TIMBER_JOINT = '#5f4a35';

    public const STEEL = '#747b81';

    public const TILE = '#8d4b39';

    /** Of pots, which are of a lighter clay. */
    public const TERRACOTTA = '#b8714d';

    /** What one looks into. */
    public const DARK = '#2a2724';

    public const LEAD = '#8a9096';

    public const ZINC = '#a3a9ad';

    public const SLATE = '#59636d';

    public const STONE_SLATE = '#8c8270';

    public const SHEET = '#858b8c';

    public const FELT = '#4a4b4a';

    public const PANTILE = '#a4583d';

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
