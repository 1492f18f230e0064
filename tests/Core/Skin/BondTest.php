<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Skin\Bond;
use Chartula\Core\Skin\BrickLayout;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BondTest extends TestCase
{
    /**
     * @param  list<float>  $inches
     */
    #[DataProvider('provideRuns')]
    public function testFillsARunFromBothEnds(string $bond, bool $second, float $runInches, array $inches): void
    {
        $units = Bond::course(BrickBond::from($bond), $second)->fill($runInches / 9.0);
        $found = array_map(static fn (float $unit): float => round($unit * 9.0, 4), $units);
        self::assertSame($inches, $found);
    }

    /** @return iterable<string, array{string, bool, float, list<float>}> laid by hand, in inches: stretcher 9, header 4½, closer 2¼ */
    public static function provideRuns(): iterable
    {
        yield 'stretcher, first' => ['stretcher', false, 27.0, [9.0, 9.0, 9.0]];
        yield 'stretcher, second' => ['stretcher', true, 27.0, [4.5, 9.0, 9.0, 4.5]];
        yield 'English, first' => ['english', false, 36.0, [9.0, 9.0, 9.0, 9.0]];
        yield 'English, second: closer beside the quoin header' => ['english', true, 36.0, [4.5, 2.25, 4.5, 4.5, 4.5, 4.5, 4.5, 2.25, 4.5]];
        yield 'Flemish, first' => ['flemish', false, 36.0, [9.0, 4.5, 9.0, 4.5, 9.0]];
        yield 'Flemish, second' => ['flemish', true, 36.0, [4.5, 2.25, 9.0, 4.5, 9.0, 2.25, 4.5]];
        // 27½ in are three bricks that are a sixth of an inch longer each; 31 in three and a half.
        yield 'joints are opened until whole bricks come out' => ['stretcher', false, 27.54, [9.18, 9.18, 9.18]];
        yield 'or half ones' => ['stretcher', false, 30.87, [8.82, 8.82, 4.41, 8.82]];
        yield 'no bat is a sliver: two inches are shared with the brick beside' => ['stretcher', false, 20.0, [5.5, 5.5, 9.0]];
    }

    public function testCoursesLieOnOneDatumAndStopAtJambs(): void
    {
        // 27 in long at a tenth of an inch a millimetre; a window from 9 to 18 and from course 1 to course 3.
        $window = new Box2(9.0, 3.0, 18.0, 9.0);
        $art = new BrickArt(BrickBond::Stretcher, 9.0, 3.0, 0.5, 0.0, false, [0.0, 27.0], [$window], '#a65f4a', '#d5cbb9');
        $first = (new BrickLayout($art))->course(0);
        self::assertSame([[0.0, 8.75], [9.25, 17.75], [18.25, 27.0]], array_map(static fn (Box2 $b): array => [$b->x0, $b->x1], $first));
        self::assertSame([0.0, 2.5], [$first[0]->y0, $first[0]->y1]);
        $beside = (new BrickLayout($art))->course(1);
        // Header, half brick; the same from the other jamb.
        self::assertSame(
            [[0.0, 4.25], [4.75, 9.0], [18.0, 22.25], [22.75, 27.0]],
            array_map(static fn (Box2 $b): array => [$b->x0, $b->x1], $beside),
        );
        self::assertCount(
            3 + 4 + 2 + 4,
            (new BrickLayout($art))->bricks(0.0, 12.0),
            'courses 0 to 3, with courses 1 and 2 beside the window',
        );
    }

    public function testWallsThatMeetCarryOppositeCourses(): void
    {
        $art = static fn (bool $swapped): BrickArt =>
            new BrickArt(BrickBond::English, 9.0, 3.0, 0.5, 0.0, $swapped, [0.0, 36.0], [], '#a65f4a', '#d5cbb9');
        $of = static fn (bool $swapped): array => (new BrickLayout($art($swapped)))->course(0);
        self::assertCount(4, $of(false));
        self::assertCount(9, $of(true));
    }
}
