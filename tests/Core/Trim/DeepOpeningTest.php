<?php

declare(strict_types=1);

namespace Tests\Core\Trim;

use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Sheets\Sheet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * An archway of 30 × 28 in a wall of one board of 1 mm, 10 above the ground; 51 deep from the outside, to look 151; the
 * eye 599 before the wall, so 600 before its inside, 50 deep there and to look 150. Grown by the half millimetre that
 * hides behind the wall it is 31 × 29.
 */
final class DeepOpeningTest extends TestCase
{
    private static function document(string $sill = '10mm', string $base = 'floor'): stdClass
    {
        $document = Kits::box('160mm', '100mm', '60mm', 40.0);
        $document = BuildingGenerator::with($document, 'methods.base', $base);
        $document = BuildingGenerator::with(
            $document,
            'plot',
            (object) [
                'size' => ['200mm', '200mm'],
                'at' => ['-20mm', '-20mm'],
                'eye' => (object) ['distance' => '579mm', 'height' => '60mm', 'travel' => '40mm'],
            ],
        );
        $document = BuildingGenerator::with(
            $document,
            'styles',
            json_decode(
                '{"arch": {"kind": "open", "w": "30mm", "h": "28mm", "head": {"shape": "flat"}}, "door": {"kind": "door", "w": "20mm", "h": "28mm", "head": {"shape": "flat"}}}',
            ),
        );

        return BuildingGenerator::with(
            $document,
            'blocks.0.walls',
            json_decode(
                '[{"edge": "front", "finish": "brick-flemish", "openings": [{"id": "a1", "style": "arch", "from": "60mm", "sill": "'
                    .$sill
                    .'"}, {"id": "d1", "style": "door", "from": "10mm", "sill": "0mm"}]}, {"edge": "back", "openings": [{"id": "a2", "style": "arch", "from": "60mm", "sill": "10mm"}]}]',
            ),
        );
    }

    /** @param  array<string, string>  $deepOpening */
    private static function made(stdClass $document, array $deepOpening = []): Derivation
    {
        return Kits::of(
            BuildingGenerator::with(
                $document,
                'perspective',
                (object) ['mouths' => [(object) ($deepOpening + ['opening' => 'main.front.a1', 'depth' => '51mm', 'apparent' => '151mm'])]],
            ),
        );
    }

    private static function part(Derivation $derived, string $name): LabelledPart
    {
        foreach ($derived->kit->parts as $part) {
            if ($part->part->id === "main.front.mouth.a1.$name") {
                return $part;
            }
        }
        self::fail("No $name");
    }

    /** V 375 behind the wall; everything ends at 13/15 of its size. */
    public function testWorkedTapers(): void
    {
        $derived = self::made(self::document());
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $end = 13.0 / 15.0;
        // The side: 29 high at the wall; to the back it leans by 15.5 in 375, and stops so much short of the end as its card leans past it.
        $lean = atan(15.5 / 375.0);
        $side = self::part($derived, 'right')->part->outline->ring;
        self::assertEqualsWithDelta(29.0, $side->edgeLength(0), 1e-6);
        $share = 1.0 - (50.0 - sin($lean)) / 375.0;
        self::assertEqualsWithDelta(29.0 * $share, $side->edgeLength(2), 1e-6);
        self::assertEqualsWithDelta(hypot(50.0 - sin($lean), 15.5 * (1.0 - $share)), $side->bounds()->height(), 1e-6);
        // Its foot rises by 14.5 − 14.5 k, its head falls as much: the axis is at half the height.
        self::assertEqualsWithDelta(14.5 * (1.0 - $share), $side->point(3)->x, 1e-6);
        // The floor carries the sides on its ends: wider by their card, square to the wall.
        $floor = self::part($derived, 'floor')->part->outline->ring;
        self::assertEqualsWithDelta(31.0 + 2.0 / cos($lean), $floor->edgeLength(0), 1e-6);
        self::assertEqualsWithDelta(
            31.0 * (1.0 - (50.0 - sin(atan(14.5 / 375.0))) / 375.0) + 2.0 / cos($lean),
            $floor->edgeLength(2),
            1e-6,
        );
        // And the end closes it all.
        $black = self::part($derived, 'end')->part;
        self::assertEqualsWithDelta(31.0 * $end + 2.0 / cos($lean) + 1.0, $black->width(), 1e-6);
        self::assertEqualsWithDelta(29.0 * $end + 2.0 / cos(atan(14.5 / 375.0)) + 1.0, $black->height(), 1e-6);
        self::assertEqualsWithDelta(51.0, $black->placements[0]->origin->y, 1e-9);
    }

