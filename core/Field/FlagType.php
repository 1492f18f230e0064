<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Yes or no: a bool. */
final readonly class FlagType implements FieldType
{
    public function read(Node $node, Values $values): mixed
    {
        return $node->bool();
    }

    public function schema(): array
    {
        return ['type' => 'boolean'];
    }

    public function form(): array
    {
        return ['what' => 'flag'];
    }

    public function words(): string
    {
        return '`true` or `false`';
    }
}
