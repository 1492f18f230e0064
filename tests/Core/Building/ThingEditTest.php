<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Edit\SetField;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;
use Tests\Support\Things\Peg;

/** What screens do to things with a place of their own, and what becomes of those when what they stand on goes. */
final class ThingEditTest extends TestCase
{
    private const BAND = ['op' => 'add-thing', 'block' => 'main', 'kind' => 'band', 'on' => ['edge' => 'front']];

    /** Two thirds of 9 ft 6 in are 6 ft 4 in: 25 courses of 3 in come nearest. */
    public function testANewOneStandsWhereItUsuallyDoes(): void
    {
        $document = self::edited([self::BAND, self::BAND]);
        self::assertEquals(
            [['band-1', (object) ['edge' => 'front', 'up' => '6ft 3in']], ['band-2', (object) ['edge' => 'front', 'up' => '6ft 3in']]],
            array_map(static fn (stdClass $f): array => [$f->id, $f->on], self::things($document)),
        );
        self::assertSame([], BuildingReader::reading($document)->faults);
    }

    /** Centred on an edge of 18 ft, and moved along by half a brick of 9 in, and up the slope by two courses of 3. */
    public function testAChimneyBeginsInTheMiddleOfItsRoof(): void
    {
        $add = ['op' => 'add-thing', 'block' => 'main', 'kind' => 'chimney'];
        $document = self::edited([
            [...$add, 'on' => ['edge' => 'front']], [...$add, 'on' => ['edge' => 'front', 'anchor' => 'slope']],
            ['op' => 'move-thing', 'block' => 'main', 'id' => 'chimney-1', 'bricks' => 0.5, 'courses' => 2],
            ['op' => 'move-thing', 'block' => 'main', 'id' => 'chimney-2', 'bricks' => -1, 'courses' => 2],
        ]);
        self::assertEquals([
            (object) ['edge' => 'front', 'line' => 'ridge', 'over' => 'middle', 'from' => '4 1/2in'],
            (object) ['edge' => 'front', 'anchor' => 'slope', 'in' => '3ft 6in', 'over' => 'middle', 'from' => '-9in'],
        ], array_map(static fn (stdClass $f): mixed => $f->on, self::things($document)));
        self::assertSame([], BuildingReader::reading($document)->faults);
    }

    /** The middle of the second window, from 8 ft 6 in to 11 ft 6 in, is at 10 ft: a foot to its left it stays at 9. */
    public function testWhatIsCentredOnAnOpeningStaysWhereItStoodWhenThatGoes(): void
    {
        $document = self::edited([
            ['op' => 'add-thing', 'block' => 'main', 'kind' => 'chimney', 'on' => ['edge' => 'front', 'over' => 'w1-2', 'from' => '-1ft']],
            ['op' => 'remove-opening', 'wall' => 'main.front', 'id' => 'w1'],
        ]);
        self::assertEquals((object) ['edge' => 'front', 'line' => 'ridge', 'from' => '9ft'], self::things($document)[0]->on);
        $wrong = self::edited([
            ['op' => 'add-thing', 'block' => 'main', 'kind' => 'chimney', 'on' => ['edge' => 'front', 'over' => 'w9']],
            ['op' => 'add-thing', 'block' => 'main', 'kind' => 'chimney', 'on' => ['edge' => 'front', 'over' => 'middle']],
            ['op' => 'set', 'path' => 'blocks.0.features.1.on.from', 'value' => '-1ft'],
            ['op' => 'set', 'path' => 'blocks.0.features.1.on.over', 'value' => null],
        ]);
        self::assertSame(
            [['blocks.0.features.0.on.over', 'thing.no-opening'], ['blocks.0.features.1.on.from', 'length.negative']],
            array_map(static fn (Problem $p): array => [$p->path, $p->code], BuildingReader::reading($wrong)->faults),
        );
    }

