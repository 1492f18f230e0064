<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Difference\Identity;
use Chartula\Core\Field\Node;
use stdClass;

/**
 * Sets the field at a dotted path, making what is missing on the way; null takes the field out. Entries of lists go by their
 * number or by `=` and their id or edge; a point within a key is written `~.`.
 */
final readonly class SetField
{
    private const LONGEST_PATH = 200;

    public static function apply(stdClass $document, Node $edit): void
    {
        if (! $edit->isObject(['op', 'path', 'value'])) {
            return;
        }
        $path = $edit->get('path')?->text(self::LONGEST_PATH);
        if ($path === null || $path === '') {
            return;
        }
        if (! self::put($document, $path, $edit->get('value')?->value)) {
            $edit->get('path')?->fault('edit.no-such', ['given' => $path]);
        }
    }

    /** Sets a field as `apply` does; false where there is no such place. */
    public static function put(stdClass $document, string $path, mixed $value): bool
    {
        return self::set($document, self::keys($path), $value);
    }

    /** What stands at a dotted path; null where nothing does. */
    public static function get(stdClass $document, string $path): mixed
    {
        $value = $document;
        foreach (self::keys($path) as $key) {
            $value = match (true) {
                $value instanceof stdClass => $value->{$key} ?? null,
                is_array($value) => $value[$key] ?? null,
                default => null,
            };
        }

        return $value;
    }

    /** @return non-empty-list<string> */
    private static function keys(string $path): array
    {
        // A character that JSON text never holds stands in for the points within keys.
        return array_map(static fn (string $key): string => str_replace("\0", '.', $key), explode('.', str_replace('~.', "\0", $path)));
    }

    /** @param  non-empty-list<string>  $keys */
    private static function set(mixed &$target, array $keys, mixed $value): bool
    {
        $key = array_shift($keys);
        if (is_array($target)) {
            return self::setEntry($target, $key, $keys, $value);
        }
        if (! $target instanceof stdClass) {
            return false;
        }
        if ($keys === []) {
            if ($value === null) {
                unset($target->{$key});
            } else {
                $target->{$key} = $value;
            }

            return true;
        }
        if (! property_exists($target, $key)) {
            if (ctype_digit($keys[0])) {
                return false;
            }
            $target->{$key} = str_starts_with($keys[0], Identity::MARK) ? [] : new stdClass;
        }

        return self::set($target->{$key}, $keys, $value);
    }

    /**
     * @param  array<array-key, mixed>  $list
     * @param  list<string>  $keys
     */
    private static function setEntry(array &$list, string $key, array $keys, mixed $value): bool
    {
        $isNamed = str_starts_with($key, Identity::MARK);
        $name = substr($key, strlen(Identity::MARK));
        $at = $isNamed ? Identity::find($list, $name) : (ctype_digit($key) && array_key_exists((int) $key, $list) ? (int) $key : null);
        if ($at === null) {
            // An entry by its name may be new; one by its number may not.
            $isNew = $isNamed && $keys === [] && $value instanceof stdClass && Identity::of($value) === $name;
            if ($isNew) {
                $list[] = $value;
            }

            return $isNew;
        }
        if ($keys !== []) {
            return self::set($list[$at], $keys, $value);
        }
        if ($value === null) {
            array_splice($list, $at, 1);
        } else {
            $list[$at] = $value;
        }

        return true;
    }
}
