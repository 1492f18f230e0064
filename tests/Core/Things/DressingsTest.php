<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\Difference\Change;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Whereabouts;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Claims\Claim;
use Chartula\Core\Form\Claims\Tone;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Skin\BrickLayout;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * Sills, lintels and arches, by figures worked by hand at 1:76.2, where a foot is 4 mm, a course 1 mm and a brick 3 mm long. The office has
 * two windows of 12 × 20 with a rise of 4 in, 1.333, the first 10 from the left end with its foot at 11, and a door of 13 × 28, flat.
 */
final class DressingsTest extends TestCase
{
    /** Width 12, beyond 3 in = 1 a side: from 9 to 23; 3 in high: from 10 to 11. */
    public function testASillLiesUnderItsOpeningBeyondBothJambs(): void
    {
        $claim = self::claim('[{"kind": "sill"}]', '[]');
        self::assertRing([[9.0, 10.0], [23.0, 10.0], [23.0, 11.0], [9.0, 11.0]], $claim->ring);
        self::assertSame([[], ['foot' => []]], [$claim->units, $claim->finishes]);
    }

    /** 14 of bricks 1 wide: 14 of them on the face, 12 over the foot of 12; between two lies a joint of 0.125. */
    public function testASillOfBricksOnEdgeHasAsManyAsGo(): void
    {
        $claim = self::claim('[{"kind": "sill", "of": "brick", "h": "4 1/2in"}]', '[]');
        self::assertCount(14, $claim->units);
        // Joints of the face go on over the foot: at 10 lies its end, at 11 the first.
        self::assertEqualsWithDelta(array_map(static fn (int $k): float => $k / 12.0, range(1, 11)), $claim->finishes['foot'] ?? [], 1e-9);
        self::assertRing([[9.0, 9.5], [9.9375, 9.5], [9.9375, 11.0], [9.0, 11.0]], $claim->units[0]);
        self::assertRing([[10.0625, 9.5], [10.9375, 9.5], [10.9375, 11.0], [10.0625, 11.0]], $claim->units[1]);
    }

    /** 3 in high = 1, of which 1 in = 1/3 slopes: its front is from 10 to 10.667, over it one strip in the light, or one for each brick. */
    public function testTheSlopeOfASillIsAStripInTheLight(): void
    {
        $stone = self::claim('[{"kind": "sill", "weathered": "1in"}]', '[]');
        self::assertCount(2, $stone->units);
        self::assertRing([[9.0, 10.0], [23.0, 10.0], [23.0, 10.666667], [9.0, 10.666667]], $stone->units[0]);
        self::assertRing([[9.0, 10.666667], [23.0, 10.666667], [23.0, 11.0], [9.0, 11.0]], $stone->units[1]);
        self::assertSame([1 => '#cac3b4'], $stone->accents);
        $brick = self::claim('[{"kind": "sill", "of": "brick", "weathered": "1in"}]', '[]');
        self::assertSame([28, range(14, 27)], [count($brick->units), array_keys($brick->accents)]);
        $this->expectExceptionMessageMatches('/no front left/');
        self::claim('[{"kind": "sill", "weathered": "3in"}]', '[]');
    }