    /**
     * The left wall is 12 ft long, as the right one is; the back one 18 ft. One that is centred is mirrored about the middle, one that
     * counts from an end about the wall's. A brick is 9 in, a course 3 in.
     */
    public function testAChimneyOutsideAWallIsMovedCopiedMirroredAndRepeated(): void
    {
        $own = ['block' => 'main', 'id' => 'wall-chimney-1'];
        $document = self::edited([
            ['op' => 'add-thing', 'block' => 'main', 'kind' => 'wall-chimney', 'on' => ['edge' => 'left']],
            ['op' => 'move-thing', ...$own, 'bricks' => 1, 'courses' => 2],
            ['op' => 'copy-thing', ...$own],
            ['op' => 'copy-thing', ...$own, 'to' => 'main.back', 'mirrored' => true],
            ['op' => 'set', 'path' => 'blocks.0.features.1.on.over', 'value' => null],
            ['op' => 'set', 'path' => 'blocks.0.features.1.on.from', 'value' => '4ft'],
            ['op' => 'copy-thing', 'block' => 'main', 'id' => 'wall-chimney-2', 'to' => 'main.right', 'mirrored' => true],
            ['op' => 'repeat-thing', 'block' => 'main', 'id' => 'wall-chimney-2', 'count' => 2, 'every' => '5ft'],
        ]);
        self::assertEquals([
            (object) ['edge' => 'left', 'over' => 'middle', 'from' => '9in', 'up' => '6in'],
            (object) ['edge' => 'left', 'from' => '4ft', 'up' => '6in'],
            (object) ['edge' => 'back', 'over' => 'middle', 'from' => '-9in', 'up' => '6in'],
            (object) ['edge' => 'right', 'from' => '8ft', 'up' => '6in'],
            (object) ['edge' => 'left', 'from' => '9ft', 'up' => '6in'],
        ], array_map(static fn (stdClass $f): mixed => $f->on, self::things($document)));
        self::assertSame([], BuildingReader::reading($document)->faults);
    }

    /** The second window's middle is at 10 ft: the copy stands as far from the left end of the back, which has no such window. */
    public function testOneThatIsCentredOnAnOpeningIsCopiedToWhereItStood(): void
    {
        $document = self::edited([
            [
                'op' => 'add-thing', 'block' => 'main', 'kind' => 'wall-chimney',
                'on' => ['edge' => 'front', 'over' => 'w1-2', 'from' => '-1ft'],
            ],
            ['op' => 'copy-thing', 'block' => 'main', 'id' => 'wall-chimney-1', 'to' => 'main.back'],
            ['op' => 'remove-opening', 'wall' => 'main.front', 'id' => 'w1'],
        ]);
        self::assertEquals([
            (object) ['edge' => 'front', 'from' => '9ft'], (object) ['edge' => 'back', 'from' => '9ft'],
        ], array_map(static fn (stdClass $f): mixed => $f->on, self::things($document)));
    }

    /** Things that nobody named keep the names of their places in the list when one is copied or taken away. */
    public function testThoseWithoutANameKeepTheirs(): void
    {
        $bands = array_map(
            static fn (string $up): stdClass => (object) ['kind' => 'band', 'on' => (object) ['edge' => 'front', 'up' => $up]],
            ['2ft', '4ft', '6ft'],
        );
        $document = self::edited([
            ['op' => 'set', 'path' => 'blocks.0.features', 'value' => $bands],
            ['op' => 'copy-thing', 'block' => 'main', 'id' => 'thing-2'],
            ['op' => 'remove-thing', 'block' => 'main', 'id' => 'thing-1'],
        ]);
        self::assertSame(
            [['thing-2', '4ft'], ['thing-3', '6ft'], ['thing-4', '5ft']],
            array_map(static fn (stdClass $f): array => [$f->id, $f->on instanceof stdClass ? $f->on->up : null], self::things($document)),
        );
        self::assertSame([], BuildingReader::reading($document)->faults);
    }

    /** Every kind begins somewhere that can be read. */
    #[DataProvider('provideAnchors')]
    public function testANewOneIsSound(Anchor $anchor): void
    {
        $isOfThePlot = in_array($anchor, Anchor::OF_THE_PLOT, true);
        $on = match ($anchor) {
            Anchor::Openings => ['edge' => 'front', 'openings' => ['w1', 'w1-2']], Anchor::Feature => ['feature' => 'band-1'],
            Anchor::Wall, Anchor::Slope, Anchor::RoofLine => ['edge' => 'back'], default => [],
        };
        $plot = (object) ['size' => ['185mm', '95mm'], 'tracks' => [(object) ['id' => 'siding', 'from' => ['0mm', '-40mm'],
            'course' => [(object) ['straight' => '300mm']]]]];
        $document = self::edited([
            ['op' => 'set', 'path' => 'plot', 'value' => $plot], self::BAND,
            ['op' => 'add-thing', 'kind' => "peg-$anchor->value", 'on' => $on] + ($isOfThePlot ? [] : ['block' => 'main']),
        ]);
        self::assertSame([], BuildingReader::reading($document, self::kinds())->faults);
    }

