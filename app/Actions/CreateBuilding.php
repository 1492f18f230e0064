<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Problem\InvalidInput;
use Illuminate\Support\Facades\DB;

/** Makes a building in a project: from a document, or from the starter that a new one begins with. */
final readonly class CreateBuilding
{
    public function __construct(private SaveRevision $save)
    {
    }

    /** @throws InvalidInput where the text is no document */
    public function execute(Project $project, User $author, string $clientId, ?string $text, ?string $name): Building
    {
        $document = $text === null ? Starter::document($name ?? 'Building') : JsonText::decode($text);
        $text ??= JsonText::encode($document);
        $name = is_string($document->name ?? null) && $document->name !== '' ? $document->name : ($name ?? 'Building');

        return DB::transaction(function () use ($project, $author, $clientId, $document, $text, $name): Building {
            $building = Building::query()->create(['project_id' => $project->id, 'name' => mb_substr($name, 0, 200), 'current' => 0]);
            $this->save->first($building, $author, $clientId, $document, $text, 'begun');

            return $building->refresh();
        });
    }
}
