<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Revision;
use App\Models\StoredKit;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Support\Kits;

final class HistoryTest extends ApiTestCase
{
    public function testUndoAndRedoWalkTheRevisionsAndAppendToThem(): void
    {
        $building = $this->buildingOf($this->person());
        foreach (['10ft', '11ft', '12ft'] as $i => $eaves) {
            $this->edit($building, $i + 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => $eaves]])->assertStatus(201);
        }
        $eaves = fn (int $base, string $what): string => $this->eaves($this->change($building, $base, [$what => true]));
        self::assertSame('11ft', $eaves(4, 'undo'));
        self::assertSame('10ft', $eaves(5, 'undo'));
        self::assertSame('11ft', $eaves(6, 'redo'));
        self::assertSame('10ft', $eaves(7, 'undo'));
        self::assertSame('9ft 6in', $eaves(8, 'undo'));
        $this->change($building, 9, ['undo' => true])->assertStatus(422)->assertJsonPath('problems.0.text', 'there is nothing to undo');
        self::assertSame(['10ft', '11ft', '12ft'], [$eaves(9, 'redo'), $eaves(10, 'redo'), $eaves(11, 'redo')]);
        $this->change($building, 12, ['redo' => true])->assertStatus(422)->assertJsonPath('problems.0.text', 'there is nothing to redo');
        // Nothing was taken away on the way, and every step says what it did.
        self::assertSame(12, Revision::query()->count());
        $this->getJson("/api/buildings/$building->id/revisions")
            ->assertJsonPath('revisions.0.summary', 'done again: eaves from 11ft to 12ft')
            ->assertJsonPath('revisions.0.kind', 'redo')->assertJsonPath('revisions.7.summary', 'undone: eaves from 11ft to 12ft');
    }

    public function testSomethingNewEndsWhatCouldBeRedone(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']])
            ->assertJsonPath('history', ['undo' => 'eaves from 9ft 6in to 10ft', 'redo' => null]);
        $this->change($building, 2, ['undo' => true])->assertJsonPath('history', ['undo' => null, 'redo' => 'eaves from 9ft 6in to 10ft']);
        $this->edit($building, 3, [['op' => 'set', 'path' => 'name', 'value' => 'Tally office']])
            ->assertJsonPath('history', ['undo' => 'name from Weigh office to Tally office', 'redo' => null]);
        $this->change($building, 4, ['undo' => true])->assertJsonPath('history.undo', null)->assertJsonPath('name', 'Weigh office');
    }

    public function testHistorySaysWhatChangedAndHowManyParts(): void
    {
        $building = $this->buildingOf($this->person());
        // The window's wall in face, core and paper; its frame and glass stay as they are.
        $this->edit($building, 1, [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]])
            ->assertJsonPath('revision.summary', 'front, sash w1: from 2ft 6in to 3ft 3in')->assertJsonPath('revision.parts_changed', 3);
        $this->edit($building, 2, [['op' => 'set', 'path' => 'note', 'value' => 'nothing that is cut']])
            ->assertJsonPath('revision.parts_changed', 0);
        $this->edit(
            $building,
            3,
            [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '17ft']],
        )->assertJsonPath('revision.parts_changed', null);
        $history = $this->getJson("/api/buildings/$building->id/revisions");
        self::assertMatches('api.schema.json#/$defs/revisions', self::decoded($history));
        $history->assertJsonPath('total', 4)->assertJsonCount(4, 'revisions');
        $this->getJson("/api/buildings/$building->id/revisions?before=3")
            ->assertJsonCount(2, 'revisions')
            ->assertJsonPath('revisions.0.number', 2);
    }

    public function testGoesBackToAnyRevisionAndNamesIt(): void
    {
        $building = $this->buildingOf($this->person());
        $this->patchJson("/api/buildings/$building->id/revisions/1", ['name' => 'As surveyed'])
            ->assertOk()
            ->assertJsonPath('revision.name', 'As surveyed');
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']]);
        $this->change($building, 2, ['restore' => 1])
            ->assertStatus(201)
            ->assertJsonPath('revision.summary', 'back to “As surveyed”, revision 1')
            ->assertJsonPath('history.undo', 'back to “As surveyed”, revision 1');
        self::assertSame(Kits::exampleText('weigh-office'), $building->refresh()->latest()->text);
        self::assertSame('10ft', $this->eaves($this->change($building, 3, ['undo' => true])));
        $this->change($building, 4, ['restore' => 99])->assertStatus(422)->assertJsonPath('problems.0.text', 'there is no revision 99');
        $this->patchJson("/api/buildings/$building->id/revisions/1", ['name' => null])->assertJsonPath('revision.name', null);
    }

    public function testComparesTwoRevisionsInWordsAndParts(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '14ft 3in']]);
        $this->edit($building, 2, [['op' => 'set', 'path' => 'methods.base', 'value' => 'none']]);
        $answer = $this->getJson("/api/buildings/$building->id/revisions/1/compare/3")->assertOk();
        self::assertMatches('api.schema.json#/$defs/comparison', self::decoded($answer));
        $answer->assertJsonPath('changes.0.text', 'base from floor to none')
            ->assertJsonPath('changes.1.text', 'front, door d1: from 14ft to 14ft 3in');
        $parts = $answer->json('parts');
        self::assertIsArray($parts);
        // 76.2 mm of the prototype at 1:76.2.
        self::assertContains(
            ['main.front.core', 1.0],
            array_map(
                static fn (mixed $p): array => is_array($p) ? [$p['id'], is_numeric($p['mm']) ? (float) $p['mm'] : null] : [],
                $parts,
            ),
        );
        self::assertContains(
            ['main.base.floor', 'gone'],
            array_map(static fn (mixed $p): array => is_array($p) ? [$p['id'], $p['kind']] : [], $parts),
        );
        $this->edit($building, 3, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.1.from', 'value' => '17ft']]);
        $this->getJson("/api/buildings/$building->id/revisions/1/compare/4")
            ->assertJsonPath('to.view', null)
            ->assertJsonPath('parts', null)
            ->assertJsonPath('to.faults.0.path', 'blocks.0.walls.0.openings.1.from');
    }

    public function testAConflictSaysHowBothDifferAndSingleChangesGoAcross(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit(
            $building,
            1,
            [
                ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft'],
                ['op' => 'set', 'path' => 'blocks.0.roof.pitch', 'value' => 42],
            ],
        )->assertStatus(201);
        $answer = $this->edit(
            $building,
            1,
            [
                ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '11ft'],
                ['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1],
            ],
        )->assertStatus(409);
        self::assertMatches('api.schema.json#/$defs/conflict', self::decoded($answer));
        $answer->assertJsonPath('differences.theirs.0.text', 'eaves from 9ft 6in to 10ft')
            ->assertJsonPath('differences.theirs.0.clashes', true)
            ->assertJsonPath('differences.theirs.1.clashes', false)
            ->assertJsonPath('differences.mine.0.clashes', true)
            ->assertJsonPath('differences.mine.1.text', 'front, sash w1: from 2ft 6in to 3ft 3in')
            ->assertJsonPath('differences.mine.1.clashes', false);
        $mine = $answer->json('differences.mine.1');
        self::assertIsArray($mine);
        $this->edit($building, 2, [['op' => 'set', 'path' => $mine['path'], 'value' => $mine['after']]])->assertStatus(201)
            ->assertJsonPath('document.blocks.0.eaves', '10ft')
            ->assertJsonPath('document.blocks.0.roof.pitch', 42)
            ->assertJsonPath('document.blocks.0.walls.0.openings.0.from', '3ft 3in');
    }

    public function testAPreviewSavesNothing(): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->postJson(
            "/api/buildings/$building->id/preview",
            ['base' => 1, 'edits' => [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]]],
        )->assertOk();
        self::assertMatches('api.schema.json#/$defs/building', self::decoded($answer));
        $answer->assertJsonPath('revision.number', 1)->assertJsonPath('document.blocks.0.walls.0.openings.0.from', '3ft 3in');
        self::assertEqualsWithDelta(13.0, $answer->json('derived.view.walls.0.openings.0.left.model_mm'), 1e-9);
        self::assertSame([1, 1], [Revision::query()->count(), $building->refresh()->current]);
        $this->postJson("/api/buildings/$building->id/preview", ['base' => 2, 'edits' => []])->assertStatus(422);
    }

    public function testKeptKitsThatNobodyAsksForAreLetGoOf(): void
    {
        $building = $this->buildingOf($this->person());
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft']]);
        StoredKit::of($building->revision(1)->text)->update(['core_version' => 'another']);
        Artisan::call('chartula:prune-kits');
        self::assertSame(1, StoredKit::query()->count());
        $this->app->forgetScopedInstances();
        $this->getJson("/api/buildings/$building->id/revisions/1/compare/2")->assertOk();
        self::assertSame(2, StoredKit::query()->count(), 'derived again when it is asked for');
    }

    public function testATabThatWorksForSomebodyElseIsNotListenedTo(): void
    {
        $building = $this->buildingOf($this->person());
        $bede = $this->person('Bede Osier');
        $edits = ['client_id' => (string) Str::uuid(), 'base' => 1, 'edits' => [['op' => 'set', 'path' => 'name', 'value' => 'X']]];
        $this->postJson("/api/buildings/$building->id/revisions", $edits, ['X-Chartula-Person' => (string) $bede->id])
            ->assertStatus(401)
            ->assertJsonPath('message', 'Somebody else is signed in here now.');
        self::assertSame(1, Revision::query()->count());
    }

    /**
     * @param  array<string, mixed>  $change
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function change(Building $building, int $base, array $change): TestResponse
    {
        return $this->postJson("/api/buildings/$building->id/revisions", ['client_id' => (string) Str::uuid(), 'base' => $base] + $change);
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer */
    private function eaves(TestResponse $answer): string
    {
        $answer->assertStatus(201);
        $eaves = $answer->json('document.blocks.0.eaves');

        return is_string($eaves) ? $eaves : '';
    }
}
