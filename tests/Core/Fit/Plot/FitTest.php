<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Plot;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Boxes of known size on plots of known size, at 1:1. */
final class FitTest extends TestCase
{
    /** @param  array<string, mixed>  $plot */
    private static function fit(array $plot, ?stdClass $document = null): Fit
    {
        return self::derived($plot, $document)->fit ?? self::fail('No fit');
    }

    /** @param  array<string, mixed>  $plot */
    private static function derived(array $plot, ?stdClass $document = null): Derivation
    {
        $document ??= Kits::box('170mm', '60mm', '40mm', 45.0);
        $document->plot = json_decode((string) json_encode($plot));

        return Kits::of($document);
    }

    private static function one(Fit $fit, string $kind, string $with = ''): Clearance
    {
        foreach ($fit->clearances as $clearance) {
            if ($clearance->kind === $kind && ($with === '' || $clearance->with === $with)) {
                return $clearance;
            }
        }
        self::fail("No $kind $with");
    }

    private static function block(stdClass $document): stdClass
    {
        $block = is_array($document->blocks) ? $document->blocks[0] : null;
        assert($block instanceof stdClass);

        return $block;
    }

    /** @return array<string, float> by side */
    private static function sides(Fit $fit): array
    {
        $sides = [];
        foreach ($fit->clearances as $c) {
            if ($c->kind === 'side') {
                $sides[$c->with] = round($c->left_mm, 4) + 0.0;
            }
        }
        ksort($sides);

        return $sides;
    }

    /** 180 of plot, 3 kept free and 2 proud each side: a wall of 170. */
    public function testTheLongestWallIsThePlotLessWhatIsKeptFreeAndWhatStandsProud(): void
    {
        $plot = [
            'size' => ['180mm', '100mm'], 'at' => ['-5mm', '-20mm'], 'clear' => ['left' => '3mm', 'right' => '3mm'],
            'allow' => ['walls' => '2mm'], 'gap' => '4mm',
        ];
        self::assertSame(['back' => 14.0, 'front' => 18.0, 'left' => 0.0, 'right' => 0.0], self::sides(self::fit($plot)));
        $wider = self::derived($plot, Kits::box('170.2mm', '60mm', '40mm', 45.0));
        self::assertSame('plot.too-wide', self::one($wider->fit ?? self::fail(), 'side', 'right')->code);
        self::assertContains('plot.too-wide', array_map(static fn (Check $c): string => $c->code, $wider->checks));
    }

    public function testARoofThatReachesOutIsCountedWithItsThickness(): void
    {
        // 10 out to the underside's lowest edge; 1 mm of card and a quarter of strip reach sin 45° of that farther.
        $fit = self::fit(
            ['size' => ['200mm', '100mm'], 'at' => ['-15mm', '-20mm'], 'gap' => '0mm'],
            Kits::box('170mm', '60mm', '40mm', 45.0, '10mm', '4mm'),
        );
        self::assertEqualsWithDelta(
            ['back' => 20.0 - 10.0 - 1.25 * sqrt(0.5), 'front' => 20.0 - 10.0 - 1.25 * sqrt(0.5), 'left' => 11.0, 'right' => 11.0],
            self::sides($fit),
            0.001,
        );
        self::assertTrue($fit->fits());
    }

    public function testExtentsAreThoseOfTheAssembledKit(): void
    {
        foreach (['weigh-office', 'creamery'] as $name) {
            $document = JsonText::decode(Kits::exampleText($name));
            $document->plot = json_decode('{"size": ["900mm", "900mm"], "at": ["-100mm", "-100mm"]}');
            $derived = Kits::of($document);
            $box = [INF, -INF, INF, -INF, -INF];
            foreach ($derived->kit->parts as $part) {
                foreach ($part->part->scores === [] ? $part->part->placements : [] as $frame) {
                    foreach ([0.0, -$part->part->thickness] as $out) {
                        foreach ($part->part->face($out === 0.0 ? 'outside' : 'inside')->outline->points as $p) {
                            $at = $frame->at($p, $out);
                            $box = [
                                min($box[0], $at->x),
                                max($box[1], $at->x),
                                min($box[2], $at->y),
                                max($box[3], $at->y),
                                max($box[4], $at->z),
                            ];
                        }
                    }
                }
            }
            $found = $derived->fit?->finished->extents() ?? self::fail();
            // Folded strips and papers, and sills, reach a little farther than flat card; none by more than 1.5 mm.
            $cards = [
                'x0' => [100.0 + $box[0], -1], 'x1' => [100.0 + $box[1], 1], 'y0' => [100.0 + $box[2], -1], 'y1' => [100.0 + $box[3], 1],
                'high' => [$box[4], 1],
            ];
            foreach ($cards as $key => [$card, $way]) {
                $further = $way * ($found[$key] - $card);
                self::assertGreaterThan(-0.001, $further, "$name $key");
                self::assertLessThan(1.5, $further, "$name $key");
            }
        }
    }

