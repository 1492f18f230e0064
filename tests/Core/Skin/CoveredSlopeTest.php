<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Finish;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Carcass;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Made;
use Chartula\Core\Kit\Maker;
use Chartula\Core\Kit\Makers;
use Chartula\Core\Part\Artwork;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Ref;
use Chartula\Core\Roof\RoofPanel;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Skin\CoveredFace;
use Chartula\Core\Skin\Covering;
use Chartula\Core\Skin\Coverings;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** A covering knows of no walls: over the slopes of a roof, by a maker that exists only here, it is cut, laid out, drawn and fitted. */
final class CoveredSlopeTest extends TestCase
{
    public function testASlopeIsCoveredAsAWallIs(): void
    {
        $building = self::building();
        $kit = self::kit($building, Finish::BrickEnglish);
        self::assertSame([], DryFit::check(Kits::tried($kit), $building)->findings);
        [$paper, $panel] = [$kit->part('main.front-slope.paper'), $kit->part('main.front-slope.carrier')];
        self::assertEqualsWithDelta($panel->part->region()->area(), $paper->part->region()->area(), 1e-9);
        $other = self::kit($building, Finish::BrickFlemish)->part('main.front-slope.paper');
        self::assertSame([$paper->cut, true], [$other->cut, $other->print !== $paper->print], 'cut alike, printed unlike');

        $placed = array_merge(...array_map(static fn (Sheet $s): array => $s->parts, SheetPlan::of($building, $kit)->sheets));
        $ids = array_map(static fn (PlacedPart $p): string => $p->part->part->id, $placed);
        self::assertCount(2, array_intersect(['main.front-slope.paper', 'main.back-slope.paper'], $ids));
    }

    /** Up 30 / cos 40° = 39.162 go ten courses of 4, the last of them cut; of each the bricks are 3 high, over a bed of mortar. */
    public function testItsCoursesGoUpTheSlope(): void
    {
        $paper = self::kit(self::building(), Finish::BrickStretcher)->part('main.front-slope.paper');
        self::assertEqualsWithDelta(30.0 / cos(deg2rad(40.0)), $paper->part->height(), 1e-9);
        $art = $paper->part->art;
        self::assertInstanceOf(Artwork::class, $art);
        $rows = [];
        foreach (array_slice(ArtSymbol::of($paper, $art)->paths, 1) as $path) {
            foreach ($path->lines as $ring) {
                $ys = array_map(static fn (Vec2 $p): float => $p->y, $ring);
                $rows[(int) floor((min($ys) + max($ys)) / 8.0)][] = max($ys) - min($ys);
            }
        }
        ksort($rows);
        self::assertSame(range(0, 9), array_keys($rows));
        self::assertEqualsWithDelta(3.0, max($rows[4]), 1e-9);
    }

    private static function building(): Building
    {
        $document = Kits::box('100mm', '60mm', '40mm', 40.0);
        $gauge = (object) ['brick' => '12mm', 'course' => '4mm', 'joint' => '1mm'];

        return BuildingReader::fromDocument(BuildingGenerator::with($document, 'gauge', $gauge));
    }

    private static function kit(Building $building, Finish $finish): Kit
    {
        $covering = Coverings::of($finish, $building);
        self::assertNotNull($covering);

        return Kit::derive($building, makers: [...Makers::all(), new Maker('papers of slopes', static fn (Carcass $c): Made => new Made(
            PartSet::joined(array_map(static fn (RoofPanel $p): PartSet => self::paper($c, $p, $covering), $c->panels()->all())),
        ))]);
    }

    private static function paper(Carcass $carcass, RoofPanel $panel, Covering $covering): PartSet
    {
        $stock = $carcass->building->methods->paper;
        $id = str_replace('.carrier', '.paper', $panel->part->id);
        $outline = $panel->part->outline;
        $box = $outline->ring->bounds();
        $part = Part::of(
            new PartName($id, $panel->part->of->block, $panel->part->of->edge, 'paper'), 'P', 'Slope, paper', PartGroup::Skin,
            $stock, $stock->thickness_mm, $outline, [$panel->part->placements[0]->moved(0.0, 0.0, $stock->thickness_mm)],
            $panel->part->workings, mayTurn: false, art: $covering->artwork(new CoveredFace(0.0, [$box->x0, $box->x1])),
        );
        $corners = [$part->placements[0]->at($outline->ring->points[0])];

        return new PartSet([$part], [
            new Joint(JointKind::Lap, Ref::inside($id), Ref::outside($panel->part->id), $corners, why: 'stuck to the roof'),
        ]);
    }
}
