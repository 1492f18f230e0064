<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use Chartula\Core\Drawing\SightView;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Kit\DryFit\Assembly;
use Illuminate\Http\JsonResponse;

/** What shows of the last sound kit from the operator’s eye; no faces where nobody says where that is. */
final readonly class SightController
{
    public function __invoke(Building $building, DeriveKit $derive): JsonResponse
    {
        $derived = $derive->derivation($building->lastSoundOrFail()->text);
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised()));
        $plot = $derived->building->plot;
        $view = $report === null || $plot === null ? null : SightView::of($plot, $derived->kit, $report);

        return response()->json(
            ($report?->toArray() ?? ['faces' => [], 'lines' => [], 'insides' => [], 'perspectives' => []]) + ['view' => $view],
        );
    }
}
