<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Actions\DeriveKit;
use App\Actions\PackedSheets;
use App\Http\Database;
use App\Models\Building;
use Chartula\Core\Building\Building as Described;
use Illuminate\Database\QueryException;
use Illuminate\Log\Events\MessageLogged;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\Support\Kits;
use TypeError;

/** Numbers and texts as strangers send them: taken as what they are, or refused at their place. */
final class OutsideTest extends ApiTestCase
{
    /** @return iterable<string, array{mixed}> */
    public static function provideNoNumbers(): iterable
    {
        foreach ([2 ** 31, 10 ** 18, 1e30, true, '1', '', null, -1, 0, 1.5, [1]] as $value) {
            yield (string) json_encode($value) => [$value];
        }
    }

    #[DataProvider('provideNoNumbers')]
    public function testWhatIsNoRevisionIsRefusedWhereOneIsNamed(mixed $value): void
    {
        $building = $this->buildingOf($this->person());
        $save = ['client_id' => (string) Str::uuid(), 'base' => 1];
        $this->postJson("/api/buildings/$building->id/revisions", ['base' => $value, 'undo' => true] + $save)->assertStatus(422);
        $this->postJson("/api/buildings/$building->id/revisions", ['restore' => $value] + $save)->assertStatus(422);
        $this->postJson("/api/buildings/$building->id/preview", ['base' => 1, 'restore' => $value])->assertStatus(422);
        $pieces = [['part' => 'main.front.core', 'copy' => $value === 0 ? -1 : $value]];
        $this->patchJson("/api/buildings/$building->id/pieces", ['pieces' => $pieces, 'state' => 'cut'])->assertStatus(422);
    }

    /** @return iterable<string, array{string, int}> */
    public static function provideAddresses(): iterable
    {
        $huge = str_repeat('9', 25);
        foreach (["revisions/$huge", 'revisions/0'] as $patched) {
            yield "patch $patched" => [$patched, 404];
        }
        $asked = [
            "sheets/$huge.svg", "sheets/$huge.plt", "sheets/$huge/cut", "mockup/$huge.svg", "revisions/1/compare/$huge",
            'revisions/2147483648/compare/1',
            'sheets/0.svg', 'sheets/1.svg?r=2147483648', 'sheets/1.svg?r=', 'sheets/1.svg?r[]=1', "mockup?r=$huge",
            'parts/main.front.core.svg?r=1e3',
        ];
        foreach ($asked as $path) {
            yield $path => [$path, 404];
        }
        foreach ([
            'revisions?before=2147483648',
            'revisions?before=',
            'revisions?before=1e3',
            'mockup?size=',
            'mockup.pdf?size=',
            'mockup?size=9',
            'mockup?size=50.0',
        ] as $path) {
            yield $path => [$path, 422];
        }
    }

    #[DataProvider('provideAddresses')]
    public function testOddFiguresInAddressesAreNotThereOrRefused(string $path, int $status): void
    {
        $building = $this->buildingOf($this->person());
        $method = str_starts_with($path, 'revisions/') && ! str_contains($path, 'compare') ? 'PATCH' : 'GET';
        $this->json($method, "/api/buildings/$building->id/$path", $method === 'PATCH' ? ['name' => 'x'] : [])->assertStatus($status);
    }

