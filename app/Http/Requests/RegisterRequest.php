<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** A new account. */
final class RegisterRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:200'],
            // No more of it than this is hashed.
            'password' => ['required', 'string', 'min:10', self::within(72)],
        ];
    }

    /** @return Closure(string, mixed, Closure): void */
    private static function within(int $bytes): Closure
    {
        return static function (string $field, mixed $value, Closure $fail) use ($bytes): void {
            if (is_string($value) && strlen($value) > $bytes) {
                $fail("A password may be up to $bytes letters long; letters with accents count as two or more.");
            }
        };
    }

    public function email(): string
    {
        return $this->string('email')->lower()->value();
    }
}
