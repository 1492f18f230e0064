<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Packing\Effort;

/** What is wanted on sheets, and how long is looked for fewer of them. */
final readonly class Wanted
{
    /**
     * @param  ?list<string>  $only  pieces by id and copy (`main.front.core#0`); all where it is null
     * @param  string  $words  what that is, for the heading
     */
    public function __construct(
        public Effort $effort = Effort::Quick,
        public ?array $only = null,
        public string $words = '',
    ) {
    }

    /** @return ?array<string, true> pieces by id and copy */
    public function keys(): ?array
    {
        return $this->only === null ? null : array_fill_keys($this->only, true);
    }
}
