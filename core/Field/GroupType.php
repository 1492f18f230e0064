<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** An object within the object: its Fields. */
final readonly class GroupType implements FieldType
{
    /** @param  ?string  $word  of a group that is there or is not, what a person says where it is; null for one that only gathers */
    private function __construct(public FieldSet $set, private ?string $word, private bool $isFolded)
    {
    }

    /** Its fields stand among the others. */
    public static function gathering(FieldSet $set): self
    {
        return new self($set, null, false);
    }

    /** Its fields stand below its label, out of the way until somebody looks there. */
    public static function folded(FieldSet $set): self
    {
        return new self($set, null, true);
    }

    /** It is there or it is not. */
    public static function thing(FieldSet $set, string $word): self
    {
        return new self($set, $word, false);
    }

    /** Whether it only gathers its fields, and nobody speaks of it. */
    public function isPlain(): bool
    {
        return $this->word === null && ! $this->isFolded;
    }

    public function read(Node $node, Values $values): mixed
    {
        return $this->set->read($node, $values);
    }

    public function schema(): array
    {
        return $this->set->schema();
    }

    public function form(): array
    {
        return ['what' => 'group', 'fields' => $this->set->form(), 'folded' => $this->isFolded]
            + ($this->word === null ? [] : ['word' => $this->word]);
    }

    public function words(): string
    {
        return 'an object';
    }
}
