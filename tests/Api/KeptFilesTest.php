<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Actions\DeriveKit;
use App\Actions\KeptFiles;
use App\Actions\PackedSheets;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Derivation;
use Chartula\Core\Packing\Effort;
use Chartula\Core\PrintedKit;
use Illuminate\Support\Facades\File;
use LogicException;

/** What an unchanged building gives is not worked out again. */
final class KeptFilesTest extends ApiTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        File::deleteDirectory(KeptFiles::folder());
    }

    public function testFilesOfAnUnchangedBuildingAreSentAsTheyWereAndNothingIsDerived(): void
    {
        $building = $this->buildingOf($this->person());
        $paths = [
            'sheets.pdf', 'sheets/1.svg', 'sheets/1.svg?screen=1', 'parts/main.front.core.svg', 'kit.json', 'sheets.dxf',
            'cutlist.csv', 'model.obj', 'fit', 'stand', 'section?across=x&at=10', 'coverings/slate.svg',
        ];
        $first = array_map(
            fn (string $path): string => (string) $this->get("/api/buildings/$building->id/$path")->assertOk()->getContent(),
            $paths,
        );
        self::assertNotSame($first[1], $first[2], 'hairlines are thicker on a screen');
        $this->app?->instance(DeriveKit::class, new class(new PackedSheets) extends DeriveKit
        {
            public function execute(Described $building, string $text): string
            {
                throw new LogicException('derived again');
            }

            public function derivation(string $text, ?Effort $packing = null): Derivation
            {
                throw new LogicException('derived again');
            }

            public function printed(string $text, ?Effort $packing = null): PrintedKit
            {
                throw new LogicException('derived again');
            }
        });
        foreach ($paths as $i => $path) {
            self::assertSame($first[$i], $this->get("/api/buildings/$building->id/$path")->assertOk()->getContent(), $path);
        }
        $this->get("/api/buildings/$building->id/section?across=x&at=11")->assertStatus(500);
        // What is kept is nobody's but the machine's own.
        foreach (File::allFiles(KeptFiles::folder()) as $file) {
            self::assertSame('0700', substr(sprintf('%o', (int) fileperms($file->getPath())), -4));
        }
    }

    public function testAnotherRevisionAndAnotherPersonGetTheirOwn(): void
    {
        $building = $this->buildingOf($this->person());
        $before = $this->get("/api/buildings/$building->id/sheets/1.svg")->assertOk()->getContent();
        $this->edit($building, 1, [['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '11ft']])->assertStatus(201);
        self::assertNotSame($before, $this->get("/api/buildings/$building->id/sheets/1.svg")->assertOk()->getContent());
        self::assertSame($before, $this->get("/api/buildings/$building->id/sheets/1.svg?r=1")->assertOk()->getContent());
        $this->actingAs($this->person('Bede Osier'));
        $this->get("/api/buildings/$building->id/sheets/1.svg")->assertStatus(404);
    }

    public function testNoMoreIsKeptThanTheBoundAndTheOldestGoes(): void
    {
        $kept = $this->app?->make(KeptFiles::class) ?? self::fail();
        foreach (['a', 'b', 'c'] as $i => $what) {
            $kept->of('{}', $what, static fn (): string => str_repeat($what, 1000));
        }
        foreach (File::allFiles(KeptFiles::folder()) as $file) {
            touch($file->getPathname(), time() - (str_starts_with($file->getContents(), 'a') ? 100 : 0));
        }
        $kept->bound(2500);
        self::assertCount(2, File::allFiles(KeptFiles::folder()));
        self::assertSame('new', $kept->of('{}', 'a', static fn (): string => 'new'));
        self::assertSame(str_repeat('c', 1000), $kept->of('{}', 'c', static fn (): string => 'new'));
    }
}
