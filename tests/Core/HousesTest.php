<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\House\Outside;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;
use Throwable;

/** Houses as people measure them. */
final class HousesTest extends TestCase
{
    /** Seeds of houses that go together and are open all the same, by reason. */
    private const KNOWN_OPEN = [
        'a butt at an acute corner near square: its width is said in a check' => [
            112, 365, 585,
        ],
    ];

    private const ALL = 600;

    private const QUICK = 16;

    /** Nothing but a refusal is ever thrown; and what goes together is closed, judged from the document and the placed boards alone. */
    #[Group('property')]
    public function testWhatGoesTogetherIsClosed(): void
    {
        $made = 0;
        $tried = Property::holds(self::houses(), function (stdClass $document) use (&$made): ?string {
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                return null;
            } catch (Throwable $e) {
                return $e::class.' “'.$e->getMessage()."” at {$e->getFile()}:{$e->getLine()}";
            }
            $made++;
            // What low relief leaves is not the document's own outline.
            $isJudged = $derived->dryFit->goesTogether() && ! isset($document->relief);

            return $isJudged ? Outside::open(BuildingReader::fromDocument($document), Kits::serialised($derived))[0] ?? null : null;
        }, self::KNOWN_OPEN);
        self::assertGreaterThan($tried / 2, $made);
    }

    /** @return iterable<int, stdClass> by seed */
    private static function houses(): iterable
    {
        for ($i = 0; $i < (Sample::isDeep() ? self::ALL : self::QUICK); $i++) {
            $seed = (Sample::isDeep() ? $i : $i + Sample::seed()) % self::ALL;
            yield $seed => (new HouseGenerator($seed))->document();
        }
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