    /** Corners of the inside look as those of a true one would, from an eye on its axis. */
    public function testItLooksDeep(): void
    {
        $derived = self::made(self::document());
        $eye = new Vec3(75.0, -599.0, 24.0);
        foreach (['left' => [59.5, 2], 'right' => [90.5, 3]] as $name => [$x, $corner]) {
            $side = self::part($derived, $name)->part;
            // Its foot, where it would reach the end.
            [$near, $far] = [$side->corners()[$corner === 2 ? 1 : 0], $side->corners()[$corner]];
            $foot = $near->plus($far->minus($near)->times(50.0 / ($far->y - $near->y)));
            [$a, $b] = [$foot->minus($eye), (new Vec3($x, 151.0, 9.5))->minus($eye)];
            self::assertEqualsWithDelta([$b->x / $b->y, $b->z / $b->y], [$a->x / $a->y, $a->z / $a->y], 1e-9, $name);
        }
    }

    /** Every piece lies in a plane through the one point, and units of equal apparent depth come closer. */
    public function testLinesMeetInOnePoint(): void
    {
        $derived = self::made(self::document());
        $aim = new Vec3(75.0, 376.0, 24.0);
        foreach (['left', 'right', 'floor', 'top', 'floor.paper'] as $name) {
            $part = self::part($derived, $name)->part;
            $frame = $part->placements[0];
            self::assertEqualsWithDelta(
                str_ends_with($name, 'paper') ? -0.1 : 0.0,
                $frame->height($aim),
                1e-6,
                "$name lies in a plane through it",
            );
            self::assertEqualsWithDelta(
                [9.375, 18.293, 26.786, 34.884, 42.614],
                array_map(static fn (Mark $m): float => $frame->at($m->path[0])->y - 1.0, $part->marks),
                0.01,
                $name,
            );
        }
        self::assertSame(
            ['26', '51', '76', '101', '126'],
            array_map(static fn (Mark $m): string => $m->text, self::part($derived, 'floor.paper')->part->marks),
        );
    }

    /** Bricks of 6 × 2 on the papers of its sides: beds run to the one point, and are 13/15 as far apart at its end. */
    public function testCoursesConverge(): void
    {
        $derived = self::made(
            BuildingGenerator::with(self::document(), 'gauge', (object) ['brick' => '6mm', 'course' => '2mm', 'joint' => '0.25mm']),
        );
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        foreach (['left', 'right'] as $side) {
            $paper = self::part($derived, "$side.paper");
            $card = self::part($derived, $side)->part;
            // It covers the card, outline on outline.
            foreach ($paper->part->corners() as $i => $corner) {
                self::assertEqualsWithDelta(0.1, $corner->distanceTo($card->corners()[$i]), 1e-6);
            }
            self::assertNotNull($paper->part->art);
            self::assertSame('flemish', $paper->part->art->toArray()['bond']);
            $vanish = $paper->part->placements[0]->project(new Vec3(75.0, 376.0, 24.0));
            $beds = [];
            foreach (ArtSymbol::of($paper, $paper->part->art)->paths as $path) {
                foreach ($path->fill === $paper->part->art->cutColour() ? [] : $path->lines as $brick) {
                    $way = $brick[1]->minus($brick[0]);
                    self::assertEqualsWithDelta(0.0, $way->cross($vanish->minus($brick[0])) / $way->length(), 1e-6);
                    $beds[] = round(atan2($vanish->y - $brick[0]->y, abs($vanish->x - $brick[0]->x)), 6);
                }
            }
            // Of 15 courses each lies on one line to the point; a few more are drawn beyond its corners and cut away.
            self::assertGreaterThanOrEqual(14, count(array_unique($beds)));
            self::assertLessThanOrEqual(20, count(array_unique($beds)));
            self::assertGreaterThan(200, count($beds));
        }
        // A bare wall has none.
        $bare = self::made(BuildingGenerator::with(self::document(), 'blocks.0.walls.0.finish', 'bare'));
        self::assertSame(
            [],
            array_filter(
                $bare->kit->parts,
                static fn (LabelledPart $p): bool => str_contains($p->part->id, 'mouth') && $p->part->group === PartGroup::Skin,
            ),
        );
    }

    /** Before the ground it stands on the building's own floor, or on the baseboard. */
    #[DataProvider('provideGrounds')]
    public function testADoorwayOnTheGround(string $base, float $foot): void
    {
        $derived = self::made(self::document('0mm', $base));
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        self::assertEqualsWithDelta($foot, self::part($derived, 'floor')->part->placements[0]->origin->z, 1e-9);
    }