    public function testHeightIsJudgedToTheHighestPiece(): void
    {
        // Eaves 40, half of 60 at 45°, and 1 mm of card upright: 1 / cos 45°.
        $high = self::one(self::fit(['size' => ['300mm', '200mm'], 'height' => '75mm']), 'height');
        self::assertLessThan(75.0 - 40.0 - 30.0, $high->left_mm);
        self::assertGreaterThan(75.0 - 40.0 - 30.0 - 3.0, $high->left_mm);
        self::assertFalse(self::one(self::fit(['size' => ['300mm', '200mm'], 'height' => '70mm']), 'height')->isFree());
    }

    public function testTurnedTogetherNothingChanges(): void
    {
        $things = [
            'vehicles' => [['id' => 'c', 'length' => '230mm', 'width' => '36mm', 'centres' => '160mm']],
            'neighbours' => [['id' => 'mill', 'at' => ['185mm', '10mm'], 'size' => ['20mm', '20mm'], 'to' => '50mm']],
            'roads' => [['id' => 'lane', 'line' => [['-50mm', '-30mm'], ['300mm', '-30mm']], 'width' => '20mm']],
            'tracks' => [
                ['id' => 't', 'from' => ['-50mm', '95mm'], 'course' => [['straight' => '100mm'], ['right' => '900mm', 'degrees' => 20]]],
            ],
            'obstacles' => [['id' => 'rod', 'kind' => 'rod', 'at' => ['-4mm', '30mm'], 'across' => '2mm', 'to' => '10mm']],
        ];
        $plain = self::fit(['size' => ['190mm', '90mm'], 'at' => ['-10mm', '-10mm']] + $things);
        $document = Kits::box('170mm', '60mm', '40mm', 45.0);
        self::block($document)->turn = 30;
        $turned = self::fit(
            [
                'size' => ['190mm', '90mm'],
                'at' => [(-10.0 * cos(M_PI / 6) + 10.0 * sin(M_PI / 6)).'mm', (-10.0 * sin(M_PI / 6) - 10.0 * cos(M_PI / 6)).'mm'],
                'turn' => 30,
            ]
                + $things,
            $document,
        );
        self::assertGreaterThan(7, count($plain->clearances));
        $by = static function (Fit $fit): array {
            $all = [];
            foreach ($fit->clearances as $c) {
                $all["$c->kind $c->with"] = $c->left_mm;
            }
            ksort($all);

            return $all;
        };
        self::assertEqualsWithDelta($by($plain), $by($turned), 0.001);
    }

    public function testNeighboursRoadsAndTracksAreMeasuredToTheWall(): void
    {
        $fit = self::fit([
            'size' => ['400mm', '400mm'], 'at' => ['-100mm', '-100mm'],
            'vehicles' => [['id' => 'van', 'length' => '100mm', 'width' => '34mm', 'centres' => '50mm', 'height' => '35mm']],
            'neighbours' => [
                [
                    'id' => 'mill', 'name' => 'the mill', 'at' => ['275mm', '100mm'], 'size' => ['20mm', '60mm'],
                    'to' => '30mm', 'clear' => '2mm',
                ],
            ],
            'roads' => [['id' => 'lane', 'line' => [['0mm', '70mm'], ['400mm', '70mm']], 'width' => '40mm', 'clear' => '1mm']],
            'tracks' => [['id' => 'siding', 'from' => ['0mm', '180mm'], 'course' => [['straight' => '400mm']], 'beside' => '2mm']],
        ]);
        // The walls stand from 100 to 270 and from 100 to 160 on the plot.
        self::assertEqualsWithDelta(5.0 - 2.0, self::one($fit, 'neighbour', 'the mill')->left_mm, 1e-3);
        // Beside the road the roof's lower edge stands out by its thickness; vehicles are lower than that.
        self::assertEqualsWithDelta(30.0 - 20.0 - 1.0 - 1.25 * sqrt(0.5), self::one($fit, 'road', 'lane')->left_mm, 1e-3);
        self::assertEqualsWithDelta(20.0 - 17.0 - 2.0, self::one($fit, 'track', 'siding')->left_mm, 1e-3);
    }

