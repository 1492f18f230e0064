<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnTheWeighOffice;

/**
 * A chimney outside the left gable of the weigh office, worked by hand: a foot is 4; the gable is 48 long, its verge hangs over by 2,
 * pitch 40°; greyboard of 1.17 with its template, paper of 0.1, courses of 1. docs/formulas.md#chimneys-on-walls
 */
final class WallChimneyTest extends TestCase
{
    use OnTheWeighOffice;

    private const CARD = 1.17;

    /** A stack of 27 in = 9 over a breast of 5 ft = 20; shoulders from 24 to 32, 5.5 in on each side, 9.708 up their slope. */
    public function testItsCardsAreAsLargeAsItIsDescribed(): void
    {
        $derived = self::derived();
        self::assertSame([], $derived->dryFit->findings);
        $front = self::part($derived, 'stack-front');
        self::assertCount(2, $front->placements);
        self::assertEqualsWithDelta(20.0, $front->width(), 1e-6);
        // 18 in = 6 deep, less the wall's paper on which it stands, less its front and its back.
        $between = 6.0 - 0.1 - 2.0 * self::CARD;
        $slope = hypot(5.5, 8.0);
        foreach (['left', 'right'] as $side) {
            $shoulder = self::part($derived, "stack-shoulder-$side");
            self::assertEqualsWithDelta([$between, $slope], [$shoulder->width(), $shoulder->height()], 1e-6);
            // Cut square, a shoulder comes down by t · cos of its pitch inside the side below it.
            $below = self::part($derived, "stack-breast-$side");
            self::assertEqualsWithDelta([$between, 24.0 - self::CARD * 5.5 / $slope], [$below->width(), $below->height()], 1e-6);
        }
        self::assertEqualsWithDelta(20.0 + 2.0 * 5.9 + 0.2, self::part($derived, 'stack-breast-paper')->width(), 1e-6);
    }

    /**
     * Three storeys of 9 ft 6 in = 38 without the middle one: shoulders from 22 ft = 88 begin at 50 then, the topmost set-off at 14 ft goes
     * down to that storey’s floor, and a height over the base goes down by 38. Seven courses less are taken from the 83 over the windows.
     *
     * @param  array<string, mixed>  $step
     */
    #[DataProvider('provideSteps')]
    public function testItGoesDownWithStoreysAndCourses(array $step, float $shoulder, float $setOff, float $top): void
    {
        $storeys = array_map(static fn (int $i): object => (object) [
            'id' => "s$i", 'floor' => sprintf('%.1fft', 9.5 * $i), 'height' => '9ft 6in',
        ], [0, 1, 2]);
        $derived = self::derived(
            ['shoulder' => '22ft', 'set_offs' => 1, 'set_off_up' => '14ft', 'above' => 'base', 'h' => '43ft', 'cap_h' => '1in'],
            ['blocks.0.eaves' => '28ft 6in', 'blocks.0.storeys' => $storeys, 'compression' => (object) ['steps' => [(object) $step]]],
        );
        self::assertSame([], $derived->dryFit->findings);
        $heights = array_map(static fn ($p): float => round($p->z, 6), self::part($derived, 'stack-front')->corners());
        self::assertContains(round($shoulder, 6), $heights);
        $course = self::part($derived, 'stack-set-off-1-front');
        self::assertEqualsWithDelta($setOff, $course->placements[0]->origin->z + $course->height(), 1e-6);
        self::assertEqualsWithDelta($top, self::part($derived, 'stack-cap')->placements[0]->origin->z, 1e-6);
    }

    /** @return iterable<string, array{array<string, mixed>, float, float, float}> */
    public static function provideSteps(): iterable
    {
        yield 'without a storey' => [['op' => 'storey', 'block' => 'main', 'storey' => 's1'], 50.0, 38.0, 134.0];
        yield 'seven courses lower' => [['op' => 'courses', 'block' => 'main', 'count' => 7], 31.0 + 57.0 * 76.0 / 83.0, 53.0, 165.0];
    }

