<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** When a field applies: where another one of its set, which stands before it, holds one of some values. */
final readonly class When
{
    /**
     * @param  non-empty-list<string>  $values
     * @param  ?string  $refusal  the code of the fault where it is said all the same; null where it waits, unread
     * @param  bool  $isOffer  where only a form asks: it is read whatever the other one holds
     */
    public function __construct(
        public string $key,
        public array $values,
        public ?string $refusal = null,
        public bool $isOffer = false,
    ) {
    }

    /** @return array{key: string, values: list<string>, offer?: true} */
    public function toArray(): array
    {
        return ['key' => $this->key, 'values' => $this->values] + ($this->isOffer ? ['offer' => true] : []);
    }
}
