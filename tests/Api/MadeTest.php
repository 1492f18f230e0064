<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Piece;
use App\Models\Revision;
use App\Models\StoredKit;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

final class MadeTest extends ApiTestCase
{
    public function testWhatIsPrintedGoesStaleWithTheEditThatChangesItAndOnlyThatIsPrintedAgain(): void
    {
        $building = $this->buildingOf($this->person());
        $this->getJson("/api/buildings/$building->id/made")->assertJsonPath(
            'counts',
            ['pieces' => 27, 'printed' => 0, 'cut' => 0, 'papered' => 0, 'fixed' => 0, 'stale' => 0],
        );
        $printed = $this->print($building, ['which' => 'all']);
        $printed->assertStatus(201)
            ->assertJsonPath('counts.printed', 27)
            ->assertJsonPath('counts.stale', 0)
            ->assertJsonPath('prints.0.what', 'all sheets');
        self::assertMatches('api.schema.json#/$defs/made', self::decoded($printed));

        $this->edit($building, 1, [['op' => 'move-opening', 'wall' => 'front', 'id' => 'd1', 'bricks' => 0.25]])->assertJsonPath(
            'made',
            ['key' => 'made', 'over' => 'since the last print', 'text' => '3 pieces stale', 'state' => 'look'],
        );
        $made = $this->getJson("/api/buildings/$building->id/made")->assertJsonPath('counts.stale', 3);
        self::assertMatches('api.schema.json#/$defs/made', self::decoded($made));
        $stale = $this->stale($made);
        // A quarter of a brick of 9 in at 1:76.2 is 0.75 mm.
        self::assertSame(
            ['main.front.face' => ['cut', 0.75], 'main.front.core' => ['cut', 0.75], 'main.front.paper' => ['both', 0.75]],
            $stale,
        );

        $pdf = $this->get("/api/buildings/$building->id/sheets.pdf?only=stale")->assertOk();
        self::assertStringContainsString('-stale.pdf', (string) $pdf->headers->get('Content-Disposition'));
        $svg = (string) $this->get("/api/buildings/$building->id/sheets/3.svg?only=stale")->getContent();
        self::assertStringContainsString('Stale pieces, ', $svg, 'headed as what it is, beside the two that are printed');
        self::assertStringContainsString('Front wall, face', $svg);
        self::assertStringNotContainsString('Back wall', $svg);
        $this->get("/api/buildings/$building->id/sheets/5.svg?only=stale")->assertNotFound();

        $this->print($building, ['which' => 'stale'])
            ->assertStatus(201)
            ->assertJsonPath('counts.stale', 0)
            ->assertJsonPath('prints.0.what', 'stale pieces only')
            ->assertJsonPath('prints.0.pieces', 3);
        $this->print($building, ['which' => 'stale'])->assertStatus(422)->assertJsonPath('problems.0.text', 'there is nothing to print');
        $this->getJson("/api/buildings/$building->id")->assertJsonPath('made.text', 'all 27 still good');
    }

    public function testAResentPrintIsMarkedOnceAndSingleSheetsMarkTheirOwnPieces(): void
    {
        $building = $this->buildingOf($this->person());
        $id = (string) Str::uuid();
        $this->print($building, ['sheets' => ['2']], $id)->assertJsonPath('counts.printed', 4)->assertJsonPath('prints.0.what', 'sheet 2');
        $this->print($building, ['sheets' => ['2']], $id)->assertJsonCount(1, 'prints');
        $this->print($building, ['sheets' => ['1', '9']])
            ->assertStatus(422)
            ->assertJsonPath('problems.0.path', 'sheets.1')
            ->assertJsonPath('problems.0.text', 'there is no sheet 9; known are 1, 2');
        self::assertSame(4, Piece::query()->count());
    }

    public function testPiecesAreMarkedStepByStepAndBack(): void
    {
        $building = $this->buildingOf($this->person());
        $this->print($building, ['which' => 'all']);
        $this->mark($building, [['part' => 'main.brace.corner', 'copy' => 0], ['part' => 'main.brace.corner', 'copy' => 3]], 'cut')
            ->assertOk()
            ->assertJsonPath('counts.cut', 2)
            ->assertJsonPath('counts.printed', 27);
        $this->mark($building, [['part' => 'main.brace.corner', 'copy' => 3]], 'fixed')
            ->assertJsonPath('counts.fixed', 1)
            ->assertJsonPath('counts.papered', 1);
        $this->mark($building, [['part' => 'main.brace.corner', 'copy' => 3]], null)
            ->assertJsonPath('counts.printed', 26)
            ->assertJsonPath('counts.fixed', 0);
        $this->mark($building, [['part' => 'main.brace.corner', 'copy' => 4]], 'cut')
            ->assertStatus(422)
            ->assertJsonPath('problems.0.path', 'pieces.0');
        $this->mark($building, [['part' => 'main.brace.corner', 'copy' => 0]], 'burnt')->assertStatus(422);
        // A sheet that is printed again leaves what was cut of it and is still good.
        $this->print($building, ['which' => 'all'])->assertJsonPath('counts.cut', 1);
    }