    /** @return iterable<string, array{Anchor}> */
    public static function provideAnchors(): iterable
    {
        foreach ([...Anchor::OF_BLOCKS, ...Anchor::OF_THE_PLOT] as $anchor) {
            yield $anchor->value => [$anchor];
        }
    }

    /**
     * @param  array<string, mixed>  $on
     * @param  array<string, mixed>  $move
     * @param  array<string, mixed>  $wanted
     */
    #[DataProvider('provideMoves')]
    public function testItMovesByBricksAndCourses(string $kind, array $on, array $move, array $wanted): void
    {
        $isOfThePlot = in_array($kind, ['peg-ground', 'peg-track'], true);
        $of = $isOfThePlot ? [] : ['block' => 'main'];
        $add = ['op' => 'add-thing', 'kind' => $kind, 'on' => $on] + $of;
        $document = self::edited([$add, ['op' => 'move-thing', 'id' => "$kind-1"] + $of + $move]);
        foreach ($wanted as $key => $value) {
            self::assertEquals($value, SetField::get($document, ($isOfThePlot ? '' : 'blocks.0.')."features.0.on.$key"), $key);
        }
    }

    /**
     * A brick is 9 in, a course 3.
     *
     * @return iterable<string, array{string, array<string, mixed>, array<string, mixed>, array<string, mixed>}>
     */
    public static function provideMoves(): iterable
    {
        $run = ['edge' => 'front', 'from' => '1ft', 'to' => '2400mm', 'up' => '2ft 9in'];
        yield 'a run' => ['band', $run, ['bricks' => 1, 'courses' => -1], ['from' => '1ft 9in', 'to' => '2628.6mm', 'up' => '2ft 6in']];
        yield 'a quarter' => ['band', $run, ['bricks' => 0.25], ['from' => '1ft 2 1/4in', 'to' => '2457.15mm', 'up' => '2ft 9in']];
        yield 'never below nothing' => ['band', $run, ['bricks' => -9, 'courses' => -99], [
            'from' => '0in', 'to' => '2095.2mm', 'up' => '0in',
        ]];
        yield 'a whole wall only up' => ['band', ['edge' => 'front', 'up' => '3ft'], ['bricks' => 2, 'courses' => 1], [
            'from' => null, 'to' => null, 'up' => '3ft 3in',
        ]];
        yield 'up to its end' => ['band', ['edge' => 'front', 'from' => '3ft', 'up' => '3ft'], ['bricks' => 1], [
            'from' => '3ft 9in', 'to' => null,
        ]];
        yield 'a corner' => ['peg-corner', ['corner' => 1, 'up' => '1ft', 'up_to' => '5ft'], ['courses' => 2], [
            'up' => '1ft 6in', 'up_to' => '5ft 6in',
        ]];
        yield 'on a slope' => ['peg-slope', ['edge' => 'back', 'from' => '2ft', 'in' => '1ft'], ['bricks' => 1, 'courses' => 1], [
            'from' => '2ft 9in', 'in' => '1ft 3in',
        ]];
        $ridge = ['edge' => 'front', 'line' => 'ridge', 'from' => '1ft'];
        yield 'along a ridge' => ['peg-roof-line', $ridge, ['bricks' => 1], ['from' => '1ft 9in']];
        yield 'on a floor' => ['peg-floor', ['at' => ['2ft', '3ft']], ['by' => [304.8, -152.4]], ['at' => ['3ft', '2ft 6in']]];
        yield 'on the ground' => ['peg-ground', ['spot' => ['20mm', '10mm']], ['by' => [1, -0.5]], ['spot' => ['21mm', '9.5mm']]];
        yield 'beside a track' => ['peg-track', ['track' => 't1', 'along' => '20mm'], ['by' => [5, -2]], [
            'along' => '25mm', 'off' => '-2mm',
        ]];
    }