    public function testANeighbourNearerThanItMayBeIsMeasuredAsExactly(): void
    {
        $mill = ['id' => 'mill', 'name' => 'the mill', 'at' => ['272.4mm', '100mm'], 'size' => ['20mm', '60mm'], 'to' => '30mm'];
        $fit = self::fit(['size' => ['400mm', '200mm'], 'at' => ['-100mm', '-100mm'], 'neighbours' => [$mill + ['clear' => '7.25mm']]]);
        // The walls end at 270 on the plot.
        $clearance = self::one($fit, 'neighbour', 'the mill');
        self::assertEqualsWithDelta(2.4 - 7.25, $clearance->left_mm, 1e-3);
        self::assertStringContainsString('is 2.40 mm from the mill', $clearance->text);
    }

    public function testATrackThroughTheBuildingIsSaidWithWhatItStrikes(): void
    {
        $derived = self::derived([
            'size' => ['400mm', '200mm'],
            'at' => ['-100mm', '-50mm'],
            'tracks' => [['id' => 'main', 'name' => 'the main line', 'from' => ['0mm', '80mm'], 'course' => [['straight' => '400mm']]]],
        ]);
        $track = self::one($derived->fit ?? self::fail(), 'track');
        self::assertLessThan(-10.0, $track->left_mm);
        self::assertStringContainsString('too near the main line', $track->text);
        self::assertContains(
            'plot.track',
            array_map(static fn (Check $c): string => $c->level === Check::STOP ? $c->code : '', $derived->checks),
        );
    }

    public function testVehiclesMayRunThroughADoorThatIsWideAndHighEnough(): void
    {
        $document = Kits::box('170mm', '60mm', '60mm', 45.0);
        $document->styles = json_decode('{"arch": {"kind": "open", "w": "50mm", "h": "55mm"}}');
        self::block($document)->walls = json_decode(
            '[{"edge": "left", "openings": [{"id": "d", "style": "arch", "from": "5mm", "sill": "0mm"}]}, {"edge": "right", "treat": "omit"}]',
        );
        assert($document->methods instanceof stdClass);
        $document->methods->base = 'none';
        $plot = [
            'size' => ['400mm', '200mm'],
            'at' => ['-100mm', '-50mm'],
            'vehicles' => [['id' => 'van', 'length' => '100mm', 'width' => '34mm', 'centres' => '50mm', 'height' => '45mm']],
        ];
        $through = ['id' => 'shed', 'course' => [['straight' => '400mm']], 'beside' => '2mm', 'above' => '1mm'];
        // The door stands from 5 to 55 in from the wall's left end, which is the back: its middle is 80 in from the plot's front.
        $fit = self::fit($plot + ['tracks' => [['from' => ['0mm', '80mm']] + $through]], $document);
        $beside = self::one($fit, 'track', 'shed');
        self::assertLessThanOrEqual(25.0 - 17.0 - 2.0 + 0.001, $beside->left_mm);
        self::assertGreaterThan(5.0, $beside->left_mm, $beside->text);
        self::assertFalse(
            self::one(self::fit($plot + ['tracks' => [['from' => ['0mm', '70mm']] + $through]], $document), 'track')->isFree(),
        );
    }

    public function testARodThatMovesAsksForASlot(): void
    {
        $fit = self::fit([
            'size' => ['400mm', '200mm'],
            'at' => ['-100mm', '-50mm'],
            'obstacles' => [
                [
                    'id' => 'rod', 'kind' => 'rod', 'name' => 'of point 3', 'at' => ['150mm', '80mm'],
                    'size' => ['1.2mm', '1.2mm'], 'from' => '-10mm', 'to' => '6mm', 'travel' => ['5mm', '0mm'],
                    'play' => '0.5mm',
                ],
            ],
        ]);
        self::assertStringContainsString('cut a slot 7.2 × 2.2 mm there', self::one($fit, 'obstacle')->text);
        self::assertStringContainsString('Floor', self::one($fit, 'obstacle')->text);
    }

