<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportProject;
use App\Actions\ImportProject;
use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final readonly class ProjectController
{
    public function index(Request $request): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $projects = $user->projects()->with(['buildings' => static fn ($query) => $query->orderBy('name')])->orderByDesc('updated_at')->orderBy('id')->get();

        return response()->json(['projects' => $projects->map($this->shown(...))->values()]);
    }

    public function store(Request $request): JsonResponse
    {
        $input = $request->validate(['name' => ['required', 'string', 'max:200']]);
        $user = $request->user();
        assert($user instanceof User);
        $project = $user->projects()->create($input);

        return response()->json(['project' => $this->shown($project->load('buildings'))], 201);
    }

    public function update(Request $request, Project $project): JsonResponse
    {
        $project->update($request->validate(['name' => ['required', 'string', 'max:200']]));

        return response()->json(['project' => $this->shown($project->load('buildings'))]);
    }

    /** The whole project as one file. */
    public function archive(Project $project, ExportProject $export): BinaryFileResponse
    {
        return response()->download($export->execute($project), (Str::slug($project->name) ?: 'project').'.chartula.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    /** A project from such a file. */
    public function import(Request $request, ImportProject $import): JsonResponse
    {
        $request->validate(['archive' => ['required', 'file', 'max:65536']]);
        $user = $request->user();
        $file = $request->file('archive');
        assert($user instanceof User && $file instanceof UploadedFile);
        $project = $import->execute($user, $file->getPathname());

        return response()->json(['project' => $this->shown($project->load('buildings'))], 201);
    }

    public function destroy(Project $project): JsonResponse
    {
        $project->delete();

        return response()->json(null, 204);
    }

    /** @return array<string, mixed> */
    private function shown(Project $project): array
    {
        return [
            'id' => $project->id, 'name' => $project->name, 'updated_at' => $project->updated_at->toIso8601String(),
            'buildings' => $project->buildings->map(static fn (Building $b): array => ['id' => $b->id, 'name' => $b->name, 'revision' => $b->current, 'updated_at' => $b->updated_at->toIso8601String()])->values(),
        ];
    }
}
