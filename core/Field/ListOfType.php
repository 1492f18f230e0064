<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** A list of plain values, such as names or places: what each of them is by its place, without those that are not sound. */
final readonly class ListOfType implements FieldType
{
    /** @param  string  $one  what one of them is called, such as “Place” */
    public function __construct(
        private FieldType $each,
        private string $one,
        private int $most,
        private int $least = 0,
    ) {
    }

    public function read(Node $node, Values $values): mixed
    {
        $read = array_map(fn (Node $one): mixed => $this->each->read($one, $values), $node->items($this->most, $this->least));

        return array_filter($read, static fn (mixed $one): bool => $one !== null);
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => $this->each->schema()]
            + ($this->least > 0 ? ['minItems' => $this->least] : [])
            + ['maxItems' => $this->most];
    }

    public function form(): array
    {
        return ['what' => 'items', 'each' => $this->each->form(), 'one' => $this->one, 'least' => $this->least];
    }

    public function words(): string
    {
        return 'a list, each '.$this->each->words();
    }
}