    public function testAWireAboveIsInTheWayOfLiftingUpAndNotOfDrawingOut(): void
    {
        $wire = [
            'obstacles' => [
                [
                    'id' => 'wire', 'kind' => 'wire', 'at' => ['150mm', '80mm'], 'size' => ['400mm', '0.5mm'],
                    'from' => '90mm', 'to' => '91mm',
                ],
            ],
        ];
        $plot = ['size' => ['400mm', '200mm'], 'at' => ['-100mm', '-50mm']] + $wire;
        self::assertFalse(self::one(self::fit($plot), 'lift')->isFree());
        self::assertStringContainsString('caught by wire', self::one(self::fit($plot), 'lift')->text);
        self::assertTrue(self::fit($plot + ['lift' => ['way' => 'front']])->fits());
    }

    public function testAWallInFrontIsInTheWayOfDrawingOut(): void
    {
        $plot = [
            'size' => ['400mm', '200mm'],
            'at' => ['-100mm', '-50mm'],
            'neighbours' => [['id' => 'wall', 'at' => ['0mm', '10mm'], 'size' => ['200mm', '5mm'], 'to' => '10mm']],
        ];
        self::assertTrue(self::fit($plot)->fits());
        self::assertFalse(self::fit($plot + ['lift' => ['way' => 'front']])->fits());
        self::assertTrue(self::fit($plot + ['lift' => ['way' => 'back']])->fits());
    }

    public function testAHollowPlotIsJudgedByItsOwnEdges(): void
    {
        // An L whose notch begins 172 in from the left: 2 mm beside the walls' right end.
        $outline = [['0mm', '0mm'], ['300mm', '0mm'], ['300mm', '20mm'], ['182mm', '20mm'], ['182mm', '100mm'], ['0mm', '100mm']];
        $fit = self::fit([
            'outline' => $outline,
            'edges' => ['front', 'side', 'notch', 'inner', 'back', 'left'],
            'at' => ['-10mm', '-30mm'],
        ]);
        self::assertEqualsWithDelta(2.0, self::sides($fit)['inner'], 0.001);
        self::assertTrue($fit->fits());
        $outline[3][0] = $outline[4][0] = '178mm';
        self::assertFalse(self::fit(['outline' => $outline, 'at' => ['-10mm', '-30mm']])->fits());
    }

    public function testPlatformsAndSidingsAreAsLongAsWhatStandsInThem(): void
    {
        $vehicles = [
            ['id' => 'coach', 'length' => '230mm', 'width' => '36mm', 'centres' => '160mm'],
            ['id' => 'tank', 'length' => '180mm', 'width' => '34mm', 'centres' => '60mm'],
            ['id' => 'wagon', 'length' => '80mm', 'width' => '32mm', 'centres' => '40mm'],
            ['id' => 'pug', 'length' => '130mm', 'width' => '32mm', 'centres' => '30mm'],
        ];
        $fit = self::fit(['size' => ['400mm', '200mm'], 'at' => ['-100mm', '-50mm'], 'vehicles' => $vehicles, 'runs' => [
            [
                'id' => 'platform', 'kind' => 'platform',
                'train' => [['vehicle' => 'coach', 'count' => 3], ['vehicle' => 'tank']], 'gap' => '4mm',
                'margin' => '20mm', 'has' => '900mm',
            ],
            [
                'id' => 'siding', 'kind' => 'siding',
                'train' => [['vehicle' => 'wagon', 'count' => 2], ['vehicle' => 'pug']], 'gap' => '3mm',
                'margin' => '25mm', 'has' => '330mm',
            ],
        ]]);
        self::assertEqualsWithDelta(900.0 - 922.0, self::one($fit, 'run', 'platform')->left_mm, 1e-9);
        self::assertEqualsWithDelta(330.0 - 321.0, self::one($fit, 'run', 'siding')->left_mm, 1e-9);
    }

