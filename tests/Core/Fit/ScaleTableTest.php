<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

final class ScaleTableTest extends TestCase
{
    public function testTheOfficeAtEveryUsualScaleAndAtOneThatWasTyped(): void
    {
        $table = ScaleTable::of(JsonText::decode(Kits::exampleText('weigh-office')), [50.0]);
        $rows = array_column($table['rows'], null, 'scale');
        self::assertSame(['1:22.5', '1:43.5', '1:50', '1:76.2', '1:87.1', '1:148', '1:160'], array_keys($rows));
        self::assertSame([76.2, true, false], [$table['here'], $rows['1:76.2']['here'], $rows['1:50']['here']]);
        self::assertSame(
            [76.76, 39.71, 22.67, 19.83, 11.67, 10.8],
            array_map(static fn (string $s): mixed => $rows[$s]['figure_mm'], ['1:22.5', '1:43.5', '1:76.2', '1:87.1', '1:148', '1:160']),
        );
        self::assertSame(51.49, $rows['1:148']['percent']);
        self::assertSame('3in', $rows['1:76.2']['card_real']);
        self::assertSame([true, false], [$rows['1:76.2']['fits'], $rows['1:43.5']['fits']]);
        self::assertSame([], $rows['1:43.5']['fine']);
        self::assertNotSame([], $rows['1:87.1']['fine']);
        self::assertStringContainsString('neighbouring wall', (string) json_encode($rows['1:160']['faults']));
    }

    /** At half the scale everything but card and paper is twice as large. */
    public function testOnlyWhatIsRealGrows(): void
    {
        $table = ScaleTable::of(Kits::box('17m', '6m', '4m', 45.0), [100.0, 200.0]);
        $rows = array_column($table['rows'], null, 'scale');
        [$large, $small] = [$rows['1:100']['size'], $rows['1:200']['size']];
        self::assertIsArray($large);
        self::assertIsArray($small);
        self::assertSame([170.0, 85.0], [$large['width'], $small['width']]);
        // Depth: 60 and 30, and what 1 mm of card at 45° adds on either side.
        self::assertEqualsWithDelta([60.0 + sqrt(2.0), 30.0 + sqrt(2.0)], [$large['depth'], $small['depth']], 0.01);
        self::assertContains(['what' => 'the thickness of greyboard 1 mm', 'mm' => '1.00 mm'], $table['kept']);
        self::assertNotSame([], $table['scaled']);
    }

    public function testAScaleAtWhichItCannotBeMadeSaysWhy(): void
    {
        $rows = array_column(ScaleTable::of(JsonText::decode(Kits::exampleText('weigh-office')), [1000.0])['rows'], null, 'scale');
        self::assertNull($rows['1:1000']['size']);
        self::assertNotSame([], $rows['1:1000']['faults']);
        $this->expectException(InvalidInput::class);
        ScaleTable::of(JsonText::decode(Kits::exampleText('weigh-office')), [1001.0]);
    }

    /** The creamery stands over both ends of its plot; a scale smaller it only stands over one. */
    public function testWhatFitsOnceMoved(): void
    {
        $rows = array_column(ScaleTable::of(JsonText::decode(Kits::exampleText('creamery')), [])['rows'], null, 'scale');
        self::assertSame([false, false], [$rows['1:76.2']['fits'], $rows['1:76.2']['moved']]);
        self::assertSame([false, true], [$rows['1:87.1']['fits'], $rows['1:87.1']['moved']]);
        $office = array_column(ScaleTable::of(JsonText::decode(Kits::exampleText('weigh-office')), [])['rows'], null, 'scale');
        self::assertSame([true, false], [$office['1:76.2']['fits'], $office['1:76.2']['moved']]);
    }
}
