<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\Stroke;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Output\CsvWriter;
use Chartula\Core\Output\DxfWriter;
use Chartula\Core\Output\KitFiles;
use Chartula\Core\Output\ObjWriter;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Files for other programs, each opened by a reader that is not ours. */
final class OtherFormatsTest extends TestCase
{
    private const EVIL = "=1+1\n0\nLINE\r\n%%c ; \"x\" é \\P <b>";

    public function testAnotherReaderFindsTheSameLinesInTheDxf(): void
    {
        $drawing = new Drawing(210.0, 297.0, 'Sheet');
        $drawing->path(new Path(Layer::Cut, [Ring::rectangle(13.0, 41.0, 85.0, 79.0)->points], true, new Stroke(0.1)));
        $drawing->line(Layer::Score, new Vec2(13.0, 50.5), new Vec2(85.0, 50.5), new Stroke(0.1));
        $paper = new Drawing(210.0, 297.0, 'Paper', true);
        $paper->path(new Path(Layer::Cut, [Ring::rectangle(10.0, 10.0, 30.25, 20.0)->points], true, new Stroke(0.1)));
        $found = self::python(<<<'PY'
            import ezdxf, json, sys
            d = ezdxf.readfile(sys.argv[1])
            place = lambda v: [round(v.dxf.location.x, 4), round(v.dxf.location.y, 4)]
            rows = [[e.dxf.layer, e.is_closed, [place(v) for v in e.vertices]] for e in d.modelspace().query('POLYLINE')]
            print(json.dumps({'units': d.units, 'errors': len(d.audit().errors), 'rows': rows}))
            PY, DxfWriter::write([$drawing, $paper]));
        self::assertSame([4, 0], [$found['units'], $found['errors']], 'millimetres, and nothing to complain of');
        self::assertEquals([
            ['SHEET', true, [[0, 0], [210, 0], [210, 297], [0, 297]]],
            ['CUT', true, [[13, 41], [85, 41], [85, 79], [13, 79]]],
            ['SCORE', false, [[13, 50.5], [85, 50.5]]],
            // The second sheet stands 210 + 20 to the right.
            ['SHEET', true, [[230, 0], [440, 0], [440, 297], [230, 297]]],
            ['PAPER', true, [[240, 10], [260.25, 10], [260.25, 20], [240, 20]]],
        ], $found['rows']);
    }

    public function testNamesCannotBreakOutOfTheDxf(): void
    {
        $drawing = new Drawing(60.0, 40.0, '');
        $drawing->text(new Text(new Vec2(5.0, 5.0), self::EVIL, 3.0));
        $found = self::python(<<<'PY'
            import ezdxf, json, sys
            from ezdxf.lldxf.encoding import decode_dxf_unicode
            d = ezdxf.readfile(sys.argv[1])
            text = decode_dxf_unicode(d.modelspace().query('TEXT')[0].dxf.text)
            print(json.dumps({'types': [e.dxftype() for e in d.modelspace()], 'text': text, 'errors': len(d.audit().errors)}))
            PY, DxfWriter::write([$drawing]));
        self::assertSame([['POLYLINE', 'TEXT'], 0], [$found['types'], $found['errors']]);
        self::assertSame('=1+1 0 LINE % %c ; "x" é \\P <b>', $found['text']);
    }

    public function testTheCutListIsRfc4180AndHoldsNoFormulas(): void
    {
        $derived = Kits::example('weigh-office');
        $csv = CsvWriter::write($derived->kit->parts, $derived->printed->plan);
        $rows = self::python(
            'import csv, json, sys; print(json.dumps({"rows": list(csv.reader(open(sys.argv[1], newline="", encoding="utf-8")))}))',
            $csv,
        )['rows'];
        self::assertIsArray($rows);
        self::assertCount(23, $rows, 'a heading and 22 shapes');
        // The front core: 18 ft by 9 ft 6 in at 1:76.2, a board of 1.05 with its label of 0.12 on sheet 2.
        self::assertContains(
            ['W2', 'main.front.core', 'Front wall, core', 'shell', 'greyboard-1', '1.17', '1', '72.00', '38.00'],
            array_map(static fn (mixed $r): array => is_array($r) ? array_slice($r, 0, 9) : [], $rows),
        );
        self::assertStringEndsWith("\r\n", $csv);
    }

