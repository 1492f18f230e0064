<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Actions\ExportProject;
use App\Archive\Manifest;
use App\Http\Resources\RevisionResource;
use App\Models\Building;
use App\Models\Piece;
use App\Models\Project;
use App\Models\Revision;
use App\Models\User;
use Chartula\Core\Problem\InvalidInput;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use ZipArchive;

final class ArchiveTest extends ApiTestCase
{
    /** So long others may have temporary files of theirs. */
    private const PATIENCE_S = 10.0;

    public function testAProjectGoesIntoOneFileAndComesOutOfItAsItWas(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']]);
        $this->postJson("/api/buildings/$building->id/revisions", ['client_id' => (string) Str::uuid(), 'base' => 2, 'undo' => true]);
        $this->patchJson("/api/buildings/$building->id/revisions/2", ['name' => 'Taller']);
        $this->postJson("/api/buildings/$building->id/prints", ['client_id' => (string) Str::uuid(), 'which' => 'all']);
        $this->patchJson(
            "/api/buildings/$building->id/pieces",
            ['pieces' => [['part' => 'main.front.core', 'copy' => 0]], 'state' => 'fixed'],
        );
        $file = $this->archiveOf($building->project_id);

        $this->actingAs($this->person('Bede Osier'));
        $answer = $this->import($file)
            ->assertStatus(201)
            ->assertJsonPath('project.name', 'Harbour end')
            ->assertJsonPath('project.buildings.0.revision', 3);
        $copy = Building::query()->whereKey($answer->json('project.buildings.0.id'))->firstOrFail();
        self::assertNotSame($building->id, $copy->id);
        $fingerprint = static fn (Building $b): array => $b->revisions()
            ->orderBy('number')
            ->get()
            ->map(
                static fn (Revision $r): array =>
                    [RevisionResource::make($r)->resolve(), $r->text, $r->stands_for, $r->before, $r->redo, $r->faults, $r->client_id],
            )
            ->all();
        self::assertSame($fingerprint($building), $fingerprint($copy));
        $pieces = static fn (Building $b): array => $b->pieces()
            ->get()
            ->map(static fn (Piece $p): array => [$p->part, $p->copy, $p->state, $p->record, $p->print_id !== null])
            ->all();
        self::assertSame($pieces($building), $pieces($copy));
        // It goes on from there: what was undone can be done again, and what is fixed is known.
        $this->postJson("/api/buildings/$copy->id/revisions", ['client_id' => (string) Str::uuid(), 'base' => 3, 'redo' => true])
            ->assertStatus(409)
            ->assertJsonPath('code', 'fixed');
        $this->getJson("/api/buildings/$copy->id/made")->assertJsonPath('counts.fixed', 1)->assertJsonPath('prints.0.what', 'all sheets');
    }

