<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Sight;

use Chartula\Core\Fit\Sight\InsideSeen;
use Chartula\Core\Fit\Sight\Join;
use Chartula\Core\Fit\Sight\SeenFace;
use Chartula\Core\Fit\Sight\SeenFaces;
use Chartula\Core\Fit\Sight\SightLines;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What shows from an eye before the layout. */
final class SightTest extends TestCase
{
    /**
     * The box of the handbook: eaves 60, pitch 40, 100 deep, 300 long from $x on; eye 600 off and 350 up, gap 3.
     *
     * @param  array<string, mixed>  $plot
     */
    private static function cut(string $school, float $depth, float $x = 0.0, array $plot = [], ?float $rear = null): stdClass
    {
        $document = Kits::box('300mm model', '100mm model', '60mm model', 40.0);
        $document->scale = '1:76.2';
        $document = BuildingGenerator::with($document, 'blocks.0.at', ["{$x}mm model", '0mm']);
        if ($rear !== null) {
            $document = BuildingGenerator::with($document, 'blocks.0.roof.edges', [(object) ['edge' => 'back', 'pitch' => $rear]]);
        }
        $document->relief = (object) ['depth' => "{$depth}mm", 'school' => $school];
        $document->plot = json_decode((string) json_encode($plot + [
            'size' => ['400mm', '200mm'], 'at' => ['-50mm', '0mm'],
            'eye' => ['distance' => '600mm', 'height' => '350mm', 'travel' => '400mm'],
        ]));

        return $document;
    }

    private static function lines(stdClass $document): SightLines
    {
        $derived = Kits::of($document);

        return SightLines::of($derived->building->plot ?? self::fail(), $derived->kit) ?? self::fail('No sight lines');
    }

