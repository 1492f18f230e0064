<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use Chartula\Core\Drawing\DryFitView;
use Illuminate\Http\JsonResponse;

/** The dry fit joint by joint. */
final readonly class DryFitController
{
    public function __invoke(Building $building, DeriveKit $derive): JsonResponse
    {
        $derived = $derive->derivation($building->lastSoundOrFail()->text);

        return response()->json(DryFitView::of($derived->serialised(), $derived->dryFit));
    }
}
