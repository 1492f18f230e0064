<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Claims;

/** A kind that goes up from a wall past the roof over it, and is told of that. */
interface GoesUp extends Takes
{
}
