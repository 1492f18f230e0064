<?php

declare(strict_types=1);

namespace App\Cli;

use RuntimeException;

/** The words after a verb: one file, options that each take a value, and flags that take none. */
final readonly class Options
{
    /**
     * @param  array<string, string>  $values
     * @param  list<string>  $flags
     */
    private function __construct(
        public string $file,
        private array $values,
        private array $flags,
    ) {
    }

    /**
     * @param  list<string>  $words
     * @param  list<string>  $known  options with a value
     * @param  list<string>  $flags
     *
     * @throws RuntimeException where a word is not understood
     */
    public static function read(array $words, array $known, array $flags = []): self
    {
        $file = null;
        $values = $set = [];
        while ($words !== []) {
            $word = array_shift($words);
            if (in_array($word, $known, true)) {
                $values[$word] = array_shift($words) ?? throw new RuntimeException("$word needs a value");
            } elseif (in_array($word, $flags, true)) {
                $set[] = $word;
            } elseif ($file === null && ($word === '-' || ! str_starts_with($word, '--'))) {
                $file = $word;
            } else {
                throw new RuntimeException("“{$word}” is not understood; see chartula --help");
            }
        }

        return new self($file ?? throw new RuntimeException('a FILE is needed; see chartula --help'), $values, $set);
    }

    public function has(string $flag): bool
    {
        return in_array($flag, $this->flags, true);
    }

    public function value(string $option): ?string
    {
        return $this->values[$option] ?? null;
    }

    public function number(string $option, float $usual, float $least, float $most): float
    {
        $text = $this->value($option);
        if ($text === null) {
            return $usual;
        }
        if (! is_numeric($text) || (float) $text < $least || (float) $text > $most) {
            throw new RuntimeException("$option must be a number from $least to $most, not “{$text}”");
        }

        return (float) $text;
    }

    /** @param  resource  $in */
    public function contents(mixed $in): string
    {
        $text = $this->file === '-'
            ? stream_get_contents($in)
            : (is_file($this->file) && is_readable($this->file) ? file_get_contents($this->file) : false);

        return $text === false ? throw new RuntimeException("$this->file cannot be read") : $text;
    }
}
