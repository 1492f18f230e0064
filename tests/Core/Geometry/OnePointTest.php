<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\OnePoint;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Eye 600 off, 50 deep to look like 150, a mouth of 30 × 28 with the axis at its middle. */
final class OnePointTest extends TestCase
{
    private static function mouth(float $axis = 14.0): OnePoint
    {
        return OnePoint::of(new Vec2(0.0, -600.0), 0.0, 50.0, 150.0, $axis);
    }

    public function testWorkedDepths(): void
    {
        $p = self::mouth();
        self::assertEqualsWithDelta([375.0, 0.8667], [$p->vanishing(), $p->backScale()], 0.0001);
        self::assertEqualsWithDelta(
            [0.0, 9.375, 18.293, 26.786, 34.884, 42.614, 50.0],
            array_map($p->trueDepth(...), [0.0, 25.0, 50.0, 75.0, 100.0, 125.0, 150.0]),
            0.0005,
        );
        self::assertEqualsWithDelta([103.8, 242.3], [$p->apparentFrom(300.0), $p->apparentFrom(1200.0)], 0.05);
        self::assertEqualsWithDelta([46.7, 1.87], [self::mouth(350.0)->rise(0.0), $p->rise(0.0)], 0.05);
        self::assertEqualsWithDelta(87.9, 76.2 / $p->backScale(), 0.05);
    }

    public function testTheMouthTapersToTheBack(): void
    {
        $corner = self::mouth()->at(new Vec3(15.0, 150.0, 28.0));
        self::assertEqualsWithDelta([13.0, 50.0, 26.1333], [$corner->x, $corner->y, $corner->z], 0.0005);
        $foot = self::mouth()->at(new Vec3(-15.0, 150.0, 0.0));
        self::assertEqualsWithDelta(24.267, $corner->z - $foot->z, 0.0005);
    }

    /** From the eye every place lies on the same line of sight as what it stands for. */
    public function testItLooksAsDeepAsItIsToLook(): void
    {
        $p = self::mouth();
        $eye = new Vec3(0.0, -600.0, 14.0);
        foreach ([0.0, 25.0, 90.0, 150.0, 400.0, -30.0] as $apparent) {
            foreach ([[-15.0, 0.0], [15.0, 28.0], [4.0, 9.0]] as [$x, $z]) {
                $meant = new Vec3($x, $apparent, $z);
                [$a, $b] = [$p->at($meant)->minus($eye), $meant->minus($eye)];
                self::assertEqualsWithDelta([$b->x / $b->y, $b->z / $b->y], [$a->x / $a->y, $a->z / $a->y], 1e-12);
            }
        }
    }

    /** What was straight stays straight: the middle of a line lies on what comes of the line. */
    public function testStraightLinesStayStraight(): void
    {
        $p = self::mouth(90.0);
        foreach ([
            [[-40.0, 0.0, 5.0], [70.0, 120.0, 60.0]],
            [[3.0, 20.0, 0.0], [3.0, 140.0, 0.0]],
            [[-5.0, -20.0, 10.0], [12.0, 300.0, -4.0]],
        ] as [$one, $other]) {
            [$a, $b] = [new Vec3(...$one), new Vec3(...$other)];
            [$from, $to, $middle] = [$p->at($a), $p->at($b), $p->at($a->plus($b)->times(0.5))];
            $way = $to->minus($from);
            self::assertEqualsWithDelta(0.0, $way->cross($middle->minus($from))->length() / $way->length(), 1e-9);
        }
    }

    /**
     * @param  array{float, float}  $corner  of a wall
     * @param  array{float, float}  $end
     */
    #[DataProvider('provideWalls')]
    public function testAWallBecomesWhatItsPlacesBecome(array $corner, array $end, float $base): void
    {
        $p = self::mouth(37.0);
        [$a, $b] = [new Vec2(...$corner), new Vec2(...$end)];
        $along = $b->minus($a)->times(1.0 / $a->distanceTo($b));
        $map = $p->ofWall($a, $along, $base);
        $start = $p->plan($a);
        foreach ([[0.0, 0.0], [10.0, 3.0], [55.5, -2.0], [80.0, 61.25]] as [$s, $z]) {
            $on = $a->plus($along->times($s));
            $stands = $p->at(new Vec3($on->x, $on->y, $base + $z));
            $flat = $map->at(new Vec2($s, $z));
            self::assertEqualsWithDelta(
                [$start->distanceTo(new Vec2($stands->x, $stands->y)), $stands->z - $base],
                [$flat->x, $flat->y],
                1e-9,
            );
            $back = $map->inverse()->at($flat);
            self::assertEqualsWithDelta([$s, $z], [$back->x, $back->y], 1e-9);
        }
    }

