<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Chartula\Core\Problem\InvalidInput;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** No text that is kept has the character NUL in it: the database would cut it off there and say nothing. */
final readonly class RefuseNul
{
    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws InvalidInput at the first text, or the first key, that has one
     */
    public function handle(Request $request, Closure $next): Response
    {
        self::refuse($request->input(), '');

        return $next($request);
    }

    /** @throws InvalidInput */
    private static function refuse(mixed $value, string $path): void
    {
        if (is_string($value) && str_contains($value, "\0")) {
            throw InvalidInput::at($path, 'text.nul');
        }
        foreach (is_array($value) ? $value : [] as $key => $inner) {
            $there = $path === '' ? (string) $key : "$path.$key";
            if (str_contains((string) $key, "\0")) {
                throw InvalidInput::at(str_replace("\0", '', $there), 'text.nul');
            }
            self::refuse($inner, $there);
        }
    }
}
