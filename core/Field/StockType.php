<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** A stock by its id: a Stock. */
final readonly class StockType implements FieldType
{
    public function read(Node $node, Values $values): mixed
    {
        return $values->stock($node);
    }

    public function schema(): array
    {
        return ['type' => 'string'];
    }

    public function form(): array
    {
        return ['what' => 'stock'];
    }

    public function words(): string
    {
        return 'a stock';
    }
}
