<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Form\Claims\Standing;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\Carcass;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Made;
use Chartula\Core\Kit\Maker;
use Chartula\Core\Kit\Makers;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Measure\Figure;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Roof\RoofPanel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * Rows of slates, by a maker that exists only here, know of no chimney: what stands on a slope is all that they are told, and they stop on
 * either side of it.
 */
final class CoveredRoundChimneysTest extends TestCase
{
    /** Rows are so high up the slope, and lie over it so far. */
    private const GAUGE = 3.0;

    private const ROOM = 0.1;

    /** @param  array<string, mixed>  $chimney */
    #[DataProvider('provideChimneys')]
    public function testRowsStopOnEitherSide(array $chimney): void
    {
        $building = self::building($chimney);
        $kit = self::kit($building, true);
        self::assertSame([], DryFit::check(Kits::tried($kit), $building)->findings);
        // As many rows as on a bare slope, and at least one more piece where a row goes on beyond.
        $rows = static fn (Kit $kit): int => count(array_filter(
            $kit->parts,
            static fn (LabelledPart $p): bool => str_contains($p->part->id, '.slates-'),
        ));
        self::assertGreaterThan($rows(self::kit(self::building(null), true)), $rows($kit));
        // Rows that go on through it are found.
        $texts = array_map(
            static fn (Finding $f): string => $f->code,
            DryFit::check(Kits::tried(self::kit($building, false)), $building)->findings,
        );
        self::assertContains('overlap', $texts);
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function provideChimneys(): iterable
    {
        $slope = ['anchor' => 'slope', 'edge' => 'front', 'from' => '8ft 1in', 'in' => '2ft 10in'];
        yield 'through a slope' => [['kind' => 'chimney', 'on' => $slope, 'h' => '5ft']];
        yield 'turned, with a plinth' => [[
            'kind' => 'chimney', 'on' => $slope, 'h' => '6ft', 'turn' => 23.5, 'plinth' => 2, 'oversail' => 0,
        ]];
        yield 'notched' => [['kind' => 'chimney', 'on' => $slope, 'h' => '5ft', 'made' => 'notched']];
        yield 'outside the eaves’ wall' => [[
            'kind' => 'wall-chimney', 'on' => ['edge' => 'back', 'from' => '7ft 3in'], 'breast_w' => '4ft', 'shoulder' => '4ft 6in',
        ]];
    }

    /** @param  ?array<string, mixed>  $chimney */
    private static function building(?array $chimney): Building
    {
        $things = $chimney === null ? [] : [json_decode((string) json_encode(['id' => 'c1', 'flashing' => 'none', ...$chimney]))];

        return BuildingReader::fromDocument(
            BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.features', $things),
        );
    }

    private static function kit(Building $building, bool $stops): Kit
    {
        return Kit::derive($building, makers: [...Makers::all(), new Maker('slates', static fn (Carcass $c): Made => new Made(new PartSet(
            array_merge(...array_map(static fn (RoofPanel $p): array => self::rows($c, $p, $stops), $c->panels()->all())),
        )))]);
    }

    /** @return list<Part> rows of a slope, from its foot up, each in the pieces that are left of it */
    private static function rows(Carcass $carcass, RoofPanel $panel, bool $stops): array
    {
        $stock = $carcass->building->methods->frame;
        $plane = $panel->part->placements[0];
        $box = $panel->part->outline->ring->bounds();
        $parts = [];
        for ($row = 0; ($row + 1) * self::GAUGE < $box->y1 - 2.0; $row++) {
            $heights = new Interval($row * self::GAUGE, ($row + 1) * self::GAUGE);
            $taken = [];
            foreach ($stops ? $panel->facet->standing : [] as $standing) {
                // At its foot and at its upper face.
                foreach ([0.0, $stock->thickness_mm] as $over) {
                    $taken[] = self::taken($standing, $plane->moved(0.0, 0.0, $over), $heights);
                }
            }
            foreach ((new Interval($box->x0, $box->x1))->without(array_values(array_filter($taken))) as $i => $run) {
                $ring = Ring::rectangle($run->from, $heights->from, $run->to, $heights->to);
                $parts[] = Part::of(
                    new PartName(str_replace('.carrier', ".slates-$row-$i", $panel->part->id), $panel->part->of->block, null, 'slates'),
                    'T', 'Slates', PartGroup::Trim, $stock, $stock->thickness_mm,
                    new Outline($ring, array_map(static fn (): Edge => new Edge('edge', 'clearance'), $ring->points)),
                    [$plane->moved(0.0, 0.0, $stock->thickness_mm)],
                    [
                        'width' => Figure::given($run->length(), 'what is left of a row'),
                        'height' => Figure::given(self::GAUGE, 'its gauge'),
                    ],
                    mayTurn: false,
                );
            }
        }

        return $parts;
    }

    /** From where to where a row has no room for what goes upright over a ring in plan; null where it has. */
    private static function taken(Standing $standing, Frame $plane, Interval $row): ?Interval
    {
        $on = array_map(static function (Vec2 $p) use ($plane): Vec2 {
            $z = -$plane->height(new Vec3($p->x, $p->y, 0.0)) / $plane->normal->z;

            return $plane->project(new Vec3($p->x, $p->y, $z));
        }, $standing->ring->points);
        $xs = [];
        foreach ($on as $i => $p) {
            $q = $on[($i + 1) % count($on)];
            $steps = [0.0, 1.0];
            foreach (abs($q->y - $p->y) > 1e-9 ? [$row->from, $row->to] : [] as $y) {
                $steps[] = ($y - $p->y) / ($q->y - $p->y);
            }
            foreach ($steps as $share) {
                $y = $p->y + ($q->y - $p->y) * $share;
                array_push($xs, ...$share >= 0.0 && $share <= 1.0 && $y > $row->from - 1e-6 && $y < $row->to + 1e-6
                    ? [$p->x + ($q->x - $p->x) * $share] : []);
            }
        }

        return $xs === [] ? null : new Interval(min($xs) - self::ROOM, max($xs) + self::ROOM);
    }
}
