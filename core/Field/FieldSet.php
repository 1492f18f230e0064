<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use LogicException;

/** The fields of an object in a document, in the order in which a person is asked for them. */
final readonly class FieldSet
{
    /** @var list<Field> */
    public array $fields;

    public function __construct(public string $name, Field ...$fields)
    {
        $this->fields = array_values($fields);
    }

    /**
     * Every field that is sound, what stands in for those that are not said, and a fault for each that is wrong.
     *
     * @return ?Fields null where it is no object
     */
    public function read(Node $node, Values $values): ?Fields
    {
        if (! $node->isObject($this->keys(true), $this->keys(false))) {
            return null;
        }
        $read = [];
        foreach ($this->fields as $field) {
            $said = $node->get($field->key);
            $read[$field->key] = ($said === null ? null : $field->type->read($said, $values)) ?? self::usual($field, $values);
        }
        $fields = new Fields($node, $read);
        foreach ($this->fields as $field) {
            $applies = $this->applies($field, $fields);
            if ($field->when?->refusal !== null && ! $applies) {
                $node->get($field->key)?->fault($field->when->refusal);
            }
            if ($field->when !== null && $field->isRequired && $applies && $node->get($field->key) === null) {
                $node->missing($field->key);
            }
        }

        return $fields;
    }

    private function applies(Field $field, Fields $fields): bool
    {
        return $field->when === null || in_array($fields->values[$field->when->key] ?? null, $field->when->values, true);
    }

    public function field(string $key): Field
    {
        foreach ($this->fields as $field) {
            if ($field->key === $key) {
                return $field;
            }
        }

        throw new LogicException("{$this->name} has no field $key");
    }

    /** @return array<string, mixed> */
    public function schema(): array
    {
        $properties = [];
        foreach ($this->fields as $field) {
            $properties[$field->key] = $field->schema();
        }

        return [
            'type' => 'object', 'properties' => (object) $properties, 'required' => $this->keys(true), 'additionalProperties' => false,
        ];
    }

    /** @return list<array<string, mixed>> */
    public function form(): array
    {
        $shown = array_filter($this->fields, static fn (Field $field): bool => $field->isOnForm);

        return array_values(array_map(static fn (Field $field): array => $field->form(), $shown));
    }

    /** @return list<string> those that have to be there whatever the others say, or the rest */
    private function keys(bool $required): array
    {
        $some = array_filter($this->fields, static fn (Field $f): bool => ($f->isRequired && $f->when === null) === $required);

        return array_values(array_map(static fn (Field $field): string => $field->key, $some));
    }

    /** What stands in for a field that is not said; nobody wrote it, so it has no text and no place. */
    private static function usual(Field $field, Values $values): mixed
    {
        return $field->default === null ? null : $field->type->read(Node::usual($field->default), $values->quiet());
    }
}