    /** At 1:114 a joint of 3/8 in is 0.0836, finer than two dots: tones tell units, or it is printed as fine as it can be. */
    public function testJointsThatVanishAreLeftToTonesOrWidened(): void
    {
        $sill = '[{"kind": "sill", "of": "brick"}]';
        $codes = static fn (Derivation $d): array => array_values(array_unique(array_filter(
            array_map(static fn (Check $check): string => $check->code, $d->checks),
            static fn (string $code): bool => in_array($code, ['dress.tones', 'dress.widened'], true),
        )));
        $small = ['scale' => '1:114'];
        $wide = ['methods.skin' => (object) ['joints' => 'widened']];
        self::assertSame([], $codes(self::derived($sill, '[]', $wide)), 'at a scale at which they can be printed they are as they are');
        self::assertSame(['dress.tones'], $codes(self::derived($sill, '[]', $small)));
        self::assertSame(['dress.widened'], $codes(self::derived($sill, '[]', $small + $wide)));
        $gap = static fn (Claim $claim): float => $claim->units[1]->bounds()->x0 - $claim->units[0]->bounds()->x1;
        self::assertEqualsWithDelta(0.0, $gap(self::claim($sill, '[]', 'w1', $small)), 1e-9);
        self::assertEqualsWithDelta(0.085, $gap(self::claim($sill, '[]', 'w1', $small + $wide)), 1e-9);
        $art = self::derived($sill, '[]', $small + $wide)->kit->part('main.front.paper')->part->art;
        self::assertSame(0.085, $art instanceof FaceArt ? $art->pattern->joint() : null);
    }

    /** Ticks go from 0.35 inside each corner, on the wall's paper and hidden by what goes there; where that is printed there are none. */
    public function testWhatIsOnlyRaisedHasItsPlaceMarked(): void
    {
        $seats = static fn (string $as): array => array_values(array_filter(
            self::derived("[{\"kind\": \"sill\", \"h\": \"9in\", \"as\": \"$as\"}]", '[]')->kit->part('main.front.paper')->part->marks,
            static fn (Mark $mark): bool => $mark->kind === MarkKind::Seat,
        ));
        self::assertSame([[], []], [$seats('printed'), $seats('both')]);
        $marks = $seats('raised');
        self::assertCount(8, $marks, 'at the four corners of both');
        // 9 in = 3 high: from 8 to 11, from 9 to 23. Bisectors at 45°.
        $from = $marks[0]->path[0];
        self::assertEqualsWithDelta([9.0 + 0.35 * M_SQRT1_2, 8.0 + 0.35 * M_SQRT1_2], [$from->x, $from->y], 1e-6);
        foreach ($marks as $mark) {
            self::assertGreaterThan(8.0, min(array_map(static fn (Vec2 $p): float => $p->y, $mark->path)));
            self::assertLessThan(11.0, max(array_map(static fn (Vec2 $p): float => $p->y, $mark->path)));
        }
    }

    /** The door from 56 to 69, its head at 28: bears 4½ in = 1.5 a side, 9 in = 3 high. */
    public function testALintelBearsOnTheWallAtBothEnds(): void
    {
        $claim = self::claim('[]', '[{"kind": "lintel", "of": "timber"}]', 'd1');
        self::assertRing([[54.5, 28.0], [70.5, 28.0], [70.5, 31.0], [54.5, 31.0]], $claim->ring);
        self::assertSame(['head' => []], $claim->finishes);
    }

    /** Steel of ½ in shows under bricks on end: 0.1667 of 3; 16 of them over 16. */
    public function testOverSteelStandBricksOnEnd(): void
    {
        $claim = self::claim('[]', '[{"kind": "lintel", "of": "steel"}]', 'd1');
        self::assertCount(1 + 16, $claim->units);
        self::assertEqualsWithDelta(28.0 + 1.0 / 6.0, $claim->units[1]->bounds()->y0, 1e-9);
        self::assertSame([Tone::STEEL, Tone::STEEL], [$claim->accents[0], $claim->edge?->unit], 'its soffit is steel too');
    }

