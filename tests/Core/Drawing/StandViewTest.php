<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\StandView;
use Chartula\Core\Geometry\PlanarFaces;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Folding;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

final class StandViewTest extends TestCase
{
    public function testLinesCutARegionIntoFacesThatKnowTheirNeighbours(): void
    {
        // A sheet of 30 × 20 with a hole from (12, 6) to (20, 16), cut across at x = 10, and a flap between slits below the hole.
        $region = new Region(Ring::rectangle(0.0, 0.0, 30.0, 20.0), [Ring::rectangle(12.0, 6.0, 20.0, 16.0)]);
        $line = static fn (float $a, float $b, float $c, float $d): array => [new Vec2($a, $b), new Vec2($c, $d)];
        $faces = PlanarFaces::of(
            $region,
            [$line(10.0, 0.0, 10.0, 20.0), $line(11.0, 5.0, 21.0, 5.0), $line(11.0, 5.0, 12.0, 6.0), $line(21.0, 5.0, 20.0, 6.0)],
        );
        self::assertCount(3, $faces);
        $areas = array_map(static fn ($f): float => $f->region->area(), $faces);
        sort($areas);
        // The flap is a trapezoid of 10 and 8 by 1; the rest 20 × 20 less the hole of 80 and the flap.
        self::assertEqualsWithDelta([9.0, 200.0, 311.0], $areas, 1e-9);
        foreach ($faces as $i => $face) {
            foreach ($face->beyond as $side) {
                self::assertContains($i, array_column($faces[$side['face']]->beyond, 'face'), 'neighbours know each other');
            }
        }
    }

    public function testAFoldedPaperLiesOnTheWallsAndInTheReveals(): void
    {
        $derived = Kits::example('weigh-office');
        $assembly = Assembly::of($derived->serialised());
        $piece = $assembly->pieces['main.right.paper#0'];
        $facets = Folding::facets($piece->part, $piece->frame);
        $area = array_sum(array_map(static fn (Facet $f): float => $f->region->area(), $facets));
        self::assertEqualsWithDelta($piece->part->region->area(), $area, 0.01, 'nothing is lost in folding');
        // Base, two laps, a flap at sill and jambs each, and the tabs of the arched head.
        $normals = [];
        foreach ($facets as $facet) {
            $n = $facet->frame->normal;
            $normals[] = sprintf('%+.0f %+.0f %+.0f', $n->x + 0.0, $n->y + 0.0, $n->z + 0.0);
        }
        self::assertSame('+1 +0 +0', $normals[0], 'the right wall faces +x');
        // Laps face front and back; jambs face each other across the opening, the sill faces up, the head down.
        self::assertContains('+0 -1 +0', $normals);
        self::assertContains('+0 +1 +0', $normals);
        self::assertContains('+0 +0 +1', $normals);
        self::assertContains('+0 +0 -1', $normals);
        // The lap's back lies in the front wall's outside, y = 0, within half a paper's fold.
        foreach ($facets as $i => $facet) {
            if ($normals[$i] === '+0 -1 +0' && $facet->region->area() > 60.0) {
                self::assertEqualsWithDelta(0.0, $facet->frame->at($facet->region->outline->points[0], -$facet->thickness)->y, 0.1);
            }
        }
    }

    public function testEveryPieceStandsInItsOrderAndComesOffItsOwnWay(): void
    {
        $derived = Kits::example('weigh-office');
        $view = StandView::of($derived->serialised(), null);
        self::assertIsArray($view['pieces']);
        self::assertCount(27, $view['pieces']);
        $phases = array_keys(array_count_values(array_filter(array_column($view['pieces'], 'phase'), is_string(...))));
        self::assertSame(['floor', 'wall', 'brace', 'trim', 'skin', 'roof', 'strip'], $phases);
        $away = array_column($view['pieces'], 'away', 'part');
        self::assertIsArray($away['main.front.core']);
        self::assertIsArray($away['main.right.paper']);
        self::assertLessThan(0.0, $away['main.front.core'][1], 'the front comes forward');
        self::assertGreaterThan(0.0, $away['main.right.paper'][0], 'the right side to the right');
        self::assertNull($view['eye']);
        // Front to back with eaves of 9 in and their thickness: 48 + 2 · (3 + 1.17 · sin 40).
        self::assertIsArray($view['box']);
        $reach = 3.0 + 1.17 * sin(deg2rad(40.0));
        self::assertEqualsWithDelta([-$reach, 48.0 + $reach], [$view['box'][2], $view['box'][3]], 0.01);
    }

    public function testTheEyeStandsBeforeTheMiddleOfThePlotsFront(): void
    {
        $document = BuildingGenerator::with(
            JsonText::decode(Kits::exampleText('weigh-office')),
            'plot',
            json_decode(
                '{"size": ["90mm", "60mm"], "at": ["-9mm", "-5mm"], "eye": {"distance": "600mm", "height": "350mm", "travel": "400mm"}}',
            ),
        );
        $view = StandView::of(Kits::of($document)->serialised(), BuildingReader::fromDocument($document)->plot);
        self::assertIsArray($view['eye']);
        self::assertSame([[36.0, -605.0, 350.0], 400.0], [$view['eye']['at'], $view['eye']['travel']]);
        // Turned a quarter to the left about its corner, its front looks to the right.
        assert($document->plot instanceof stdClass);
        $document->plot->turn = 90;
        $turned = StandView::of(Kits::of($document)->serialised(), BuildingReader::fromDocument($document)->plot);
        self::assertIsArray($turned['eye']);
        self::assertSame([591.0, 40.0, 350.0], $turned['eye']['at']);
    }

    #[Group('property')]
    public function testPapersOfGeneratedBuildingsFoldWithoutLoss(): void
    {
        $folded = 0;
        foreach (range(1, Sample::isDeep() ? 100 : 15) as $seed) {
            $assembly = Assembly::of(Kits::of((new BuildingGenerator($seed))->document())->serialised());
            foreach ($assembly->pieces as $piece) {
                if ($piece->part->folds !== []) {
                    $area = array_sum(
                        array_map(static fn (Facet $f): float => $f->region->area(), Folding::facets($piece->part, $piece->frame)),
                    );
                    self::assertEqualsWithDelta($piece->part->region->area(), $area, 0.0001 * $area, "seed $seed, ".$piece->key());
                    $folded++;
                }
            }
        }
        self::assertGreaterThan(40, $folded);
    }
}
