<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Chartula\Core\Measure\Figure;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\Workings;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FigureTest extends TestCase
{
    public function testRemembersHowItWasMadeAndCanBeRunAgain(): void
    {
        $figure = Figure::measured(RealLength::entered(5486.4, '18ft', 'blocks.0.footprint.rect.0'), Scale::of(76.2))
            ->less(1.5, 'less the left wall')->plus(0.25, 'plus a little')->times(2.0, '× 2')->over(4.0, '÷ 4');
        // (72 − 1.5 + 0.25) · 2 / 4
        self::assertEqualsWithDelta(35.375, $figure->mm, 1e-12);
        $workings = $figure->workings('width');
        self::assertSame(['measured', '÷', '−', '+', '×', '÷'], array_column($workings['steps'], 'op'));
        self::assertSame('blocks.0.footprint.rect.0', $workings['steps'][0]['from'] ?? null);
        self::assertSame('18ft = 5486.4 mm', $workings['steps'][0]['text']);
        self::assertEqualsWithDelta(35.375, Workings::evaluate($workings['steps']), 1e-9);
    }

    #[DataProvider('provideScales')]
    public function testScales(float $realMm, float $ratio, float $modelMm): void
    {
        $scale = Scale::of($ratio);
        self::assertEqualsWithDelta($modelMm, $scale->modelMm(RealLength::ofMillimetres($realMm)), 0.0005);
    }

    /** @return iterable<string, array{float, float, float}> worked by hand */
    public static function provideScales(): iterable
    {
        yield '2 ft at 1:148' => [609.6, 148.0, 4.119];
        yield '12 in at 1:76.2' => [304.8, 76.2, 4.0];
        yield '18 ft at 1:76.2' => [5486.4, 76.2, 72.0];
        yield 'a figure at 1:87.1' => [1727.0, 87.1, 19.828];
    }

    #[TestWith(['76.2', 'scale.not-understood'])]
    #[TestWith(['1:0.5', 'scale.out-of-range'])]
    #[TestWith(['1:1001', 'scale.out-of-range'])]
    #[TestWith(['2:76', 'scale.not-understood'])]
    public function testRefusesWhatIsNoScale(string $text, string $code): void
    {
        try {
            Scale::parse($text, 'scale');
            self::fail('It was read');
        } catch (InvalidInput $e) {
            self::assertSame($code, $e->problems[0]->code);
        }
    }

    #[TestWith([2286.0, '7ft 6in', '2.286m'])]
    #[TestWith([114.3, '4 1/2in', '114.3mm'])]
    #[TestWith([5486.4, '18ft', '5.4864m'])]
    #[TestWith([-304.8, '-1ft', '-304.8mm'])]
    #[TestWith([0.0, '0in', '0mm'])]
    #[TestWith([304.7, '1ft', '304.7mm'])]
    public function testWritesBothSystems(float $mm, string $imperial, string $metric): void
    {
        self::assertSame($imperial, LengthFormat::imperial($mm));
        self::assertSame($metric, LengthFormat::metric($mm));
    }
}