    /**
     * A flat arch of 36 in, 12 in deep, skewbacks of 60°: its top is 36 + 2 · 12 / tan 60° = 49.856 in; the odd number nearest to 16.6
     * is 17; they are 36 / 17 = 2.118 in below and 2.933 in above, 0.706 and 0.978 mm, and all aim at 31.177 in below, 10.392 mm.
     */
    public function testTheWedgesOfAGaugedFlatArchAimAtOnePlace(): void
    {
        $office = ['styles.door.w' => '3ft'];
        $claim = self::claim('[]', '[{"kind": "arch", "of": "gauged"}]', 'd1', $office);
        self::assertCount(17, $claim->units);
        $width = static fn (Ring $unit, int $a): float => $unit->point($a + 1)->distanceTo($unit->point($a));
        self::assertEqualsWithDelta(0.7059, $width($claim->units[5], 0), 0.0001);
        self::assertEqualsWithDelta(49.8564 / 17.0 / 3.0, $width($claim->units[5], 2), 0.0001);
        self::assertEqualsWithDelta(49.8564 / 3.0, $claim->ring->bounds()->width(), 0.0001);
        $side = $claim->units[0];
        $way = $side->point(3)->minus($side->point(0));
        $middle = ($claim->ring->bounds()->x0 + $claim->ring->bounds()->x1) / 2.0;
        $meets = $side->point(0)->y + $way->y / $way->x * ($middle - $side->point(0)->x);
        self::assertEqualsWithDelta(28.0 - 31.1769 / 3.0, $meets, 0.0001);
    }

    /**
     * Span 12, rise 4/3: r = (36 + 16/9) / (8/3) = 14.1667, half the angle asin(6 / 14.1667) = 25.058°; the arc 12.3916 takes 12 bricks
     * of 1, the second ring from 15.6667 on 13.7036 takes 14. Two rings are 3 deep: at the crown they end at 31 + 3.
     */
    public function testRowlockRingsAreCountedEachOnItsOwnInside(): void
    {
        $claim = self::claim('[{"kind": "arch", "rings": 2}]', '[]');
        self::assertCount(12 + 14, $claim->units);
        self::assertCount(11, $claim->finishes['head'] ?? []);
        self::assertEqualsWithDelta(34.0, $claim->ring->bounds()->y1, 0.01);
        // The skewbacks stand on the springing, square to the curve: 12 + 2 · 3 · sin 25.058° wide over all.
        self::assertEqualsWithDelta(12.0 + 2.0 * 3.0 * 6.0 / (85.0 / 6.0), $claim->ring->bounds()->width(), 0.001);
    }

    public function testAKeystoneStandsInTheMiddleOfAnOddNumber(): void
    {
        $claim = self::claim('[{"kind": "arch", "of": "gauged", "keystone": true}]', '[]');
        self::assertSame(1, count($claim->units) % 2);
        self::assertSame([intdiv(count($claim->units), 2)], array_keys($claim->accents));
        $middle = $claim->units[intdiv(count($claim->units), 2)]->bounds()->centre();
        self::assertEqualsWithDelta(16.0, $middle->x, 1e-6, 'over the middle of its opening');
    }

    /** Over an arch of one ring, 1.5 deep, from a radius of 14.1667: from 15.6667 to 16.6667, and at the crown from 32.5 to 33.5. */
    public function testAHoodMouldGoesOverWhateverArchIsThere(): void
    {
        $claim = self::claims('[{"kind": "arch"}, {"kind": "hood-mould"}]', '[]')[1];
        self::assertEqualsWithDelta(33.5, $claim->ring->bounds()->y1, 0.01);
        self::assertEqualsWithDelta(85.0 / 6.0 + 2.5, $claim->ring->point(0)->distanceTo(new Vec2(16.0, 31.0 - 85.0 / 6.0)), 0.01);
        $flat = self::claims('[]', '[{"kind": "lintel"}, {"kind": "hood-mould"}]', 'd1')[1];
        self::assertRing([[53.5, 31.0], [71.5, 31.0], [71.5, 32.0], [53.5, 32.0]], $flat->ring);
    }

