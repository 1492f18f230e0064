<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Something that a list of the document names: its id, a string. */
final readonly class NamedType implements FieldType
{
    /** @param  string  $list  the key of the list */
    private function __construct(private string $list)
    {
    }

    public static function paper(): self
    {
        return new self('papers');
    }

    public static function palette(): self
    {
        return new self('palettes');
    }

    public function read(Node $node, Values $values): mixed
    {
        return $values->named($this->list, $node);
    }

    public function schema(): array
    {
        return ['type' => 'string', 'maxLength' => 32];
    }

    public function form(): array
    {
        return ['what' => 'reference', 'to' => $this->list];
    }

    public function words(): string
    {
        return "the id of one of the `$this->list`";
    }
}
