<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use stdClass;

/** A list of things of several kinds, each with the fields of its own kind: a list of their Fields. */
final readonly class KindListType implements FieldType
{
    /** @var array<string, KindOption> */
    public array $kinds;

    /**
     * @param  list<KindOption>  $kinds
     * @param  string  $one  what one of them is called, such as “dressing”
     */
    public function __construct(array $kinds, private string $one, private int $most)
    {
        $this->kinds = array_column(array_map(static fn (KindOption $k): array => [$k->kind, $k], $kinds), 1, 0);
    }

    public function read(Node $node, Values $values): mixed
    {
        return $this->entries($node, $values);
    }

    /** @return list<Fields> */
    public function entries(Node $node, Values $values): array
    {
        $read = [];
        foreach ($node->items($this->most) as $item) {
            if (! $item->value instanceof stdClass) {
                $item->isObject([]);

                continue;
            }
            $said = $item->get('kind');
            if ($said !== null && $this->kinds === []) {
                $said->fault('not-made-yet', ['given' => strtolower($this->one), 'instead' => 'leave the list empty for now']);

                continue;
            }
            $kind = $said?->choice(array_keys($this->kinds));
            if ($said === null) {
                $item->missing('kind');
            }
            $fields = $kind === null ? null : $this->kinds[$kind]->set->read($item, $values);
            array_push($read, ...$fields === null ? [] : [$fields]);
        }

        return $read;
    }

    /** The fields of an entry as a document has it; null where it is of no kind that is known. */
    public function setOf(mixed $entry): ?FieldSet
    {
        $kind = $entry instanceof stdClass ? $entry->kind ?? null : null;

        return is_string($kind) ? ($this->kinds[$kind] ?? null)?->set : null;
    }

    public function schema(): array
    {
        $each = array_map(static fn (KindOption $kind): array => $kind->set->schema(), array_values($this->kinds));

        return ['type' => 'array', 'items' => $each === [] ? false : ['oneOf' => $each], 'maxItems' => $this->most];
    }

    public function form(): array
    {
        return ['what' => 'kinds', 'one' => $this->one, 'kinds' => array_map(static fn (KindOption $kind): array => [
            'kind' => $kind->kind, 'title' => $kind->title, 'says' => $kind->says, 'picture' => $kind->picture,
            'fields' => $kind->set->form(),
            ...$kind->anchors === [] ? [] : ['anchors' => $kind->anchors, 'is_at_one_place' => $kind->isAtOnePlace],
        ], array_values($this->kinds))];
    }

    public function words(): string
    {
        $kinds = array_map(static fn (string $kind): string => "`$kind`", array_keys($this->kinds));

        return 'a list, each of a `kind`: '.implode(', ', $kinds);
    }
}
