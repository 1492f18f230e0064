<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Opening;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Rows of openings in bays, storeys they are measured from, and places they keep out of. At 1:1, a wall of 72 mm. */
final class RowsTest extends TestCase
{
    public function testThreeOf12In72(): void
    {
        // Between margins of 9 the gaps are 9; in equal bays of 24 the centres are 12, 36, 60.
        self::assertSame(
            [9.0, 30.0, 51.0],
            self::lefts([['id' => 'r', 'style' => 'pane', 'sill' => '10mm', 'count' => 3, 'margin' => '9mm']]),
        );
        self::assertSame([6.0, 30.0, 54.0], self::lefts([['id' => 'r', 'style' => 'pane', 'sill' => '10mm', 'count' => 3]]));
        self::assertSame([30.0], self::lefts([['style' => 'pane', 'sill' => '10mm', 'count' => 1]]));
    }

    /** What is kept free may be touched, on either side, and not be entered: docs/formats.md. */
    #[TestWith(['9mm', '12mm', true])]
    #[TestWith(['21mm', '9mm', true])]
    #[TestWith(['20.9mm', '9mm', false])]
    #[TestWith(['0mm', '9.1mm', false])]
    public function testAnOpeningMayTouchWhatIsKeptFree(string $from, string $width, bool $mayStand): void
    {
        // The pane stands from 9 to 21.
        $keep = $from === '9mm' ? [['from' => '0mm', 'width' => '9mm']] : [['from' => $from, 'width' => $width]];
        $pane = [(object) ['id' => 'w', 'style' => 'pane', 'from' => '9mm', 'sill' => '10mm']];
        try {
            self::assertCount(1, self::openings([], $keep, ['blocks.0.walls.0.openings' => $pane]));
            self::assertTrue($mayStand, 'It was taken');
        } catch (InvalidInput $e) {
            self::assertSame([false, 'opening.kept-out'], [$mayStand, $e->problems[0]->code]);
        }
        $row = [['id' => 'r', 'style' => 'pane', 'sill' => '10mm', 'count' => 3, 'margin' => '9mm']];
        self::assertSame($mayStand ? [9.0, 30.0, 51.0] : [30.0, 51.0], self::lefts($row, $keep));
    }

    public function testARowLeavesOutWhatWouldComeIntoWhatIsKeptFree(): void
    {
        self::assertSame(
            [9.0, 51.0],
            self::lefts(
                [['id' => 'r', 'style' => 'pane', 'sill' => '10mm', 'count' => 3, 'margin' => '9mm']],
                [['from' => '35mm', 'width' => '2mm', 'why' => 'a downpipe']],
            ),
        );
    }

    public function testASillIsMeasuredFromItsStorey(): void
    {
        $openings = self::openings(
            [['style' => 'pane', 'storey' => 'first', 'sill' => '3mm', 'count' => 2]],
            [],
            ['blocks.0.base' => '2mm', 'blocks.0.storeys' => [(object) ['id' => 'first', 'floor' => '22mm', 'height' => '15mm']]],
        );
        self::assertSame(23.0, $openings[0]->sill->mm, '22 and 3 above the datum, the base 2 above it');
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  list<array<string, string>>  $keep
     */
    #[DataProvider('provideWhatCannotBe')]
    public function testWhatCannotBe(array $rows, array $keep, string $code): void
    {
        try {
            self::openings(
                $rows,
                $keep,
                ['blocks.0.walls.0.openings' => [(object) ['id' => 'w', 'style' => 'pane', 'from' => '2mm', 'sill' => '25mm']]],
            );
            self::fail('it was taken');
        } catch (InvalidInput $e) {
            self::assertSame([$code], array_map(static fn (Problem $p): string => $p->code, $e->problems), $e->getMessage());
            self::assertStringNotContainsString('{', $e->problems[0]->text());
        }
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<array<string, string>>, string}> */
    public static function provideWhatCannotBe(): iterable
    {
        yield 'too many' => [[['style' => 'pane', 'sill' => '10mm', 'count' => 7]], [], 'row.no-room'];
        yield 'no such storey' => [[['style' => 'pane', 'storey' => 'attic', 'sill' => '10mm', 'count' => 2]], [], 'unknown-storey'];
        yield 'an opening in what is kept free' => [[], [['from' => '10mm', 'width' => '5mm']], 'opening.kept-out'];
        yield 'no such style' => [[['style' => 'rose', 'sill' => '10mm', 'count' => 2]], [], 'unknown-style'];
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  list<array<string, string>>  $keep
     * @return list<float>
     */
    private static function lefts(array $rows, array $keep = []): array
    {
        return array_map(static fn (Opening $o): float => round($o->from->mm, 6), self::openings($rows, $keep));
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  list<array<string, string>>  $keep
     * @param  array<string, mixed>  $more
     * @return list<Opening>
     */
    private static function openings(array $rows, array $keep, array $more = []): array
    {
        $document = Kits::box('72mm', '48mm', '40mm', 40.0);
        $document->styles = (object) ['pane' => (object) ['kind' => 'window', 'w' => '12mm', 'h' => '10mm']];
        $object = static fn (array $o): stdClass => (object) $o;
        $document = BuildingGenerator::with(
            $document,
            'blocks.0.walls',
            [(object) ['edge' => 'front', 'rows' => array_map($object, $rows), 'keep' => array_map($object, $keep)]],
        );
        foreach ($more as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return BuildingReader::fromDocument($document)->blocks[0]->walls[0]->openings;
    }
}
