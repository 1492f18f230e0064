<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\SightView;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Stock\Sizes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What the last sound building would be: at other scales, in low relief, shorter, from the operator's eye; and what is sold at its scale. */
final readonly class ScaleController
{
    private const LENGTH = ['required', 'string', 'max:60'];

    public function table(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['also' => ['sometimes', 'numeric', 'between:1,1000']]);
        $also = is_numeric($input['also'] ?? null) ? [(float) $input['also']] : [];

        return response()->json(ScaleTable::of(JsonText::decode(self::sound($building)), $also));
    }

    /** The five schools at a depth. */
    public function relief(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['depth' => self::LENGTH]);
        $read = BuildingReader::fromText(self::sound($building));

        return response()->json(ReliefTable::of($read, self::length($read, $input['depth'], 'depth', World::Model)));
    }

    /** Ways to bring the building to a finished size, least harmful first; to what its plot has room for, where none is asked. */
    public function compromises(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['wall' => ['sometimes', 'string', 'max:80']] + array_fill_keys(Targets::DIRECTIONS, ['sometimes', 'string', 'max:60']));
        $text = self::sound($building);
        $read = BuildingReader::fromText($text);
        [$across, $deep, $high] = array_map(static fn (string $key): ?float => isset($input[$key]) ? self::length($read, $input[$key], $key, World::Model) : null, Targets::DIRECTIONS);

        return response()->json(Compromises::of(JsonText::decode($text), $across === null && $deep === null && $high === null ? null : new Targets($across, $deep, $high), $input['wall'] ?? null));
    }

    /** What shows from the operator's eye; no faces where nobody says where that is. */
    public function sight(Building $building, DeriveKit $derive): JsonResponse
    {
        $derived = $derive->derivation(self::sound($building));
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised()));

        $view = $report === null || $derived->building->plot === null ? null : SightView::of($derived->building->plot, $derived->kit, $report);

        return response()->json(($report?->toArray() ?? ['faces' => [], 'lines' => [], 'perspectives' => []]) + ['view' => $view]);
    }

    /** A size on the bench as what it stands for, or a real one as what comes nearest to it. */
    public function material(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['text' => ['required', 'string', 'max:100'], 'world' => ['required', 'in:model,real']]);
        $read = BuildingReader::fromText(self::sound($building));

        return response()->json($input['world'] === 'model' ? Sizes::ofModel(self::length($read, $input['text'], 'text', World::Model), $read->scale)
            : Sizes::nearest(self::length($read, $input['text'], 'text', World::Real), $read->scale, $read->methods->stocks()));
    }

    private static function sound(Building $building): string
    {
        $text = $building->sound()?->text;
        abort_if($text === null, 404, 'Nothing stands yet.');

        return $text;
    }

    /** @throws InvalidInput at $path where it is no length above 0 */
    private static function length(Described $read, mixed $text, string $path, World $native): float
    {
        $mm = (new LengthText($read->gauge))->parse(is_string($text) ? $text : '', $path, $native)->in($native, $read->scale);

        return $mm > 0.0 ? $mm : throw InvalidInput::at($path, 'length.not-above-zero', ['given' => is_string($text) ? $text : '']);
    }
}
