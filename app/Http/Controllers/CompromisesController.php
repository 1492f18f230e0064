<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CompromisesRequest;
use App\Models\Building;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Illuminate\Http\JsonResponse;

/** Ways to bring the last sound building to a finished size, least harmful first; to what its plot has room for, where none is asked. */
final readonly class CompromisesController
{
    public function __invoke(CompromisesRequest $request, Building $building): JsonResponse
    {
        $text = $building->lastSoundOrFail()->text;
        $targets = self::targets($request, BuildingReader::fromText($text));

        return response()->json(Compromises::of(JsonText::decode($text), $targets, $request->wishes()));
    }

    private static function targets(CompromisesRequest $request, Described $read): ?Targets
    {
        $lengths = new LengthText($read->gauge);
        [$across, $deep, $high] = array_map(static function (string $direction) use ($request, $read, $lengths): ?float {
            $text = $request->towards($direction);

            return $text === null ? null : $lengths->aboveZero($text, $direction, World::Model, $read->scale);
        }, Targets::DIRECTIONS);

        return $across === null && $deep === null && $high === null ? null : new Targets($across, $deep, $high);
    }
}
