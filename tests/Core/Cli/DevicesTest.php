<?php

declare(strict_types=1);

namespace Tests\Core\Cli;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Core\Output\GreyPage;
use Tests\Support\Kits;

/** The simulated cutter and printer, run as a person runs them. */
final class DevicesTest extends TestCase
{
    private const DOTS_PER_INCH = 300;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/chartula-devices-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
    }

    /** A printer that prints short is measured, its figure typed, and the next print is right. */
    public function testWhatTheProvingRuleMeasuresMakesTheNextPrintTrue(): void
    {
        $document = (string) json_encode(Kits::box('100mm', '60mm', '40mm', 40.0));
        self::assertEqualsWithDelta(99.3, $this->printedRule($document, '99.3'), 0.1);
        $corrected = str_replace('"scale":"1:1"', '"scale":"1:1","sheets":{"proof":{"x":"99.3mm"}}', $document);
        self::assertEqualsWithDelta(100.0, $this->printedRule($corrected, '99.3'), 0.1);
    }

    public function testTheCutterSaysWhatItDoesAndFindsWhatIsWrong(): void
    {
        self::command(['kit', 'tests/Buildings/halt.json', '--only', 'plt', '--packing', 'quick', '--out', "$this->folder/kit"])->mustRun();
        $good = self::command(['cutter', "$this->folder/kit/sheet-01.plt", '--stock', 'card-0.5', '--out', "$this->folder/order.svg"]);
        self::assertSame(0, $good->run(), $good->getErrorOutput());
        self::assertMatchesRegularExpression('/^20 lines, \d+ min \d\d s$/m', $good->getOutput());
        self::assertStringContainsString('<svg', (string) file_get_contents("$this->folder/order.svg"));
        $small = self::command(['cutter', "$this->folder/kit/sheet-02.plt", '--sheet', '100x100']);
        self::assertSame(1, $small->run());
        self::assertStringContainsString('outside the sheet', $small->getOutput());
        $wrong = self::command(['cutter', '-']);
        $wrong->setInput('not a plotter file;');
        self::assertSame(
            [2, "command.1: “not a plotter file” is not a command a knife can follow; known are IN, CO, SP, PA, PU and PD\n"],
            [$wrong->run(), $wrong->getErrorOutput()],
        );
        self::assertSame(2, self::command(['cutter', "$this->folder/kit/sheet-02.plt", '--stock', 'velvet'])->run());
    }

    public function testThePrinterRefusesWhatItCannotPrint(): void
    {
        $process = self::command(['printer', '-', '--out', $this->folder]);
        $process->setInput('not a PDF');
        self::assertSame([2, "chartula: That is no PDF that can be printed\n"], [$process->run(), $process->getErrorOutput()]);
        self::assertSame(2, self::command(['printer', 'composer.json', '--out', $this->folder, '--across', '80'])->run());
    }

    /** How long the rule across the first page of a document's sheets comes out, mm. */
    private function printedRule(string $document, string $across): float
    {
        $kit = self::command(['kit', '-', '--only', 'pdf', '--out', "$this->folder/kit"]);
        $kit->setInput($document);
        $kit->mustRun();
        self::command([
            'printer', "$this->folder/kit/sheets.pdf", '--out', $this->folder, '--across', $across, '--dpi',
            (string) self::DOTS_PER_INCH, '--page', '1',
        ])->mustRun();
        $page = GreyPage::ofPng((string) file_get_contents("$this->folder/page-01.png"), self::DOTS_PER_INCH / 25.4);
        // The rule lies 4.6 mm above the foot, from 8 mm on; 1.9 mm above its line only its long ticks are met.
        $dark = array_values(array_filter($page->row(297.0 - 6.5), static fn (float $mm): bool => $mm > 6.0 && $mm < 109.5));
        $middle = static fn (array $near): float => array_sum($near) / max(1, count($near));
        $last = $dark[count($dark) - 1];

        return $middle(array_filter($dark, static fn (float $mm): bool => $mm > $last - 1.0))
            - $middle(array_filter($dark, static fn (float $mm): bool => $mm < $dark[0] + 1.0));
    }

    /** @param  list<string>  $words */
    private static function command(array $words): Process
    {
        return new Process(['bin/chartula', ...$words], dirname(__DIR__, 3));
    }
}
