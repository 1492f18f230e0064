<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Chartula\Core\Geometry\Necks;
use Chartula\Core\Geometry\Patch;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use PHPUnit\Framework\TestCase;

/** Patches that narrow to nothing. */
final class NecksTest extends TestCase
{
    public function testWhatNowhereNarrowsIsLeftAlone(): void
    {
        $patch = self::patch([[0, 0], [10, 0], [10, 10], [0, 10]], ['a', 'b', 'c', 'd']);
        self::assertSame([$patch], Necks::parted($patch));
    }

    /** Two rooms, 10 × 10 and 6 × 10, joined by a passage whose sides have moved 0.5 past each other. */
    public function testItPartsWhereItsSidesHavePassedEachOther(): void
    {
        $hole = new Ring([new Vec2(22.0, 4.0), new Vec2(22.0, 6.0), new Vec2(24.0, 6.0), new Vec2(24.0, 4.0)]);
        $patch = self::patch(
            [[0, 0], [10, 0], [10, 5.25], [20, 5.25], [20, 0], [26, 0], [26, 10], [20, 10], [20, 4.75], [10, 4.75], [10, 10], [0, 10]],
            ['front', 'r', 'low', 'l2', 'front2', 'r2', 'back2', 'l2', 'high', 'r', 'back', 'l'],
            $hole,
        );
        $parted = Necks::parted($patch);
        self::assertSame([100.0, 56.0], array_map(static fn (Patch $p): float => round($p->area(), 6), $parted));
        self::assertSame([0, 1], array_map(static fn (Patch $p): int => count($p->holes), $parted));
        self::assertContains('front', $parted[0]->labels);
        self::assertContains('front2', $parted[1]->labels);
        self::assertSame([], array_intersect($parted[0]->labels, ['front2', 'r2', 'back2']));
        self::assertNull($parted[0]->outline->crossing());
        self::assertNull($parted[1]->outline->crossing());
    }

    /** A sliver turned inside out is nothing. */
    public function testWhatIsTurnedInsideOutIsLeftOut(): void
    {
        $patch = self::patch([[0, 0], [10, 0], [10, 5], [30, 5.2], [30, 4.8], [10, 5.001], [10, 10], [0, 10]], range('a', 'h'));
        $parted = Necks::parted($patch);
        self::assertCount(1, $parted);
        self::assertEqualsWithDelta(100.0, $parted[0]->area(), 0.01);
    }

    /**
     * @param  non-empty-list<array{float|int, float|int}>  $points
     * @param  non-empty-list<string>  $labels
     */
    private static function patch(array $points, array $labels, ?Ring $hole = null): Patch
    {
        return new Patch(
            new Ring(array_map(static fn (array $p): Vec2 => new Vec2((float) $p[0], (float) $p[1]), $points)),
            $labels,
            $hole === null ? [] : [$hole],
            $hole === null ? [] : [['hole', 'hole', 'hole', 'hole']],
        );
    }
}
