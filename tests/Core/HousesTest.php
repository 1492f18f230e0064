<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Problem\InvalidInput;
use LogicException;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\EditChain;
use Tests\Support\House\Known;
use Tests\Support\House\Outside;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;
use Throwable;

/** Houses as people measure them. */
final class HousesTest extends TestCase
{
    private const ALL = 600;

    private const QUICK = 16;

    /**
     * Nothing but a refusal is ever thrown; what goes together is closed, judged from the document and the placed boards alone; and
     * every house that does not become a kit that goes together is known, with its reason.
     */
    #[Group('property')]
    public function testWhatGoesTogetherIsClosed(): void
    {
        $open = [];
        $made = 0;
        $tried = Property::holds(self::houses(), function (stdClass $document) use (&$open, &$made): ?string {
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput $e) {
                return 'refused: '.$e->problems[0]->line();
            } catch (Throwable $e) {
                throw new LogicException($e::class.' “'.$e->getMessage()."” at {$e->getFile()}:{$e->getLine()}: ".json_encode($document));
            }
            $made++;
            if (! $derived->dryFit->goesTogether()) {
                return 'red: '.$derived->dryFit->findings[0]->text;
            }
            $found = Outside::open($derived->described, Kits::serialised($derived))[0] ?? null;
            $open = [...$open, ...($found === null ? [] : [$derived->described->name.': '.$found])];

            return null;
        }, Known::REFUSED + Known::RED);
        self::assertSame([], $open, 'green and open');
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

    /** 278: a mansard on eighteen corners, whose break lies a hair below its ridge, so that of some planes nothing is left. */
    #[TestWith([278])]
    #[TestWith([12])]
    public function testAHouseThatIsEditedIsMadeOrRefused(int $seed): void
    {
        $made = 0;
        foreach ((new EditChain($seed))->documents(5) as $document) {
            try {
                Kits::of($document);
                $made++;
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->problems);
            }
        }
        self::assertGreaterThan(2, $made);
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
