<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Cure;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\Sketch;
use Chartula\Core\Kit\DryFit\KitShape;
use Chartula\Core\Output\FaultWords;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\DocumentMutants;
use Tests\Support\Kits;

/** A document with faults is read as far as it goes, drawn as it is described, and its faults are told as a person would. */
final class ReadingTest extends TestCase
{
    /** @param  array<string, mixed>  $changes */
    #[DataProvider('provideFaults')]
    public function testTheRestIsReadAndDrawn(array $changes, string $where, string $says, string $stage): void
    {
        $document = self::creamery($changes);
        [$faults, $building] = self::wrong($document);
        self::assertNotNull($building);
        self::assertCount(5, $building->blocks, 'none of its blocks goes');
        $words = FaultWords::of($document, array_map(static fn (Problem $p): array => $p->kept(), $faults));
        self::assertSame([$where, $stage], [$words[0]['where'], $words[0]['go']['stage']]);
        self::assertStringContainsString($says, $words[0]['says']['imperial']);
        $sketch = new KitShape(Sketch::of($building, $faults));
        self::assertCount(20, $sketch->children('walls'));
        self::assertCount(5, $sketch->child('plan')->children('blocks'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string}> */
    public static function provideFaults(): iterable
    {
        yield 'an opening past the end' => [
            ['blocks.0.walls.0.openings.0.from' => '17ft'],
            'Churn hall, front, window, from the left end', 'ends 1ft past the wall’s end', 'shell',
        ];
        yield 'a length that is none' => [['blocks.1.eaves' => 'high'], 'Cooling house, eaves', '“high” is not a length', 'prototype'];
        yield 'a pitch' => [['blocks.2.roof.pitch' => 95], 'Dispatch, roof, pitch', 'a pitch of 95°', 'roof'];
        yield 'a kind of roof' => [['blocks.2.roof.kind' => 'dome'], 'Dispatch, roof, kind', '“dome” is not one of', 'roof'];
        yield 'an outline' => [
            ['blocks.0.footprint' => (object) ['polygon' => [['0ft', '0ft'], ['0ft', '20ft'], ['36ft', '20ft'], ['36ft', '0ft']]]],
            'Churn hall, outline', 'clockwise', 'prototype',
        ];
        yield 'papers' => [['methods.skin.flap' => '2 ells'], 'How it is built, papers, flaps into openings', 'is not a length', 'skin'];
        yield 'methods' => [['methods.corner' => 'welded'], 'How it is built, corner', '“welded” is not one of', 'shell'];
        yield 'pages' => [['sheets' => (object) ['margin' => '70mm']], 'Pages, margin', 'leaves no room', 'sheets'];
        yield 'a kind' => [['styles.works.w' => '0ft'], 'Kind, “works”, width', 'not above 0', 'prototype'];
        yield 'a stock' => [
            ['stock.box' => (object) ['kind' => 'card', 'name' => 'Cereal box', 'thickness' => 'thin']],
            'Materials, “Cereal box”, thickness', '“thin” is not a length', 'shell',
        ];
        yield 'the scale' => [['scale' => 'small'], 'Scale', '“small” is not a scale', 'prototype'];
        yield 'the name' => [['name' => ''], 'Name', 'give it a name', 'prototype'];
    }

    public function testWhatClashesIsMarkedAndNothingElse(): void
    {
        $document = self::creamery(['blocks.0.walls.0.openings.0.from' => '17ft']);
        [$faults, $building] = self::wrong($document);
        self::assertNotNull($building);
        $clashing = [];
        foreach ((new KitShape(Sketch::of($building, $faults)))->children('walls') as $wall) {
            foreach ($wall->children('openings') as $opening) {
                array_push($clashing, ...$opening->values['clashes'] === true ? [$wall->text('key').' '.$opening->text('key')] : []);
            }
        }
        self::assertSame(['hall.front w1', 'hall.front w1-2', 'hall.front w1-3'], $clashing);
    }

    /**
     * The nearest way out is offered, and taking it leads out.
     *
     * @param  array<string, mixed>  $changes
     */
    #[DataProvider('provideCures')]
    public function testTheNearestWayOutLeadsOut(array $changes, string $words): void
    {
        $document = self::creamery($changes);
        [$faults] = self::wrong($document);
        $cure = Cure::of($document, $faults[0]);
        self::assertSame($words, $cure?->words);
        Kits::of(Edits::apply($document, [$cure->edit])->document);
    }

    /**
     * On the hall's back, 36 ft long and 14 ft to the eaves, with a window from 3 to 7 ft, for one of 3 by 4 ft: a foot and a half is kept
     * at the ends and 9 in beside, two courses under the eaves; thirty go into bays of 3 ft 9 in nine times.
     *
     * @return iterable<string, array{array<string, mixed>, string}>
     */
    public static function provideCures(): iterable
    {
        $window = ['id' => 'x1', 'style' => 'small', 'from' => '35ft', 'sill' => '4ft'];
        $on = 'blocks.0.walls.2.openings.1';
        yield 'past the end' => [[$on => (object) $window], 'Move it to 31ft 3in'];
        yield 'over another' => [[$on => (object) (['from' => '3ft'] + $window)], 'Move it to 8ft 3in'];
        yield 'too high' => [[$on => (object) (['from' => '32ft', 'sill' => '13ft'] + $window)], 'Lower its sill to 9ft 6in'];
        $row = (object) ['id' => 'r1', 'style' => 'small', 'sill' => '9ft 6in', 'count' => 30];
        yield 'too many' => [['blocks.0.walls.2.rows' => [$row]], 'Make it 9'];
    }

    /** The elevation of a sound gable is that of the kit: 48 wide, eaves at 38, 40° either side. */
    public function testASketchStandsAsHighAsTheKit(): void
    {
        $building = BuildingReader::fromText(Kits::exampleText('weigh-office'));
        [$front, $right] = (new KitShape(Sketch::of($building, [])))->children('walls');
        $outline = $right->child('outlines')->ring('0')->toArray();
        self::assertEqualsWithDelta([48.0, 38.0], [$outline[1][0] ?? null, $outline[2][1] ?? null], 1e-3);
        self::assertEqualsWithDelta([24.0, 38.0 + 24.0 * tan(deg2rad(40.0))], $outline[3] ?? null, 1e-3);
        self::assertEqualsWithDelta(38.0, $front->child('height')->number('model_mm'), 1e-6);
    }

    /** Whatever is wrong with it, reading says so and throws nothing, and what it gives can be drawn. */
    public function testNoDocumentStopsTheReading(): void
    {
        $read = $drawn = 0;
        for ($seed = 0; $seed < 200; $seed++) {
            try {
                $document = JsonText::decode(DocumentMutants::text($seed));
            } catch (InvalidInput) {
                continue;
            }
            $reading = BuildingReader::reading($document);
            $read++;
            if ($reading->building !== null) {
                $faults = array_map(static fn (Problem $p): array => $p->kept(), $reading->faults);
                $said = [Sketch::of($reading->building, $reading->faults), FaultWords::of($document, $faults)];
                self::assertNotSame('', json_encode($said, JSON_THROW_ON_ERROR));
                $drawn++;
            }
        }
        self::assertGreaterThan(100, $read);
        self::assertGreaterThan($read / 2, $drawn);
    }

    /** @param  array<string, mixed>  $changes */
    private static function creamery(array $changes): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        foreach ($changes as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }

    /** @return array{list<Problem>, ?Building} */
    private static function wrong(stdClass $document): array
    {
        $reading = BuildingReader::reading($document);
        if ($reading->faults !== []) {
            return [$reading->faults, $reading->building];
        }
        try {
            Kits::of($document);
        } catch (InvalidInput $e) {
            return [$e->problems, $reading->building];
        }
        self::fail('it is sound');
    }
}
