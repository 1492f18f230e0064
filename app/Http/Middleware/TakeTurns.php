<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\Response;

/**
 * One person is answered so many requests at once, and fewer than there are workers: whoever asks for more at a time waits, and
 * nobody else does. A place is a lock on a file, so that a worker that dies gives it back.
 */
final readonly class TakeTurns
{
    /** As many as a browser asks for at once. */
    public const AT_ONCE = 6;

    /** Seconds after which it may be tried again. */
    private const AGAIN_S = 1;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user()?->id;
        $place = is_int($person) ? self::place($person) : null;
        if ($place === false) {
            return response()->json(
                ['message' => 'Chartula is still busy with what you asked for before. Nothing was done; try again in a moment.'],
                429,
                ['Retry-After' => (string) self::AGAIN_S],
            );
        }
        try {
            $response = $next($request);
        } finally {
            $place === null ? null : fclose($place);
        }

        return $response;
    }

    /** The file of one of a person's places, from 0. */
    public static function file(int $person, int $place): string
    {
        return storage_path("framework/turns/$person.$place");
    }

    /** @return resource|false|null  a place, false where none is free, null where places cannot be kept */
    private static function place(int $person)
    {
        File::ensureDirectoryExists(dirname(self::file($person, 0)), 0700);
        for ($i = 0; $i < self::AT_ONCE; $i++) {
            $file = @fopen(self::file($person, $i), 'c');
            if ($file === false) {
                return null;
            }
            if (flock($file, LOCK_EX | LOCK_NB)) {
                return $file;
            }
            fclose($file);
        }

        return false;
    }
}
