<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Schema\DescribedField;
use Chartula\Core\Building\Schema\DocumentFields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\Node;
use stdClass;

/** What forms do beside setting a field: choosing what decides on other fields, one more of a list, beginning what was not there. */
final readonly class FormEdit
{
    public const OPS = ['choose', 'add-entry', 'begin'];

    private const LONGEST_PATH = 200;

    public static function apply(stdClass $document, string $op, Node $edit): void
    {
        $more = ['choose' => ['value'], 'add-entry' => [], 'begin' => []];
        if (! $edit->isObject(['op', 'path', ...$more[$op] ?? []], $op === 'add-entry' ? ['kind'] : [])) {
            return;
        }
        $path = $edit->get('path')?->text(self::LONGEST_PATH) ?? '';
        $described = DocumentFields::at($document, $path);
        $type = $described?->field->type;
        $isDone = match (true) {
            $described === null => false,
            $op === 'choose' => self::choose($document, $path, $described, $edit->get('value')->value ?? null),
            $op === 'begin' => self::begin($document, $path, $described->field->begins),
            $type instanceof KindListType => self::addKind($document, $path, $edit->get('kind')?->choice(array_keys($type->kinds))),
            default => $type instanceof ListType && self::add($document, $path, $type),
        };
        if (! $isDone) {
            $edit->get('path')?->fault('edit.no-such', ['given' => $path]);
        }
    }

    private static function addKind(stdClass $document, string $path, ?string $kind): bool
    {
        $entries = SetField::get($document, $path) ?? [];

        return $kind !== null && is_array($entries)
            && SetField::put($document, $path, [...array_values($entries), (object) ['kind' => $kind]]);
    }

    private static function begin(stdClass $document, string $path, mixed $begins): bool
    {
        return $begins !== null && SetField::put($document, $path, self::copied($begins));
    }

    /** What nothing may say beside it goes, what it needs begins; whatever only waits stays, for whoever comes back to it. */
    private static function choose(stdClass $document, string $path, DescribedField $described, mixed $value): bool
    {
        if (! SetField::put($document, $path, $value)) {
            return false;
        }
        $beside = substr($path, 0, (int) strrpos($path, '.'));
        foreach ($described->set->fields as $field) {
            if ($field->when?->key !== $described->field->key) {
                continue;
            }
            $there = SetField::get($document, "$beside.{$field->key}");
            $applies = in_array($value, $field->when->values, true);
            $instead = $field->insteadOf === null ? null : SetField::get($document, "$beside.{$field->insteadOf}");
            if ($value === $field->emptiedBy) {
                SetField::put($document, "$beside.{$field->key}", null);
            } elseif ($applies && $there === null && $instead === null && $field->begins !== null) {
                SetField::put($document, "$beside.{$field->key}", self::copied($field->begins));
            } elseif (! $applies && $there !== null && ($field->when->isOffer || $field->when->refusal !== null)) {
                SetField::put($document, "$beside.{$field->key}", null);
            }
        }

        return true;
    }

    private static function add(stdClass $document, string $path, ListType $list): bool
    {
        $entries = SetField::get($document, $path) ?? [];
        if (! is_array($entries)) {
            return false;
        }
        $entries[] = (object) [...self::named($list->set, $list->one, $entries), ...(array) self::copied($list->begun($document))];

        return SetField::put($document, $path, array_values($entries));
    }

    /**
     * @param  array<array-key, mixed>  $others
     * @return array<string, string> an id and a name that none of the others has
     */
    private static function named(FieldSet $set, string $one, array $others): array
    {
        $taken = array_map(static fn (mixed $other): mixed => $other instanceof stdClass ? $other->id ?? null : null, $others);
        $letter = strtolower($one[0]);
        $n = 1;
        while (in_array("$letter$n", $taken, true)) {
            $n++;
        }
        $named = ['id' => "$letter$n", 'name' => $one.' '.(count($others) + 1)];

        return array_filter($named, static fn (string $key): bool => $set->find($key) !== null, ARRAY_FILTER_USE_KEY);
    }

    /** As if it had come in a document. */
    private static function copied(mixed $value): mixed
    {
        return json_decode((string) json_encode($value));
    }
}
