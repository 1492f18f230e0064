<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LengthsRequest;
use Chartula\Core\Measure\Reading;
use Illuminate\Http\JsonResponse;

/** Reads lengths while they are typed: both worlds of each, in both systems, or what is wrong with it. */
final readonly class LengthController
{
    public function __invoke(LengthsRequest $request): JsonResponse
    {
        return response()->json(['readings' => Reading::all($request->lengths(), $request->scale(), $request->gauge())]);
    }
}
