<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Part\Bevel;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\KitMutants;
use Tests\Support\Kits;

/** Mitred corners and bevelled panels: their outlines on both faces, worked by hand, and the dry fit of them. */
final class BevelsTest extends TestCase
{
    public function testASquareCornerIsBevelledAt45Degrees(): void
    {
        $derivation = Kits::of(self::mitred(Kits::box('100mm', '60mm', '40mm', 45)));
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        $front = $derivation->kit->part('main.front.core')->part;
        self::assertEqualsWithDelta(100.0, $front->width(), 0.0005);
        self::assertEqualsWithDelta(98.0, $front->outline->face('inside')->bounds()->width(), 0.0005, 'a thickness less at each end');
        self::assertSame([[45.0, 'outside'], [45.0, 'outside']], self::bevels($front));
        $mitres = array_values(
            array_filter(
                $derivation->kit->joints,
                static fn ($j): bool => $j->kind === JointKind::Mitre && $j->a->part === 'main.front.core',
            ),
        );
        self::assertCount(1, $mitres, 'each corner is one joint, told of the wall on its left');
        self::assertSame('strip', $mitres[0]->touch);
        self::assertEqualsWithDelta(40.0, $mitres[0]->contact_mm, 0.0005);
    }

    /** @param  list<array{float, string}>  $bevels  of the wall between the corners, left and right */
    #[DataProvider('provideCorners')]
    public function testCornersAtOtherAngles(string $polygon, string $edge, float $inside, array $bevels): void
    {
        $document = BuildingGenerator::with(
            self::mitred(Kits::box('100mm', '60mm', '40mm', 45)),
            'blocks.0.footprint',
            json_decode($polygon),
        );
        $derivation = Kits::of(BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'flat']));
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        $wall = $derivation->kit->part("main.$edge.core")->part;
        self::assertEqualsWithDelta($inside, $wall->outline->face('inside')->bounds()->width(), 0.0005);
        self::assertEqualsWithDelta($bevels, self::bevels($wall), 0.00001);
    }

    /** @return iterable<string, array{string, string, float, list<array{float, string}>}> */
    public static function provideCorners(): iterable
    {
        // An L: the wall of 60 from the outer corner to the inner one gains a thickness where it runs past that.
        $l = '{"polygon":[["0mm","0mm"],["100mm","0mm"],["100mm","40mm"],["40mm","40mm"],["40mm","90mm"],["0mm","90mm"]]}';
        yield 'from an outer to an inner corner' => [$l, 'edge-2', 60.0, [[45.0, 'inside'], [45.0, 'outside']]];
        // A canted end: corners of 135 degrees are cut back by tan 22.5 degrees.
        $canted = '{"polygon":[["0mm","0mm"],["60mm","0mm"],["80mm","20mm"],["80mm","60mm"],["0mm","60mm"]]}';
        yield 'between corners of 135' => [$canted, 'edge-1', 28.2843 - 2.0 * 0.41421, [[22.5, 'outside'], [22.5, 'outside']]];
    }

    public function testBevelledSlopesMeetWithoutAStrip(): void
    {
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 30), 'methods.panels', 'bevelled');
        $derivation = Kits::of($document);
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
        $slope = $derivation->kit->part('main.front-slope.carrier')->part;
        self::assertEqualsWithDelta(34.641, $slope->outline->face('inside')->bounds()->height(), 0.0005, '30 / cos 30°, on the underside');
        self::assertEqualsWithDelta(35.2184, $slope->height(), 0.0005, 'and tan 30° more on top');
        self::assertSame([[30.0, 'outside']], self::bevels($slope));
        self::assertSame([], array_filter($derivation->kit->parts, static fn ($p): bool => str_contains($p->part->id, 'strip')));
    }

    public function testEveryMutantOfABevelledKitIsFound(): void
    {
        $derived = Kits::of(
            BuildingGenerator::with(self::mitred(Kits::box('40mm', '30mm', '20mm', 35, '2mm', '1mm')), 'methods.panels', 'bevelled'),
        );
        $missed = [];
        foreach (KitMutants::of(Kits::serialised($derived), 3) as $what => $mutant) {
            if (DryFit::check($mutant, $derived->described)->goesTogether()) {
                $missed[] = $what;
            }
        }
        self::assertSame([], $missed);
    }

    public function testTheBlankIsWhatBothFacesNeed(): void
    {
        $l = '{"polygon":[["0mm","0mm"],["100mm","0mm"],["100mm","40mm"],["40mm","40mm"],["40mm","90mm"],["0mm","90mm"]]}';
        $document = BuildingGenerator::with(self::mitred(Kits::box('100mm', '60mm', '40mm', 45)), 'blocks.0.footprint', json_decode($l));
        $derivation = Kits::of(BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'flat']));
        $wall = $derivation->kit->part('main.edge-2.core')->part;
        self::assertEqualsWithDelta(
            61.0,
            $wall->blank()->outline->bounds()->width(),
            0.0005,
            '60, and a thickness past the inner corner on the inside',
        );
        foreach ($derivation->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                foreach ($placed->part->part->blank()->outline->points as $point) {
                    $at = $placed->toSheet($point);
                    self::assertTrue(
                        $at->x >= $placed->x - 0.001
                            && $at->x <= $placed->x + $placed->width() + 0.001
                            && $at->y >= $placed->y - 0.001
                            && $at->y <= $placed->y + $placed->height() + 0.001,
                    );
                }
            }
        }
    }

    public function testAMitreWantsTheSameLayersOnBothSides(): void
    {
        $document = BuildingGenerator::with(
            self::mitred(Kits::box('100mm', '60mm', '40mm', 45)),
            'methods.stacks',
            (object) ['thin' => [(object) ['id' => 'core', 'stock' => 'card-0.5', 'role' => 'core']]],
        );
        $document = BuildingGenerator::with($document, 'blocks.0.walls', [(object) ['edge' => 'right', 'stack' => 'thin']]);
        try {
            Kits::of($document);
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertSame(['methods.corner', 'methods.corner'], array_map(static fn (Problem $p): string => $p->path, $e->problems));
            self::assertStringContainsString('a mitre wants both walls of the same layers', $e->problems[0]->text());
        }
    }

    private static function mitred(stdClass $document): stdClass
    {
        return BuildingGenerator::with($document, 'methods.corner', 'mitre');
    }

    /** @return list<array{float, string}> */
    private static function bevels(Part $part): array
    {
        return array_values(array_map(static fn (Bevel $b): array => [round($b->degrees, 6), $b->longer], $part->bevels()));
    }
}
