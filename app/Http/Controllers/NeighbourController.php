<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Models\Building;
use Chartula\Core\Fit\Plot\AsNeighbour;
use Chartula\Core\Kit\DryFit\Assembly;
use Illuminate\Http\JsonResponse;

/** The last sound state of a building as another takes it for its neighbour. */
final readonly class NeighbourController
{
    public function __invoke(Building $building, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $revision = $building->lastSoundOrFail();
        $what = "neighbour $revision->number $building->name";

        $make = static function () use ($building, $derive, $revision): string {
            $derived = $derive->derivation($revision->text);

            return response()->json([
                'building' => $building->id, 'name' => $building->name, 'revision' => $revision->number,
                'blocks' => AsNeighbour::of($derived->kit, Assembly::of($derived->serialised())),
            ])->content();
        };

        return JsonResponse::fromJsonString($kept->of($revision->text, $what, $make));
    }
}
