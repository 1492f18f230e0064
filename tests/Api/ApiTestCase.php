<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Project;
use App\Models\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Env;
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
        // Each process of the test run has a database to itself.
        $token = getenv('TEST_TOKEN');
        Env::getRepository()->set('DB_DATABASE', 'chartula_api_'.(is_string($token) && $token !== '' ? $token : '1'));
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function person(string $name = 'Ada Fenn'): User
    {
        return User::factory()->create(['name' => $name, 'email' => Str::slug($name).'@marrowmere.example']);
    }

    protected function projectOf(User $user): Project
    {
        return Project::factory()->for($user)->create();
    }

    /** The weigh office, in a project of that person. */
    protected function buildingOf(User $user, ?string $text = null): Building
    {
        $this->actingAs($user);

        return Building::factory()->for($this->projectOf($user))->holding($text ?? Kits::exampleText('weigh-office'))->create()->refresh();
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function edit(Building $building, int $base, array $edits, ?string $clientId = null): TestResponse
    {
        return $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => $clientId ?? (string) Str::uuid(), 'base' => $base, 'edits' => $edits],
        );
    }

    protected static function assertMatches(string $schema, mixed $value): void
    {
        $validator = new Validator;
        $validator->setMaxErrors(5);
        $validator->resolver()?->registerPrefix('https://chartula.example/schema/', dirname(__DIR__, 2).'/docs/schema/');
        $result = $validator->validate(json_decode((string) json_encode($value)), "https://chartula.example/schema/$schema");
        $error = $result->error();
        self::assertTrue(
            $result->isValid(),
            $error === null ? '' : (string) json_encode((new ErrorFormatter)->format($error), JSON_PRETTY_PRINT),
        );
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer */
    protected static function figure(TestResponse $answer, string $path): float
    {
        $figure = $answer->json($path);
        self::assertIsNumeric($figure, $path);

        return (float) $figure;
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer */
    protected static function decoded(TestResponse $answer): stdClass
    {
        $value = json_decode((string) $answer->getContent());
        assert($value instanceof stdClass);

        return $value;
    }
}
