<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;

/**
 * The examples with one to five places changed at random, by seed: figures a little or much larger, values of another place,
 * values that nobody expects, entries taken out, doubled or put under keys of digits. Most of them are wrong.
 */
final class DocumentMutants
{
    /** Small ones more often than large ones. */
    private const EXAMPLES = ['weigh-office', 'weigh-office', 'weigh-office', 'halt', 'halt', 'creamery', 'ropewalk-row'];

    private const ODD = [
        '', '0', '1', '-1', '1thou', '0mm', '-3mm', '1mm', '40ft', '1e999', 'NaN', '999999mm', 'none', 'hip', 'gable', 'lean-to',
        'mansard', 'flat', 'half-hip', 'mitre', 'butt', 'wall', 'auto', 'front', 'main', '1:1', '1:1000', '120co', '12345.678mm', '5/16in',
        '13ft 7 1/4in', 0, 1, -1, 2, 7, 89.9, 90, 179, 37.5, 1e10, 1e-9, -45, INF, true, false, null, [], [[]],
    ];

    private const TIMES = [0.01, 0.1, 0.5, 0.7, 0.83, 0.9, 0.97, 1.01, 1.03, 1.1, 1.2, 1.37, 2.0, 10.0, -1.0];

    private readonly Randomizer $random;

    private stdClass $document;

    private function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        /** @var stdClass $document */
        $document = json_decode(Kits::exampleText($this->pick(self::EXAMPLES)), false, 512, JSON_THROW_ON_ERROR);
        $this->document = $document;
    }

    public static function text(int $seed): string
    {
        $mutant = new self($seed);
        for ($i = 0, $n = $mutant->pick([1, 1, 1, 2, 2, 3, 5]); $i < $n; $i++) {
            $mutant->change();
        }

        // INF has no name in JSON; this reads back as it.
        return str_replace('"INF"', '1e999', json_encode($mutant->document, JSON_THROW_ON_ERROR));
    }

    private function change(): void
    {
        $places = self::places($this->document, []);
        $place = $this->pick($places);
        $value = self::at($this->document, $place);
        match ($this->random->getInt(0, 9)) {
            0, 1, 2, 3 => $this->put($place, $this->otherFigure($value)),
            4 => $this->put($place, $this->odd()),
            5 => $this->put($place, self::at($this->document, $this->pick($places))),
            6 => $this->take($place),
            7 => $this->put([...array_slice($place, 0, -1), (string) $this->random->getInt(0, 20)], $value),
            default => $this->put($place, $this->ofSameKey($places, $place)),
        };
    }

    private function otherFigure(mixed $value): mixed
    {
        $times = $this->pick(self::TIMES);
        if (is_string($value) && preg_match('/^-?\d+(\.\d+)?/', $value, $figure) === 1) {
            return ((float) $figure[0] * $times).substr($value, strlen($figure[0]));
        }

        return is_int($value) || is_float($value) ? $value * $times : $this->odd();
    }

    private function odd(): mixed
    {
        $odd = $this->pick(self::ODD);

        return $odd === INF ? 'INF' : $odd;
    }

    /**
     * @param  non-empty-list<non-empty-list<string>>  $places
     * @param  non-empty-list<string>  $place
     */
    private function ofSameKey(array $places, array $place): mixed
    {
        $key = array_slice($place, -1);
        $same = array_values(array_filter($places, static fn (array $p): bool => array_slice($p, -1) === $key));

        return self::at($this->document, $this->pick($same === [] ? [$place] : $same));
    }

    /**
     * @param  list<string>  $path
     * @return non-empty-list<non-empty-list<string>> the way to every value inside one, deepest last
     */
    private static function places(mixed $value, array $path): array
    {
        $places = [];
        foreach (is_array($value) || $value instanceof stdClass ? (array) $value : [] as $key => $inner) {
            $way = [...$path, (string) $key];
            $places[] = $way;
            array_push($places, ...(is_array($inner) || $inner instanceof stdClass ? self::inside($inner, $way) : []));
        }

        return $places === [] ? [['name']] : $places;
    }

    /**
     * @param  array<mixed>|stdClass  $value
     * @param  list<string>  $path
     * @return list<non-empty-list<string>>
     */
    private static function inside(array|stdClass $value, array $path): array
    {
        return (array) $value === [] ? [] : self::places($value, $path);
    }

    /** @param  list<string>  $path */
    private static function at(mixed $value, array $path): mixed
    {
        foreach ($path as $key) {
            $value = ((array) $value)[$key] ?? null;
        }

        return is_array($value) || $value instanceof stdClass ? json_decode((string) json_encode($value)) : $value;
    }

    /** @param  non-empty-list<string>  $path */
    private function put(array $path, mixed $value): void
    {
        $this->document = (object) self::with(
            $this->document,
            $path,
            static fn (array $in, string $key): array => [$key => $value] + $in,
        );
    }

    /** @param  non-empty-list<string>  $path */
    private function take(array $path): void
    {
        $this->document = (object) self::with(
            $this->document,
            $path,
            static fn (array $in, string $key): array => array_diff_key($in, [$key => true]),
        );
    }

    /**
     * @param  array<mixed>|stdClass  $in
     * @param  non-empty-list<string>  $path
     * @param  callable(array<mixed>, string): array<mixed>  $change
     * @return array<mixed>|stdClass
     */
    private static function with(array|stdClass $in, array $path, callable $change): array|stdClass
    {
        $key = array_shift($path);
        $entries = (array) $in;
        $inner = $entries[$key] ?? null;
        if ($path === []) {
            $entries = $change($entries, $key);
        } elseif (is_array($inner) || $inner instanceof stdClass) {
            $entries[$key] = self::with($inner, $path, $change);
        }
        if ($in instanceof stdClass) {
            return (object) $entries;
        }
        ksort($entries);

        return array_values($entries);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $from
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, count($from) - 1)];
    }
}
