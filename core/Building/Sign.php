<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** Which lengths a field takes. */
enum Sign
{
    case AboveZero;
    case ZeroOrMore;
    case Any;
}
