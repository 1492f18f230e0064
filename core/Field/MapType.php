<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Values by names that the document has given: an array of what each of them is, without those that are not sound. */
final readonly class MapType implements FieldType
{
    /** @param  string  $names  what the names are of, for the screen that knows them */
    public function __construct(
        private FieldType $each,
        private string $names,
        private int $most,
    ) {
    }

    public function read(Node $node, Values $values): mixed
    {
        $read = [];
        foreach ($node->entries($this->most) as [$name, $entry]) {
            $value = $this->each->read($entry, $values);
            if ($value !== null) {
                $read[$name] = $value;
            }
        }

        return $read;
    }

    public function schema(): array
    {
        return ['type' => 'object', 'additionalProperties' => $this->each->schema(), 'maxProperties' => $this->most];
    }

    public function form(): array
    {
        return ['what' => 'map', 'each' => $this->each->form(), 'names' => $this->names];
    }

    public function words(): string
    {
        return 'by name, each '.$this->each->words();
    }
}
