<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Project;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A project is its owner's alone; to anybody else it is not there. */
final readonly class ProjectPolicy
{
    public function viewAny(User $user): bool
    {
        return true;
    }

    public function create(User $user): bool
    {
        return true;
    }

    public function view(User $user, Project $project): Response
    {
        return self::own($user, $project);
    }

    public function update(User $user, Project $project): Response
    {
        return self::own($user, $project);
    }

    public function delete(User $user, Project $project): Response
    {
        return self::own($user, $project);
    }

    public static function own(User $user, Project $project): Response
    {
        return $project->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
