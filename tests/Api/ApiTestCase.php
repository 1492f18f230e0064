<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use stdClass;
use Tests\Support\Kits;

/** Requests against a real PostgreSQL. Answers are checked against docs/schema/. */
abstract class ApiTestCase extends TestCase
{
    use RefreshDatabase;

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        assert($app instanceof Application);
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function person(string $name = 'Ada Fenn'): User
    {
        return User::query()->create(['name' => $name, 'email' => Str::slug($name).'@marrowmere.example', 'password' => 'a long password']);
    }

    protected function projectOf(User $user): Project
    {
        return $user->projects()->create(['name' => 'Harbour end']);
    }

    /** The weigh office, in a project of that person. */
    protected function buildingOf(User $user, ?string $text = null): Building
    {
        $answer = $this->actingAs($user)->postJson('/api/projects/'.$this->projectOf($user)->id.'/buildings', ['client_id' => (string) Str::uuid(), 'document' => $text ?? Kits::exampleText('weigh-office')]);
        $answer->assertStatus(201);

        return Building::query()->findOrFail($answer->json('id'));
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function edit(Building $building, int $base, array $edits, ?string $clientId = null): TestResponse
    {
        return $this->postJson("/api/buildings/$building->id/revisions", ['client_id' => $clientId ?? (string) Str::uuid(), 'base' => $base, 'edits' => $edits]);
    }

    protected static function assertMatches(string $schema, mixed $value): void
    {
        $validator = new Validator;
        $validator->setMaxErrors(5);
        $validator->resolver()?->registerPrefix('https://chartula.example/schema/', dirname(__DIR__, 2).'/docs/schema/');
        $result = $validator->validate(json_decode((string) json_encode($value)), "https://chartula.example/schema/$schema");
        $error = $result->error();
        self::assertTrue($result->isValid(), $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error), JSON_PRETTY_PRINT));
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer */
    protected static function decoded(TestResponse $answer): stdClass
    {
        $value = json_decode((string) $answer->getContent());
        assert($value instanceof stdClass);

        return $value;
    }
}
