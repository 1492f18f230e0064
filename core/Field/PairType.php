<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Two of a kind, across and up or along and to the back: a list of two values, or null where one is not sound. */
final readonly class PairType implements FieldType
{
    /** @param  array{string, string}  $labels  on the screen, in place of the field's own */
    public function __construct(private FieldType $each, private array $labels)
    {
    }

    public function read(Node $node, Values $values): mixed
    {
        $pair = array_map(fn (Node $one): mixed => $this->each->read($one, $values), $node->items(2, 2));

        return isset($pair[0], $pair[1]) ? $pair : null;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => $this->each->schema(), 'minItems' => 2, 'maxItems' => 2];
    }

    public function form(): array
    {
        return ['what' => 'pair', 'labels' => $this->labels, 'each' => $this->each->form()];
    }

    public function words(): string
    {
        return 'two, each '.$this->each->words();
    }
}
