<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CreateBuilding;
use App\Http\Requests\StoreBuildingRequest;
use App\Http\Resources\BuildingResource;
use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;

/** Buildings of a project. */
final readonly class BuildingController
{
    public function __construct(private BuildingResource $answer)
    {
    }

    public function store(StoreBuildingRequest $request, Project $project, #[CurrentUser] User $user, CreateBuilding $create): Response
    {
        $building = $create->execute($project, $user, $request->clientId(), $request->document() ?? $request->shape(), $request->name());

        return $this->answer->of($building, $building->latest(), $building->wasRecentlyCreated ? 201 : 200);
    }

    public function show(Building $building): Response
    {
        return $this->answer->of($building, $building->latest());
    }

    public function destroy(Building $building): Response
    {
        $building->delete();

        return response()->noContent();
    }
}
