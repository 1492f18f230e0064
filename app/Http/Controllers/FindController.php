<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Http\Requests\FindRequest;
use App\Models\Building;
use App\Models\User;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Output\Finder;
use Chartula\Core\Problem\Problems;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** The finder: with a building at its scale and gauge, without one at the scale that is said. */
final readonly class FindController
{
    public function anywhere(FindRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $scale = Scale::parse($request->scale(), 'scale');

        return response()->json(Finder::find($request->text(), $scale, Gauge::imperial(), $user->likesImperial(), null));
    }

    public function building(FindRequest $request, Building $building, #[CurrentUser] User $user, DeriveKit $derive): JsonResponse
    {
        [$scale, $gauge] = BuildingReader::scaleAndGauge(JsonText::decode($building->latest()->text), new Problems);
        $sound = $building->lastSound();
        $kit = $sound === null ? null : $derive->kit($sound->text);

        return response()->json(Finder::find($request->text(), $scale, $gauge, $user->likesImperial(), $kit));
    }
}