    /** 6 in = 2 wide at its foot, 12 in = 4 high, its sides at 80°: 2 + 2 · 4 / tan 80° = 3.4106 at its top. */
    public function testAKeystoneOfItsOwnLiesOnItsArch(): void
    {
        $derived = self::derived('[]', '[{"kind": "arch", "of": "soldier"}, {"kind": "keystone"}]');
        $codes = array_map(static fn (Check $check): string => $check->code, $derived->checks);
        self::assertNotContains('dress.clash', $codes);
        $claim = self::claims('[]', '[{"kind": "keystone"}]', 'd1')[0];
        $half = 1.0 + 4.0 / tan(deg2rad(80.0));
        self::assertRing([
            [61.5, 28.0], [63.5, 28.0], [round(62.5 + $half, 6), 32.0], [round(62.5 - $half, 6), 32.0],
        ], $claim->ring);
    }

    /** The jambs are 20 − 4/3 = 18.6667 high: 5 stones of 3.7333, 4 wide and 2 by turns. */
    public function testQuoinsGoUpBothJambsLongAndShortByTurns(): void
    {
        $claims = self::claims('[{"kind": "quoins"}]', '[]');
        self::assertSame(['quoins-left', 'quoins-right'], array_map(static fn (Claim $c): string => $c->id, $claims));
        self::assertCount(5, $claims[0]->units);
        self::assertSame([6.0, 8.0, 6.0, 8.0, 6.0], array_map(static fn (Ring $u): float => round($u->bounds()->x0, 6), $claims[0]->units));
        self::assertEqualsWithDelta(3.0 * 4.0 * 56.0 / 15.0 + 2.0 * 2.0 * 56.0 / 15.0, $claims[1]->ring->area(), 1e-9);
        self::assertEqualsWithDelta([0.2, 0.4, 0.6, 0.8], $claims[1]->finishes['right'] ?? [], 1e-9);
    }

    /** 2 wide up two jambs of 28 and over a head of 13 and twice 2: 2 · 2 · 28 + 2 · 17. */
    public function testASurroundGoesUpBothJambsAndOverTheHead(): void
    {
        $claim = self::claims('[]', '[{"kind": "surround"}]', 'd1')[0];
        self::assertEqualsWithDelta(146.0, $claim->ring->signedArea(), 1e-9);
        self::assertSame(['head', 'left', 'right'], array_keys($claim->finishes));
    }

