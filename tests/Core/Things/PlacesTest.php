<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Feature\Anchor;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\FeatureReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Schema\DocumentFields;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Plot\FinishedPiece;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Output\FieldFinder;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\Things\Peg;

/**
 * A thing on whatever a thing may stand on: where it comes to be, worked out by hand for the weigh office, and what becomes of it where the
 * building is compressed, cut to low relief, or built to look deeper. docs/formulas.md#places
 */
final class PlacesTest extends TestCase
{
    private const TAN_40 = 0.8390996312;

    private const SIN_40 = 0.6427876097;

    private const COS_40 = 0.7660444431;

    /** A foot is 4 mm; 72 by 48, eaves at 38, pitch 40°, overhang 2 at the verges and 3 at the eaves. The pegs of card lie 6 mm out. */
    #[DataProvider('providePlaces')]
    public function testItComesToBeWhereItIsDescribed(string $anchor, string $on, Vec3 $expected): void
    {
        $derived = self::derived([$anchor => $on]);
        self::assertSame([], $derived->dryFit->findings);
        $at = self::corner($derived, 'p1');
        self::assertLessThan(1e-6, $at->distanceTo($expected), (string) json_encode($at));
    }

    /** @return iterable<string, array{string, string, Vec3}> */
    public static function providePlaces(): iterable
    {
        [$out, $up] = [6.0 * self::SIN_40, 6.0 * self::COS_40];
        $over = static fn (float $in): float => 38.0 + $in * self::TAN_40;
        // Its card is less by its paper, 0.1, on each side; on the paper of the wall, 0.1, and its own thickness, 0.64.
        yield 'along a wall' => ['wall', '{"edge": "right", "from": "2ft", "up": "7ft"}', new Vec3(72.74, 8.1, 28.1)];
        // Their windows begin at 10; their heads at 11 + 20, under an arch half a brick high.
        yield 'over a pair' => ['openings', '{"edge": "front", "openings": ["w1", "w1-2"]}', new Vec3(10.1, -0.74, 32.6)];
        yield 'at a corner' => ['corner', '{"corner": 1, "up": "1ft", "up_to": "5ft"}', new Vec3(70.1, -0.74, 4.1)];
        $on = static fn (string $edge): string => "{\"edge\": \"$edge\", \"from\": \"5ft\", \"in\": \"2ft\"}";
        yield 'on a slope' => ['slope', $on('front'), new Vec3(20.0, 8.0 - $out, $over(8.0) + $up)];
        yield 'on the slope at the back' => ['slope', $on('back'), new Vec3(52.0, 40.0 + $out, $over(8.0) + $up)];
        $line = static fn (string $line, string $more): string => "{\"edge\": \"front\", \"line\": \"$line\", $more}";
        yield 'along the ridge' => ['roof-line', $line('ridge', '"from": "3ft"'), new Vec3(12.0, 24.0, $over(24.0) + 6.0)];
        yield 'along the eaves' => ['roof-line', $line('eaves', '"from": "1ft"'), new Vec3(4.0, -3.0 - $out, $over(-3.0) + $up)];
        yield 'along the second verge from the left' => [
            'roof-line', $line('verge', '"nth": 2'), new Vec3(74.0, -3.0 - $out, $over(-3.0) + $up),
        ];
        yield 'on a floor' => ['floor', '{"at": ["5ft", "6ft"]}', new Vec3(20.0, 24.0, 6.0)];
        yield 'on the ground' => ['ground', '{"spot": ["150mm", "20mm"], "turn": 30}', new Vec3(100.0, -30.0, 6.0)];
        yield 'along a track' => ['track', '{"track": "t1", "along": "30mm", "off": "-8mm"}', new Vec3(-10.0, -48.0, 6.0)];
        yield 'on the plot' => ['plot', '{}', new Vec3(-50.0, -50.0, 6.0)];
    }

    /** 0.7 before the wall, at the left foot of what it stands on, and 6 before that; read before or after it. */
    public function testOneStandsOnAnother(): void
    {
        foreach ([['feature', 'wall'], ['wall', 'feature']] as [$first, $second]) {
            $on = ['feature' => '{"feature": "p-wall"}', 'wall' => '{"edge": "right", "from": "2ft", "up": "7ft"}'];
            $derived = self::derived([$first => $on[$first], $second => $on[$second]]);
            $at = self::corner($derived, $first === 'feature' ? 'p1' : 'p2');
            self::assertEqualsWithDelta([72.0 + 0.7 + 6.0, 8.0, 28.0], [$at->x, $at->y, $at->z], 1e-6);
        }
    }

