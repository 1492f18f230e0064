<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ScalesRequest;
use App\Models\Building;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\ScaleTable;
use Illuminate\Http\JsonResponse;

/** The last sound building at the usual scales. */
final readonly class ScaleTableController
{
    public function __invoke(ScalesRequest $request, Building $building): JsonResponse
    {
        return response()->json(ScaleTable::of(JsonText::decode($building->lastSoundOrFail()->text), $request->also()));
    }
}
