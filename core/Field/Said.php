<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\ModelLength;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Stock\Stock;

/** What is said of something, by the keys of its FieldSet. Null is what was neither said sound nor has anything usual. */
readonly class Said
{
    /** @param  array<string, mixed>  $values  by key */
    public function __construct(public array $values, public string $path)
    {
    }

    public function real(string $key): ?RealLength
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof RealLength ? $value : null;
    }

    public function model(string $key): ?ModelLength
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof ModelLength ? $value : null;
    }

    public function angle(string $key): ?Angle
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof Angle ? $value : null;
    }

    public function number(string $key): ?float
    {
        $value = $this->values[$key] ?? null;

        return is_float($value) ? $value : null;
    }

    public function count(string $key): ?int
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) ? $value : null;
    }

    public function text(string $key): ?string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : null;
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $known
     * @return ?T
     */
    public function oneOf(string $key, array $known): ?string
    {
        foreach ($known as $one) {
            if ($one === ($this->values[$key] ?? null)) {
                return $one;
            }
        }

        return null;
    }

    public function flag(string $key): bool
    {
        return ($this->values[$key] ?? null) === true;
    }

    public function stock(string $key): ?Stock
    {
        $value = $this->values[$key] ?? null;

        return $value instanceof Stock ? $value : null;
    }

    /** @return list<RealLength> of a pair, or of a list of lengths */
    public function reals(string $key): array
    {
        return self::each($this->values[$key] ?? null, static fn (mixed $one): ?RealLength => $one instanceof RealLength ? $one : null);
    }

    /** @return list<ModelLength> of a pair, or of a list of lengths */
    public function models(string $key): array
    {
        return self::each($this->values[$key] ?? null, static fn (mixed $one): ?ModelLength => $one instanceof ModelLength ? $one : null);
    }

    /** @return list<array{mixed, mixed}> */
    public function pairs(string $key): array
    {
        $pair = static fn (mixed $one): ?array => is_array($one) && count($one) === 2 ? [$one[0], $one[1]] : null;

        return self::each($this->values[$key] ?? null, $pair);
    }

    /** @return array<int, string> by their places */
    public function texts(string $key): array
    {
        $said = $this->values[$key] ?? null;

        $texts = [];
        foreach (is_array($said) ? $said : [] as $i => $one) {
            if (is_int($i) && is_string($one)) {
                $texts[$i] = $one;
            }
        }

        return $texts;
    }

    /** @return list<int> */
    public function counts(string $key): array
    {
        return self::each($this->values[$key] ?? null, static fn (mixed $one): ?int => is_int($one) ? $one : null);
    }

    /** @return list<float> of a pair */
    public function numbers(string $key): array
    {
        return self::each($this->values[$key] ?? null, static fn (mixed $one): ?float => is_float($one) ? $one : null);
    }

    /**
     * @template T
     *
     * @param  callable(mixed): ?T  $read
     * @return list<T>
     */
    protected static function each(mixed $value, callable $read): array
    {
        return is_array($value)
            ? array_values(array_filter(array_map($read, $value), static fn (mixed $one): bool => $one !== null))
            : [];
    }
}
