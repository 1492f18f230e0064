<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\ArcChain;
use Chartula\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

/** Heads over a span of 20, worked by hand. docs/formulas.md#heads */
final class ArcChainTest extends TestCase
{
    public function testSegments(): void
    {
        // r 12.5, 106.26° in all; and past a half circle.
        foreach ([[5.0, 12.5, 23.182], [12.0, 10.167, 35.626]] as [$rise, $radius, $length]) {
            $chain = ArcChain::segment(20.0, 0.0, $rise);
            self::assertEqualsWithDelta([$radius, $length], [$chain->crownRadius(), $chain->length()], 0.0005);
        }
        self::assertEqualsWithDelta(31.416, ArcChain::segment(20.0, 0.0, 10.0)->length(), 0.0005);
    }

    public function testPointed(): void
    {
        foreach ([[17.3205, 20.0, 20.944], [14.0, 14.8, 18.359]] as [$rise, $radius, $length]) {
            [$right, $left] = ArcChain::pointed(20.0, 3.0, $rise);
            self::assertEqualsWithDelta([$radius, $radius, $length, $length], [
                $right->crownRadius(), $left->crownRadius(), $right->length(), $left->length(),
            ], 0.0005);
            $point = new Vec2(10.0, 3.0 + $rise);
            self::assertEqualsWithDelta([new Vec2(20.0, 3.0), $point], [$right->at(0.0, 0.0), $right->at(1.0, 0.0)], 0.0005);
            self::assertEqualsWithDelta([$point, new Vec2(0.0, 3.0)], [$left->at(0.0, 0.0), $left->at(1.0, 0.0)], 0.0005);
            // Grown by 2 both meet over the middle still: √((r + 2)² − (r − 10)²) up.
            $high = 3.0 + sqrt(($radius + 2.0) ** 2 - ($radius - 10.0) ** 2);
            self::assertEqualsWithDelta([new Vec2(10.0, $high), new Vec2(10.0, $high)], [$right->at(1.0, 2.0), $left->at(0.0, 2.0)], 0.001);
            self::assertEqualsWithDelta(new Vec2(22.0, 3.0), $right->at(0.0, 2.0), 1e-9);
        }
    }

    /** Rise 7: 5.902 at the sides and 14.098 at the crown, 27.124 in all; they touch at (±7.049, 5.111). */
    public function testThreeCentred(): void
    {
        $chain = ArcChain::threeCentred(20.0, 0.0, 7.0);
        self::assertEqualsWithDelta([14.098, 27.124], [$chain->crownRadius(), $chain->length()], 0.0005);
        $share = 5.902 * M_PI / 3.0 / 27.124;
        self::assertEqualsWithDelta(new Vec2(17.049, 5.111), $chain->at($share, 0.0), 0.001);
        self::assertEqualsWithDelta(7.0, $chain->heightAt(10.0, 0.0), 1e-9);
        self::assertEqualsWithDelta([5.111, 5.111], [$chain->heightAt(17.049, 0.0), $chain->heightAt(2.951, 0.0)], 0.001);
    }

    /** Half axes 10 and 7: about 26.912 round, nowhere farther from the curve than a hundredth, and without a bend. */
    public function testHalfAnEllipse(): void
    {
        foreach ([[7.0, 26.912], [13.0, null]] as [$rise, $length]) {
            $chain = ArcChain::ellipse(20.0, 0.0, $rise);
            self::assertEqualsWithDelta($length ?? $chain->length(), $chain->length(), 0.01);
            $was = null;
            for ($share = 0.0; $share <= 1.0; $share += 0.001) {
                $p = $chain->at($share, 0.0);
                self::assertEqualsWithDelta(1.0, hypot(($p->x - 10.0) / 10.0, $p->y / $rise), 0.001);
                $way = $was === null ? null : $p->minus($was[0])->times(1.0 / $p->distanceTo($was[0]));
                if ($way !== null && ($was[1] ?? null) !== null) {
                    self::assertGreaterThan(0.999, $way->dot($was[1]), "share $share");
                }
                $was = [$p, $way];
            }
        }
    }

    /** What is grown lies as far from what it was everywhere, but beyond a point. */
    public function testGrownItIsAsFarEverywhere(): void
    {
        foreach ([ArcChain::segment(20.0, 0.0, 5.0), ArcChain::threeCentred(20.0, 0.0, 7.0), ArcChain::ellipse(20.0, 0.0, 7.0)] as $chain) {
            foreach ([2.5, -1.5] as $by) {
                for ($share = 0.05; $share < 1.0; $share += 0.05) {
                    self::assertEqualsWithDelta(abs($by), $chain->at($share, $by)->distanceTo($chain->at($share, 0.0)), 1e-6);
                }
            }
        }
    }

    /** Over a stretch it ends where that does, and its height is that of its points. */
    public function testOverAStretch(): void
    {
        [$right, $left] = ArcChain::pointed(20.0, 0.0, 14.0);
        self::assertSame([], $right->over(1.0, 8.0, 0.0));
        self::assertEqualsWithDelta([8.0, 1.0], array_map(static fn (Vec2 $p): float => $p->x, [
            $left->over(1.0, 8.0, 0.0)[0], $left->over(1.0, 8.0, 0.0)[count($left->over(1.0, 8.0, 0.0)) - 1],
        ]), 1e-9);
        foreach ([$left, ArcChain::threeCentred(20.0, 0.0, 7.0), ArcChain::ellipse(20.0, 0.0, 7.0)] as $chain) {
            foreach ($chain->over(0.5, 9.5, 0.0) as $p) {
                self::assertEqualsWithDelta($p->y, $chain->heightAt($p->x, 0.0), 1e-6);
            }
        }
        self::assertNull($left->heightAt(12.0, 0.0));
    }

    /** Tabs lie straight within a tenth: at r 10 none is wider than √8. */
    public function testTabs(): void
    {
        $tabs = ArcChain::segment(20.0, 0.0, 10.0)->tabs(0.1, 3.0);
        self::assertGreaterThan(11, count($tabs));
        foreach (array_slice($tabs, 1) as $i => [$inner, $outer]) {
            self::assertLessThan(sqrt(8.0), $outer->distanceTo($tabs[$i][1]));
            self::assertEqualsWithDelta(3.0, $inner->distanceTo($outer), 1e-9);
        }
    }
}
