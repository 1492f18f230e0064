<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Which lengths a field takes. */
enum Sign
{
    case AboveZero;
    case ZeroOrMore;
    case Any;
}