    /** An empty object stays one, and so does one whose keys are figures. */
    public function testEditsAreTakenAsTheyWereSent(): void
    {
        $building = $this->buildingOf($this->person());
        foreach (['{}' => '{}', '{"0":"1mm"}' => '{"0":"1mm"}'] as $sent => $kept) {
            $body = '{"base":1,"edits":[{"op":"set","path":"plot","value":{"size":["300mm","200mm"],"clear":'.$sent.'}}]}';
            $answer = $this->call('POST', "/api/buildings/$building->id/preview", [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body);
            $answer->assertOk();
            self::assertStringContainsString('"clear":'.$kept, str_replace(' ', '', (string) $answer->getContent()));
        }
    }

    public function testANewBuildingSentTwiceIsOne(): void
    {
        $this->actingAs($person = $this->person());
        $project = $this->projectOf($person);
        $sent = ['client_id' => (string) Str::uuid(), 'name' => 'Kiln'];
        $first = $this->postJson("/api/projects/$project->id/buildings", $sent)->assertStatus(201)->json('id');
        $this->postJson("/api/projects/$project->id/buildings", $sent)->assertStatus(200)->assertJsonPath('id', $first);
        self::assertSame(1, $project->buildings()->count());
        $this->postJson("/api/projects/$project->id/buildings", ['client_id' => (string) Str::uuid()] + $sent)->assertStatus(201);
    }

    /**
     * A character that the database would cut a text off at is refused at its place; the six letters that spell it are a text like any
     * other.
     */
    public function testNulIsRefusedAndItsNameIsNot(): void
    {
        $building = $this->buildingOf($this->person());
        $this->patchJson("/api/projects/$building->project_id", ['name' => "Har\0bour"])->assertStatus(422)->assertJsonPath('problems.0.path', 'name');
        $edits = [['op' => 'set', 'path' => 'name', 'value' => "We\0igh"]];
        $this->edit($building, 1, $edits)->assertStatus(422)->assertJsonPath('problems.0.path', 'edits.0.value');
        $this->postJson(
            '/api/register',
            ['name' => 'x', 'email' => 'x@marrowmere.example', 'password' => "a\0bbbbbbbbbbbb"],
        )->assertStatus(422);
        $words = 'office \\u0000 and \\\\u0000';
        $this->edit($building, 1, [['op' => 'set', 'path' => 'note', 'value' => $words]])->assertStatus(201);
        $this->getJson("/api/buildings/$building->id")->assertJsonPath('document.note', $words);
    }

    /** @return iterable<string, array{string}> */
    public static function provideInfinite(): iterable
    {
        yield '1e999' => ['1e999'];
        yield 'four hundred digits' => [str_repeat('9', 400)];
    }

    #[DataProvider('provideInfinite')]
    public function testANumberBeyondAllNumbersIsRefusedInADocument(string $number): void
    {
        $building = $this->buildingOf($this->person());
        $text = str_replace(
            '{"format"',
            '{"odd": {"deep": ['.$number.']}, "format"',
            str_replace("{\n  \"format\"", '{"format"', Kits::exampleText('weigh-office')),
        );
        self::assertStringContainsString($number, $text);
        $this->postJson("/api/buildings/$building->id/revisions", ['client_id' => (string) Str::uuid(), 'base' => 1, 'document' => $text])
            ->assertStatus(422)
            ->assertJsonPath('problems.0.path', 'odd.deep.0');
    }

    public function testWhatIsAnothersIsToldAsWhatIsNotThere(): void
    {
        $building = $this->buildingOf($this->person());
        $this->actingAs($this->person('Bede Osier'));
        $others = $this->getJson("/api/buildings/$building->id")->assertStatus(404)->getContent();
        self::assertSame($others, $this->getJson('/api/buildings/01kb0000000000000000000000')->assertStatus(404)->getContent());
        self::assertSame(['message' => 'Not Found'], json_decode((string) $others, true));
    }

    public function testAFileIsCalledAfterItsBuildingInAnyLetters(): void
    {
        $building = $this->buildingOf($this->person());
        foreach ([
            '駅舎 №2' => "utf-8''%E9%A7%85%E8%88%8E",
            '🚂' => 'filename=building.building.json',
            "a\"; x=\r\nb/../c" => 'filename=a-x-bc.building.json',
        ] as $name => $wanted) {
            $building->update(['name' => $name]);
            $header = (string) $this->get("/api/buildings/$building->id/document")->assertOk()->headers->get('Content-Disposition');
            self::assertStringContainsString($wanted, $header, $name);
            self::assertStringStartsWith('attachment; ', $header);
        }
    }

    /** All of a password counts, so one is no longer than what is hashed. */
    public function testAPasswordLongerThanIsHashedIsRefused(): void
    {
        $register = fn (string $password): \Illuminate\Testing\TestResponse => $this->postJson(
            '/api/register',
            ['name' => 'x', 'email' => Str::random(6).'@marrowmere.example', 'password' => $password],
        );
        $register(str_repeat('a', 73))->assertStatus(422)->assertJsonValidationErrorFor('password');
        $register(str_repeat('é', 37))->assertStatus(422);
        $register(str_repeat('a', 72))->assertStatus(201);
    }

    /** Where nothing can be written, what is there is read, tried out and drawn; a save says that nothing was saved. */
    public function testADatabaseThatTakesNothing(): void
    {
        $building = $this->buildingOf($this->person());
        DB::statement('set transaction read only');
        $this->getJson("/api/buildings/$building->id")->assertOk();
        $this->get("/api/buildings/$building->id/sheets/1.svg")->assertOk();
        $edits = [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '11ft']];
        $this->postJson("/api/buildings/$building->id/preview", ['base' => 1, 'edits' => $edits])->assertOk();
        $this->edit($building, 1, $edits)->assertStatus(503)->assertJsonPath('code', 'takes-nothing');
    }