    /** Units and joints cover what is claimed, and nothing else; no two of them overlap. */
    #[DataProvider('provideDressings')]
    public function testUnitsAddUpToWhatIsClaimed(string $window, string $door, string $opening): void
    {
        $claim = self::claim($window, $door, $opening);
        $units = array_sum(array_map(static fn (Ring $unit): float => $unit->area(), $claim->units));
        $area = $claim->ring->area();
        self::assertGreaterThan(0.8 * $area, $units);
        self::assertLessThanOrEqual($area + 0.01, $units);
        foreach ($claim->units as $unit) {
            self::assertGreaterThan(0.0, $unit->signedArea());
            self::assertTrue($claim->ring->contains($unit->middle()));
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function provideDressings(): iterable
    {
        yield 'bricks on edge' => ['[{"kind": "sill", "of": "brick"}]', '[]', 'w1'];
        yield 'tiles' => ['[{"kind": "sill", "of": "tile"}]', '[]', 'w1'];
        yield 'three rings' => ['[{"kind": "arch", "rings": 3}]', '[]', 'w1'];
        yield 'soldiers round a curve' => ['[{"kind": "arch", "of": "soldier"}]', '[]', 'w1'];
        yield 'gauged round a curve' => ['[{"kind": "arch", "of": "gauged"}]', '[]', 'w1'];
        yield 'soldiers' => ['[]', '[{"kind": "arch", "of": "soldier", "bearing": "4 1/2in"}]', 'd1'];
        yield 'rings over a flat head' => ['[]', '[{"kind": "arch", "rings": 2}]', 'd1'];
        yield 'gauged' => ['[]', '[{"kind": "arch", "of": "gauged", "skew": 72.5}]', 'd1'];
    }

    /**
     * Raised by 2 in = 0.667: one layer of card of 0.62 with its template, less 0.1 of paper round it: 13.8 × 0.8; the paper 14 × 1 and
     * what turns round, 0.62 + 0.1, on all sides: 15.44 × 2.44.
     */
    public function testWhatIsRaisedIsCardInPaperOfItsOwn(): void
    {
        $derived = self::derived('[{"kind": "sill", "as": "both"}]', '[]');
        self::assertSame([], $derived->dryFit->findings);
        $size = static fn (LabelledPart $p): array => [$p->part->qty(), round($p->part->width(), 4), round($p->part->height(), 4)];
        self::assertSame([2, 13.8, 0.8], $size($derived->kit->part('main.front.sill.w1')));
        $thick = $derived->kit->part('main.front.sill.w1')->part->thickness;
        self::assertSame(
            [2, round(14.0 + 2.0 * ($thick + 0.1), 4), round(1.0 + 2.0 * ($thick + 0.1), 4)],
            $size($derived->kit->part('main.front.sill-paper.w1')),
        );
    }

    /** The paper of the wall lies 0.1 before the card; the sill's card on that, and its paper on both. */
    public function testItStandsOnThePaperOfItsWall(): void
    {
        $kit = self::derived('[{"kind": "sill", "as": "raised"}]', '[]')->kit;
        $sill = $kit->part('main.front.sill.w1')->part;
        self::assertEqualsWithDelta(-0.1 - $sill->thickness, $sill->placements[0]->origin->y, 1e-9);
        $paper = $kit->part('main.front.sill-paper.w1')->part;
        self::assertEqualsWithDelta(-0.2 - $sill->thickness, $paper->placements[0]->origin->y, 1e-9);
        self::assertSame([], self::printed($kit->part('main.front.paper')), 'raised alone, bricks run on behind it');
    }

    public function testCoursesEndAtWhatIsPrintedOverThem(): void
    {
        $art = self::derived('[{"kind": "sill", "of": "stone"}]', '[]')->kit->part('main.front.paper')->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        self::assertCount(2, $art->dressings);
        self::assertInstanceOf(Bricks::class, $art->pattern);
        $course = (new BrickLayout($art, $art->pattern))->course(10);
        $inside = array_filter($course, static fn ($brick): bool => $brick->x1 > 9.001 && $brick->x0 < 22.999);
        self::assertSame([], $inside, 'the course beside the sill leaves it free');
    }

    /** @param  list<array{string, string}>  $faults */
    #[DataProvider('provideFaults')]
    public function testWhatCannotBeIsSaidAtItsField(string $window, string $door, array $faults): void
    {
        try {
            self::derived($window, $door);
            self::fail('it was made');
        } catch (InvalidInput $e) {
            self::assertSame($faults, array_map(static fn (Problem $p): array => [$p->path, $p->code], array_slice($e->problems, 0, 1)));
        }
    }

    /** @return iterable<string, array{string, string, list<array{string, string}>}> */
    public static function provideFaults(): iterable
    {
        $at = 'styles.sash.dress.0';
        yield 'a beam over a curve' => ['[{"kind": "lintel"}]', '[]', [["$at.kind", 'dress.head-not-flat']]];
        yield 'of no kind' => ['[{}]', '[]', [["$at.kind", 'missing']]];
        yield 'of none that there is' => ['[{"kind": "gargoyle"}]', '[]', [["$at.kind", 'wrong-choice']]];
        yield 'no thing' => ['["sill"]', '[]', [[$at, 'wrong-type']]];
        yield 'no height' => ['[{"kind": "sill", "h": "0mm"}]', '[]', [["$at.h", 'length.not-above-zero']]];
        yield 'four rings' => ['[{"kind": "arch", "rings": 4}]', '[]', [["$at.rings", 'number-out-of-range']]];
        yield 'too flat' => ['[{"kind": "arch", "of": "gauged", "skew": 30}]', '[]', [["$at.skew", 'number-out-of-range']]];
        yield 'a kilometre long' => ['[{"kind": "sill", "of": "brick", "beyond": "900m"}]', '[]', [[$at, 'dress.too-large']]];
        yield 'as deep' => ['[{"kind": "arch", "of": "soldier", "depth": "900m"}]', '[]', [[$at, 'dress.too-large']]];
        yield 'stones like dust' => ['[{"kind": "quoins", "h": "0.01mm"}]', '[]', [["$at.kind", 'dress.too-many']]];
        yield 'a kilometre proud' => ['[{"kind": "sill", "as": "both", "proud": "900m"}]', '[]', [['blocks.0.walls', 'limit.parts']]];
        yield 'nobody made it' => ['[{"kind": "sill", "as": "cast"}]', '[]', [["$at.as", 'wrong-choice']]];
    }

    public function testWhatChangedAndWhatIsWrongIsSaidInAPersonsWords(): void
    {
        $document = BuildingGenerator::with(
            JsonText::decode(Kits::exampleText('weigh-office')),
            'styles.sash.dress',
            json_decode('[{"kind": "arch"}, {"kind": "hood-mould"}]'),
        );
        $edits = [
            ['op' => 'add-entry', 'path' => 'styles.sash.dress', 'kind' => 'sill'],
            ['op' => 'set', 'path' => 'styles.sash.dress.1.h', 'value' => '4in'],
            ['op' => 'choose', 'path' => 'styles.sash.dress.0.as', 'value' => 'both'],
        ];
        $done = Edits::apply($document, json_decode((string) json_encode($edits)));
        self::assertSame(
            ['sash, arch: made both', 'sash, hood mould: height 4in', 'sash: sill added'],
            array_map(static fn (Change $change): string => "$change->where: $change->what", $done->changes),
        );
        self::assertSame('Kind, “sash”, hood mould, height', Whereabouts::of($done->document, 'styles.sash.dress.1.h')->words);
        self::assertSame('Kind, “sash”, what stands round it', Whereabouts::of($done->document, 'styles.sash.dress')->words);
        $own = BuildingGenerator::with($document, 'blocks.0.walls.0.openings.0.dress', json_decode('[{"kind": "sill"}]'));
        $words = Whereabouts::of($own, 'blocks.0.walls.0.openings.0.dress.0.beyond')->words;
        self::assertSame('Front, window, sill, beyond the jambs', $words);
    }

    /** What an opening says itself stands in place of what its kind says. */
    public function testAnOpeningMayBeDressedForItself(): void
    {
        $own = ['blocks.0.walls.0.openings.0.dress' => json_decode('[{"kind": "sill", "of": "brick"}]')];
        $claims = self::claims('[{"kind": "arch"}, {"kind": "sill"}]', '[]', 'w1', $own);
        self::assertSame([['sill'], true], [array_map(static fn (Claim $c): string => $c->id, $claims), $claims[0]->units !== []]);
    }

    /** @param  array<string, mixed>  $more  by path */
    #[DataProvider('provideRemarks')]
    public function testWhatIsMadeOtherwiseThanItIsSaidIsRemarkedOn(string $code, string $at, string $window, array $more): void
    {
        $found = array_filter(
            self::derived($window, '[]', $more)->checks,
            static fn (Check $check): bool => $check->code === $code && $check->at === $at,
        );
        self::assertNotSame([], $found);
        $codes = array_map(static fn (Check $check): string => $check->code, self::derived('[{"kind": "sill"}]', '[]')->checks);
        self::assertNotContains($code, $codes, 'not where all is well');
    }

    /** @return iterable<string, array{string, string, string, array<string, mixed>}> */
    public static function provideRemarks(): iterable
    {
        $walls = 'blocks.0.walls.0';
        $sill = '[{"kind": "sill", "as": "both"}]';
        $on = 'main.front.w1';
        yield 'on the ground' => ['dress.not-here', 'main.front.d1', '[]', ['styles.door.dress' => json_decode('[{"kind": "sill"}]')]];
        $wide = '[{"kind": "sill", "as": "both", "beyond": "9in"}]';
        yield 'in a corner, raised' => ['dress.no-room', $on, $wide, ["$walls.openings.0.from" => '6in']];
        yield 'in a corner' => ['dress.past-wall', $on, $wide, ["$walls.openings.0.from" => '6in']];
        yield 'under the eaves' => ['dress.past-wall', $on, '[{"kind": "arch", "rings": 3}]', ["$walls.openings.0.sill" => '3ft 8in']];
        yield 'on bare card' => ['dress.no-paper', $on, '[{"kind": "sill"}]', ["$walls.finish" => 'bare']];
        yield 'too fine' => ['dress.tones', $on, '[{"kind": "sill", "of": "brick"}]', ['scale' => '1:115']];
        yield 'side by side' => ['dress.clash', 'main.front.w1-2', '[{"kind": "sill", "beyond": "2ft"}]', []];
        yield 'into the next' => ['dress.over-opening', 'main.front.w1-2', '[{"kind": "sill", "beyond": "3ft"}]', []];
        yield 'twice' => ['dress.clash', $on, '[{"kind": "arch"}, {"kind": "arch", "of": "gauged"}]', []];
        yield 'where it recedes' => ['dress.receding', 'main.right.w1', $sill, [
            'perspective' => json_decode('{"depth": "25mm", "axis": "10mm"}'),
        ]];
    }

    public function testASillAsItWasSaidBeforeIsTheSameThing(): void
    {
        $older = self::derived('[]', '[]', ['styles.sash.sill' => json_decode('{"h": "3in", "proud": "2in", "beyond": "3in"}')]);
        $now = self::derived('[{"kind": "sill", "of": "stone", "as": "both"}]', '[]');
        self::assertSame(self::outlines($now), self::outlines($older));
        $this->expectException(InvalidInput::class);
        self::derived('[{"kind": "sill"}]', '[]', ['styles.sash.sill' => json_decode('{"h": "3in"}')]);
    }

    /** @return array<string, list<mixed>> */
    private static function outlines(Derivation $derived): array
    {
        $parts = array_map(static fn (LabelledPart $p): array => [$p->part->id, [$p->cut, $p->print]], $derived->kit->parts);

        return array_column($parts, 1, 0);
    }

    /** @return list<PrintedShape> */
    private static function printed(LabelledPart $paper): array
    {
        return $paper->part->art instanceof FaceArt ? $paper->part->art->dressings : [];
    }

    /** @param  array<string, mixed>  $more  by path */
    private static function claim(string $window, string $door, string $opening = 'w1', array $more = []): Claim
    {
        return self::claims($window, $door, $opening, $more)[0];
    }

    /**
     * @param  array<string, mixed>  $more  by path
     * @return non-empty-list<Claim>
     */
    private static function claims(string $window, string $door, string $opening = 'w1', array $more = []): array
    {
        foreach (self::derived($window, $door, $more)->kit->form->walls() as $wall) {
            $claims = $wall->claimsRound($opening);
            if ($claims !== []) {
                return $claims;
            }
        }
        self::fail('nothing is claimed');
    }

    /** @param  array<string, mixed>  $more  by path */
    private static function derived(string $window, string $door, array $more = []): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $said = [...['styles.sash.dress' => json_decode($window), 'styles.door.dress' => json_decode($door)], ...$more];
        foreach ($said as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }

    /** @param  list<array{float, float}>  $wanted */
    private static function assertRing(array $wanted, Ring $ring): void
    {
        $found = array_map(static fn (Vec2 $p): array => [round($p->x, 6), round($p->y, 6)], $ring->points);
        self::assertEquals($wanted, $found);
    }
}
