<?php

declare(strict_types=1);

namespace App\Actions;

use RuntimeException;

/** A change would make parts stale that are already fixed to the model; the person is asked first. */
final class FixedPartsWouldChange extends RuntimeException
{
    /** @param  non-empty-list<array<string, mixed>>  $parts  how each would differ */
    public function __construct(public readonly array $parts)
    {
        parent::__construct(count($parts) === 1 ? 'This changes a part that is already fixed.' : 'This changes '.count($parts).' parts that are already fixed.');
    }
}