    /** A new version of the program makes a part otherwise from the same document: said so, and kept as it is where that is wanted. */
    public function testWhatTheProgramChangedIsSaidAndMayBeKept(): void
    {
        $building = $this->buildingOf($this->person());
        $this->print($building, ['which' => 'all']);
        $gable = [['part' => 'main.right.core', 'copy' => 0]];
        $this->mark($building, $gable, 'cut');
        // As an earlier version cut it: no ears.
        $piece = $building->pieces()->where('part', 'main.right.core')->firstOrFail();
        $piece->update([
            'record' => ['cut' => 'older', 'outline' => [[0, 0], [44.38, 0], [44.38, 39.5], [22.19, 58.1], [0, 39.5]]] + $piece->record,
        ]);

        $made = $this->getJson("/api/buildings/$building->id/made")->assertJsonPath('counts.stale', 1);
        self::assertMatches('api.schema.json#/$defs/made', self::decoded($made));
        self::assertSame([['cut', 'program', false]], self::changes($made));
        $this->getJson("/api/buildings/$building->id")->assertJsonPath('made.text', '1 piece stale');

        $kept = $this->keep($building, $gable, true)->assertOk()->assertJsonPath('counts.stale', 0)->assertJsonPath('counts.cut', 1);
        self::assertSame([['cut', 'program', true]], self::changes($kept));
        $this->getJson("/api/buildings/$building->id")->assertJsonPath('made.text', 'all 27 still good');
        // What is kept is not printed again, and a second press changes nothing.
        $this->print($building, ['which' => 'stale'])->assertStatus(422);
        $this->keep($building, $gable, true)->assertOk()->assertJsonPath('counts.stale', 0);
        $this->keep($building, $gable, false)->assertOk()->assertJsonPath('counts.stale', 1);
        $this->keep($building, $gable, true);

        // An edit of it makes it stale again, and that is the edit's doing as well.
        $this->edit($building, 1, [['op' => 'move-opening', 'wall' => 'right', 'id' => 'w1', 'bricks' => 1]]);
        $edited = $this->getJson("/api/buildings/$building->id/made")->assertJsonPath('counts.stale', 3);
        self::assertContains(['cut', 'both', false], self::changes($edited));
        $this->keep($building, $gable, true)->assertStatus(422)->assertJsonPath('problems.0.path', 'pieces.0');
        $this->keep($building, [['part' => 'main.right.face', 'copy' => 0]], true)->assertStatus(422)->assertJsonPath(
            'problems.0.text',
            'only what a new version of the program makes otherwise is kept as it is; “Right wall, face” was changed by an edit, or not at all',
        );
        $this->keep($building, [['part' => 'nothing', 'copy' => 0]], true)->assertStatus(422);
    }

