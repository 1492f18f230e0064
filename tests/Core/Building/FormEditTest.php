<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Edit\SetField;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** What forms do beside setting a field. */
final class FormEditTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $wanted  by path
     */
    #[DataProvider('provideChoices')]
    public function testAChoiceTakesWithItWhatCannotStayAndBeginsWhatIsNeeded(string $path, string $value, array $wanted): void
    {
        $document = self::edited([['op' => 'choose', 'path' => $path, 'value' => $value]]);
        foreach ($wanted as $at => $said) {
            self::assertEquals($said, SetField::get($document, $at), $at);
        }
        self::assertSame([], BuildingReader::reading($document)->faults);
    }

    /** @return iterable<string, array{string, string, array<string, mixed>}> */
    public static function provideChoices(): iterable
    {
        yield 'a door has no frame but where somebody says so' => [
            'styles.sash.kind', 'door', ['styles.sash.kind' => 'door', 'styles.sash.frame' => null],
        ];
        yield 'nothing stands in an archway' => ['styles.sash.kind', 'open', ['styles.sash.frame' => null, 'styles.sash.rebate' => null]];
        yield 'a segmental head has a rise' => ['styles.door.head.shape', 'segmental', ['styles.door.head.rise' => '4in']];
        yield 'a flat one needs none, and its rise waits' => ['styles.sash.head.shape', 'flat', ['styles.sash.head.rise' => '4in']];
        $upper = (object) ['pitch' => 25, 'from' => '5ft'];
        yield 'a mansard has upper slopes' => [
            'blocks.0.roof.kind', 'mansard', ['blocks.0.roof.upper' => $upper, 'blocks.0.roof.pitch' => 40],
        ];
        yield 'no pitch is begun beside one' => ['blocks.0.roof.kind', 'hip', ['blocks.0.roof.pitch' => 40]];
    }

    public function testNoPitchIsBegunWhereARiseIsSaid(): void
    {
        $document = self::edited([
            ['op' => 'choose', 'path' => 'blocks.0.roof.kind', 'value' => 'flat'],
            ['op' => 'set', 'path' => 'blocks.0.roof.pitch', 'value' => null],
            ['op' => 'set', 'path' => 'blocks.0.roof.rise', 'value' => '4ft'],
            ['op' => 'choose', 'path' => 'blocks.0.roof.kind', 'value' => 'gable'],
        ]);
        self::assertSame([null, '4ft'], [SetField::get($document, 'blocks.0.roof.pitch'), SetField::get($document, 'blocks.0.roof.rise')]);
    }

    public function testOneMoreOfAListHasANameThatNoneOfTheOthersHas(): void
    {
        $document = self::edited([
            ['op' => 'set', 'path' => 'plot', 'value' => (object) ['size' => ['185mm', '95mm']]],
            ['op' => 'add-entry', 'path' => 'plot.neighbours'],
            ['op' => 'add-entry', 'path' => 'plot.neighbours'],
            ['op' => 'set', 'path' => 'plot.neighbours.0', 'value' => null],
            ['op' => 'add-entry', 'path' => 'plot.neighbours'],
            ['op' => 'add-entry', 'path' => 'plot.vehicles'],
            ['op' => 'add-entry', 'path' => 'plot.tracks'],
            ['op' => 'add-entry', 'path' => 'plot.tracks.0.course'],
            ['op' => 'add-entry', 'path' => 'plot.runs'],
            ['op' => 'add-entry', 'path' => 'plot.roads'],
            ['op' => 'add-entry', 'path' => 'plot.obstacles'],
            ['op' => 'begin', 'path' => 'plot.eye'],
        ]);
        self::assertSame([], BuildingReader::reading($document)->faults);
        self::assertSame('n2', SetField::get($document, 'plot.neighbours.0.id'));
        self::assertSame('n1', SetField::get($document, 'plot.neighbours.1.id'));
        self::assertSame(['185mm', '0mm'], SetField::get($document, 'plot.neighbours.0.at'), 'beside the plot');
        self::assertSame('v1', SetField::get($document, 'plot.runs.0.train.0.vehicle'));
        $piece = SetField::get($document, 'plot.tracks.0.course.1');
        self::assertEquals((object) ['straight' => '100mm'], $piece, 'no id where none belongs');
        self::assertSame('600mm', SetField::get($document, 'plot.eye.distance'));
    }

    /** @param  array<string, mixed>  $edit */
    #[DataProvider('provideWrong')]
    public function testWhatCannotBeDoneIsSaid(array $edit, string $path, string $code): void
    {
        try {
            self::edited([$edit]);
            self::fail('it was done');
        } catch (InvalidInput $e) {
            self::assertSame([$path, $code], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function provideWrong(): iterable
    {
        $path = 'edits.0.path';
        yield 'nobody describes it' => [['op' => 'choose', 'path' => 'name', 'value' => 'x'], $path, 'edit.no-such'];
        yield 'no list' => [['op' => 'add-entry', 'path' => 'styles.sash.kind'], $path, 'edit.no-such'];
        yield 'no such field' => [['op' => 'begin', 'path' => 'styles.sash.curtain'], $path, 'edit.no-such'];
        yield 'nothing to begin with' => [['op' => 'begin', 'path' => 'styles.sash.w'], $path, 'edit.no-such'];
        yield 'no such entry' => [['op' => 'choose', 'path' => 'blocks.7.roof.kind', 'value' => 'hip'], $path, 'edit.no-such'];
        yield 'no path' => [['op' => 'begin'], $path, 'missing'];
        yield 'a value too many' => [['op' => 'begin', 'path' => 'plot.eye', 'value' => 1], 'edits.0.value', 'unknown-key'];
    }

    /** @param  list<array<string, mixed>>  $edits */
    private static function edited(array $edits): stdClass
    {
        $asRead = json_decode((string) json_encode($edits));

        return Edits::apply(JsonText::decode(Kits::exampleText('weigh-office')), $asRead)->document;
    }
}
