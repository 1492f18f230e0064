<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;
use stdClass;

/** Takes one thing after the other out of a failing document, as long as it goes on failing. */
final class LeastDocument
{
    /** A derivation takes some hundredths of a second; this many take some ten seconds at most. */
    private const MOST_TRIES = 300;

    private int $tries = 0;

    /** @param  Closure(stdClass): bool  $fails */
    private function __construct(
        private stdClass $document,
        private readonly Closure $fails,
    ) {
    }

    /** @param  Closure(stdClass): ?string  $wrong  what is wrong with a document, or null */
    public static function of(stdClass $document, Closure $wrong): stdClass
    {
        // Another fault on the way would lead to another document.
        $fault = self::withoutNames((string) $wrong(self::copy($document)));
        $least = new self(self::copy($document), static fn (stdClass $d): bool => self::withoutNames((string) $wrong($d)) === $fault);
        do {
            $before = json_encode($least->document);
            $least->takeOut([]);
        } while (json_encode($least->document) !== $before && $least->tries < self::MOST_TRIES);

        return $least->document;
    }

    /** A sentence without its figures and names of parts. */
    private static function withoutNames(string $sentence): string
    {
        return (string) preg_replace('/[\w-]+(\.[\w-]+)+|[\d.]+/', '#', $sentence);
    }

    public static function copy(stdClass $document): stdClass
    {
        $copy = json_decode((string) json_encode($document));
        assert($copy instanceof stdClass);

        return $copy;
    }

    /** @param  list<string|int>  $path  to a list or an object of the document */
    private function takeOut(array $path): void
    {
        foreach (array_reverse(array_keys((array) self::at($this->document, $path))) as $key) {
            if ($this->tries >= self::MOST_TRIES) {
                return;
            }
            $without = self::without($this->document, [...$path, $key]);
            $this->tries++;
            if (($this->fails)(self::copy($without))) {
                $this->document = $without;

                continue;
            }
            $inner = self::at($this->document, [...$path, $key]);
            if (is_array($inner) || $inner instanceof stdClass) {
                $this->takeOut([...$path, $key]);
            }
        }
    }

    /** @param  list<string|int>  $path */
    private static function at(mixed $value, array $path): mixed
    {
        foreach ($path as $key) {
            $value = ((array) $value)[$key] ?? null;
        }

        return $value;
    }

    /** @param  non-empty-list<string|int>  $path */
    private static function without(stdClass $document, array $path): stdClass
    {
        $copy = self::shortened($document, $path);

        return $copy instanceof stdClass ? self::copy($copy) : $document;
    }

    /** @param  non-empty-list<string|int>  $path */
    private static function shortened(mixed $value, array $path): mixed
    {
        $isList = is_array($value);
        $entries = (array) $value;
        $key = array_shift($path);
        if ($path === []) {
            unset($entries[$key]);
        } else {
            $entries[$key] = self::shortened($entries[$key] ?? null, $path);
        }

        return $isList ? array_values($entries) : (object) $entries;
    }
}
