<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What holds that which stands in an opening. docs/formulas.md#frame */
enum Holding: string
{
    /** Glue at its edges alone. */
    case Glue = 'glue';

    /** It leans against the layers before it: those behind are cut back. */
    case Rebate = 'rebate';

    /** It is stuck on the back of the wall, or on rings of card there, as many as its reveal is deep. */
    case Behind = 'behind';

    /** Strips in the opening behind it, as wide as the wall is deep there. */
    case Stops = 'stops';

    /** It is cut in a layer of the wall that is there for it. */
    case Layer = 'layer';

    /** Whether it reaches beyond its opening, behind what it leans against. */
    public function laps(): bool
    {
        return match ($this) {
            self::Rebate, self::Behind, self::Layer => true,
            self::Glue, self::Stops => false,
        };
    }
}
