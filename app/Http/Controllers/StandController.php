<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\StandView;
use Illuminate\Http\JsonResponse;

/** The last sound kit as it stands, for the view in space. */
final readonly class StandController
{
    public function __invoke(Building $building, DeriveKit $derive): JsonResponse
    {
        $revision = $building->lastSoundOrFail();
        $plot = BuildingReader::fromText($revision->text)->plot;

        return response()->json(['revision' => $revision->number] + StandView::of($derive->kit($revision->text), $plot));
    }
}