    /** The front is 18 ft long, the right side 12 ft. */
    public function testItIsCopiedAboveItselfToOtherWallsAndMirrored(): void
    {
        $band = ['on' => ['edge' => 'front', 'from' => '2ft', 'to' => '5ft', 'up' => '3ft']] + self::BAND;
        $copy = ['op' => 'copy-thing', 'block' => 'main', 'id' => 'band-1'];
        $document = self::edited([$band, $copy, ['to' => 'main.back'] + $copy, ['to' => 'main.right', 'mirrored' => true] + $copy]);
        self::assertEquals([
            ['band-1', (object) ['edge' => 'front', 'from' => '2ft', 'to' => '5ft', 'up' => '3ft']],
            ['band-2', (object) ['edge' => 'front', 'from' => '2ft', 'to' => '5ft', 'up' => '4ft']],
            ['band-3', (object) ['edge' => 'back', 'from' => '2ft', 'to' => '5ft', 'up' => '3ft']],
            ['band-4', (object) ['edge' => 'right', 'up' => '3ft']],
        ], array_map(static fn (stdClass $f): array => [$f->id, $f->on], self::things($document)));
        $document = self::edited([self::BAND, ['to' => 'main.left'] + $copy]);
        self::assertEquals((object) ['edge' => 'left', 'up' => '6ft 3in'], self::things($document)[1]->on, 'from end to end as before');
        $pair = ['op' => 'add-thing', 'block' => 'main', 'kind' => 'arch', 'on' => ['edge' => 'front', 'openings' => ['w1-2', 'd1']]];
        $faults = self::faults([$pair, ['op' => 'copy-thing', 'block' => 'main', 'id' => 'arch-1', 'to' => 'main.back']]);
        self::assertSame(['edits.1.to edit.too-few-openings'], $faults);
    }

