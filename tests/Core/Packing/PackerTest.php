<?php

declare(strict_types=1);

namespace Tests\Core\Packing;

use Chartula\Core\Packing\Box;
use Chartula\Core\Packing\Packed;
use Chartula\Core\Packing\Packer;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PackerTest extends TestCase
{
    public function testReachesTheKnownYield(): void
    {
        // 64 pieces of 25 × 60 on 198 × 285 with a gap of 2: the bound by area is 1.87, but 28 upright or 30 turned are the
        // most that stand on one, so three.
        $boxes = array_map(static fn (int $i): Box => new Box("p$i", 25.0, 60.0, [60.0, 25.0]), range(1, 64));
        self::assertLessThanOrEqual(3, self::bins((new Packer(198.0, 285.0, 2.0))->pack($boxes)));
        $grain = array_map(static fn (int $i): Box => new Box("p$i", 25.0, 60.0, null), range(1, 28));
        self::assertSame(1, self::bins((new Packer(198.0, 285.0, 2.0))->pack($grain)), '28 upright on one sheet');
    }

    /** Of packings on as few sheets, the one whose last sheet holds least: 7 × 8 alone, since only 6 × 8 leaves room for 4 × 4. */
    public function testLeavesTheMostOfTheLastSheet(): void
    {
        $boxes = [new Box('a', 6.0, 8.0, null), new Box('b', 7.0, 8.0, null), new Box('c', 4.0, 4.0, null)];
        $packed = (new Packer(10.0, 10.0, 0.0))->pack($boxes);
        self::assertSame(2, self::bins($packed));
        $last = array_filter($packed, static fn (Packed $p): bool => $p->bin === 1);
        self::assertSame(['b'], array_values(array_map(static fn (Packed $p): string => $p->box->key, $last)));
    }

    /** @param  list<Packed>  $packed */
    private static function bins(array $packed): int
    {
        return count(array_unique(array_map(static fn (Packed $p): int => $p->bin, $packed)));
    }

    public function testNothingIsLostOrOverlapsOrLeavesTheSheet(): void
    {
        foreach (range(1, 12) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            $boxes = [];
            for ($i = 0; $i < 60; $i++) {
                [$w, $h] = [$random->getInt(30, 900) / 10.0, $random->getInt(30, 1500) / 10.0];
                // On its side a box need not be as wide as it was high.
                $boxes[] = new Box("b$i", $w, $h, $random->getInt(0, 1) === 1 ? [$h + 2.0, $w + 1.0] : null);
            }
            $packed = (new Packer(185.0, 250.0, 2.0))->pack($boxes);
            self::assertCount(60, $packed);
            foreach ($packed as $i => $a) {
                self::assertSame($boxes[$i], $a->box);
                self::assertTrue(
                    $a->x >= 0.0 && $a->y >= 0.0 && $a->x + $a->width() <= 185.0 + 1e-6 && $a->y + $a->height() <= 250.0 + 1e-6,
                    "seed $seed, {$a->box->key} leaves its sheet",
                );
                self::assertTrue($a->box->turned !== null || ! $a->turned);
                foreach (array_slice($packed, $i + 1) as $b) {
                    $apart = $a->bin !== $b->bin || $a->x + $a->width() + 2.0 <= $b->x + 1e-6 || $b->x + $b->width() + 2.0 <= $a->x + 1e-6
                        || $a->y + $a->height() + 2.0 <= $b->y + 1e-6 || $b->y + $b->height() + 2.0 <= $a->y + 1e-6;
                    self::assertTrue($apart, "seed $seed, {$a->box->key} and {$b->box->key}");
                }
            }
        }
    }
}
