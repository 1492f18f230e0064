<?php

declare(strict_types=1);

namespace Tests\Core\Roof;

use Chartula\Core\Building\Block;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\RoofEdge;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;

/** Roofs of two layers, the outer of which makes the edge. docs/formulas.md#thin-edges */
final class ThinEdgeTest extends TestCase
{
    /** Its planes close, but not all that stands on them: reasons by seed. */
    private const KNOWN = [
        'card of that thickness runs into a wall that stands on it' => [27, 108, 125, 141],
        'as with one layer' => [78, 81],
    ];

    private const EDGES = ['1.5mm', '3.1mm', '0.7mm', '8mm'];

    /** 40°, an overhang of 3 level at the eaves and 2 at the verges, 1 of it the outer layer’s alone, which is 0.5 on 1. */
    public function testTheCardUnderItEndsBefore(): void
    {
        $derived = Kits::of(self::gable('1mm'));
        self::assertSame([], $derived->dryFit->findings);
        [$outer, $under] = [self::part($derived, 'main.front-slope.slates'), self::part($derived, 'main.front-slope.carrier')];
        $cos = 0.766044443;
        self::assertEqualsWithDelta(32.0 / $cos, $under->height(), 1e-6);
        // It lies 1 higher, square to the slope, and goes so much farther up.
        self::assertEqualsWithDelta(33.0 / $cos + 1.0 * 0.839099631, $outer->height(), 1e-6);
        self::assertEqualsWithDelta(80.0 + 2 * 1.0, $under->width(), 1e-6);
        self::assertEqualsWithDelta(80.0 + 2 * 2.0, $outer->width(), 1e-6);
    }

