<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Building;
use App\Models\Project;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A project with its buildings.
 *
 * @property Project $resource
 */
final class ProjectResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $project = $this->resource->loadMissing('buildings');

        return [
            'id' => $project->id,
            'name' => $project->name,
            'updated_at' => $project->updated_at->toIso8601String(),
            'buildings' => $project->buildings->map(static fn (Building $b): array => [
                'id' => $b->id, 'name' => $b->name, 'revision' => $b->current, 'updated_at' => $b->updated_at->toIso8601String(),
            ])->values(),
        ];
    }
}
