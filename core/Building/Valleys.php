<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\ChoiceType;

/** How what covers a roof goes through its valleys. */
enum Valleys: string
{
    /** Cut so that both slopes meet. */
    case Close = 'close';

    /** With lead showing between them. */
    case Open = 'open';

    /** Its rows turn from one slope into the other in a curve. */
    case Swept = 'swept';

    public static function choice(): ChoiceType
    {
        return ChoiceType::of([
            self::Close->value => 'closed', self::Open->value => 'open, lined with lead', self::Swept->value => 'swept, rows in a curve',
        ]);
    }
}