    /** @return iterable<string, array{array{float, float}, array{float, float}, float}> */
    public static function provideWalls(): iterable
    {
        yield 'straight back' => [[20.0, 0.0], [20.0, 100.0], 0.0];
        yield 'to the front' => [[-60.0, 100.0], [-60.0, 0.0], 4.0];
        yield 'across, behind the front' => [[-60.0, 30.0], [60.0, 30.0], 0.0];
        yield 'askew' => [[-60.0, 10.0], [15.0, 95.0], 12.5];
    }

    public function testAMapBetweenMovedOriginsIsTheSameMap(): void
    {
        $map = self::mouth()->ofWall(new Vec2(20.0, 0.0), new Vec2(0.0, 1.0), 0.0);
        $moved = $map->between(new Vec2(7.0, 2.0), new Vec2(-3.0, 5.0));
        foreach ([[0.0, 0.0], [12.0, 9.0], [40.0, -6.0]] as [$x, $y]) {
            $there = $map->at(new Vec2($x + 7.0, $y + 2.0));
            self::assertEqualsWithDelta(
                [$there->x + 3.0, $there->y - 5.0],
                [$moved->at(new Vec2($x, $y))->x, $moved->at(new Vec2($x, $y))->y],
                1e-9,
            );
        }
        self::assertSame(
            [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]],
            (new Homography([[2.0, 0.0, 0.0], [0.0, 2.0, 0.0], [0.0, 0.0, 2.0]]))->toArray(),
        );
        self::assertEqualsWithDelta(
            25.0,
            (new Homography([[2.5, 0.0, 1.0], [0.0, 2.5, 0.0], [0.0, 0.0, 1.0]]))->ring(Ring::rectangle(0.0, 0.0, 2.0, 2.0))->area(),
            1e-9,
        );
    }

    /** x′ = 100·x/(100 + x), y′ = 100·y/(100 + x): close to (50, 30) a step of 1 to the right is (4/9, −2/15), one upwards (0, 2/3). */
    public function testATangentDoesWhatTheMapDoesCloseToAPlace(): void
    {
        $flat = (new Homography([[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.01, 0.0, 1.0]]))->tangentAt(new Vec2(50.0, 30.0));
        foreach ([[50.0, 30.0, 100 / 3, 20.0], [53.0, 30.0, 100 / 3 + 4 / 3, 19.6], [50.0, 36.0, 100 / 3, 24.0]] as [$x, $y, $u, $v]) {
            self::assertEqualsWithDelta(new Vec2($u, $v), $flat->at(new Vec2($x, $y)), 1e-9);
        }
    }

    /**
     * Off its axis what should run straight back seems to aim aside. Two places of a line that recedes, carried on along the
     * lines of sight to a plane far behind, give that direction.
     */
    public function testFromTheLimitLinesSeemAskewByFiveDegrees(): void
    {
        $p = self::mouth();
        $limit = $p->askewFrom();
        self::assertEqualsWithDelta(85.3, $limit, 0.05);
        // The line through these two aims at the vanishing point; seen from the limit that lies 5 degrees off straight ahead.
        [$near, $far] = [$p->at(new Vec3(10.0, 0.0, 14.0)), $p->at(new Vec3(10.0, 150.0, 14.0))];
        $way = $far->minus($near);
        $meets = $near->plus($way->times(-$near->x / $way->x));
        self::assertEqualsWithDelta(375.0, $meets->y, 1e-9);
        self::assertEqualsWithDelta(5.0, rad2deg(atan($limit / ($meets->y + 600.0))), 1e-9);
    }

    public function testAStrongIllusionIsSaid(): void
    {
        self::assertFalse(self::mouth()->isStrong());
        self::assertTrue(OnePoint::of(new Vec2(0.0, -600.0), 0.0, 50.0, 200.0, 14.0)->isStrong());
        self::assertTrue(OnePoint::of(new Vec2(0.0, -200.0), 0.0, 50.0, 150.0, 14.0)->isStrong(), 'too small at the back');
    }

    public function testNoDeeperIsRefused(): void
    {
        $this->expectException(InvalidInput::class);
        OnePoint::of(new Vec2(0.0, -600.0), 0.0, 50.0, 50.0, 14.0);
    }

    public function testUnitsDoNotMatter(): void
    {
        $p = OnePoint::of(new Vec2(3.0, -600.0), 10.0, 50.0, 150.0, 14.0);
        $there = $p->at(new Vec3(15.0, 150.0, 28.0));
        $half = $p->over(2.0)->at(new Vec3(7.5, 75.0, 14.0));
        self::assertEqualsWithDelta([$there->x / 2.0, $there->y / 2.0, $there->z / 2.0], [$half->x, $half->y, $half->z], 1e-12);
    }
}
