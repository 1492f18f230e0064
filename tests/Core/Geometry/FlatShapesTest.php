<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Arc;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Convex;
use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Line;
use Chartula\Core\Geometry\Offset;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Measure\Tolerance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FlatShapesTest extends TestCase
{
    public function testTrapezoidsTileARegionWithHoles(): void
    {
        // A house front: 31 × 17 with a peak 9 higher, less 7 × 5 and a triangle of 4 × 3 / 2.
        $region = new Region(
            new Ring([new Vec2(2.0, 3.0), new Vec2(33.0, 3.0), new Vec2(33.0, 20.0), new Vec2(17.5, 29.0), new Vec2(2.0, 20.0)]),
            [Ring::rectangle(5.0, 6.0, 12.0, 11.0), new Ring([new Vec2(20.0, 8.0), new Vec2(24.0, 8.0), new Vec2(20.0, 11.0)])],
        );
        $expected = 31.0 * 17.0 + 31.0 * 9.0 / 2.0 - 35.0 - 6.0;
        self::assertEqualsWithDelta($expected, $region->area(), 1e-9);
        self::assertEqualsWithDelta($expected, array_sum(array_map(static fn (Ring $r): float => $r->area(), $region->trapezoids())), 1e-9);
        foreach ($region->trapezoids() as $piece) {
            self::assertGreaterThan(0.0, $piece->signedArea());
        }
    }

    public function testSharedAreaOfTwoConvexShapes(): void
    {
        // Two 10 × 10 squares, one turned by 45 degrees about the shared centre: the octagon 200·(√2 − 1).
        $r = 5.0 * sqrt(2.0);
        $turned = new Ring([new Vec2(0.0, -$r), new Vec2($r, 0.0), new Vec2(0.0, $r), new Vec2(-$r, 0.0)]);
        self::assertEqualsWithDelta(
            200.0 * (sqrt(2.0) - 1.0),
            Clip::sharedArea(new Region(Ring::rectangle(-5.0, -5.0, 5.0, 5.0)), new Region($turned)),
            1e-9,
        );
    }

    public function testSharedAreaWhereEdgesRunAlongEachOther(): void
    {
        $plate = new Region(Ring::rectangle(2.0, 3.0, 32.0, 23.0), [Ring::rectangle(7.0, 8.0, 17.0, 18.0)]);
        // Itself; itself gone round the other way; a half of it that begins in the middle of the hole; a neighbour on its edge.
        self::assertEqualsWithDelta(500.0, Clip::sharedArea($plate, $plate), 1e-6);
        $reversed = new Region(new Ring(array_reverse($plate->outline->points)), [new Ring(array_reverse($plate->holes[0]->points))]);
        self::assertEqualsWithDelta(500.0, Clip::sharedArea($plate, $reversed), 1e-6);
        self::assertEqualsWithDelta(
            20.0 * 20.0 - 5.0 * 10.0,
            Clip::sharedArea($plate, new Region(Ring::rectangle(12.0, 3.0, 40.0, 23.0))),
            1e-6,
        );
        self::assertEqualsWithDelta(0.0, Clip::sharedArea($plate, new Region(Ring::rectangle(32.0, 3.0, 40.0, 23.0))), 1e-6);
        self::assertEqualsWithDelta(0.0, Clip::sharedArea($plate, new Region(Ring::rectangle(7.0, 8.0, 17.0, 18.0))), 1e-6);
        self::assertEqualsWithDelta(0.0, Clip::sharedArea($plate, new Region(Ring::rectangle(50.0, 50.0, 60.0, 60.0))), 1e-6);
    }

    public function testAnIndexOfEdgesAnswersAsLookingAtEachDoes(): void
    {
        $region = new Region(
            new Ring([new Vec2(2.0, 3.0), new Vec2(33.0, 3.0), new Vec2(33.0, 20.0), new Vec2(17.5, 29.0), new Vec2(2.0, 20.0)]),
            array_map(static fn (int $i): Ring => Ring::rectangle(3.0 + 3.0 * $i, 6.0, 5.0 + 3.0 * $i, 11.0 + $i), range(0, 9)),
        );
        $inside = 0;
        for ($k = 0; $k < 400; $k++) {
            $point = new Vec2(fmod($k * 7.31, 36.0), fmod($k * 3.77, 31.0));
            $contains = $region->outline->contains($point)
                && array_filter($region->holes, static fn (Ring $h): bool => $h->contains($point)) === [];
            self::assertSame($contains, $region->index()->contains($point), "$point->x, $point->y");
            $off = min(array_map(static fn (Ring $r): float => $r->distanceTo($point), $region->rings()));
            self::assertSame($off <= 1.5, $region->index()->nearest($point, 1.5) <= 1.5);
            if ($off <= 1.5) {
                self::assertEqualsWithDelta($off, $region->index()->nearest($point, 1.5), 1e-9);
            }
            $inside += $contains ? 1 : 0;
        }
        self::assertGreaterThan(100, $inside);
    }

    public function testLengthInsideCountsBoundariesAndLeavesHolesOut(): void
    {
        $region = new Region(Ring::rectangle(0.0, 0.0, 20.0, 10.0), [Ring::rectangle(5.0, 2.0, 9.0, 8.0)]);
        self::assertEqualsWithDelta(16.0, Clip::lengthInside(new Vec2(-3.0, 5.0), new Vec2(25.0, 5.0), $region), 1e-9);
        self::assertEqualsWithDelta(20.0, Clip::lengthInside(new Vec2(-3.0, 0.0), new Vec2(25.0, 0.0), $region), 1e-9);
        self::assertSame(0.0, Clip::lengthInside(new Vec2(-3.0, 12.0), new Vec2(25.0, 12.0), $region));
    }

    #[TestWith([20.0, 5.0, 12.5, 23.182])]
    #[TestWith([20.0, 10.0, 10.0, 31.416])]
    public function testArcOverASpan(float $span, float $rise, float $radius, float $length): void
    {
        $arc = Arc::over(3.0, 3.0 + $span, 7.0, $rise);
        self::assertEqualsWithDelta($radius, $arc->radius, 1e-9);
        self::assertEqualsWithDelta(7.0 + $rise, $arc->heightAt(3.0 + $span / 2.0), 1e-9);
        $points = $arc->points(3.0 + $span, 3.0);
        $sum = 0.0;
        foreach (array_slice($points, 1) as $i => $point) {
            $sum += $point->distanceTo($points[$i]);
            $middle = $point->plus($points[$i])->times(0.5);
            self::assertLessThanOrEqual(Tolerance::CHORD + 1e-9, $arc->radius - $middle->distanceTo($arc->centre));
        }
        self::assertEqualsWithDelta($length, $sum, 0.06);
    }

    #[TestWith([0.3, 0.3])]
    #[TestWith([1.0, 1.0])]
    #[TestWith([-0.2, -0.2])]
    public function testHowDeepTwoSlabsStandInEachOther(float $in, float $depth): void
    {
        $x = new Vec3(1.0, 0.0, 0.0);
        // A card 5 thick lies below z = 0 over y from 0 to 20; another, 1 thick, stands with its back at y = $in.
        $flat = Convex::slab(Ring::rectangle(0.0, 0.0, 30.0, 20.0), new Frame(new Vec3(0.0, 0.0, 0.0), $x, new Vec3(0.0, 1.0, 0.0)), 5.0);
        $upright = Convex::slab(
            Ring::rectangle(4.0, -40.0, 9.0, 40.0),
            new Frame(new Vec3(0.0, $in - 1.0, 0.0), $x, new Vec3(0.0, 0.0, 1.0)),
            1.0,
        );
        self::assertEqualsWithDelta($depth, $flat->depthIn($upright, -INF), 1e-9);
    }

    /** The short side of a five-sided shape vanishes, wherever the shape is begun, and every other keeps its name. */
    #[TestWith([0])]
    #[TestWith([2])]
    #[TestWith([4])]
    public function testASideThatVanishesTakesNoOtherSName(int $first): void
    {
        $patch = new Patch(
            new Ring([new Vec2(0.0, 0.0), new Vec2(20.0, 0.0), new Vec2(20.0, 9.0), new Vec2(19.0, 10.0), new Vec2(0.0, 10.0)]),
            ['foot', 'right', 'cut', 'top', 'left'],
        );
        $moved = Offset::patch($patch->turned($first), static fn (string $label): float => $label === 'cut' ? 0.0 : -1.0);
        self::assertNotNull($moved);
        $sides = array_map(static fn (Line $l): string => sprintf('%s %.0f %.0f', $l->label, $l->from->x, $l->from->y), $moved->lines());
        sort($sides);
        self::assertSame(['foot 1 1', 'left 1 9', 'right 19 1', 'top 19 9'], $sides);
    }
}
