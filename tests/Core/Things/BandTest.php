<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\SetField;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\Sketch;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * Bands along a wall, and things over several openings as if they were one: figures worked by hand for the front of the weigh office, 72
 * long. Its windows are from 10 to 22 and from 34 to 46, their crowns at 31; its door is from 56 to 69, its head at 28.
 * docs/formulas.md#dressings
 */
final class BandTest extends TestCase
{
    /**
     * 6 in = 2 high from 8 ft = 32: an arch of one ring, half a brick = 1.5, over a segment of radius 14.1667 is 2 · 15.6667 · 6 / 14.1667
     * = 13.2706 wide and rises to 32.5. The door's arch ends below.
     */
    public function testABandStopsOnEitherSideOfWhatIsThere(): void
    {
        $office = ['styles.sash.dress' => '[{"kind": "arch"}]', 'styles.door.dress' => '[]'];
        $claims = self::claims('[{"kind": "band", "on": {"edge": "front", "up": "8ft"}}]', $office);
        $half = 13.2706 / 2.0;
        $expected = [[0.0, 16.0 - $half], [16.0 + $half, 40.0 - $half], [40.0 + $half, 72.0]];
        self::assertCount(3, $claims);
        foreach ($claims as $i => $claim) {
            $box = $claim->ring->bounds();
            self::assertEqualsWithDelta([...$expected[$i], 32.0, 34.0], [$box->x0, $box->x1, $box->y0, $box->y1], 0.0001);
        }
        // Stones of 3 ft = 12: 9.36 takes one, 10.73 one, 25.36 two.
        self::assertSame([1, 1, 2], array_map(static fn (Claim $c): int => count($c->units), $claims));
        $half = $claims[2]->units[0]->bounds()->width();
        // Half of 25.3647, less half of a joint of 3/8 in.
        self::assertEqualsWithDelta(25.3647 / 2.0 - 9.525 / 76.2 / 2.0, $half, 0.0001);
    }

    /** @param  list<int>  $units */
    #[DataProvider('provideUnits')]
    public function testItIsOfEqualUnits(string $of, array $units): void
    {
        $on = '{"edge": "front", "up": "2ft", "from": "0ft", "to": "14ft"}';
        $claims = self::claims("[{\"kind\": \"band\", \"of\": \"$of\", \"on\": $on}]");
        self::assertSame($units, array_map(static fn (Claim $c): int => count($c->units), $claims));
    }

    /** @return iterable<string, array{string, list<int>}> over 56: 56 / 12 stones, 56 / 3 bricks, 56 on edge, 28 and 29 tiles */
    public static function provideUnits(): iterable
    {
        yield 'stones' => ['stone', [5]];
        yield 'bricks' => ['brick', [19]];
        yield 'bricks on edge' => ['edge', [56]];
        yield 'tiles' => ['tile', [28 + 29]];
    }

    public function testItIsPrintedAndCoursesEndAtIt(): void
    {
        $derived = self::derived('[{"kind": "band", "on": {"edge": "front", "up": "2ft"}, "of": "edge"}]');
        $art = $derived->kit->part('main.front.paper')->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $boxes = array_map(static fn ($d): array => [$d->ring->bounds()->y0, $d->ring->bounds()->y1], $art->dressings);
        self::assertContains([8.0, 10.0], $boxes);
    }

    /**
     * Round a corner the one that ends there runs on to the front of the other: 2 in are one card of 0.64, before it 0.1 of paper, on it
     * 0.1; 4 in are two, 1.48. Less its own paper at both ends the front is 72 + 0.84 − 0.2, the right side 48 + 1.48 − 0.2.
     */
    public function testRaisedBandsCloseTheCornerThatTheyGoRound(): void
    {
        $band = static fn (string $edge, string $proud): string =>
            "{\"kind\": \"band\", \"id\": \"$edge\", \"as\": \"raised\", \"proud\": \"$proud\", \"h\": \"4in\", "
            ."\"on\": {\"edge\": \"$edge\", \"up\": \"8ft 9in\"}}";
        $office = ['styles.sash.dress' => '[]', 'styles.door.dress' => '[]'];
        $all = static fn (string $back): string =>
            '['.implode(', ', [$band('front', '2in'), $band('right', '2in'), $band('back', $back)]).']';
        $derived = self::derived($all('4in'), $office);
        self::assertSame([], $derived->dryFit->findings);
        $long = static fn (string $edge): float => round($derived->kit->part("main.$edge.band.$edge")->part->width(), 6);
        self::assertSame([72.64, 49.28, 71.8], [$long('front'), $long('right'), $long('back')], 'nothing goes on round the last');
        $said = BuildingReader::fromDocument(self::document($all('2in'), $office));
        $found = DryFit::check(Kits::serialised($derived), $said)->findings;
        self::assertContains('main.right.band.right', array_map(static fn (Finding $f): string => $f->at, $found));
    }

