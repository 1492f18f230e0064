<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use JsonException;
use stdClass;

/**
 * The raw text of a document: decoded with objects kept as objects, refused where a key stands twice, where it is
 * nested too deeply or is too long.
 */
final readonly class JsonText
{
    public const MOST_BYTES = 2_097_152;

    public const MOST_DEPTH = 32;

    /**
     * @return stdClass the document
     *
     * @throws InvalidInput json.*, wrong-type, at the document
     */
    public static function decode(string $text): stdClass
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw InvalidInput::at('', 'json.too-long', ['given' => strlen($text), 'limit' => self::MOST_BYTES]);
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidInput::at('', 'json.encoding');
        }
        try {
            $value = json_decode($text, false, self::MOST_DEPTH + 1, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw $e->getCode() === JSON_ERROR_DEPTH
                ? InvalidInput::at('', 'json.too-deep', ['limit' => self::MOST_DEPTH])
                : InvalidInput::at('', 'json.syntax', ['message' => strtolower($e->getMessage())]);
        }
        if (! $value instanceof stdClass) {
            throw InvalidInput::at('', 'wrong-type', ['given' => Node::typeOf($value), 'wanted' => 'an object']);
        }
        self::refuseDuplicates($text);
        self::refuseInfinite($value, '');

        return $value;
    }

    public static function encode(stdClass $document): string
    {
        return json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** The text of a value without the character NUL, which PostgreSQL's jsonb does not take; words that only spell it stay. */
    public static function withoutNul(string $json): string
    {
        // An escape counts where an even number of backslashes stands before it.
        return (string) preg_replace('/(?<!\\\\)((?:\\\\\\\\)*)\\\\u0000/', '$1', $json);
    }

    /** @throws InvalidInput at the first number that is none: 1e999, or hundreds of digits */
    private static function refuseInfinite(mixed $value, string $path): void
    {
        if (is_float($value) && ! is_finite($value)) {
            throw InvalidInput::at($path, 'number.infinite');
        }
        foreach ($value instanceof stdClass || is_array($value) ? (array) $value : [] as $key => $inner) {
            self::refuseInfinite($inner, self::join($path, (string) $key));
        }
    }

    /** The text is known to be sound JSON, so its tokens suffice. */
    private static function refuseDuplicates(string $text): void
    {
        preg_match_all('/"(?:[^"\\\\]|\\\\.)*+"|[{}\[\],:]/s', $text, $matches);
        /** @var list<string> $paths of the lists and objects that are open */
        $paths = [];
        /** @var list<int|array<string, true>> $seen the index reached in a list, or the keys met in an object */
        $seen = [];
        $problems = [];
        $key = '';
        $tokens = $matches[0];
        foreach ($tokens as $i => $token) {
            $top = count($paths) - 1;
            if ($token === '{' || $token === '[') {
                $paths[] = $top < 0 ? '' : self::join($paths[$top], is_int($seen[$top]) ? (string) $seen[$top] : $key);
                $seen[] = $token === '{' ? [] : 0;
            } elseif ($token === '}' || $token === ']') {
                array_pop($paths);
                array_pop($seen);
            } elseif ($token === ',' && $top >= 0 && is_int($seen[$top])) {
                $seen[$top]++;
            } elseif (($tokens[$i + 1] ?? '') === ':' && $top >= 0 && is_array($seen[$top])) {
                $decoded = json_decode($token);
                $key = is_string($decoded) ? $decoded : '';
                if (isset($seen[$top][$key])) {
                    $problems[] = new Problem(self::join($paths[$top], $key), 'json.duplicate', ['key' => $key]);
                }
                $seen[$top][$key] = true;
            }
        }
        if ($problems !== []) {
            throw new InvalidInput($problems);
        }
    }

    private static function join(string $path, string $key): string
    {
        return $path === '' ? $key : $path.'.'.$key;
    }
}
