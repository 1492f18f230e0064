<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Plot;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Site\Lift;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Fit\Plot\Splitting;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** A box 300 × 100, eaves 60, its gable along x at 40° with eaves 8 out, on a plot that begins 50 before and beside it. */
final class LiftTest extends TestCase
{
    /** @param  array<string, mixed>  $plot */
    private static function derived(array $plot, string $width = '300mm'): Derivation
    {
        $document = Kits::box("$width model", '100mm model', '60mm model', 40.0, '8mm model');
        $document->scale = '1:76.2';
        $document->plot = json_decode(
            (string) json_encode($plot + ['size' => ['400mm', '200mm'], 'at' => ['-50mm', '-50mm'], 'backscene' => []]),
        );

        return Kits::of($document);
    }

    /** @param  array<string, mixed>  $plot */
    private static function fit(array $plot, string $width = '300mm'): Fit
    {
        return self::derived($plot, $width)->fit ?? self::fail();
    }

    private static function one(Fit $fit, string $kind, string $with): ?Clearance
    {
        foreach ($fit->clearances as $clearance) {
            if ($clearance->kind === $kind && str_ends_with($clearance->with, $with)) {
                return $clearance;
            }
        }

        return null;
    }

    /**
     * A wire 300 long and 1 wide along the front.
     *
     * @return array<string, mixed>
     */
    private static function wire(string $id, float $behind, float $from): array
    {
        return [
            'id' => $id, 'kind' => 'wire', 'at' => [
                '200mm',
                (50.5 + $behind).'mm',
            ], 'size' => ['300mm', '1mm'], 'from' => $from.'mm', 'to' => ($from + 1.0).'mm',
        ];
    }

    /** @return array<string, mixed> */
    private static function bridge(?string $lifts = null, string $id = 'bridge', float $from = 85.0): array
    {
        return ['id' => $id, 'at' => ['0mm', '38mm'], 'size' => ['400mm', '6mm'], 'from' => "{$from}mm", 'to' => ($from + 10.0).'mm']
            + ($lifts === null ? [] : ['lifts' => $lifts]);
    }

    /** Square to the slope: what stands over a roof is as far from it as that, and no slot is asked for. */
    #[DataProvider('provideWires')]
    public function testAWireOverASlopeIsAsFarOffAsItIs(float $behind, float $from, float $wanted): void
    {
        $wire = self::one(self::fit(['obstacles' => [self::wire('w', $behind, $from)]]), 'obstacle', 'w') ?? self::fail();
        self::assertEqualsWithDelta($wanted, $wire->left_mm + 0.5, 0.01);
        self::assertStringNotContainsString('cut', $wire->text);
    }

    /** @return iterable<string, array{float, float, float}> how far behind the wall line, how high, and square to the card's upper face */
    public static function provideWires(): iterable
    {
        // The upper face lies 1 / cos 40° over a plane that is 60 high at the wall line and rises by tan 40°.
        foreach ([[10.0, 90.0], [-5.0, 75.0], [30.0, 97.0]] as [$behind, $from]) {
            $up = $from - 60.0 - 1.0 / cos(deg2rad(40.0)) - ($behind + 1.0) * tan(deg2rad(40.0));
            yield "$behind behind the wall, $from up" => [$behind, $from, $up * cos(deg2rad(40.0))];
        }
    }

    /**
     * A bridge 85 up over the eaves, from 12 to 6 before the wall: its corner is 21 from the roof's edge, and catches that when it comes
     * up.
     */
    public function testWhatHangsOverTheEavesCatchesThem(): void
    {
        $fit = self::fit(['neighbours' => [self::bridge()]]);
        self::assertGreaterThan(20.0, self::one($fit, 'neighbour', 'bridge')->left_mm ?? 0.0);
        $lift = self::one($fit, 'lift', 'bridge') ?? self::fail();
        self::assertFalse($lift->isFree());
        self::assertStringContainsString('is caught by bridge', $lift->text);
        // Drawn out to the back it passes under nothing.
        self::assertTrue(
            self::one(self::fit(['neighbours' => [self::bridge()], 'lift' => ['way' => 'back']]), 'lift', 'bridge')?->isFree(),
        );
    }

