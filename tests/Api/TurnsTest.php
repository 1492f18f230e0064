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

    /** What a browser has given up asking for still has its places for a moment: a little more than that waits for one and is answered. */
    public function testALittleMoreWaitsForAPlace(): void
    {
        $person = $this->person();
        $this->actingAs($person);
        $held = array_map(fn (int $place) => self::held($person, $place), range(0, TakeTurns::AT_ONCE - 2));
        // Another process gives its place back while this one waits.
        $last = TakeTurns::file($person->id, TakeTurns::AT_ONCE - 1);
        $other = proc_open(['flock', $last, 'sh', '-c', 'echo held; sleep 0.4'], [1 => ['pipe', 'w']], $pipes);
        assert($other !== false && is_resource($pipes[1]));
        self::assertSame("held\n", fgets($pipes[1]));
        $this->getJson('/api/projects')->assertOk();
        proc_close($other);

        // Where as many wait as may, one more is put off.
        $held[] = self::held($person, TakeTurns::AT_ONCE - 1);
        array_push($held, ...array_map(
            fn (int $seat) => self::held($person, TakeTurns::AT_ONCE + $seat),
            range(0, TakeTurns::WAITING - 1),
        ));
        $this->getJson('/api/projects')->assertStatus(429);
        self::assertCount(TakeTurns::AT_ONCE + TakeTurns::WAITING, $held);
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
