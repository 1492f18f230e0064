<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\FoldTicks;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Roll;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Kit\DryFit\Piece;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Made;
use Chartula\Core\Kit\Maker;
use Chartula\Core\Kit\Makers;
use Chartula\Core\Labelling\Labelling;
use Chartula\Core\Output\ObjWriter;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\Outline;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Part\PartName;
use Chartula\Core\Part\PartSet;
use Chartula\Core\Part\Shape;
use Chartula\Core\Sheets\PlacedPart;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;
use UnexpectedValueException;

/** Rolled card, from kit documents written by hand: it comes where card of its true radius would, and closes. */
final class RolledPartsTest extends TestCase
{
    /** An arc is a chord's error away at the most. */
    private const CHORD = 0.01;

    private const THICK = 0.48;

    /** A tube of 12.37 outside, its seam on the side that looks at the reader: its neutral line lies at 12.13, and is 2π · 12.13 long. */
    public function testATubeIsRoundAndCloses(): void
    {
        $tube = self::piece(self::tube('away', [-40.0, -30.0, 0.0]));
        self::assertGreaterThan(100, count($tube->facets));
        $axis = new Vec2(-40.0, -30.0 + 12.37);
        foreach ($tube->facets as $facet) {
            foreach ([[0.0, 12.37], [-self::THICK / 2.0, 12.13]] as [$depth, $radius]) {
                foreach ([...$facet->region->outline->points, $facet->region->outline->middle()] as $place) {
                    $at = $facet->frame->at($place, $depth);
                    self::assertEqualsWithDelta($radius, hypot($at->x - $axis->x, $at->y - $axis->y), self::CHORD);
                }
            }
        }
        self::assertLessThan(2.0 * self::CHORD, self::seam($tube, new Vec2(0.0, 5.0), new Vec2(2.0 * M_PI * 12.13, 5.0)));
    }

    /** Rolled the other way its printed face is the inner one: of 12.37, so that its neutral line lies at 12.61. */
    public function testATubePrintedInsideIsLarger(): void
    {
        $tube = self::piece(self::tube('towards', [0.0, 0.0, 0.0], 2.0 * M_PI * 12.61));
        foreach ($tube->facets as $facet) {
            $at = $facet->frame->at($facet->region->outline->middle());
            self::assertEqualsWithDelta(12.37, hypot($at->x, $at->y + 12.37), self::CHORD);
        }
        self::assertLessThan(2.0 * self::CHORD, self::seam($tube, new Vec2(0.0, 5.0), new Vec2(2.0 * M_PI * 12.61, 5.0)));
    }

    /** A cone of 34.7° to each side of its axis: on the flat card a whole turn takes 2π · sin 34.7°. */
    #[TestWith([34.7, 6.3, 28.4])]
    #[TestWith([11.3, 0.0, 41.7])]
    #[TestWith([72.9, 3.9, 17.2])]
    public function testAConeStandsOnItsAxisAndCloses(float $half, float $from, float $to): void
    {
        $alpha = deg2rad($half);
        $sector = 2.0 * M_PI * sin($alpha);
        $cone = self::piece(self::cone($half, $from, $to, $sector));
        $frame = $cone->frame;
        // The first line runs down from the apex; the inside lies behind the face.
        $apex = $frame->at(new Vec2(0.0, 0.0), -self::THICK / 2.0);
        $axis = $frame->y->times(-cos($alpha))->minus($frame->normal->times(sin($alpha)));
        foreach ($cone->facets as $facet) {
            foreach ($facet->region->outline->points as $place) {
                $along = $facet->frame->at($place, -self::THICK / 2.0)->minus($apex);
                $off = $along->minus($axis->times($along->dot($axis)))->length();
                self::assertEqualsWithDelta($place->length(), $along->length(), 0.02, 'as far from the apex as on the flat card');
                self::assertEqualsWithDelta($along->length() * sin($alpha), $off, 2.0 * self::CHORD);
            }
        }
        $last = new Vec2(15.0 * sin($sector), -15.0 * cos($sector));
        self::assertLessThan(4.0 * self::CHORD, self::seam($cone, new Vec2(0.0, -15.0), $last));
    }

