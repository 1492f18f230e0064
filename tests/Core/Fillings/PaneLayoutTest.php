<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\Panes;
use Chartula\Core\Fillings\PaneLayout;
use Chartula\Core\Form\OpeningShape;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaneLayoutTest extends TestCase
{
    public function testASashOfFourPanes(): void
    {
        // 20 × 30 flat, clearance 0.1, stile 2, bar 1: (20 − 4.2 − 1)/2 = 7.4; the meeting rail is a stile: (30 − 4.2 − 2)/2 = 11.9.
        $layout = self::layout(OpeningShape::of(20.0, 30.0, null), 2, 2, true);
        self::assertEqualsWithDelta([7.4, 11.9], [$layout->paneWidth, $layout->paneHeight], 1e-9);
        self::assertSame(
            [[2.1, 2.1], [10.5, 2.1], [2.1, 16.0], [10.5, 16.0]],
            array_map(static fn (Ring $r): array => [round($r->bounds()->x0, 6), round($r->bounds()->y0, 6)], $layout->holes()),
        );
    }

    public function testTheTopRowFollowsTheHead(): void
    {
        $shape = OpeningShape::of(20.0, 30.0, 3.0);
        $holes = self::layout($shape, 2, 2, false)->holes();
        $radius = (100.0 + 9.0) / 6.0;
        foreach ($holes[3]->points as $point) {
            self::assertLessThanOrEqual($radius - 2.1 + 1e-9, hypot($point->x - 10.0, $point->y - (30.0 - $radius)));
        }
        self::assertEqualsWithDelta(self::mirrored($holes[2], 10.0), $holes[3]->area(), 1e-6, 'left and right are alike');
    }

    #[DataProvider('provideDivisions')]
    public function testPanesAndBarsAddUpToTheFrame(int $columns, int $rows, bool $sash): void
    {
        $layout = self::layout(OpeningShape::of(24.0, 36.0, null), $columns, $rows, $sash);
        self::assertTrue($layout->isPossible());
        $holes = $layout->holes();
        self::assertCount($columns * $rows, $holes);
        $all = Box2::around(array_merge(...array_map(static fn (Ring $r): array => $r->points, $holes)));
        self::assertEqualsWithDelta([2.1, 2.1, 24.0 - 2.1, 36.0 - 2.1], [$all->x0, $all->y0, $all->x1, $all->y1], 1e-9);
        foreach ($holes as $i => $a) {
            foreach (array_slice($holes, $i + 1) as $b) {
                [$p, $q] = [$a->bounds(), $b->bounds()];
                self::assertTrue(
                    $p->x1 + 1.0 <= $q->x0 + 1e-9
                        || $q->x1 + 1.0 <= $p->x0 + 1e-9
                        || $p->y1 + 1.0 <= $q->y0 + 1e-9
                        || $q->y1 + 1.0 <= $p->y0 + 1e-9,
                    'a bar stands between',
                );
            }
        }
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function provideDivisions(): iterable
    {
        yield 'one' => [1, 1, false];
        yield 'one with a sash, which has nothing to meet' => [1, 1, true];
        yield 'six over six' => [3, 4, true];
        yield 'three rows with a sash' => [2, 3, true];
        yield 'five columns' => [5, 1, false];
    }

    public function testSaysWhenNothingIsLeft(): void
    {
        self::assertFalse(self::layout(OpeningShape::of(5.0, 30.0, null), 2, 2, false)->isPossible());
        self::assertFalse(
            self::layout(OpeningShape::of(20.0, 7.0, 6.0), 1, 2, false)->isPossible(),
            'a head that reaches into the lower row',
        );
    }

    private static function layout(OpeningShape $shape, int $columns, int $rows, bool $sash): PaneLayout
    {
        return new PaneLayout(
            $shape,
            new Panes($columns, $rows, RealLength::ofMillimetres(2.0), RealLength::ofMillimetres(1.0), $sash),
            Scale::of(1.0),
        );
    }

    private static function mirrored(Ring $ring, float $axis): float
    {
        return $ring->mirrored($axis)->area();
    }
}
