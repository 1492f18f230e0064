<?php

declare(strict_types=1);

use App\Http\Database;
use App\Http\Middleware\SamePerson;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\TakeTurns;
use App\Http\Resources\ProblemsResource;
use Chartula\Core\Problem\InvalidInput;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // What was typed is kept as it was typed; one origin needs no rules for others.
        $middleware->remove([TrimStrings::class, ConvertEmptyStringsToNull::class, HandleCors::class]);
        $middleware->append(SecurityHeaders::class);
        $middleware->alias(['same-person' => SamePerson::class, 'turns' => TakeTurns::class]);
        $middleware->redirectGuestsTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->dontReport(InvalidInput::class);
        $exceptions->render(
            static fn (InvalidInput $e, Request $request) => (new ProblemsResource($e))->toResponse($request)->setStatusCode(422),
        );
        $exceptions->render(static fn (PDOException $e, Request $request) => match (true) {
            ! $request->is('api/*') => null,
            Database::isAway($e) => response()->json(['message' => 'The database does not answer. Nothing was saved; try again in a moment.'], 503),
            Database::takesNothing($e) => response()->json(
                ['message' => 'Nothing was saved: the database is full, or may not be written to. What is there can be read; whoever looks after this place must make room.', 'code' => 'takes-nothing'],
                503,
            ),
            default => null,
        });
        // What is somebody else's and what is not there are told in the same words.
        $exceptions->render(static fn (HttpExceptionInterface $e, Request $request) => $request->is('api/*') && $e->getStatusCode() === 404
            ? response()->json(['message' => $e->getPrevious() instanceof ModelNotFoundException || $e->getMessage() === '' ? 'Not Found' : $e->getMessage()], 404)
            : null);
    })
    ->create();