    /** What stands in a hole of the floor does not catch it; a wire through both gables does. */
    public function testARodComesOutOfItsHoleAndAWireDoesNot(): void
    {
        $rod = ['id' => 'rod', 'kind' => 'rod', 'at' => ['200mm', '100mm'], 'across' => '2mm', 'from' => '-10mm', 'to' => '20mm'];
        $fit = self::fit(['obstacles' => [$rod]]);
        self::assertFalse(self::one($fit, 'obstacle', 'rod')?->isFree() ?? true);
        self::assertNull(self::one($fit, 'lift', 'rod'));
        $through = [
            'at' => ['200mm', '100mm'],
            'size' => ['400mm', '1mm'],
            'from' => '20mm',
            'to' => '21mm',
            'kind' => 'wire',
            'id' => 'through',
        ];
        self::assertFalse(self::one(self::fit(['obstacles' => [$through]]), 'lift', 'through')?->isFree() ?? true);
        // And drawn out to the front the floor is caught by its rod.
        self::assertFalse(self::one(self::fit(['obstacles' => [$rod], 'lift' => ['way' => 'front']]), 'lift', 'rod')?->isFree() ?? true);
    }

    /** The bridge comes off up, once the wire over it has been drawn off to the left; the building after both. */
    public function testTheOrderIsKept(): void
    {
        $over = [
            'id' => 'span',
            'kind' => 'wire',
            'at' => ['200mm', '41mm'],
            'size' => ['400mm', '1mm'],
            'from' => '110mm',
            'to' => '111mm',
        ];
        $fit = self::fit(['neighbours' => [self::bridge('up')], 'obstacles' => [$over + ['lifts' => 'left']]]);
        self::assertSame([['name' => 'span', 'way' => 'left'], ['name' => 'bridge', 'way' => 'up']], $fit->before);
        self::assertSame(['Span, out to the left.', 'Bridge, up.', 'The building, up.'], $fit->toArray()['off']);
        self::assertTrue($fit->fits());
        self::assertStringContainsString('it is number 2 to come off', self::one($fit, 'lift', 'bridge')->text ?? '');
        self::assertContains('plot.order', array_map(static fn (Check $c): string => $c->code, $fit->checks()));
        // Where the wire stays nothing comes off.
        $stuck = self::fit(['neighbours' => [self::bridge('up')], 'obstacles' => [$over]]);
        self::assertSame([], $stuck->before);
        self::assertStringContainsString('something holds it', self::one($stuck, 'lift', 'bridge')->text ?? '');
        // A bridge that only goes down past the eaves to the back is held by the building, which it holds.
        $held = self::fit(['neighbours' => [self::bridge('back', from: 60.0)]]);
        self::assertFalse(self::one($held, 'lift', 'bridge')?->isFree() ?? true);
    }