    /** The dry fit finds it in the way of a wall, and only there; the model has every facet of it. */
    public function testItIsASolidForTheDryFitAndTheModel(): void
    {
        foreach ([[[-60.0, -40.0, 0.0], false], [[50.0, -5.0, 0.0], true]] as [$place, $isInTheWay]) {
            $kit = self::kit(self::tube('away', $place));
            $report = DryFit::check($kit, BuildingReader::fromDocument(Kits::box('100mm', '60mm', '40mm', 40.0)));
            $found = array_map(static fn (Finding $f): string => $f->code, $report->findings);
            self::assertSame($isInTheWay, in_array('overlap', $found, true), implode(', ', $found));
            self::assertSame($isInTheWay, $found !== []);
        }
        $object = explode("\no ", ObjWriter::write(self::kit(self::tube('away', [-60.0, -40.0, 0.0]))));
        self::assertStringStartsWith('yard.tube', end($object));
        self::assertGreaterThan(70 * 6, substr_count(end($object), "\nf "));
    }

    /** By whichever surface its radius is said it is the same tube, and the same cone: its apex lies t/2 ÷ tan α further on for t/2. */
    public function testItsRadiusIsThatOfTheSurfaceThatIsNamed(): void
    {
        $tube = self::tube('away', [0.0, 0.0, 0.0]);
        [$cos, $sin] = [cos(deg2rad(34.7)), sin(deg2rad(34.7))];
        $cone = self::cone(34.7, 6.3, 28.4, 2.0 * M_PI * $sin);
        $axis = static fn (float $by): array => [
            [0.0, $by / tan(deg2rad(34.7)), $by - self::THICK / 2.0],
            [0.0, $by / tan(deg2rad(34.7)) - 28.4 * $cos * $cos, $by - self::THICK / 2.0 - 28.4 * $cos * $sin],
        ];
        foreach ([
            [$tube, ['radius' => 12.13, 'surface' => 'neutral']], [$tube, ['radius' => 11.89, 'surface' => 'inside']],
            [$cone, ['axis' => $axis(self::THICK / 2.0), 'surface' => 'outside']],
            [$cone, ['axis' => $axis(-self::THICK / 2.0), 'surface' => 'inside']],
        ] as [$part, $said]) {
            assert(is_array($part['form']));
            $one = self::piece($part)->facets;
            $other = self::piece(['form' => $said + $part['form']] + $part)->facets;
            self::assertSame(count($one), count($other));
            foreach ($one as $i => $facet) {
                $apart = $facet->frame->origin->distanceTo($other[$i]->frame->origin);
                self::assertLessThan(1e-6, $apart + $facet->frame->normal->distanceTo($other[$i]->frame->normal));
            }
        }
    }

    /** What cannot be is refused: an axis that is not a radius behind the card, one upright to it, a bend that ends before it begins. */
    #[TestWith(['axis', [[0.0, 7.0, -12.3], [0.0, 8.0, -12.3]]])]
    #[TestWith(['axis', [[0.0, 7.0, -12.37], [0.0, 8.0, -12.5]]])]
    #[TestWith(['axis', [[0.0, 7.0, -12.37], [0.0, 7.0, -13.37]]])]
    #[TestWith(['axis', [[0.0, 7.0, -12.37]]])]
    #[TestWith(['seam_degrees', 0])]
    #[TestWith(['radius', 0.4])]
    #[TestWith(['surface', 'middle'])]
    #[TestWith(['kind', 'bent'])]
    public function testWhatCannotBeIsRefused(string $key, mixed $value): void
    {
        $tube = self::tube('away', [0.0, 0.0, 0.0]);
        assert(is_array($tube['form']));
        $this->expectException(UnexpectedValueException::class);
        self::piece(['form' => [$key => $value] + $tube['form']] + $tube);
    }

