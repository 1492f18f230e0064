<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Difference;

use Chartula\Core\Building\Footprint;
use stdClass;

/**
 * What an entry of a list is known by: its id, the edge it stands on, the corner it is at, or else its kind; a step of the compression by
 * what it does, and where.
 */
final readonly class Identity
{
    /** Stands before a name in a path, so that an entry called 1 is not taken for the second entry. */
    public const MARK = '=';

    public static function of(mixed $entry): ?string
    {
        if (! $entry instanceof stdClass) {
            return null;
        }
        if (is_string($entry->op ?? null)) {
            return implode(' ', array_filter([$entry->op, $entry->block ?? null, $entry->edge ?? null], is_string(...)));
        }
        foreach (['id', 'edge', 'vertex', 'kind'] as $key) {
            $value = $entry->{$key} ?? null;
            if ($key === 'edge' && is_int($value)) {
                return Footprint::RECT[$value] ?? (string) $value;
            }
            if (is_string($value) || is_int($value)) {
                return (string) $value;
            }
        }

        return null;
    }

    /**
     * The entries by what they are known by; null where some have no name or share one.
     *
     * @param  array<array-key, mixed>  $list
     * @return ?array<array-key, mixed>
     */
    public static function keyed(array $list): ?array
    {
        $keyed = [];
        foreach ($list as $entry) {
            $name = self::of($entry);
            if ($name === null || array_key_exists($name, $keyed)) {
                return null;
            }
            $keyed[$name] = $entry;
        }

        return $keyed;
    }

    /** @param  array<array-key, mixed>  $list */
    public static function find(array $list, string $name): ?int
    {
        foreach (array_values($list) as $i => $entry) {
            if (self::of($entry) === $name) {
                return $i;
            }
        }

        return null;
    }
}
