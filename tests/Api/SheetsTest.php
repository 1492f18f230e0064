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
            ->assertJsonCount(4, 'sheets');
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
        $this->get("$path/4.svg?packing=quick")->assertOk();
        $this->get("$path/4.svg")->assertNotFound();
        $this->getJson("$path/4/cut?packing=quick")->assertOk();
        $print = fn (array $which): TestResponse => $this->postJson(
            "/api/buildings/$building->id/prints",
            ['client_id' => (string) Str::uuid(), 'sheets' => ['4']] + $which,
        );
        $print(['packing' => 'quick'])->assertStatus(201);
        $print([])->assertStatus(422);
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

    public function testABlockOrAWallIsPrintedAlone(): void
    {
        Queue::fake();
        $building = $this->buildingOf($this->person());
        $pdf = $this->get("/api/buildings/$building->id/sheets.pdf?of=main.front")->assertOk();
        self::assertStringContainsString('-main-front.pdf', (string) $pdf->headers->get('Content-Disposition'));
        $this->getJson("/api/buildings/$building->id/sheets.pdf?of=annex")
            ->assertStatus(422)
            ->assertJsonPath('problems.0.text', 'there is no block or wall “annex”; the blocks are main, and a wall is written as block.wall');
    }
}
