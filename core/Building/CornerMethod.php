<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How two walls meet at a corner. */
enum CornerMethod: string
{
    /** One runs through, and the other ends against it. */
    case Butt = 'butt';

    /** Both are bevelled at half the turn. */
    case Mitre = 'mitre';

    /** @return list<string> as documents may say it one day, what is not made yet among them */
    public static function known(): array
    {
        return [...self::made(), 'nested', 'lapped', 'boards'];
    }

    /** @return list<string> */
    public static function made(): array
    {
        return array_column(self::cases(), 'value');
    }
}
