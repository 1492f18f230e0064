<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Form\Facet;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Joint;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Roofs whose figures were worked by hand. At 1:1, so that real and model figures agree. */
final class WorkedFormsTest extends TestCase
{
    public function testAHipOfRun30At45Degrees(): void
    {
        $form = self::form(self::rect(100, 60, ['kind' => 'hip', 'pitch' => 45]));
        self::assertEqualsWithDelta(8485.28, self::area($form), 0.005, '100 · 60 / cos 45°');
        self::assertEqualsWithDelta(51.962, self::longest($form, 'plane'), 0.0005, 'the hip: 30 · √3');
        $end = self::facet($form, 'right');
        $height = max(array_map(static fn ($p): float => $end->flat($p)->y, $end->whole->outline->points));
        self::assertEqualsWithDelta(42.426, $height, 0.0005, 'the common rafter: 30 / cos 45°');
    }

    public function testAnLWithUnequalWingsAt40Degrees(): void
    {
        $form = self::form(self::polygon([[0, 0], [100, 0], [100, 40], [40, 40], [40, 90], [0, 90]], ['kind' => 'hip', 'pitch' => 40]));
        $areas = array_map(static fn (Facet $f): float => round($f->whole->area() / $f->pitch->cos(), 3), $form->facets);
        self::assertSame([2088.652, 522.163, 1566.489, 1305.407, 522.163, 1827.570], $areas);
        $valley = array_values(
            array_filter(
                self::lines($form),
                static fn (array $l): bool => abs($l[1]->from->x - 40.0) < 1e-6 && abs($l[1]->from->y - 40.0) < 1e-6
                        || abs($l[1]->to->x - 40.0) < 1e-6 && abs($l[1]->to->y - 40.0) < 1e-6,
            ),
        );
        self::assertEqualsWithDelta(32.888, self::length($valley[0]), 0.0005);
        self::assertEqualsWithDelta(
            16.782,
            max(
                0.0,
                ...array_map(static fn (Facet $f): float => max(array_map($f->heightAt(...), $f->whole->outline->points)), $form->facets),
            )
                - 40.0,
            0.0005,
        );
    }

    /** A flat wing in a steep roof, eaves alike: the valley begins where both walls do, and is one all the way. */
    public function testAValleyBeginsAtTheCornerOfTheWing(): void
    {
        $document = Kits::box('110mm', '64mm', '57mm', 61.0, '2mm', '2mm');
        assert(is_array($document->blocks));
        $document->blocks[] = json_decode(
            '{"id": "wing", "footprint": {"rect": ["32mm", "36mm"]}, "place": [{"against": "back", "with": "main.front"}, {"centre": "back", "with": "main.front"}], "eaves": "57mm", "roof": {"kind": "gable", "ridge": "y", "pitch": 35, "overhang": {"eaves": "2mm", "verge": "1mm"}, "edges": [{"edge": "back", "kind": "wall"}]}}',
        );
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $labels = array_merge(...array_map(static fn (Patch $p): array => $p->labels, self::facet($derived->kit->form, 'front')->patches));
        self::assertSame([], array_filter($labels, static fn (string $l): bool => str_starts_with($l, 'over:')));
    }