    /** The dispatch stands against the cooling house, 10 ft from its front, and its eaves come 9 in before that. */
    public function testWhereAnotherBlockStandsNothingIsRaised(): void
    {
        foreach (['9ft 3in' => 'dress.no-room house.right.band-2', '9ft' => null] as $to => $wanted) {
            $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('creamery')), 'blocks.1.features.1.on.to', $to);
            $derived = Kits::of($document);
            self::assertSame([], $derived->dryFit->findings, $to);
            $said = array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->at, 'house.right.band'));
            $said = array_map(static fn (Check $c): string => "$c->code $c->at", array_values($said));
            self::assertSame($wanted === null ? [] : [$wanted], $said);
        }
    }

    /** Low relief cuts the right side short, and the front’s band still runs on to the front of the one there. */
    public function testTheCornerIsClosedWhereTheNextWallIsCut(): void
    {
        $relief = json_decode('{"depth": "40mm", "school": "slice"}');
        $derived = Kits::of(BuildingGenerator::with(JsonText::decode(Kits::exampleText('creamery')), 'relief', $relief));
        self::assertSame([], $derived->dryFit->findings);
        self::assertSame(80.64, round($derived->kit->part('house.front.band.band-1')->part->width(), 6));
    }

    /** What is wrong with one leads to it, in a person's words, and it is drawn as it is described. */
    public function testAFaultLeadsToIt(): void
    {
        $document = self::document('[{"kind": "band", "id": "b1", "on": {"edge": "front", "up": "2ft"}},
            {"kind": "band", "id": "b2", "on": {"edge": "right", "from": "1ft", "to": "13ft", "up": "3ft"}}]');
        $reading = BuildingReader::reading($document);
        self::assertSame(['blocks.0.features.1.on.to'], array_map(static fn (Problem $p): string => $p->path, $reading->faults));
        $at = Whereabouts::of($document, 'blocks.0.features.1.on.to');
        self::assertSame(['Right, second band, to', 'shell', 'main.right', '#b2'], [$at->words, $at->stage, $at->wall, $at->opening]);
        self::assertNotNull($reading->building);
        $drawn = json_decode((string) json_encode(Sketch::of($reading->building, $reading->faults)));
        $said = static fn (string $path): mixed => $drawn instanceof stdClass ? SetField::get($drawn, $path) : null;
        self::assertEquals([[[4.0, 12.0], [52.0, 12.0], [52.0, 14.0], [4.0, 14.0]]], $said('walls.1.things.0.rings'));
        self::assertSame([true, false], [$said('walls.1.things.0.clashes'), $said('walls.0.things.0.clashes')]);
    }

    /** Openings leave it nothing, or its wall ends: that is said, and it is not made. */
    public function testWhatHasNoRoomIsSaid(): void
    {
        $derived = self::derived('[{"kind": "band", "id": "b1", "on": {"edge": "front", "up": "3ft", "from": "3ft", "to": "5ft"}},
            {"kind": "band", "id": "b2", "on": {"edge": "back", "up": "1ft", "to": "1in"}, "as": "raised"},
            {"kind": "band", "id": "b3", "on": {"edge": "front", "up": "9ft 3in"}, "as": "raised"}]');
        $said = array_map(static fn (Check $c): string => "$c->code $c->at", $derived->checks);
        self::assertContains('thing.no-room main.b1', $said);
        self::assertContains('dress.too-fine main.back.b2', $said, 'of 1/3 mm its paper leaves 0.13');
        self::assertContains('dress.past-wall main.front.b3', $said);
        self::assertContains('dress.no-room main.front.b3', $said);
    }

    /**
     * Two windows under one relieving arch: 36 wide from 10 to 46, it springs from 31 and rises 12 in = 4: its radius is (18² + 4²) / 8 =
     * 42.5, outside 44; so it is 88 · 18 / 42.5 = 37.2706 wide, and ends at 36.5. The arc of 42.5 · 2 · asin(18 / 42.5) = 37.1742 takes 37.
     */
    public function testOneArchGoesOverAPair(): void
    {
        $arch = '[{"kind": "arch", "id": "pair", "rise": "12in", "on": {"edge": "front", "openings": ["w1", "w1-2"]}}]';
        $claims = self::claims($arch);
        self::assertCount(1, $claims);
        $box = $claims[0]->ring->bounds();
        self::assertEqualsWithDelta([28.0 - 18.6353, 28.0 + 18.6353, 36.5], [$box->x0, $box->x1, $box->y1], 0.001);
        self::assertCount(37, $claims[0]->units);
        self::assertSame([], $claims[0]->turned, 'its soffit is the wall’s own');
        // It stands in place of the arches of both; the door keeps its own.
        $wall = self::front(self::derived($arch, [
            'styles.door.dress' => '[{"kind": "arch"}]', 'styles.sash.dress' => '[{"kind": "arch"}, {"kind": "sill"}]',
        ]));
        self::assertSame(['sill'], array_map(static fn (Claim $c): string => $c->id, $wall->claimsRound('w1')));
        self::assertSame(['arch'], array_map(static fn (Claim $c): string => $c->id, $wall->claimsRound('d1')));
    }

    public function testAnArchThatRisesMoreThanAHalfCircleIsRefused(): void
    {
        $this->expectExceptionMessageMatches('/blocks\.0\.features\.0\.kind/');
        self::derived('[{"kind": "arch", "rise": "9ft 3in", "on": {"edge": "front", "openings": ["w1", "w1-2"]}}]');
    }

    /** A sill of bricks on edge from 9 to 47, 38 of them: of each window’s foot of 12 it has 11 joints, a millimetre apart. */
    public function testAJointSillTurnsIntoBothWindows(): void
    {
        $sill = '[{"kind": "sill", "of": "brick", "on": {"edge": "front", "openings": ["w1", "w1-2"]}}]';
        $claim = self::claims($sill)[0];
        self::assertSame(['w1', 'w1-2'], array_keys($claim->turned));
        foreach ($claim->turned as $edges) {
            self::assertEqualsWithDelta(array_map(static fn (int $i): float => $i / 12.0, range(1, 11)), $edges['foot'] ?? [], 1e-6);
        }
    }

    /** What the document says otherwise than it is made, by a millimetre, is found. */
    #[DataProvider('provideMutants')]
    public function testWhatIsMadeOtherwiseThanItIsSaidIsFound(string $made, string $said): void
    {
        self::assertIsFound($made, $said);
        $printed = static fn (string $json): string => str_replace('"as": "raised"', '"as": "printed"', $json);
        self::assertIsFound($printed($made), $printed($said));
    }

    private static function assertIsFound(string $made, string $said): void
    {
        $office = ['styles.sash.dress' => '[]', 'styles.door.dress' => '[]'];
        $derived = self::derived($made, $office);
        self::assertSame([], $derived->dryFit->findings);
        $pieces = array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->of->feature === 't');
        self::assertSame(str_contains($made, '"raised"'), $pieces !== []);
        $findings = DryFit::check(Kits::serialised($derived), BuildingReader::fromDocument(self::document($said, $office)))->findings;
        self::assertContains('dress.place', array_map(static fn (Finding $f): string => $f->code, $findings));
    }

    /** @return iterable<string, array{string, string}> */
    public static function provideMutants(): iterable
    {
        $band = static fn (string $on, string $more = ''): string =>
            "[{\"kind\": \"band\", \"id\": \"t\", \"as\": \"raised\", \"on\": {\"edge\": \"front\", $on}$more}]";
        yield 'higher' => [$band('"up": "2ft"'), $band('"up": "2ft 3in"')];
        yield 'taller' => [$band('"up": "2ft"'), $band('"up": "2ft"', ', "h": "9in"')];
        yield 'begins later' => [$band('"up": "2ft", "from": "1ft"'), $band('"up": "2ft", "from": "1ft 3in"')];
        yield 'ends earlier' => [$band('"up": "2ft", "to": "13ft 3in"'), $band('"up": "2ft", "to": "13ft"')];
        $pair = static fn (string $more, string $of = '["w1", "w1-2"]'): string =>
            "[{\"id\": \"t\", \"as\": \"raised\", \"on\": {\"edge\": \"front\", \"openings\": $of}, $more}]";
        yield 'a lintel bears more' => [$pair('"kind": "lintel"'), $pair('"kind": "lintel", "bearing": "7 1/2in"')];
        yield 'an arch rises more' => [$pair('"kind": "arch", "rise": "12in"'), $pair('"kind": "arch", "rise": "15in"')];
        yield 'an arch of two rings' => [$pair('"kind": "arch", "rise": "12in"'), $pair('"kind": "arch", "rise": "12in", "rings": 2')];
        yield 'over others' => [$pair('"kind": "sill"'), $pair('"kind": "sill"', '["w1-2", "d1"]')];
    }

    /**
     * @param  array<string, string>  $more
     * @return list<Claim> of what says itself where it is
     */
    private static function claims(string $features, array $more = []): array
    {
        $claims = self::front(self::derived($features, $more))->claims;

        return array_values(array_filter($claims, static fn (Claim $c): bool => $c->opening === null));
    }

    private static function front(Derivation $derived): WallForm
    {
        return $derived->kit->form->walls()[0];
    }

    /** @param  array<string, string>  $more  by path */
    private static function derived(string $features, array $more = []): Derivation
    {
        return Kits::of(self::document($features, $more));
    }

    /** @param  array<string, string>  $more  by path */
    private static function document(string $features, array $more = []): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach (['blocks.0.features' => $features] + $more as $path => $json) {
            $document = BuildingGenerator::with($document, $path, json_decode($json));
        }

        return $document;
    }
}
