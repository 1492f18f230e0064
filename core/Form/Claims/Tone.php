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

    /** @param  string  $joint  of what shows between its units */
    public function __construct(public string $unit, public string $joint)
    {
    }
}
