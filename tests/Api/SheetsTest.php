<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Actions\DeriveKit;
use App\Actions\PackedSheets;
use App\Jobs\PackSheets;
use App\Models\StoredKit;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Support\Kits;

/** Sheets as the edit left them, and as a thorough search found them. */
final class SheetsTest extends ApiTestCase
{
    public function testATighterPackingIsLookedForOnceAndThenKept(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person(), Kits::exampleText('halt'));
        $path = "/api/buildings/$building->id/sheets";
        $quick = $this->getJson($path)
            ->assertJsonPath('packing', 'quick')
            ->assertJsonPath('looking', true)
            ->assertJsonCount(3, 'sheets');
        self::assertMatches('api.schema.json#/$defs/laid_sheets', self::decoded($quick));
        $this->getJson($path)->assertJsonPath('looking', true);
        Queue::assertPushed(PackSheets::class, 1);
        $before = $this->get("$path/1.svg")->assertOk()->getContent();

        (new PackSheets($building->id, 1))->handle(app(DeriveKit::class), app(PackedSheets::class));
        $this->getJson($path)
            ->assertJsonPath('packing', 'thorough')
            ->assertJsonPath('looking', false)
            ->assertJsonPath('bound', 3)
            ->assertJsonCount(3, 'sheets');
        Queue::assertPushed(PackSheets::class, 1);
        // What somebody still sees as it was first packed is what is marked, cut and drawn.
        self::assertSame($before, $this->get("$path/1.svg?packing=quick")->assertOk()->getContent());
        self::assertNotSame($before, $this->get("$path/1.svg")->assertOk()->getContent());
        $this->get("$path/4.svg")->assertNotFound();
        $this->getJson("$path/3/cut?packing=quick")->assertOk();
        $print = fn (array $which): TestResponse => $this->postJson(
            "/api/buildings/$building->id/prints",
            $which + ['client_id' => (string) Str::uuid(), 'sheets' => ['3']],
        );
        $print(['packing' => 'quick'])->assertStatus(201);
        // What is printed keeps its number; of what is left the first has the first that is free.
        $this->getJson($path)->assertJsonPath('sheets.2.printed', true)->assertJsonPath('sheets.0.printed', false);
        $print(['sheets' => ['9']])->assertStatus(422);
        $this->get("$path/1.svg?packing=best")->assertStatus(422);
    }

    public function testASearchThatFailedMayBeAskedForAgain(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person());
        $this->getJson("/api/buildings/$building->id/sheets")->assertJsonPath('looking', true);
        (new PackSheets($building->id, 1))->failed(null);
        $this->getJson("/api/buildings/$building->id/sheets")->assertJsonPath('looking', true);
        Queue::assertPushed(PackSheets::class, 2);
        self::assertNull(StoredKit::of($building->latest()->text)->value('packed'));
    }

    public function testNothingIsLookedForOnceItHasBeenEdited(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person());
        $text = $building->latest()->text;
        $this->getJson("/api/buildings/$building->id/sheets")->assertJsonPath('looking', true);
        $this->edit($building, 1, [['op' => 'set', 'path' => 'name', 'value' => 'Another']])->assertStatus(201);
        (new PackSheets($building->id, 1))->handle(app(DeriveKit::class), app(PackedSheets::class));
        self::assertFalse(app(PackedSheets::class)->isKept($text));
        self::assertFalse(app(PackedSheets::class)->isAskedFor($text), 'going back to it asks again');
    }

    public function testABlockOrAWallIsPrintedAlone(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person());
        $pdf = $this->get("/api/buildings/$building->id/sheets.pdf?of=main.front")->assertOk();
        self::assertStringContainsString('-main-front.pdf', (string) $pdf->headers->get('Content-Disposition'));
        $pdf = $this->get("/api/buildings/$building->id/sheets.pdf?only=trial")->assertOk();
        self::assertStringContainsString('-trial.pdf', (string) $pdf->headers->get('Content-Disposition'));
        $this->getJson("/api/buildings/$building->id/sheets.pdf?of=annex")
            ->assertStatus(422)
            ->assertJsonPath('problems.0.text', 'there is no block or wall “annex”; the blocks are main, and a wall is written as block.wall');
    }

    /** After an edit what has been printed and is still good lies where it lay, and only the rest is packed, on sheets after those. */
    public function testPrintedPiecesStayWhereTheyAre(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person());
        $path = "/api/buildings/$building->id/sheets";
        $this->postJson("/api/buildings/$building->id/prints", ['client_id' => (string) Str::uuid(), 'which' => 'all'])->assertStatus(201);
        $before = self::places($this->getJson($path)->assertJsonPath('sheets.0.printed', true)->assertJsonPath('looking', false));
        self::assertCount(27, $before);
        $this->edit($building, 1, [['op' => 'move-opening', 'wall' => 'front', 'id' => 'd1', 'bricks' => 0.25]])->assertStatus(201);
        $laid = $this->getJson($path)->assertOk();
        self::assertMatches('api.schema.json#/$defs/laid_sheets', self::decoded($laid));
        $after = self::places($laid);
        $moved = array_keys(array_diff_assoc($after, $before));
        sort($moved);
        self::assertSame(['main.front.core#0', 'main.front.face#0', 'main.front.paper#0'], $moved, 'what went stale');
        self::assertSame(array_keys($before), array_keys(array_intersect_key($before, $after)), 'and nothing is lost');
        foreach ($moved as $piece) {
            self::assertGreaterThan(2, (int) explode(' ', $after[$piece])[0]);
        }
        // On the printed sheet there is no stale piece any more, and new ones take free numbers.
        $this->get("$path/1.svg")->assertOk();
        self::assertStringNotContainsString('Front wall, face', (string) $this->get("$path/1.svg")->getContent());
        self::assertStringContainsString('sheet 3 of 4', (string) $this->get("$path/3.svg")->assertOk()->getContent());
        $this->get("$path/9.svg")->assertNotFound();
        // Printed again, they stay on their new sheets.
        $stale = ['client_id' => (string) Str::uuid(), 'which' => 'stale'];
        $this->postJson("/api/buildings/$building->id/prints", $stale)->assertStatus(201);
        $last = self::places($this->getJson($path));
        self::assertSame([], array_diff_assoc(array_diff_key($after, array_flip($moved)), $last));
        self::assertSame(27, count($last));
        self::assertSame([true, true, true, true], $this->getJson($path)->json('sheets.*.printed'));
    }

    /**
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     * @return array<string, string> sheet, x, y and turn by piece
     */
    private static function places(TestResponse $answer): array
    {
        /** @var list<array{id: string, parts: list<array{part: string, copy: int, x: float, y: float, turn: int}>}> $sheets */
        $sheets = $answer->json('sheets');
        $places = [];
        foreach ($sheets as $sheet) {
            foreach ($sheet['parts'] as $p) {
                $places["{$p['part']}#{$p['copy']}"] = "{$sheet['id']} {$p['x']} {$p['y']} {$p['turn']}";
            }
        }
        ksort($places);

        return $places;
    }
}
