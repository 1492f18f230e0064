<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Project;
use PHPUnit\Framework\Attributes\TestWith;

final class FilesAndLengthsTest extends ApiTestCase
{
    public function testDownloads(): void
    {
        $building = $this->buildingOf($this->person());
        $pdf = $this->get("/api/buildings/$building->id/sheets.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        self::assertSame(
            $pdf->getContent(),
            $this->get("/api/buildings/$building->id/sheets.pdf")->getContent(),
            'the same revision, the same bytes',
        );
        $kit = $this->get("/api/buildings/$building->id/kit.json")->assertOk();
        self::assertMatches('kit.schema.json', self::decoded($kit));
        $this->get("/api/buildings/$building->id/sheets/1.svg?download=1")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename=weigh-office-sheet-1.svg');
        $this->get("/api/buildings/$building->id/parts/main.front.paper.svg?art=1")->assertOk();
        $faces = $this->get("/api/buildings/$building->id/faces?of=main.front.paper,main.front.core")->assertOk();
        self::assertMatches('api.schema.json#/$defs/faces', self::decoded($faces));
        self::assertSame(['main.front.paper'], array_keys((array) $faces->json('faces')), 'what is not printed has none');
        self::assertSame(
            $this->get("/api/buildings/$building->id/parts/main.front.paper.svg?face=1")->getContent(),
            ((array) $faces->json('faces'))['main.front.paper'],
        );
        $all = (array) $this->get("/api/buildings/$building->id/faces")->assertOk()->json('faces');
        self::assertGreaterThan(3, count($all));
        $this->getJson("/api/buildings/$building->id/faces?of=../x")->assertUnprocessable();
        $swatch = $this->get("/api/buildings/$building->id/coverings/pantile.svg")->assertOk();
        self::assertStringContainsString('pantiles', (string) $swatch->getContent());
        $this->get("/api/buildings/$building->id/coverings/thatch.svg")->assertNotFound();
        $this->get("/api/buildings/$building->id/sheets/99.svg")->assertNotFound();
        $this->get("/api/buildings/$building->id/parts/main.attic.svg")->assertNotFound();
    }

    public function testFilesForOtherProgramsAndSimulatedDevices(): void
    {
        $building = $this->buildingOf($this->person());
        foreach ([
            'sheets.dxf' => "  0\nSECTION",
            'cutlist.csv' => 'label,part,name',
            'model.obj' => '# Weigh office',
            'marking-out.pdf' => '%PDF-',
            'templates.pdf' => '%PDF-',
        ] as $file => $begins) {
            $answer = $this->get("/api/buildings/$building->id/$file")
                ->assertOk()
                ->assertHeader('Content-Disposition', "attachment; filename=weigh-office-$file");
            self::assertStringStartsWith($begins, (string) $answer->getContent());
        }
        self::assertStringStartsWith(
            "IN;\nCO\"Weigh office, sheet 1, card-0.5, greyboard-1, card-0.25, acetate-0.2, 210 x 297 mm\";\n",
            (string) $this->get("/api/buildings/$building->id/sheets/1.plt")->assertOk()->getContent(),
        );
        $cut = $this->getJson("/api/buildings/$building->id/sheets/1/cut")
            ->assertOk()
            ->assertJsonPath('findings', [])
            ->assertJsonPath('passes', 2)
            ->assertJsonPath('cuts.1', ['stock' => 'greyboard 1.05 mm', 'passes' => 5]);
        self::assertMatches('api.schema.json#/$defs/cut', self::decoded($cut));
        $png = (string) $this
            ->get("/api/buildings/$building->id/sheets/2/printed.png?across=99.3")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->getContent();
        // A4 at 150 dots an inch.
        self::assertSame([1241, 1754], array_slice((array) getimagesizefromstring($png), 0, 2));
        $this->getJson("/api/buildings/$building->id/sheets/2/printed.png?across=80")->assertStatus(422);
        foreach (['9.plt', '9/cut', '9/printed.png'] as $file) {
            $this->getJson("/api/buildings/$building->id/sheets/$file")->assertNotFound();
        }
    }

