<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Field\Field;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\GroupType;
use Chartula\Core\Field\KindListType;
use Chartula\Core\Field\ListType;

/** The tables of `docs/formats.md`: what every described key holds, and what stands in for it. */
final readonly class FieldTables
{
    private const MARK = '/(<!-- fields: ([a-z-]+) -->\n).*?(<!-- end of fields -->)/s';

    /** A text with every table between its marks as it should be. */
    public static function filled(string $markdown): string
    {
        $sets = [];
        foreach (DocumentFields::places() as $place) {
            $sets[$place->set->name] = $place;
        }

        return (string) preg_replace_callback(
            self::MARK,
            static fn (array $m): string => $m[1].match (true) {
                $m[2] === 'kinds' => self::kinds(),
                isset($sets[$m[2]]) => self::table($sets[$m[2]]),
                default => '',
            }.$m[3],
            $markdown,
        );
    }

    private static function table(FieldPlace $place): string
    {
        $lines = ["| `{$place->path}` | holds | where nothing is said |", '|---|---|---|', ...self::rows($place->set, '')];

        return implode("\n", $lines)."\n";
    }

    /** What is said of every kind of thing, wherever it is. */
    private static function kinds(): string
    {
        $lines = ['| kind and key | holds | where nothing is said |', '|---|---|---|'];
        foreach (Kinds::known()->all() as $kind) {
            $lines[] = "| **`{$kind->name()}`** | {$kind->says()} | |";
            array_push($lines, ...self::rows($kind->fields(), "{$kind->name()} "));
        }

        return implode("\n", $lines)."\n";
    }

    /** @return list<string> */
    private static function rows(FieldSet $set, string $before): array
    {
        $rows = [];
        foreach ($set->fields as $field) {
            $words = [$field->type->words(), ...$field->says === '' ? [] : [$field->says], ...self::when($field)];
            $key = $before.$field->key;
            $rows[] = "| `$key` | ".implode('; ', $words).' | '.self::usual($field).' |';
            if ($field->type instanceof GroupType) {
                array_push($rows, ...self::rows($field->type->set, "$key."));
            } elseif ($field->type instanceof KindListType) {
                // What is said of a kind stands in a table of its own; here only where one is.
                foreach ($field->type->kinds as $kind) {
                    $on = $kind->set->find('on')?->type;
                    array_push($rows, ...$on instanceof GroupType ? self::rows($on->set, "{$key}[] {$kind->kind} on.") : []);
                }
            } elseif ($field->type instanceof ListType) {
                array_push($rows, ...self::rows($field->type->set, "{$key}[]."));
            }
        }

        return $rows;
    }

    /** @return list<string> */
    private static function when(Field $field): array
    {
        $when = $field->when;

        return $when === null || $when->isOffer
            ? []
            : ["where `{$when->key}` is ".implode(' or ', array_map(static fn (string $v): string => "`$v`", $when->values))];
    }

    private static function usual(Field $field): string
    {
        return match (true) {
            $field->isRequired => '**required**',
            $field->default === null || $field->type instanceof GroupType => '',
            default => '`'.json_encode($field->default, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE).'`',
        };
    }
}
