<?php

declare(strict_types=1);

namespace App\Http;

use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Http\JsonResponse;

/** Faults of what was sent, as one shape for all of them: a path, a code and a sentence each. */
final readonly class ProblemResponse
{
    public static function of(InvalidInput $e): JsonResponse
    {
        return response()->json([
            'message' => 'This cannot be used as it is.',
            'problems' => array_map(static fn (Problem $p): array => $p->toArray(), $e->problems),
        ], 422);
    }
}
