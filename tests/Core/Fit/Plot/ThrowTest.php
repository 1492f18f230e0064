<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Plot;

use Chartula\Core\Building\Site\Course;
use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\TrackPiece;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Fit\Plot\DrivenVehicle;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Plots\Driver;
use Tests\Support\Sample;

/** What a vehicle needs beside a track, worked by hand and driven round. */
final class ThrowTest extends TestCase
{
    private static function coach(float $bogie = 0.0): Vehicle
    {
        return new Vehicle('coach', 'coach', 230.0, 36.0, 50.0, 160.0, $bogie);
    }

    /** @param  non-empty-list<TrackPiece>  $pieces */
    private static function track(array $pieces, Vehicle $vehicle, float $heading = 0.0): Track
    {
        return new Track('t', 't', new Vec2(0.0, 0.0), $heading, $pieces, 0.0, 1.0, 3.0, [$vehicle], 'plot.tracks.0');
    }

    #[DataProvider('provideThrows')]
    public function testThrowsAreTheExactOnesBesideTheShort(float $radius, float $bogie, float $centre, float $end): void
    {
        self::assertEqualsWithDelta($centre, self::coach($bogie)->centreThrow($radius), 0.0005);
        self::assertEqualsWithDelta($end, self::coach($bogie)->endThrow($radius), 0.0005);
        // And so far it reaches from the track's middle, in the middle of a curve either way.
        foreach ([1, -1] as $turns) {
            $driven = DrivenVehicle::all(self::track([new TrackPiece($radius * 1.6, $radius, $turns)], self::coach($bogie)))[0];
            $inAndOut = [18.0 + $centre, 18.0 + $end];
            self::assertEqualsWithDelta($turns > 0 ? $inAndOut : array_reverse($inAndOut), $driven->reach($radius * 0.8), 0.01);
        }
    }

    /** @return iterable<string, array{float, float, float, float}> */
    public static function provideThrows(): iterable
    {
        yield 'radius 600' => [600.0, 0.0, 5.357, 5.343];
        yield 'radius 600 on bogies' => [600.0, 35.0, 5.615, 5.090];
        yield 'radius 300' => [300.0, 0.0, 10.863, 9.960];
    }

    public function testTheShortFormulaIsALittleTooCarefulAtTheEnds(): void
    {
        self::assertEqualsWithDelta(5.333, self::coach()->shortCentreThrow(600.0), 0.0005);
        self::assertEqualsWithDelta(5.688, self::coach()->shortEndThrow(600.0), 0.0005);
        self::assertEqualsWithDelta(10.667, self::coach()->shortCentreThrow(300.0), 0.0005);
        self::assertEqualsWithDelta(11.375, self::coach()->shortEndThrow(300.0), 0.0005);
    }

    public function testACourseIsWhereItsPiecesLead(): void
    {
        $course = Course::of(self::track([new TrackPiece(300.0), new TrackPiece(300.0, 600.0, 1), new TrackPiece(50.0)], self::coach()));
        self::assertSame([650.0, 600.0], [$course->length, $course->leastRadius]);
        $end = $course->at(650.0);
        // 300 on, round 300/600 of a radian, and 50 on from there.
        self::assertEqualsWithDelta(
            [300.0 + 600.0 * sin(0.5) + 50.0 * cos(0.5), 600.0 * (1.0 - cos(0.5)) + 50.0 * sin(0.5), 0.5],
            [$end->x, $end->y, $course->heading(650.0)],
            1e-9,
        );
        self::assertEqualsWithDelta([-20.0, 0.0], $course->at(-20.0)->toArray(), 1e-9);
        self::assertSame([[-INF, 300.0], [600.0, INF]], $course->straights());
        self::assertEqualsWithDelta(160.0, $course->at(250.0)->distanceTo($course->at($course->chord(250.0, 160.0))), 1e-8);
    }

