<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportProject;
use App\Actions\ImportProject;
use App\Http\Attachment;
use App\Http\Requests\ImportProjectRequest;
use App\Http\Requests\ProjectNameRequest;
use App\Http\Resources\ProjectResource;
use App\Models\Project;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Projects of the person who is signed in. */
final readonly class ProjectController
{
    public function index(#[CurrentUser] User $user): JsonResponse
    {
        $projects = $user->projects()->with('buildings')->orderByDesc('updated_at')->orderBy('id')->get();

        return response()->json(['projects' => ProjectResource::collection($projects)]);
    }

    public function store(ProjectNameRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return self::one($user->projects()->create(['name' => $request->name()]), 201);
    }

    public function update(ProjectNameRequest $request, Project $project): JsonResponse
    {
        $project->update(['name' => $request->name()]);

        return self::one($project);
    }

    /** The whole project as one file. */
    public function archive(Project $project, ExportProject $export): BinaryFileResponse
    {
        $answer = response()->download($export->execute($project), null, ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
        $answer->headers->set('Content-Disposition', Attachment::header($project->name, '.chartula.zip'));

        return $answer;
    }

    /** A project from such a file. */
    public function import(ImportProjectRequest $request, #[CurrentUser] User $user, ImportProject $import): JsonResponse
    {
        return self::one($import->execute($user, $request->path()), 201);
    }

    public function destroy(Project $project): Response
    {
        $project->delete();

        return response()->noContent();
    }

    private static function one(Project $project, int $status = 200): JsonResponse
    {
        return response()->json(['project' => new ProjectResource($project)], $status);
    }
}
