<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Building;
use App\Models\Picture;
use Chartula\Core\Building\JsonText;
use GdImage;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnePicture;
use ZipArchive;

/** Pictures of papers of one's own: taken in, kept for their owner, printed, and carried in archives. */
final class PicturesTest extends ApiTestCase
{
    /** @param  callable(GdImage): mixed  $write */
    #[DataProvider('provideKinds')]
    public function testOneIsTakenInAndWrittenAnew(callable $write, string $name): void
    {
        $building = $this->buildingOf($this->person());
        $image = imagecreatetruecolor(120, 80);
        imagefill($image, 0, 0, 0x804020);
        imageresolution($image, 400, 400);
        ob_start();
        $write($image);
        $sent = (string) ob_get_clean();
        // Whatever its name says.
        $picture = self::said($this->send($building, $sent, $name)->assertStatus(201));
        self::assertSame([120, 80], $picture['pixels']);
        self::assertEqualsWithDelta(0x80, hexdec(substr($picture['tone'], 1, 2)), 4);
        $kept = Picture::query()->firstOrFail();
        $jpeg = (string) base64_decode($kept->jpeg, true);
        self::assertSame([$picture['sha256'], strlen($jpeg)], [hash('sha256', $jpeg), $kept->bytes]);
        self::assertSame('image/jpeg', getimagesizefromstring($jpeg)['mime'] ?? '');
        $shown = $this->get("/api/buildings/$building->id/pictures/{$picture['sha256']}.jpg")->assertOk();
        self::assertSame('image/jpeg', $shown->headers->get('Content-Type'));
        // Sent again it is the same one.
        $this->send($building, $sent, $name)->assertStatus(201)->assertJsonPath('picture.sha256', $picture['sha256']);
        self::assertSame(1, Picture::query()->count());
    }

    /** @return iterable<string, array{callable(GdImage): mixed, string}> */
    public static function provideKinds(): iterable
    {
        yield 'a JPEG' => [static fn (GdImage $i): bool => imagejpeg($i), 'wall.jpg'];
        yield 'a PNG called otherwise' => [static fn (GdImage $i): bool => imagepng($i), 'wall.jpg'];
        yield 'a WebP' => [static fn (GdImage $i): bool => imagewebp($i), 'wall.webp'];
    }

    /** A file says how fine it was scanned, or 300 dots an inch stand in for that. */
    public function testItsResolutionIsItsOwn(): void
    {
        $building = $this->buildingOf($this->person());
        foreach ([400 => 25.4 / 400, 96 => 25.4 / 300] as $dots => $mm) {
            $image = imagecreatetruecolor(20, 20);
            imageresolution($image, $dots, $dots);
            ob_start();
            imagejpeg($image);
            $size = $this->send($building, (string) ob_get_clean(), 'a.jpg')->json('picture.mm_per_pixel');
            self::assertIsArray($size);
            self::assertEqualsWithDelta([$mm, $mm], $size, 1e-6);
        }
    }

    /** Held upright when it was taken, as a camera notes it: 40 by 20 lying comes out 20 by 40. */
    public function testItStandsAsItWasHeld(): void
    {
        $image = imagecreatetruecolor(40, 20);
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        $exif = "Exif\0\0MM\0*".pack('N', 8).pack('n', 1).pack('nnNnn', 0x0112, 3, 1, 6, 0).pack('N', 0);
        $held = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        $picture = self::said($this->send($this->buildingOf($this->person()), $held, 'wall.jpg')->assertStatus(201));
        self::assertSame([20, 40], $picture['pixels']);
        self::assertStringNotContainsString('Exif', (string) base64_decode(Picture::query()->firstOrFail()->jpeg, true));
    }

