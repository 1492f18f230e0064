<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\Difference\DocumentDifference;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class EditsTest extends TestCase
{
    #[TestWith([1, 0, '3ft 3in', '2ft 9in', 'front, sash w1: from 2ft 6in to 3ft 3in'])]
    #[TestWith([-0.25, 0, '2ft 3 3/4in', '2ft 9in', 'front, sash w1: from 2ft 6in to 2ft 3 3/4in'])]
    #[TestWith([0, 2, '2ft 6in', '3ft 3in', 'front, sash w1: sill from 2ft 9in to 3ft 3in'])]
    #[TestWith([-99, 0, '0in', '2ft 9in', 'front, sash w1: from 2ft 6in to 0in'])]
    public function testMovesByBricksAndCourses(float $bricks, float $courses, string $from, string $sill, string $words): void
    {
        $edited = self::apply([['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => $bricks, 'courses' => $courses]]);
        self::assertSame(
            [$from, $sill],
            [self::at($edited->document, 'walls.0.openings.0.from'), self::at($edited->document, 'walls.0.openings.0.sill')],
        );
        self::assertSame($words, DocumentDifference::summary($edited->changes));
    }

    public function testMovesByPlainStepsWhereNoCoursesShow(): void
    {
        $bare = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.walls.0.finish', 'bare');
        // 3in a step, 1in a quarter: 2ft 6in + 3in and 2ft 6in + 1in.
        self::assertSame(
            '2ft 9in',
            self::at(
                self::apply([['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]], $bare)->document,
                'walls.0.openings.0.from',
            ),
        );
        self::assertSame(
            '2ft 7in',
            self::at(
                self::apply([['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 0.25]], $bare)->document,
                'walls.0.openings.0.from',
            ),
        );
    }

    public function testKeepsTheUnitsOfThePerson(): void
    {
        $metric = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.walls.0.openings.0.from', '762mm');
        self::assertSame(
            '990.6mm',
            self::at(
                self::apply([['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 1]], $metric)->document,
                'walls.0.openings.0.from',
            ),
        );
    }

    public function testLeavesTheGivenDocumentAlone(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $before = JsonText::encode($document);
        Edits::apply(
            $document,
            json_decode('[{"op": "set", "path": "name", "value": "Other"}, {"op": "remove-opening", "wall": "front", "id": "w1"}]'),
        );
        self::assertSame($before, JsonText::encode($document));
    }

    public function testAddsWhereThereIsRoomAndCopiesBesideIt(): void
    {
        $edited = self::apply([
            ['op' => 'add-opening', 'wall' => 'back', 'style' => 'sash'],
            ['op' => 'copy-opening', 'wall' => 'back', 'id' => 'w1'],
            ['op' => 'add-opening', 'wall' => 'left', 'style' => 'door'],
        ]);
        self::assertSame('back: sash w1 added, sash w2 added; left: door d1 added', DocumentDifference::summary($edited->changes));
        $derived = Kits::of($edited->document);
        self::assertTrue($derived->dryFit->goesTogether());
        self::assertCount(2, $derived->kit->form->blocks[0]->wall(2)->openings);
    }

    public function testMakesAWallAndAStyleWhereThereAreNone(): void
    {
        $edited = self::apply([['op' => 'add-opening', 'wall' => 'right']], Kits::box('6m', '4m', '3m', 40.0));
        self::assertSame('window', self::at($edited->document, 'walls.0.openings.0.style'));
        self::assertSame('right', self::at($edited->document, 'walls.0.edge'));
    }

    public function testRepeatsAndStopsRepeating(): void
    {
        $one = self::apply([['op' => 'repeat-opening', 'wall' => 'front', 'id' => 'w1', 'count' => 3]]);
        self::assertSame(
            [3, '6ft'],
            [self::at($one->document, 'walls.0.openings.0.repeat.count'), self::at($one->document, 'walls.0.openings.0.repeat.pitch')],
        );
        $none = self::apply([['op' => 'repeat-opening', 'wall' => 'front', 'id' => 'w1', 'count' => 1]]);
        self::assertNull(self::at($none->document, 'walls.0.openings.0.repeat'));
    }

    /**
     * A new window keeps a brick, 9 in, from what stands on either side: between two bricks from the end and one at
     * 4 ft 9 in no 3 ft fit.
     */
    public function testANewOpeningHasABricksRoomOnBothSides(): void
    {
        $office = JsonText::decode(Kits::exampleText('weigh-office'));
        $one = [(object) ['id' => 'w1', 'style' => 'sash', 'from' => '4ft 9in', 'sill' => '2ft 9in']];
        $added = self::apply(
            [['op' => 'add-opening', 'wall' => 'front', 'style' => 'sash']],
            BuildingGenerator::with($office, 'blocks.0.walls.0.openings', $one),
        );
        // 1 ft 6 in and 3 ft wide ends 3 in before it; 9 in after its end, at 8 ft 6 in in bricks from the corner, is 9 ft.
        self::assertSame('9ft', self::at($added->document, 'walls.0.openings.1.from'));
        $further = [(object) ['id' => 'w1', 'style' => 'sash', 'from' => '5ft 3in', 'sill' => '2ft 9in']];
        $added = self::apply(
            [['op' => 'add-opening', 'wall' => 'front', 'style' => 'sash']],
            BuildingGenerator::with($office, 'blocks.0.walls.0.openings', $further),
        );
        self::assertSame('1ft 6in', self::at($added->document, 'walls.0.openings.1.from'), 'just a brick before the other');
    }

    public function testSetsAndTakesOutFieldsAndMakesTheWayThere(): void
    {
        $edited = self::apply([
            ['op' => 'set', 'path' => 'sheets.proof.x', 'value' => '99.5mm'],
            ['op' => 'set', 'path' => 'note', 'value' => null],
            ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '10ft'],
        ]);
        self::assertSame('99.5mm', $edited->document->sheets->proof->x); // @phpstan-ignore property.nonObject, property.nonObject
        self::assertObjectNotHasProperty('note', $edited->document);
        self::assertSame('note taken out, eaves from 9ft 6in to 10ft, sheets added', DocumentDifference::summary($edited->changes));
    }

    /** @param  list<array<string, mixed>>  $edits */
    #[DataProvider('provideWrong')]
    public function testRefusesWhatItCannotDo(array $edits, string $path, string $code): void
    {
        try {
            self::apply($edits);
            self::fail('It was done');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string, string}> */
    public static function provideWrong(): iterable
    {
        yield 'nothing' => [[], 'edits', 'too-few'];
        yield 'no op' => [[['wall' => 'front']], 'edits.0.op', 'missing'];
        yield 'a path through a text' => [[['op' => 'set', 'path' => 'name.first', 'value' => 'x']], 'edits.0.path', 'edit.no-such'];
        yield 'an index beyond the list' => [
            [['op' => 'set', 'path' => 'blocks.0.walls.9.finish', 'value' => 'bare']],
            'edits.0.path',
            'edit.no-such',
        ];
        yield 'a missing path' => [[['op' => 'set', 'value' => 'x']], 'edits.0.path', 'missing'];
        yield 'steps that are no number' => [
            [['op' => 'move-opening', 'wall' => 'front', 'id' => 'w1', 'bricks' => 'one']],
            'edits.0.bricks',
            'wrong-type',
        ];
        yield 'a key too many' => [
            [['op' => 'remove-opening', 'wall' => 'front', 'id' => 'w1', 'really' => true]],
            'edits.0.really',
            'unknown-key',
        ];
        yield 'a row of none' => [
            [['op' => 'repeat-opening', 'wall' => 'front', 'id' => 'w1', 'count' => 0]],
            'edits.0.count',
            'number-out-of-range',
        ];
    }

    /** @param  list<array<string, mixed>>  $edits */
    private static function apply(array $edits, ?stdClass $document = null): Edits
    {
        return Edits::apply($document ?? JsonText::decode(Kits::exampleText('weigh-office')), json_decode((string) json_encode($edits)));
    }

    /** What stands at a path of the first block. */
    private static function at(stdClass $document, string $path): mixed
    {
        $value = is_array($document->blocks) ? $document->blocks[0] : null;
        foreach (explode('.', $path) as $key) {
            $value = is_array($value) ? ($value[(int) $key] ?? null) : ($value instanceof stdClass ? ($value->{$key} ?? null) : null);
        }

        return $value;
    }
}