    public function testAsksBeforeAFixedPartGoesStale(): void
    {
        $building = $this->buildingOf($this->person());
        $this->print($building, ['which' => 'all']);
        $this->mark($building, [['part' => 'main.front.core', 'copy' => 0], ['part' => 'main.back.core', 'copy' => 0]], 'fixed');
        $edits = [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]];
        $asked = $this->edit($building, 1, $edits)->assertStatus(409)->assertJsonPath('code', 'fixed');
        self::assertMatches('api.schema.json#/$defs/fixed', self::decoded($asked));
        $asked->assertJsonPath('message', 'This changes a part that is already fixed.')
            ->assertJsonPath('parts.0.id', 'main.front.core')
            ->assertJsonPath('parts.0.text', '2 openings moved 3.00 mm');
        self::assertSame(1, Revision::query()->count());
        $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) Str::uuid(), 'base' => 1, 'edits' => $edits, 'even_fixed' => true],
        )->assertStatus(201);
        // What touches no fixed part is not asked about, and neither is what is stale already.
        $this->edit($building, 2, [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]])->assertStatus(201);
        $this->edit($building, 3, [['op' => 'move-opening', 'wall' => 'right', 'id' => 'w1', 'bricks' => 1]])->assertStatus(201);
    }

    public function testWhatTheKitNoLongerHasIsShownUntilItsSuccessorIsPrinted(): void
    {
        $building = $this->buildingOf($this->person());
        $this->print($building, ['which' => 'all']);
        $this->edit($building, 1, [['op' => 'remove-opening', 'wall' => 'right', 'id' => 'w1']]);
        $made = $this->getJson("/api/buildings/$building->id/made")->assertJsonPath('counts.stale', 5);
        self::assertSame('gone', $this->stale($made)['main.right.frame.w1'][0]);
        $this->print($building, ['which' => 'stale'])->assertJsonPath('counts.stale', 0)->assertJsonPath('counts.pieces', 25);
    }

    public function testAsksAlsoWhenTheKitBeforeIsNotKeptAnyMore(): void
    {
        $building = $this->buildingOf($this->person());
        $this->mark($building, [['part' => 'main.front.core', 'copy' => 0]], 'fixed');
        StoredKit::query()->delete();
        $this->app->forgetScopedInstances();
        $edits = [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]];
        $this->edit($building, 1, $edits)->assertStatus(409)->assertJsonPath('code', 'fixed');
        StoredKit::query()->delete();
        $this->app->forgetScopedInstances();
        $this->postJson(
            "/api/buildings/$building->id/revisions",
            ['client_id' => (string) Str::uuid(), 'base' => 1, 'edits' => $edits, 'even_fixed' => true],
        )
            ->assertStatus(201)->assertJsonPath('revision.parts_changed', 3)->assertJsonPath('made.text', '1 piece stale');
    }

    public function testFewerInARowAreGoneAndClearedWithNothingToPrint(): void
    {
        $building = $this->buildingOf($this->person());
        $glass = 'main.front.glazing.w1';
        $this->mark($building, [['part' => $glass, 'copy' => 0], ['part' => $glass, 'copy' => 1]], 'cut')->assertJsonPath('counts.cut', 2);
        // One window of the two: its frame and glass are cut once instead of twice.
        $this->edit(
            $building,
            1,
            [['op' => 'repeat-opening', 'wall' => 'front', 'id' => 'w1', 'count' => 1]],
        )->assertJsonPath('made.text', '1 piece stale');
        $this->getJson("/api/buildings/$building->id/made")->assertJsonPath('counts.stale', 1);
        $this->print($building, ['which' => 'stale'])->assertStatus(201)->assertJsonPath('counts.stale', 0)->assertJsonCount(0, 'prints');
    }

    /** What is printed keeps its label on screens, sheets and lists when an edit counts its part otherwise; what is new takes another. */
    public function testALabelOncePrintedStaysWithItsPart(): void
    {
        $building = $this->buildingOf($this->person());
        $label = function (string $part) use ($building): ?string {
            /** @var array{derived: array{kit: array{parts: list<array{id: string, label: string}>}}} $answer */
            $answer = $this->getJson("/api/buildings/$building->id")->assertOk()->json();

            return array_column($answer['derived']['kit']['parts'], 'label', 'id')[$part] ?? null;
        };
        $before = $label('main.right.frame.w1');
        $this->print($building, ['which' => 'all']);
        $this->edit($building, 1, [['op' => 'add-opening', 'wall' => 'back']])->assertStatus(201);
        $this->edit($building, 2, [['op' => 'set', 'path' => 'blocks.0.walls.0.openings.0.id', 'value' => 'w9']])->assertStatus(201);
        self::assertSame([$before, $before], ['F2', $label('main.right.frame.w1')]);
        self::assertNotContains($label('main.front.frame.w9'), ['F1', 'F2', null]);
        $csv = (string) $this->get("/api/buildings/$building->id/cutlist.csv")->assertOk()->getContent();
        self::assertStringContainsString('F2,main.right.frame.w1', $csv);
        self::assertStringContainsString($label('main.front.frame.w9').',main.front.frame.w9', $csv);
    }

    /**
     * @param  array<string, mixed>  $which
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function print(Building $building, array $which, ?string $id = null): TestResponse
    {
        return $this->postJson("/api/buildings/$building->id/prints", ['client_id' => $id ?? (string) Str::uuid()] + $which);
    }

    /**
     * @param  list<array{part: string, copy: int}>  $pieces
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function mark(Building $building, array $pieces, ?string $state): TestResponse
    {
        return $this->patchJson("/api/buildings/$building->id/pieces", ['pieces' => $pieces, 'state' => $state]);
    }

    /**
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $made
     * @return array<string, array{string, float}> kind and millimetres by part
     */
    private function stale(TestResponse $made): array
    {
        $stale = [];
        foreach ($made->json('pieces') as $piece) { // @phpstan-ignore foreach.nonIterable
            if (is_array($piece) && is_array($piece['change'])) {
                self::assertIsString($piece['part']);
                self::assertIsString($piece['change']['kind']);
                self::assertIsNumeric($piece['change']['mm']);
                $stale[$piece['part']] = [$piece['change']['kind'], (float) $piece['change']['mm']];
            }
        }

        return $stale;
    }

    /**
     * @param  list<array{part: string, copy: int}>  $pieces
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function keep(Building $building, array $pieces, bool $kept): TestResponse
    {
        return $this->patchJson("/api/buildings/$building->id/pieces/kept", ['pieces' => $pieces, 'kept' => $kept]);
    }

    /**
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $made
     * @return list<array{string, ?string, bool}> what is changed in each piece that is, by whom, and whether it is kept
     */
    private static function changes(TestResponse $made): array
    {
        /** @var list<array{change: ?array{kind: string}, by: ?string, kept: bool}> $pieces */
        $pieces = $made->json('pieces');

        return array_values(array_map(
            static fn (array $p): array => [$p['change']['kind'] ?? '', $p['by'], $p['kept']],
            array_filter($pieces, static fn (array $p): bool => $p['change'] !== null),
        ));
    }
}
