<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

/** What a thing may stand on, in or round. */
enum Anchor: string
{
    /** One opening, or every one of a kind. */
    case Opening = 'opening';
}