    #[DataProvider('provideAnchors')]
    public function testItIsDescribedDrawnFoundAndLaidOnSheets(string $anchor): void
    {
        $on = array_column(array_map(static fn (array $one): array => [$one[0], $one[1]], [...self::providePlaces()]), 1, 0)[$anchor];
        $list = in_array(Anchor::from($anchor), Anchor::OF_THE_PLOT, true)
            ? FeatureReader::ofThePlot(self::kinds())
            : FeatureReader::ofBlocks(self::kinds());
        self::assertStringContainsString("\"enum\":[\"peg-$anchor\"]", (string) json_encode($list->schema()));
        self::assertStringContainsString("\"kind\":\"peg-$anchor\"", (string) json_encode($list->form()));
        $list = in_array(Anchor::from($anchor), Anchor::OF_THE_PLOT, true) ? 'features' : 'blocks.0.features';
        self::assertSame('w', DocumentFields::at(self::document([$anchor => $on]), "$list.0.w", self::kinds())?->field->key);
        $words = Anchor::from($anchor)->words();
        $texts = array_column(array_column(FieldFinder::found("brass $words", self::kinds()), 1), 'text');
        self::assertNotSame([], array_filter($texts, static fn (string $text): bool => str_starts_with($text, "Peg $words")));
        $derived = self::derived([$anchor => $on]);
        $label = self::part($derived, 'p1')->label;
        $laid = array_merge(...array_map(static fn (Sheet $s): array => $s->parts, $derived->printed->plan->sheets));
        self::assertContains($label, array_map(static fn (PlacedPart $p): string => $p->part->label, $laid));
        $finished = array_map(static fn (FinishedPiece $piece): string => $piece->id, $derived->fit->finished->pieces ?? []);
        self::assertContains(self::part($derived, 'p1')->part->id, $finished, 'the plot does not count it');
    }

    /** @return iterable<string, array{string}> */
    public static function provideAnchors(): iterable
    {
        foreach (Anchor::cases() as $anchor) {
            if (! in_array($anchor, [Anchor::Opening, Anchor::Feature], true)) {
                yield $anchor->value => [$anchor->value];
            }
        }
    }

    #[DataProvider('provideFaults')]
    public function testWhatCannotBeIsAFaultAtItsPlace(string $anchor, string $on, string $at, string $code): void
    {
        $faults = BuildingReader::reading(self::document([$anchor => $on]), self::kinds())->faults;
        $list = in_array(Anchor::from($anchor), Anchor::OF_THE_PLOT, true) ? 'features' : 'blocks.0.features';
        self::assertSame([["$list.0.on$at", $code]], array_map(static fn (Problem $p): array => [$p->path, $p->code], $faults));
    }

    /** @return iterable<array{string, string, string, string}> */
    public static function provideFaults(): iterable
    {
        yield ['wall', '{"edge": "north"}', '.edge', 'unknown-edge'];
        yield ['wall', '{}', '.edge', 'missing'];
        yield ['wall', '{"edge": "front", "from": "4ft", "to": "3ft 11in"}', '.to', 'thing.ends-before'];
        yield ['wall', '{"edge": "right", "to": "12ft 1/4in"}', '.to', 'thing.past-wall'];
        yield ['wall', '{"edge": "front", "corner": 1}', '.corner', 'unknown-key'];
        yield ['openings', '{"edge": "front", "openings": ["w1", "w9"]}', '.openings.1', 'thing.no-opening'];
        yield ['openings', '{"edge": "front", "openings": ["w1"]}', '.openings', 'too-few'];
        yield ['corner', '{"corner": 4}', '.corner', 'number-out-of-range'];
        yield ['corner', '{"corner": 0, "up": "5ft", "up_to": "4ft"}', '.up_to', 'thing.ends-before'];
        yield ['roof-line', '{"edge": "front", "line": "kerb"}', '.line', 'wrong-choice'];
        yield ['feature', '{"feature": "nobody"}', '.feature', 'thing.no-thing'];
        yield ['feature', '{"feature": "p1"}', '.feature', 'thing.circle'];
        yield ['floor', '{"at": ["1ft", "1ft"], "storey": "attic"}', '.storey', 'unknown-storey'];
        yield ['track', '{"track": "t9"}', '.track', 'thing.no-track'];
        yield ['ground', '{"spot": ["150mm"]}', '.spot', 'too-few'];
    }

