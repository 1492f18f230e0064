<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Http\Requests\SectionRequest;
use App\Models\Building;
use Chartula\Core\Drawing\SectionView;
use Chartula\Core\Geometry\Vec3;
use Illuminate\Http\JsonResponse;

/** The last sound kit cut through where one asks. */
final readonly class SectionController
{
    public function __invoke(SectionRequest $request, Building $building, DeriveKit $derive, KeptFiles $kept): JsonResponse
    {
        $revision = $building->lastSoundOrFail();
        [$point, $normal] = $request->isFromTheRight()
            ? [new Vec3($request->at(), 0.0, 0.0), new Vec3(1.0, 0.0, 0.0)]
            : [new Vec3(0.0, $request->at(), 0.0), new Vec3(0.0, -1.0, 0.0)];

        $what = "section $revision->number ".json_encode([$request->isFromTheRight(), $request->at()]);

        return JsonResponse::fromJsonString($kept->of($revision->text, $what, static fn (): string => response()->json(
            ['revision' => $revision->number] + SectionView::cut($derive->printed($revision->text)->kit, $point, $normal),
        )->content()));
    }
}
