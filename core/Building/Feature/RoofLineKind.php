<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

/** A line of a roof, by what lies beyond it. */
enum RoofLineKind: string
{
    case Ridge = 'ridge';
    case Hip = 'hip';
    case Valley = 'valley';
    case Eaves = 'eaves';
    case Verge = 'verge';
    case Abutment = 'abutment';
}
