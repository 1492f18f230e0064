<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeriveKit;
use App\Models\Building;
use App\Models\User;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Output\Finder;
use Chartula\Core\Problem\Problems;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The finder: with a building at its scale and gauge, without one at the scale that is said. */
final readonly class FindController
{
    public function anywhere(Request $request): JsonResponse
    {
        $input = $request->validate(['text' => ['present', 'string', 'max:200'], 'scale' => ['sometimes', 'string', 'max:60']]);

        return response()->json(Finder::find($input['text'], Scale::parse($input['scale'] ?? '1:76.2', 'scale'), Gauge::imperial(), self::imperial($request), null));
    }

    public function building(Request $request, Building $building, DeriveKit $derive): JsonResponse
    {
        $input = $request->validate(['text' => ['present', 'string', 'max:200']]);
        [$scale, $gauge] = BuildingReader::scaleAndGauge(JsonText::decode($building->latest()->text), new Problems);
        $sound = $building->sound()?->text;
        $answer = is_string($sound) ? json_decode($derive->fromText($sound), true, 512, JSON_THROW_ON_ERROR) : [];
        $kit = is_array($answer) ? ($answer['kit'] ?? null) : null;

        /** @var ?array<string, mixed> $kit */
        return response()->json(Finder::find($input['text'], $scale, $gauge, self::imperial($request), $kit));
    }

    private static function imperial(Request $request): bool
    {
        $user = $request->user();

        return ! $user instanceof User || $user->units === 'imperial';
    }
}