    /** Those that no revision names go where room is wanted; where that is not enough, it is said. */
    public function testThereIsAnEndToThem(): void
    {
        $building = $this->buildingOf($this->person());
        $row = ['user_id' => $building->project->user_id, 'jpeg' => '', 'small' => '', 'created_at' => now()->subDay()];
        Picture::query()->insert(['sha256' => str_repeat('a', 64), 'bytes' => 96 * 1024 * 1024] + $row);
        $this->send($building, self::jpeg(), 'a.jpg')->assertStatus(201);
        self::assertSame(1, Picture::query()->count(), 'the one that nothing names is gone');
        Picture::query()->insert(['sha256' => str_repeat('b', 64), 'bytes' => 96 * 1024 * 1024] + $row);
        $said = ['id' => 'p1', 'name' => 'x', 'sha256' => str_repeat('b', 64), 'pixels' => [9, 9], 'mm_per_pixel' => [1, 1]];
        $this->edit($building, 1, [['op' => 'set', 'path' => 'papers.=p1', 'value' => $said]])->assertStatus(201);
        $this->send($building, self::jpeg(0x112233), 'b.jpg')->assertStatus(422)->assertJsonPath('problems.0.code', 'picture.quota');
        self::assertSame(1, Picture::query()->where('sha256', str_repeat('b', 64))->count());
    }

    #[DataProvider('provideBad')]
    public function testWhatIsNoneIsRefused(string $bytes, string $words): void
    {
        $building = $this->buildingOf($this->person());
        $answer = $this->send($building, $bytes, 'wall.png')->assertStatus(422);
        self::assertStringContainsString($words, (string) json_encode($answer->json('problems'), JSON_UNESCAPED_UNICODE));
        self::assertSame(0, Picture::query()->count());
    }

    /** @return iterable<string, array{string, string}> */
    public static function provideBad(): iterable
    {
        $png = static function (int $w, int $h): string {
            $header = pack('NNCCCCC', $w, $h, 8, 2, 0, 0, 0);
            $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));