    #[DataProvider('provideFailures')]
    public function testWhatIsWrongWithTheDatabaseIsKnownByItsCode(string $message, bool $isAway, bool $takesNothing): void
    {
        $e = new QueryException('pgsql', 'select 1', [], new RuntimeException($message));
        self::assertSame([$isAway, $takesNothing], [Database::isAway($e), Database::takesNothing($e)]);
    }

    /** @return iterable<string, array{string, bool, bool}> */
    public static function provideFailures(): iterable
    {
        yield 'no answer' => ['SQLSTATE[08006] [7] connection to server failed', true, false];
        yield 'cut off in the middle' => ['SQLSTATE[HY000]: General error: 7 server closed the connection unexpectedly', true, false];
        yield 'gone before it was asked' => ['SQLSTATE[HY000]: General error: 7 no connection to the server', true, false];
        yield 'going down' => ['SQLSTATE[57P01]: Admin shutdown: 7 FATAL:  terminating connection', true, false];
        yield 'read-only' => ['SQLSTATE[25006]: Read only sql transaction', false, true];
        yield 'a full disk' => ['SQLSTATE[53100]: Disk full: 7 ERROR:  could not extend file', false, true];
        yield 'a rule of ours' => ['SQLSTATE[23505]: Unique violation', false, false];
    }

    /** A document on which the core breaks is kept with that as its fault, and what it broke on is noted down; undo works from there. */
    public function testACoreThatBreaksKeepsWhatWasWritten(): void
    {
        $building = $this->buildingOf($this->person());
        $logged = [];
        Event::listen(MessageLogged::class, static function (MessageLogged $e) use (&$logged): void {
            $logged[] = is_string($e->context['document'] ?? null) ? $e->context['document'] : '';
        });
        $broken = new class(new PackedSheets) extends DeriveKit
        {
            public function execute(Described $building, string $text): string
            {
                return $building->name === 'Breaks' ? throw new TypeError('on purpose') : parent::execute($building, $text);
            }
        };
        $this->app?->instance(DeriveKit::class, $broken);
        $this->edit($building, 1, [['op' => 'set', 'path' => 'name', 'value' => 'Breaks']])
            ->assertStatus(201)
            ->assertJsonPath('revision.number', 2)
            ->assertJsonPath('faults.0.code', 'core.broken');
        self::assertCount(1, $logged);
        self::assertStringContainsString('"Breaks"', $logged[0]);
        $kept = Building::query()->whereKey($building->id)->firstOrFail()->latest();
        self::assertSame([false, true], [$kept->is_sound, str_contains($kept->text, 'Breaks')]);
        $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) Str::uuid(), 'base' => 2, 'undo' => true],
        )->assertStatus(201);
        $this->getJson("/api/buildings/$building->id")->assertJsonPath('faults', [])->assertJsonPath('revision.number', 3);
    }
}