    public function testWhatIsOnThePlotNeedsOne(): void
    {
        $document = BuildingGenerator::with(self::document(['ground' => '{"spot": ["1mm", "1mm"]}']), 'plot', null);
        $faults = BuildingReader::reading($document, self::kinds())->faults;
        self::assertContains('thing.no-plot', array_map(static fn (Problem $p): string => $p->code, $faults));
    }

    /** Two courses lower, taken out of the 7 over the windows: what is 1 up those comes down by 2/7, and what is on the roof by 2. */
    public function testCompressionTakesThingsAlong(): void
    {
        $slope = '{"edge": "front", "from": "5ft", "in": "2ft"}';
        $things = ['wall' => '{"edge": "front", "from": "13ft", "to": "17ft", "up": "8ft"}', 'slope' => $slope];
        $before = self::derived($things);
        $lower = self::derived($things, ['compression' => '{"steps": [{"op": "courses", "block": "main", "count": 2}]}']);
        self::assertEqualsWithDelta(2.0 / 7.0, self::corner($before, 'p1')->z - self::corner($lower, 'p1')->z, 1e-4);
        self::assertEqualsWithDelta(2.0, self::corner($before, 'p2')->z - self::corner($lower, 'p2')->z, 1e-6);
        // Piers a foot shorter: what is at the door stays at the door, what goes over two windows over both.
        $door = '{"edge": "front", "from": "14ft", "up": "8ft"}';
        $things = ['openings' => '{"edge": "front", "openings": ["w1-2", "d1"]}', 'wall' => $door];
        $steps = '{"steps": [{"op": "piers", "block": "main", "edge": "front", "by": "1ft"}]}';
        $shorter = self::derived($things, ['compression' => $steps]);
        $front = $shorter->kit->form->walls()[0];
        $doors = array_values(array_filter($front->openings, static fn (OpeningForm $o): bool => $o->id === 'd1'));
        $claims = array_values(array_filter($front->claims, static fn (Claim $c): bool => $c->opening === null));
        self::assertEqualsWithDelta($doors[0]->left, $claims[1]->ring->bounds()->x0, 1e-6);
        self::assertSame([], self::codes($shorter, 'thing.'));
    }

    /** Half as deep: what is 2 ft in is 1 ft in; behind the cut nothing is left, and that is said. */
    public function testLowReliefTakesThingsAlongOrSaysThatTheyAreGone(): void
    {
        $things = [
            'slope' => '{"edge": "front", "from": "5ft", "in": "2ft"}', 'wall' => '{"edge": "right", "from": "2ft", "to": "8ft", "up": "7ft"}',
            'corner' => '{"corner": 3}', 'floor' => '{"at": ["2ft", "10ft"]}',
        ];
        $squeezed = self::derived($things, ['relief' => '{"depth": "24mm", "school": "squeeze"}']);
        $tan = 2.0 * self::TAN_40;
        $out = 6.0 / hypot(1.0, $tan);
        $at = self::corner($squeezed, 'p1');
        self::assertEqualsWithDelta([20.0, 4.0 - $out * $tan, 38.0 + 4.0 * $tan + $out], [$at->x, $at->y, $at->z], 1e-6);
        self::assertEqualsWithDelta(4.1, self::corner($squeezed, 'p2')->y, 1e-6);
        self::assertEqualsWithDelta(20.0, self::corner($squeezed, 'p4')->y, 1e-6);
        self::assertSame([], self::codes($squeezed, 'thing.'));
        $sliced = self::derived($things, ['relief' => '{"depth": "24mm", "school": "slice"}']);
        self::assertEqualsWithDelta(8.1, self::corner($sliced, 'p2')->y, 1e-6);
        self::assertSame(['thing.cut-away main.p3', 'thing.cut-away main.p4'], self::codes($sliced, 'thing.'));
    }