    /** Both slopes lose what it takes of their overhang, and 0.15 over the wall: half of 9, its paper and 0.15, up to the ridge. */
    public function testTheRoofGivesWay(): void
    {
        $without = Derivation::of(BuildingReader::fromDocument(JsonText::decode(Kits::exampleText('weigh-office'))), '');
        foreach (['front', 'back'] as $side) {
            $area = static fn (Derivation $d): float => $d->kit->part("main.$side-slope.carrier")->part->region()->area();
            self::assertEqualsWithDelta(2.15 * 4.75 / cos(deg2rad(40.0)), $area($without) - $area(self::derived()), 1e-4);
        }
    }

    /** 13 1/2 in = 4.5, less the paper, is nearest to four layers of its card; each is the whole outline. */
    public function testWhatIsTooShallowForABoxIsOfLayers(): void
    {
        $derived = self::derived(['d' => '13 1/2in', 'flue' => '4 1/2in', 'pot_w' => '4 1/2in']);
        self::assertSame([], $derived->dryFit->findings);
        self::assertCount(4, self::part($derived, 'stack-layer')->placements);
    }

    /** Two set-offs of 2 1/4 in = 0.75 each: up to 12, and to 6, of courses; their strips run past those at the sides. */
    public function testSetOffsStandOutOnThreeSides(): void
    {
        $derived = self::derived(['set_offs' => 2]);
        self::assertSame([], $derived->dryFit->findings);
        foreach ([1 => [6.0, 12.0], 2 => [0.0, 6.0]] as $k => [$foot, $top]) {
            $front = self::part($derived, "stack-set-off-$k-front");
            $box = $front->outline->ring->bounds();
            self::assertEqualsWithDelta($top - $foot, $box->height(), 1e-6);
            self::assertEqualsWithDelta(20.0 + 2.0 * $k * 0.75, $front->width(), 0.5, 'as near as its card comes to that');
            self::assertEqualsWithDelta($foot, $front->placements[0]->at($box->centre())->z - ($top - $foot) / 2.0, 1e-6);
        }
    }

    /** Where it has no shoulders its paper goes round it in one, from the ground up. */
    public function testWithoutShouldersItsPaperIsInOne(): void
    {
        $derived = self::derived(['breast_w' => null, 'set_offs' => 1]);
        self::assertSame([], $derived->dryFit->findings);
        $paper = self::part($derived, 'stack-paper');
        self::assertCount(4, $paper->scores);
        self::assertEqualsWithDelta(self::part($derived, 'stack-front')->height(), $paper->height(), 1e-6);
    }

    /** What the document says of it is held to it: another figure under the same parts is red. */
    #[DataProvider('provideOthers')]
    public function testAnotherFigureIsFound(string $key, mixed $other): void
    {
        $said = ['w' => '3ft', 'set_offs' => 2, 'band' => 1, 'flues' => 2, 'cap_out' => '2in'];
        $derived = self::derived($said);
        self::assertSame([], $derived->dryFit->findings);
        $document = BuildingGenerator::with(self::document($said), "blocks.0.features.0.$key", $other);
        self::assertContains(true, array_map(
            static fn (Finding $f): bool => str_starts_with($f->code, 'stack.'),
            DryFit::check(Kits::serialised($derived), BuildingReader::fromDocument($document))->findings,
        ), "$key is not held to the document");
    }

    /** @return iterable<string, array{string, mixed}> */
    public static function provideOthers(): iterable
    {
        $others = [
            'w' => '3ft 2in', 'd' => '19in', 'h' => '5ft 3in', 'on.from' => '2in', 'on.up' => '1ft', 'above' => 'base',
            'breast_w' => '5ft 3in', 'stack_at' => 'left', 'shoulder' => '6ft 3in', 'shoulder_h' => '2ft 3in', 'set_offs' => 3,
            'set_off_up' => '3ft 3in',
            'set_off_down' => '1ft 3in', 'set_off_out' => '4in', 'band' => 2, 'band_down' => 7, 'band_out' => '4in', 'oversail' => 3,
            'oversail_down' => 1, 'oversail_out' => '4in', 'cap_out' => '4in', 'flues' => 1, 'flue' => '10in', 'of' => 'solid',
        ];
        foreach ($others as $key => $other) {
            yield $key => [$key, $other];
        }
    }

