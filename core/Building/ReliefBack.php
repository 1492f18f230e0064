<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** What stands where low relief has cut a building, as `relief.back` says it. */
enum ReliefBack: string
{
    case Open = 'open';

    /** A wall of bare card. */
    case Plain = 'plain';

    /** The same with openings cut for lightness. */
    case Stiffener = 'stiffener';

    /** @return list<string> as documents may say it */
    public static function known(): array
    {
        return array_column(self::cases(), 'value');
    }
}
