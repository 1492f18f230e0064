<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\StarterShape;
use Chartula\Core\Problem\InvalidInput;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Makes a building in a project: from a document, or in one of the shapes that a new one begins with. Sent again with its client's id it is
 * the same one.
 */
final readonly class CreateBuilding
{
    public function __construct(private SaveRevision $save)
    {
    }

    /** @throws InvalidInput where the text is no document */
    public function execute(Project $project, User $author, string $clientId, string|StarterShape $from, ?string $name): Building
    {
        $document = match (true) {
            is_string($from) => JsonText::decode($from),
            $author->units === 'metric' => Starter::metric($name ?? 'Building', $from),
            default => Starter::document($name ?? 'Building', $from),
        };
        $text = is_string($from) ? $from : JsonText::encode($document);
        $name = is_string($document->name ?? null) && $document->name !== '' ? $document->name : ($name ?? 'Building');

        return DB::transaction(function () use ($project, $author, $clientId, $document, $text, $name): Building {
            Project::query()->whereKey($project->id)->lockForUpdate()->firstOrFail();
            $known = $project->buildings()->whereHas(
                'revisions',
                static fn (Builder $r): Builder => $r->where('number', 1)->where('client_id', $clientId),
            )->first();
            if ($known !== null) {
                return $known;
            }
            $building = Building::query()->create(['project_id' => $project->id, 'name' => mb_substr($name, 0, 200), 'current' => 0]);
            $this->save->first($building, $author, $clientId, $document, $text, 'begun');

            return $building->refresh();
        });
    }
}
