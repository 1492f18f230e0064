<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** Words that a person wrote: a string. */
final readonly class TextType implements FieldType
{
    public function __construct(private int $most)
    {
    }

    public function read(Node $node, Values $values): mixed
    {
        return $node->text($this->most);
    }

    public function schema(): array
    {
        return ['type' => 'string', 'maxLength' => $this->most];
    }

    public function form(): array
    {
        return ['what' => 'text'];
    }

    public function words(): string
    {
        return "a text of up to {$this->most} letters";
    }
}
