<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Chartula\Core\Measure\Ordinal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class OrdinalTest extends TestCase
{
    #[TestWith([0, 'first'])]
    #[TestWith([9, 'tenth'])]
    #[TestWith([10, '11th'])]
    #[TestWith([12, '13th'])]
    #[TestWith([20, '21st'])]
    #[TestWith([21, '22nd'])]
    #[TestWith([22, '23rd'])]
    #[TestWith([23, '24th'])]
    #[TestWith([110, '111th'])]
    #[TestWith([121, '122nd'])]
    public function testCountsAsPeopleSayIt(int $index, string $said): void
    {
        self::assertSame($said, Ordinal::of($index));
        self::assertSame("$said sash", Ordinal::among($index, 200, 'sash'));
        self::assertSame('sash', Ordinal::among($index, 1, 'sash'));
    }
}