    public function testALongBuildingIsDividedBetweenItsOpenings(): void
    {
        self::assertEqualsWithDelta(5.94, Splitting::swing(300.0, 60.0), 0.005);
        self::assertSame(1.5, Splitting::cover(new Lift('up', 0.5)));
        $whole = self::fit([])->splitting;
        self::assertSame([[], 300.0], [$whole->joints, $whole->length]);
        self::assertEqualsWithDelta(hypot(300.0, $whole->height) - 300.0, $whole->pieces[0]['swing'], 1e-9);
        // Blank walls have no natural line: halves.
        $long = self::fit(['size' => ['700mm', '200mm']], '500mm')->splitting;
        self::assertEqualsWithDelta([250.0, 250.0], array_column($long->pieces, 'length'), 1e-6);
        self::assertStringContainsString('no natural line', $long->joints[0]['where']);
        // A row of blocks is divided where one ends, as near to the middle as may be.
        $document = JsonText::decode(Kits::exampleText('ropewalk-row'));
        $document = BuildingGenerator::with($document, 'plot.lift', (object) ['handy' => '120mm', 'joint' => '1mm']);
        $split = Kits::of($document)->fit->splitting ?? self::fail();
        self::assertGreaterThan(1, count($split->joints));
        self::assertSame(2.0, $split->cover);
        foreach ($split->pieces as $piece) {
            self::assertLessThanOrEqual(120.01, $piece['length']);
        }
        self::assertEqualsWithDelta($split->length, array_sum(array_column($split->pieces, 'length')), 1e-6);
        self::assertContains('where one part of the building ends', array_column($split->joints, 'where'));
    }

    /** @return array<string, list<string>> sentences by code */
    private static function told(Derivation $derived): array
    {
        $told = [];
        foreach ($derived->checks as $check) {
            $told[$check->code][] = "$check->level: $check->text";
        }

        return $told;
    }

    public function testWhatThePlaceAsksOfIt(): void
    {
        $road = static fn (float $rise): array => [
            'id' => 'lane',
            'name' => 'Mill lane',
            'line' => [['0mm', '20mm'], ['400mm', (20.0 + $rise).'mm']],
            'width' => '10mm',
        ];
        self::assertArrayNotHasKey('plot.skew', self::told(self::derived(['roads' => [$road(0.0)]])));
        // 14 over 400 is 2.0 degrees, 60 is 8.5.
        self::assertStringContainsString(
            '2.0° askew to Mill lane. Up to 5°',
            self::told(self::derived(['roads' => [$road(14.0)]]))['plot.skew'][0],
        );
        self::assertStringContainsString(
            '8.5° askew to Mill lane. Over 5°',
            self::told(self::derived(['roads' => [$road(-60.0)]]))['plot.skew'][0],
        );
        $motor = [
            'id' => 'm',
            'name' => 'of the hoist',
            'kind' => 'motor',
            'at' => ['200mm', '100mm'],
            'size' => ['20mm', '20mm'],
            'from' => '-40mm',
            'to' => '-2mm',
        ];
        self::assertStringStartsWith('note: The motor of the hoist is under the building. It is reached', self::told(self::derived(['obstacles' => [$motor]]))['plot.reach'][0]);
        self::assertStringContainsString(
            'nobody gets at it',
            self::told(self::derived(['obstacles' => [$motor], 'neighbours' => [self::bridge()]]))['plot.reach'][0],
        );
    }

    public function testWhenAMockUpIsAskedForAndWhatNoPlaceMeans(): void
    {
        $plain = Kits::box('300mm', '100mm', '60mm', 40.0);
        $told = self::told(Kits::of($plain));
        self::assertArrayNotHasKey('mockup.first', $told);
        self::assertStringStartsWith('note: Nobody has said yet where it stands', $told['place.open'][0]);
        $bare = BuildingGenerator::with($plain, 'blocks.0.walls', [(object) ['edge' => 'back', 'treat' => 'omit']]);
        self::assertStringStartsWith('warn: The back wall is left out', self::told(Kits::of($bare))['place.open'][0]);
        self::assertStringContainsString(
            'its roof is hipped, its corners are askew',
            self::told(Kits::of(Kits::octagon()))['mockup.first'][0],
        );
        self::assertStringContainsString('its parts meet', self::told(Kits::example('creamery'))['mockup.first'][0]);
        $squeezed = BuildingGenerator::with($plain, 'relief', (object) ['depth' => '60mm', 'school' => 'squeeze']);
        self::assertStringContainsString('it is squeezed', self::told(Kits::of($squeezed))['mockup.first'][0]);
        self::assertArrayNotHasKey('place.open', self::told(self::derived([])));
    }
}
