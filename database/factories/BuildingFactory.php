<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Actions\SaveRevision;
use App\Models\Building;
use App\Models\Project;
use Chartula\Core\Building\JsonText;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;

/** @extends Factory<Building> */
final class BuildingFactory extends Factory
{
    protected $model = Building::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['name' => 'Weigh office', 'project_id' => Project::factory(), 'current' => 0];
    }

    /** With its first revision, which holds this text. */
    public function holding(string $text): self
    {
        return $this->afterCreating(static function (Building $building) use ($text): void {
            $author = $building->project->user;
            app(SaveRevision::class)->first($building, $author, (string) Str::uuid(), JsonText::decode($text), $text, 'begun');
        });
    }
}
