<?php

declare(strict_types=1);

use App\Http\Middleware\SamePerson;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Resources\ProblemsResource;
use Chartula\Core\Problem\InvalidInput;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // What was typed is kept as it was typed; one origin needs no rules for others.
        $middleware->remove([TrimStrings::class, ConvertEmptyStringsToNull::class, HandleCors::class]);
        $middleware->append(SecurityHeaders::class);
        $middleware->alias(['same-person' => SamePerson::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(InvalidInput::class);
        $exceptions->render(
            static fn (InvalidInput $e, Request $request) => (new ProblemsResource($e))->toResponse($request)->setStatusCode(422),
        );
        $exceptions->render(
            static fn (QueryException $e, Request $request) =>
                $request->is('api/*') && str_contains($e->getMessage(), 'SQLSTATE[08')
                    ? response()->json(['message' => 'The database does not answer. Nothing was saved; try again in a moment.'], 503)
                    : null,
        );
    })
    ->create();