    /** @return iterable<string, array{string, float}> */
    public static function provideGrounds(): iterable
    {
        yield 'on the floor' => ['floor', 2.0];
        yield 'on the baseboard' => ['none', 1.0];
    }

    /** Every piece has its sums, and they add up to its size. */
    public function testItsPiecesAreOnSheetsAndInTheCutList(): void
    {
        $derived = self::made(self::document());
        $ids = array_merge(
            ...array_map(
                static fn (Sheet $sheet): array => array_map(static fn ($placed): string => $placed->part->part->id, $sheet->parts),
                $derived->printed->plan->sheets,
            ),
        );
        foreach (['floor', 'left', 'right', 'top', 'end'] as $name) {
            self::assertContains("main.front.mouth.a1.$name", $ids);
            $part = self::part($derived, $name)->part;
            self::assertEqualsWithDelta(
                [$part->width(), $part->height()],
                [$part->workings['width']->mm, $part->workings['height']->mm],
                1e-6,
            );
        }
    }

    /**
     * @param  array<string, string>  $deepOpening
     */
    #[DataProvider('provideFaults')]
    public function testFaults(array $deepOpening, string $fault, ?string $change = null, mixed $to = null): void
    {
        try {
            self::made($change === null ? self::document() : BuildingGenerator::with(self::document(), $change, $to), $deepOpening);
        } catch (InvalidInput $e) {
            self::assertSame([$fault], array_map(static fn (Problem $p): string => $p->line(), $e->problems));

            return;
        }
        self::fail('Taken');
    }

    /** @return iterable<string, array{0: array<string, string>, 1: string, 2?: string, 3?: mixed}> */
    public static function provideFaults(): iterable
    {
        yield 'no such opening' => [
            ['opening' => 'main.front.a7'],
            'perspective.mouths.0.opening: there is no opening “main.front.a7” in a wall that is built; write block.edge.opening',
        ];
        yield 'a door in it' => [
            ['opening' => 'main.front.d1'],
            'perspective.mouths.0.opening: what stands in “main.front.d1” hides its inside; make its style “open”',
        ];
        yield 'looks away' => [
            ['opening' => 'main.back.a2'],
            'perspective.mouths.0.opening: the wall of “main.back.a2” looks away from the eye; nobody sees into it',
        ];
        yield 'no eye' => [
            [],
            'perspective.mouths.0.opening: nobody says from where it is looked at; give plot.eye its distance and height',
            'plot', (object) ['size' => ['200mm', '200mm']],
        ];
        yield 'no deeper' => [
            ['apparent' => '40mm'],
            'perspective.mouths.0.apparent: an apparent depth of 40 mm is no more than the true 51; make it more',
        ];
        yield 'too shallow' => [
            ['depth' => '2mm'],
            'perspective.mouths.0.depth: a depth of 2 mm leaves no room behind the front’s card; at least 3 mm are needed',
        ];
        yield 'through the back' => [
            ['depth' => '110mm', 'apparent' => '300mm'],
            'perspective.mouths.0.depth: at 110 mm the end of the inside stands outside Main; make it less deep',
        ];
        yield 'an axis over its head' => [
            ['axis' => '40mm'],
            'perspective.mouths.0.axis: the eye’s axis, 40 mm above the opening’s foot, must lie between its floor, -0.5 mm, and its head, 28 mm',
        ];
        yield 'no depth' => [['depth' => ''], 'perspective.mouths.0.depth: “” is not a length; write for example 1.5mm'];
    }

    public function testARowOfArches(): void
    {
        $document = BuildingGenerator::with(
            self::document(),
            'blocks.0.walls.0.openings',
            json_decode('[{"id": "a1", "style": "arch", "from": "20mm", "sill": "10mm", "repeat": {"count": 2, "pitch": "60mm"}}]'),
        );
        $derived = self::made($document, ['opening' => 'main.front.a1-2']);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $ids = array_map(static fn (LabelledPart $p): string => $p->part->id, $derived->kit->parts);
        self::assertContains('main.front.mouth.a1-2.end', $ids);
        $end = array_values(
            array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->id === 'main.front.mouth.a1-2.end'),
        )[0]->part;
        self::assertEqualsWithDelta(95.0, $end->placements[0]->at(new Vec2($end->width() / 2.0, 0.0))->x, 1e-9);
    }
}
