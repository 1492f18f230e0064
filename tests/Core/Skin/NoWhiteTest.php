<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Placement;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Sheets\Bleed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnePicture;

/** Every covering as a printer prints it: ink on all of a paper and a millimetre beyond every cut, so that no white shows. */
final class NoWhiteTest extends TestCase
{
    private const DOTS = 200;

    private const BEYOND_MM = 1.0;

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function provideCoverings(): iterable
    {
        foreach (Finish::cases() as $finish) {
            if ($finish->isDrawn()) {
                yield $finish->words() => [$finish->value, []];
            }
        }
        yield 'soot and damp' => ['brick-english', ['methods.skin.soot' => 90, 'methods.skin.damp' => 90]];
        yield 'sides of openings of something else' => [
            'brick-flemish', ['styles.sash.lining' => 'render', 'styles.door.lining' => 'brick-header'],
        ];
        yield 'joints printed wider' => ['brick-stretcher', ['methods.skin.joints' => 'widened', 'scale' => '1:115']];
        yield 'a paper of one’s own' => ['brick-flemish', ['papers' => [(object) self::scan()->said(['up' => '21mm'])]] + array_fill_keys(
            array_map(static fn (int $i): string => "blocks.0.walls.$i.paper", range(0, 3)),
            'scan',
        )];
    }

    /** @param  array<string, mixed>  $more  of the document */
    #[DataProvider('provideCoverings')]
    public function testThereIsInkBeyondEveryCut(string $finish, array $more): void
    {
        $kind = Finish::from($finish);
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $all = $more + ($kind->isForWalls() ? array_fill_keys(
            array_map(static fn (int $i): string => "blocks.0.walls.$i.finish", range(0, 3)),
            $finish,
        ) : []) + ($kind->isForRoofs() ? ['blocks.0.roof.finish' => $finish] : []);
        foreach ($all as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }
        $derived = Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document));
        $tried = 0;
        foreach (['front.paper', 'left.paper', 'front-slope.carrier-paper'] as $id) {
            $part = array_values(array_filter(
                $derived->kit->parts,
                static fn (LabelledPart $p): bool => $p->part->id === "main.$id",
            ))[0] ?? null;
            if ($part !== null) {
                self::assertSame([], self::whitePlaces($part), $id);
                $tried++;
            }
        }
        self::assertGreaterThan(0, $tried);
    }

    private static function scan(): OnePicture
    {
        return OnePicture::of(620, 420, 21, 62);
    }

    /** @return list<string> the first places, in the part's own frame, where nothing is printed though something is cut near by */
    private static function whitePlaces(LabelledPart $part): array
    {
        $art = $part->part->art ?? self::fail('nothing is printed');
        $box = Bleed::box($part->part);
        $drawing = new Drawing($box->width(), $box->height(), 'x');
        $symbol = ArtSymbol::bleeding($part, $art);
        $drawing->place($symbol, new Placement($symbol->id, 1.0, 0.0, 0.0, 1.0, 0.0, 0.0));
        $file = (string) tempnam(sys_get_temp_dir(), 'ink');
        file_put_contents($file, PdfWriter::write([$drawing], 'x', 0, self::scan()));
        $ppm = (new Process(['pdftoppm', '-r', (string) self::DOTS, $file]))->mustRun()->getOutput();
        unlink($file);
        if (preg_match('/^P6\s+(\d+)\s+(\d+)\s+255\s/', $ppm, $head) !== 1) {
            self::fail('no picture');
        }
        [$width, $height, $pixels] = [(int) $head[1], (int) $head[2], substr($ppm, strlen($head[0]))];
        $region = $part->part->region();
        $white = [];
        for ($row = 2; $row < $height - 2; $row += 3) {
            for ($column = 2; $column < $width - 2; $column += 3) {
                $at = 3 * ($row * $width + $column);
                if (ord($pixels[$at]) < 250 || ord($pixels[$at + 1]) < 250 || ord($pixels[$at + 2]) < 250) {
                    continue;
                }
                $place = new Vec2(
                    $box->x0 + ($column + 0.5) * 25.4 / self::DOTS,
                    $box->y0 + ($height - $row - 0.5) * 25.4 / self::DOTS,
                );
                $isNear = $region->contains($place) || min(array_map(
                    static fn (Ring $ring): float => $ring->distanceTo($place),
                    $region->rings(),
                )) < self::BEYOND_MM;
                array_push($white, ...$isNear ? [sprintf('%.1f, %.1f', $place->x, $place->y)] : []);
            }
        }

        return array_slice($white, 0, 5);
    }
}
