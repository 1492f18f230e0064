<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Stock\Sizes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A building at other scales, in low relief, and what is sold at its own. */
final readonly class ScaleController
{
    public function table(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['also' => ['sometimes', 'numeric', 'between:1,1000']]);
        $also = is_numeric($input['also'] ?? null) ? [(float) $input['also']] : [];
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');

        return response()->json(ScaleTable::of(JsonText::decode($sound), $also));
    }

    /** The five schools at a depth. */
    public function relief(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['depth' => ['required', 'string', 'max:60']]);
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');
        $read = BuildingReader::fromText($sound);
        $depth = (new LengthText($read->gauge))->parse($input['depth'], 'depth', World::Model);
        $mm = $depth->world === World::Real ? $depth->mm / $read->scale->ratio : $depth->mm;

        return $mm > 0.0 ? response()->json(ReliefTable::of($read, $mm)) : throw InvalidInput::at('depth', 'length.not-above-zero', ['given' => $input['depth']]);
    }

    /** A size on the bench as what it stands for, or a real one as what comes nearest to it. */
    public function material(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['text' => ['required', 'string', 'max:100'], 'world' => ['required', 'in:model,real']]);
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');
        $read = BuildingReader::fromText($sound);
        $isModel = $input['world'] === 'model';
        $length = (new LengthText($read->gauge))->parse($input['text'], 'text', $isModel ? World::Model : World::Real);

        return response()->json($isModel ? Sizes::ofModel($length->mm, $read->scale) : Sizes::nearest($length->mm, $read->scale, $read->methods->stocks()));
    }
}
