<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CompareRevisions;
use App\Actions\FixedPartsWouldChange;
use App\Actions\RevisionConflict;
use App\Actions\SaveRevision;
use App\Http\BuildingAnswer;
use App\Models\Building;
use App\Models\Revision;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * @phpstan-import-type Asked from SaveRevision
 */
final readonly class RevisionController
{
    private const PAGE = 100;

    private const CHANGE = [
        'edits' => ['required_without_all:document,restore,undo,redo', 'array', 'max:200'],
        'document' => ['sometimes', 'string'],
        'restore' => ['sometimes', 'integer', 'min:1'],
        'undo' => ['sometimes', 'boolean'],
        'redo' => ['sometimes', 'boolean'],
        'even_fixed' => ['sometimes', 'boolean'],
    ];

    public function index(Request $request, Building $building): JsonResponse
    {
        $input = $request->validate(['before' => ['sometimes', 'integer', 'min:1']]);
        $revisions = $building->revisions()->select(Revision::SHOWN)->when($input['before'] ?? null, static fn ($query, mixed $before) => $query->where('number', '<', $before))
            ->orderByDesc('number')->limit(self::PAGE)->get();

        return response()->json(['revisions' => $revisions->map(static fn (Revision $r): array => $r->shown())->values(), 'total' => $building->current]);
    }

    /** 201 where it was saved, 200 where it had been saved before, 409 with both versions where the base is another, 428 where fixed parts would change. */
    public function store(Request $request, Building $building, SaveRevision $save, BuildingAnswer $answer): Response|JsonResponse
    {
        $input = $request->validate(['client_id' => ['required', 'uuid'], 'base' => ['required', 'integer', 'min:1']] + self::CHANGE);
        $user = $request->user();
        assert($user instanceof User);
        $before = $building->current;
        try {
            $revision = $save->execute($building, $user, $input['client_id'], (int) $input['base'], self::asked($input));
        } catch (RevisionConflict $e) {
            return response()->json($e->answer(), 409);
        } catch (FixedPartsWouldChange $e) {
            return response()->json(['message' => $e->getMessage(), 'parts' => $e->parts], 428);
        }

        return $answer->of($building->refresh(), $revision, $revision->number > $before ? 201 : 200);
    }

    /** What a change would give; nothing is saved. */
    public function preview(Request $request, Building $building, SaveRevision $save, BuildingAnswer $answer): Response|JsonResponse
    {
        $input = $request->validate(['base' => ['required', 'integer', 'min:1']] + self::CHANGE);
        try {
            return $answer->of($building, $save->preview($building, (int) $input['base'], self::asked($input)));
        } catch (RevisionConflict $e) {
            return response()->json($e->answer(), 409);
        }
    }

    /** Gives a revision a name of its own, and a note of what was learnt from it, or takes them away. */
    public function update(Request $request, Building $building, int $number): JsonResponse
    {
        $input = $request->validate(['name' => ['required_without:note', 'nullable', 'string', 'max:200'], 'note' => ['sometimes', 'nullable', 'string', 'max:4000']]);
        $revision = $building->revision($number);
        $revision->update($input);

        return response()->json(['revision' => $revision->shown()]);
    }

    /** Two revisions side by side: what each gives to draw, and how they differ in description and in parts. */
    public function compare(Building $building, int $from, int $to, CompareRevisions $compare): JsonResponse
    {
        return response()->json($compare->execute($building->revision($from), $building->revision($to)));
    }

    /**
     * @param  array<string, mixed>  $input
     * @return Asked
     */
    private static function asked(array $input): array
    {
        /** @var Asked */
        return array_intersect_key($input, self::CHANGE);
    }
}
