<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Feature;

/** A kind of thing that stands at one place of a wall or of a line of the roof, and does not run along it. */
interface AtOnePlace extends Kind
{
}
