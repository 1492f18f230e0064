<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateBuilding;
use App\Http\BuildingAnswer;
use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final readonly class BuildingController
{
    public function __construct(private BuildingAnswer $answer)
    {
    }

    /** A new building from its name, or from a document that is imported. */
    public function store(Request $request, Project $project, CreateBuilding $create): Response
    {
        $input = $request->validate([
            'client_id' => ['required', 'uuid'],
            'name' => ['required_without:document', 'string', 'min:1', 'max:200'],
            'document' => ['sometimes', 'string'],
        ]);
        $user = $request->user();
        assert($user instanceof User);
        $building = $create->execute($project, $user, $input['client_id'], $input['document'] ?? null, $input['name'] ?? null);

        return $this->answer->of($building, $building->latest(), 201);
    }

    public function show(Building $building): Response
    {
        return $this->answer->of($building, $building->latest());
    }

    public function destroy(Building $building): JsonResponse
    {
        $building->delete();

        return response()->json(null, 204);
    }
}
