<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\House\Outside;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;
use Throwable;

/** Houses as people measure them. */
final class HousesTest extends TestCase
{
    private const DEEP = 600;

    private const QUICK = 44;

    #[Group('property')]
    public function testEveryHouseIsMadeOrRefused(): void
    {
        $made = 0;
        $broken = [];
        $first = Sample::isDeep() ? 0 : Sample::seed() % self::DEEP;
        foreach (range($first, $first + (Sample::isDeep() ? self::DEEP : self::QUICK) - 1) as $seed) {
            $document = (new HouseGenerator($seed))->document();
            try {
                Kits::of($document);
                $made++;
            } catch (InvalidInput) {
                continue;
            } catch (Throwable $e) {
                $broken[] = "seed $seed: ".$e::class." “{$e->getMessage()}” at {$e->getFile()}:{$e->getLine()} ".json_encode($document);
            }
        }
        self::assertSame([], $broken);
        self::assertGreaterThan(self::QUICK / 2, $made);
    }

    /** Round plans, whose corners are mitred: judged from the document and the placed boards alone they are closed. */
    #[TestWith([3])]
    #[TestWith([14])]
    #[TestWith([47])]
    public function testRoundHousesAreClosed(int $seed): void
    {
        [$building, $kit] = self::house($seed);
        self::assertSame([], Outside::open($building, $kit));
    }

    /** Without any one of its outer boards, or with a hole in one, a house is open, whatever its kit says of itself. */
    #[TestWith([3])]
    #[TestWith([122])]
    public function testAHouseThatLacksABoardIsOpen(int $seed): void
    {
        [$building, $kit] = self::house($seed);
        $outer = array_filter($kit['parts'], static fn (array $p): bool => preg_match('/-slope\.|\.l0$/', $p['id']) === 1);
        self::assertGreaterThan(20, count($outer));
        foreach ($outer as $i => $part) {
            $without = $kit['parts'];
            unset($without[$i]);
            self::assertNotSame([], Outside::open($building, ['parts' => array_values($without)]), $part['id']);
        }
        $holed = $kit['parts'];
        $holed[array_key_first($outer)]['holes'] = [[[3.0, 10.0], [13.0, 10.0], [13.0, 20.0], [3.0, 20.0]]];
        self::assertNotSame([], Outside::open($building, ['parts' => array_values($holed)]), 'a hole');
    }

    /** @return array{Building, array{parts: list<array{id: string, group: string, holes: list<mixed>}>}} */
    private static function house(int $seed): array
    {
        $document = (new HouseGenerator($seed))->document();
        /** @var array{parts: list<array{id: string, group: string, holes: list<mixed>}>} $kit */
        $kit = Kits::serialised(Kits::of($document));

        return [BuildingReader::fromDocument($document), $kit];
    }
}
