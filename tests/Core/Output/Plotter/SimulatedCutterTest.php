<?php

declare(strict_types=1);

namespace Tests\Core\Output\Plotter;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Output\Plotter\CutterDrawing;
use Chartula\Core\Output\Plotter\PlotterWriter;
use Chartula\Core\Output\Plotter\SimulatedCutter;
use Chartula\Core\Output\Plotter\Stroke;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

final class SimulatedCutterTest extends TestCase
{
    private const SHEET = [210.0, 297.0];

    /** A rectangle of 10 × 20 mm at (30, 40), as a knife's file has it. */
    private const RECTANGLE = 'PU1200,1600;PD1600,1600,1600,2400,1200,2400,1200,1600;';

    public function testTimesALineByItsLengthPassesAndTravel(): void
    {
        $run = SimulatedCutter::run('IN;SP2;'.self::RECTANGLE.'PU;SP0;', self::SHEET);
        self::assertCount(1, $run->strokes);
        self::assertSame([60.0, 1, true], [$run->strokes[0]->length(), $run->strokes[0]->passes, $run->strokes[0]->isClosed()]);
        // Tool 15 s, lift 0.2, 50 mm of travel at 120 mm/s, 60 mm at 25 mm/s.
        self::assertEqualsWithDelta(15.0 + 0.2 + 50.0 / 120.0 + 60.0 / 25.0, $run->seconds, 1e-9);
    }

    public function testCountsPassesRoundAndRoundAndThereAndBack(): void
    {
        $twice = SimulatedCutter::run(
            'SP2;PU1200,1600;PD1600,1600,1600,2400,1200,2400,1200,1600;PD1200,2400,1600,2400,1600,1600,1200,1600;',
            self::SHEET,
        );
        self::assertSame([[60.0, 2]], self::lengths($twice));
        $slit = SimulatedCutter::run('SP2;PU400,400;PD800,400;PD400,400;PD800,400;', self::SHEET);
        self::assertSame([[10.0, 3]], self::lengths($slit));
    }

    /** @param  non-empty-string  $finding */
    #[DataProvider('provideSpoilt')]
    public function testFindsWhatWouldSpoilTheSheet(string $file, ?int $passes, string $finding): void
    {
        $needed = $passes === null ? null : static fn (): int => $passes;
        self::assertSame([$finding], SimulatedCutter::run($file, self::SHEET, $needed)->findings);
    }

    /** @return iterable<string, array{string, ?int, non-empty-string}> */
    public static function provideSpoilt(): iterable
    {
        yield 'over the edge' => ['SP2;PU8000,400;PD8440,400;', null, 'Line 1 goes 1.00 mm outside the sheet, at 211.0, 10.0.'];
        yield 'below the edge' => ['SP1;PU400,-20;PD400,400;', null, 'Line 1 goes 0.50 mm outside the sheet, at 10.0, -0.5.'];
        yield 'not through' => ['SP2;'.self::RECTANGLE, 5, 'Line 1 is cut 1 times; this stock needs 5.'];
        yield 'an opening after its outline' => [
            'SP2;'.self::RECTANGLE.'PU1300,1700;PD1400,1700,1400,1800,1300,1700;',
            null,
            'Line 2 is made in a piece that line 1 has already cut loose.',
        ];
        yield 'a score after its outline' => [
            'SP2;'.self::RECTANGLE.'PU;SP1;PU1200,2000;PD1600,2000;',
            null,
            'Line 2 is made in a piece that line 1 has already cut loose.',
        ];
    }

    public function testANeighbourOfACutPieceIsNotLoose(): void
    {
        self::assertSame(
            [],
            SimulatedCutter::run('SP2;'.self::RECTANGLE.'PU1700,1600;PD2100,1600,2100,2400,1700,2400,1700,1600;', self::SHEET)->findings,
        );
    }

