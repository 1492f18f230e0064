<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Chartula\Core\Problem\Problems;
use stdClass;

/**
 * A value of the document with its path. Reading the wrong thing adds a problem and gives null (or the default), so
 * that one pass finds everything that is wrong. No value stands in for a wrong one: callers stop when problems exist.
 */
final readonly class Node
{
    public function __construct(
        public mixed $value,
        public string $path,
        private Problems $problems,
    ) {
    }

    /** What stands in for a value that nobody said: it has no place in the document. */
    public static function usual(mixed $value): self
    {
        return new self($value, '', new Problems);
    }

    public static function typeOf(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value), is_float($value) => 'the number '.$value,
            is_string($value) => 'the text “'.mb_substr($value, 0, 40).'”',
            is_array($value) => 'a list',
            default => 'an object',
        };
    }

    /** @param  array<string, string|int|float>  $facts */
    public function fault(string $code, array $facts = []): void
    {
        $this->problems->add($this->path, $code, $facts);
    }

    /**
     * Checks that this is an object that has the required keys and no unknown ones.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     */
    public function isObject(array $required, array $optional = []): bool
    {
        if (! $this->value instanceof stdClass) {
            return $this->wrongType('an object');
        }
        $known = [...$required, ...$optional];
        foreach (array_keys(get_object_vars($this->value)) as $key) {
            if (! in_array((string) $key, $known, true)) {
                $this->problems->add(
                    $this->childPath((string) $key),
                    'unknown-key',
                    ['key' => mb_substr((string) $key, 0, 40), 'known' => implode(', ', $known)],
                );
            }
        }
        foreach ($required as $key) {
            if (! property_exists($this->value, $key)) {
                $this->problems->add($this->childPath($key), 'missing');
            }
        }

        return true;
    }

    public function missing(string $key): void
    {
        $this->problems->add($this->childPath($key), 'missing');
    }

    /** The value under $key, or null where there is none. */
    public function get(string $key): ?self
    {
        return $this->value instanceof stdClass && property_exists($this->value, $key)
            ? new self($this->value->{$key}, $this->childPath($key), $this->problems)
            : null;
    }

    /** The entry of a list at $i, or null where there is none. */
    public function item(int $i): ?self
    {
        return is_array($this->value) && array_key_exists($i, $this->value)
            ? new self($this->value[$i], $this->childPath((string) $i), $this->problems)
            : null;
    }

    /** @return list<array{string, self}> key and value of each entry of an object whose keys are free */
    public function entries(int $limit): array
    {
        if (! $this->value instanceof stdClass) {
            $this->wrongType('an object');

            return [];
        }
        $entries = [];
        foreach (get_object_vars($this->value) as $key => $value) {
            $entries[] = [(string) $key, new self($value, $this->childPath((string) $key), $this->problems)];
        }
        if (count($entries) > $limit) {
            $this->fault('too-many', ['given' => count($entries), 'limit' => $limit]);

            return [];
        }

        return $entries;
    }

    /** @return list<self> */
    public function items(int $most, int $least = 0): array
    {
        if (! is_array($this->value)) {
            $this->wrongType('a list');

            return [];
        }
        if (count($this->value) > $most) {
            $this->fault('too-many', ['given' => count($this->value), 'limit' => $most]);

            return [];
        }
        if (count($this->value) < $least) {
            $this->fault('too-few', ['given' => count($this->value), 'limit' => $least]);
        }
        $items = [];
        foreach (array_values($this->value) as $i => $value) {
            $items[] = new self($value, $this->childPath((string) $i), $this->problems);
        }

        return $items;
    }

    public function text(int $most): ?string
    {
        if (! is_string($this->value)) {
            $this->wrongType('a text');

            return null;
        }
        if (mb_strlen($this->value) > $most) {
            $this->fault('text-too-long', ['given' => mb_strlen($this->value), 'limit' => $most]);

            return null;
        }

        return $this->value;
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $known
     * @return ?T
     */
    public function choice(array $known): ?string
    {
        foreach ($known as $choice) {
            if ($this->value === $choice) {
                return $choice;
            }
        }
        if (is_string($this->value)) {
            $this->fault('wrong-choice', ['given' => mb_substr($this->value, 0, 40), 'known' => implode(', ', $known)]);
        } else {
            $this->wrongType('one of '.implode(', ', $known));
        }

        return null;
    }

    public function number(): ?float
    {
        if (! is_int($this->value) && (! is_float($this->value) || ! is_finite($this->value))) {
            $this->wrongType('a number');

            return null;
        }

        return (float) $this->value;
    }

    public function whole(int $least, int $most): ?int
    {
        if (! is_int($this->value)) {
            $this->wrongType('a whole number');

            return null;
        }
        if ($this->value < $least || $this->value > $most) {
            $this->fault('number-out-of-range', ['given' => $this->value, 'wanted' => "from $least to $most"]);

            return null;
        }

        return $this->value;
    }

    public function bool(): ?bool
    {
        if (! is_bool($this->value)) {
            $this->wrongType('true or false');

            return null;
        }

        return $this->value;
    }

    public function isEmpty(): bool
    {
        return $this->value === [] || ($this->value instanceof stdClass && get_object_vars($this->value) === []);
    }

    private function wrongType(string $wanted): bool
    {
        $this->fault('wrong-type', ['given' => self::typeOf($this->value), 'wanted' => $wanted]);

        return false;
    }

    private function childPath(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}