            return "\x89PNG\r\n\x1a\n".$chunk('IHDR', $header).$chunk('IDAT', (string) gzcompress('')).$chunk('IEND', '');
        };
        yield 'words' => ['no picture at all', 'choose a JPEG, PNG or WebP file'];
        yield 'a drawing' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'choose a JPEG'];
        // It is refused by what it says of itself, before four hundred million bytes are taken up for it.
        yield 'a hundred megapixels' => [$png(10_000, 10_000), 'has 100 million pixels; up to 16'];
        yield 'a dot' => [$png(3, 3), 'has 3 × 3 pixels'];
        yield 'cut off' => [$png(300, 300), 'cannot be read to its end'];
    }

    public function testItIsItsOwnersAlone(): void
    {
        $mine = $this->buildingOf($this->person());
        $sha = $this->send($mine, self::jpeg(), 'a.jpg')->json('picture.sha256');
        self::assertIsString($sha);
        $theirs = $this->buildingOf($this->person('Bede Osier'));
        $this->get("/api/buildings/$theirs->id/pictures/$sha.jpg")->assertNotFound();
        $this->get("/api/buildings/$mine->id/pictures/$sha.jpg")->assertNotFound();
        $this->send($mine, self::jpeg(), 'a.jpg')->assertNotFound();
    }

    /** Nothing is printed in one colour in silence; screens show what they can, and all of it as soon as the picture is there. */
    public function testPagesNeedIt(): void
    {
        $scan = OnePicture::of(200, 420, 21, 62);
        $building = $this->buildingOf($this->person(), JsonText::encode(self::document($scan)));
        $at = "/api/buildings/$building->id";
        $this->getJson("$at/sheets.pdf")->assertStatus(422)->assertJsonPath('problems.0.code', 'picture.missing')
            ->assertJsonPath('problems.0.path', 'papers.0');
        $this->getJson("$at/sheets/2.svg?download=1")->assertStatus(422);
        $shown = fn (): string => (string) $this->get("$at/parts/main.back.paper.svg?art=1")->assertOk()->getContent();
        $this->getJson("$at/sheets")->assertJsonPath(
            'missing.0', 'the picture of the paper “Old wall” on the back wall of Office is not here; choose it again under Skin',
        );
        self::assertStringNotContainsString('data:image', $shown());
        Picture::query()->insert([
            'user_id' => $building->project->user_id, 'sha256' => $scan->sha256, 'bytes' => 1, 'created_at' => now(),
            'jpeg' => base64_encode((string) $scan->jpeg($scan->sha256)), 'small' => base64_encode((string) $scan->jpeg($scan->sha256)),
        ]);
        $this->getJson("$at/sheets")->assertJsonPath('missing', []);
        self::assertStringContainsString('/Subtype /Image', (string) $this->get("$at/sheets.pdf")->assertOk()->getContent());
        self::assertStringContainsString('data:image', $shown());
        self::assertStringContainsString('data:image\/jpeg', (string) $this->getJson("$at/faces?r=1")->assertOk()->getContent());
    }

    public function testAnArchiveCarriesThemAndRefusesOthers(): void
    {
        $building = $this->buildingOf($this->person());
        $picture = self::said($this->send($building, self::jpeg(), 'a.jpg'));
        $this->edit($building, 1, [
            ['op' => 'set', 'path' => 'papers.=p1', 'value' => ['id' => 'p1', 'name' => 'Old wall', ...$picture]],
            ['op' => 'set', 'path' => 'blocks.0.walls.2.paper', 'value' => 'p1'],
        ])->assertStatus(201)->assertJsonPath('faults', []);
        // Taken out again: what was undone can be done again elsewhere, too.
        $this->edit($building, 2, [
            ['op' => 'set', 'path' => 'blocks.0.walls.2.paper', 'value' => null], ['op' => 'set', 'path' => 'papers.0', 'value' => null],
        ])->assertStatus(201);
        $file = (string) tempnam(sys_get_temp_dir(), 'archive');
        $response = $this->get("/api/projects/$building->project_id/archive")->assertOk();
        ob_start();
        $response->baseResponse->sendContent();
        file_put_contents($file, (string) ob_get_clean());
        $name = "papers/{$picture['sha256']}.jpg";

        $other = $this->person('Bede Osier');
        $this->actingAs($other);
        $this->import($file)->assertStatus(201);
        self::assertSame(1, Picture::query()->where('user_id', $other->id)->where('sha256', $picture['sha256'])->count());
        // One that is not what its name says, and one that is no picture.
        foreach ([self::jpeg(0x00FF00), 'nothing'] as $bytes) {
            $zip = new ZipArchive;
            $zip->open($file);
            $zip->addFromString($name, $bytes);
            $zip->close();
            $this->import($file)->assertStatus(422)->assertJsonPath('problems.0.path', $name);
        }
        unlink($file);
    }

    /**
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     * @return array{sha256: string, pixels: mixed, mm_per_pixel: mixed, tone: string}
     */
    private static function said(TestResponse $answer): array
    {
        $picture = $answer->json('picture');
        self::assertIsArray($picture);
        self::assertIsString($picture['sha256']);
        self::assertIsString($picture['tone']);

        return [
            'sha256' => $picture['sha256'], 'pixels' => $picture['pixels'], 'mm_per_pixel' => $picture['mm_per_pixel'],
            'tone' => $picture['tone'],
        ];
    }

    private static function jpeg(int $colour = 0x804020): string
    {
        $image = imagecreatetruecolor(40, 30);
        imagefill($image, 0, 0, $colour);
        ob_start();
        imagejpeg($image);

        return (string) ob_get_clean();
    }

    private static function document(OnePicture $scan): stdClass
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'papers', [(object) $scan->said()]);

        return BuildingGenerator::with($document, 'blocks.0.walls.2.paper', 'scan');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function send(Building $building, string $bytes, string $name): TestResponse
    {
        $file = UploadedFile::fake()->createWithContent($name, $bytes);

        return $this->post("/api/buildings/$building->id/pictures", ['picture' => $file], ['Accept' => 'application/json']);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function import(string $file): TestResponse
    {
        $archive = new UploadedFile($file, 'a.zip', 'application/zip', null, true);

        return $this->post('/api/projects/import', ['archive' => $archive], ['Accept' => 'application/json']);
    }
}
