<?php

declare(strict_types=1);

namespace Tests\Core\Trim;

use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Openings whose layers are cut unlike: what stands in them leans against those before their rebate. docs/formulas.md#frame */
final class RebateTest extends TestCase
{
    /**
     * A window of 12 × 20 with a rebate of 1. Behind the face the card is open over 14 × 22, the frame is 13.8 × 21.8 and its glass
     * 12.8 × 20.8; it lies on the face over 13.8 × 21.8 less what is open there. Where paper of 0.1 turns in, both holes are 0.2 larger,
     * the frame is not, and stands 0.1 further back.
     *
     * @param  list<float>  $holes  width and height in the face, and behind it
     */
    #[DataProvider('finishes')]
    public function testAFrameIsLargerThanWhatItStandsBehind(string $finish, array $holes, float $depth, float $contact): void
    {
        $derived = Kits::of(self::withWindow([], $finish));
        self::assertSame([], $derived->dryFit->findings);
        self::assertEqualsWithDelta($holes, [...self::hole($derived, 'face'), ...self::hole($derived, 'core')], 1e-9);
        [$frame, $glass] = [$derived->kit->part('main.front.frame.w')->part, $derived->kit->part('main.front.glazing.w')->part];
        self::assertEqualsWithDelta([13.8, 21.8, 12.8, 20.8], [$frame->width(), $frame->height(), $glass->width(), $glass->height()], 1e-9);
        self::assertEqualsWithDelta($depth, $frame->placements[0]->origin->y, 1e-9);
        $joints = array_values(array_filter($derived->kit->joints, static fn ($j): bool => $j->why === 'leans against its rebate'));
        self::assertCount(1, $joints);
        self::assertEqualsWithDelta([$depth - 0.5, $contact], [$joints[0]->gap_mm, $joints[0]->contact_mm2], 1e-6);
    }

    /** @return iterable<string, array{string, list<float>, float, float}> */
    public static function finishes(): iterable
    {
        yield 'bare' => ['bare', [12.0, 20.0, 14.0, 22.0], 0.5, 13.8 * 21.8 - 12.0 * 20.0];
        yield 'papered' => ['brick-stretcher', [12.2, 20.2, 14.2, 22.2], 0.6, 13.8 * 21.8 - 12.2 * 20.2];
    }

