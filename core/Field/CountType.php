<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** How many: an int. */
final readonly class CountType implements FieldType
{
    public function __construct(private int $least, private int $most)
    {
    }

    public function read(Node $node, Values $values): mixed
    {
        return $node->whole($this->least, $this->most);
    }

    public function schema(): array
    {
        return ['type' => 'integer', 'minimum' => $this->least, 'maximum' => $this->most];
    }

    public function form(): array
    {
        return ['what' => 'count', 'least' => $this->least, 'most' => $this->most];
    }

    public function words(): string
    {
        return "a whole number from {$this->least} to {$this->most}";
    }
}
