<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Schema;

use Chartula\Core\Field\FieldSet;
use LogicException;
use stdClass;

/** `docs/schema/building.schema.json`: a frame written by hand, with every set of fields in its place. */
final readonly class DocumentSchema
{
    /**
     * @param  string  $frame  `docs/schema/building.frame.json`, with `{"$fields": NAME}` where a set of fields belongs, and
     *     `{"$field": NAME.KEY}` where one of them does
     */
    public static function of(string $frame): string
    {
        $sets = [];
        foreach (DocumentFields::places() as $place) {
            $sets[$place->set->name] = $place->set;
        }
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;
        $text = json_encode(self::filled(json_decode($frame, false, 512, JSON_THROW_ON_ERROR), $sets), $flags);

        // Nobody indents by four in a file of a thousand lines.
        return preg_replace_callback('/^ +/m', static fn (array $m): string => str_repeat(' ', intdiv(strlen($m[0]), 4)), $text)."\n";
    }

    /** @param  array<string, FieldSet>  $sets */
    private static function filled(mixed $value, array $sets): mixed
    {
        if (is_array($value)) {
            return array_map(static fn (mixed $one): mixed => self::filled($one, $sets), $value);
        }
        if (! $value instanceof stdClass) {
            return $value;
        }
        $name = $value->{'$fields'} ?? null;
        if (is_string($name)) {
            return ($sets[$name] ?? throw new LogicException("The schema asks for the fields of $name"))->schema();
        }
        $field = $value->{'$field'} ?? null;
        if (is_string($field)) {
            [$name, $key] = explode('.', $field);

            return ($sets[$name] ?? null)?->find($key)?->schema() ?? throw new LogicException("The schema asks for the field $field");
        }

        return (object) array_map(static fn (mixed $one): mixed => self::filled($one, $sets), get_object_vars($value));
    }
}
