<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Chartula\Core\Building\StarterShape;
use Chartula\Core\Drawing\StarterPlan;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Cache;

/** The shapes that a new building may begin with, each with its roofs in plan, worked out once for each core version. */
final readonly class StarterShapeController
{
    public function __invoke(): JsonResponse
    {
        $key = 'shapes.'.config()->string('chartula.core_version');

        return response()->json(['shapes' => Cache::rememberForever($key, static fn (): array => array_map(
            static fn (StarterShape $shape): array => [
                'id' => $shape->value,
                'title' => $shape->title(),
                'about' => $shape->about(),
                'plan' => StarterPlan::of($shape),
            ],
            StarterShape::cases(),
        ))]);
    }
}
