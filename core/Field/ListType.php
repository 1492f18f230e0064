<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Closure;
use stdClass;

/** A list of objects of one kind: a list of their Fields. */
final readonly class ListType implements FieldType
{
    /**
     * @param  string  $one  what one of them is called where it has no name, such as “Neighbour”
     * @param  string  $empty  what is said where there is none
     * @param  array<string, mixed>|Closure(stdClass): array<string, mixed>  $begins  with what a new one begins, beside its id and its name
     */
    public function __construct(
        public FieldSet $set,
        public string $one,
        private int $most,
        private int $least = 0,
        private string $empty = '',
        private array|Closure $begins = [],
    ) {
    }

    /** @return array<string, mixed> with what a new one begins in this document, beside its id and its name */
    public function begun(stdClass $document): array
    {
        return $this->begins instanceof Closure ? ($this->begins)($document) : $this->begins;
    }

    /** @return list<Fields> */
    public function read(Node $node, Values $values): array
    {
        $read = [];
        $seen = [];
        foreach ($node->items($this->most, $this->least) as $item) {
            $fields = $this->set->read($item, $values);
            if ($fields === null) {
                continue;
            }
            $id = $fields->text('id');
            if ($id !== null && isset($seen[$id])) {
                $item->get('id')?->fault('id-twice', ['given' => $id]);
            }
            $seen[$id ?? ''] = true;
            $read[] = $fields;
        }

        return $read;
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => $this->set->schema()]
            + ($this->least > 0 ? ['minItems' => $this->least] : [])
            + ['maxItems' => $this->most];
    }

    public function form(): array
    {
        return [
            'what' => 'list', 'fields' => $this->set->form(), 'one' => $this->one,
            'empty' => $this->empty, 'least' => $this->least,
        ];
    }

    public function words(): string
    {
        return $this->least > 0 ? "a list of at least {$this->least}" : 'a list';
    }
}
