<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** Whose rule a length is read from: the prototype's, or the one on the bench. */
enum World: string
{
    case Real = 'real';
    case Model = 'model';
}
