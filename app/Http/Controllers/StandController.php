<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\StandView;
use Illuminate\Http\JsonResponse;

/** The last sound kit as it stands, for the view in space. */
final readonly class StandController
{
    public function __invoke(Building $building, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $revision = $building->lastSoundOrFail();

        $view = static function () use ($derive, $revision): string {
            $plot = BuildingReader::fromText($revision->text)->plot;

            return response()->json(['revision' => $revision->number] + StandView::of($derive->kit($revision->text), $plot))->content();
        };

        return JsonResponse::fromJsonString($kept->of($revision->text, "stand $revision->number", $view));
    }
}
