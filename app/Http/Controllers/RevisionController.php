<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CompareRevisions;
use App\Actions\SaveRevision;
use App\Http\Requests\ChangeRequest;
use App\Http\Requests\ListRevisionsRequest;
use App\Http\Requests\NameRevisionRequest;
use App\Http\Requests\SaveRevisionRequest;
use App\Http\Resources\BuildingResource;
use App\Http\Resources\RevisionResource;
use App\Models\Building;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The states of a building, one after the other. */
final readonly class RevisionController
{
    private const PAGE = 100;

    public function index(ListRevisionsRequest $request, Building $building): JsonResponse
    {
        $revisions = $building->revisions()->select(RevisionResource::COLUMNS)->orderByDesc('number')->limit(self::PAGE);
        if ($request->before() !== null) {
            $revisions->where('number', '<', $request->before());
        }

        return response()->json(['revisions' => RevisionResource::collection($revisions->get()), 'total' => $building->current]);
    }

    /** 201 where it was saved, 200 where it had been saved before. */
    public function store(
        SaveRevisionRequest $request,
        Building $building,
        #[CurrentUser] User $user,
        SaveRevision $save,
        BuildingResource $answer,
    ): Response {
        $before = $building->current;
        $revision = $save->execute($building, $user, $request);

        return $answer->of($building->refresh(), $revision, $revision->number > $before ? 201 : 200);
    }

    /** What a change would give; nothing is saved. */
    public function preview(ChangeRequest $request, Building $building, SaveRevision $save, BuildingResource $answer): Response
    {
        return $answer->of($building, $save->preview($building, $request->base(), $request->change()));
    }

    /** Gives a revision a name of its own, and a note of what was learnt from it, or takes them away. */
    public function update(NameRevisionRequest $request, Building $building, int $number): JsonResponse
    {
        $revision = $building->revision($number);
        $revision->update($request->validated());

        return response()->json(['revision' => new RevisionResource($revision)]);
    }

    /** Two revisions side by side: what each gives to draw, and how they differ in description and in parts. */
    public function compare(Building $building, int $from, int $to, CompareRevisions $compare): JsonResponse
    {
        return response()->json($compare->execute($building->revision($from), $building->revision($to)));
    }
}
