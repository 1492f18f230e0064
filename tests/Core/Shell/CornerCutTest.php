<?php

declare(strict_types=1);

namespace Tests\Core\Shell;

use Chartula\Core\Shell\CornerCut;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CornerCutTest extends TestCase
{
    #[DataProvider('provideCorners')]
    public function testStartsOfFaces(float $m, float $d, float $theta, float $start): void
    {
        self::assertEqualsWithDelta($start, CornerCut::start($m, $d, $theta), 0.0005);
    }

    /** @return iterable<string, array{float, float, float, float}> worked by hand, walls 1.5 thick */
    public static function provideCorners(): iterable
    {
        yield 'square, stopped' => [0.0, 1.5, 90.0, 1.5];
        yield 'square, stopped, inner face' => [1.5, 1.5, 90.0, 1.5];
        yield '135, stopped outside' => [0.0, 1.5, 135.0, 2.121];
        yield '135, stopped inside' => [1.5, 1.5, 135.0, 0.621];
        yield '135, through inside' => [1.5, 0.0, 135.0, -1.5];
        yield '270, through runs past' => [0.0, 1.5, 270.0, -1.5];
        yield '60, stopped outside' => [0.0, 1.5, 60.0, 1.732];
        yield '60, stopped inside' => [1.5, 1.5, 60.0, 2.598];
        yield '60, through inside' => [1.5, 0.0, 60.0, 0.866];
    }
}
