<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

/** How the walls meet at one corner of a footprint, where it is not as the methods say. */
final readonly class Corner
{
    /**
     * @param  ?CornerMethod  $method  null: as the methods say
     * @param  'before'|'after'|null  $through  which of the two walls runs through
     */
    public function __construct(
        public ?CornerMethod $method,
        public ?string $through,
        public ?string $name,
        public string $path,
    ) {
    }
}
