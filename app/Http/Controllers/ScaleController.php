<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Fit\Sight\ForcedPerspective;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Stock\Sizes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a building would be: at other scales, in low relief, from the operator's eye; and what is sold at its scale. */
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

    /** Ways to bring the building to a finished length along one of its walls, least harmful first. */
    public function compromises(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['wall' => ['required', 'string', 'max:80'], 'to' => ['required', 'string', 'max:60']]);
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');
        $read = BuildingReader::fromText($sound);
        $to = (new LengthText($read->gauge))->parse($input['to'], 'to', World::Model);
        $mm = $to->world === World::Real ? $to->mm / $read->scale->ratio : $to->mm;

        return $mm > 0.0 ? response()->json(Compromises::of(JsonText::decode($sound), $input['wall'], $mm)) : throw InvalidInput::at('to', 'length.not-above-zero', ['given' => $input['to']]);
    }

    /** What shows from the operator's eye; no faces where nobody says where that is. */
    public function sight(Building $building, DeriveKit $derive): JsonResponse
    {
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');
        $derived = $derive->derivation($sound);
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised()));

        return response()->json($report?->toArray() ?? ['faces' => [], 'lines' => []]);
    }

    /** A mouth that looks deeper than it is, from the operator's eye. */
    public function perspective(Request $request, Building $building): JsonResponse
    {
        $asked = $request->validate(array_fill_keys(['distance', 'depth', 'apparent', 'width', 'height', 'axis'], ['required', 'string', 'max:60']));
        $sound = $building->revisions()->where('is_sound', true)->orderByDesc('number')->value('text');
        abort_unless(is_string($sound), 404, 'Nothing stands yet.');
        $read = BuildingReader::fromText($sound);
        $mm = [];
        foreach ($asked as $key => $text) {
            $length = (new LengthText($read->gauge))->parse(is_string($text) ? $text : '', $key, World::Model);
            $mm[$key] = $length->world === World::Real ? $length->mm / $read->scale->ratio : $length->mm;
            if ($mm[$key] <= 0.0) {
                throw InvalidInput::at($key, 'length.not-above-zero', ['given' => is_string($text) ? $text : '']);
            }
        }
        if ($mm['apparent'] <= $mm['depth']) {
            throw InvalidInput::at('apparent', 'perspective.no-deeper', ['apparent' => round($mm['apparent'], 2), 'depth' => round($mm['depth'], 2)]);
        }

        return response()->json((new ForcedPerspective($mm['distance'], $mm['depth'], $mm['apparent'], $mm['axis']))->toArray($mm['width'], $mm['height'], $read->scale->ratio));
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
