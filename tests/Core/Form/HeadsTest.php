<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\SetField;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Openings under heads of every shape, on the weigh office: its sashes are 12 by 20 at 1:76.2. docs/formulas.md#heads */
final class HeadsTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, float, float}> how high it springs, and is over a quarter of the span */
    public static function provideHeads(): iterable
    {
        // An eighth of an inch to a foot, 3/8 in over 3 ft: 0.125, of a radius of (36 + 0.125²)/0.25.
        yield 'cambered' => [['shape' => 'cambered'], 19.875, 20.0 - 144.0625 + sqrt(144.0625 ** 2 - 9.0)];
        yield 'round' => [['shape' => 'round'], 14.0, 14.0 + sqrt(27.0)];
        // Equilateral: r 12, 10.392 up; its right arc stands about the left springer.
        yield 'equilateral' => [['shape' => 'pointed'], 20.0 - 6.0 * sqrt(3.0), 20.0 - 6.0 * sqrt(3.0) + sqrt(144.0 - 81.0)];
        // 2 ft is 8 up: r (36 + 64)/12 = 8.333, about 3.667 from the left.
        yield 'a drop arch' => [['shape' => 'pointed', 'rise' => '2ft'], 12.0, 12.0 + sqrt((25.0 / 3.0) ** 2 - (9.0 - 11.0 / 3.0) ** 2)];
        // 3 ft is 12 up: r 15, about 3 beyond the left.
        yield 'a lancet' => [['shape' => 'pointed', 'rise' => '3ft'], 8.0, 8.0 + sqrt(225.0 - 144.0)];
        // 1 ft is 4 up: 3.268 at the sides, 8.732 about 4.732 below the springing.
        yield 'three-centred' => [['shape' => 'three-centred', 'rise' => '1ft'], 16.0, 16.0 - 4.7321 + sqrt(8.7321 ** 2 - 9.0)];
        yield 'half an ellipse' => [['shape' => 'elliptical', 'rise' => '1ft'], 16.0, 16.0 + 4.0 * sqrt(0.75)];
    }

    /** @param  array<string, string>  $head */
    #[DataProvider('provideHeads')]
    public function testCardFrameGlassAndPaperFollowIt(array $head, float $springing, float $quarter): void
    {
        $derived = Kits::of(self::office($head));
        self::assertSame([], $derived->dryFit->findings);
        $shape = $derived->kit->form->blocks[0]->walls[0]->openings[0]->shape;
        self::assertEqualsWithDelta([$springing, $quarter, $quarter, 20.0], [
            $shape->springing(), $shape->headAt(9.0), $shape->headAt(3.0), $shape->headAt(6.0),
        ], 0.001);
        // The card's opening has the paper's thickness to every side, the frame a tenth less, along the whole curve.
        $window = $derived->kit->form->blocks[0]->walls[0]->openings[0];
        $finished = $window->ring();
        foreach ([['main.front.face', -0.1], ['main.front.frame.w1', 0.1]] as [$id, $in]) {
            $part = $derived->kit->part($id)->part;
            $frame = $derived->kit->form->blocks[0]->walls[0]->frame;
            $ring = self::nearest($part, $frame->at($window->ring()->bounds()->centre()), $in > 0.0);
            foreach ($ring as $p) {
                $at = $frame->project($part->placements[0]->at($p));
                $off = $finished->distanceTo($at) * ($finished->contains($at) ? 1.0 : -1.0);
                // Beyond a point, and at its foot, corners lie farther from it.
                $box = $finished->bounds();
                $isCorner = abs($at->x - $box->centre()->x) < 0.3 || $at->y < $box->y0 + 0.3
                    || ($head['shape'] === 'cambered' && min($at->x - $box->x0, $box->x1 - $at->x) < 0.3);
                self::assertEqualsWithDelta($in, $off, $isCorner ? 0.2 : 0.012, $id);
            }
        }
        $slits = $derived->kit->part('main.front.paper')->part->slits;
        self::assertGreaterThan(8, count($slits));
    }

    /** Flaps of a round head are cut into tabs that lead to its centre; of a pointed one, one leads to the point. */
    public function testTabsLeadToTheCentres(): void
    {
        $derived = Kits::of(self::office(['shape' => 'pointed']));
        $paper = $derived->kit->part('main.front.paper')->part;
        $wall = $derived->kit->form->blocks[0]->walls[0];
        $window = $wall->openings[0];
        $point = new Vec2($window->left + 6.0, $window->top());
        $ends = array_map(static fn (array $slit): Vec2 => $wall->frame->project($paper->placements[0]->at($slit[1])), $paper->slits);
        self::assertEqualsWithDelta(0.0, min([INF, ...array_map(static fn (Vec2 $p): float => $p->distanceTo($point), $ends)]), 0.001);
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function provideFaults(): iterable
    {
        yield 'a point lower than a half circle' => [['shape' => 'pointed', 'rise' => '18in'], 'head.rise', 'rises by more than 457.2mm'];
        yield 'three arcs that are none' => [['shape' => 'three-centred', 'rise' => '4in'], 'head.rise', 'rises by more than'];
        yield 'three arcs of more than a half circle' => [['shape' => 'three-centred', 'rise' => '19in'], 'head.rise', 'at the most'];
        yield 'no upright jamb' => [['shape' => 'pointed', 'rise' => '5ft'], 'head.rise', 'leaves no upright jamb'];
        yield 'a rise that is missing' => [['shape' => 'elliptical'], 'head.rise', 'required'];
    }

    /** @param  array<string, string>  $head */
    #[DataProvider('provideFaults')]
    public function testWhatCannotBeIsAFault(array $head, string $path, string $said): void
    {
        try {
            BuildingReader::fromDocument(self::office($head));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame("styles.sash.$path", $e->problems[0]->path);
            self::assertStringContainsString($said, ProblemText::of($e->problems[0]));
        }
    }

    /** Another head than the document's, of the same span and height, is found by the dry fit: in the card and round it. */
    public function testTheDryFitKnowsHeadsByTheDocument(): void
    {
        $shapes = [
            ['shape' => 'round'], ['shape' => 'pointed'], ['shape' => 'elliptical', 'rise' => '18in'],
            ['shape' => 'three-centred', 'rise' => '16in'],
        ];
        foreach ($shapes as $i => $head) {
            /** @var array<string, mixed> $kit */
            $kit = Kits::serialised(Kits::of(self::office($head, [(object) ['kind' => 'arch', 'as' => 'both']])));
            foreach ($shapes as $k => $other) {
                $isSame = $i === $k || [$i, $k] === [0, 2] || [$i, $k] === [2, 0];
                $building = BuildingReader::fromDocument(self::office($other, [(object) ['kind' => 'arch', 'as' => 'both']]));
                $found = array_map(static fn (Finding $f): string => $f->code, DryFit::check($kit, $building)->findings);
                self::assertSame($isSame, $found === [], (string) json_encode([$head, $other, $found]));
            }
        }
    }

    /** Every class of house with heads on awkward figures, and things round them: what closes with its own heads does with these. */
    public function testHousesCloseUnderThem(): void
    {
        $made = [];
        for ($i = 0; $i < (Sample::isDeep() ? 90 : 12); $i++) {
            // Every eleventh has openings.
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 90);
            $document = (new HouseGenerator($seed))->document();
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                [$document, $shapes] = self::headed($document, new Randomizer(new Mt19937($seed)));
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $derived->dryFit->findings : [], "seed $seed");
            $made = [...$made, ...$shapes];
        }
        self::assertGreaterThan(2, count(array_unique($made)));
    }

    /** @return array{stdClass, list<string>} with its shapes */
    private static function headed(stdClass $document, Randomizer $random): array
    {
        $one = static fn (mixed ...$all): mixed => $all[$random->getInt(0, count($all) - 1)];
        $shapes = [];
        foreach (BuildingReader::fromDocument($document)->styles as $id => $style) {
            [$w, $most] = [$style->w->mm, $style->h->mm - 50.0];
            $shape = ['round', 'pointed', 'three-centred', 'elliptical'][$random->getInt(0, 3)];
            [$least, $top] = match ($shape) {
                'pointed' => [0.53 * $w, min($most, 1.4 * $w)],
                default => [0.2 * $w, min($most, 0.46 * $w)],
            };
            $fits = $shape === 'round' ? $w / 2.0 < $most : $least + 5.0 < $top;
            $head = ! $fits ? ['shape' => 'flat'] : ['shape' => $shape] + ($shape === 'round' ? [] : [
                'rise' => $random->getInt((int) ceil($least / 5.0), (int) floor($top / 5.0)) * 5 .'mm',
            ]);
            $as = $one('printed', 'raised', 'both');
            $dress = [
                ...$one(0, 1) === 1 ? [(object) ['kind' => 'arch', 'of' => $one('rowlock', 'soldier', 'gauged'), 'as' => $as]] : [],
                ...$one(0, 1, 2) === 1 ? [(object) ['kind' => 'hood-mould', 'as' => $as]] : [],
                ...$one(0, 1, 2) === 1 ? [(object) ['kind' => 'keystone', 'as' => 'both']] : [],
                ...$one(0, 1, 2) === 1 ? [(object) ['kind' => 'quoins', 'as' => $as]] : [],
            ];
            $dress = $dress === [] ? [(object) ['kind' => 'surround', 'as' => $as]] : $dress;
            $was = SetField::get($document, "styles.$id");
            $said = $was instanceof stdClass ? array_diff_key(get_object_vars($was), ['sill' => true]) : [];
            $document = BuildingGenerator::with($document, "styles.$id", (object) (['head' => (object) $head] + $said));
            $document = BuildingGenerator::with($document, "styles.$id.dress", $dress);
            $shapes[] = $head['shape'];
        }

        return [$document, $shapes];
    }

    /**
     * @param  array<string, string>  $head
     * @param  list<stdClass>  $dress
     */
    private static function office(array $head, array $dress = []): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $document = BuildingGenerator::with($document, 'styles.sash.dress', $dress);
        $document = BuildingGenerator::with($document, 'styles.sash.frame.panes', [2, 3]);

        return BuildingGenerator::with($document, 'styles.sash.head', (object) $head);
    }

    /** @return list<Vec2> the outline of a part, or that of its holes round a place */
    private static function nearest(Part $part, Vec3 $at, bool $isOutline): array
    {
        $place = $part->placements[0]->project($at);
        $holes = array_values(array_filter($part->holes, static fn (Ring $r): bool => $r->contains($place)));

        return $isOutline ? $part->outline->ring->points : ($holes[0] ?? self::fail('no opening there'))->points;
    }
}