    /**
     * A half round of 8.3 between two flat legs, which stays where its middle is: the legs stand 16.6 apart, and nothing turns sideways;
     * and a half cone, whose two ends come as far apart as its round is wide.
     */
    #[TestWith([1.0])]
    #[TestWith([-1.0])]
    public function testAPartIsReadAsItWasMade(float $way): void
    {
        $round = M_PI * 8.3;
        $clear = new Edge('side', 'clearance');
        $outline = self::strip(20.0 + $round);
        $roll = Roll::cylinder(new Vec2(10.0, 3.0), new Vec2(0.0, 1.0), 8.3, $way * M_PI);
        $half = self::made($outline, Shape::rolled(new Vec2(10.0 + $round / 2.0, 7.0), $roll));
        self::assertEqualsWithDelta(16.6, self::seam($half, new Vec2(0.0, 7.0), new Vec2(20.0 + $round, 7.0)), 4.0 * self::CHORD);
        self::assertEqualsWithDelta(16.6, self::seam($half, new Vec2(9.9, 7.0), new Vec2(10.1 + $round, 7.0)), 4.0 * self::CHORD);
        foreach ($half->facets as $facet) {
            self::assertEqualsWithDelta(0.0, $facet->frame->normal->z, 1e-6);
        }

        // A sector of 100° rolled by half a turn: sin α = 100 / 180. At 30 from its apex it is 2 · 30 · sin α across.
        $arc = static fn (int $i): Vec2 => new Vec2(30.0 * sin(deg2rad($i / 2.0 - 50.0)), -30.0 * cos(deg2rad($i / 2.0 - 50.0)));
        $ring = new Ring([new Vec2(0.0, 0.0), ...array_map($arc, range(0, 200))]);
        $roll = Roll::cone($arc(0), new Vec2(0.0, 0.0), asin(100.0 / 180.0), $way * M_PI);
        $shape = Shape::rolled(new Vec2(0.0, -20.0), $roll);
        $cone = self::made(new Outline($ring, array_map(static fn (): Edge => $clear, $ring->points)), $shape);
        // Just within its ends, in the frame of its box.
        $off = new Vec2($ring->bounds()->x0, $ring->bounds()->y0);
        $apart = self::seam($cone, $arc(0)->times(0.999)->minus($off), $arc(200)->times(0.999)->minus($off));
        self::assertEqualsWithDelta(0.999 * 60.0 * 100.0 / 180.0, $apart, 4.0 * self::CHORD);
    }

    /** Beside the sheet's cut stand ticks where it begins and ends to bend: at 10 and 10 + 8.3 π along its foot and its head. */
    public function testItsSheetSaysWhereItBends(): void
    {
        $outline = self::strip(20.0 + M_PI * 8.3);
        $roll = Roll::cylinder(new Vec2(10.0, 3.0), new Vec2(0.0, 1.0), 8.3, M_PI);
        $part = self::card($outline, Shape::rolled(new Vec2(5.0, 7.0), $roll));
        $ticks = FoldTicks::of(new PlacedPart(Labelling::of([$part])[0], 0, 100.0, 50.0, 0, false));
        $lines = array_map(static fn (array $t): array => [$t[0]->x, min($t[0]->y, $t[1]->y), max($t[0]->y, $t[1]->y)], $ticks);
        sort($lines);
        $end = 110.0 + M_PI * 8.3;
        $wanted = [[110.0, 48.7, 49.7], [110.0, 64.3, 65.3], [$end, 48.7, 49.7], [$end, 64.3, 65.3]];
        self::assertEqualsWithDelta($wanted, $lines, 0.001);
    }

    private static function strip(float $length): Outline
    {
        $clear = new Edge('side', 'clearance');

        return Outline::rectangle($length, 14.0, $clear, $clear, $clear, $clear);
    }