    public function testAnEyeInsideTheBuildingIsSaid(): void
    {
        $codes = static fn (string $distance): array => array_map(
            static fn (Check $c): string => $c->code,
            self::derived(
                ['size' => ['300mm', '200mm'], 'at' => ['-50mm', '0mm'], 'eye' => ['distance' => $distance, 'height' => '30mm']],
                Kits::box('170mm', '60mm', '40mm', 45.0),
            )->checks,
        );
        self::assertNotContains('plot.eye-inside', $codes('300mm'));
        $document = Kits::box('170mm', '60mm', '40mm', 45.0);
        self::assertContains(
            'plot.eye-inside',
            array_map(
                static fn (Check $c): string => $c->code,
                self::derived(
                    ['size' => ['300mm', '200mm'], 'at' => ['-50mm', '50mm'], 'eye' => ['distance' => '20mm', 'height' => '30mm']],
                    $document,
                )->checks,
            ),
        );
    }

    /** @param  array<string, mixed>  $plot */
    #[DataProvider('provideBadPlots')]
    public function testWhatIsWrongIsSaidWhereItIs(array $plot, string $path, string $code): void
    {
        $document = Kits::box('170mm', '60mm', '40mm', 45.0);
        $document->plot = json_decode((string) json_encode($plot));
        try {
            BuildingReader::fromDocument($document);
            self::fail('Taken');
        } catch (InvalidInput $e) {
            self::assertSame([[$path, $code]], array_map(static fn ($p): array => [$p->path, $p->code], $e->problems));
            self::assertStringNotContainsString('{', $e->problems[0]->line());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function provideBadPlots(): iterable
    {
        $sound = ['size' => ['300mm', '200mm']];
        $coach = ['id' => 'c', 'length' => '230mm', 'width' => '36mm', 'centres' => '160mm'];
        yield 'no size' => [['height' => '50mm'], 'plot.size', 'missing'];
        yield 'both' => [$sound + ['outline' => [['0mm', '0mm'], ['9mm', '0mm'], ['0mm', '9mm']]], 'plot.outline', 'plot.both'];
        yield 'clockwise' => [['outline' => [['0mm', '0mm'], ['0mm', '9mm'], ['9mm', '0mm']]], 'plot.outline', 'footprint.clockwise'];
        yield 'crossing' => [
            ['outline' => [['0mm', '0mm'], ['9mm', '0mm'], ['0mm', '9mm'], ['9mm', '9mm']]],
            'plot.outline',
            'footprint.crossing',
        ];
        yield 'no such side' => [$sound + ['clear' => ['top' => '2mm']], 'plot.clear.top', 'unknown-edge'];
        yield 'no such backscene' => [$sound + ['backscene' => ['rear']], 'plot.backscene.0', 'unknown-edge'];
        yield 'bogies past the ends' => [
            $sound + ['vehicles' => [['centres' => '240mm'] + $coach]],
            'plot.vehicles.0.centres',
            'vehicle.centres',
        ];
        yield 'a curve too tight' => [
            $sound
                + [
                    'vehicles' => [$coach],
                    'tracks' => [['id' => 't', 'from' => ['0mm', '0mm'], 'course' => [['left' => '150mm', 'degrees' => 30]]]],
                ],
            'plot.tracks.0.course.0',
            'track.radius',
        ];
        yield 'a curve without degrees' => [
            $sound + ['tracks' => [['id' => 't', 'from' => ['0mm', '0mm'], 'course' => [['left' => '600mm']]]]],
            'plot.tracks.0.course.0.degrees',
            'missing',
        ];
        yield 'a curve all round' => [
            $sound + ['tracks' => [['id' => 't', 'from' => ['0mm', '0mm'], 'course' => [['left' => '600mm', 'degrees' => 360]]]]],
            'plot.tracks.0.course.0.degrees',
            'number-out-of-range',
        ];
        yield 'straight and curved at once' => [
            $sound
                + [
                    'tracks' => [
                        ['id' => 't', 'from' => ['0mm', '0mm'], 'course' => [['left' => '600mm', 'straight' => '20mm', 'degrees' => 3]]],
                    ],
                ],
            'plot.tracks.0.course.0',
            'track.piece',
        ];
        yield 'a vehicle nobody described' => [
            $sound + ['runs' => [['id' => 'r', 'kind' => 'siding', 'train' => [['vehicle' => 'x']]]]],
            'plot.runs.0.train.0.vehicle',
            'unknown-vehicle',
        ];
        yield 'a neighbour upside down' => [
            $sound + ['neighbours' => [['id' => 'n', 'size' => ['5mm', '5mm'], 'from' => '20mm', 'to' => '10mm']]],
            'plot.neighbours.0.to',
            'plot.upside-down',
        ];
        yield 'an obstacle without a size' => [
            $sound + ['obstacles' => [['id' => 'o', 'kind' => 'rod', 'at' => ['5mm', '5mm'], 'to' => '10mm']]],
            'plot.obstacles.0',
            'plot.size-or-across',
        ];
        yield 'two of one id' => [
            $sound
                + [
                    'neighbours' => [
                        ['id' => 'n', 'size' => ['5mm', '5mm'], 'to' => '10mm'],
                        ['id' => 'n', 'size' => ['5mm', '5mm'], 'to' => '10mm'],
                    ],
                ],
            'plot.neighbours.1.id',
            'id-twice',
        ];
        yield 'lifted by no way' => [$sound + ['lift' => ['way' => 'down']], 'plot.lift.way', 'wrong-choice'];
    }

    /** A box of 170 × 60, 70 high to its ridge and card above it: wherever it is moved, so much has to go. */
    public function testHowMuchTooLargeItIs(): void
    {
        $over = self::fit(['size' => ['160mm', '70mm'], 'at' => ['-3mm', '-2mm'], 'backscene' => []])->tooLarge();
        self::assertEqualsWithDelta(['across' => 10.0], $over, 0.001);
        // Turned a quarter, the plot's width bounds the building's depth.
        $over = self::fit(['size' => ['50mm', '180mm'], 'at' => ['170mm', '5mm'], 'turn' => 90, 'backscene' => []])->tooLarge();
        self::assertSame(['deep'], array_keys($over));
        // At 1:1 the ridge's strip comes down to the eaves: card of 1 and of 0.25 lean out there.
        self::assertEqualsWithDelta(10.0 + 2.0 * 1.25 * sin(deg2rad(45.0)), $over['deep'], 0.001);
        // Room on one side only is room enough.
        self::assertSame([], self::fit(['size' => ['200mm', '90mm'], 'at' => ['5mm', '-10mm'], 'backscene' => []])->tooLarge());
        self::assertSame(
            ['high'],
            array_keys(
                self::fit(['size' => ['200mm', '90mm'], 'at' => ['-5mm', '-10mm'], 'height' => '60mm', 'backscene' => []])->tooLarge(),
            ),
        );
        // Askew nobody can say.
        self::assertSame([], self::fit(['size' => ['100mm', '40mm'], 'at' => ['0mm', '0mm'], 'turn' => 20, 'backscene' => []])->tooLarge());
    }

    /** Moved as is said it fits, and stands in the middle of what it was too near to; what is too large cannot be moved to fit. */
    public function testWhereItWouldFit(): void
    {
        $plot = ['size' => ['180mm', '80mm'], 'at' => ['3mm', '-10mm'], 'backscene' => []];
        $fit = self::fit($plot);
        self::assertFalse($fit->fits());
        // 3 too far left, 13 left at the right: eight to the right, and nothing to the back.
        self::assertEqualsWithDelta([8.0, 0.0], $fit->move() ?? [], 0.01);
        $moved = self::fit(['at' => ['-5mm', '-10mm']] + $plot);
        self::assertTrue($moved->fits());
        self::assertNull($moved->move());
        self::assertNull(self::fit(['size' => ['160mm', '80mm']] + $plot)->move());
        // Turned a quarter: the plot's right is the building's back.
        $turned = self::fit(['size' => ['80mm', '190mm'], 'at' => ['180mm', '12mm'], 'turn' => 90, 'backscene' => []]);
        self::assertFalse($turned->fits());
        $move = $turned->move() ?? self::fail('No move');
        $sides = self::sides(
            self::fit([
                'size' => ['80mm', '190mm'], 'at' => [(180.0 + $move[1]).'mm', (12.0 - $move[0]).'mm'], 'turn' => 90,
                'backscene' => [],
            ]),
        );
        self::assertEqualsWithDelta($sides['left'], $sides['right'], 0.02);
        self::assertGreaterThan(0.0, min([INF, ...array_values($sides)]));
    }
}
