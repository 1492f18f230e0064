<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How much is made of a wall, as `walls.*.treat` says it. */
enum Treatment: string
{
    /** With its finish. */
    case Full = 'full';

    /** Bare card. */
    case Plain = 'plain';

    /** No card at all. */
    case Omit = 'omit';

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }
}