    /** On a straight it needs its own width, until its rear has left the curve, and no more beyond the track's end. */
    public function testWhereAStraightBeginsTheThrowFadesAway(): void
    {
        $driven = DrivenVehicle::all(self::track([new TrackPiece(300.0, 600.0, 1), new TrackPiece(600.0)], self::coach()))[0];
        self::assertEqualsWithDelta([18.0, 18.0], $driven->reach(300.0 + 200.0), 1e-6);
        [$left, $right] = $driven->reach(320.0);
        self::assertTrue($left > 18.1 && $left < 18.0 + 5.357 && $right > 18.1 && $right < 18.0 + 5.343);
        $beyond = Hull::rectangle(5000.0, 5000.0, 5001.0, 5001.0);
        self::assertGreaterThan(4000.0, $driven->distanceTo($beyond));
    }

    public function testWhatStandsBeforeItsEndIsNotStruck(): void
    {
        $driven = DrivenVehicle::all(self::track([new TrackPiece(400.0)], self::coach()))[0];
        self::assertEqualsWithDelta(20.0, $driven->distanceTo(Hull::rectangle(420.0, -30.0, 500.0, 30.0)), 1e-6);
        self::assertEqualsWithDelta(12.0, $driven->distanceTo(Hull::rectangle(100.0, 30.0, 110.0, 40.0)), 1e-6);
        self::assertTrue($driven->passes(Hull::rectangle(100.0, 17.0, 110.0, 40.0)));
        self::assertFalse($driven->passes(Hull::rectangle(100.0, 18.5, 110.0, 40.0)));
    }

    /** Heading 0, 3 up and 4 down, left by 15° and then right by 20°: 122.72 are left where 117.04 were said to be. */
    #[Group('property')]
    public function testAVehicleDrivenAlongComesAsNear(): void
    {
        $all = array_combine(range(0, 59), range(0, 59));
        $tried = 0;
        foreach (Sample::oneIn(10, $all) as $seed) {
            $random = new Randomizer(new Mt19937($seed * 7 + 1));
            $pick = static fn (float $a, float $b): float => $a + ($b - $a) * $random->getInt(0, 1000) / 1000.0;
            $pieces = [];
            foreach (range(0, $random->getInt(0, 3)) as $i) {
                $radius = $pick(280.0, 700.0);
                array_push(
                    $pieces,
                    [$pick(40.0, 260.0), 0.0, 0],
                    [$radius * deg2rad($pick(8.0, 40.0)), $radius, $random->getInt(0, 1) * 2 - 1],
                );
            }
            $heading = $pick(-180.0, 180.0);
            $vehicle = new Vehicle(
                'v',
                'v',
                $pick(120.0, 240.0),
                $pick(26.0, 40.0),
                50.0,
                $pick(70.0, 110.0),
                $random->getInt(0, 1) * $pick(15.0, 35.0),
            );
            $track = new Track('t', 't', new Vec2(10.0, -4.0), $heading, array_map(
                static fn (array $p): TrackPiece => new TrackPiece($p[0], $p[1], $p[2]),
                $pieces,
            ), 0.0, 1.0, 3.0, [$vehicle], 'plot.tracks.0');
            $course = Course::of($track);
            $at = $course->at($course->length * $pick(0.25, 0.75));
            $side = $pick(0.0, 2.0 * M_PI);
            $thing = [$at->x + $pick(30.0, 70.0) * cos($side), $at->y + $pick(30.0, 70.0) * sin($side)];
            $driven = (new Driver(10.0, -4.0, $heading, $pieces))
                ->nearest([$thing], $vehicle->length, $vehicle->width, $vehicle->centres, $vehicle->bogie);
            $shape = Hull::around([new Vec2(...$thing)]);
            $told = DrivenVehicle::all($track)[0]->distanceTo($shape);
            // Where it is struck both say so; how deeply is another matter.
            if ($driven > 0.1) {
                self::assertEqualsWithDelta($driven, $told, 0.05, "seed $seed");
            } else {
                self::assertLessThan(0.15, $told, "seed $seed");
            }
            $tried++;
        }
        self::assertGreaterThan(1, $tried);
    }
}
