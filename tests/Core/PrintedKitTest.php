<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\PrintedKit;
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
        $sheet = self::office()->drawing(1, '', $only);
        self::assertNotNull($sheet);
        self::assertStringContainsString('Front wall', SvgWriter::write($sheet));
        self::assertStringContainsString('1 of 1', SvgWriter::write($sheet));
        self::assertNull(self::office()->drawing(2, '', $only));
    }

    public function testItIsTheKitThatIsProven(): void
    {
        $proven = Kits::example('weigh-office')->printed;
        self::assertEquals(array_column($proven->kit->parts, 'cut'), array_column(self::office()->kit->parts, 'cut'));
        self::assertEquals($proven->plan, self::office()->plan);
    }

    private static function office(): PrintedKit
    {
        return PrintedKit::of(BuildingReader::fromText((string) file_get_contents(dirname(__DIR__, 2).'/docs/examples/weigh-office.json')));
    }
}