    private static function card(Outline $outline, Shape $shape): Part
    {
        $stock = BuildingReader::fromDocument(Kits::box('100mm', '60mm', '40mm', 40.0))->methods->frame;

        return Part::of(
            new PartName('yard.tube', null, null, 'tube'), 'G', 'Tube', PartGroup::Trim, $stock, self::THICK, $outline,
            [new Frame(new Vec3(-60.0, -70.0, 0.0), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, 0.0, 1.0))], [], shape: $shape,
        );
    }

    private static function made(Outline $outline, Shape $shape): Piece
    {
        $maker = new Maker('tube', static fn (): Made => new Made(new PartSet([self::card($outline, $shape)])));
        $building = BuildingReader::fromDocument(Kits::box('100mm', '60mm', '40mm', 40.0));
        $kit = Kits::tried(Kit::derive($building, makers: [...Makers::all(), $maker]));
        self::assertSame([], DryFit::check($kit, $building)->findings);

        return Assembly::of($kit)->pieces['yard.tube#0'];
    }

    /** How far apart two places of the flat card come to stand. */
    private static function seam(Piece $piece, Vec2 $one, Vec2 $other): float
    {
        $at = static function (Vec2 $place) use ($piece): Vec3 {
            foreach ($piece->facets as $facet) {
                if ($facet->region->contains($place) || $facet->region->index()->nearest($place, 0.01) < 0.001) {
                    return $facet->frame->at($place, -self::THICK / 2.0);
                }
            }
            self::fail('There is no card');
        };

        return $at($one)->distanceTo($at($other));
    }

    /**
     * @param  array{float, float, float}  $origin
     * @return array<string, mixed>
     */
    private static function tube(string $fold, array $origin, float $width = 2.0 * M_PI * 12.13): array
    {
        $outline = [[0.0, 0.0], [$width, 0.0], [$width, 31.2], [0.0, 31.2]];
        $high = $fold === 'away' ? -12.37 : 12.37;
        $form = ['kind' => 'rolled', 'base' => [0.1, 3.0], 'axis' => [[0.0, 7.0, $high], [0.0, 8.0, $high]]];
        $form += ['radius' => 12.37, 'surface' => 'outside', 'from_degrees' => 0, 'seam_degrees' => 360];

        return self::part($outline, $form, $origin);
    }

    /** @return array<string, mixed> */
    private static function cone(float $half, float $from, float $to, float $sector): array
    {
        $outline = [];
        $arc = static fn (float $at, float $share): array => [$at * sin($sector * $share), -$at * cos($sector * $share)];
        for ($i = 0; $i <= 300; $i++) {
            $outline[] = $arc($to, $i / 300.0);
        }
        for ($i = $from > 0.0 ? 300 : 0; $i >= 0; $i--) {
            $outline[] = $arc($from, $i / 300.0);
        }
        // The middle of the circle in which it ends lies to · cos α down the axis, which leans by α behind the first line.
        [$cos, $sin] = [cos(deg2rad($half)), sin(deg2rad($half))];
        $axis = [[0.0, 0.0, -self::THICK / 2.0], [0.0, -$to * $cos * $cos, -self::THICK / 2.0 - $to * $cos * $sin]];
        $form = ['kind' => 'cone', 'base' => [0.01, -($from + $to) / 2.0], 'axis' => $axis, 'radius' => $to * $sin];
        $form += ['surface' => 'neutral', 'from_degrees' => 0, 'seam_degrees' => 360];

        return self::part($outline, $form, [-80.0, -90.0, 40.0]);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @param  array<string, mixed>  $form
     * @param  array{float, float, float}  $origin
     * @return array<string, mixed>
     */
    private static function part(array $outline, array $form, array $origin): array
    {
        return [
            'id' => 'yard.tube', 'group' => 'trim', 'thickness' => self::THICK, 'qty' => 1, 'outline' => $outline, 'holes' => [],
            'edges' => array_map(static fn (int $i): array => (new Edge('side', 'clearance'))->toArray($i), array_keys($outline)),
            'placements' => [['label' => 'G1', 'origin' => $origin, 'x' => [1, 0, 0], 'y' => [0, 0, 1]]],
            'scores' => [], 'slits' => [], 'workings' => [], 'form' => $form, 'label' => 'G1', 'name' => 'Tube',
        ];
    }

    /** @param  array<string, mixed>  $part */
    private static function piece(array $part): Piece
    {
        return Assembly::of(self::kit($part))->pieces['yard.tube#0'];
    }

    /**
     * @param  array<string, mixed>  $part
     * @return array<string, mixed> the kit of a plain box, with that part in it
     */
    private static function kit(array $part): array
    {
        $kit = Kits::serialised(Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0)));
        assert(is_array($kit['parts']) && is_array($kit['totals']) && is_int($kit['totals']['parts']));
        $kit['parts'][] = $part;
        $kit['totals']['parts']++;

        return $kit;
    }
}
