<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

/** What was read of an object of a document by its FieldSet, with the place where it was said. */
final readonly class Fields extends Said
{
    /** @param  array<string, mixed>  $values  by key */
    public function __construct(public Node $node, array $values)
    {
        parent::__construct($values, $node->path);
    }

    /** The same without the document that it came from. */
    public function said(): Said
    {
        $values = [];
        foreach ($this->values as $key => $value) {
            $values[$key] = self::bare($value);
        }

        return new Said($values, $this->path);
    }

    public function group(string $key): ?self
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof self ? $value : null;
    }

    /** @return list<self> */
    public function list(string $key): array
    {
        return self::each($this->values[$key] ?? null, static fn (mixed $one): ?self => $one instanceof self ? $one : null);
    }

    /** What only its own reader can read. */
    public function raw(string $key): ?Node
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof Node ? $value : null;
    }

    /** Whether whatever is said under these keys could be read. */
    public function areSound(string ...$keys): bool
    {
        return array_filter($keys, fn (string $key): bool => $this->at($key) !== null && ! isset($this->values[$key])) === [];
    }

    /** The value as the document says it, for what has to be said of it; null where it is not said. */
    public function at(string $key): ?Node
    {
        return $this->node->get($key);
    }

    private static function bare(mixed $value): mixed
    {
        return match (true) {
            $value instanceof self => $value->said(),
            is_array($value) => array_map(self::bare(...), $value),
            default => $value,
        };
    }
}
