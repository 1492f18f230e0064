<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportProject;
use App\Actions\ImportProject;
use App\Archive\Reading;
use App\Http\Attachment;
use App\Http\Requests\ImportProjectRequest;
use App\Http\Requests\ProjectNameRequest;
use App\Http\Resources\ProjectResource;
use App\Jobs\ReadArchive;
use App\Models\Project;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Projects of the person who is signed in. */
final readonly class ProjectController
{
    /** So many files are read within a second. */
    private const AT_ONCE = 200;

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

    /** A project from such a file: at once where it is small, and beside the requests where that would take longer than a second. */
    public function import(ImportProjectRequest $request, #[CurrentUser] User $user, ImportProject $import): JsonResponse
    {
        $count = ImportProject::count($request->path());
        if ($count <= self::AT_ONCE) {
            return self::one($import->execute($user, $request->path()), 201);
        }
        $reading = Reading::begun($user, $count - 1);
        $folder = storage_path('app/private/archives');
        File::ensureDirectoryExists($folder, 0700);
        File::copy($request->path(), "$folder/$reading->id.zip");
        ReadArchive::dispatch($user->id, $reading->id, "$folder/$reading->id.zip", $count - 1);

        return response()->json(['reading' => $reading->state()], 202);
    }

    /** How far the reading of a large file has come. */
    public function reading(string $reading, #[CurrentUser] User $user): JsonResponse
    {
        return response()->json(['reading' => Reading::known($user->id, $reading)->state() ?? abort(404)]);
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
