<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** A colour as #rrggbb: a string in lower case. */
final readonly class ColourType implements FieldType
{
    public function read(Node $node, Values $values): mixed
    {
        return $values->colour($node);
    }

    public function schema(): array
    {
        return ['$ref' => '#/$defs/colour'];
    }

    public function form(): array
    {
        return ['what' => 'colour'];
    }

    public function words(): string
    {
        return 'a colour, `#rrggbb`';
    }
}
