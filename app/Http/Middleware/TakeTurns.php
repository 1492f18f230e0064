<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\Response;

/**
 * One person is answered so many requests at once, and fewer than there are workers: whoever asks for more at a time waits, and
 * nobody else does. A place is a lock on a file, so that a worker that dies gives it back. What a browser has given up asking for is
 * still being made, so that it may ask for a little more than it waits for: that waits for a place, on few workers and not for long.
 */
final readonly class TakeTurns
{
    /** As many as a browser asks for at once. */
    public const AT_ONCE = 6;

    /** So many more may wait for a place; with these too a person holds fewer workers than there are. */
    public const WAITING = 2;

    /** Seconds after which one that waits is put off. */
    private const PATIENCE_S = 3.0;

    private const LOOK_US = 20_000;

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

    /** The file of one of a person's places, from 0; those that wait come after AT_ONCE. People are numbered by their database. */
    public static function file(int $person, int $place): string
    {
        $database = config()->string('database.connections.'.config()->string('database.default').'.database');

        return storage_path("framework/turns/$database/$person.$place");
    }

    /** @return resource|false|null  a place, false where none comes free, null where places cannot be kept */
    private static function place(int $person)
    {
        File::ensureDirectoryExists(dirname(self::file($person, 0)), 0700);
        $place = self::free($person, 0, self::AT_ONCE);
        $seat = $place === false ? self::free($person, self::AT_ONCE, self::WAITING) : false;
        if (! is_resource($seat)) {
            return $place;
        }
        for ($until = microtime(true) + self::PATIENCE_S; $place === false && microtime(true) < $until;) {
            usleep(self::LOOK_US);
            $place = self::free($person, 0, self::AT_ONCE);
        }
        fclose($seat);

        return $place;
    }

    /** @return resource|false|null  the first of so many that is free, false where none is, null where places cannot be kept */
    private static function free(int $person, int $from, int $count)
    {
        for ($i = $from; $i < $from + $count; $i++) {
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