    #[TestWith(['IN;SP2;ES0.2;', 'command.3', 'plotter.unknown'])]
    #[TestWith(['PU10;', 'command.1', 'plotter.odd'])]
    #[TestWith(['PU10,ten;', 'command.1', 'plotter.unknown'])]
    #[TestWith(['CO"a;b";PR1,1;', 'command.2', 'plotter.unknown'])]
    public function testRefusesWhatAKnifeShouldNotGuess(string $file, string $path, string $code): void
    {
        try {
            SimulatedCutter::run($file, self::SHEET);
            self::fail('It was run');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }

    #[Group('property')]
    public function testEverySheetOfGeneratedBuildingsIsCutAsItShouldBe(): void
    {
        $sheets = 0;
        foreach (range(1, Sample::isDeep() ? 100 : 10) as $seed) {
            $derived = Kits::of((new BuildingGenerator($seed))->document());
            foreach ($derived->printed->plan->sheets as $sheet) {
                $run = SimulatedCutter::run(
                    PlotterWriter::write($sheet, $derived->building->name),
                    [$sheet->page->width, $sheet->page->height],
                    $sheet->passesAt(...),
                );
                self::assertSame([], $run->findings, "seed $seed, sheet $sheet->number");
                $cut = array_sum(
                    array_map(static fn (Stroke $s): float => $s->tool === PlotterWriter::CUT ? $s->length() : 0.0, $run->strokes),
                );
                $wanted = 0.0;
                foreach ($sheet->parts as $placed) {
                    $part = $placed->part->part;
                    foreach ([...$part->region()->rings()] as $ring) {
                        $wanted += $ring->perimeter();
                    }
                    foreach ($part->slits as [$a, $b]) {
                        $wanted += $a->distanceTo($b);
                    }
                }
                self::assertEqualsWithDelta($wanted, $cut, 0.002 * $wanted + 0.1, "seed $seed, sheet $sheet->number");
                $sheets++;
            }
        }
        self::assertGreaterThan(25, $sheets);
    }

    public function testFoldsOfTheOtherSideAreLeftToTheHandAndSaid(): void
    {
        $derived = Kits::example('weigh-office');
        // The ridge strip is scored on its face; its template goes on the back, so the face lies down. All cards share a page.
        $strip = SimulatedCutter::run(PlotterWriter::write($derived->printed->plan->sheets[0], 'Weigh office'), self::SHEET);
        self::assertSame(
            [
                'Weigh office, sheet 1, card-0.5, greyboard-1, card-0.25, acetate-0.2, 210 x 297 mm',
                '1 fold is scored on the other side of this sheet, by hand',
                'from here on greyboard-1', 'from here on card-0.25', 'from here on acetate-0.2',
            ],
            $strip->notes,
        );
        self::assertSame(
            [PlotterWriter::CUT],
            array_values(array_unique(array_map(static fn (Stroke $s): int => $s->tool, $strip->strokes))),
        );
        // With the template on the front the same fold is scored, before anything is cut.
        $front = Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'methods.template.side', 'front'));
        $tools = array_map(
            static fn (Stroke $s): int => $s->tool,
            SimulatedCutter::run(PlotterWriter::write($front->printed->plan->sheets[0], 'x'), self::SHEET)->strokes,
        );
        self::assertSame(1, count(array_keys($tools, PlotterWriter::SCORE, true)));
        $at = (int) array_search(PlotterWriter::SCORE, $tools, true);
        $around = [$tools[$at - 1], $tools[$at + 1]];
        self::assertSame([PlotterWriter::CUT, PlotterWriter::CUT], $around, 'after the greyboard, before the strip');
    }

    public function testNamesCannotBreakOutOfAComment(): void
    {
        $derived = Kits::of(
            BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'name', "A\";PU0,0;PD9999,9999;\n\x03é"),
        );
        $file = PlotterWriter::write($derived->printed->plan->sheets[0], $derived->building->name);
        self::assertSame('CO"A PU0,0 PD9999,9999 , sheet 1, card-0.5, greyboard-1, card-0.25, acetate-0.2, 210 x 297 mm";', explode("\n", $file)[1]);
        self::assertSame([], SimulatedCutter::run($file, self::SHEET)->findings);
    }

    /** Another reader of plotter files draws the sheet as wide as it is. */
    public function testAnotherReaderUnderstandsTheFile(): void
    {
        $file = sys_get_temp_dir().'/chartula-'.bin2hex(random_bytes(6)).'.plt';
        file_put_contents($file, PlotterWriter::write(Kits::example('weigh-office')->printed->plan->sheets[1], 'Weigh office'));
        $process = (new Process(['hp2xx', '-m', 'eps', '-t', '-f', "$file.eps", $file]))->mustRun();
        unlink($file);
        $eps = (string) file_get_contents("$file.eps");
        unlink("$file.eps");
        self::assertStringNotContainsString('unknown', strtolower($process->getErrorOutput()));
        if (preg_match('/%%BoundingBox:\s*(\d+) (\d+) (\d+) (\d+)/', $eps, $box) !== 1) {
            self::fail($eps);
        }
        // The plot's own extent in points: from the floor's left edge at 17 mm to the roof's right one.
        [$x0, $x1] = [INF, -INF];
        foreach (Kits::example('weigh-office')->printed->plan->sheets[1]->parts as $part) {
            [$x0, $x1] = [min($x0, $part->x), max($x1, $part->x + $part->width())];
        }
        self::assertEqualsWithDelta(($x1 - $x0) * 72.0 / 25.4, (int) $box[3] - (int) $box[1], 3.0);
    }

    public function testTheDrawingNumbersEveryLine(): void
    {
        $run = SimulatedCutter::run('SP1;PU400,400;PD800,400;PU;SP2;'.self::RECTANGLE, self::SHEET);
        $svg = SvgWriter::write(CutterDrawing::of($run, self::SHEET));
        self::assertStringContainsString('>1</text>', $svg);
        self::assertStringContainsString('>2</text>', $svg);
        self::assertStringContainsString('M30 40L40 40L40 60L30 60L30 40', $svg);
    }

    /** @return list<array{float, int}> */
    private static function lengths(SimulatedCutter $run): array
    {
        return array_map(static fn (Stroke $s): array => [$s->length(), $s->passes], $run->strokes);
    }
}
