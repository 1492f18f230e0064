<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Http\Resources\RevisionResource;
use App\Models\Building;
use App\Models\Piece;
use App\Models\Project;
use App\Models\Revision;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use ZipArchive;

final class ArchiveTest extends ApiTestCase
{
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
        yield 'numbers out of order' => [['buildings' => [['revisions' => [['number' => 4]]]]], 'buildings.0.revisions.0'];
        yield 'a piece that is none' => [
            ['buildings' => [['pieces' => [['part' => 'x', 'copy' => 0, 'state' => 'cut', 'print' => null, 'record' => ['id' => 5]]]]]],
            'buildings.0.pieces.0.record',
        ];
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