    #[DataProvider('provideMissing')]
    public function testWhatIsNotThereIsFound(string $pattern): void
    {
        $said = ['set_offs' => 1];
        $kit = Kits::serialised(self::derived($said));
        self::assertIsArray($kit['parts']);
        $kit['parts'] = array_values(array_filter($kit['parts'], static fn (mixed $p): bool =>
            is_array($p) && is_string($p['id']) && preg_match($pattern, $p['id']) !== 1));
        $kit['joints'] = [];
        $codes = array_map(
            static fn (Finding $f): string => $f->code,
            DryFit::check($kit, BuildingReader::fromDocument(self::document($said)))->findings,
        );
        self::assertContains(true, array_map(static fn (string $c): bool => str_starts_with($c, 'stack.'), $codes), implode(' ', $codes));
    }

    /** @return iterable<string, array{string}> */
    public static function provideMissing(): iterable
    {
        yield 'all of it' => ['/stack-/'];
        yield 'its front and its back' => ['/stack-front\./'];
        yield 'a side of its breast' => ['/stack-breast-left\./'];
        yield 'a shoulder' => ['/stack-shoulder-right\./'];
        yield 'a side of its stack' => ['/stack-left\./'];
        yield 'the paper over a shoulder cut square' => ['/stack-breast-paper\./'];
        yield 'a set-off' => ['/stack-set-off-1-paper/'];
        yield 'its cap' => ['/stack-cap\./'];
        yield 'its pot' => ['/stack-pot\./'];
    }

