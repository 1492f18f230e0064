<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthText;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Measure\World;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTextTest extends TestCase
{
    #[DataProvider('provideLengths')]
    public function testReadsLengthsAsPeopleWriteThem(string $text, float $mm, ?World $world = null): void
    {
        $parsed = (new LengthText(Gauge::imperial()))->parse($text, 'at');
        self::assertEqualsWithDelta($mm, $parsed->mm, 1e-9);
        self::assertSame($world, $parsed->world);
    }

    /** @return iterable<string, array{0: string, 1: float, 2?: World}> */
    public static function provideLengths(): iterable
    {
        yield 'feet' => ['18ft', 5486.4];
        yield 'feet and inches with marks' => ["18' 6\"", 5638.8];
        yield 'typographic marks' => ['7′6″', 2286.0];
        yield 'feet and a fraction of an inch' => ['4ft 1/2in', 1231.9];
        yield 'inches over twelve' => ['30in', 762.0];
        yield 'whole and fraction' => ['4 1/2in', 114.3];
        yield 'decimal feet' => ['2.5ft', 762.0];
        yield 'metres' => ['1.07m', 1070.0];
        yield 'centimetres, spaced' => ['22.5 cm', 225.0];
        yield 'millimetres' => ['1070mm', 1070.0];
        yield 'yards' => ['2yd', 1828.8];
        yield 'thousandths' => ['40thou', 1.016];
        yield 'bricks at 9in' => ['38br', 8686.8];
        yield 'courses at 3in' => ['52co', 3962.4];
        yield 'half a brick' => ['1/2br', 114.3];
        yield 'negative' => ['-3ft', -914.4];
        yield 'as a telephone writes it' => ['9’ 3”', 2819.4];
        yield 'inches without their mark' => ['9ft6', 2895.6];
        yield 'the same, spaced' => ["9' 6", 2895.6];
        yield 'in words' => ['36 bricks', 8229.6];
        yield 'a course' => ['1 course', 76.2];
        yield 'with a stop' => ['12 ft.', 3657.6];
        yield 'feet and inches in words' => ['12 feet 6 inches', 3810.0];
        yield 'a decimal comma' => ['1,5m', 1500.0];
        yield 'nothing' => ['0', 0.0];
        yield 'a sum' => ['3ft - 4in', 812.8];
        yield 'a longer sum' => ['3ft + 2br - 1/2in', 914.4 + 457.2 - 12.7];
        yield 'of the model' => ['1.5mm model', 1.5, World::Model];
        yield 'of the prototype' => ['20ft real', 6096.0, World::Real];
    }

    /** 3 ft of the real thing less 4 mm of the model: at 1:76.2 that is 304.8 mm. */
    public function testASumMayGoOverBothWorlds(): void
    {
        $sum = (new LengthText(Gauge::imperial()))->parse('3ft - 4mm model', 'at');
        self::assertEqualsWithDelta(914.4 - 304.8, $sum->in(World::Real, Scale::of(76.2)), 1e-9);
    }

    #[DataProvider('provideFaults')]
    public function testSaysWhatIsWrong(string $text, string $code): void
    {
        try {
            (new LengthText(Gauge::imperial()))->parse($text, 'blocks.0.eaves');
            self::fail("“{$text}” was read");
        } catch (InvalidInput $e) {
            self::assertSame('blocks.0.eaves', $e->problems[0]->path);
            self::assertSame($code, $e->problems[0]->code);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function provideFaults(): iterable
    {
        yield 'no unit' => ['18', 'length.no-unit'];
        yield 'empty' => ['', 'length.not-understood'];
        yield 'words' => ['a yard', 'length.not-understood'];
        yield 'thousands separator' => ['1,070mm', 'length.not-understood'];
        yield 'exponent' => ['1e3mm', 'length.not-understood'];
        yield 'twelve inches after feet' => ['4ft 12in', 'length.inches'];
        yield 'over nothing' => ['1/0in', 'length.zero-denominator'];
        yield 'leading blank' => [' 3ft', 'length.not-understood'];
        yield 'trailing line break' => ["3ft\n", 'length.not-understood'];
        yield 'two worlds' => ['3ft real model', 'length.not-understood'];
        yield 'inches before feet' => ['6in 3ft', 'length.not-understood'];
        yield 'a sum with nothing behind it' => ['3ft - ', 'length.not-understood'];
        yield 'a sum of bare figures' => ['3 - 4', 'length.not-understood'];
        yield 'very long' => [str_repeat('9', 500).'mm', 'length.not-understood'];
    }
}
