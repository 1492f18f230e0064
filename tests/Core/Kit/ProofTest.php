<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\Building;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\DryFit;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;

/**
 * What card must cover comes from the document: a kit cannot excuse itself.
 *
 * @phpstan-type Surface array{name: string, kind: string, outline: list<array{float, float}>, gaps: list<mixed>}
 * @phpstan-type Part array{id: string, group: string, outline: list<array{float, float}>, holes: list<list<array{float, float}>>}
 * @phpstan-type Read array{parts: list<Part>, joints: list<array<string, mixed>>, outside: list<Surface>}
 */
final class ProofTest extends TestCase
{
    private const HOLE = [[20.0, 10.0], [30.0, 10.0], [30.0, 20.0], [20.0, 20.0]];

    /** A hole in a wall is found, whatever the kit says of it. */
    #[TestWith(['no gap'])]
    #[TestWith(['a gap'])]
    #[TestWith(['a hole of the surface'])]
    public function testAHoleIsFoundWhateverTheKitSaysOfIt(string $says): void
    {
        [$kit, $building] = self::read(Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0)));
        $kit['parts'][self::part($kit, 'main.front.core')]['holes'][] = self::HOLE;
        $front = self::surface($kit, 'main.front');
        if ($says === 'a gap') {
            $kit['outside'][$front]['gaps'][] = ['outline' => self::HOLE, 'why' => 'cut square at a corner that is not square'];
        } elseif ($says === 'a hole of the surface') {
            $kit['outside'][$front]['holes'] = [self::HOLE];
        }
        self::assertContains(['outside.cover', 'main.front', 10.0], self::found($kit, $building));
    }

    /**
     * A slot three tenths wide between two millimetres is found, upright or level, in a wall or a slope.
     *
     * @param  array{float, float, float, float}  $slot
     */
    #[TestWith(['main.front.core', 'main.front', [41.3, 10.0, 41.6, 30.0], 20.0])]
    #[TestWith(['main.front.core', 'main.front', [41.0, 20.2, 71.0, 20.5], 0.3])]
    #[TestWith(['main.back-slope.carrier', 'main.back-slope', [41.3, 10.0, 41.6, 30.0], 20.0])]
    #[TestWith(['main.back-slope.carrier', 'main.back-slope', [41.0, 20.2, 71.0, 20.5], 0.3])]
    public function testASlotIsFound(string $part, string $surface, array $slot, float $mm): void
    {
        // At a scale at which no ridge strip covers the slopes.
        $box = json_decode(str_replace('mm"', 'mm model"', (string) json_encode(Kits::box('100mm', '60mm', '40mm', 40.0))));
        assert($box instanceof stdClass);
        [$kit, $building] = self::read(Kits::of(BuildingGenerator::with($box, 'scale', '1:76.2')));
        [$x0, $y0, $x1, $y1] = $slot;
        $kit['parts'][self::part($kit, $part)]['holes'][] = [[$x0, $y0], [$x1, $y0], [$x1, $y1], [$x0, $y1]];
        self::assertContains(['outside.cover', $surface, $mm], self::found($kit, $building));
    }

    /** Where card is, no gap is declared. */
    public function testAFalseGapIsFound(): void
    {
        [$kit, $building] = self::read(Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0)));
        $kit['outside'][self::surface($kit, 'main.front')]['gaps'][] = ['outline' => self::HOLE, 'why' => 'paper covers it'];
        self::assertSame([['outside.gap', 'main.front', 10.0]], self::found($kit, $building));
    }

    /** A board left out with all that the kit says of it is missed all the same. */
    #[TestWith(['main.front.core'])]
    #[TestWith(['main.right.core'])]
    #[TestWith(['main.back-slope.carrier'])]
    public function testABoardLeftOutWithAllThatIsSaidOfItIsMissed(string $id): void
    {
        [$kit, $building] = self::read(Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0)));
        $name = str_replace(['.core', '.carrier'], '', $id);
        unset($kit['parts'][self::part($kit, $id)], $kit['outside'][self::surface($kit, $name)]);
        $kit['parts'] = array_values($kit['parts']);
        $kit['outside'] = array_values($kit['outside']);
        $kit['joints'] = array_values(
            array_filter($kit['joints'], static fn (array $j): bool => ! str_contains((string) json_encode($j), "\"$id\"")),
        );
        self::assertContains(
            ['outside.cover', $name],
            array_map(static fn (array $f): array => [$f[0], $f[1]], self::found($kit, $building)),
        );
    }

    /** A surface that the kit drops or says smaller than it is. */
    #[TestWith(['main.front'])]
    #[TestWith(['main.left'])]
    #[TestWith(['main.front-slope'])]
    public function testASurfaceDroppedOrShrunkIsFound(string $name): void
    {
        [$kit, $building] = self::read(Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0, '3mm', '2mm')));
        $i = self::surface($kit, $name);
        $dropped = $kit;
        unset($dropped['outside'][$i]);
        $dropped['outside'] = array_values($dropped['outside']);
        self::assertSame(['outside.unsaid', $name], array_slice(self::found($dropped, $building)[0] ?? [], 0, 2));
        foreach ($kit['outside'][$i]['outline'] as $k => [$x, $y]) {
            $kit['outside'][$i]['outline'][$k] = [$x * 0.995, $y * 0.995];
        }
        self::assertContains(
            ['outside.unsaid', $name],
            array_map(static fn (array $f): array => [$f[0], $f[1]], self::found($kit, $building)),
        );
    }

    /** A corner butted at 135° is closed by the paper that runs round it, and by nothing where that paper is not there. */
    public function testAPaperThatIsNotThereExcusesNothing(): void
    {
        [$kit, $building] = self::read(Kits::of(self::buttedOctagon()));
        self::assertSame([], self::found($kit, $building));
        $papers = array_filter($kit['parts'], static fn (array $p): bool => $p['group'] === 'skin');
        self::assertNotSame([], $papers);
        $kit['parts'] = array_values(array_filter($kit['parts'], static fn (array $p): bool => $p['group'] !== 'skin'));
        $kit['joints'] = array_values(array_filter($kit['joints'], static function (array $j) use ($papers): bool {
            foreach ($papers as $paper) {
                if (str_contains((string) json_encode($j), "\"{$paper['id']}\"")) {
                    return false;
                }
            }

            return true;
        }));
        self::assertSame(['outside.cover', 'main.edge-1', 40.0], self::found($kit, $building)[0] ?? null);
    }

    /** Of houses as people measure them: any outer board that is left out with all that is said of it, or is cut 1 mm short. */
    #[Group('property')]
    #[TestWith([3])]
    #[TestWith([14])]
    #[TestWith([126])]
    public function testOfAnyHouseNoOuterBoardIsSpared(int $seed): void
    {
        [$kit, $building] = self::read(Kits::of((new HouseGenerator($seed))->document()));
        self::assertSame([], self::found($kit, $building));
        $missed = [];
        $tried = 0;
        foreach ($kit['parts'] as $i => $part) {
            if (preg_match('/(-slope(-\d)?\.c|\.l0)$/', $part['id']) !== 1) {
                continue;
            }
            $tried++;
            $without = $kit;
            unset($without['parts'][$i]);
            $without['parts'] = array_values($without['parts']);
            if (array_filter(self::found($without, $building), static fn (array $f): bool => $f[0] === 'outside.cover') === []) {
                $missed[] = $part['id'];
            }
        }
        self::assertSame([], $missed);
        self::assertGreaterThan(5, $tried);
    }

    private static function buttedOctagon(): stdClass
    {
        $document = BuildingGenerator::with(Kits::octagon(), 'blocks.0.corners', [(object) ['vertex' => 1, 'method' => 'butt']]);
        $walls = array_map(static fn (int $i): stdClass => (object) ['edge' => "edge-$i", 'finish' => 'brick-stretcher'], range(0, 7));

        return BuildingGenerator::with($document, 'blocks.0.walls', $walls);
    }

    /** @return array{Read, Building} */
    private static function read(Derivation $derived): array
    {
        /** @var Read $kit */
        $kit = Kits::serialised($derived);

        return [$kit, $derived->described];
    }

    /**
     * @param  array<string, mixed>  $kit
     * @return list<array{string, string, float}> code, where, millimetres; worst first
     */
    private static function found(array $kit, Building $building): array
    {
        return array_values(array_map(
            static fn ($f): array => [$f->code, $f->at, round($f->mm, 2)],
            array_filter(DryFit::check($kit, $building)->findings, static fn ($f): bool => str_starts_with($f->code, 'outside.')),
        ));
    }

    /** @param  array<string, mixed>  $kit */
    private static function part(array $kit, string $id): int
    {
        return (int) array_search($id, array_column((array) $kit['parts'], 'id'), true);
    }

    /** @param  array<string, mixed>  $kit */
    private static function surface(array $kit, string $name): int
    {
        return (int) array_search($name, array_column((array) $kit['outside'], 'name'), true);
    }
}
