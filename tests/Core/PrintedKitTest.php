<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\PrintedKit;
use Chartula\Core\Sheets\Wanted;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

/** The kit as it is printed, without the proof. */
final class PrintedKitTest extends TestCase
{
    public function testASheetByItselfIsTheOneOfAllSheets(): void
    {
        $kit = self::office();
        $all = $kit->drawings('revision 3');
        self::assertCount(2, $all);
        $alone = array_map(static fn (int $n): ?Drawing => $kit->drawing($n, 'revision 3'), range(1, 2));
        self::assertSame(array_map(SvgWriter::write(...), $all), array_map(SvgWriter::write(...), array_filter($alone)));
        self::assertNull($kit->drawing(0));
        self::assertNull($kit->drawing(3));
    }

    public function testAFewPiecesAreLaidOnASheetOfTheirOwn(): void
    {
        $only = ['main.front.core#0'];
        $sheet = self::office()->drawing(1, '', new Wanted(only: $only, words: 'stale pieces'));
        self::assertNotNull($sheet);
        self::assertStringContainsString('Front wall', SvgWriter::write($sheet));
        self::assertStringContainsString('1 of 1', SvgWriter::write($sheet));
        self::assertStringContainsString('Stale pieces, Weigh', SvgWriter::write($sheet), 'headed as what it is');
        self::assertNull(self::office()->drawing(2, '', new Wanted(only: $only)));
    }

    public function testABlockOrAWallIsPrintedAlone(): void
    {
        $kit = self::office();
        $wall = (new Wanted)->of($kit->kit, ['main.front']);
        $ids = array_map(static fn (string $key): string => explode('#', $key)[0], $wall->only ?? []);
        self::assertContains('main.front.paper', $ids);
        self::assertContains('main.front.core', $ids);
        self::assertSame([], array_filter($ids, static fn (string $id): bool => ! str_starts_with($id, 'main.front')));
        self::assertSame(count($kit->kit->parts), count(array_unique(array_map(
            static fn (string $key): string => explode('#', $key)[0],
            (new Wanted)->of($kit->kit, ['main'])->only ?? [],
        ))));
        $sheet = $kit->drawing(1, '', $wall);
        self::assertNotNull($sheet);
        self::assertStringContainsString(' front, Weigh', SvgWriter::write($sheet));
        $trial = (new Wanted)->trial($kit->kit);
        self::assertCount(20, $trial->only ?? [], '27 pieces less 4 papers and 3 panes');
        self::assertStringContainsString('Trial in packet card, ', SvgWriter::write($kit->drawing(1, '', $trial) ?? self::fail('a sheet')));
        $this->expectExceptionMessage('there is no block or wall “annex”; the blocks are main');
        (new Wanted)->of($kit->kit, ['annex']);
    }

    public function testItIsTheKitThatIsProven(): void
    {
        $proven = Kits::example('weigh-office')->printed;
        self::assertEquals(array_column($proven->kit->parts, 'cut'), array_column(self::office()->kit->parts, 'cut'));
        self::assertEquals($proven->plan, self::office()->plan);
    }

    private static function office(): PrintedKit
    {
        return PrintedKit::of(BuildingReader::fromText((string) file_get_contents(dirname(__DIR__).'/Buildings/weigh-office.json')));
    }
}
