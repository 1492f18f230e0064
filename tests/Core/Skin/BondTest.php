<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Palette;
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
        $units = Bond::course(BrickBond::from($bond), $second ? 1 : 0)->fill($runInches / 9.0);
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
        yield 'header, second: three-quarter bats at the quoins' => ['header', true, 36.0, [6.75, 4.5, 4.5, 4.5, 4.5, 4.5, 6.75]];
        yield 'Flemish garden wall, first' => ['flemish-garden', false, 72.0, [9.0, 9.0, 4.5, 9.0, 9.0, 9.0, 4.5, 9.0, 9.0]];
        yield 'Flemish garden wall, second' => [
            'flemish-garden', true, 72.0, [4.5, 2.25, 9.0, 9.0, 9.0, 4.5, 9.0, 9.0, 9.0, 2.25, 4.5],
        ];
        // 27½ in are three bricks that are a sixth of an inch longer each; 31 in three and a half.
        yield 'joints are opened until whole bricks come out' => ['stretcher', false, 27.54, [9.18, 9.18, 9.18]];
        yield 'or half ones' => ['stretcher', false, 30.87, [8.82, 8.82, 4.41, 8.82]];
        yield 'no bat is a sliver: two inches are shared with the brick beside' => ['stretcher', false, 20.0, [5.5, 5.5, 9.0]];
    }

    /** Three courses of stretchers, laid as stretcher bond is, and one of headers, which runs round corners at one level. */
    public function testHeaderCoursesOfAGardenWallRunRound(): void
    {
        foreach ([false, true] as $swapped) {
            $of = static fn (int $course): array => array_map(
                static fn (float $unit): float => round(9.0 * $unit, 4),
                Bond::course(BrickBond::EnglishGarden, $course, $swapped)->fill(4.0),
            );
            self::assertSame([4.5, 2.25, 4.5, 4.5, 4.5, 4.5, 4.5, 2.25, 4.5], $of(3));
            self::assertSame($of(3), $of(-1), 'below the datum, too');
            self::assertSame($swapped ? [4.5, 9.0, 9.0, 9.0, 4.5] : [9.0, 9.0, 9.0, 9.0], $of(0));
            self::assertSame($of(0), $of(2));
            self::assertNotSame($of(0), $of(1));
        }
    }

    public function testCoursesLieOnOneDatumAndStopAtJambs(): void
    {
        // 27 in long at a tenth of an inch a millimetre; a window from 9 to 18 and from course 1 to course 3.
        $window = new Box2(9.0, 3.0, 18.0, 9.0);
        $art = new FaceArt(self::bricks(BrickBond::Stretcher), 0.0, false, [0.0, 27.0], [$window]);
        $first = (new BrickLayout($art, self::bricks(BrickBond::Stretcher)))->course(0);
        self::assertSame([[0.0, 8.75], [9.25, 17.75], [18.25, 27.0]], array_map(static fn (Box2 $b): array => [$b->x0, $b->x1], $first));
        self::assertSame([0.0, 2.5], [$first[0]->y0, $first[0]->y1]);
        $beside = (new BrickLayout($art, self::bricks(BrickBond::Stretcher)))->course(1);
        // Header, half brick; the same from the other jamb.
        self::assertSame(
            [[0.0, 4.25], [4.75, 9.0], [18.0, 22.25], [22.75, 27.0]],
            array_map(static fn (Box2 $b): array => [$b->x0, $b->x1], $beside),
        );
        self::assertCount(
            3 + 4 + 2 + 4,
            (new BrickLayout($art, self::bricks(BrickBond::Stretcher)))->between(0.0, 12.0),
            'courses 0 to 3, with courses 1 and 2 beside the window',
        );
    }

    public function testWallsThatMeetCarryOppositeCourses(): void
    {
        $art = static fn (bool $swapped): FaceArt =>
            new FaceArt(self::bricks(BrickBond::English), 0.0, $swapped, [0.0, 36.0]);
        $of = static fn (bool $swapped): array => (new BrickLayout($art($swapped), self::bricks(BrickBond::English)))->course(0);
        self::assertCount(4, $of(false));
        self::assertCount(9, $of(true));
    }

    private static function bricks(BrickBond $bond): Bricks
    {
        return new Bricks($bond, 9.0, 3.0, 0.5, Palette::of('#a65f4a'), '#d5cbb9');
    }
}
