<?php

declare(strict_types=1);

namespace Chartula\Core\Problem;

/** Collects problems while a document is read, so that all are reported at once. */
final class Problems
{
    /** @var list<Problem> */
    private array $all = [];

    /** @param  array<string, string|int|float>  $facts */
    public function add(string $path, string $code, array $facts = []): void
    {
        $this->all[] = new Problem($path, $code, $facts);
    }

    /** Takes in what was collected apart. */
    public function addAll(self $others): void
    {
        array_push($this->all, ...$others->all);
    }

    public function areNone(): bool
    {
        return $this->all === [];
    }

    /** @return list<Problem> */
    public function all(): array
    {
        return $this->all;
    }

    public function have(string $code): bool
    {
        return array_filter($this->all, static fn (Problem $p): bool => $p->code === $code) !== [];
    }

    public function count(): int
    {
        return count($this->all);
    }

    /** @throws InvalidInput if any was added */
    public function throwIfAny(): void
    {
        if ($this->all !== []) {
            throw new InvalidInput($this->all);
        }
    }
}
