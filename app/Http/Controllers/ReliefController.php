<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ReliefRequest;
use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Illuminate\Http\JsonResponse;

/** The last sound building in low relief, by each of the five schools. */
final readonly class ReliefController
{
    public function __invoke(ReliefRequest $request, Building $building): JsonResponse
    {
        $read = BuildingReader::fromText($building->lastSoundOrFail()->text);
        $depth = (new LengthText($read->gauge))->aboveZero($request->depth(), 'depth', World::Model, $read->scale);

        return response()->json(ReliefTable::of($read, $depth));
    }
}
