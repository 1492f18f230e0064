<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Models\Building;
use Chartula\Core\Drawing\DryFitView;
use Illuminate\Http\JsonResponse;

/** The dry fit joint by joint. */
final readonly class DryFitController
{
    public function __invoke(Building $building, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $text = $building->lastSoundOrFail()->text;

        return JsonResponse::fromJsonString($kept->of($text, 'dry fit', static function () use ($derive, $text): string {
            $derived = $derive->derivation($text);

            return response()->json(DryFitView::of($derived->serialised(), $derived->dryFit))->content();
        }));
    }
}
