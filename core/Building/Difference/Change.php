<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Difference;

/** One thing in which two documents differ, and the edit that takes it across. */
final readonly class Change
{
    /**
     * @param  string  $path  as SetField reads it: entries of lists by their id or edge, points in keys as `~.`
     * @param  string  $where  the thing concerned in a person's words, '' for the building itself
     * @param  string  $what  what became of it, in words and figures
     * @param  mixed  $before  the value that was, null where there was none
     * @param  mixed  $after  the value that is, null where there is none
     */
    public function __construct(
        public string $path,
        public string $where,
        public string $what,
        public mixed $before,
        public mixed $after,
    ) {
    }

    public function text(): string
    {
        return $this->where === '' ? $this->what : "$this->where: $this->what";
    }

    /** Whether the two are about the same field, or one about a part of the other. */
    public function clashesWith(self $that): bool
    {
        return str_starts_with("$this->path.", "$that->path.") || str_starts_with("$that->path.", "$this->path.");
    }

    /** @return array{path: string, text: string, before: mixed, after: mixed} */
    public function toArray(): array
    {
        return ['path' => $this->path, 'text' => $this->text(), 'before' => $this->before, 'after' => $this->after];
    }
}
