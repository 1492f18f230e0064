<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\Stroke;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\SvgWriter;
use PHPUnit\Framework\TestCase;
use SimpleXMLElement;
use Symfony\Component\Process\Process;
use Tests\Support\Kits;

final class WritersTest extends TestCase
{
    public function testAHundredMillimetresAreAHundredInTheFile(): void
    {
        $drawing = new Drawing(210.0, 297.0, 'Rule');
        $drawing->line(Layer::Cut, new Vec2(13.0, 41.0), new Vec2(113.0, 41.0), new Stroke(0.1));
        $plain = self::laidOpen(PdfWriter::write([$drawing], 'Rule'));
        self::assertSame(1, preg_match('/([\d.]+) ([\d.]+) m ([\d.]+) ([\d.]+) l/', $plain, $m));
        // 100 mm = 283.4646 points; 13 mm = 36.8504; 41 mm = 116.2205.
        self::assertSame([36.8504, 116.2205, 320.315, 116.2205], array_map(floatval(...), array_slice($m, 1)));
        self::assertStringContainsString('/PrintScaling /None', $plain);
    }

    public function testSheetsHaveTheirLayersTheirFontAndTheirSize(): void
    {
        $drawings = Kits::example('weigh-office')->printed->drawings('revision 3');
        if ($drawings === []) {
            self::fail('no sheets');
        }
        $pdf = PdfWriter::write($drawings, 'Weigh office');
        $plain = self::laidOpen($pdf);
        self::assertSame(count(Layer::cases()), preg_match_all('/\/Type \/OCG/', $plain), 'one content group a layer');
        self::assertStringContainsString('DejaVuSansCondensed', self::asked('pdffonts', $pdf));
        self::assertStringContainsString('595.276 x 841.89 pts (A4)', self::asked('pdfinfo', $pdf));
        self::assertLessThan(400_000, strlen($pdf));
        self::assertSame(4, preg_match_all('/\/Subtype \/Form/', $plain), 'the brickwork of each of the four papers is drawn once');
    }

    public function testSvgIsSoundXmlInMillimetresAndEscapesNames(): void
    {
        $drawing = new Drawing(60.0, 40.0, '<script>alert("1")</script> & more');
        $drawing->path(new Path(Layer::Cut, [Ring::rectangle(5.25, 6.5, 25.0, 16.0)->points], true, new Stroke(0.1)));
        $drawing->text(new Text(new Vec2(30.0, 20.0), "=HYPERLINK(\"x\") <b>\x07", 3.0));
        $svg = SvgWriter::write($drawing);
        self::assertStringNotContainsString('<script', $svg);
        self::assertStringNotContainsString('<b>', $svg);
        $xml = new SimpleXMLElement($svg);
        self::assertSame(['60mm', '40mm', '0 0 60 40'], [(string) $xml['width'], (string) $xml['height'], (string) $xml['viewBox']]);
        self::assertStringContainsString('matrix(1 0 0 -1 0 40)', $svg, 'y is flipped once, at the root');
        self::assertStringContainsString('M5.25 6.5L25 6.5L25 16L5.25 16Z', $svg);
    }

    public function testStretchingKeepsTheMiddleOfThePage(): void
    {
        $drawing = new Drawing(200.0, 100.0, '');
        $drawing->line(Layer::Mark, new Vec2(100.0, 50.0), new Vec2(150.0, 90.0), new Stroke(0.1));
        [$from, $to] = $drawing->stretched(1.01, 0.99)->paths(Layer::Mark)[0]->lines[0];
        self::assertEqualsWithDelta([100.0, 50.0, 150.5, 89.6], [$from->x, $from->y, $to->x, $to->y], 1e-9);
    }

    /** The file with its streams laid open. */
    private static function laidOpen(string $pdf): string
    {
        return self::withFile($pdf, static function (string $file): string {
            (new Process(['qpdf', '--qdf', '--object-streams=disable', $file, "$file.open"]))->mustRun();
            $text = (string) file_get_contents("$file.open");
            unlink("$file.open");

            return $text;
        });
    }

    private static function asked(string $program, string $pdf): string
    {
        return self::withFile($pdf, static fn (string $file): string => (new Process([$program, $file]))->mustRun()->getOutput());
    }

    /** @param  callable(string): string  $do */
    private static function withFile(string $pdf, callable $do): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($file, $pdf);
        $text = $do($file);
        unlink($file);

        return $text;
    }
}