    /** By 1.5 in the slope, 1.149 level, eaves of 80 under a hip of 40° come to 82.298; lying 1 higher adds the same at both ends. */
    public function testEavesBetweenHipsGrowAtBothEnds(): void
    {
        $cos = 0.766044443;
        $document = self::gable(sprintf('%.6fmm', 1.5 * $cos));
        $roof = (object) ['kind' => 'hip', 'pitch' => 40, 'overhang' => (object) ['eaves' => '5mm']];
        $document = BuildingGenerator::with($document, 'blocks.0.roof', $roof);
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->findings);
        [$outer, $under] = [self::part($derived, 'main.front-slope.slates'), self::part($derived, 'main.front-slope.carrier')];
        $eaves = $under->width();
        self::assertEqualsWithDelta(80.0 + 2 * (5.0 - 1.5 * $cos), $eaves, 1e-6);
        // Between planes whose normals’ cosine is cos² P; the hip stands at 45° in plan, and steeper by 1 / cos P in the slope.
        $fold = sqrt((1.0 - $cos * $cos) / (1.0 + $cos * $cos));
        $lifted = 1.0 * $fold * sqrt(1.0 + $cos * $cos);
        self::assertEqualsWithDelta($eaves + 2.298 + 2 * $lifted, $outer->width(), 1e-3);
    }

    public function testTheCardNeverEndsInsideItsWalls(): void
    {
        $derived = Kits::of(self::gable('9mm'));
        self::assertSame([], $derived->dryFit->findings);
        self::assertEqualsWithDelta(30.0 / 0.766044443, self::part($derived, 'main.front-slope.carrier')->height(), 1e-6);
        self::assertEqualsWithDelta(80.0, self::part($derived, 'main.front-slope.carrier')->width(), 1e-6);
        self::assertEqualsWithDelta(84.0, self::part($derived, 'main.front-slope.slates')->width(), 1e-6);
    }

    /** Rows divide the slope evenly; each begins on a line of the layer they are laid on, and none is drawn where the first begins. */
    public function testRowsAreDrawnOnIt(): void
    {
        $small = BuildingGenerator::with(self::gable('1mm'), 'blocks.0.roof.finish', 'slate');
        $small = BuildingGenerator::with($small, 'blocks.0.roof.row', '4mm');
        $outer = self::part(Kits::of($small), 'main.front-slope.slates');
        $heights = array_map(
            static fn (Mark $m): float => $m->path[0]->y - $outer->outline->ring->bounds()->y0,
            array_values(array_filter($outer->marks, static fn (Mark $m): bool => $m->kind === MarkKind::Course)),
        );
        // The slope is 43.078 up, and covered on top of both layers: eleven rows of 3.916.
        self::assertCount(10, $heights);
        foreach ($heights as $k => $height) {
            self::assertEqualsWithDelta(($k + 1) * 33.0 / 0.766044443 / 11.0, $height, 0.01);
        }
        self::assertSame([], array_filter(
            self::part(Kits::of(BuildingGenerator::with($small, 'methods.thin_edge', '0mm')), 'main.front-slope.slates')->marks,
            static fn (Mark $m): bool => $m->kind === MarkKind::Course,
        ));
    }

    /** The outer layer a third of a millimetre longer or shorter, on the same card: red, and by that alone. */
    #[TestWith([0.3])]
    #[TestWith([-0.3])]
    public function testTheDryFitHoldsTheOuterLayerToTheDocument(float $by): void
    {
        $document = self::gable('1mm');
        $building = BuildingReader::fromDocument($document);
        $longer = static fn (RoofEdge $e): RoofEdge => $e->with(overhang: RealLength::ofMillimetres($e->overhang->mm + $by));
        $other = BuildingReader::fromDocument(BuildingGenerator::with($document, 'methods.thin_edge', 1.0 + $by.'mm'));
        $other = $other->with(blocks: array_map(
            static fn (Block $b): Block => $b->with(roof: $b->roof->with(edges: array_map($longer, $b->roof->edges))),
            $other->blocks,
        ));
        /** @var array<string, mixed> $kit */
        $kit = Kits::serialised(Derivation::of($other, ''));
        $found = array_map(static fn (Finding $f): string => $f->code, DryFit::check($kit, $building)->findings);
        self::assertSame(['outside.edge'], array_values(array_unique($found)));
    }

    public function testOneLayerHasNoThinEdge(): void
    {
        $document = BuildingGenerator::with(self::gable('1mm'), 'methods.roof', [(object) ['stock' => 'greyboard-1', 'role' => 'core']]);
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('methods.thin_edge: roofs of one layer have no thinner one');
        BuildingReader::fromDocument($document);
    }

    /** Every class of house, on awkward figures: where its roofs close in two layers they do so with a thin edge. */
    public function testHousesCloseWithThinEdges(): void
    {
        $tried = Property::holds(self::houses(), static function (stdClass $document): ?string {
            try {
                $findings = Kits::of($document)->dryFit->findings;
            } catch (InvalidInput) {
                return null;
            }

            return $findings === [] ? null : $findings[0]->text;
        }, self::KNOWN);
        self::assertGreaterThan(10, $tried);
    }

    /** @return iterable<int, stdClass> by seed */
    private static function houses(): iterable
    {
        for ($i = 0; $i < (Sample::isDeep() ? 150 : 16); $i++) {
            $seed = ($i + (Sample::isDeep() ? 0 : Sample::seed())) % 150;
            $document = self::layered((new HouseGenerator($seed))->document());
            yield $seed => BuildingGenerator::with($document, 'methods.thin_edge', self::EDGES[$seed % count(self::EDGES)]);
        }
    }

    private static function layered(stdClass $document): stdClass
    {
        return BuildingGenerator::with($document, 'methods.roof', [
            (object) ['id' => 'slates', 'stock' => 'card-0.5', 'role' => 'face'],
            (object) ['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core'],
        ]);
    }

    private static function gable(string $thin): stdClass
    {
        $document = self::layered(Kits::box('80mm', '60mm', '40mm', 40.0));
        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) [
            'kind' => 'gable', 'ridge' => 'x', 'pitch' => 40, 'overhang' => (object) ['eaves' => '3mm', 'verge' => '2mm'],
        ]);

        return BuildingGenerator::with($document, 'methods.thin_edge', $thin);
    }

    private static function part(Derivation $derived, string $id): Part
    {
        return $derived->kit->part($id)->part;
    }
}
