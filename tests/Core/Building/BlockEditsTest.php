<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\Edit\QuickShape;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\Storey;
use Chartula\Core\Building\StoreySum;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Blocks as screens change them, and as they stand by relation to each other. */
final class BlockEditsTest extends TestCase
{
    #[TestWith(['wing'])]
    #[TestWith(['lean-to'])]
    #[TestWith(['dormer'])]
    #[TestWith(['platform'])]
    public function testAddsWhatGoesTogetherAtOnce(string $kind): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => $kind]]);
        $derived = Kits::of($document);
        self::assertCount(2, $derived->building->blocks);
        self::assertTrue($derived->dryFit->goesTogether(), $derived->dryFit->findings[0]->text ?? '');
    }

    /** @param  'rect'|'l'|'t'|'u'|'z'|'bay'|'polygon'  $shape */
    #[DataProvider('provideShapes')]
    public function testQuickShapesAreSoundOutlines(string $shape): void
    {
        [$corners, $names] = QuickShape::of($shape, 9000.0, 7200.0, 3000.0, 2400.0);
        self::assertCount(count($corners), $names);
        self::assertSame(count($names), count(array_unique($names)));
        $points = array_map(static fn (array $c): Vec2 => new Vec2($c[0], $c[1]), $corners);
        self::assertGreaterThan(0.0, Ring::ofDistinct($points)->signedArea());
        $building = BuildingReader::fromDocument(
            self::edited([['op' => 'shape-block', 'block' => 'main', 'shape' => $shape, 'w' => '30ft', 'd' => '24ft']]),
        );
        self::assertSame($shape === 'rect' ? 4 : count($corners), $building->blocks[0]->footprint->count());
    }

    /**
     * A shape answers to its figures one at a time, and back as a rectangle it is as large as it was.
     *
     * @param  'rect'|'l'|'t'|'u'|'z'|'bay'|'polygon'  $shape
     */
    #[DataProvider('provideShapes')]
    public function testAShapeIsKnownAgainAndItsFiguresStay(string $shape): void
    {
        $shaped = ['op' => 'shape-block', 'block' => 'main', 'shape' => $shape];
        // The halves of a Z overlap.
        $feet = $shape === 'z' ? 18 : 11;
        $document = self::edited([$shaped + ['w' => '31ft 3 1/4in', 'd' => '27ft 9in', 'a' => "{$feet}ft 2 3/4in", 'b' => '10ft 1/2in']]);
        $known = static fn (stdClass $of): ?array => QuickShape::recognised(array_map(
            static fn (array $c): array => [$c[0]->mm, $c[1]->mm],
            BuildingReader::fromDocument($of)->blocks[0]->footprint->corners,
        ));
        $before = $known($document);
        self::assertSame($shape, $before['shape'] ?? null);
        self::assertEqualsWithDelta(31.0 * 304.8 + 3.25 * 25.4, $before['w'] ?? 0.0, 1.6);
        if (isset(QuickShape::FIGURES[$shape])) {
            self::assertEqualsWithDelta(27.0 * 304.8 + 9.0 * 25.4, $before['d'] ?? 0.0, 1.6);
            self::assertEqualsWithDelta($feet * 304.8 + 2.75 * 25.4, $before['a'] ?? 0.0, 1.6);
            self::assertEqualsWithDelta(10.0 * 304.8 + 0.5 * 25.4, $before['b'] ?? 0.0, 1.6);
            // One figure alone: the others stay.
            $after = $known(Edits::apply($document, [(object) ($shaped + ['a' => ($feet + 3).'ft 6in'])])->document);
            self::assertEqualsWithDelta(($feet + 3.5) * 304.8, $after['a'] ?? 0.0, 1.6);
            foreach (['w', 'd', 'b'] as $figure) {
                self::assertEqualsWithDelta($before[$figure] ?? 0.0, $after[$figure] ?? 0.0, 1.6);
            }
        }
        $rect = $known(Edits::apply($document, [(object) (['shape' => 'rect'] + $shaped)])->document);
        self::assertSame('rect', $rect['shape'] ?? null);
        self::assertEqualsWithDelta([$before['w'] ?? 0.0, $before['d'] ?? 0.0], [$rect['w'] ?? 0.0, $rect['d'] ?? 0.0], 3.2);
    }

    /** A wall with a window in it does not go unasked. */
    public function testAWallWithOpeningsStaysUntilTheyAreGone(): void
    {
        $document = self::edited([['op' => 'shape-block', 'block' => 'main', 'shape' => 'l', 'w' => '30ft', 'd' => '24ft']]);
        $document = Edits::apply($document, [(object) ['op' => 'add-opening', 'wall' => 'main.yard']])->document;
        $back = ['op' => 'shape-block', 'block' => 'main', 'shape' => 'rect'];
        try {
            Edits::apply($document, [(object) $back]);
            self::fail('the yard went with its window');
        } catch (InvalidInput $e) {
            self::assertSame('edit.wall-goes', $e->problems[0]->code);
        }
        $after = BuildingReader::fromDocument(Edits::apply($document, [(object) ($back + ['even_openings' => true])])->document);
        self::assertCount(4, $after->blocks[0]->footprint->corners);
        self::assertSame([], array_merge(...array_map(static fn ($wall): array => $wall->openings, $after->blocks[0]->walls)));
    }

    /** @return iterable<string, array{string}> */
    public static function provideShapes(): iterable
    {
        foreach (QuickShape::SHAPES as $shape) {
            yield $shape => [$shape];
        }
    }

    public function testMovingOneMovesWhatStandsByIt(): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'wing'], ['op' => 'move-block', 'block' => 'main', 'x' => 8, 'y' => -4]]);
        $building = BuildingReader::fromDocument($document);
        self::assertEqualsWithDelta(609.6, $building->blocks[0]->at->x, 1e-6, '8 · 3 in');
        self::assertEqualsWithDelta(-304.8, $building->blocks[0]->at->y, 1e-6);
        // Against the right wall, 18 ft = 5486.4 mm wide.
        self::assertEqualsWithDelta(609.6 + 5486.4, $building->blocks[1]->at->x, 0.01);
        // Moved along that wall it stays against it.
        $building = BuildingReader::fromDocument(
            Edits::apply($document, [(object) ['op' => 'move-block', 'block' => 'wing', 'y' => 2]])->document,
        );
        self::assertEqualsWithDelta(609.6 + 5486.4, $building->blocks[1]->at->x, 0.01);
    }

    public function testABlockPutDownNearlyAgainstAnotherIsHeldThere(): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'block']]);
        $block = self::block($document, 1);
        unset($block->place);
        // The office is 18 ft wide; 3 in from its right wall, 4 in off its middle.
        $block->at = ['18ft 9in', '1ft'];
        $block->footprint = (object) ['rect' => ['10ft', '10ft 6in']];
        $snapped = Edits::apply($document, [(object) ['op' => 'move-block', 'block' => 'block', 'x' => -2, 'snap' => true]])->document;
        $place = self::block($snapped, 1)->place;
        self::assertEquals(
            [(object) ['against' => 'left', 'with' => 'main.right'], (object) ['centre' => 'left', 'with' => 'main.right']],
            $place,
        );
        self::assertObjectNotHasProperty('at', self::block($snapped, 1));
        $far = Edits::apply($document, [(object) ['op' => 'move-block', 'block' => 'block', 'x' => 8, 'snap' => true]])->document;
        self::assertObjectNotHasProperty('place', self::block($far, 1));
        $nudged = Edits::apply($document, [(object) ['op' => 'move-block', 'block' => 'block', 'x' => -2]])->document;
        self::assertObjectNotHasProperty('place', self::block($nudged, 1), 'the arrow keys go by their own steps');
        // What already stands by the other is never made to hold it: no circle.
        $back = Edits::apply($snapped, [(object) ['op' => 'move-block', 'block' => 'main', 'x' => 1, 'snap' => true]])->document;
        self::assertObjectNotHasProperty('place', self::block($back, 0));
        // Pulled along its wall and back near the middle it is centred again.
        $along = Edits::apply(
            $snapped,
            [
                (object) ['op' => 'move-block', 'block' => 'block', 'y' => 4, 'snap' => true],
                (object) ['op' => 'move-block', 'block' => 'block', 'y' => -3, 'snap' => true],
            ],
        )->document;
        self::assertEquals($place, self::block($along, 1)->place);
    }

    public function testWhatStoodByARemovedBlockStaysWhereItStood(): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'wing'], ['op' => 'add-block', 'kind' => 'lean-to', 'beside' => 'wing']]);
        $before = BuildingReader::fromDocument($document)->blocks[2]->at;
        $after = BuildingReader::fromDocument(Edits::apply($document, [(object) ['op' => 'remove-block', 'block' => 'wing']])->document);
        self::assertCount(2, $after->blocks);
        self::assertEqualsWithDelta($before->x, $after->blocks[1]->at->x, 0.01);
        self::assertEqualsWithDelta($before->y, $after->blocks[1]->at->y, 0.01);
    }

    public function testTheRoofOverAnEdgeIsSetAndTakenBack(): void
    {
        $document = self::edited([['op' => 'roof-edge', 'block' => 'main', 'edge' => 'left', 'kind' => 'hip', 'pitch' => 50]]);
        $edge = BuildingReader::fromDocument($document)->blocks[0]->roof->edges[3];
        self::assertSame(['hip', 50.0], [$edge->kind, $edge->pitch->degrees]);
        $document = Edits::apply(
            $document,
            [(object) ['op' => 'roof-edge', 'block' => 'main', 'edge' => 'left', 'kind' => null, 'pitch' => null]],
        )->document;
        self::assertSame('gable', BuildingReader::fromDocument($document)->blocks[0]->roof->edges[3]->kind);
        self::assertStringNotContainsString('"edges"', JsonText::encode($document));
    }

    public function testACornerIsMadeItsOwnWayNamedAndTakenBack(): void
    {
        $document = self::edited([
            ['op' => 'corner', 'block' => 'main', 'vertex' => 1, 'method' => 'mitre', 'name' => 'gate corner'],
            ['op' => 'corner', 'block' => 'main', 'vertex' => 2, 'through' => 'after'],
        ]);
        $corners = BuildingReader::fromDocument($document)->blocks[0]->corners;
        self::assertSame(
            ['mitre', 'gate corner', null, 'after'],
            [$corners[1]->method?->value, $corners[1]->name, $corners[2]->method?->value, $corners[2]->through],
        );
        self::assertTrue(Kits::of($document)->dryFit->goesTogether(), 'one corner mitred, three butted');
        $document = Edits::apply(
            $document,
            [
                (object) ['op' => 'corner', 'block' => 'main', 'vertex' => 1, 'method' => null, 'name' => null],
                (object) ['op' => 'corner', 'block' => 'main', 'vertex' => 2, 'through' => null],
            ],
        )->document;
        self::assertStringNotContainsString('"corners"', JsonText::encode($document));
        self::expectException(InvalidInput::class);
        Edits::apply($document, [(object) ['op' => 'corner', 'block' => 'main', 'vertex' => 4]]);
    }

    public function testAnOutlineThatRunsClockwiseIsTurnedRoundWhenAsked(): void
    {
        $document = self::edited([['op' => 'shape-block', 'block' => 'main', 'shape' => 'l', 'w' => '30ft', 'd' => '24ft']]);
        $lengths = self::lengths(BuildingReader::fromDocument($document));
        $footprint = self::block($document, 0)->footprint;
        self::assertInstanceOf(stdClass::class, $footprint);
        self::assertIsArray($footprint->polygon);
        $footprint->polygon = array_reverse($footprint->polygon);
        $names = (array) $footprint->edges;
        $last = array_pop($names);
        $footprint->edges = [...array_reverse($names), $last];
        self::assertSame(['footprint.clockwise'], self::codes($document), 'it is named, never turned silently');
        $turned = BuildingReader::fromDocument(Edits::apply($document, [(object) ['op' => 'turn-outline', 'block' => 'main']])->document);
        self::assertSame($lengths, self::lengths($turned), 'each edge keeps its name and its length');
    }

    public function testCornersStayWhereTheyAreWhenAnOutlineIsTurnedOrReshaped(): void
    {
        $document = self::edited([['op' => 'shape-block', 'block' => 'main', 'shape' => 'l', 'w' => '30ft', 'd' => '24ft']]);
        // 1 lies between front and right, 2 between right and yard, 5 between back and left.
        $document = Edits::apply($document, [
            (object) ['op' => 'corner', 'block' => 'main', 'vertex' => 1, 'method' => 'mitre'],
            (object) ['op' => 'corner', 'block' => 'main', 'vertex' => 2, 'method' => 'mitre', 'through' => 'before'],
            (object) ['op' => 'corner', 'block' => 'main', 'vertex' => 5, 'through' => 'after'],
        ])->document;
        $turned = Edits::apply($document, [(object) ['op' => 'turn-outline', 'block' => 'main']])->document;
        self::assertSame([[4, 'mitre', null], [3, 'mitre', 'after'], [0, null, 'before']], self::cornersOf($turned));
        self::assertEquals($document, Edits::apply($turned, [(object) ['op' => 'turn-outline', 'block' => 'main']])->document);
        // A rectangle has no yard, and its back meets its left at corner 3.
        $rect = Edits::apply($document, [(object) ['op' => 'shape-block', 'block' => 'main', 'shape' => 'rect']])->document;
        self::assertSame([[1, 'mitre', null], [3, null, 'after']], self::cornersOf($rect));
        self::assertSame([], self::codes($rect));
    }

    public function testEdgesWithoutNamesAreTheSameWallsAfterATurn(): void
    {
        $ring = [['0mm', '0mm'], ['0mm', '5000mm'], ['7000mm', '5000mm'], ['7000mm', '0mm']];
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $turned = Edits::apply($document, [(object) ['op' => 'turn-outline', 'block' => 'main']])->document;
        // Edge 1 ran along y 5000; it is the third from the end now, and still edge-1.
        $footprint = self::block($turned, 0)->footprint;
        self::assertInstanceOf(stdClass::class, $footprint);
        self::assertSame(['edge-2', 'edge-1', 'edge-0', 'edge-3'], $footprint->edges ?? null);
    }

    /** @return list<array{mixed, mixed, mixed}> vertex, method and through of each */
    private static function cornersOf(stdClass $document): array
    {
        return array_map(
            static fn (mixed $c): array =>
                $c instanceof stdClass ? [$c->vertex ?? null, $c->method ?? null, $c->through ?? null] : [null, null, null],
            array_values((array) (self::block($document, 0)->corners ?? [])),
        );
    }

    /**
     * @param  list<array<string, string>>  $place
     * @param  list<string>  $codes
     */
    #[DataProvider('providePlaces')]
    public function testPlacesThatCannotBe(array $place, array $codes): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'wing']]);
        self::block($document, 1)->place = array_map(static fn (array $p): stdClass => (object) $p, $place);
        self::assertSame($codes, self::codes($document));
    }

    /** @return iterable<string, array{list<array<string, string>>, list<string>}> */
    public static function providePlaces(): iterable
    {
        yield 'only along one line' => [[['against' => 'left', 'with' => 'main.right']], ['place.loose']];
        yield 'a contradiction' => [
            [
                ['against' => 'left', 'with' => 'main.right'],
                ['flush' => 'front', 'with' => 'main.front'],
                ['flush' => 'right', 'with' => 'main.right'],
            ],
            ['place.contradiction'],
        ];
        yield 'not parallel' => [
            [['flush' => 'front', 'with' => 'main.right'], ['centre' => 'left', 'with' => 'main.right']],
            ['place.not-parallel', 'place.loose'],
        ];
        yield 'not facing' => [
            [['against' => 'right', 'with' => 'main.right'], ['centre' => 'left', 'with' => 'main.right']],
            ['place.not-facing', 'place.loose'],
        ];
        yield 'nobody' => [[['against' => 'left', 'with' => 'mill.right']], ['place.no-block']];
        yield 'itself' => [[['against' => 'left', 'with' => 'wing.right']], ['place.no-block']];
        yield 'two at once' => [[['against' => 'left', 'flush' => 'front', 'with' => 'main.right']], ['place.one-relation']];
    }

    public function testACircleOfPlacesIsNamed(): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'wing']]);
        self::block($document, 0)->place = [
            (object) ['against' => 'right', 'with' => 'wing.left'],
            (object) ['centre' => 'right', 'with' => 'wing.left'],
        ];
        self::assertContains('place.circle', self::codes($document));
    }

    /** The second stands on the first, 11 ft high, and the third on that. */
    public function testStoreysStack(): void
    {
        $add = ['op' => 'add-storey', 'block' => 'main'];
        $document = self::edited([$add, ['op' => 'set', 'path' => 'blocks.0.storeys.0.height', 'value' => '11ft'], $add, $add]);
        $storeys = BuildingReader::fromDocument($document)->blocks[0]->storeys;
        self::assertEqualsWithDelta([0.0, 11.0, 22.0], array_map(static fn (Storey $s): float => $s->floor->mm / 304.8, $storeys), 1e-6);
        self::assertSame(['ground', 'first', 'second'], array_map(static fn (Storey $s): string => $s->name, $storeys));
    }

    /** A wing has the storeys of the house, and what is added to those; its own again it keeps them; and it does when the house goes. */
    public function testBlocksShareStoreys(): void
    {
        $add = ['op' => 'add-storey', 'block' => 'main'];
        $share = [['op' => 'add-block', 'kind' => 'wing'], $add, ['op' => 'share-storeys', 'block' => 'wing', 'with' => 'main']];
        $names = static fn (stdClass $d, int $i): array =>
            array_map(static fn (Storey $s): string => $s->name, BuildingReader::fromDocument($d)->blocks[$i]->storeys);
        $shared = self::edited([...$share, ['op' => 'add-storey', 'block' => 'wing']]);
        self::assertSame([['ground', 'first'], ['ground', 'first']], [$names($shared, 0), $names($shared, 1)]);
        self::assertFalse(isset(self::block($shared, 1)->storeys));
        // A second press changes nothing.
        self::assertEquals($shared, Edits::apply($shared, [(object) $share[2]])->document);
        $own = self::edited([...$share, ['op' => 'share-storeys', 'block' => 'wing'], $add]);
        self::assertSame([['ground', 'first'], ['ground']], [$names($own, 0), $names($own, 1)]);
        $left = self::edited([...$share, ['op' => 'remove-block', 'block' => 'main']]);
        self::assertSame(['ground'], $names($left, 0));
    }

    public function testStoreysThatAreNobodysAreAFault(): void
    {
        $document = self::edited([['op' => 'add-block', 'kind' => 'wing'], ['op' => 'add-storey', 'block' => 'main']]);
        self::block($document, 0)->storeys_of = 'wing';
        self::assertSame(['storeys.twice'], self::codes($document));
        unset(self::block($document, 0)->storeys);
        self::assertSame(['storeys.of-none'], self::codes($document));
    }

    /** 9 in, 9 ft, 1 ft and 8 ft 7 in come to 19 ft 4 in; the first bed joint over that is at 19 ft 6 in, 78 courses. */
    public function testEavesGoToTheBedJointOverTheStoreys(): void
    {
        $storey = static fn (string $id, string $floor, string $high): stdClass => (object) [
            'id' => $id, 'name' => $id, 'floor' => $floor, 'height' => $high,
        ];
        $set = ['op' => 'set', 'path' => 'blocks.0.storeys', 'value' => [
            $storey('ground', '9in', '9ft'), $storey('upper', '10ft 9in', '8ft 7in'),
        ]];
        $to = ['op' => 'eaves-to-storeys', 'block' => 'main'];
        $block = BuildingReader::fromDocument(self::edited([$set, $to, $to]))->blocks[0];
        self::assertEqualsWithDelta(19.5, $block->eaves->mm / 304.8, 1e-9);
        $gauge = BuildingReader::fromDocument(Starter::document('Works'))->gauge;
        self::assertSame(
            '9in under the floor + 9ft ground + 1ft between floors + 8ft 7in upper + 2in over that = 19ft 6in to the eaves, 78 courses.',
            StoreySum::words($block, $gauge),
        );
        self::assertNull(StoreySum::words(BuildingReader::fromDocument(self::edited([$set]))->blocks[0]->with(storeys: []), $gauge));
    }

    /** @param  list<array<string, mixed>>  $edits */
    private static function edited(array $edits): stdClass
    {
        return Edits::apply(Starter::document('Works'), array_map(static fn (array $e): stdClass => (object) $e, $edits))->document;
    }

    private static function block(stdClass $document, int $i): stdClass
    {
        self::assertIsArray($document->blocks);
        $block = $document->blocks[$i];
        self::assertInstanceOf(stdClass::class, $block);

        return $block;
    }

    /** @return array<string, float> */
    private static function lengths(Building $building): array
    {
        $footprint = $building->blocks[0]->footprint;
        $lengths = array_combine(
            $footprint->edges,
            array_map(static fn (int $i): float => round($footprint->length($i)->mm, 3), array_keys($footprint->edges)),
        );
        ksort($lengths);

        return $lengths;
    }

    /** @return list<string> */
    private static function codes(stdClass $document): array
    {
        try {
            BuildingReader::fromDocument($document);

            return [];
        } catch (InvalidInput $e) {
            return array_map(static fn (Problem $p): string => $p->code, $e->problems);
        }
    }
}
