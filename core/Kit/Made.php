<?php

declare(strict_types=1);

namespace Chartula\Core\Kit;

use Chartula\Core\Part\PartSet;
use Chartula\Core\Problem\Check;

/** What a maker gives: parts with their joints, and what it remarks on them. */
final readonly class Made
{
    /** @param  list<Check>  $checks */
    public function __construct(public PartSet $set, public array $checks = [])
    {
    }
}
