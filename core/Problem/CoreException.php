<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

use Throwable;

/** Everything that the core throws because of what it was given. A broken promise of its own is a LogicException. */
interface CoreException extends Throwable
{
}