    /** A shelter on a platform: its walls stand on the deck, and are braced though another block lies under them. */
    public function testABlockStandsOnAFlatRoof(): void
    {
        $derived = Kits::example('halt');
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $seats = array_values(array_filter($derived->kit->joints, static fn (Joint $j): bool => $j->why === 'the wall stands on the deck'));
        self::assertSame(
            ['shelter.back', 'shelter.front', 'shelter.left', 'shelter.right'],
            array_values(
                array_unique(
                    self::sorted(
                        array_map(static fn (Joint $j): string => implode('.', array_slice(explode('.', $j->a->part), 0, 2)), $seats),
                    ),
                ),
            ),
        );
        // Its front is 72 long, less the doorway of 24; the walls at its sides stop at front and back.
        $fronts = array_filter($seats, static fn (Joint $j): bool => $j->a->part === 'shelter.front.core');
        self::assertEqualsWithDelta(72.0 - 24.0 - 0.2, array_sum(array_map(static fn (Joint $j): float => $j->contact_mm, $fronts)), 0.001);
        self::assertNotSame(
            [],
            array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => str_starts_with($p->part->id, 'shelter.brace')),
        );
    }

    /**
     * @param  list<string>  $texts
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }

    public function testUnequalPitchesOverLevelEaves(): void
    {
        $form = self::form(self::rect(100, 60, ['kind' => 'gable', 'pitch' => 40, 'edges' => [['edge' => 'back', 'pitch' => 55]]]));
        $front = self::facet($form, 'front');
        $ridge = max(array_map(static fn ($p): float => $p->y, $front->whole->outline->points));
        self::assertEqualsWithDelta(37.794, $ridge, 0.0005, '60 · tan 55° / (tan 40° + tan 55°)');
        self::assertEqualsWithDelta(31.713, $front->heightAt($front->whole->outline->points[2]) - 40.0, 0.0005);
    }

    public function testAHalfHip(): void
    {
        $form = self::form(
            self::rect(
                100,
                60,
                ['kind' => 'gable', 'pitch' => 45, 'edges' => [['edge' => 'right', 'kind' => 'half-hip', 'pitch' => 60, 'from' => '15mm']]],
            ),
        );
        $hip = self::facet($form, 'right');
        $flat = array_map($hip->flat(...), $hip->whole->outline->points);
        $box = (new \Chartula\Core\Geometry\Ring($flat))->bounds();
        self::assertEqualsWithDelta(30.0, $box->width(), 0.0005);
        self::assertEqualsWithDelta(17.321, $box->height(), 0.0005);
        self::assertEqualsWithDelta(8.660, $hip->whole->outline->bounds()->width(), 0.0005);
    }

    public function testAMansard(): void
    {
        $form = self::form(
            self::rect(
                200,
                80,
                [
                    'kind' => 'mansard', 'pitch' => 70, 'upper' => ['pitch' => 30, 'from' => '30mm'],
                    'edges' => [['edge' => 'left', 'kind' => 'gable'], ['edge' => 'right', 'kind' => 'gable']],
                ],
            ),
        );
        $upper = self::facet($form, 'front-upper');
        $box = $upper->whole->outline->bounds();
        self::assertEqualsWithDelta(10.919, $box->y0, 0.0005, '30 / tan 70°');
        self::assertEqualsWithDelta(46.790, max(array_map($upper->heightAt(...), $upper->whole->outline->points)) - 40.0, 0.0005);
    }

    public function testAnOctagonalSpire(): void
    {
        $corners = [];
        $radius = 15.0 / cos(M_PI / 8.0);
        for ($i = 0; $i < 8; $i++) {
            $corners[] = [round($radius * cos(M_PI / 8.0 + $i * M_PI / 4.0), 6), round($radius * sin(M_PI / 8.0 + $i * M_PI / 4.0), 6)];
        }
        $form = self::form(self::polygon($corners, ['kind' => 'hip', 'pitch' => 75.963757]));
        self::assertCount(8, $form->facets);
        $flat = (
            new \Chartula\Core\Geometry\Ring(array_map($form->facets[0]->flat(...), $form->facets[0]->whole->outline->points))
        )->bounds();
        self::assertEqualsWithDelta(12.426, $flat->width(), 0.001);
        self::assertEqualsWithDelta(61.847, $flat->height(), 0.001);
    }

    public function testAWingRunsIntoTheMainRoof(): void
    {
        // 15 · tan 45° above the eaves; it dies into 40° at 17.876 from the eaves line.
        foreach ([[40, 17.876, 27.741], [42, 20.260, null]] as [$eaves, $reach, $valley]) {
            $form = self::form(self::blocks([
                self::rect(100, 60, ['kind' => 'gable', 'pitch' => 40]),
                self::rect(
                    30,
                    40,
                    ['kind' => 'gable', 'ridge' => 'y', 'pitch' => 45, 'edges' => [['edge' => 'back', 'kind' => 'wall']]],
                    ['id' => 'wing', 'at' => ['20mm', '-40mm'], 'eaves' => "{$eaves}mm"],
                ),
            ]));
            $left = array_values(array_filter($form->facets, static fn (Facet $f): bool => $f->block === 1 && $f->name === 'left'))[0];
            $top = max(array_map(static fn ($p): float => $p->y, $left->patches[0]->outline->points));
            self::assertEqualsWithDelta($reach, $top, 0.0005);
            if ($valley !== null) {
                $line = array_values(
                    array_filter($left->patches[0]->lines(), static fn (Line $l): bool => str_starts_with($l->label, 'plane:0')),
                )[0];
                self::assertEqualsWithDelta($valley, $left->lifted($line->from)->distanceTo($left->lifted($line->to)), 0.0005);
            }
        }
    }

    public function testALowRoofDiesIntoAHigherWall(): void
    {
        $form = self::form(self::blocks([
            self::rect(100, 60, ['kind' => 'hip', 'pitch' => 40], ['eaves' => '90mm']),
            self::rect(50, 15, ['kind' => 'lean-to', 'pitch' => 30], ['id' => 'lean', 'at' => ['10mm', '-15mm'], 'eaves' => '25mm']),
        ]));
        $lean = array_values(array_filter($form->facets, static fn (Facet $f): bool => $f->block === 1))[0];
        self::assertContains('wall:0:0', $lean->patches[0]->labels);
        self::assertSame([], $form->blocks[1]->wall(2)->patches, 'its own back wall is not built: the high wall stands there');
        self::assertCount(1, $form->blocks[0]->wall(0)->patches, 'and stays whole');
        self::assertEqualsWithDelta(100.0 * 90.0, $form->blocks[0]->wall(0)->patches[0]->area(), 0.001);
    }

    /** @param  list<string>  $codes */
    #[DataProvider('provideWhatCannotBe')]
    public function testWhatCannotBeIsSaid(stdClass $document, array $codes): void
    {
        try {
            $problems = new Problems;
            Surfaces::of(BuildingReader::fromDocument($document), $problems);
            $problems->throwIfAny();
            self::fail('it was taken');
        } catch (InvalidInput $e) {
            self::assertSame($codes, array_map(static fn (Problem $p): string => $p->code, $e->problems));
            foreach ($e->problems as $problem) {
                self::assertStringNotContainsString('{', $problem->text());
            }
        }
    }

    /** @return iterable<string, array{stdClass, list<string>}> */
    public static function provideWhatCannotBe(): iterable
    {
        $hip = ['kind' => 'hip', 'pitch' => 40];
        yield 'a pitch of 0' => [self::rect(100, 60, ['kind' => 'gable', 'pitch' => 0]), ['roof.too-flat']];
        yield 'a pitch of 90' => [self::rect(100, 60, ['kind' => 'gable', 'pitch' => 90]), ['roof.too-flat']];
        yield 'clockwise' => [self::polygon([[0, 0], [0, 60], [100, 60], [100, 0]], $hip), ['footprint.clockwise']];
        yield 'self-crossing' => [self::polygon([[0, 0], [100, 0], [0, 60], [100, 60]], $hip), ['footprint.crossing']];
        yield 'a repeated point' => [self::polygon([[0, 0], [100, 0], [100, 0], [100, 60], [0, 60]], $hip), ['footprint.repeated']];
        yield 'a needle' => [self::polygon([[0, 0], [100, 0], [0, 10]], $hip), ['footprint.sharp']];
        yield 'gables all round' => [
            self::rect(
                100,
                60,
                [
                    'kind' => 'gable',
                    'pitch' => 40,
                    'edges' => [['edge' => 'front', 'kind' => 'gable'], ['edge' => 'back', 'kind' => 'gable']],
                ],
            ),
            ['roof.open'],
        ];
        yield 'a gable at an inner corner' => [
            self::polygon(
                [[0, 0], [100, 0], [100, 40], [40, 40], [40, 90], [0, 90]],
                $hip + ['edges' => [['edge' => 2, 'kind' => 'gable']]],
            ),
            ['roof.inner-gable'],
        ];
        yield 'an overhang that closes a recess' => [
            self::polygon(
                [[0, 0], [100, 0], [100, 60], [54, 60], [54, 30], [46, 30], [46, 60], [0, 60]],
                $hip + ['overhang' => ['eaves' => '5mm']],
            ),
            ['roof.overhang-closes'],
        ];
        yield 'an upper pitch that is steeper' => [
            self::rect(100, 60, ['kind' => 'mansard', 'pitch' => 30, 'upper' => ['pitch' => 45, 'from' => '5mm']]),
            ['roof.upper-steeper'],
        ];
        yield 'a roof that runs over another' => [
            self::blocks([
                self::rect(100, 40, ['kind' => 'gable', 'pitch' => 30]),
                self::rect(
                    60,
                    40,
                    ['kind' => 'gable', 'ridge' => 'y', 'pitch' => 45, 'edges' => [['edge' => 'back', 'kind' => 'wall']]],
                    ['id' => 'wing', 'at' => ['20mm', '-40mm']],
                ),
            ]),
            ['roof.runs-over'],
        ];
        // Its ridge lies at 0.84 × 20 + 5 = 21.8 over the other's eaves, under that one's 25.2.
        yield 'an overhang beside the roof that its own runs into' => [
            self::blocks([
                self::rect(100, 60, ['kind' => 'gable', 'pitch' => 40, 'overhang' => ['eaves' => '3mm', 'verge' => '3mm']]),
                self::rect(
                    40,
                    30,
                    [
                        'kind' => 'gable', 'ridge' => 'y', 'pitch' => 40, 'overhang' => ['eaves' => '3mm', 'verge' => '3mm'],
                        'edges' => [['edge' => 'back', 'kind' => 'wall']],
                    ],
                    ['id' => 'wing', 'at' => ['0mm', '-30mm'], 'eaves' => '45mm'],
                ),
            ]),
            ['roof.runs-beside'],
        ];
        yield 'blocks that touch in a point' => [
            self::blocks([self::rect(100, 60, $hip), self::rect(50, 50, $hip, ['id' => 'other', 'at' => ['100mm', '60mm']])]),
            ['blocks.point'],
        ];
    }

    /**
     * @param  array<string, mixed>  $roof
     * @param  array<string, mixed>  $more
     */
    private static function rect(int $w, int $d, array $roof, array $more = []): stdClass
    {
        return self::document([['footprint' => ['rect' => ["{$w}mm", "{$d}mm"]], 'roof' => $roof] + $more]);
    }

    /**
     * @param  list<array{int|float, int|float}>  $corners
     * @param  array<string, mixed>  $roof
     */
    private static function polygon(array $corners, array $roof): stdClass
    {
        return self::document([
            ['footprint' => ['polygon' => array_map(static fn (array $c): array => ["{$c[0]}mm", "{$c[1]}mm"], $corners)], 'roof' => $roof],
        ]);
    }

    /** @param  list<stdClass>  $documents */
    private static function blocks(array $documents): stdClass
    {
        $all = clone $documents[0];
        $all->blocks = array_merge(...array_map(static fn (stdClass $d): array => is_array($d->blocks) ? $d->blocks : [], $documents));

        return $all;
    }

    /** @param  list<array<string, mixed>>  $blocks */
    private static function document(array $blocks): stdClass
    {
        $document = json_decode((string) json_encode([
            'format' => 'chartula.building', 'version' => 1, 'name' => 'Worked', 'scale' => '1:1',
            'methods' => [
                'wall' => [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']],
                'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
            ],
            'blocks' => array_map(static fn (array $b): array => $b + ['id' => 'main', 'eaves' => '40mm'], $blocks),
        ]));
        self::assertInstanceOf(stdClass::class, $document);

        return $document;
    }

    private static function form(stdClass $document): Form
    {
        $problems = new Problems;
        $form = Surfaces::of(BuildingReader::fromDocument($document), $problems);
        $problems->throwIfAny();

        return $form;
    }

    private static function facet(Form $form, string $name): Facet
    {
        return array_values(array_filter($form->facets, static fn (Facet $f): bool => $f->name === $name))[0];
    }

    private static function area(Form $form): float
    {
        return array_sum(
            array_map(
                static fn (Facet $f): float =>
                    array_sum(array_map(static fn (Patch $p): float => $p->area(), $f->patches)) / $f->pitch->cos(),
                $form->facets,
            ),
        );
    }

    /** @return list<array{Facet, Line}> */
    private static function lines(Form $form): array
    {
        $lines = [];
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                foreach ($patch->lines() as $line) {
                    if (str_starts_with($line->label, 'plane')) {
                        $lines[] = [$facet, $line];
                    }
                }
            }
        }

        return $lines;
    }

    /** @param  array{Facet, Line}  $line */
    private static function length(array $line): float
    {
        return $line[0]->lifted($line[1]->from)->distanceTo($line[0]->lifted($line[1]->to));
    }

    private static function longest(Form $form, string $kind): float
    {
        return max(
            0.0,
            ...array_map(
                self::length(...),
                array_filter(
                    self::lines($form),
                    static fn (array $l): bool =>
                        str_starts_with($l[1]->label, $kind) && abs($l[0]->heightAt($l[1]->from) - $l[0]->heightAt($l[1]->to)) > 1.0,
                ),
            ),
        );
    }
}