    /** What stands where the document has nothing is found, too. */
    public function testOneThatIsNowhereIsFound(): void
    {
        $kit = Kits::serialised(self::derived());
        $away = BuildingGenerator::with(self::document(), 'blocks.0.walls.3.treat', 'omit');
        $codes = array_map(static fn (Finding $f): string => $f->code, DryFit::check($kit, BuildingReader::fromDocument($away))->findings);
        self::assertContains('stack.nowhere', $codes);
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('provideFaults')]
    public function testWhatCannotBeIsAFault(array $said, string $code): void
    {
        try {
            self::derived($said);
            self::fail('it was made');
        } catch (InvalidInput $e) {
            self::assertSame([$code], array_map(static fn (Problem $p): string => $p->code, $e->problems));
            self::assertStringStartsWith('blocks.0.features.0', $e->problems[0]->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function provideFaults(): iterable
    {
        $on = static fn (array $more): array => ['on' => ['anchor' => 'wall', 'edge' => 'left', ...$more]];
        yield 'past the end of its wall' => [$on(['from' => '1ft']), 'chimney.past-wall'];
        yield 'before a window' => [$on(['edge' => 'right', 'over' => 'middle']), 'chimney.breast-over-opening'];
        yield 'shoulders at its foot' => [['shoulder' => '1in'], 'chimney.shoulders-low'];
        yield 'shoulders in the roof' => [['shoulder' => '12ft'], 'chimney.shoulders-high'];
        yield 'shoulders almost level' => [['shoulder_h' => '6in'], 'chimney.shoulders-flat'];
        yield 'a shoulder of nothing' => [['breast_w' => '28in'], 'chimney.shoulders-flat'];
        yield 'set-offs over its shoulders' => [['set_offs' => 1, 'set_off_up' => '7ft'], 'chimney.set-offs'];
        yield 'set-offs under its foot' => [['set_offs' => 4, 'set_off_up' => '2ft'], 'chimney.set-offs'];
        yield 'too shallow for a box' => [['d' => '12in', 'of' => 'box', 'flue' => '3in', 'pot_w' => '3in'], 'chimney.too-thin'];
        yield 'lower than the ridge' => [['above' => 'base', 'h' => '14ft'], 'chimney.too-low'];
        yield 'flues that have no room' => [['flues' => 4], 'chimney.flues'];
        yield 'pots wider than their flue' => [['pot_w' => '12in'], 'chimney.pot-too-wide'];
    }

    public function testTwoInOnePlaceAndOneBehindABlockAreFaults(): void
    {
        $document = self::document();
        $two = BuildingGenerator::with($document, 'blocks.0.features', [self::thing(), self::thing(['id' => 'c2'])]);
        $shed = (object) [
            'id' => 'shed', 'footprint' => (object) ['rect' => ['6ft', '6ft']], 'eaves' => '6ft', 'walls' => [],
            'roof' => (object) ['kind' => 'flat'],
            'place' => [(object) ['against' => 'right', 'with' => 'main.left'], (object) ['centre' => 'front', 'with' => 'main.left']],
        ];
        assert(is_array($document->blocks));
        $blocked = BuildingGenerator::with($document, 'blocks', [...$document->blocks, $shed]);
        // A dormer that hangs out over the eaves is in the way of the stack, and not of its breast.
        $back = BuildingGenerator::with($document, 'blocks.0.features', [
            self::thing(['on' => ['edge' => 'back', 'over' => 'middle'], 'shoulder' => '4ft']),
        ]);
        assert(is_array($back->blocks));
        $dormer = BuildingGenerator::with($back, 'blocks', [...$back->blocks, (object) [
            'id' => 'dormer', 'footprint' => (object) ['rect' => ['5ft', '6ft']], 'base' => '10ft', 'eaves' => '13ft', 'walls' => [],
            'roof' => (object) ['kind' => 'flat'],
            'place' => [
                (object) ['set-back' => 'back', 'with' => 'main.back', 'by' => '-6in'],
                (object) ['centre' => 'front', 'with' => 'main.front'],
            ],
        ]]);
        foreach ([[$two, 'thing.in-the-way'], [$blocked, 'thing.blocked'], [$dormer, 'thing.blocked']] as [$wrong, $code]) {
            try {
                Derivation::of(BuildingReader::fromDocument($wrong), JsonText::encode($wrong));
                self::fail('it was made');
            } catch (InvalidInput $e) {
                self::assertContains($code, array_map(static fn (Problem $p): string => $p->code, $e->problems));
            }
        }
    }

    /**
     * Before the right gable stands a shed, 20 high at its wall, whose roof falls away by 20°. The stack's back stands two papers before
     * that wall; at its back the shed's underside is 20 less 0.2 · tan 20° high, at its front 20 less 6 · tan 20°.
     */
    public function testItStandsOnALowerRoofAgainstAHigherWall(): void
    {
        $derived = self::onShed([]);
        self::assertSame([], $derived->dryFit->findings);
        $own = [];
        foreach (['front' => 6.0, 'back' => 0.2] as $side => $out) {
            $part = self::part($derived, "stack-$side");
            $own[$side] = $part->placements[0]->origin->x - 72.0;
            self::assertEqualsWithDelta(20.0 - $out * tan(deg2rad(20.0)), $part->placements[0]->origin->z, 0.45, $side);
        }
        self::assertEqualsWithDelta(['front' => 6.0, 'back' => 0.2], $own, 1e-6);
        // The shed's panel has its notch: between both of its sides, and as far out as the stack goes.
        self::assertGreaterThan(4, $derived->kit->part('shed.front-slope.carrier')->part->outline->ring->count());
    }

    #[DataProvider('provideOnShed')]
    public function testAnotherFigureOnALowerRoofIsFound(string $key, mixed $other): void
    {
        $said = ['w' => '2ft 6in', 'h' => '5ft'];
        $document = BuildingGenerator::with(self::withShed($said), "blocks.0.features.0.$key", $other);
        $codes = array_map(
            static fn (Finding $f): string => $f->code,
            DryFit::check(Kits::serialised(self::onShed($said)), BuildingReader::fromDocument($document))->findings,
        );
        self::assertContains(true, array_map(static fn (string $c): bool => str_starts_with($c, 'stack.'), $codes), $key);
    }

    /** @return iterable<string, array{string, mixed}> */
    public static function provideOnShed(): iterable
    {
        $others = ['w' => '2ft 9in', 'd' => '20in', 'h' => '5ft 3in', 'on.from' => '2ft 9in', 'above' => 'base', 'breast_w' => '4ft'];
        foreach ($others as $key => $other) {
            yield $key => [$key, $other];
        }
    }

    public function testWhatStandsOutIsNotLetIntoTheWallBehind(): void
    {
        try {
            self::onShed(['above' => 'roof', 'h' => '2ft']);
            self::fail('it was made');
        } catch (InvalidInput $e) {
            self::assertSame(['chimney.against-wall'], array_map(static fn (Problem $p): string => $p->code, $e->problems));
        }
        self::assertSame([], self::onShed(['above' => 'roof', 'h' => '2ft', 'oversail' => 0])->dryFit->findings);
    }

    /** @param  array<string, mixed>  $said */
    private static function onShed(array $said): Derivation
    {
        $document = self::withShed($said);
        $text = JsonText::encode($document);

        return self::$derived[$text] ??= Derivation::of(BuildingReader::fromDocument($document), $text);
    }

    /** @param  array<string, mixed>  $said */
    private static function withShed(array $said): stdClass
    {
        $document = self::document(['on' => ['anchor' => 'wall', 'edge' => 'right', 'from' => '2ft 8in'], 'breast_w' => null, ...$said]);
        assert(is_array($document->blocks));
        $shed = (object) [
            'id' => 'shed', 'turn' => 90, 'footprint' => (object) ['rect' => ['10ft', '6ft']], 'eaves' => '2ft 9 13/16in', 'walls' => [],
            'roof' => (object) ['kind' => 'lean-to', 'pitch' => 20, 'overhang' => (object) ['eaves' => '6in', 'verge' => '3in']],
            'place' => [(object) ['against' => 'back', 'with' => 'main.right'], (object) ['centre' => 'back', 'with' => 'main.right']],
        ];

        return BuildingGenerator::with($document, 'blocks', [...$document->blocks, $shed]);
    }

    /** @param  array<string, mixed>  $more  of the document */
    #[DataProvider('provideGivenUp')]
    public function testWhatIsGivenUpKeepsCutsOrDropsItAndSaysSo(array $more, bool $isMade, ?string $code): void
    {
        $on = ['anchor' => 'wall', 'edge' => $more['edge'] ?? 'left', 'from' => '8ft'];
        $derived = self::derived(['on' => $on], array_diff_key($more, ['edge' => 0]));
        self::assertSame([], $derived->dryFit->findings);
        self::assertSame($isMade, self::parts($derived, 'stack-cap') !== []);
        $own = array_map(static fn (Check $c): string => $c->code, array_filter($derived->checks, static fn (Check $c): bool =>
            str_starts_with($c->code, 'chimney.') || str_starts_with($c->code, 'thing.')));
        self::assertSame($code === null ? [] : [$code], array_values($own));
    }

    /**
     * On the left wall, which runs from the back to the front, its middle is 32 from the back, 16 from the front.
     *
     * @return iterable<string, array{array<string, mixed>, bool, ?string}>
     */
    public static function provideGivenUp(): iterable
    {
        $relief = static fn (string $school, string $depth): array => ['relief' => (object) ['school' => $school, 'depth' => $depth]];
        yield 'kept' => [$relief('slice', '30mm'), true, null];
        yield 'cut' => [$relief('slice', '22mm'), true, 'chimney.cut'];
        yield 'cut away' => [$relief('slice', '12mm'), false, 'thing.cut-away'];
        yield 'against the backscene' => [['edge' => 'back'] + $relief('squeeze', '30mm'), false, 'chimney.behind'];
        yield 'receding' => [['perspective' => (object) ['depth' => '20mm']], false, 'chimney.recedes'];
    }

    /** @return array<string, mixed> */
    private static function usual(): array
    {
        return [
            'kind' => 'wall-chimney', 'id' => 'c1', 'on' => ['anchor' => 'wall', 'edge' => 'left', 'over' => 'middle'],
            'w' => '27in', 'd' => '18in', 'h' => '5ft', 'breast_w' => '5ft', 'shoulder' => '6ft',
        ];
    }

    private static function part(Derivation $derived, string $layer): Part
    {
        return $derived->kit->part("main.$layer.c1")->part;
    }

    /** @return list<string> */
    private static function parts(Derivation $derived, string $layer): array
    {
        $ids = array_map(static fn ($p): string => $p->part->id, $derived->kit->parts);

        return array_values(array_filter($ids, static fn (string $id): bool => str_contains($id, $layer)));
    }
}
