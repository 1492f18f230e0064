<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What people do write, and what once broke the way through the rooms. */
final class OddDocumentsTest extends TestCase
{
    /** @param  array<string, mixed>  $changes  values by path */
    #[DataProvider('provideSound')]
    public function testIsMadeAndGoesTogether(string $example, array $changes): void
    {
        self::assertSame([], Kits::of(self::document($example, $changes))->dryFit->toArray()['findings']);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function provideSound(): iterable
    {
        foreach (['creamery' => [0, 2, 3, 4], 'halt' => [0, 1], 'ropewalk-row' => [0, 1, 2]] as $example => $blocks) {
            foreach ($blocks as $i) {
                yield "$example: no roof on block $i" => [$example, ["blocks.$i.roof.kind" => 'none']];
            }
        }
        yield 'a lean-to on the halt' => ['halt', ['blocks.1.roof.kind' => 'lean-to']];
        yield 'a style called 1' => ['weigh-office', [
            'styles.1' => ['kind' => 'window', 'w' => '3ft', 'h' => '4ft'], 'blocks.0.walls.0.openings.0.style' => '1',
        ]];
        yield 'a stock called 1' => ['weigh-office', [
            'stock.1' => ['kind' => 'board', 'thickness' => '1.3mm'], 'methods.wall.0.stock' => '1',
        ]];
        yield 'a dormer’s window just over the slope' => ['creamery', ['scale' => '1:87.1']];
        yield 'a block a thousandth of an inch out of line' => ['creamery', [
            'blocks.2.place.1' => ['flush' => 'back', 'with' => 'house.back', 'by' => '1thou'],
        ]];
        // Half as deep as it is wide: its hip ends in the gable opposite, of whose tip square cuts leave less.
        yield 'a wing as deep as its hip runs' => ['weigh-office', ['blocks.1' => [
            'id' => 'wing', 'footprint' => ['rect' => ['14ft 6in', '7ft 3in']], 'eaves' => '8ft',
            'place' => [['against' => 'front', 'with' => 'main.back'], ['flush' => 'left', 'with' => 'main.left', 'by' => '1ft 9in']],
            'roof' => ['kind' => 'gable', 'ridge' => 'y', 'pitch' => 40, 'edges' => [['edge' => 'back', 'kind' => 'hip']]],
        ]]];
        yield 'an engine longer than its track' => ['halt', ['plot.vehicles.0.length' => '1200mm']];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('provideFaulty')]
    public function testIsRefusedAtItsField(string $example, array $changes, string $path, string $code): void
    {
        try {
            Kits::of(self::document($example, $changes));
        } catch (InvalidInput $e) {
            self::assertContains("$path $code", array_map(static fn (Problem $p): string => "$p->path $p->code", $e->problems));

            return;
        }
        self::fail('It was made');
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function provideFaulty(): iterable
    {
        $sill = 'blocks.0.walls.0.openings.0.sill';
        yield 'a sill of nothing' => ['weigh-office', [$sill => '1thou'], $sill, 'opening.sill-thin'];
        // 3.8 mm at 1:76.2 are 0.0499 on the model.
        yield 'a sill too thin' => ['weigh-office', [$sill => '3.8mm'], $sill, 'opening.sill-thin'];
        // 9 ft 6 in less 5 ft are 1371.6; 2 mm lower the crown leaves 2 / 76.2 = 0.026 mm.
        yield 'a head just under the eaves' => ['weigh-office', [$sill => '1369.6mm'], $sill, 'opening.head-thin'];
        yield 'a turn without end' => ['weigh-office', ['blocks.0.turn' => INF], 'blocks.0.turn', 'wrong-type'];
        // The card stays as thick as it is, and behind it the slope rises by 1.81 · tan 40° = 1.52 mm more: 9 in at 1:148, 5 in at 1:87.1.
        yield 'a dormer’s window just over the slope, smaller' => [
            'creamery', ['scale' => '1:148'], 'blocks.4.walls.0.openings.0.sill', 'opening.on-slope',
        ];
        yield 'the inside of an archway twice' => [
            'ropewalk-row', ['perspective.mouths.1' => ['opening' => 'rope.front.p1', 'depth' => '30mm', 'apparent' => '80mm']],
            'perspective.mouths.1.opening', 'mouth.twice',
        ];
        yield 'a page of one’s own without its size' => [
            'weigh-office', ['sheets' => ['paper' => 'own', 'width' => '200mm']], 'sheets.paper', 'paper.no-size',
        ];
        yield 'a page too small for its rule' => [
            'weigh-office', ['sheets' => ['paper' => 'own', 'width' => '90mm', 'height' => '250mm']], 'sheets.width', 'paper.out-of-range',
        ];
        yield 'margins that eat the page' => [
            'weigh-office', ['sheets' => ['paper' => 'own', 'width' => '131mm', 'height' => '190mm', 'margin' => '59mm']], 'sheets.margin',
            'sheet.no-room',
        ];
        yield 'a clear side by number' => ['halt', ['plot.clear' => (object) ['1' => '5mm']], 'plot.clear.1', 'unknown-edge'];
    }

    /** @param  array<string, mixed>  $changes */
    private static function document(string $example, array $changes): stdClass
    {
        $document = JsonText::decode(Kits::exampleText($example));
        foreach ($changes as $path => $value) {
            $value = is_array($value) ? json_decode((string) json_encode((object) $value)) : $value;
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }
}
