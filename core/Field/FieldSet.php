<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

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
            $applies = self::applies($field, $read);
            if ($field->when?->refusal !== null && ! $applies) {
                $said?->fault($field->when->refusal);
            }
            if ($field->when !== null && $field->isRequired && $applies && $said === null) {
                $node->missing($field->key);
            }
            $isRead = $said !== null && ($applies || $field->when?->isOffer === true);
            $read[$field->key] = ($isRead ? $field->type->read($said, $values) : null) ?? self::usual($field, $values);
        }

        return new Fields($node, $read);
    }

    /** @param  array<string, mixed>  $read  what was read of the fields before it */
    private static function applies(Field $field, array $read): bool
    {
        return $field->when === null || in_array($read[$field->when->key] ?? null, $field->when->values, true);
    }

    public function find(string $key): ?Field
    {
        foreach ($this->fields as $field) {
            if ($field->key === $key) {
                return $field;
            }
        }

        return null;
    }

    /** @return array{type: string, properties: object, required: list<string>, additionalProperties: bool} */
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

    /** @return list<array{key: string, label: string, optional: bool, holds: array<string, mixed>, ...}> */
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
