<?php

declare(strict_types=1);

namespace Tests\Core\Stock;

use Chartula\Core\Measure\Scale;
use Chartula\Core\Stock\Sizes;
use Chartula\Core\Stock\Stock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SizesTest extends TestCase
{
    #[DataProvider('provideStrips')]
    public function testAStripStandsForSoMuch(float $inches, float $ratio, string $wanted): void
    {
        self::assertSame($wanted, Sizes::ofModel($inches * 25.4, Scale::of($ratio))['imperial']);
    }

    /** @return iterable<string, array{float, float, string}> */
    public static function provideStrips(): iterable
    {
        yield '3/64 in at 1:160' => [3 / 64, 160.0, '7.5 in'];
        yield '3/64 in at 1:87.1' => [3 / 64, 87.1, '4.08 in'];
        yield '3/64 in at 1:76.2' => [3 / 64, 76.2, '3.57 in'];
        yield '1/16 in at 1:87.1' => [1 / 16, 87.1, '5.44 in'];
    }

    public function testASixteenthIsAPlanedSixInchBoardAt87(): void
    {
        self::assertStringContainsString('a 6 in board, planed to 5.5 in', Sizes::ofModel(25.4 / 16.0, Scale::of(87.1))['text']);
    }

    public function testTwoSizesAsFarOffAreBothOffered(): void
    {
        $found = Sizes::nearest(152.4, Scale::of(87.1), []);
        self::assertEqualsWithDelta(1.750, $found['wanted_mm'], 0.0005);
        self::assertSame(['1.5 mm', '2 mm', '1/16 in'], array_column($found['nearest'], 'name'));
        self::assertEqualsWithDelta([-14.3, 14.3, -9.3], array_column($found['nearest'], 'error_percent'), 0.05);
        self::assertSame([false, false, false], array_column($found['nearest'], 'far'));
    }

    public function testWhatIsRightIsSaidToBe(): void
    {
        self::assertStringContainsString('2 mm, which is right', Sizes::nearest(152.4, Scale::of(76.2), [])['text']);
        self::assertStringContainsString(
            'Timber of 6 in, planed, measures 5.5 in: 1.833 mm',
            Sizes::nearest(152.4, Scale::of(76.2), [])['text'],
        );
    }

    public function testMeasuredStockCountsAndWhatIsFarOffIsSaid(): void
    {
        $own = [
            'card' => new Stock('card', 'card', 0.45, [210.0, 297.0], null, true),
            'usual' => new Stock('usual', 'card', 0.44, [210.0, 297.0], null, false),
        ];
        $found = Sizes::nearest(0.44 * 76.2, Scale::of(76.2), $own);
        self::assertSame(['0.5 mm', '1/64 in', 'your card'], array_column($found['nearest'], 'name'));
        self::assertStringContainsString('All of them show', Sizes::nearest(5.0, Scale::of(76.2), [])['text']);
    }
}
