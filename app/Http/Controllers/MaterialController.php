<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MaterialRequest;
use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Chartula\Core\Stock\Sizes;
use Illuminate\Http\JsonResponse;

/** A size on the bench as what it stands for, or a real one as what is sold nearest to it. */
final readonly class MaterialController
{
    public function __invoke(MaterialRequest $request, Building $building): JsonResponse
    {
        $read = BuildingReader::fromText($building->lastSoundOrFail()->text);
        $size = (new LengthText($read->gauge))->aboveZero($request->text(), 'text', $request->world(), $read->scale);

        return response()->json($request->world() === World::Model
            ? Sizes::ofModel($size, $read->scale)
            : Sizes::nearest($size, $read->scale, $read->methods->stocks()));
    }
}
