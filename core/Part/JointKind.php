<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** How two parts meet, as `kind` of a joint in docs/formats.md names it. */
enum JointKind: string
{
    case Butt = 'butt';
    case Mitre = 'mitre';
    case Lap = 'lap';
    case Seat = 'seat';
    case Clearance = 'clearance';
}
