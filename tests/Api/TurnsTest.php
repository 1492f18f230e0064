<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Http\Middleware\TakeTurns;
use App\Models\User;
use Illuminate\Support\Facades\File;

/** One person cannot hold all workers. */
final class TurnsTest extends ApiTestCase
{
    public function testWhoAsksForMoreAtOnceThanABrowserDoesIsToldToWaitAndNobodyElseIs(): void
    {
        $person = $this->person();
        $this->actingAs($person);
        $held = array_map(fn (int $place) => self::held($person, $place), range(0, TakeTurns::AT_ONCE - 1));
        $this->getJson('/api/projects')->assertStatus(429)->assertHeader('Retry-After', '1')->assertJsonStructure(['message']);
        $this->postJson('/api/projects', ['name' => 'Staithe'])->assertStatus(429);

        $this->actingAs($this->person('Bede Osier'));
        $this->getJson('/api/projects')->assertOk();

        // What ends, or dies, gives its place back; nothing was done of what was put off.
        fclose($held[3]);
        $this->actingAs($person);
        $this->getJson('/api/projects')->assertOk()->assertJsonCount(0, 'projects');
        $this->getJson('/api/projects')->assertOk();
    }

    public function testAPlaceIsGivenBackWhereTheAnswerIsAFault(): void
    {
        $person = $this->person();
        $this->actingAs($person);
        $kept = array_map(fn (int $place) => self::held($person, $place), range(1, TakeTurns::AT_ONCE - 1));
        foreach (range(1, 3) as $i) {
            $this->getJson('/api/projects/01ARZ3NDEKTSV4RRFFQ69G5FAV/archive')->assertStatus(404);
            $this->postJson('/api/projects', ['name' => 7])->assertStatus(422);
        }
        self::assertCount(TakeTurns::AT_ONCE - 1, $kept);
    }

    /** @return resource */
    private static function held(User $person, int $place)
    {
        $path = TakeTurns::file($person->id, $place);
        File::ensureDirectoryExists(dirname($path), 0700);
        $file = fopen($path, 'c');
        self::assertIsResource($file);
        self::assertTrue(flock($file, LOCK_EX | LOCK_NB));

        return $file;
    }
}
