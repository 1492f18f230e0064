<?php

declare(strict_types=1);

namespace Tests\Architecture;

use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The rooms of the core import only rooms before them, and nothing of the framework. docs/architecture.md */
final class RoomsTest extends TestCase
{
    private const ROOMS = [
        'Problem', 'Recall', 'Measure', 'Geometry', 'Stock', 'Field', 'Building', 'Survey', 'Compression', 'Form', 'Mockup',
        'Part', 'Labelling', 'Shell', 'Roof', 'Skin', 'Fillings', 'Trim', 'Things', 'Kit', 'Fit', 'Packing', 'Sheets', 'Drawing',
        'Output', 'Bench',
    ];

    /** What the core may use of the outside: one library, in one room. */
    private const FOREIGN = ['Output' => ['TCPDF']];

    private const OWN_PHP = [
        'SplMinHeap', 'Closure', 'LogicException', 'RuntimeException', 'UnexpectedValueException', 'Throwable', 'JsonException',
        'stdClass', 'GMP', 'Random\Engine\Mt19937', 'Random\Randomizer',
    ];

    #[DataProvider('provideFiles')]
    public function testImportsOnlyRoomsBefore(string $file): void
    {
        $room = explode('/', $file)[0];
        $place = array_search($room, self::ROOMS, true);
        foreach (self::imports($file) as $import) {
            if (in_array($import, ['Chartula\\Core\\Derivation', 'Chartula\\Core\\PrintedKit'], true)) {
                // The way through all rooms: only what writes its results may know it.
                self::assertSame('Output', $room, "$file imports $import");
            } elseif (str_starts_with($import, 'Chartula\\Core\\')) {
                $other = explode('\\', $import)[2];
                $otherPlace = array_search($other, self::ROOMS, true);
                self::assertTrue($place === false || ($otherPlace !== false && $otherPlace <= $place), "$file imports $import");
            } else {
                self::assertContains($import, [...self::OWN_PHP, ...(self::FOREIGN[$room] ?? [])], "$file imports $import");
            }
        }
    }

    /** The dry fit proves the kit only if it knows nothing of how it was made: it reads the kit and the building's document. */
    #[DataProvider('provideFiles')]
    public function testTheDryFitKnowsOnlyTheKitAndTheDocument(string $file): void
    {
        foreach (str_starts_with($file, 'Kit/DryFit/') ? self::imports($file) : [] as $import) {
            self::assertMatchesRegularExpression(
                '/^(Chartula\\\\Core\\\\(Problem|Recall|Measure|Geometry|Stock|Field|Building|Compression|Kit\\\\DryFit)\\\\|[A-Z]\w+$)/',
                $import,
                "$file imports $import",
            );
        }
        self::assertFileExists(self::core().'/'.$file);
    }

    #[DataProvider('provideFiles')]
    public function testHasNoClockNoChanceAndNoOutsideWorld(string $file): void
    {
        $code = (string) file_get_contents(self::core().'/'.$file);
        self::assertStringContainsString('declare(strict_types=1);', $code);
        self::assertDoesNotMatchRegularExpression(
            '/\b(time|microtime|date|rand|mt_rand|random_int|random_bytes|uniqid|getenv|file_get_contents|file_put_contents|fopen|curl_init|exec)\(/',
            $code,
            $file,
        );
    }

    /** A tolerance has a name and a reason, and stands where the others stand. */
    #[DataProvider('provideFiles')]
    public function testHasNoBareTolerance(string $file): void
    {
        $code = (string) file_get_contents(self::core().'/'.$file);
        self::assertSame($file === 'Measure/Tolerance.php' ? 1 : 0, preg_match('/\b\d+e-\d+\b/', $code), $file);
    }

    /** @return iterable<string, array{string}> */
    public static function provideFiles(): iterable
    {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(self::core(), FilesystemIterator::SKIP_DOTS)) as $file) {
            assert($file instanceof SplFileInfo);
            $name = substr($file->getPathname(), strlen(self::core()) + 1);
            yield $name => [$name];
        }
    }

    private static function core(): string
    {
        return dirname(__DIR__, 2).'/core';
    }

    /** @return list<string> */
    private static function imports(string $file): array
    {
        $code = (string) file_get_contents(self::core().'/'.$file);
        self::assertSame(
            0,
            preg_match('/\\\\Chartula\\\\Core\\\\\w+\\\\/', (string) preg_replace('/^(use|namespace) .*$/m', '', $code)),
            "$file names a class without importing it",
        );
        preg_match_all('/^use ([\w\\\\]+)/m', $code, $matches);

        return $matches[1];
    }
}
