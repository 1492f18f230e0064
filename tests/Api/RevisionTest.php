<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Revision;
use App\Models\StoredKit;
use Chartula\Core\Building\StarterShape;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Kits;

final class RevisionTest extends ApiTestCase
{
    public function testAnEditBecomesARevisionWithItsKit(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->edit($building, 1, [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1, 'courses' => -0.25]]);
        $answer->assertStatus(201)
            ->assertJsonPath('revision.number', 2)
            ->assertJsonPath('revision.summary', 'front, sash w1: from 2ft 6in to 3ft 3in, sill from 2ft 9in to 2ft 8 1/4in')
            ->assertJsonPath('derived_from', 2)->assertJsonPath('faults', [])
            ->assertJsonPath('document.blocks.0.walls.0.openings.0.from', '3ft 3in');
        // 3 ft 3 in / 76.2 = 13 mm
        self::assertEqualsWithDelta(13.0, $answer->json('derived.view.walls.0.openings.0.left.model_mm'), 1e-9);
        self::assertMatches('api.schema.json#/$defs/building', self::decoded($answer));
        self::assertMatches('kit.schema.json', $answer->json('derived.kit'));
        self::assertSame(2, Revision::query()->count());
    }

    public function testAResendIsAnsweredAgainAndNotSavedTwice(): void
    {
        $building = $this->buildingOf($this->person());
        $id = (string) Str::uuid();
        $edits = [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']];
        $this->edit($building, 1, $edits, $id)->assertStatus(201)->assertJsonPath('revision.number', 2);
        $this->edit($building, 1, $edits, $id)->assertStatus(200)->assertJsonPath('revision.number', 2);
        self::assertSame(2, Revision::query()->count());
    }

    public function testAnotherBaseIsAConflictWithBothVersions(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']])->assertStatus(201);
        $answer = $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '11ft']]);
        $answer->assertStatus(409)
            ->assertJsonPath('theirs.number', 2)
            ->assertJsonPath('theirs.document.blocks.0.eaves', '10ft')
            ->assertJsonPath('sent.edits.0.value', '11ft');
        self::assertMatches('api.schema.json#/$defs/conflict', self::decoded($answer));
        self::assertSame(2, Revision::query()->count());
    }

    public function testARevisionMayHoldFaultsAndTheLastSoundKitStays(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '17ft']])->assertStatus(201)
            ->assertJsonPath('revision.is_sound', false)->assertJsonPath('derived_from', 1)
            ->assertJsonPath('faults.0.path', 'blocks.0.walls.0.openings.1.from')
            ->assertJsonPath('faults.0.text', 'the opening ends 685.8 mm past the wall’s end; the wall is 5486.4 mm long');
        $this->get("/api/buildings/$building->id/sheets.pdf")
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename=weigh-office-r1.pdf');
        $this->getJson("/api/buildings/$building->id/kit.json")->assertOk();
        $this->edit($building, 2, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '14ft']])
            ->assertStatus(201)
            ->assertJsonPath('derived_from', 3);
        self::assertSame(2, StoredKit::query()->count(), 'two texts were sound');
    }

    /** @param  list<array<string, mixed>>  $edits */
    #[DataProvider('provideBadEdits')]
    public function testAnEditThatCannotBeMadeChangesNothing(array $edits, string $path): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, $edits)->assertStatus(422)->assertJsonPath('problems.0.path', $path);
        self::assertSame(1, Revision::query()->count());
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function provideBadEdits(): iterable
    {
        yield 'unknown' => [[['op' => 'paint']], 'edits.0.op'];
        yield 'gone' => [[['op' => 'move-opening', 'wall' => 'front', 'id' => 'w9', 'bricks' => 1]], 'edits.0.id'];
        yield 'no such field' => [[['op' => 'set', 'path' => 'blocks.4.eaves', 'value' => '1ft']], 'edits.0.path'];
        yield 'no such wall' => [[['op' => 'add-opening', 'wall' => 'north']], 'edits.0.wall'];
        yield 'the second of two' => [
            [['op' => 'add-opening', 'wall' => 'back'], ['op' => 'repeat-opening', 'wall' => 'back', 'id' => 'w1', 'count' => 'two']],
            'edits.1.count',
        ];
    }

    public function testOpeningsAreAddedCopiedRepeatedAndRemoved(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->edit($building, 1, [
            ['op' => 'add-opening', 'wall' => 'back', 'style' => 'sash'],
            ['op' => 'copy-opening', 'wall' => 'back', 'id' => 'w1'],
            ['op' => 'repeat-opening', 'wall' => 'right', 'id' => 'w1', 'count' => 1],
            ['op' => 'remove-opening', 'wall' => 'front', 'id' => 'd1'],
        ])->assertStatus(201)->assertJsonPath('faults', []);
        $walls = $answer->json('derived.view.walls');
        self::assertIsArray($walls);
        self::assertSame(
            [2, 1, 2, 0],
            array_map(static fn (mixed $w): int => is_array($w) && is_array($w['openings']) ? count($w['openings']) : -1, $walls),
        );
        self::assertTrue($answer->json('derived.dry_fit.ok'));
    }

    public function testAWholeDocumentIsKeptAsItWasSent(): void
    {
        $building = $this->buildingOf($this->person());
        $text = str_replace('"Weigh office"', '"Weigh office,  <b>=1+1</b>"', Kits::exampleText('weigh-office'));
        $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) Str::uuid(), 'base' => 1, 'document' => $text],
        )->assertStatus(201);
        $file = $this->get("/api/buildings/$building->id/document");
        self::assertSame($text, $file->getContent());
        self::assertStringContainsString(
            'attachment; filename=weigh-office-b11b.building.json',
            (string) $file->headers->get('Content-Disposition'),
        );
        $svg = (string) $this->get("/api/buildings/$building->id/sheets/1.svg")->getContent();
        self::assertStringContainsString('Weigh office,  &lt;b&gt;=1+1&lt;/b&gt;', $svg);
        self::assertStringNotContainsString('<b>', $svg);
        $this->getJson("/api/buildings/$building->id/revisions")
            ->assertJsonPath('revisions.0.summary', 'name from Weigh office to Weigh office,  <b>=1+1</b>')
            ->assertJsonPath('revisions.1.summary', 'begun');
    }

    public function testTextThatIsNoDocumentIsRefused(): void
    {
        $user = $this->person();
        $project = $this->projectOf($user);
        foreach (['{"a": 1, "a": 2}' => 'a', '[1]' => '', '{"a": ' => ''] as $text => $path) {
            $this->actingAs($user)->postJson(
                "/api/projects/$project->id/buildings",
                ['client_id' => (string) Str::uuid(), 'document' => $text],
            )
                ->assertStatus(422)->assertJsonPath('problems.0.path', $path);
        }
        $this->getJson('/api/projects')->assertJsonPath('projects.0.buildings', []);
    }

    public function testANewBuildingIsSoundFromItsNameOn(): void
    {
        $user = $this->person();
        $project = $this->projectOf($user);
        $this->actingAs($user)->postJson("/api/projects/$project->id/buildings", ['client_id' => (string) Str::uuid(), 'name' => 'Shelter'])
            ->assertStatus(201)->assertJsonPath('name', 'Shelter')->assertJsonPath('derived.dry_fit.ok', true);
    }

    public function testFormsAreServedAsTheyAreDescribed(): void
    {
        $forms = $this->actingAs($this->person())->getJson('/api/forms')->assertOk();
        self::assertMatches('api.schema.json#/$defs/forms', self::decoded($forms));
        $forms->assertJsonPath('forms.style.0.label', 'called')->assertJsonPath('forms.roof.0.holds.choices.0.value', 'gable');
        $all = ['paper', 'palette', 'style', 'opening', 'roof', 'methods', 'plot', 'relief', 'things', 'things-of-the-plot'];
        self::assertSame($all, array_keys((array) $forms->json('forms')));
    }

    public function testANewBuildingBeginsInTheShapeThatIsChosen(): void
    {
        $user = $this->person();
        $project = $this->projectOf($user);
        $shapes = $this->actingAs($user)->getJson('/api/shapes')->assertOk();
        self::assertMatches('api.schema.json#/$defs/shapes', self::decoded($shapes));
        self::assertCount(count(StarterShape::cases()), (array) $shapes->json('shapes'));
        $begin = fn (string $shape): TestResponse => $this->postJson(
            "/api/projects/$project->id/buildings",
            ['client_id' => (string) Str::uuid(), 'name' => 'Stables', 'shape' => $shape],
        );
        $begin('u')->assertStatus(201)
            ->assertJsonPath('name', 'Stables')
            ->assertJsonPath('derived.dry_fit.ok', true)
            ->assertJsonPath('derived.view.plan.blocks.2.name', 'Right wing');
        $begin('pentagram')->assertStatus(422);
        self::assertCount(1, (array) $this->getJson('/api/projects')->json('projects.0.buildings'));
    }
}
