<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Separation;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How far convex solids are apart. */
final class SeparationTest extends TestCase
{
    private static function cube(float $x, float $y, float $z): Convex
    {
        return Convex::prism(Ring::rectangle($x, $y, $x + 10.0, $y + 10.0), $z, $z + 10.0);
    }

    #[DataProvider('provideCubes')]
    public function testTwoCubesOfTen(float $x, float $y, float $z, float $wanted): void
    {
        self::assertEqualsWithDelta($wanted, self::cube(0.0, 0.0, 0.0)->distanceTo(self::cube($x, $y, $z)), 1e-6);
        self::assertEqualsWithDelta($wanted, self::cube($x, $y, $z)->distanceTo(self::cube(0.0, 0.0, 0.0)), 1e-6);
        self::assertEqualsWithDelta(max(0.0, $wanted), self::cube(0.0, 0.0, 0.0)->gapTo(self::cube($x, $y, $z)), 1e-9);
    }

    /** @return iterable<string, array{float, float, float, float}> */
    public static function provideCubes(): iterable
    {
        yield 'face to face' => [13.0, 2.0, -1.0, 3.0];
        yield 'one over the other' => [1.0, 2.0, 14.5, 4.5];
        yield 'edge to edge' => [13.0, 14.0, 3.0, 5.0];
        yield 'corner to corner' => [12.0, 13.0, 16.0, 7.0];
        yield 'touching' => [10.0, 0.0, 0.0, 0.0];
        yield 'two deep' => [8.0, 1.0, 0.5, -2.0];
    }

    /** A wire along a slope of 40° whose upper face rises from the origin, 10 behind and 20 above it: 20 cos 40° − 10 sin 40° off. */
    public function testAWireOverASlope(): void
    {
        $pitch = deg2rad(40.0);
        $frame = new Frame(new Vec3(0.0, 0.0, 0.0), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, cos($pitch), sin($pitch)));
        $slope = Convex::slab(Ring::rectangle(-50.0, -10.0, 50.0, 80.0), $frame, 1.0);
        $wire = Convex::prism(Ring::rectangle(-80.0, 10.0, 80.0, 11.0), 20.0, 21.0);
        self::assertEqualsWithDelta(20.0 * cos($pitch) - 11.0 * sin($pitch), $slope->distanceTo($wire), 1e-6);
    }

    /** No two places are nearer than is told, and some two are hardly farther apart. */
    #[Group('property')]
    public function testNoTwoPlacesAreNearer(): void
    {
        $random = new Randomizer(new Mt19937(20));
        $at = static fn (float $far): float => ($random->getInt(0, 2000) / 1000.0 - 1.0) * $far;
        for ($n = 0; $n < 120; $n++) {
            $off = new Vec3($at(25.0), $at(25.0), $at(25.0));
            $one = array_map(static fn (): Vec3 => new Vec3($at(8.0), $at(8.0), $at(8.0)), range(0, 5));
            $other = array_map(static fn (): Vec3 => $off->plus(new Vec3($at(8.0), $at(8.0), $at(8.0))), range(0, 5));
            $told = Separation::between($one, $other);
            $found = INF;
            for ($i = 0; $i < 400; $i++) {
                $found = min($found, self::within($one, $random)->distanceTo(self::within($other, $random)));
            }
            foreach ($one as $p) {
                foreach ($other as $q) {
                    $found = min($found, $p->distanceTo($q));
                }
            }
            self::assertLessThan($found + 1e-6, $told);
            // Along the way from the one to the other a plane fits between them that is so thick: so no two places can be nearer.
            self::assertGreaterThan(self::thickest($one, $other, $random) - 1e-4, $told);
        }
    }

    /** @param  non-empty-list<Vec3>  $corners */
    private static function within(array $corners, Randomizer $random): Vec3
    {
        $shares = array_map(static fn (): float => -log(max(1e-9, $random->getInt(1, 1000000) / 1e6)) ** 3, $corners);
        $at = new Vec3(0.0, 0.0, 0.0);
        foreach ($corners as $i => $p) {
            $at = $at->plus($p->times($shares[$i] / array_sum($shares)));
        }

        return $at;
    }

    /**
     * The thickest slab between the two of many that were tried.
     *
     * @param  non-empty-list<Vec3>  $one
     * @param  non-empty-list<Vec3>  $other
     */
    private static function thickest(array $one, array $other, Randomizer $random): float
    {
        $best = 0.0;
        for ($i = 0; $i < 300; $i++) {
            $way = new Vec3($random->getInt(-1000, 1000), $random->getInt(-1000, 1000), $random->getInt(1, 1000));
            $way = $way->times(1.0 / $way->length());
            $a = array_map($way->dot(...), $one);
            $b = array_map($way->dot(...), $other);
            $best = max($best, min($b) - max($a), min($a) - max($b));
        }

        return $best;
    }

    /** What of a solid lies between two heights, as it looks from above. */
    public function testASliceOfASlope(): void
    {
        $frame = new Frame(new Vec3(0.0, 0.0, 0.0), new Vec3(1.0, 0.0, 0.0), new Vec3(0.0, sqrt(0.5), sqrt(0.5)));
        $slope = Convex::slab(Ring::rectangle(0.0, 0.0, 40.0, 20.0 * sqrt(2.0)), $frame, sqrt(2.0));
        // Its top rises from 0 to 20 over 20 of depth, its underside lies two below, measured straight down.
        $box = Box2::around($slope->between(5.0, 8.0));
        self::assertEqualsWithDelta([0.0, 5.0, 40.0, 10.0], [$box->x0, $box->y0, $box->x1, $box->y1], 1e-9);
        self::assertSame([], $slope->between(21.0, 30.0));
        self::assertSame([], $slope->between(-30.0, -1.1));
        self::assertContainsEquals(new Vec2(0.0, 0.0), $slope->between(-INF, INF));
    }
}
