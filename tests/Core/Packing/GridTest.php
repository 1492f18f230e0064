<?php

declare(strict_types=1);

namespace Tests\Core\Packing;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Packing\Bin;
use Chartula\Core\Packing\Grid;
use Chartula\Core\Packing\Lying;
use Chartula\Core\Packing\Shape;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class GridTest extends TestCase
{
    /**
     * Beside 30 × 20 with a gap of 3 on 70 × 50, the second goes 33 to the right. One too wide for that goes up until it is as far
     * off the first one's corner: at 32.5 and 22 that is √(2.5² + 2²) = 3.2, at 21.5 it would be 2.9.
     */
    #[TestWith([30.0, 33.0, 0.0])]
    #[TestWith([37.0, 33.0, 0.0])]
    #[TestWith([37.5, 32.5, 22.0])]
    public function testTheLowestPlaceBesideAnother(float $width, float $x, float $y): void
    {
        $grid = new Grid(new Bin(70.0, 50.0, 3.0), PHP_INT_MAX);
        $shape = Shape::box($width, 20.0);
        $at = $grid->lowest($grid->with($grid->edges($shape), new Lying(Shape::box(30.0, 20.0), 0, 0), $shape), $shape);
        self::assertSame([$x, $y], $at === null ? null : [$at[0] * Grid::STEP_MM, $at[1] * Grid::STEP_MM]);
    }

    public function testWhatIsHigherThanTheBinFindsNoPlace(): void
    {
        $grid = new Grid(new Bin(70.0, 50.0, 3.0), PHP_INT_MAX);
        $shape = Shape::box(60.0, 28.0);
        self::assertNull($grid->lowest($grid->with($grid->edges($shape), new Lying(Shape::box(30.0, 20.0), 0, 0), $shape), $shape));
    }

    /** Two right triangles make a square, a gap apart along the cut between them: 40 · √2 less 3 · √2 of it is what the other has. */
    public function testTwoTrianglesArePaired(): void
    {
        $low = self::shape([[0.0, 0.0], [40.0, 0.0], [0.0, 40.0]]);
        $high = self::shape([[40.0, 0.0], [40.0, 40.0], [0.0, 40.0]]);
        $grid = new Grid(new Bin(60.0, 40.0, 3.0), PHP_INT_MAX);
        $at = $grid->lowest($grid->with($grid->edges($high), new Lying($low, 0, 0), $high), $high);
        self::assertNotNull($at);
        // 3 · √2 = 4.243 to the right, at the next step.
        self::assertSame([4.5, 0.0], [$at[0] * Grid::STEP_MM, $at[1] * Grid::STEP_MM]);
    }

    /** A frame's opening takes what is smaller by the gap on either side, and nothing where it is filled in. */
    public function testAnOpeningTakesASmallPiece(): void
    {
        $frame = new Region(Ring::rectangle(0.0, 0.0, 60.0, 60.0), [Ring::rectangle(10.0, 12.0, 50.0, 52.0)]);
        $small = Shape::box(36.0, 36.0);
        $grid = new Grid(new Bin(60.0, 60.0, 2.0), PHP_INT_MAX);
        $open = Shape::of([$frame], 40.0);
        $at = $grid->lowest($grid->with($grid->edges($small), new Lying($open, 0, 0), $small), $small);
        self::assertSame([12.0, 14.0], $at === null ? null : [$at[0] * Grid::STEP_MM, $at[1] * Grid::STEP_MM]);
        $filled = Shape::of([$frame], 41.0);
        self::assertNull($grid->lowest($grid->with($grid->edges($small), new Lying($filled, 0, 0), $small), $small));
    }

    /**
     * Of two shapes at random places: where the grid says that one is forbidden, they are nearer than the gap, and where it is
     * free they are not. The distance is measured between their outlines, point by point; corners are cut a little wider.
     */
    #[Group('property')]
    public function testAPlaceIsForbiddenWhereTheGapIsNotKept(): void
    {
        $free = $held = 0;
        foreach (range(1, 60) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            [$a, $b] = [self::house($random), self::house($random)];
            [$ringA, $ringB] = [$a[1], $b[1]];
            $grid = new Grid(new Bin(120.0, 110.0, 2.0), PHP_INT_MAX);
            $lying = new Lying($a[0], $random->getInt(0, 60), $random->getInt(0, 50));
            $bits = $grid->with($grid->edges($b[0]), $lying, $b[0]);
            $ringA = $ringA->moved($lying->column * Grid::STEP_MM, $lying->row * Grid::STEP_MM);
            foreach (range(1, 40) as $ignored) {
                [$column, $row] = [$random->getInt(0, 120), $random->getInt(0, 100)];
                $moved = $ringB->moved($column * Grid::STEP_MM, $row * Grid::STEP_MM);
                $box = $moved->bounds();
                $isOut = $box->x1 > 120.0 + 1e-6 || $box->y1 > 110.0 + 1e-6;
                $apart = self::apart($ringA, $moved);
                // The last column of a row is asked of the number itself.
                $isFree = $grid->isFree($bits, $column, $row);
                if ($isFree) {
                    $free++;
                    self::assertFalse($isOut, "seed $seed");
                    self::assertGreaterThan(2.0 - 1e-6, $apart, "seed $seed, $column $row");
                } else {
                    $held++;
                    self::assertTrue($isOut || $apart < 2.0 / cos(M_PI / 8.0) + 1e-6, "seed $seed, $column $row: $apart");
                }
            }
        }
        self::assertGreaterThan(300, min($free, $held));
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private static function shape(array $points): Shape
    {
        return Shape::of([new Region(new Ring(array_map(static fn (array $p): Vec2 => new Vec2($p[0], $p[1]), $points)))]);
    }

    /** @return array{Shape, Ring} a wall with a gable off its middle and a notch in its foot, in odd figures */
    private static function house(Randomizer $random): array
    {
        $mm = static fn (int $from, int $to): float => $random->getInt(100 * $from, 100 * $to) / 100.0;
        [$w, $h, $top, $at] = [$mm(20, 50), $mm(8, 25), $mm(3, 20), $mm(4, 16)];
        $ring = new Ring([
            new Vec2(0.0, 0.0), new Vec2(6.0, 0.0), new Vec2(6.0, 5.3), new Vec2(9.1, 5.3), new Vec2(9.1, 0.0),
            new Vec2($w, 0.0), new Vec2($w, $h), new Vec2($at, $h + $top), new Vec2(0.0, $h),
        ]);

        if ($random->getInt(0, 1) === 1) {
            // A curved head instead, in chords.
            $ring = new Ring([
                new Vec2(0.0, 0.0),
                new Vec2($w, 0.0),
                ...array_map(
                    static fn (int $i): Vec2 => new Vec2($w * (1.0 - $i / 16.0), $h + $top * sin(M_PI * $i / 16.0)),
                    range(0, 16),
                ),
            ]);
        }
        // On any of its sides, with what rounding does to level edges.
        $turn = $random->getInt(0, 3) * M_PI / 2.0;
        $ring = new Ring(array_map(
            static fn (Vec2 $p): Vec2 => new Vec2($p->x * cos($turn) - $p->y * sin($turn), $p->x * sin($turn) + $p->y * cos($turn)),
            $ring->points,
        ));
        $box = $ring->bounds();

        return [Shape::of([new Region($ring)]), $ring->moved(-$box->x0, -$box->y0)];
    }

    /** How far two outlines are from each other; less than nothing where one lies in the other. */
    private static function apart(Ring $a, Ring $b): float
    {
        $least = INF;
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ($one->points as $i => $p) {
                if ($other->contains($p)) {
                    return -1.0;
                }
                $least = min($least, $other->distanceTo($p));
                foreach ($other->points as $k => $q) {
                    if (Ring::segmentsMeet($p, $one->point($i + 1), $q, $other->point($k + 1))) {
                        return -1.0;
                    }
                }
            }
        }

        return $least;
    }
}
