<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Storeys of the weigh office, courses 3 in. docs/formulas.md#storeys */
final class StoreyChecksTest extends TestCase
{
    /**
     * @param  list<array{string, string}>  $storeys  floors and heights
     * @param  array<string, string>  $said  what, by code
     */
    #[DataProvider('provideStoreys')]
    public function testStoreysStandOnEachOtherAndComeToTheEaves(array $storeys, string $eaves, array $said): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.eaves', $eaves);
        $all = [];
        foreach ($storeys as $i => [$floor, $height]) {
            $all[] = (object) ['id' => "s$i", 'name' => ['ground', 'upper'][$i], 'floor' => $floor, 'height' => $height];
        }
        $document = BuildingGenerator::with($document, 'blocks.0.storeys', $all);
        $found = [];
        foreach (Kits::of($document)->checks as $check) {
            $found += str_starts_with($check->code, 'storeys.') ? [$check->code => $check] : [];
        }
        self::assertSame(array_keys($said), array_keys($found));
        foreach ($said as $code => $words) {
            self::assertInstanceOf(Check::class, $found[$code]);
            self::assertStringContainsString($words, $found[$code]->text);
        }
    }

    /** @return iterable<string, array{list<array{string, string}>, string, array<string, string>}> */
    public static function provideStoreys(): iterable
    {
        // 9 in + 9 ft + 12 in + 8 ft 6 in + 1 ft: 20 ft 3 in, 81 courses.
        yield 'as they are to be' => [[['9in', '9ft'], ['10ft 9in', '8ft 6in']], '20ft 3in', []];
        yield 'one into another' => [[['0ft', '9ft 6in'], ['9ft', '8ft']], '18ft', [
            'storeys.overlap' => 'reaches 6in over the floor of “upper”',
        ]];
        yield 'into the roof' => [[['0ft', '9ft'], ['10ft', '8ft']], '17ft 3in', ['storeys.over-eaves' => 'come to 9in over its eaves']];
        yield 'off the courses' => [[['1in', '9ft'], ['10ft', '8ft']], '18ft 1 1/2in', [
            'storeys.courses' => 'the floor of “ground” 1in above, the eaves 1 1/2in below',
        ]];
    }
}
