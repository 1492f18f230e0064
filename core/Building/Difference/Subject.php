<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Difference;

/** Something in a document that a person has a name for, and where it stands. */
final readonly class Subject
{
    /** @param  list<string>  $keys */
    public function __construct(
        public string $words,
        private array $keys,
    ) {
    }

    /**
     * What is left of a path below this.
     *
     * @param  list<string>  $keys
     * @return list<string>
     */
    public function field(array $keys): array
    {
        $rest = array_slice($keys, count($this->keys));

        return $rest === [] ? array_slice($keys, -1) : $rest;
    }
}