    /** @return array<string, string> sentences by what they are about */
    private static function told(stdClass $document): array
    {
        $derived = Kits::of($document);
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised())) ?? self::fail();

        return array_column($report->lines, 'text', 'key');
    }

    public function testWorkedSightLines(): void
    {
        $s = self::lines(self::cut('slice', 40.0));
        self::assertEqualsWithDelta(-443.5, $s->frontSlope[1] ?? 0.0, 0.1);
        self::assertEqualsWithDelta(647.4, $s->missingRear[0] ?? 0.0, 0.05);
        self::assertEqualsWithDelta([93.564, 93.564], [$s->top, $s->topFrom], 0.001);
        self::assertEqualsWithDelta(856.3, $s->squareFrom, 0.05);
        self::assertEqualsWithDelta(92.36, $s->backscene[0], 0.005);
        self::assertTrue($s->shows());
        // 250 beyond its right end, and as much beyond its left one.
        self::assertSame(['left', 'right'], array_column($s->ends, 'end'));
        self::assertEqualsWithDelta([21.34, 21.83], [$s->ends[1]['join']->angle, $s->ends[1]['join']->missingAcross()], 0.005);
    }

    /**
     * The top edge, the backscene and the rear behind whatever ridge there is.
     *
     * @param  array{?float, float, float}  $wanted  from where the rear is missed, from where the back edge shows, how far down the
     *     backscene
     */
    #[DataProvider('provideSchools')]
    public function testEachSchoolIsSeenOverItsRidge(string $school, float $depth, array $wanted): void
    {
        $s = self::lines(self::cut($school, $depth));
        self::assertEqualsWithDelta($wanted, [$s->missingRear[0] ?? null, $s->topFrom, $s->backscene[0]], 0.05);
    }

    /** @return iterable<string, array{string, float, array{?float, float, float}}> */
    public static function provideSchools(): iterable
    {
        yield 'squeezed' => ['squeeze', 40.0, [null, 1402.6, 92.75]];
        yield 'its pitch kept' => ['keep-pitch', 40.0, [null, 597.0, 66.65]];
        yield 'the rear dropped' => ['front-slope', 55.0, [647.4, 647.4, 98.90]];
        yield 'its ridge kept' => ['keep-ridge', 40.0, [639.0, 101.955, 100.79]];
    }

    /**
     * A rear of 55° shows from the ridge at 42.6 mm behind an eye 600 before the front: 95.7 + 642.6 · tan 55°, less what the ridge
     * differs.
     */
    public function testASteeperRearIsMissedLater(): void
    {
        [$front, $back] = [tan(deg2rad(40.0)), tan(deg2rad(55.0))];
        $ridge = 100.0 * $back / ($front + $back);
        $wanted = 60.0 + $ridge * $front + (600.0 + $ridge) * $back;
        self::assertEqualsWithDelta($wanted, self::lines(self::cut('slice', 30.0, rear: 55.0))->missingRear[0] ?? 0.0, 0.05);
        self::assertEqualsWithDelta(1059.7, $wanted, 0.1);
    }

    /** @param  array{float, float}  $wanted  the angle, and what is missing across it */
    #[DataProvider('providePlaces')]
    public function testWhereverTheBuildingStandsItsEndsAreItsOwn(float $x, string $end, array $wanted): void
    {
        $ends = array_column(self::lines(self::cut('slice', 40.0, $x))->ends, 'join', 'end');
        self::assertEqualsWithDelta($wanted, [$ends[$end]->angle, $ends[$end]->missingAcross()], 0.01);
    }

    /** @return iterable<string, array{float, string, array{float, float}}> */
    public static function providePlaces(): iterable
    {
        yield 'at 200' => [200.0, 'left', [35.11, 34.51]];
        yield 'at -500' => [-500.0, 'right', [49.52, 45.64]];
    }

    public function testAnEyeBesideATurnedBuildingLooksAtTheCut(): void
    {
        $told = self::told(self::cut('slice', 40.0, plot: ['at' => ['0mm', '0mm'], 'turn' => 90]));
        self::assertStringContainsString('is not before the building’s front, and looks at where it is cut', $told['place']);
        self::assertStringContainsString('right flank', $told['flank']);
        // Nowhere before its front: an eye that does not move.
        $still = ['distance' => '600mm', 'height' => '350mm'];
        $told = self::told(self::cut('slice', 40.0, plot: ['at' => ['0mm', '0mm'], 'turn' => 90, 'eye' => $still]));
        self::assertSame(['place', 'finest'], array_keys($told));
    }

    public function testTheWorstOfARangeOfHeightsIsTold(): void
    {
        $eye = ['distance' => '600mm', 'height' => '350mm', 'to' => '700mm', 'travel' => '100mm'];
        $low = self::lines(self::cut('front-slope', 55.0));
        $high = self::lines(self::cut('front-slope', 55.0, plot: ['eye' => $eye]));
        self::assertSame([false, true], [$low->isRearMissed(), $high->isRearMissed()]);
        self::assertSame([], $high->ends);
        self::assertLessThan($low->backscene[0], $high->backscene[0]);
    }

    public function testANeighbourHidesTheJoinOnlyWhereItIsTallEnough(): void
    {
        $beside = static fn (string $to): array => [
            'neighbours' => [['id' => 'mill', 'at' => ['365mm', '0mm'], 'size' => ['30mm', '100mm'], 'to' => $to]],
        ];
        self::assertStringContainsString('is not tall enough', self::told(self::cut('slice', 40.0, plot: $beside('20mm')))['neighbour']);
        // 15 away and 40 deep: from atan(15/40) on, and from the end of the way, at 21.34°, a flank of 38.4 would do.
        self::assertStringContainsString(
            'from 20.6° on: at 21.3° a flank of 38.4 mm would be deep enough. Between 0.0° and 20.6° it shows',
            self::told(self::cut('slice', 40.0, plot: $beside('120mm')))['neighbour'],
        );
    }

    #[DataProvider('provideHiding')]
    public function testANeighbourHidesTheJoinFromADepth(float $degrees, float $wanted): void
    {
        self::assertEqualsWithDelta($wanted, (new Join(40.0, 60.0, 3.0, $degrees))->depthThatHides(15.0, 0.0), 0.05);
    }

    /** @return iterable<string, array{float, float}> */
    public static function provideHiding(): iterable
    {
        yield '10 degrees' => [10.0, 85.1];
        yield '20 degrees' => [20.0, 41.2];
        yield '30 degrees' => [30.0, 26.0];
    }

    public function testTheSlotTheReturnAndTheShadowFromEitherSide(): void
    {
        $s = new Join(40.0, 60.0, 3.0, 20.0);
        self::assertEqualsWithDelta(1.03, $s->slot(), 0.005);
        self::assertEqualsWithDelta(2.82, $s->shadow(30.0, true), 0.005);
        self::assertSame(0.0, $s->shadow(30.0, false));
        // From the other side it shows up to 2.3°.
        self::assertGreaterThan(0.0, (new Join(40.0, 60.0, 3.0, 2.2))->shadow(30.0, false));
        self::assertSame(0.0, (new Join(40.0, 60.0, 3.0, 2.4))->shadow(30.0, false));
        self::assertEqualsWithDelta(5.7, (new Join(20.0, 0.0, 3.0, 35.0))->hiddenByReturn(2.0), 0.05);
        self::assertEqualsWithDelta(14.0, (new Join(20.0, 0.0, 3.0, 35.0))->turnedIn(), 0.05);
    }

    public function testHowDeepTheInsideShows(): void
    {
        self::assertEqualsWithDelta([-0.28, 12.28], InsideSeen::sideways(12.0, 1.5, 600.0, 6.0, 30.0), 0.006);
        self::assertEqualsWithDelta([-14.50, -2.70], InsideSeen::sideways(12.0, 1.5, 600.0, 306.0, 30.0), 0.006);
        self::assertNull(InsideSeen::sideways(1.0, 20.0, 100.0, 500.0, 60.0));
        self::assertEqualsWithDelta([0.0, 52.2], InsideSeen::floorSeen(0.0, 28.0, 1.5, 600.0, 350.0, 100.0), 0.05);
        self::assertSame([0.0, 40.0], InsideSeen::floorSeen(0.0, 28.0, 1.5, 600.0, 350.0, 40.0));
        // Over a sill as high as the eye nothing of the floor shows, and under a head higher than that all of it.
        self::assertNull(InsideSeen::floorSeen(20.0, 28.0, 1.5, 600.0, 20.0, 100.0));
        self::assertSame([0.0, 100.0], InsideSeen::floorSeen(0.0, 28.0, 1.5, 600.0, 25.0, 100.0));
    }

    /** What shows of the shipped row's rooms: places at their backs, joined to every place of the eye, past both faces of the wall. */
    public function testTheInsideOfRealOpenings(): void
    {
        $derived = Kits::example('ropewalk-row');
        $plot = $derived->building->plot ?? self::fail();
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised())) ?? self::fail();
        $tried = 0;
        foreach ($derived->kit->walls->spans() as $span) {
            foreach ($span->form->openings as $opening) {
                $inside = array_values(array_filter(
                    $report->insides,
                    static fn (InsideSeen $i): bool => $i->key === $span->block->id.'.'.$span->name().'.'.$opening->id,
                ))[0] ?? null;
                if ($inside === null || $opening->copy > 0) {
                    continue;
                }
                [$frame, $thick, $w] = [$span->form->frame, $span->stack->thickness_mm, $inside->width];
                $seen = [];
                $walls = array_map(
                    static fn (Vec2 $p): float => $frame->project(new Vec3($p->x, $p->y, $frame->origin->z))->x - $opening->left,
                    $derived->kit->form->blocks[$span->form->block]->ring->points,
                );
                for ($x = min($walls); $x <= max($walls); $x += 0.5) {
                    foreach (SeenFaces::eyes($plot) as $eye) {
                        [$away, $aside] = [$frame->height($eye), $frame->project($eye)->x - $opening->left];
                        $at = static fn (float $y): float => $x + ($aside - $x) * ($inside->room - $y) / ($inside->room + $away);
                        if ($away > 0.0 && $at(0.0) > 0.0 && $at(0.0) < $w && $at($thick) > 0.0 && $at($thick) < $w) {
                            $seen[] = $x;
                        }
                    }
                }
                self::assertEqualsWithDelta($seen === [] ? null : [min($seen), max($seen)], $inside->back, 0.51, $inside->name);
                $tried++;
            }
        }
        self::assertSame(count($report->insides), $tried);
        self::assertGreaterThan(1, $tried);
    }

    /** @return array<string, SeenFace> */
    private static function faces(stdClass $document): array
    {
        $derived = Kits::of($document);
        $plot = $derived->building->plot ?? self::fail();
        $faces = [];
        foreach (SeenFaces::of($plot, Assembly::of($derived->serialised()), $derived->kit) as $face) {
            $faces[$face->key] = $face;
        }

        return $faces;
    }

    private static function box(float $distance, float $height, float $travel): stdClass
    {
        $document = Kits::box('160mm model', '100mm model', '60mm model', 40.0);
        $document->scale = '1:76.2';
        $document->plot = json_decode(
            (string) json_encode([
                'size' => ['160mm', '100mm'],
                'eye' => ['distance' => "{$distance}mm", 'height' => "{$height}mm", 'travel' => "{$travel}mm"],
            ]),
        );

        return $document;
    }

    public function testFromTheMiddleOnlyTheFrontAndItsSlopeShow(): void
    {
        $faces = self::faces(self::box(600.0, 350.0, 0.0));
        self::assertSame(
            [
                'main.front' => 'full', 'main.right' => 'omit', 'main.back' => 'omit', 'main.left' => 'omit',
                'main.front-slope.carrier' => 'full', 'main.back-slope.carrier' => 'omit',
            ],
            array_map(static fn (SeenFace $f): string => $f->wants()->value, $faces),
        );
        self::assertSame(1.0, $faces['main.front']->share);
    }

    public function testFromTheEndsOfItsTravelTheFlanksShow(): void
    {
        $faces = self::faces(self::box(600.0, 350.0, 400.0));
        self::assertSame(['full', 'full'], [$faces['main.right']->wants()->value, $faces['main.left']->wants()->value]);
        self::assertSame('omit', $faces['main.back']->wants()->value);
        // 320 beyond the end, 600 to 700 away: at most atan(320/600) from the flank's own plane.
        self::assertEqualsWithDelta(rad2deg(atan(320.0 / 600.0)), $faces['main.right']->degrees, 4.0);
    }

    /** Just beyond the line of the flank it shows, and too nearly edge-on to want detail. */
    public function testAGrazedFlankWantsNoDetail(): void
    {
        self::assertSame('plain', self::faces(self::box(600.0, 350.0, 110.0))['main.right']->wants()->value);
    }

    /** The rear slope shows from where its missing would be noticed: 101.955 + 650 · tan 40°. */
    public function testTheRearSlopeShowsFromWhereTheFormulaSays(): void
    {
        $from = 101.955 + 650.0 * tan(deg2rad(40.0));
        self::assertEqualsWithDelta(647.4, $from, 0.05);
        self::assertSame('omit', self::faces(self::box(600.0, $from - 15.0, 0.0))['main.back-slope.carrier']->wants()->value);
        self::assertGreaterThan(0.0, self::faces(self::box(600.0, $from + 40.0, 0.0))['main.back-slope.carrier']->share);
    }

    public function testANeighbourBeforeAFlankHidesIt(): void
    {
        $document = self::box(600.0, 350.0, 400.0);
        assert($document->plot instanceof stdClass);
        $document->plot->neighbours = json_decode('[{"id": "tower", "at": ["165mm", "-20mm"], "size": ["60mm", "120mm"], "to": "400mm"}]');
        $faces = self::faces($document);
        self::assertNotSame('full', $faces['main.right']->wants()->value);
        self::assertSame('full', $faces['main.left']->wants()->value);
    }

    /** Against rays followed in small steps through the solids of a real kit. */
    #[Group('property')]
    public function testSharesAreThoseOfRaysFollowedThroughTheSolids(): void
    {
        $document = json_decode(Kits::exampleText('weigh-office'));
        assert($document instanceof stdClass);
        foreach ([[-250.0, 180.0], [300.0, 90.0]] as [$aside, $height]) {
            $document->plot = json_decode(
                (string) json_encode([
                    'size' => ['72mm', '48mm'],
                    'at' => [$aside.'mm', '0mm'],
                    'eye' => ['distance' => '400mm', 'height' => "{$height}mm"],
                ]),
            );
            $derived = Kits::of($document);
            $assembly = Assembly::of($derived->serialised());
            $plot = $derived->building->plot ?? self::fail();
            $eye = SeenFaces::eyes($plot)[0];
            $cards = array_filter($assembly->pieces, static fn ($p): bool => ! $p->part->isPaper() && $p->part->group !== 'trim');
            foreach (SeenFaces::of($plot, $assembly, $derived->kit) as $face) {
                $piece = $assembly->pieces[($face->kind === 'wall' ? "$face->key.face" : $face->key).'#0'];
                $facet = $piece->facets[0];
                $box = $facet->region->outline->bounds();
                $seen = $all = 0;
                foreach (range(0, 35) as $n) {
                    $at = new Vec2(
                        $box->x0 + $box->width() * (intdiv($n, 6) + 0.5) / 6.0,
                        $box->y0 + $box->height() * ($n % 6 + 0.5) / 6.0,
                    );
                    if (! $facet->region->contains($at)) {
                        continue;
                    }
                    $all++;
                    $seen += $facet->frame->height($eye) > 0.0 && ! self::isStopped($facet->frame->at($at, 0.05), $eye, $cards) ? 1 : 0;
                }
                self::assertEqualsWithDelta($seen / max(1, $all), $face->share, 0.03, "$face->key from $aside");
            }
        }
    }

    /** @param  array<string, \Chartula\Core\Kit\DryFit\Piece>  $cards */
    private static function isStopped(Vec3 $from, Vec3 $eye, array $cards): bool
    {
        $way = $eye->minus($from);
        // Nothing of the building is farther than this from any of its faces.
        $steps = (int) (110.0 / 0.2);
        for ($i = 0; $i < $steps; $i++) {
            $at = $from->plus($way->times($i * 0.2 / $way->length()));
            foreach ($cards as $card) {
                foreach ($card->facets as $facet) {
                    $height = $facet->frame->height($at);
                    if ($height < 0.0 && $height > -$facet->thickness && $facet->region->contains($facet->frame->project($at))) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    public function testTheReportOfRopewalkRow(): void
    {
        $derived = Kits::example('ropewalk-row');
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised())) ?? self::fail();
        self::assertSame(
            ['front-slope', 'rear', 'top', 'backscene', 'flank', 'return', 'slot', 'finest'],
            array_column($report->lines, 'key'),
        );
        self::assertSame([true, false], [$report->lines[0]['shows'], $report->lines[1]['shows']]);
        $document = json_decode(Kits::exampleText('ropewalk-row'));
        assert($document instanceof stdClass && $document->plot instanceof stdClass);
        unset($document->plot->eye, $document->perspective);
        $blind = Kits::of($document);
        self::assertNull(SightReport::of($blind->building, $blind->kit, Assembly::of($blind->serialised())));
    }
}
