<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\LengthText;
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
        yield 'of the model' => ['1.5mm model', 1.5, World::Model];
        yield 'of the prototype' => ['20ft real', 6096.0, World::Real];
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
        yield 'very long' => [str_repeat('9', 500).'mm', 'length.not-understood'];
    }
}
