<?php

declare(strict_types=1);

namespace Tests\Core\Fit\Plot;

use Chartula\Core\Building\Site\Track;
use Chartula\Core\Building\Site\TrackPiece;
use Chartula\Core\Building\Site\Vehicle;
use Chartula\Core\Fit\Plot\Lane;
use Chartula\Core\Fit\Plot\Lanes;
use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

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

    public function testACurveToTheLeftNeedsItsCentreThrowOnTheLeft(): void
    {
        $lane = Lanes::of(self::track([new TrackPiece(600.0 * M_PI_2, 600.0, 1)], self::coach()))[0];
        self::assertEqualsWithDelta([24.357, 24.343], [$lane->left, $lane->right], 0.001);
        $lane = Lanes::of(self::track([new TrackPiece(600.0 * M_PI_2, 600.0, -1)], self::coach()))[0];
        self::assertEqualsWithDelta([24.343, 24.357], [$lane->left, $lane->right], 0.001);
    }

    public function testAStraightSwingsForHalfAVehicleBesideACurve(): void
    {
        $lanes = Lanes::of(self::track([new TrackPiece(300.0), new TrackPiece(300.0, 600.0, 1), new TrackPiece(50.0)], self::coach()));
        self::assertEqualsWithDelta([185.0, 115.0, 300.0, 50.0], array_map(static fn (Lane $l): float => $l->length, $lanes), 1e-9);
        self::assertEqualsWithDelta([19.0, 24.357, 24.357, 24.357], array_map(static fn (Lane $l): float => $l->left, $lanes), 0.001);
        $end = $lanes[3]->at(50.0);
        // 300 on, round 300/600 of a radian, and 50 on from there.
        self::assertEqualsWithDelta(
            [300.0 + 600.0 * sin(0.5) + 50.0 * cos(0.5), 600.0 * (1.0 - cos(0.5)) + 50.0 * sin(0.5)],
            [$end->x, $end->y],
            1e-9,
        );
    }

    /** A vehicle driven along the curve in small steps comes as near to a thing as the lane says, whichever side it stands on. */
    #[DataProvider('provideSurroundings')]
    #[Group('property')]
    public function testAVehicleDrivenRoundComesAsNear(int $turns, float $angle, float $aside, float $size): void
    {
        $vehicle = self::coach(35.0);
        $radius = 450.0;
        $track = self::track([new TrackPiece($radius * 2.4, $radius, $turns)], $vehicle, 20.0);
        $lane = Lanes::of($track)[0];
        $at = $lane->at($radius * $angle, $aside);
        $thing = Hull::rectangle($at->x - $size, $at->y - $size, $at->x + $size, $at->y + $size);
        $nearest = INF;
        $half = hypot($vehicle->centres / 2.0, $vehicle->bogie / 2.0);
        for ($a = $angle - 0.6; $a <= $angle + 0.6; $a += 0.002) {
            // Its middle stands in from the track's by the throw, its sides along the chord.
            $middle = sqrt($radius ** 2 - $half ** 2);
            $along = $lane->headingAt($radius * $a);
            $centre = $lane->centre()->plus($lane->at($radius * $a)->minus($lane->centre())->times($middle / $radius));
            $x = (new Vec2(cos($along), sin($along)))->times(115.0);
            $y = (new Vec2(-sin($along), cos($along)))->times(18.0);
            $body = Hull::around([
                $centre->plus($x)->plus($y),
                $centre->plus($x)->minus($y),
                $centre->minus($x)->plus($y),
                $centre->minus($x)->minus($y),
            ]);
            $nearest = min($nearest, $body->distanceTo($thing));
        }
        self::assertGreaterThan(0.0, $nearest);
        self::assertEqualsWithDelta($nearest, ($lane->left($thing) ?? INF) + $track->beside, 0.05);
    }

    /** @return iterable<string, array{int, float, float, float}> */
    public static function provideSurroundings(): iterable
    {
        foreach ([1 => 'to the left', -1 => 'to the right'] as $turns => $way) {
            foreach ([40 => 'left of it', -40 => 'right of it'] as $aside => $side) {
                foreach ([0.9, 1.2, 1.5] as $angle) {
                    yield "curve $way, a point $side at $angle" => [$turns, $angle, (float) $aside, 0.001];
                    yield "curve $way, a post $side at $angle" => [$turns, $angle, (float) $aside, 4.0];
                }
            }
        }
    }
}
