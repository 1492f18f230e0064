<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** A name for documents, which no screen shows: a string. */
final readonly class IdType implements FieldType
{
    public const PATTERN = '^[a-z0-9-]{1,32}$';

    public function read(Node $node, Values $values): mixed
    {
        return $values->id($node);
    }

    public function schema(): array
    {
        return ['type' => 'string', 'pattern' => self::PATTERN];
    }

    public function form(): array
    {
        return ['what' => 'id'];
    }

    public function words(): string
    {
        return 'an id';
    }
}
