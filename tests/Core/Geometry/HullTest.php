<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Hull;
use Chartula\Core\Geometry\Vec2;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class HullTest extends TestCase
{
    public function testIsGoneRoundWithoutWhatLiesInsideOrOnASide(): void
    {
        $hull = Hull::around([new Vec2(0, 0), new Vec2(5, 5), new Vec2(10, 0), new Vec2(5, 0), new Vec2(10, 10), new Vec2(0, 10)]);
        self::assertSame(
            [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]],
            array_map(static fn (Vec2 $p): array => $p->toArray(), $hull->points),
        );
    }

    /** Places one above the other but for rounding: the lowest is a corner, in whatever order the rounding puts them. */
    public function testACornerIsNotTakenForAPlaceOnAColumn(): void
    {
        $ys = [2204.0, 144.15, 15.0, 2074.85];
        foreach ([[0, 1, 2, 3], [1, 2, 3, 0], [3, 2, 1, 0], [2, 0, 3, 1]] as $order) {
            $points = [new Vec2(128.0, 15.0), new Vec2(128.0, 2204.0)];
            foreach ($order as $i => $at) {
                $points[] = new Vec2(127.0 + ($i - 2) * 1.4e-14, $ys[$at]);
            }
            $hull = Hull::around($points);
            $nearest = min(array_map((new Vec2(127.0, 15.0))->distanceTo(...), $hull->points));
            self::assertLessThan(1e-9, $nearest, implode(' ', $order));
        }
    }

    /** @param  list<array{float, float}>  $other */
    #[DataProvider('provideDistances')]
    public function testDistanceFromASquareOfTen(array $other, float $wanted): void
    {
        $square = Hull::rectangle(0.0, 0.0, 10.0, 10.0);
        $points = array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), $other);
        assert($points !== []);
        $hull = Hull::around($points);
        self::assertEqualsWithDelta($wanted, $square->distanceTo($hull), 1e-9);
        self::assertEqualsWithDelta($wanted, $hull->distanceTo($square), 1e-9);
    }

    /** @return iterable<string, array{list<array{float, float}>, float}> */
    public static function provideDistances(): iterable
    {
        yield 'a point beside it' => [[[13.0, 5.0]], 3.0];
        yield 'a point off its corner' => [[[13.0, 14.0]], 5.0];
        yield 'a point inside, two from the nearest side' => [[[2.0, 5.0]], -2.0];
        yield 'a line before it' => [[[-1.0, -4.0], [11.0, -4.0]], 4.0];
        yield 'a line that ends off its corner' => [[[13.0, 14.0], [30.0, 14.0]], 5.0];
        yield 'a square that shares a side' => [[[10.0, 0.0], [20.0, 0.0], [20.0, 10.0], [10.0, 10.0]], 0.0];
        yield 'a square one into it' => [[[9.0, 2.0], [20.0, 2.0], [20.0, 8.0], [9.0, 8.0]], -1.0];
        yield 'a square off its corner' => [[[13.0, 14.0], [20.0, 14.0], [20.0, 20.0], [13.0, 20.0]], 5.0];
    }

    /** Against the least distance of points set close together on both. */
    #[Group('property')]
    public function testDistancesOfAnyTwoAreThoseOfTheirPoints(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $float = static fn (float $low, float $high): float => $low + ($high - $low) * $random->getInt(0, 1_000_000) / 1e6;
        $apart = 0;
        for ($i = 0; $i < 120; $i++) {
            $make = static fn (float $x): Hull => Hull::around(
                array_map(static fn (): Vec2 => new Vec2($x + $float(0.0, 10.0), $float(0.0, 10.0)), range(1, $random->getInt(3, 7))),
            );
            [$a, $b] = [$make(0.0), $make($float(0.0, 12.0))];
            $least = INF;
            foreach (self::dots($a) as $p) {
                foreach (self::dots($b) as $q) {
                    $least = min($least, $p->distanceTo($q));
                }
            }
            $distance = $a->distanceTo($b);
            if ($distance > 0.0) {
                $apart++;
                self::assertEqualsWithDelta($least, $distance, 0.5, "pair $i");
                self::assertLessThanOrEqual($least + 1e-9, $distance, "pair $i");
            } else {
                // Moved out by as much as they share they touch, in some direction.
                self::assertEqualsWithDelta(
                    0.0,
                    max(
                        array_map(
                            static fn (int $deg): float => $a->distanceTo(
                                Hull::around(
                                    array_map(
                                        static fn (Vec2 $p): Vec2 =>
                                            $p->plus((new Vec2(cos(deg2rad($deg / 4)), sin(deg2rad($deg / 4))))->times(-$distance)),
                                        $b->points,
                                    ),
                                ),
                            ),
                            range(0, 1439),
                        ),
                    ),
                    0.01,
                    "pair $i",
                );
            }
        }
        self::assertGreaterThan(30, $apart);
        self::assertLessThan(90, $apart);
    }

    /** @return list<Vec2> */
    private static function dots(Hull $hull): array
    {
        $dots = [];
        foreach ($hull->points as $i => $p) {
            $along = $hull->points[($i + 1) % count($hull->points)]->minus($p);
            foreach (range(0, 24) as $k) {
                $dots[] = $p->plus($along->times($k / 24));
            }
        }

        return $dots;
    }

    public function testWhatLiesLeftOfALineIsCutAtIt(): void
    {
        $left = Hull::rectangle(0.0, 0.0, 10.0, 10.0)->leftOf(new Vec2(4.0, 0.0), new Vec2(0.0, 1.0));
        self::assertNotNull($left);
        self::assertEqualsWithDelta([0.0, 0.0, 4.0, 10.0], array_values((array) $left->bounds()), 1e-12);
        self::assertNull(Hull::rectangle(5.0, 0.0, 10.0, 10.0)->leftOf(new Vec2(4.0, 0.0), new Vec2(0.0, 1.0)));
    }

    public function testACircleIsNowhereInsideWhatItStandsFor(): void
    {
        foreach (Hull::circle(new Vec2(1.0, 2.0), 3.0)->points as $p) {
            self::assertGreaterThanOrEqual(3.0 - 1e-9, $p->distanceTo(new Vec2(1.0, 2.0)));
            self::assertLessThan(3.02, $p->distanceTo(new Vec2(1.0, 2.0)));
        }
    }
}
