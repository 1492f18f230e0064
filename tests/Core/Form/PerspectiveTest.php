<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Mark;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\FormGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;

/** Buildings made to look deeper than they are: 160 wide, 100 deep, 60 to the eaves, the eye 600 before the front and over its middle. */
final class PerspectiveTest extends TestCase
{
    /** Seeds whose kit is sound as it is and red once it recedes, by reason. */
    private const KNOWN_RED = [
        'a wall keeps its top where the roof over it has receded' => [140],
        'a line in which cards met has become a strip, or a strip a line' => [158, 663],
        'a wall is left out, or is short of its corner or its top, where receding leaves its bevels no room' => [
            64, 82, 120, 172, 200, 302, 326, 362, 371, 480, 488, 492, 532, 602, 815,
        ],
        'a wall stops before one that has receded from it' => [
            53, 109, 431, 473,
        ],
        'the slope over a wall has receded from its top' => [
            168, 374,
        ],
        'strips over two lines that have come nearer to each other' => [
            133, 287, 294, 400, 476, 609, 659,
        ],
        'a slope is open where it narrows towards the point' => [
            280, 504, 722, 819,
        ],
        'a slope comes into the next where both recede' => [
            494, 536, 732,
        ],
    ];

    /** The plot's front is 20 before the building's. */
    private const PLOT = [
        'size' => ['200mm', '200mm'],
        'at' => ['-20mm', '-20mm'],
        'eye' => ['distance' => '580mm', 'height' => '350mm', 'travel' => '50mm'],
    ];

    /** @param  array<string, mixed>  $roof */
    private static function box(array $roof = []): stdClass
    {
        $document = Kits::box('160mm', '100mm', '60mm', 40.0);
        assert(is_array($document->blocks) && $document->blocks[0] instanceof stdClass);
        $document->blocks[0]->roof = (object) ($roof + (array) $document->blocks[0]->roof);

        return $document;
    }

    private static function seen(stdClass $document, string $depth, string $axis): Derivation
    {
        $document = BuildingGenerator::with($document, 'plot', (object) self::PLOT);

        return Kits::of(BuildingGenerator::with($document, 'perspective', (object) ['depth' => $depth, 'axis' => $axis]));
    }

    private static function part(Derivation $derived, string $id): LabelledPart
    {
        foreach ($derived->kit->parts as $part) {
            if ($part->part->id === $id) {
                return $part;
            }
        }
        self::fail("No part $id");
    }

    /** 100 deep in 40: k at the back is 640/700; V = 40 · 700 / 60 = 466.667. */
    public function testAWorkedFlank(): void
    {
        $derived = self::seen(self::box(), '40mm', '30mm');
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $right = array_values(array_filter($derived->kit->form->blocks[0]->walls, static fn ($w): bool => $w->wall->name === 'right'))[0];
        // From (80, 0) to (80 · 640/700, 40) off the axis; its foot level, its eaves down to 30 + 30 · 640/700.
        self::assertEqualsWithDelta(hypot(80.0 - 73.142857, 40.0), $right->length->mm, 0.00001);
        self::assertEqualsWithDelta([60.0, 57.428571], [$right->top[0]->y, $right->top[count($right->top) - 1]->y], 0.001);
        // The ridge, 50 deep as it is, stands at V (1 − 1/(1 + A·50)) with A = 60 / (100 · 640): 20.896; its height from 101.955.
        $ridge = max(array_map(static fn (Vec2 $p): float => $p->y, $right->top));
        self::assertEqualsWithDelta(30.0 + 71.95498 * (1.0 / (1.0 + 50.0 * 60.0 / 64000.0)), $ridge, 0.001);
        // Level ground would rise to 30 − 30 · 640/700.
        self::assertNotNull($right->ground);
        self::assertEqualsWithDelta([0.0, 2.571429], $right->ground, 0.00001);
    }