    public function testItIsRepeatedAndRemoved(): void
    {
        $band = ['on' => ['edge' => 'front', 'up' => '1ft']] + self::BAND;
        $repeat = ['op' => 'repeat-thing', 'block' => 'main', 'id' => 'band-1', 'count' => 3, 'every' => '2ft 3in'];
        $remove = ['op' => 'remove-thing', 'block' => 'main', 'id' => 'band-2'];
        $document = self::edited([$band, $repeat, $remove]);
        $ups = array_map(static fn (int $i): mixed => SetField::get($document, "blocks.0.features.$i.on.up"), [0, 1]);
        self::assertSame([['band-1', 'band-3'], ['1ft', '5ft 6in']], [array_column(self::things($document), 'id'), $ups]);
        $none = self::edited([self::BAND, ['op' => 'remove-thing', 'block' => 'main', 'id' => 'band-1']]);
        self::assertNull(SetField::get($none, 'blocks.0.features'));
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @param  list<string>  $wanted
     */
    #[DataProvider('provideFaults')]
    public function testWhatCannotBeDoneIsSaidAtItsPlace(array $edits, array $wanted): void
    {
        self::assertSame($wanted, self::faults($edits));
    }

    /** @return iterable<array{list<array<string, mixed>>, list<string>}> */
    public static function provideFaults(): iterable
    {
        yield [[['kind' => 'spire'] + self::BAND], ['edits.0.kind edit.no-such']];
        yield [[['kind' => 'quoins'] + self::BAND], ['edits.0.kind edit.no-such']];
        yield [[['block' => 'mill'] + self::BAND], ['edits.0.block edit.no-such']];
        yield [[['op' => 'move-thing', 'block' => 'main', 'id' => 'band-1']], ['edits.0.id edit.no-such']];
        yield [[self::BAND, ['op' => 'move-thing', 'block' => 'main', 'id' => 'band-1', 'bricks' => 'one']], ['edits.1.bricks wrong-type']];
        yield [[self::BAND, ['op' => 'repeat-thing', 'block' => 'main', 'id' => 'band-1', 'count' => 51, 'every' => '1ft']], [
            'edits.1.count number-out-of-range',
        ]];
        yield [[self::BAND, ['op' => 'repeat-thing', 'block' => 'main', 'id' => 'band-1', 'count' => 3, 'every' => '0ft']], [
            'edits.1.every length.not-above-zero',
        ]];
        $copy = ['op' => 'copy-thing', 'block' => 'main', 'id' => 'band-1', 'to' => 'main.north'];
        yield [[self::BAND, $copy], ['edits.1.to unknown-edge']];
    }

    /**
     * @param  list<array<string, mixed>>  $things
     * @param  list<array<string, mixed>>  $edits
     * @param  list<string>  $left
     */
    #[DataProvider('provideOwners')]
    public function testWhatStandsOnWhatIsTakenAwayGoesWithIt(array $things, array $edits, array $left): void
    {
        $before = self::edited([['op' => 'set', 'path' => 'blocks.0.features', 'value' => json_decode((string) json_encode($things))]]);
        $done = Edits::apply($before, json_decode((string) json_encode($edits)), self::kinds());
        $features = SetField::get($done->document, 'blocks.0.features') ?? [];
        self::assertSame($left, array_column(is_array($features) ? $features : [], 'id'));
        self::assertSame([], BuildingReader::reading($done->document, self::kinds())->faults);
        if (count($left) < count($things)) {
            $said = implode(', ', array_map(static fn (Change $c): string => $c->text(), $done->changes));
            self::assertMatchesRegularExpression('/(brick arch|band) on the front removed/', $said);
        }
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<array<string, mixed>>, list<string>}> */
    public static function provideOwners(): iterable
    {
        $pair = ['kind' => 'arch', 'id' => 'a', 'on' => ['edge' => 'front', 'openings' => ['w1-2', 'd1']]];
        $band = ['kind' => 'band', 'id' => 'b', 'on' => ['edge' => 'front', 'up' => '8ft']];
        $onBand = ['kind' => 'peg-feature', 'id' => 'p', 'on' => ['feature' => 'b']];
        yield 'an opening' => [[$pair, $band], [['op' => 'remove-opening', 'wall' => 'main.front', 'id' => 'd1']], ['b']];
        yield 'one of a row' => [[$pair, $band], [['op' => 'repeat-opening', 'wall' => 'main.front', 'id' => 'w1', 'count' => 1]], ['b']];
        yield 'another opening' => [
            [['on' => ['edge' => 'front', 'openings' => ['w1', 'w1-2']]] + $pair],
            [['op' => 'remove-opening', 'wall' => 'main.front', 'id' => 'd1']],
            ['a'],
        ];
        $remove = ['op' => 'remove-thing', 'block' => 'main', 'id' => 'b'];
        yield 'a thing, and what stands on it' => [[$onBand, $band, $pair], [$remove], ['a']];
        $shape = ['op' => 'shape-block', 'block' => 'main', 'shape' => 'l'];
        $corner = ['kind' => 'peg-corner', 'id' => 'c', 'on' => ['corner' => 3]];
        yield 'a corner is counted anew' => [[$corner, ['id' => 'b'] + $band], [$shape], ['c', 'b']];
    }

    public function testWhatIsSaidOfAThingItselfStays(): void
    {
        $document = self::edited([self::BAND, ['op' => 'set', 'path' => 'blocks.0.features.0.on.edge', 'value' => 'nowhere']]);
        self::assertSame('nowhere', SetField::get($document, 'blocks.0.features.0.on.edge'));
    }

    /** @return list<stdClass> */
    private static function things(stdClass $document): array
    {
        $things = SetField::get($document, 'blocks.0.features');

        return is_array($things) ? array_values(array_filter($things, static fn (mixed $one): bool => $one instanceof stdClass)) : [];
    }

    /** @param  list<array<string, mixed>>  $edits */
    private static function edited(array $edits): stdClass
    {
        $edits = array_map(static fn (array $edit): mixed => json_decode((string) json_encode($edit)), $edits);

        return Edits::apply(JsonText::decode(Kits::exampleText('weigh-office')), $edits, self::kinds())->document;
    }

    /**
     * @param  list<array<string, mixed>>  $edits
     * @return list<string>
     */
    private static function faults(array $edits): array
    {
        try {
            self::edited($edits);
        } catch (InvalidInput $e) {
            return array_map(static fn (Problem $p): string => "$p->path $p->code", $e->problems);
        }

        return [];
    }

    private static function kinds(): Kinds
    {
        return Kinds::known()->with(...array_map(static fn (Anchor $a): Peg => new Peg($a), Anchor::cases()));
    }
}