    /** @param  array<string, mixed>  $spoilt  what the manifest holds instead */
    #[DataProvider('provideSpoilt')]
    public function testASpoiltFileIsRefusedWhole(array $spoilt, string $path): void
    {
        $file = $this->archiveOf($this->buildingOf($this->person())->project_id);
        $zip = new ZipArchive;
        $zip->open($file);
        $manifest = json_decode((string) $zip->getFromName('project.json'), true);
        self::assertIsArray($manifest);
        $zip->addFromString('project.json', (string) json_encode(array_replace_recursive($manifest, $spoilt)));
        $zip->close();
        $this->import($file)->assertStatus(422)->assertJsonPath('problems.0.path', $path);
        self::assertSame([1, 1], [Project::query()->count(), Building::query()->count()]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function provideSpoilt(): iterable
    {
        yield 'another format' => [['format' => 'x'], 'project.json'];
        yield 'a folder outside' => [['buildings' => [['folder' => '../../etc']]], 'project.json.buildings.0.folder'];
        yield 'a missing revision' => [['buildings' => [['folder' => 'buildings/09-none']]], 'buildings/09-none/00001.json'];
        yield 'numbers out of order' => [['buildings' => [['revisions' => [['number' => 4]]]]], 'project.json.buildings.0.revisions.0'];
        yield 'a piece that is none' => [
            ['buildings' => [['pieces' => [['part' => 'x', 'copy' => 0, 'state' => 'cut', 'print' => null, 'record' => ['id' => 5]]]]]],
            'project.json.buildings.0.pieces.0.record',
        ];
    }

    /**
     * A stranger's file, as hostile as it may be: refused with the place in the file, and nothing of it is kept.
     *
     * @param  array<string, string>  $instead  what stands in its files instead, by what is looked for
     */
    #[DataProvider('provideHostile')]
    public function testAHostileFileIsRefusedAtItsPlace(array $instead, string $path): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'note', 'value' => 'x']]);
        $this->postJson("/api/buildings/$building->id/prints", ['client_id' => (string) Str::uuid(), 'which' => 'all']);
        $file = $this->archiveOf($building->project_id);
        $zip = new ZipArchive;
        $zip->open($file);
        foreach ($instead as $pattern => $text) {
            [$inside, $regex] = str_contains($pattern, '|') ? explode('|', $pattern, 2) : ['project.json', $pattern];
            $was = (string) $zip->getFromName($inside);
            $now = (string) preg_replace("#$regex#s", $text, $was, 1);
            self::assertNotSame($was, $now, $pattern);
            $zip->addFromString($inside, $now);
        }
        $zip->close();
        $this->import($file)->assertStatus(422)->assertJsonPath('problems.0.path', $path);
        self::assertSame([1, 1], [Project::query()->count(), Building::query()->count()]);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function provideHostile(): iterable
    {
        $in = 'project.json.buildings.0';
        $uuid = '0b7e3f0e-6d1c-4f7e-9d3a-0f4f2a1c5b6d';
        yield 'a number as a text' => [['"stands_for": 1,' => '"stands_for": "1",'], "$in.revisions.0.stands_for"];
        yield 'a redo that is true' => [['"redo": \\[\\]' => '"redo": [true]'], "$in.revisions.0.redo.0"];
        yield 'a redo as a text' => [['"redo": \\[\\]' => '"redo": ["1"]'], "$in.revisions.0.redo.0"];
        yield 'parts changed beyond a column' => [
            ['"parts_changed": null' => '"parts_changed": 1099511627776'],
            "$in.revisions.0.parts_changed",
        ];
        yield 'one id twice' => [['("client_id": ")[^"]*(".*?"client_id": ")[^"]*"' => "\${1}$uuid\${2}$uuid\""], "$in.revisions"];
        yield 'a print of a revision that is none' => [['("prints": .*?"revision": )\\d+' => '${1}99'], "$in.prints.0.revision"];
        yield 'more pieces than can be counted' => [['("prints": .*?"pieces": )\\d+' => '${1}1099511627776'], "$in.prints.0.pieces"];
        yield 'one piece twice' => [['("pieces": \\[\\s*)(\\{.*?"kept": null\\s*\\},)' => '${1}${2}${2}'], "$in.pieces"];
        yield 'NUL in a name' => [['"name": "Harbour end"' => '"name": "Harbour\\u0000end"'], 'project.json'];
        yield 'a year that is far off' => [['"at": "\\d{4}' => '"at": "12345'], "$in.revisions.0.at"];
        yield 'faults that are numbers' => [['"faults": \\[\\]' => '"faults": [7]'], "$in.revisions.0.faults.0"];
        yield 'revisions as an object' => [['"revisions": \\[.*?\\],(\\s*"prints")' => '"revisions": {"0": {}},${1}'], "$in.revisions"];
        yield 'a number beyond all numbers in a document' => [
            ['buildings/01-weigh-office/00001.json|"scale"' => '"odd": 1e999, "scale"'],
            'buildings/01-weigh-office/00001.json.odd',
        ];
        yield 'no JSON in a document' => [['buildings/01-weigh-office/00002.json|\\}\\s*$' => ''], 'buildings/01-weigh-office/00002.json'];
        yield 'a key twice in a document' => [
            ['buildings/01-weigh-office/00001.json|"scale"' => '"scale": "1:1", "scale"'],
            'buildings/01-weigh-office/00001.json.scale',
        ];
        yield 'more objects than can be held' => [
            ['"prints": \\[' => '"odd": ['.str_repeat('{},', 200_001).'0], "prints": ['],
            'project.json',
        ];
        yield 'more values than can be held' => [
            ['"prints": \\[' => '"odd": ['.str_repeat('0,', 2_000_001).'0], "prints": ['],
            'project.json',
        ];
    }

    /** The words that only spell the character are a text like any other. */
    public function testWordsThatSpellNulComeBackAsTheyWere(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'note', 'value' => 'a \\u0000 b']])->assertStatus(201);
        $copy = $this->import($this->archiveOf($building->project_id))->assertStatus(201)->json('project.buildings.0.id');
        self::assertIsString($copy);
        $this->getJson("/api/buildings/$copy")->assertJsonPath('document.note', 'a \\u0000 b');
    }

    /** @return list<string> files that archives are written to */
    private static function temporary(): array
    {
        $found = glob(sys_get_temp_dir().'/project*');

        return $found === false ? [] : $found;
    }

    /** The whole demo, four buildings with what was made of them, there and back. */
    public function testTheWholeDemoGoesThereAndBack(): void
    {
        self::assertSame(0, Artisan::call('chartula:demo'));
        $demo = User::demo() ?? self::fail('The demo is not loaded');
        $this->actingAs($demo);
        $project = $demo->projects()->firstOrFail();
        $count = $project->buildings()->count();
        self::assertGreaterThan(2, $count);
        $temporary = self::temporary();
        $answer = $this->get("/api/projects/$project->id/archive")->assertOk();
        $file = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($file, $answer->streamedContent());
        $copy = $this->import($file)->assertStatus(201)->json('project.id');
        unlink($file);
        // Tests beside this one have some for a moment.
        $until = microtime(true) + self::PATIENCE_S;
        while (array_diff(self::temporary(), $temporary) !== [] && microtime(true) < $until) {
            usleep(100_000);
        }
        self::assertSame([], array_diff(self::temporary(), $temporary), 'temporary files go');
        $all = static fn (mixed $id): array => Building::query()
            ->where('project_id', $id)
            ->with(['revisions', 'pieces', 'prints'])
            ->orderBy('id')
            ->get()
            ->map(static fn (Building $b): array => [
                $b->name, $b->current, $b->revisions->sortBy('number')->map(
                    static fn (Revision $r): array => [$r->text, $r->summary, $r->is_sound],
                )->values()->all(),
                $b->pieces->map(static fn (Piece $p): array => [$p->part, $p->copy, $p->state, $p->record])->all(), $b->prints->count(),
            ])
            ->all();
        self::assertCount($count, $all($copy));
        self::assertEquals($all($project->id), $all($copy));
    }

    /** What takes longer than a second is read beside the requests, whole or not at all, and it is told how far it has come. */
    public function testALargeFileIsReadInTheQueue(): void
    {
        $building = $this->buildingOf($this->person());
        $text = $building->latest()->text;
        $answer = $this->import($this->long($building))->assertStatus(202);
        self::assertMatches('api.schema.json#/$defs/archive_reading', self::decoded($answer)->reading);
        $id = $answer->json('reading.id');
        self::assertIsString($id);
        $told = $this->getJson("/api/projects/import/$id")->assertOk();
        $told->assertJsonPath('reading.state', 'done')->assertJsonPath('reading.done', 450);
        $copy = Project::query()->whereKey($told->json('reading.project'))->firstOrFail()->buildings()->firstOrFail();
        self::assertSame([450, 450, $text], [$copy->current, $copy->revisions()->count(), $copy->latest()->text]);
        self::assertSame([], (array) glob(storage_path('app/private/archives/*')));
        $this->actingAs($this->person('Bede Osier'));
        $this->getJson("/api/projects/import/$id")->assertStatus(404);
    }

    public function testALargeFileThatIsSpoiltNearItsEndLeavesNothing(): void
    {
        $file = $this->long($this->buildingOf($this->person()));
        $zip = new ZipArchive;
        $zip->open($file);
        $zip->addFromString('buildings/01-weigh-office/00440.json', '{');
        $zip->close();
        $id = $this->import($file)->assertStatus(202)->json('reading.id');
        self::assertIsString($id);
        $this->getJson("/api/projects/import/$id")
            ->assertJsonPath('reading.state', 'refused')
            ->assertJsonPath('reading.problems.0.path', 'buildings/01-weigh-office/00440.json');
        self::assertSame([1, 1], [Project::query()->count(), Building::query()->count()]);
        self::assertSame([], (array) glob(storage_path('app/private/archives/*')));
    }

    /** The archive of a building that has been given 450 revisions. */
    private function long(Building $building): string
    {
        $first = array_diff_key($building->latest()->getAttributes(), ['id' => true]);
        $rows = [];
        for ($i = 2; $i <= 450; $i++) {
            $rows[] = ['number' => $i, 'client_id' => (string) Str::uuid(), 'stands_for' => $i, 'before' => $i - 1] + $first;
        }
        Revision::query()->insert($rows);
        $building->update(['current' => 450]);

        return $this->archiveOf($building->project_id);
    }

    /** As many revisions as are allowed are read, and not one more. */
    public function testAllTheRevisionsThatAreAllowedAreRead(): void
    {
        foreach ([10_000 => true, 10_001 => false] as $count => $isRead) {
            $revisions = [];
            for ($i = 1; $i <= $count; $i++) {
                $revisions[] = [
                    'number' => $i, 'client_id' => (string) Str::uuid(), 'summary' => 'x', 'name' => null, 'note' => null,
                    'kind' => 'edit', 'stands_for' => $i,
                    'before' => $i > 1 ? $i - 1 : null, 'redo' => [], 'parts_changed' => 0, 'is_sound' => true, 'faults' => [],
                    'at' => '2026-11-28T10:00:00Z',
                ];
            }
            $building = ['folder' => 'buildings/01-x', 'name' => 'x', 'revisions' => $revisions, 'prints' => [], 'pieces' => []];
            $text = (string) json_encode(['format' => ExportProject::FORMAT, 'version' => 1, 'name' => 'x', 'buildings' => [$building]]);
            try {
                self::assertSame([$isRead, $count], [true, count(Manifest::read($text)->buildings[0]['revisions'])]);
            } catch (InvalidInput $e) {
                self::assertSame(
                    [$isRead, 'project.json.buildings.0.revisions', 'too-many'],
                    [false, $e->problems[0]->path, $e->problems[0]->code],
                );
            }
        }
    }

    public function testAFileThatCallsAFaultyRevisionSoundIsNotBelieved(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '17ft']]);
        $this->edit($building, 2, [['op' => 'set', 'path' => 'note', 'value' => 'still too far']]);
        $file = $this->archiveOf($building->project_id);
        $zip = new ZipArchive;
        $zip->open($file);
        $zip->addFromString(
            'project.json',
            str_replace('"is_sound": false', '"is_sound": true', (string) $zip->getFromName('project.json')),
        );
        $zip->close();
        $copy = $this->import($file)->assertStatus(201)->json('project.buildings.0.id');
        self::assertIsString($copy);
        $this->getJson("/api/buildings/$copy")->assertOk()->assertJsonPath('derived_from', 1)->assertJsonPath('revision.is_sound', false);
    }

    public function testWhatIsNoArchiveIsRefused(): void
    {
        $this->actingAs($this->person());
        $file = (string) tempnam(sys_get_temp_dir(), 'no');
        file_put_contents($file, 'not a zip');
        $this->import($file)
            ->assertStatus(422)
            ->assertJsonPath('problems.0.text', 'this is no archive of a project; choose a file that was downloaded as one');
        $this->postJson('/api/projects/import')->assertStatus(422);
    }

    private function archiveOf(string $project): string
    {
        $answer = $this->get("/api/projects/$project/archive")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename=harbour-end.chartula.zip');
        $file = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($file, $answer->streamedContent());

        return $file;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function import(string $file): TestResponse
    {
        return $this->post(
            '/api/projects/import',
            ['archive' => new UploadedFile($file, 'harbour-end.chartula.zip', 'application/zip', null, true)],
            ['Accept' => 'application/json'],
        );
    }
}
