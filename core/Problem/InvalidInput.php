<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

use RuntimeException;

/** What was given cannot be used; says everything that is wrong with it. */
final class InvalidInput extends RuntimeException implements CoreException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(static fn (Problem $p): string => $p->line(), $problems)));
    }

    /** @param  array<string, string|int|float>  $facts */
    public static function at(string $path, string $code, array $facts = []): self
    {
        return new self([new Problem($path, $code, $facts)]);
    }
}