    /** Flaps of 4 go round a face of 0.5 and 1 mm behind it, to the rebate's side: 1.5; without a rebate they are as they were said. */
    public function testPaperTurnsInToTheSideOfTheRebate(): void
    {
        foreach (['1mm' => 1.5, '5mm' => 4.0] as $rebate => $flap) {
            $derived = Kits::of(self::withWindow(['rebate' => $rebate], 'brick-stretcher', '12mm', '30mm'));
            self::assertSame([], $derived->dryFit->findings);
            self::assertSame([], array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'flap.short'));
            $box = $derived->kit->part('main.front.paper')->part->holes[0]->bounds();
            self::assertEqualsWithDelta(12.0 - 2.0 * $flap, $box->width(), 1e-9);
        }
    }

    /** A leaf stands on the ground: 13.8 wide, and as high as the door and the rebate at its head, less the play. */
    public function testALeafStandsOnTheGround(): void
    {
        $derived = Kits::of(self::withWindow(['kind' => 'door', 'h' => '30mm'], 'bare', '0mm'));
        self::assertSame([], $derived->dryFit->findings);
        $leaf = $derived->kit->part('main.front.leaf.w')->part;
        self::assertEqualsWithDelta([13.8, 30.9, 0.0], [$leaf->width(), $leaf->height(), $leaf->placements[0]->origin->z], 1e-9);
    }

    /** Of 0.5, 1 and 1 the first two stand before a frame that is set back 1.6, and the first alone before one that is set back 1.4. */
    public function testAsManyLayersStandBeforeItAsItIsSetBack(): void
    {
        foreach (['1.6mm' => [12.0, 1.5], '1.4mm' => [14.0, 0.5]] as $reveal => [$width, $depth]) {
            $document = BuildingGenerator::with(self::withWindow(['reveal' => $reveal], 'bare'), 'methods.wall', [
                (object) ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                (object) ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core'],
                (object) ['id' => 'lining', 'stock' => 'greyboard-1', 'role' => 'core'],
            ]);
            $derived = Kits::of($document);
            self::assertSame([], $derived->dryFit->findings);
            self::assertEqualsWithDelta([$width, 14.0], [self::hole($derived, 'core')[0], self::hole($derived, 'lining')[0]], 1e-9);
            self::assertEqualsWithDelta($depth, $derived->kit->part('main.front.frame.w')->part->placements[0]->origin->y, 1e-9);
        }
    }

    /** @param  array<string, mixed>  $style */
    #[DataProvider('remarks')]
    public function testWhatIsNotHeldIsSaid(array $style, string $code, string $words, bool $isOneLayer = false): void
    {
        $document = self::withWindow($style, 'bare');
        if ($isOneLayer) {
            $one = [(object) ['id' => 'face', 'stock' => 'greyboard-1', 'role' => 'core']];
            $document = BuildingGenerator::with($document, 'methods.wall', $one);
            $document = BuildingGenerator::with($document, 'blocks.0.walls.0.openings.0.from', '1.5mm');
        }
        $derived = Kits::of($document);
        $floats = array_map(static fn (Finding $f): string => $f->code, $derived->dryFit->findings);
        self::assertSame($isOneLayer ? ['filling.floats'] : [], $floats);
        $found = array_values(array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->code, 'rebate.')));
        self::assertSame([[$code, 'main.front.w']], array_map(static fn (Check $c): array => [$c->code, $c->at], $found));
        self::assertStringContainsString($words, $found[0]->text);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, 3?: bool}> */
    public static function remarks(): iterable
    {
        yield 'one layer, beside a corner' => [[], 'rebate.no-room', 'one layer', true];
        yield 'hardly wider than the play' => [['rebate' => '0.3mm'], 'rebate.slight', 'by 0.10 mm only'];
        yield 'set back further than the face is thick' => [['reveal' => '0.9mm'], 'rebate.depth', '0.50 mm back'];
    }

    /** A rebate of 0.15 where paper of 0.1 turns in leaves a frame that goes in with 0.1 to spare nothing to lean on. */
    public function testOneThatHoldsNothingIsFound(): void
    {
        $codes = static fn (Derivation $d): array => array_map(static fn (Finding $f): string => $f->code, $d->dryFit->findings);
        self::assertSame(['filling.floats'], $codes(Kits::of(self::withWindow(['rebate' => '0.15mm'], 'brick-stretcher'))));
        self::assertSame([], $codes(Kits::of(self::withWindow(['rebate' => '0.35mm'], 'brick-stretcher'))));
    }

    /** A building may want whatever stands in its openings held: kinds that say nothing have a rebate of 1 mm then. */
    public function testABuildingMayWantThemAllHeld(): void
    {
        $document = self::withWindow(['rebate' => null], 'bare');
        $held = BuildingGenerator::with($document, 'methods.trim', (object) ['held' => 'rebates']);
        $derived = Kits::of($held);
        self::assertSame([], $derived->dryFit->findings);
        self::assertEqualsWithDelta([12.0, 20.0, 14.0, 22.0], [...self::hole($derived, 'face'), ...self::hole($derived, 'core')], 1e-9);
        $glued = Kits::of($document);
        self::assertEqualsWithDelta([12.0, 20.0], self::hole($glued, 'core'), 1e-9);
        // What only glue holds is said, once for all.
        $isGlue = static fn (Check $c): bool => $c->code === 'held.glue';
        $said = static fn (Derivation $d): array => array_values(array_filter($d->checks, $isGlue));
        self::assertStringStartsWith('Glue at its edges alone holds the w.', $said($glued)[0]->text ?? '');
        self::assertSame([], $said($derived));
    }

    /** The document wants a window there: a kit without its frame is not believed, whatever it says of itself. */
    public function testAnOpeningThatNothingStandsInIsFound(): void
    {
        $derived = Kits::of(self::withWindow([], 'bare'));
        /** @var array{parts: list<array{id: string}>, joints: list<array{a: array{part: string}, b: array{part: string}}>} $kit */
        $kit = Kits::serialised($derived);
        $isGone = static fn (string $id): bool => in_array($id, ['main.front.frame.w', 'main.front.glazing.w'], true);
        $kit['parts'] = array_values(array_filter($kit['parts'], static fn (array $p): bool => ! $isGone($p['id'])));
        $kit['joints'] = array_values(array_filter(
            $kit['joints'],
            static fn (array $j): bool => ! $isGone($j['a']['part']) && ! $isGone($j['b']['part']),
        ));
        $report = DryFit::of(Assembly::of($kit), $derived->described);
        self::assertContains('filling.missing', array_map(static fn (Finding $f): string => $f->code, $report->findings));
    }

    /**
     * @param  array<string, mixed>  $style
     * @param  array{string, string}  $at  from the wall's left end, and above its foot
     */
    #[DataProvider('faults')]
    public function testWhatCannotBeMadeIsRefusedAtItsField(array $style, array $at, string $path, string $code): void
    {
        $document = self::withWindow($style, 'bare', $at[1]);
        $wall = 'blocks.0.walls.0.openings';
        $document = BuildingGenerator::with($document, "$wall.0.from", $at[0]);
        $document = BuildingGenerator::with($document, "$wall.1", (object) [
            'id' => 'v', 'style' => 'w', 'from' => '43.5mm', 'sill' => '10mm',
        ]);
        try {
            Kits::of($document);
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertSame([[$path, $code]], array_map(static fn (Problem $p): array => [$p->path, $p->code], $e->problems));
            self::assertStringNotContainsString('{', $e->problems[0]->line());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array{string, string}, string, string}> */
    public static function faults(): iterable
    {
        $wall = 'blocks.0.walls.0.openings';
        yield 'two meet behind the face: 1.5 apart, 1 each' => [[], ['30mm', '10mm'], "$wall.1.from", 'rebate.overlap'];
        yield 'over the top of the wall' => [[], ['20mm', '19.5mm'], "$wall.0.from", 'rebate.no-wall'];
        yield 'under its foot' => [[], ['20mm', '0.8mm'], "$wall.0.from", 'rebate.no-wall'];
        yield 'into the corner' => [[], ['2.6mm', '10mm'], "$wall.0.from", 'rebate.no-wall'];
        yield 'below nothing' => [['rebate' => '-1mm'], ['20mm', '10mm'], 'styles.w.rebate', 'length.negative'];
        yield 'in an archway' => [['kind' => 'open'], ['20mm', '10mm'], 'styles.w.rebate', 'rebate.nothing-to-hold'];
    }

    /** A kit that says that its frame may stand off the face is not believed: nothing lies between but paper. */
    public function testAFrameThatDoesNotLeanIsFound(): void
    {
        foreach (['bare' => 0.3, 'brick-stretcher' => 0.3] as $finish => $off) {
            $derived = Kits::of(self::withWindow([], $finish));
            /** @var array{parts: list<array{id: string, placements: list<array{origin: list<float>}>}>, joints: list<array{why?: string,
             *     gap_mm: float, contact: list<list<float>>}>} $kit */
            $kit = Kits::serialised($derived);
            foreach ($kit['parts'] as $i => $part) {
                if (in_array($part['id'], ['main.front.frame.w', 'main.front.glazing.w'], true)) {
                    $kit['parts'][$i]['placements'][0]['origin'][1] += $off;
                }
            }
            foreach ($kit['joints'] as $i => $joint) {
                if (($joint['why'] ?? '') === 'leans against its rebate') {
                    $kit['joints'][$i]['gap_mm'] += $off;
                    $kit['joints'][$i]['contact'] = array_map(static fn (array $p): array => [$p[0], $p[1] + $off, $p[2]], $joint['contact']);
                }
            }
            $report = DryFit::of(Assembly::of($kit), $derived->described);
            self::assertContains('joint.open', array_map(static fn ($f): string => $f->code, $report->findings), $finish);
        }
    }

    /** By the placed parts alone: a frame is wider than what is open before it, and narrower than what is open behind. */
    #[Group('property')]
    public function testGeneratedHousesHoldTheirFrames(): void
    {
        $held = 0;
        foreach (array_filter(range(0, Sample::isDeep() ? 1999 : 399), self::hasRoomForRebates(...)) as $seed) {
            $document = self::house($seed);
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            if (Kits::of((new HouseGenerator($seed))->document())->dryFit->goesTogether()) {
                self::assertSame([], $derived->dryFit->findings, "seed $seed");
            }
            $held += self::assertHeld($derived, $seed);
        }
        self::assertGreaterThan(0, $held);
    }

    /** Houses of several layers with everything in rebates: what closed closes, or is refused at an opening that has no wall for one. */
    #[Group('property')]
    public function testGeneratedHousesHoldEverything(): void
    {
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 150 : 24); $i++) {
            // Every eleventh has openings.
            $document = (new HouseGenerator(11 * $i))->document();
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            if ($derived->dryFit->findings !== [] || count($derived->building->methods->wall()->layers) < 2) {
                continue;
            }
            try {
                $held = Kits::of(BuildingGenerator::with($document, 'methods.trim', (object) ['held' => 'rebates']));
                self::assertSame([], $held->dryFit->findings, 'seed '. 11 * $i);
                $made++;
            } catch (InvalidInput $e) {
                self::assertContains($e->problems[0]->code, ['rebate.no-wall', 'rebate.overlap'], 'seed '. 11 * $i);
            }
        }
        self::assertGreaterThan(5, $made);
    }

    /** Of houses with windows in walls of several layers. */
    private static function hasRoomForRebates(int $seed): bool
    {
        $text = (string) json_encode((new HouseGenerator($seed))->document());

        return str_contains($text, '"style":"w"') && str_contains($text, '"id":"l1"');
    }

    private static function house(int $seed): stdClass
    {
        $random = new Randomizer(new Mt19937($seed));
        $document = (new HouseGenerator($seed))->document();
        $rebate = ['95mm', '2 1/4in', '65mm', '4 1/2in'][$random->getInt(0, 3)];
        $papered = json_decode(str_replace('"edge":', '"finish":"brick-flemish","edge":', (string) json_encode($document)));
        assert($papered instanceof stdClass);

        return BuildingGenerator::with($random->getInt(0, 1) === 1 ? $papered : $document, 'styles.w.rebate', $rebate);
    }

    /** How many frames stand in a rebate, each of which is held. */
    private static function assertHeld(Derivation $derived, int $seed): int
    {
        $held = 0;
        foreach ($derived->kit->walls->spans() as $span) {
            foreach ($span->isBuilt() ? $span->form->openings : [] as $opening) {
                $cut = $span->cut($opening->opening);
                if ($cut->rebate <= 0.0) {
                    continue;
                }
                $frame = $derived->kit->part($span->block->id.'.'.$span->name().'.frame.'.$opening->opening->id)->part;
                foreach (array_keys($span->stack->layers) as $k) {
                    foreach ($derived->kit->walls->pieces($span, $k) as $piece) {
                        $hole = $piece->part->holes[$piece->shape->holeOf[$opening->id] ?? -1] ?? null;
                        if ($hole === null) {
                            continue;
                        }
                        $isBefore = $span->stack->depthOf($k + 1) < $cut->depth + 1e-6;
                        $off = ($hole->bounds()->width() - $frame->width()) / 2.0;
                        $play = 0.1 + $span->form->turnIn - ($isBefore ? $cut->rebate : 0.0);
                        self::assertEqualsWithDelta($play, $off, 1e-6, "seed $seed, layer $k");
                        $held += $isBefore ? 1 : 0;
                    }
                }
            }
        }

        return $held;
    }

    /** @return array{float, float} width and height of the one hole in a layer of the front wall */
    private static function hole(Derivation $derived, string $layer): array
    {
        $box = $derived->kit->part("main.front.$layer")->part->holes[0]->bounds();

        return [$box->width(), $box->height()];
    }

    /** @param  array<string, mixed>  $style  what is said of it besides its size and its rebate */
    private static function withWindow(array $style, string $finish, string $sill = '10mm', string $from = '20mm'): stdClass
    {
        $document = Kits::box('100mm', '60mm', '40mm', 40.0);
        $style += [
            'kind' => 'window', 'w' => '12mm', 'h' => '20mm', 'reveal' => '0.5mm', 'rebate' => '1mm',
        ] + (($style['kind'] ?? 'window') === 'window' ? ['frame' => (object) ['stile' => '2mm']] : []);
        foreach ([
            'methods.wall' => [
                (object) ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                (object) ['id' => 'core', 'stock' => 'greyboard-2', 'role' => 'core'],
            ],
            'methods.skin' => (object) ['opening' => 'folded', 'flap' => '4mm'],
            'styles' => (object) ['w' => (object) array_filter($style, static fn (mixed $v): bool => $v !== null)],
            'blocks.0.walls' => [(object) ['edge' => 'front', 'finish' => $finish, 'openings' => [
                (object) ['id' => 'w', 'style' => 'w', 'from' => $from, 'sill' => $sill],
            ]]],
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }
}
