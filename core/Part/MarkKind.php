<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** What a printed line tells. */
enum MarkKind: string
{
    /** Where a lower roof meets a wall: what it tells is hidden by the block that stands there. */
    case Seat = 'seat';

    case Plinth = 'plinth';

    case Ground = 'ground';

    /** A joint between the boards of a door, which is to be seen. */
    case Plank = 'plank';

    /** Where a line of a textured sheet lies on what is cut of it. */
    case Texture = 'texture';

    /** Where a row of slates or tiles begins on the card they are laid on. */
    case Course = 'course';

    /** A line to draw or measure by. */
    case Guide = 'guide';
}
