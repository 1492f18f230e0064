<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Building;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A building belongs to its project's owner. */
final readonly class BuildingPolicy
{
    public function view(User $user, Building $building): Response
    {
        return self::own($user, $building);
    }

    public function update(User $user, Building $building): Response
    {
        return self::own($user, $building);
    }

    public function delete(User $user, Building $building): Response
    {
        return self::own($user, $building);
    }

    private static function own(User $user, Building $building): Response
    {
        $building->loadMissing('project');

        return ProjectPolicy::own($user, $building->project);
    }
}
