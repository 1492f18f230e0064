<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A tab says for whom it works. Where somebody else has signed in meanwhile, what it kept is not sent as theirs: to that
 * tab it is as if nobody were signed in.
 */
final readonly class SamePerson
{
    public const HEADER = 'X-Chartula-Person';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->header(self::HEADER);
        if (is_string($person) && $person !== (string) $request->user()?->id) {
            return response()->json(['message' => 'Somebody else is signed in here now.'], 401);
        }
        $response = $next($request);

        return $response;
    }
}