    #[TestWith(['=SUM(A1)', "'=SUM(A1)"])]
    #[TestWith(['+x', "'+x"])]
    #[TestWith(['-x', "'-x"])]
    #[TestWith(['@x', "'@x"])]
    #[TestWith(['-2.5', '-2.5'])]
    #[TestWith(['a "b", c', '"a ""b"", c"'])]
    public function testCellsAreEscaped(string $given, string $cell): void
    {
        self::assertSame($cell, CsvWriter::cell($given));
    }

    public function testTheModelHasTheVolumeOfItsCard(): void
    {
        $derived = Kits::example('weigh-office');
        $volumes = self::volumes(ObjWriter::write($derived->serialised()));
        self::assertCount(27, $volumes);
        // 72 × 38 × 1.17 of the plain back wall.
        self::assertEqualsWithDelta(72.0 * 38.0 * 1.17, $volumes['main.back.core_1'], 0.5);
        foreach ($derived->kit->parts as $labelled) {
            $part = $labelled->part;
            self::assertEqualsWithDelta(
                $part->region()->area() * $part->thickness,
                $volumes[$part->id.'_1'],
                0.02 * $part->thickness + 0.001 * $part->region()->area(),
                $part->id,
            );
        }
    }

    public function testAnotherReaderOpensTheModel(): void
    {
        $evil = Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'name', self::EVIL));
        $obj = ObjWriter::write($evil->serialised());
        self::assertSame(1, substr_count($obj, '# '));
        $file = self::kept($obj, '.obj');
        $text = (new Process(['assimp', 'info', $file]))->mustRun()->getOutput();
        unlink($file);
        self::assertMatchesRegularExpression('/Meshes:\s+27/', $text);
        // The roof: 72 with a verge of 2 each side.
        self::assertMatchesRegularExpression('/Minimum point\s+\(-2\.000000 /', $text);
        self::assertMatchesRegularExpression('/Maximum point\s+\(74\.000000 /', $text);
    }

    public function testEveryFormatIsTheSameEachTime(): void
    {
        self::assertSame(self::digests(Kits::example('weigh-office')), self::digests(Kits::example('weigh-office')));
    }

    /** @return array<string, string> */
    private static function digests(Derivation $derived): array
    {
        return array_map(md5(...), KitFiles::of($derived, KitFiles::FORMATS));
    }

    /**
     * By the divergence theorem, from nothing but the file's own corners and faces.
     *
     * @return array<string, float> cubic millimetres by object
     */
    private static function volumes(string $obj): array
    {
        $corners = [];
        $volumes = [];
        $name = '';
        foreach (explode("\n", $obj) as $line) {
            $words = explode(' ', $line);
            if ($words[0] === 'o') {
                $volumes[$name = $words[1]] = 0.0;
            } elseif ($words[0] === 'v') {
                $corners[] = array_map(floatval(...), array_slice($words, 1));
            } elseif ($words[0] === 'f') {
                $face = array_map(static fn (string $i): array => $corners[(int) $i - 1], array_slice($words, 1));
                for ($k = 1, $n = count($face); $k < $n - 1; $k++) {
                    [$a, $b, $c] = [$face[0], $face[$k], $face[$k + 1]];
                    $volumes[$name] += (
                        $a[0] * ($b[1] * $c[2] - $b[2] * $c[1]) - $a[1] * ($b[0] * $c[2] - $b[2] * $c[0])
                            + $a[2] * ($b[0] * $c[1] - $b[1] * $c[0])
                    )
                        / 6.0;
                }
            }
        }

        return $volumes;
    }

    /** @return array<array-key, mixed> what the script printed, decoded */
    private static function python(string $script, string $contents): array
    {
        $file = self::kept($contents, '.dxf');
        $answer = json_decode((new Process(['/usr/bin/python3', '-c', $script, $file]))->mustRun()->getOutput(), true);
        unlink($file);
        self::assertIsArray($answer);

        return $answer;
    }

    private static function kept(string $contents, string $ending): string
    {
        $file = sys_get_temp_dir().'/chartula-'.bin2hex(random_bytes(6)).$ending;
        file_put_contents($file, $contents);

        return $file;
    }
}
