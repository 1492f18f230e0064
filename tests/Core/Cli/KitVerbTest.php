<?php

declare(strict_types=1);

namespace Tests\Core\Cli;

use Chartula\Core\Building\JsonText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnePicture;

/** `bin/chartula kit`, run as a person runs it. */
final class KitVerbTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/chartula-kit-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->mustRun();
    }

    public function testWritesTheWholeFolder(): void
    {
        $process = self::chartula(['kit', 'tests/Buildings/weigh-office.json', '--out', "$this->folder/kit", '--strict']);
        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $sheets = array_merge(...array_map(static fn (int $n): array => ["sheet-0$n.plt", "sheet-0$n.svg"], range(1, 2)));
        self::assertSame(
            ['cutlist.csv', 'kit.json', 'marking-out.pdf', 'model.obj', ...$sheets, 'sheets.dxf', 'sheets.pdf', 'templates.pdf'],
            self::names("$this->folder/kit"),
        );
        self::assertSame(['kit'], self::names($this->folder), 'nothing temporary is left');
        // A second run replaces its own files and gives the same bytes.
        $before = md5_file("$this->folder/kit/sheets.pdf").md5_file("$this->folder/kit/kit.json");
        self::assertSame(0, self::chartula(['kit', 'tests/Buildings/weigh-office.json', '--out', "$this->folder/kit"])->getExitCode());
        self::assertSame($before, md5_file("$this->folder/kit/sheets.pdf").md5_file("$this->folder/kit/kit.json"));
    }

    /** Two printings of one building can be told apart. */
    public function testEveryPageCarriesItsRevisionAndDate(): void
    {
        $said = function (string ...$more): string {
            $folder = "$this->folder/".self::kit($this->folder, $more);

            return (new Process(['pdftotext', "$folder/sheets.pdf", '-']))->mustRun()->getOutput();
        };
        $text = $said('--revision', 'b 2', '--date', '2026-03-09');
        // Two pages of pictures, the index and two sheets.
        self::assertSame(5, substr_count($text, 'revision b 2, 9 Mar 2026'));
        $digits = substr(hash('sha256', Kits::exampleText('weigh-office')), 0, 8);
        self::assertSame(5, substr_count($said(), "revision $digits"));
        $wrong = self::chartula(['kit', 'tests/Buildings/weigh-office.json', '--date', '2026-02-30', '--out', "$this->folder/wrong"]);
        $words = "chartula: “2026-02-30” is no date; write it like 2026-03-09\n";
        self::assertSame([2, $words], [$wrong->getExitCode(), $wrong->getErrorOutput()]);
    }

    /** Nothing is printed in one colour in silence. */
    public function testPicturesOfPapersAreFoundByWhatTheyHold(): void
    {
        $scan = OnePicture::of(200, 420, 21, 62);
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'papers', [(object) $scan->said()]);
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.paper', 'scan');
        file_put_contents("$this->folder/scan.json", JsonText::encode($document));
        mkdir("$this->folder/pictures");
        $asked = ['kit', "$this->folder/scan.json", '--only', 'svg,pdf', '--out', "$this->folder/scan"];
        $is = function (array $words, string $fault): void {
            $process = self::chartula(array_values(array_filter($words, is_string(...))));
            self::assertSame(2, $process->getExitCode());
            self::assertStringContainsString($fault, $process->getErrorOutput());
            self::assertDirectoryDoesNotExist("$this->folder/scan");
        };
        $is($asked, 'the picture of the paper “Old wall” on the front wall of Office is missing: say with --assets DIR where it lies');
        $is([...$asked, '--assets', "$this->folder/none"], 'is none');
        $is([...$asked, '--assets', "$this->folder/pictures"], 'has the SHA-256 '.$scan->sha256);
        file_put_contents("$this->folder/pictures/any name.bin", $scan->jpeg($scan->sha256));
        $done = self::chartula([...$asked, '--assets', "$this->folder/pictures"]);
        self::assertSame([0, ''], [$done->getExitCode(), $done->getErrorOutput()]);
        self::assertStringContainsString('/Subtype /Image', (string) file_get_contents("$this->folder/scan/sheets.pdf"));
        // What prints nothing does not ask for it.
        $json = self::chartula(['kit', "$this->folder/scan.json", '--only', 'json', '--out', "$this->folder/kit"]);
        self::assertSame(0, $json->getExitCode());
    }

    /** @param  array<string>  $more */
    private static function kit(string $folder, array $more): string
    {
        $name = 'pages'.count($more);
        $words = ['kit', 'tests/Buildings/weigh-office.json', '--only', 'pdf', '--out', "$folder/$name", ...array_values($more)];
        $process = self::chartula($words);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());

        return $name;
    }

    public function testReadsStandardInputAndWritesStandardOutput(): void
    {
        $process = self::chartula(['kit', '-', '--only', 'json', '--out', '-'], Kits::exampleText('weigh-office'));
        self::assertSame(0, $process->getExitCode());
        $kit = json_decode($process->getOutput(), true);
        self::assertIsArray($kit);
        self::assertSame('chartula.kit', $kit['format']);
    }

    public function testRefusesWithEveryFaultAndWritesNothing(): void
    {
        $text = str_replace(['"14ft"', '"pitch": 40', '"1:76.2"'], ['"17ft"', '"pitch": 90', '"76.2"'], Kits::exampleText('weigh-office'));
        $process = self::chartula(['kit', '-', '--out', "$this->folder/kit"], $text);
        self::assertSame(2, $process->getExitCode());
        $lines = explode("\n", trim($process->getErrorOutput()));
        self::assertSame(['scale', 'blocks.0.roof.pitch'], array_map(static fn (string $line): string => explode(':', $line)[0], $lines));
        self::assertSame([], self::names($this->folder));
    }

    public function testStrictStopsAtAPartThatNoPageTakes(): void
    {
        $text = str_replace('"1:76.2"', '"1:20"', Kits::exampleText('weigh-office'));
        self::assertSame(0, self::chartula(['kit', '-', '--only', 'json', '--out', '-'], $text)->getExitCode());
        self::assertSame(1, self::chartula(['kit', '-', '--only', 'json', '--out', '-', '--strict'], $text)->getExitCode());
    }

    public function testDoesNotTouchOtherPeoplesFiles(): void
    {
        mkdir("$this->folder/kit");
        file_put_contents("$this->folder/kit/letter.txt", 'mine');
        $process = self::chartula(['kit', 'tests/Buildings/weigh-office.json', '--out', "$this->folder/kit"]);
        self::assertSame(2, $process->getExitCode());
        self::assertStringContainsString('letter.txt', $process->getErrorOutput());
        self::assertSame(['letter.txt'], self::names("$this->folder/kit"));
        self::assertSame(['kit'], self::names($this->folder));
    }

    /** @param  list<string>  $words */
    #[DataProvider('provideWrongWords')]
    public function testSaysWhatIsWrongWithTheWords(array $words, string $says): void
    {
        $process = self::chartula($words);
        self::assertSame(2, $process->getExitCode());
        self::assertStringContainsString($says, $process->getErrorOutput());
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function provideWrongWords(): iterable
    {
        yield 'no verb of ours' => [['carve'], '“carve” is not a verb'];
        yield 'no folder' => [['kit', 'tests/Buildings/weigh-office.json'], '--out DIR'];
        yield 'no such file' => [['kit', 'nowhere.json', '--out', '/tmp/x'], 'nowhere.json cannot be read'];
        yield 'unknown format' => [['kit', '-', '--only', 'json,stl', '--out', '/tmp/x'], '“stl” is not a format'];
        yield 'a picture on standard output' => [['kit', '-', '--out', '-'], '--only json'];
        yield 'a word too many' => [['kit', 'a', 'b', '--out', '/tmp/x'], '“b” is not understood'];
    }

    /** @param  list<string>  $words */
    private static function chartula(array $words, string $input = ''): Process
    {
        $process = new Process(['bin/chartula', ...$words], dirname(__DIR__, 3), input: $input);
        $process->run();

        return $process;
    }

    /** @return list<string> */
    private static function names(string $folder): array
    {
        return array_values(array_diff(scandir($folder), ['.', '..']));
    }
}
