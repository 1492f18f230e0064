<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Interval;
use PHPUnit\Framework\TestCase;

final class IntervalTest extends TestCase
{
    public function testWhatTouchesDoesNotOverlapUnlessToldThatNearIsEnough(): void
    {
        $window = Interval::of(9.5, 3.25);
        self::assertSame([3.25, 11.125], [$window->length(), $window->middle()]);
        self::assertFalse($window->overlaps(new Interval(12.75, 20.0)));
        self::assertTrue($window->overlaps(new Interval(12.5, 20.0)));
        self::assertFalse($window->overlaps(new Interval(12.5, 20.0), 0.5));
        self::assertTrue($window->overlaps(new Interval(13.0, 20.0), -0.5));
        self::assertFalse($window->overlaps(new Interval(13.25, 20.0), -0.5));
    }

    public function testLiesWithinAndContainsByWhatIsAllowed(): void
    {
        $wall = Interval::between(17.5, 2.25);
        self::assertSame([2.25, 17.5], [$wall->from, $wall->to]);
        $left = new Interval(2.25, 5.0);
        self::assertSame([false, true], [$left->isWithin($wall), $left->isWithin($wall, 0.01)]);
        self::assertSame([true, false, false], [$wall->contains(2.5), $wall->contains(2.5, 0.5), $wall->contains(17.5)]);
    }

    public function testLeavesFreeWhatNoneOfTheOthersTakesInWhateverOrder(): void
    {
        $wall = new Interval(0.0, 30.0);
        $taken = [new Interval(18.0, 22.5), new Interval(4.5, 9.0), new Interval(7.25, 11.75), new Interval(28.0, 34.0)];
        self::assertEquals([new Interval(0.0, 4.5), new Interval(11.75, 18.0), new Interval(22.5, 28.0)], $wall->without($taken));
        self::assertEquals([new Interval(11.75, 18.0)], $wall->without($taken, 5.5));
        self::assertEquals([$wall], $wall->without([]));
        self::assertEquals([$wall], $wall->without([new Interval(31.0, 40.0)]));
        self::assertSame([], $wall->without([new Interval(-1.0, 31.0)]));
    }

    public function testJoinsWhatOverlapsOrComesNearEnough(): void
    {
        $parts = [new Interval(6.0, 7.5), new Interval(1.0, 4.25), new Interval(4.0, 5.5)];
        self::assertEquals([new Interval(1.0, 5.5), new Interval(6.0, 7.5)], Interval::joined($parts));
        self::assertEquals([new Interval(1.0, 7.5)], Interval::joined($parts, 0.5));
        self::assertSame([], Interval::joined([]));
    }
}