    /** Whatever low relief does to a building, each of its things is there or is said to be gone. */
    #[DataProvider('provideReliefs')]
    public function testNothingIsLostInSilence(string $school, string $depth, string $back): void
    {
        $things = [
            'slope' => '{"edge": "back", "from": "5ft", "in": "2ft"}', 'wall' => '{"edge": "left", "from": "1ft", "to": "9ft", "up": "7ft"}',
            'corner' => '{"corner": 2}', 'floor' => '{"at": ["2ft", "7ft"]}', 'roof-line' => '{"edge": "back", "line": "eaves"}',
            'openings' => '{"edge": "front", "openings": ["w1", "w1-2"]}',
        ];
        $relief = "{\"depth\": \"$depth\", \"school\": \"$school\", \"back\": \"$back\"}";
        $derived = self::derived($things, ['relief' => $relief]);
        self::assertSame([], $derived->dryFit->findings);
        $said = implode(' ', self::codes($derived, 'thing.'));
        foreach (range(1, 6) as $i) {
            $isThere = array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->of->feature === "p$i") !== [];
            self::assertNotSame($isThere, str_contains($said, "main.p$i"), "p$i: $said");
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function provideReliefs(): iterable
    {
        foreach (['slice', 'squeeze', 'keep-pitch', 'front-slope', 'keep-ridge'] as $school) {
            foreach (['26.5mm', '41.3mm'] as $depth) {
                yield "$school to $depth" => [$school, $depth, $school === 'slice' ? 'stiffener' : 'plain'];
            }
        }
    }

    /** On a wall that recedes nothing is raised; on the roof it goes with its place in plan. */
    public function testPerspectiveTakesThingsAlong(): void
    {
        $things = ['wall' => '{"edge": "right", "from": "2ft", "up": "7ft"}', 'slope' => '{"edge": "front", "from": "9ft", "in": "3ft"}'];
        $deep = self::derived($things, [
            'plot.eye' => '{"distance": "600mm", "height": "150mm"}', 'perspective' => '{"depth": "24mm"}',
        ]);
        self::assertSame([], array_filter($deep->kit->parts, static fn (LabelledPart $p): bool => $p->part->of->feature === 'p1'));
        self::assertSame(['dress.receding main.right.p1'], self::codes($deep, 'dress.receding'));
        // Straight before the eye it comes nearer and does not move aside.
        $at = self::corner($deep, 'p2');
        self::assertLessThan(12.0, $at->y + 6.0);
        self::assertGreaterThan(0.0, $at->y);
    }

    public function testWhatIsNowhereIsSaid(): void
    {
        $derived = self::derived([
            'slope' => '{"edge": "front", "from": "5ft", "in": "20ft"}', 'roof-line' => '{"edge": "front", "line": "valley"}',
            'floor' => '{"at": ["30ft", "2ft"]}',
        ]);
        self::assertSame(['thing.nowhere main.p1', 'thing.nowhere main.p2', 'thing.nowhere main.p3'], self::codes($derived, 'thing.'));
    }

    private static function part(Derivation $derived, string $id): LabelledPart
    {
        foreach ($derived->kit->parts as $part) {
            if ($part->part->of->feature === $id) {
                return $part;
            }
        }
        self::fail("nothing is made of $id");
    }

    /** Where the lower left of its card comes to be. */
    private static function corner(Derivation $derived, string $id): Vec3
    {
        $part = self::part($derived, $id)->part;

        return $part->placements[0]->at($part->outline->ring->point(0));
    }

    /** @return list<string> */
    private static function codes(Derivation $derived, string $prefix): array
    {
        $found = array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->code, $prefix));
        $codes = array_map(static fn (Check $c): string => "$c->code $c->at", array_values($found));
        sort($codes);

        return $codes;
    }

    /**
     * @param  array<string, string>  $things  where each is, by its anchor; they are called p1, p2 …
     * @param  array<string, string>  $more  by path
     */
    private static function derived(array $things, array $more = []): Derivation
    {
        $document = self::document($things, $more);

        return Derivation::of(BuildingReader::fromDocument($document, self::kinds()), JsonText::encode($document));
    }

    private static function kinds(): Kinds
    {
        return Kinds::known()->with(...array_map(static fn (Anchor $a): Peg => new Peg($a), Anchor::cases()));
    }

    /**
     * @param  array<string, string>  $things
     * @param  array<string, string>  $more
     */
    private static function document(array $things, array $more = []): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $document = BuildingGenerator::with($document, 'plot', json_decode('{"size": ["200mm", "200mm"], "at": ["-50mm", "-50mm"],
            "tracks": [{"id": "t1", "from": ["10mm", "10mm"], "heading": 0, "course": [{"straight": "100mm"}]}]}'));
        $lists = [];
        foreach (array_keys($things) as $i => $anchor) {
            $list = in_array(Anchor::from($anchor), Anchor::OF_THE_PLOT, true) ? 'features' : 'blocks.0.features';
            $id = array_key_exists('feature', $things) && $anchor === 'wall' ? 'p-wall' : 'p'.($i + 1);
            $lists[$list][] = json_decode("{\"kind\": \"peg-$anchor\", \"id\": \"$id\", \"on\": {$things[$anchor]}}");
        }
        foreach ([...$lists, ...array_map(json_decode(...), $more)] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }
}