    /**
     * Seen from the eye, every wall's outside and every underside stands before the place that it stands for.
     *
     * @param  array<string, mixed>  $roof
     */
    #[DataProvider('provideRoofs')]
    public function testFromTheEyeItLooksAsTheBuildingDoes(array $roof): void
    {
        $true = Kits::of(self::box($roof));
        $seen = self::seen(self::box($roof), '40mm', '25mm');
        self::assertSame([], $seen->dryFit->toArray()['findings']);
        $eye = new Vec3(80.0, -600.0, 25.0);
        self::assertCount(count($true->kit->form->facets), $seen->kit->form->facets);
        foreach ($true->kit->form->facets as $i => $facet) {
            $other = $seen->kit->form->facets[$i];
            foreach ($facet->whole->outline->points as $k => $p) {
                [$a, $b] = [$facet->lifted($p)->minus($eye), $other->lifted($other->whole->outline->points[$k])->minus($eye)];
                self::assertEqualsWithDelta([$a->x / $a->y, $a->z / $a->y], [$b->x / $b->y, $b->z / $b->y], 1e-9, $facet->name);
            }
        }
        foreach ($true->kit->form->walls() as $i => $wall) {
            foreach ($wall->top as $k => $p) {
                [$a, $b] = [
                    $wall->frame->at($p)->minus($eye),
                    $seen->kit->form->walls()[$i]->frame->at($seen->kit->form->walls()[$i]->top[$k])->minus($eye),
                ];
                self::assertEqualsWithDelta([$a->x / $a->y, $a->z / $a->y], [$b->x / $b->y, $b->z / $b->y], 1e-5, $wall->wall->name);
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function provideRoofs(): iterable
    {
        yield 'gables to the sides' => [[]];
        yield 'gables to front and back' => [['ridge' => 'y']];
        yield 'hipped' => [['kind' => 'hip']];
        yield 'half-hipped' => [['kind' => 'half-hip']];
        yield 'leaning to the back' => [['kind' => 'lean-to', 'pitch' => 20]];
        yield 'with overhangs' => [['overhang' => (object) ['eaves' => '3mm', 'verge' => '2mm']]];
    }

    /** The front stays true: its card, papers, frames and doors are what they were. */
    public function testTheFrontIsNotTouched(): void
    {
        foreach (['weigh-office' => '30mm', 'ropewalk-row' => '20mm'] as $example => $depth) {
            $whole = Kits::example($example);
            $seen = Kits::of(
                BuildingGenerator::with(
                    JsonText::decode(Kits::exampleText($example)),
                    'perspective',
                    (object) ['depth' => $depth, 'axis' => '0mm'],
                ),
            );
            $fronts = array_values(
                array_filter(
                    $whole->kit->parts,
                    static fn (LabelledPart $p): bool => preg_match('/\.front\.(frame|glazing|leaf)/', $p->part->id) === 1,
                ),
            );
            self::assertGreaterThan(2, count($fronts));
            foreach ($fronts as $front) {
                self::assertSame($front->cut, self::part($seen, $front->part->id)->cut, $front->part->id);
            }
        }
    }

    /**
     * An opening in the flank: jambs upright, sill and head aimed at the point where all lines meet; its frame and its glass go with it.
     */
    public function testOpeningsFollow(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $document->perspective = (object) ['depth' => '25mm', 'axis' => '0mm'];
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $wall = array_values(array_filter($derived->kit->form->blocks[0]->walls, static fn ($w): bool => $w->wall->name === 'right'))[0];
        $opening = $wall->openings[0];
        $ring = $opening->ring();
        self::assertEqualsWithDelta($ring->point(0)->x, $ring->point($ring->count() - 1)->x, 1e-9);
        self::assertEqualsWithDelta($ring->point(1)->x, $ring->point(2)->x, 1e-9);
        $view = $derived->kit->form->blocks[0]->block->receding?->view->over(76.2);
        self::assertNotNull($view);
        $aim = new Vec3($view->eye->x, $view->front + $view->vanishing(), $view->axis);
        $lines = ['sill' => [$ring->point(0), $ring->point(1)]];
        foreach ($lines as $name => [$a, $b]) {
            [$from, $to] = [$wall->frame->at($a), $wall->frame->at($b)];
            $way = $to->minus($from);
            self::assertEqualsWithDelta(0.0, $way->cross($aim->minus($from))->length() / $way->length(), 1e-6, $name);
        }
        // The frame fits into the opening with the usual play, and is no rectangle any more.
        $frame = self::part($derived, 'main.right.frame.w1')->part;
        self::assertEqualsWithDelta($ring->bounds()->width() - 0.2, $frame->width(), 1e-6);
        $foot = $frame->outline->ring;
        self::assertGreaterThan(0.2, abs($foot->point($foot->count() - 1)->y - $foot->point(2)->y));
        self::assertCount(4, $frame->holes);
        foreach ($frame->holes as $hole) {
            foreach ($hole->points as $p) {
                self::assertTrue($frame->outline->ring->contains($p));
            }
        }
    }

    /** Courses of the flank's paper run towards one point, and are as many as they were. */
    public function testCoursesFollow(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach (['styles.sash.dress', 'styles.door.dress'] as $path) {
            $document = BuildingGenerator::with($document, $path, []);
        }
        $whole = self::part(Kits::of($document), 'main.right.paper');
        $document->perspective = (object) ['depth' => '25mm', 'axis' => '10mm'];
        $derived = Kits::of($document);
        $paper = self::part($derived, 'main.right.paper');
        self::assertNotNull($paper->part->art);
        self::assertNotNull($whole->part->art);
        self::assertNotSame($whole->print, $paper->print);
        $view = $derived->kit->form->blocks[0]->block->receding?->view->over(76.2);
        self::assertNotNull($view);
        $aim = new Vec3($view->eye->x, $view->front + $view->vanishing(), $view->axis);
        $bricks = 0;
        $vanish = $paper->part->placements[0]->project($aim);
        foreach (ArtSymbol::of($paper, $paper->part->art)->paths as $path) {
            foreach ($path->layer === Layer::Art ? $path->lines : [] as $ring) {
                if (count($ring) !== 4 || $path->fill === $paper->part->art->cutColour()) {
                    continue;
                }
                // The bed of a brick, carried on, passes the point where all lines meet.
                $way = $ring[1]->minus($ring[0]);
                self::assertEqualsWithDelta(0.0, $way->cross($vanish->minus($ring[0])) / $way->length(), 1e-6);
                $bricks++;
            }
        }
        self::assertGreaterThan(300, $bricks);
    }

    #[Group('property')]
    public function testGeneratedFormsGoTogetherInPerspective(): void
    {
        $made = 0;
        Property::holds(self::receding(), function (stdClass $document) use (&$made): ?string {
            $plain = clone $document;
            unset($plain->perspective);
            try {
                if (! Kits::of($plain)->dryFit->goesTogether()) {
                    return null;
                }
                $seen = Kits::of($document)->dryFit->toArray()['findings'];
            } catch (InvalidInput) {
                return null;
            }
            $made++;

            return $seen[0]['text'] ?? null;
        }, self::KNOWN_RED);
        self::assertGreaterThan(20, $made);
    }

    /** @return iterable<int, stdClass> by seed */
    private static function receding(): iterable
    {
        for ($seed = 1; $seed <= (Sample::isDeep() ? 840 : 35); $seed++) {
            $document = BuildingGenerator::with(
                (new FormGenerator($seed))->document(),
                'methods.corner',
                $seed % 2 === 0 ? 'butt' : 'mitre',
            );
            $document->plot = (object) [
                'size' => ['200mm', '200mm'],
                'at' => ['-100mm', '-150mm'],
                'eye' => (object) ['distance' => '600mm', 'height' => '350mm'],
            ];
            yield $seed => BuildingGenerator::with(
                $document,
                'perspective',
                (object) ['depth' => (30 + $seed % 40).'mm', 'axis' => ($seed * 7 % 60).'mm'],
            );
        }
    }

    public function testWhatBreaksTheIllusionIsSaid(): void
    {
        $codes = static fn (Derivation $d): array => array_values(
            array_filter(
                array_map(static fn (Check $c): string => $c->code, $d->checks),
                static fn (string $c): bool => str_starts_with($c, 'perspective.'),
            ),
        );
        self::assertSame(['perspective.eye-high'], $codes(self::seen(self::box(), '40mm', '30mm')));
        self::assertContains('perspective.strong', $codes(self::seen(self::box(), '20mm', '30mm')));
        $document = BuildingGenerator::with(
            self::box(),
            'plot',
            (object) (['eye' => (object) ['distance' => '580mm', 'height' => '60mm', 'travel' => '300mm']] + self::PLOT),
        );
        self::assertSame(
            ['perspective.travel'],
            $codes(Kits::of(BuildingGenerator::with($document, 'perspective', (object) ['depth' => '40mm', 'axis' => '30mm']))),
        );
    }

    /**
     * @param  array<string, mixed>  $perspective
     * @param  list<string>  $faults
     */
    #[DataProvider('provideFaults')]
    public function testFaults(array $perspective, array $faults, ?string $change = null, mixed $to = null): void
    {
        $document = BuildingGenerator::with(self::box(), 'plot', (object) self::PLOT);
        $document = $change === null ? $document : BuildingGenerator::with($document, $change, $to);
        try {
            Kits::of(BuildingGenerator::with($document, 'perspective', (object) $perspective));
        } catch (InvalidInput $e) {
            self::assertSame($faults, array_map(static fn (Problem $p): string => $p->line(), $e->problems));

            return;
        }
        self::fail('Taken');
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: list<string>, 2?: string, 3?: mixed}> */
    public static function provideFaults(): iterable
    {
        yield 'no eye' => [
            ['depth' => '40mm'],
            ['perspective: nobody says from where it is looked at; give plot.eye its distance and height'], 'plot',
            (object) ['size' => ['200mm', '200mm']],
        ];
        yield 'eye behind the front' => [
            ['depth' => '40mm'],
            ['perspective: the eye stands 20 mm behind the front of what is to recede; move the plot, or the eye further away'],
            'plot.at', ['-20mm', '600mm'],
        ];
        yield 'deeper than it looks' => [
            ['depth' => '120mm'],
            ['perspective.depth: an apparent depth of 100 mm is no more than the true 120; make it more'],
        ];
        yield 'deeper than it is to look' => [
            ['depth' => '40mm', 'apparent' => '30mm'],
            ['perspective.apparent: an apparent depth of 30 mm is no more than the true 40; make it more'],
        ];
        yield 'no room' => [
            ['depth' => '1mm'],
            ['perspective.depth: a depth of 1 mm leaves no room behind the front’s card; at least 2 mm are needed'],
        ];
        yield 'an unknown block' => [
            ['depth' => '40mm', 'blocks' => ['main', 'wing']],
            ['perspective.blocks.1: there is no block “wing” here; known are main'],
        ];
        yield 'axis under the ground' => [
            ['depth' => '40mm', 'axis' => '5mm'],
            ['blocks.0.base: the eye’s axis lies under the foot of Main; raise perspective.axis'], 'blocks.0.base',
            '10mm',
        ];
        yield 'no roof' => [
            ['depth' => '40mm'],
            [
                'blocks.0.roof: walls without a roof or above one cannot recede yet; give Main another roof, or take it out of perspective.blocks',
            ],
            'blocks.0.roof', (object) ['kind' => 'none'],
        ];
        yield 'blocks without a depth' => [['blocks' => ['main']], ['perspective.depth: this is required']];
        yield 'an unknown key' => [
            ['depth' => '40mm', 'deep' => true],
            ['perspective.deep: “deep” is not a key here; known are depth, apparent, axis, blocks, ground, mouths'],
        ];
    }

    public function testOnlySomeBlocksRecede(): void
    {
        $document = self::box();
        assert(is_array($document->blocks));
        $document->blocks[] = json_decode(
            '{"id": "far", "footprint": {"rect": ["60mm", "90mm"]}, "at": ["190mm", "0mm"], "eaves": "50mm", "roof": {"kind": "gable", "ridge": "y", "pitch": 45}}',
        );
        $plain = Kits::of($document);
        $seen = Kits::of(
            BuildingGenerator::with(
                BuildingGenerator::with($document, 'plot', (object) self::PLOT),
                'perspective',
                (object) ['depth' => '30mm', 'axis' => '0mm', 'blocks' => ['far']],
            ),
        );
        self::assertSame([], $seen->dryFit->toArray()['findings']);
        self::assertSame(self::part($plain, 'main.right.core')->cut, self::part($seen, 'main.right.core')->cut);
        self::assertNotSame(self::part($plain, 'far.right.core')->cut, self::part($seen, 'far.right.core')->cut);
        $depth = max([
            0.0,
            ...array_merge(
                ...array_map(
                    static fn (Facet $f): array => array_map(static fn (Vec2 $p): float => $p->y, $f->whole->outline->points),
                    array_values(array_filter($seen->kit->form->facets, static fn (Facet $f): bool => $f->block === 1)),
                ),
            ),
        ]);
        self::assertEqualsWithDelta(30.0, $depth, 1e-9);
    }

    /** The creamery, dormer and all; and a dormer without the roof that it stands on. */
    public function testADormerGoesWithItsRoof(): void
    {
        $document = BuildingGenerator::with(
            JsonText::decode(Kits::exampleText('creamery')),
            'perspective',
            (object) ['depth' => '100mm', 'axis' => '20mm'],
        );
        $seen = Kits::of($document);
        self::assertSame([], $seen->dryFit->toArray()['findings']);
        $dormer = array_values(array_filter($seen->kit->form->blocks, static fn ($b): bool => $b->block->id === 'dormer'))[0];
        $true = $dormer->block->receding?->block;
        self::assertNotNull($true);
        self::assertLessThan($true->base->mm, $dormer->block->base->mm);
        // Its window as the eye sees it: the middle of its sill before the middle of the true one.
        $wall = array_values(array_filter($dormer->walls, static fn ($w): bool => $w->wall->name === 'front'))[0];
        $plain = array_values(
            array_filter(
                array_values(
                    array_filter(Kits::example('creamery')->kit->form->blocks, static fn ($b): bool => $b->block->id === 'dormer'),
                )[0]->walls,
                static fn ($w): bool => $w->wall->name === 'front',
            ),
        )[0];
        $view = $dormer->block->receding?->view->over(76.2);
        self::assertNotNull($view);
        $eye = new Vec3($view->eye->x, $view->eye->y, $view->axis);
        foreach ([0, 1, 2, 3] as $corner) {
            [$a, $b] = [
                $plain->frame->at($plain->openings[0]->ring()->point($corner))->minus($eye),
                $wall->frame->at($wall->openings[0]->ring()->point($corner))->minus($eye),
            ];
            self::assertEqualsWithDelta([$a->x / $a->y, $a->z / $a->y], [$b->x / $b->y, $b->z / $b->y], 1e-9);
        }
        try {
            Kits::of(BuildingGenerator::with($document, 'perspective', (object) ['depth' => '10mm', 'blocks' => ['dormer']]));
            self::fail('Taken');
        } catch (InvalidInput $e) {
            self::assertStringContainsString('stands neither on the ground nor', $e->problems[0]->line());
        }
    }

    /** A street: two rows of houses face each other, 80 apart at its mouth, 100 deep as they are, 40 as they are built. */
    public function testAStreet(): void
    {
        $document = self::box(['ridge' => 'y']);
        assert(is_array($document->blocks) && $document->blocks[0] instanceof stdClass);
        $document->blocks[0]->footprint = json_decode('{"rect": ["40mm", "100mm"]}');
        $document->styles = json_decode(
            '{"pane": {"kind": "window", "w": "14mm", "h": "20mm", "frame": {"panes": [2, 2], "stile": "2mm", "bar": "2mm"}}}',
        );
        $document->blocks[0]->walls = json_decode(
            '[{"edge": "right", "finish": "brick-stretcher", "openings": [{"id": "w", "style": "pane", "from": "12mm", "sill": "20mm", "repeat": {"count": 3, "pitch": "28mm"}}]}]',
        );
        $document->blocks[] = json_decode(
            '{"id": "other", "footprint": {"rect": ["40mm", "100mm"]}, "at": ["120mm", "0mm"], "eaves": "60mm", "roof": {"kind": "gable", "ridge": "y", "pitch": 40}, "walls": [{"edge": "left", "finish": "brick-stretcher", "openings": [{"id": "w", "style": "pane", "from": "18mm", "sill": "20mm", "repeat": {"count": 3, "pitch": "28mm"}}]}]}',
        );
        $document = BuildingGenerator::with($document, 'plot', (object) self::PLOT);
        $street = Kits::of(
            BuildingGenerator::with($document, 'perspective', (object) ['depth' => '40mm', 'axis' => '25mm', 'ground' => true]),
        );
        self::assertSame([], $street->dryFit->toArray()['findings']);
        // Seen from the middle its sides are each other's mirror image, windows and all.
        self::assertSame(self::part($street, 'main.right.core')->part->id, self::part($street, 'other.left.core')->mirrorOf);
        self::assertSame('main.right.frame.w', self::part($street, 'other.left.frame.w-3')->mirrorOf);
        $widths = array_map(fn (string $id): float => self::part($street, "main.right.frame.$id")->part->width(), ['w', 'w-2', 'w-3']);
        self::assertGreaterThan($widths[2], $widths[1]);
        self::assertGreaterThan($widths[1], $widths[0]);
        // The road: 80 at the mouth and 80 · 640/700 at the end, less what stays free beside walls that lean by atan(40 / 466.667).
        $road = self::part($street, 'ground')->part;
        $free = 0.4 / cos(atan(40.0 / 466.667));
        self::assertEqualsWithDelta(80.0 - 2.0 * $free, $road->outline->ring->edgeLength(0), 1e-4);
        self::assertEqualsWithDelta(80.0 * 640.0 / 700.0 - 2.0 * $free, $road->outline->ring->edgeLength(2), 1e-4);
        self::assertEqualsWithDelta(hypot(40.0, 25.0 * 60.0 / 700.0), $road->height(), 1e-4);
        // It is the plane in which the feet of the walls recede: it passes through the point where all lines meet.
        $aim = new Vec3(80.0, 466.6667, 25.0);
        self::assertEqualsWithDelta(0.0, $road->placements[0]->height($aim), 1e-4);
        $vanish = $road->placements[0]->project($aim);
        $paper = self::part($street, 'ground.paper')->part;
        self::assertSame($road->outline->ring->toArray(), $paper->outline->ring->toArray());
        $back = array_filter(
            $paper->marks,
            static fn (Mark $m): bool => abs($m->path[1]->minus($m->path[0])->cross($vanish->minus($m->path[0]))) < 0.01,
        );
        $across = array_filter($paper->marks, static fn (Mark $m): bool => $m->text !== '');
        self::assertSame(5, count($across));
        self::assertSame(count($paper->marks), count($back) + count($across));
        // Without a wish for it there is none.
        $ids = array_map(
            static fn (LabelledPart $p): string => $p->part->id,
            Kits::of(BuildingGenerator::with($document, 'perspective', (object) ['depth' => '40mm']))->kit->parts,
        );
        self::assertNotContains('ground', $ids);
    }

    /** Cut to low relief first, it then looks as deep as the cut. */
    public function testWhatIsCutRecedesToo(): void
    {
        $document = BuildingGenerator::with(
            self::box(['kind' => 'hip']),
            'relief',
            (object) ['depth' => '60mm', 'school' => 'slice', 'back' => 'plain'],
        );
        $seen = self::seen($document, '30mm', '20mm');
        self::assertSame([], $seen->dryFit->toArray()['findings']);
        self::assertSame(60.0, round($seen->kit->form->blocks[0]->block->receding->view->apparent ?? 0.0, 6));
        self::assertEqualsWithDelta(30.0, $seen->kit->form->blocks[0]->ring->bounds()->y1, 1e-9);
    }
}
