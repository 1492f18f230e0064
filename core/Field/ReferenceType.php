<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Something that the document names elsewhere, by its id: a string. Whether there is such a thing is asked by who knows them all. */
final readonly class ReferenceType implements FieldType
{
    /** @param  string  $to  the path of the list, or of the object, that it is chosen from */
    public function __construct(private string $to, private string $words)
    {
    }

    public function read(Node $node, Values $values): mixed
    {
        return $node->text(32);
    }

    public function schema(): array
    {
        return ['type' => 'string', 'maxLength' => 32];
    }

    public function form(): array
    {
        return ['what' => 'reference', 'to' => $this->to];
    }

    public function words(): string
    {
        return $this->words;
    }
}