    public function testTheFinderWorksWithABuildingAndWithoutOne(): void
    {
        $building = $this->buildingOf($this->person());
        $found = $this->getJson("/api/buildings/$building->id/find?text=".urlencode('7ft 6in'))
            ->assertOk()
            ->assertJsonPath('results.0.copy', '30.00 mm');
        self::assertMatches('api.schema.json#/$defs/found', self::decoded($found));
        $this->getJson("/api/buildings/$building->id/find?text=W2")
            ->assertJsonPath('results.0.to', ['what' => 'part', 'id' => 'main.front.core', 'wall' => 'main.front']);
        $this->getJson('/api/find?scale=1:87.1&text=6ft')->assertJsonPath('results.0.text', '6ft of the real thing is 21.00 mm at 1:87.1');
        $help = $this->getJson('/api/find?text=nonsense')->assertJsonPath('results', []);
        self::assertMatches('api.schema.json#/$defs/found', self::decoded($help));
        $this->getJson('/api/find?scale=87&text=6ft')->assertStatus(422);
    }

    public function testStandsTheLastSoundKitUp(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '17ft']]);
        $stand = $this->getJson("/api/buildings/$building->id/stand")
            ->assertOk()
            ->assertJsonPath('revision', 1)
            ->assertJsonCount(27, 'pieces');
        self::assertMatches('api.schema.json#/$defs/stand', self::decoded($stand));
        $this->getJson("/api/buildings/$building->id/fit")->assertOk()->assertJsonCount(74, 'measures');
        $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) \Illuminate\Support\Str::uuid(), 'base' => 2, 'undo' => true],
        );
        $fit = $this->getJson("/api/buildings/$building->id/fit")->assertOk()->assertJsonCount(74, 'measures');
        self::assertMatches('api.schema.json#/$defs/fit', self::decoded($fit));
    }

    public function testProjectsAreRenamedAndRemovedWithWhatIsInThem(): void
    {
        $user = $this->person();
        $building = $this->buildingOf($user);
        $this->patchJson("/api/projects/$building->project_id", ['name' => 'Salt quay'])
            ->assertOk()
            ->assertJsonPath('project.name', 'Salt quay');
        $this->patchJson("/api/projects/$building->project_id", ['name' => ''])->assertStatus(422);
        $this->deleteJson("/api/projects/$building->project_id")->assertNoContent();
        self::assertSame(0, Project::query()->count() + Building::query()->count());
        $this->getJson("/api/buildings/$building->id")->assertNotFound();
    }

    #[TestWith(['7ft 6in', 'real', 30.0, '2.286m'])]
    #[TestWith(['12br', 'real', 36.0, '2.7432m'])]
    #[TestWith(['1.5mm', 'model', 1.5, '114.3mm'])]
    #[TestWith(['20ft real', 'model', 80.0, '6.096m'])]
    public function testLengthsAreReadWhileTheyAreTyped(string $text, string $world, float $model, string $metric): void
    {
        $lengths = [['text' => '1ft'], ['text' => $text, 'world' => $world]];
        $answer = $this->actingAs($this->person())->postJson('/api/lengths', ['scale' => '1:76.2', 'lengths' => $lengths]);
        $answer->assertOk()->assertJsonPath('readings.1.size.metric', $metric)->assertJsonPath('readings.0.size.model', '4.00 mm');
        self::assertEqualsWithDelta($model, self::figure($answer, 'readings.1.size.model_mm'), 1e-4);
        self::assertMatches('api.schema.json#/$defs/readings', self::decoded($answer));
    }

    public function testWhatIsNoLengthIsSaidAtItsField(): void
    {
        $answer = $this->actingAs($this->person())->postJson(
            '/api/lengths',
            ['scale' => '1:76.2', 'lengths' => [['text' => '18'], ['text' => '1ft']]],
        );
        $answer->assertOk()->assertJsonPath('readings.0.size', null)->assertJsonPath('readings.1.fault', null);
        self::assertStringContainsString('unit', (string) json_encode($answer->json('readings.0.fault')));
        self::assertMatches('api.schema.json#/$defs/readings', self::decoded($answer));
        $scale = $this->postJson('/api/lengths', ['scale' => 'twelve', 'lengths' => [['text' => '1ft']]]);
        $scale->assertStatus(422)->assertJsonPath('problems.0.path', 'scale');
        self::assertMatches('api.schema.json#/$defs/problems', self::decoded($scale));
    }
}
