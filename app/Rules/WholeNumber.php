<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A whole number within limits, and nothing that could be taken for one: in a body a JSON number, in a query up to ten digits. What is
 * empty, true, or too large for the database to hold is none.
 */
final class WholeNumber implements ValidationRule
{
    /** The greatest whole number that a column holds. */
    public const MOST = 2_147_483_647;

    /** An empty text is looked at too. */
    public bool $implicit = true;

    private function __construct(
        private readonly bool $isQuery,
        private readonly int $least,
        private readonly int $most,
    ) {
    }

    public static function inBody(int $least = 1, int $most = self::MOST): self
    {
        return new self(false, $least, $most);
    }

    public static function inQuery(int $least = 1, int $most = self::MOST): self
    {
        return new self(true, $least, $most);
    }

    /** What a text from outside says; null where that is no whole number from 0 to the greatest. */
    public static function read(mixed $text): ?int
    {
        return is_string($text) && preg_match('/^(0|[1-9]\d{0,9})$/D', $text) === 1 && (int) $text <= self::MOST ? (int) $text : null;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $number = $this->isQuery ? self::read($value) : $value;
        if (! is_int($number) || $number < $this->least || $number > $this->most) {
            $fail("The $attribute field must be a whole number from $this->least to $this->most.");
        }
    }
}
