<?php

declare(strict_types=1);

namespace Chartula\Core\Part;

/** What one edge of an outline is, and why nothing meets it where nothing does. */
final readonly class Edge
{
    public const FREE = ['opening', 'foot', 'eaves', 'verge', 'top', 'clearance'];

    /** @param  ?value-of<self::FREE>  $free */
    public function __construct(
        public string $name,
        public ?string $free = null,
    ) {
    }

    /** @return array{edge: int, name: string, free?: string} */
    public function toArray(int $edge): array
    {
        return ['edge' => $edge, 'name' => $this->name] + ($this->free === null ? [] : ['free' => $this->free]);
    }
}
