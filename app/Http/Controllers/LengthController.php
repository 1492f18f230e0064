<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Chartula\Core\Measure\Reading;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Reads a length while it is being typed: both worlds of it, in both systems, or what is wrong with it. */
final readonly class LengthController
{
    public function __invoke(Request $request): JsonResponse
    {
        $input = $request->validate([
            'text' => ['present', 'string', 'max:100'],
            'scale' => ['required', 'string', 'max:60'],
            'world' => ['sometimes', 'in:real,model'],
            'path' => ['sometimes', 'string', 'max:200'],
            'gauge' => ['sometimes', 'array:brick,course'],
            'gauge.*' => ['string', 'max:60'],
        ]);

        return response()->json(Reading::of($input['text'], $input['scale'], $input['world'] ?? 'real', $input['path'] ?? 'text', $input['gauge'] ?? []));
    }
}
