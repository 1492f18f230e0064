<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Palette;
use Chartula\Core\Skin\BrickLayout;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sample;

/** Bricks that run through, and are broken under openings. In bricks, courses of 1, from 5 to 15 beside openings. docs/formulas.md#bonds */
final class ThroughBondTest extends TestCase
{
    private const JOINT = 0.05;

    private const WALLS = 40;

    /** A face of 10½ with an opening from 3 to 5½: joints by hand, what is over in halves lies under the opening. */
    public function testStretchersByHand(): void
    {
        $layout = self::layout(BrickBond::Stretcher, 10.5, [[3.0, 5.5]]);
        self::assertJoints([1.0, 2.0], [6.5, 7.5, 8.5, 9.5], $layout->course(8));
        self::assertJoints([0.5, 1.5, 2.5], [6.0, 7.0, 8.0, 9.0, 10.0], $layout->course(9));
        // From the left whole ones to 4, from the right to 4½, and between them a half; over that two three-quarter bats.
        self::assertJoints([1.0, 2.0, 3.0, 4.0, 4.5], [5.5, 6.5, 7.5, 8.5, 9.5], $layout->course(2));
        self::assertJoints([0.5, 1.5, 2.5, 3.5, 4.25], [5.0, 6.0, 7.0, 8.0, 9.0, 10.0], $layout->course(3));
    }

    /** In Flemish a jamb at 3½ is of a stretcher, and over that of a header with a three-quarter bat: no closer lies at it. */
    public function testFlemishJambsByHand(): void
    {
        $layout = self::layout(BrickBond::Flemish, 12.0, [[3.5, 7.0]]);
        self::assertJoints([1.0, 1.5, 2.5], [], array_filter($layout->course(8), static fn (Box2 $b): bool => $b->x1 <= 3.5));
        self::assertJoints([0.5, 0.75, 1.75, 2.25, 3.0], [], array_filter($layout->course(9), static fn (Box2 $b): bool => $b->x1 <= 3.5));
        self::assertJoints([1.0, 1.5, 2.5, 3.0], [], array_slice($layout->course(2), 0, 5), 4.0);
    }

    /** @return iterable<string, array{BrickBond, bool}> */
    public static function provideBonds(): iterable
    {
        foreach (BrickBond::cases() as $bond) {
            yield $bond->value => [$bond, false];
            yield "$bond->value, as on walls that meet it" => [$bond, true];
        }
    }

    /**
     * Walls of one to three openings on any figures: away from jambs and ends every joint beside openings has one in line under them,
     * joints of two courses never lie over each other but where two three-quarter bats must, and nothing is shorter than a closer.
     */
    #[DataProvider('provideBonds')]
    public function testJointsStayInLine(BrickBond $bond, bool $swapped): void
    {
        mt_srand(Sample::seed() + 7);
        [$asked, $off, $over] = [0, 0, 0];
        for ($wall = 0; $wall < self::WALLS; $wall++) {
            [$length, $openings] = self::wall();
            $layout = self::layout($bond, $length, $openings, $swapped);
            $joints = [];
            for ($course = 0; $course < 18; $course++) {
                $bricks = $layout->course($course);
                foreach ($bricks as $brick) {
                    self::assertGreaterThan(0.1, $brick->width(), "wall $wall, course $course");
                }
                $beside = $course >= 5 && $course < 15 ? $openings : [];
                $all = array_sum(array_map(static fn (Box2 $b): float => $b->width(), $bricks))
                    + array_sum(array_map(static fn (array $o): float => $o[1] - $o[0], $beside));
                self::assertEqualsWithDelta($length, $all + self::JOINT * (count($bricks) - 1 - count($beside)), 0.001);
                $joints[$course] = self::away(self::joints($bricks), $length, $openings, 1.6);
            }
            foreach ([8, 9, 10, 11] as $course) {
                $asked += count($joints[$course]);
                $off += count(array_filter($joints[$course], static fn (float $x): bool => ! self::isAmong($x, $joints[$course - 8])));
            }
            foreach ($joints as $course => $own) {
                $isSame = $course > 0 && $course !== 5 && $course !== 15;
                $over += $isSame ? count(array_filter($own, static fn (float $x): bool => self::isAmong($x, $joints[$course - 1]))) : 0;
            }
        }
        self::assertGreaterThan(500, $asked);
        self::assertLessThanOrEqual(0.01 * $asked, $off, "$off of $asked not in line");
        // Two three-quarter bats have their joint over that of a closer, in the row of headers over them.
        $most = $bond === BrickBond::EnglishGarden ? self::WALLS : 0.01 * $asked;
        self::assertLessThanOrEqual($most, $over, "$over of $asked over each other");
    }

    /** @return array{float, list<array{float, float}>} */
    private static function wall(): array
    {
        $openings = [];
        $x = mt_rand(200, 800) / 100.0;
        for ($n = mt_rand(1, 3); $n > 0; $n--) {
            $openings[] = [$x, $x + mt_rand(120, 500) / 100.0];
            $x = $openings[count($openings) - 1][1] + mt_rand(200, 800) / 100.0;
        }

        return [$x, $openings];
    }

    /**
     * @param  list<float>  $joints
     * @param  list<array{float, float}>  $openings
     * @return list<float>
     */
    private static function away(array $joints, float $length, array $openings, float $by): array
    {
        $ends = [0.0, $length, ...array_merge(...$openings)];

        return array_values(array_filter($joints, static fn (float $x): bool =>
            min(array_map(static fn (float $end): float => abs($x - $end), $ends)) > $by));
    }

    /** @param  list<float>  $joints */
    private static function isAmong(float $x, array $joints): bool
    {
        return array_filter($joints, static fn (float $other): bool => abs($x - $other) < self::JOINT) !== [];
    }

    /**
     * @param  array<int, Box2>  $bricks
     * @return list<float> the middles of the joints between them
     */
    private static function joints(array $bricks): array
    {
        $joints = [];
        foreach (array_slice($bricks, 1) as $i => $brick) {
            $before = array_values($bricks)[$i];
            array_push($joints, ...$brick->x0 - $before->x1 < 2.0 * self::JOINT ? [($before->x1 + $brick->x0) / 2.0] : []);
        }

        return $joints;
    }

    /**
     * @param  list<float>  $left
     * @param  list<float>  $right
     * @param  array<int, Box2>  $bricks
     */
    private static function assertJoints(array $left, array $right, array $bricks, float $upTo = INF): void
    {
        $found = array_values(array_filter(self::joints($bricks), static fn (float $x): bool => $x < $upTo));
        self::assertCount(count($left) + count($right), $found, (string) json_encode($found));
        foreach ([...$left, ...$right] as $i => $x) {
            self::assertEqualsWithDelta($x, $found[$i], 1e-6);
        }
    }

    /** @param  list<array{float, float}>  $openings */
    private static function layout(BrickBond $bond, float $length, array $openings, bool $swapped = false): BrickLayout
    {
        $bricks = new Bricks($bond, 1.0, 1.0, self::JOINT, Palette::of('#a65f4a'), '#d5cbb9', true);
        $jambs = array_map(static fn (array $o): Box2 => new Box2($o[0], 5.0, $o[1], 15.0), $openings);

        return new BrickLayout(new FaceArt($bricks, 0.0, $swapped, [0.0, $length], $jambs), $bricks);
    }
}
