<?php

declare(strict_types=1);

namespace Tests\Core\Packing;

use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Packing\Bin;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Nesting;
use Chartula\Core\Packing\Packing;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Place;
use Chartula\Core\Packing\Shape;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sample;

final class NestingTest extends TestCase
{
    /** Sets of parts as they were cut, with the fewest sheets known. */
    #[Group('property')]
    #[TestWith(['cottage', 2, Effort::Usual])]
    #[TestWith(['terrace', 5, Effort::Thorough])]
    #[TestWith(['l-house', 4, Effort::Usual])]
    #[TestWith(['church', 4, Effort::Usual])]
    #[TestWith(['mill', 10, Effort::Usual])]
    public function testReachesTheFewestSheetsKnown(string $name, int $fewest, Effort $effort): void
    {
        [$pieces, $bin, $outlines] = self::set($name);
        $found = Nesting::of($pieces, $bin, Sample::isDeep() ? Effort::Thorough : $effort);
        self::assertLessThanOrEqual($fewest, $found->bins);
        self::assertGreaterThanOrEqual(Nesting::bound($pieces, $bin), $found->bins);
        self::assertCount(count($pieces), array_unique(array_map(static fn (Place $p): string => $p->piece->key, $found->places)));
        self::assertKeepsApart($found, $outlines, $bin);
    }

    /**
     * 25 × 60 on 198 × 285 with a gap of 2: 28 upright, 30 turned, and two rows upright with six turned make 32. So 64 lie on two, where
     * grain lets them be turned.
     */
    #[TestWith([32, true, 1])]
    #[TestWith([64, true, 2])]
    #[TestWith([28, false, 1])]
    #[TestWith([29, false, 2])]
    public function testMixesRows(int $count, bool $mayTurn, int $bins): void
    {
        $turns = [0 => Shape::box(25.0, 60.0)] + ($mayTurn ? [90 => Shape::box(60.0, 25.0)] : []);
        $pieces = array_map(static fn (int $i): Piece => new Piece("p$i", $turns), range(1, $count));
        $bin = new Bin(198.0, 285.0, 2.0);
        self::assertSame($bins, Nesting::of($pieces, $bin, Effort::Thorough)->bins);
        // 64 · 27 · 62 of 200 · 287 are 1.87.
        self::assertSame((int) ceil($count * 27.0 * 62.0 / (200.0 * 287.0)), Nesting::bound($pieces, $bin));
    }

    public function testIsNeverWorseThanItsFirstAnswerAndAlwaysTheSame(): void
    {
        [$pieces, $bin] = self::set('l-house');
        $quick = Nesting::of($pieces, $bin, Effort::Quick);
        $usual = Nesting::of($pieces, $bin, Effort::Usual);
        self::assertLessThanOrEqual($quick->cost($bin), $usual->cost($bin));
        self::assertEquals($usual, Nesting::of($pieces, $bin, Effort::Usual));
        self::assertSame(0, Nesting::of([], $bin, Effort::Usual)->bins);
    }

    public function testTwoOfMoreThanHalfASheetNeedTwo(): void
    {
        $pieces = array_map(static fn (int $i): Piece => new Piece("p$i", [0 => Shape::box(60.0, 60.0)]), range(1, 3));
        self::assertSame(3, Nesting::bound($pieces, new Bin(100.0, 100.0, 2.0)));
        self::assertSame(1, Nesting::bound($pieces, new Bin(200.0, 200.0, 2.0)));
    }

    /** @param  array<string, non-empty-list<array{float, float}>>  $outlines  by the piece's name */
    private static function assertKeepsApart(Packing $found, array $outlines, Bin $bin): void
    {
        $lying = [];
        foreach ($found->places as $place) {
            $ring = self::turned($outlines[explode('#', $place->piece->key)[0]], $place->turn);
            $box = $ring->bounds();
            $ring = $ring->moved($place->x - $box->x0, $place->y - $box->y0);
            $box = $ring->bounds();
            self::assertTrue($box->x0 > -1e-6 && $box->y0 > -1e-6 && $box->x1 < $bin->width + 1e-6 && $box->y1 < $bin->height + 1e-6);
            foreach ($lying[$place->bin] ?? [] as [$key, $other]) {
                $isNear = $other->bounds()->grown($bin->gap)->meets($box);
                $near = $isNear ? self::apart($ring, $other) : INF;
                self::assertGreaterThan($bin->gap - 1e-6, $near, "$key and {$place->piece->key} in bin $place->bin");
            }
            $lying[$place->bin][] = [$place->piece->key, $ring];
        }
    }

    private static function apart(Ring $a, Ring $b): float
    {
        $least = INF;
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            foreach ($one->points as $i => $p) {
                $least = min($least, $other->contains($p) ? -1.0 : $other->distanceTo($p));
                foreach ($other->points as $k => $q) {
                    $least = Ring::segmentsMeet($p, $one->point($i + 1), $q, $other->point($k + 1)) ? -1.0 : $least;
                }
            }
        }

        return $least;
    }

    /** @return array{list<Piece>, Bin, array<string, non-empty-list<array{float, float}>>} */
    private static function set(string $name): array
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/fixtures/packing/$name.json");
        /**
         * @var array{
         *     sheet: array{w: float, h: float, margin: float}, gap: float,
         *     parts: list<array{id: string, outline: non-empty-list<array{float, float}>, qty: int, rotations: list<int>}>
         * } $set
         */
        $set = json_decode($text, true, 512, JSON_THROW_ON_ERROR);
        $margin = 2.0 * $set['sheet']['margin'];
        $pieces = $outlines = [];
        foreach ($set['parts'] as $part) {
            $outlines[$part['id']] = $part['outline'];
            $turns = [];
            foreach ($part['rotations'] as $turn) {
                $turns[$turn] = Shape::of([new Region(self::turned($part['outline'], $turn))]);
            }
            foreach (range(1, $part['qty']) as $copy) {
                $pieces[] = new Piece($part['id']."#$copy", $turns === [] ? [0 => Shape::box(1.0, 1.0)] : $turns);
            }
        }

        return [$pieces, new Bin($set['sheet']['w'] - $margin, $set['sheet']['h'] - $margin, $set['gap']), $outlines];
    }

    /** @param  non-empty-list<array{float, float}>  $outline */
    private static function turned(array $outline, int $turn): Ring
    {
        [$c, $s] = [round(cos(deg2rad($turn))), round(sin(deg2rad($turn)))];

        return new Ring(array_map(static fn (array $p): Vec2 => new Vec2($c * $p[0] - $s * $p[1], $s * $p[0] + $c * $p[1]), $outline));
    }
}
