<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use App\Models\Revision;
use Chartula\Core\Drawing\SectionView;
use Chartula\Core\Geometry\Vec3;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The last sound kit cut through where one asks. */
final readonly class SectionController
{
    public function __invoke(Request $request, Building $building, DeriveKit $derive): JsonResponse
    {
        $asked = $request->validate(['across' => ['required', 'in:x,y'], 'at' => ['required', 'numeric', 'between:-100000,100000']]);
        $revision = $building->sound();
        abort_if(! $revision instanceof Revision, 404, 'Nothing stands yet.');
        $at = is_numeric($asked['at']) ? (float) $asked['at'] : 0.0;
        // Looked at from the right, or from the front.
        [$point, $normal] = $asked['across'] === 'x' ? [new Vec3($at, 0.0, 0.0), new Vec3(1.0, 0.0, 0.0)] : [new Vec3(0.0, $at, 0.0), new Vec3(0.0, -1.0, 0.0)];

        return response()->json(['revision' => $revision->number] + SectionView::cut($derive->derivation($revision->text)->kit, $point, $normal));
    }
}
