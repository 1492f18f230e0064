<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Sight;

use Chartula\Core\Fit\Sight\SeenFace;
use Chartula\Core\Fit\Sight\SeenFaces;
use Chartula\Core\Fit\Sight\SightLines;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Measure\Angle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** What shows from an eye before the layout. */
final class SightTest extends TestCase
{
    /** School A of the handbook: eaves 60, pitch 40, 100 deep, cut at 40, top 93.564; eye 600 off and 350 up, gap 3. */
    private static function lines(float $aside = 250.0): SightLines
    {
        return new SightLines(600.0, 350.0, $aside, 60.0, Angle::ofDegrees(40.0), 101.955, 50.0, 100.0, 40.0, 93.564, 3.0);
    }

    public function testWorkedSightLines(): void
    {
        $s = self::lines();
        self::assertEqualsWithDelta(-443.5, $s->frontSlopeFrom(), 0.1);
        self::assertEqualsWithDelta(647.4, $s->missingRearFrom(), 0.05);
        self::assertEqualsWithDelta(93.564, $s->levelCutFrom(), 1e-9);
        self::assertEqualsWithDelta(856.3, $s->squareCutFrom(), 0.05);
        self::assertEqualsWithDelta(92.36, $s->backsceneDownTo(), 0.005);
        self::assertEqualsWithDelta(21.34, $s->flankDegrees(), 0.005);
        self::assertEqualsWithDelta(21.83, $s->missingDepth(), 0.005);
        self::assertSame(0.0, self::lines(0.0)->flankDegrees());
    }

    #[DataProvider('provideHiding')]
    public function testANeighbourHidesTheJoinFromADepth(float $degrees, float $wanted): void
    {
        self::assertEqualsWithDelta($wanted, self::lines(640.0 * tan(deg2rad($degrees)))->depthThatHides(15.0, 0.0), 0.05);
    }

    /** @return iterable<string, array{float, float}> */
    public static function provideHiding(): iterable
    {
        yield '10 degrees' => [10.0, 85.1];
        yield '20 degrees' => [20.0, 41.2];
        yield '30 degrees' => [30.0, 26.0];
    }

    public function testTheSlotAndItsShadow(): void
    {
        $s = self::lines(640.0 * tan(deg2rad(20.0)));
        self::assertEqualsWithDelta(1.03, $s->slot(), 0.005);
        self::assertEqualsWithDelta(2.82, $s->shadow(30.0), 0.005);
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
            array_map(static fn (SeenFace $f): string => $f->wants(), $faces),
        );
        self::assertSame(1.0, $faces['main.front']->share);
    }

    public function testFromTheEndsOfItsTravelTheFlanksShow(): void
    {
        $faces = self::faces(self::box(600.0, 350.0, 400.0));
        self::assertSame(['full', 'full'], [$faces['main.right']->wants(), $faces['main.left']->wants()]);
        self::assertSame('omit', $faces['main.back']->wants());
        // 320 beyond the end, 600 to 700 away: at most atan(320/600) from the flank's own plane.
        self::assertEqualsWithDelta(rad2deg(atan(320.0 / 600.0)), $faces['main.right']->degrees, 4.0);
    }

    /** Just beyond the line of the flank it shows, and too nearly edge-on to want detail. */
    public function testAGrazedFlankWantsNoDetail(): void
    {
        self::assertSame('plain', self::faces(self::box(600.0, 350.0, 110.0))['main.right']->wants());
    }

    /** The rear slope shows from where the sight lines say the missing one would be noticed. */
    public function testTheRearSlopeShowsFromWhereTheFormulaSays(): void
    {
        $from = (
            new SightLines(600.0, 0.0, 0.0, 60.0, Angle::ofDegrees(40.0), 101.955, 50.0, 100.0, 100.0, 101.955, 3.0)
        )->missingRearFrom();
        self::assertEqualsWithDelta(647.4, $from, 0.05);
        self::assertSame('omit', self::faces(self::box(600.0, $from - 15.0, 0.0))['main.back-slope.carrier']->wants());
        self::assertGreaterThan(0.0, self::faces(self::box(600.0, $from + 40.0, 0.0))['main.back-slope.carrier']->share);
    }

    public function testANeighbourBeforeAFlankHidesIt(): void
    {
        $document = self::box(600.0, 350.0, 400.0);
        assert($document->plot instanceof stdClass);
        $document->plot->neighbours = json_decode('[{"id": "tower", "at": ["165mm", "-20mm"], "size": ["60mm", "120mm"], "to": "400mm"}]');
        $faces = self::faces($document);
        self::assertNotSame('full', $faces['main.right']->wants());
        self::assertSame('full', $faces['main.left']->wants());
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
        self::assertSame(['front-slope', 'rear', 'top', 'backscene', 'flank', 'slot'], array_column($report->lines, 'key'));
        self::assertSame([true, false], [$report->lines[0]['shows'], $report->lines[1]['shows']]);
        $document = json_decode(Kits::exampleText('ropewalk-row'));
        assert($document instanceof stdClass && $document->plot instanceof stdClass);
        unset($document->plot->eye, $document->perspective);
        $blind = Kits::of($document);
        self::assertNull(SightReport::of($blind->building, $blind->kit, Assembly::of($blind->serialised())));
    }
}
