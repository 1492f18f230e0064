<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Something that only who knows more of the document can read: the Node itself. */
final readonly class NodeType implements FieldType
{
    /** @param  array<string, mixed>  $schema */
    public function __construct(private array $schema, private string $words)
    {
    }

    public function read(Node $node, Values $values): mixed
    {
        return $node;
    }

    public function schema(): array
    {
        return $this->schema;
    }

    public function form(): array
    {
        return ['what' => 'other'];
    }

    public function words(): string
    {
        return $this->words;
    }
}
