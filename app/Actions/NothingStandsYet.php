<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Http\JsonResponse;
use RuntimeException;

/** No revision of a building could ever be derived, so there is no kit to show. */
final class NothingStandsYet extends RuntimeException
{
    public function render(): JsonResponse
    {
        return response()->json(['message' => 'Nothing stands yet: no revision of this building is without faults.'], 404);
    }
}
