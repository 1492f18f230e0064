<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\StandView;
use Illuminate\Http\JsonResponse;

/** The last sound kit as it stands, for the view in space. */
final readonly class StandController
{
    public function __invoke(Building $building, DeriveKit $derive): JsonResponse
    {
        $revision = $building->sound();
        abort_if(! $revision instanceof Revision, 404, 'Nothing stands yet.');
        $answer = json_decode($derive->fromText($revision->text), true, 512, JSON_THROW_ON_ERROR);

        /** @var array{kit: array<string, mixed>} $answer */
        return response()->json(['revision' => $revision->number] + StandView::of($answer['kit'], BuildingReader::fromText($revision->text)->plot));
    }
}
