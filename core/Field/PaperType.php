<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** One of the papers that the document names: a string. */
final readonly class PaperType implements FieldType
{
    public function read(Node $node, Values $values): mixed
    {
        return $values->paper($node);
    }

    public function schema(): array
    {
        return ['type' => 'string', 'maxLength' => 32];
    }

    public function form(): array
    {
        return ['what' => 'reference', 'to' => 'papers'];
    }

    public function words(): string
    {
        return 'the id of one of the `papers`';
    }
}
