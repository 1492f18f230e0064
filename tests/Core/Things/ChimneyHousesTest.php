<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Form\Claims\Site;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Sample;

/**
 * Houses as people measure them, each with one to four chimneys of awkward sizes at awkward places, on their roofs or outside their
 * walls. One that cannot stand where it is put
 * is refused for a reason; with all others the house goes together as it does without.
 */
#[Group('property')]
final class ChimneyHousesTest extends TestCase
{
    /** What a place or a figure may rightly be refused for: no roof there, another thing, a valley, no room for what is said. */
    private const REASONS = [
        'chimney.past-wall', 'chimney.shoulders-low', 'chimney.shoulders-high', 'chimney.shoulders-flat', 'chimney.set-offs',
        'chimney.breast-over-opening', 'thing.blocked', 'thing.past-wall',
        'chimney.solid-on-slope', 'chimney.against-wall',
        'chimney.off-roof', 'chimney.off-wall', 'chimney.in-valley', 'chimney.too-low', 'chimney.too-thin', 'chimney.flues',
        'chimney.courses', 'chimney.sliver', 'chimney.peg-over-wall', 'chimney.solid-over-wall', 'thing.in-the-way',
    ];

    #[DataProvider('provideKinds')]
    public function testHousesGoTogetherWithTheirChimneys(string $kind): void
    {
        $stacks = $houses = 0;
        foreach (range(0, Sample::isDeep() ? 499 : 24) as $seed) {
            $document = (new HouseGenerator($seed))->document();
            $derived = self::of($document);
            if ($derived === null || $derived->dryFit->findings !== []) {
                continue;
            }
            $houses++;
            [$derived, $own] = self::built($kind, $document, $derived, new Randomizer(new Mt19937($seed + 501)));
            $texts = array_map(static fn (Finding $f): string => $f->text, $derived->dryFit->findings);
            self::assertSame([], $texts, "seed $seed");
            $stacks += $own;
        }
        self::assertGreaterThan(15, $houses);
        self::assertGreaterThan(8, $stacks);
    }

    /** @return iterable<string, array{string}> */
    public static function provideKinds(): iterable
    {
        yield 'on roofs' => ['chimney'];
        yield 'outside walls' => ['wall-chimney'];
    }

    /** @return array{Derivation, int} with all chimneys that are not refused, and how many stand */
    private static function built(string $kind, stdClass $document, Derivation $derived, Randomizer $random): array
    {
        for ($i = $random->getInt(1, 4); $i > 0; $i--) {
            assert(is_array($document->blocks));
            $block = $random->getInt(0, count($document->blocks) - 1);
            $footprint = BuildingReader::fromDocument($document)->blocks[$block]->footprint;
            $edge = $random->getInt(0, $footprint->count() - 1);
            $place = [$footprint->edges[$edge], $footprint->length($edge)->mm];
            $had = $document->blocks[$block];
            assert($had instanceof stdClass);
            $one = $kind === 'chimney' ? self::chimney("c$i", $place, $random) : self::outside("c$i", $place, $random);
            $things = [...is_array($had->features ?? null) ? $had->features : [], $one];
            $more = BuildingGenerator::with($document, "blocks.$block.features", $things);
            $tried = self::of($more);
            [$document, $derived] = $tried === null ? [$document, $derived] : [$more, $tried];
        }

        return [$derived, count(array_filter(
            $derived->kit->form->sites,
            static fn (Site $s): bool => $s->feature->kind->name() === $kind,
        ))];
    }

    /** Null where it is refused for a good reason. */
    private static function of(stdClass $document): ?Derivation
    {
        try {
            return Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document));
        } catch (InvalidInput $e) {
            foreach ($e->problems as $problem) {
                // What a house is refused for without any is another test's.
                if (str_contains($problem->path, 'features')) {
                    self::assertContains($problem->code, self::REASONS, $problem->path);
                }
            }

            return null;
        }
    }

    /** @param  array{string, float}  $place  over which edge, and how long that is */
    private static function chimney(string $id, array $place, Randomizer $random): stdClass
    {
        [$edge, $along] = $place;
        $mm = static fn (int $least, int $most): string => (5 * $random->getInt($least, $most)).'mm';
        $length = static fn (int $least, int $most): string => self::length($random, $least, $most);
        $one = static fn (mixed ...$of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $flue = $one('5in', '6in', '8.25in');
        $thing = [
            'kind' => 'chimney', 'id' => $id, 'w' => $length(26, 50), 'd' => $length(20, 36), 'h' => $length(20, 60),
            'made' => $one('through', 'inside', 'notched'), 'above' => $one('ridge', 'roof'),
            'on' => $random->getInt(0, 1) === 1
                ? ['anchor' => 'slope', 'edge' => $edge, 'from' => $mm(40, max(40, (int) ($along / 5.0))), 'in' => $mm(60, 560)]
                : ['anchor' => 'roof-line', 'edge' => $edge, 'line' => 'ridge', 'from' => $mm(60, max(60, (int) ($along / 5.0)))],
            'turn' => $one(0, 0, 0, $random->getInt(-44, 44) + 0.5), 'cap_out' => $one('0in', '2.25in'),
            'flue' => $flue, 'pot_w' => $flue, 'flues' => $random->getInt(1, 2), 'rows' => $one(1, 1, 2),
            'pots' => $one('round', 'tall', 'square', 'louvred'), 'pots_as' => $one('rolled', 'discs', 'rod'),
            'open' => $random->getInt(0, 3), 'oversail' => $random->getInt(0, 4), 'oversail_out' => $one('20mm', '1.25in', '2.25in'),
            'plinth' => $one(0, 0, 1, 4),
            'plinth_out' => $one('35mm', '2.25in'), 'band' => $one(0, 0, 1), 'band_down' => $random->getInt(5, 9),
            'finish' => $one('brick-english', 'stone-ashlar', 'render', 'bare', 'brick-stretcher'),
        ];

        $thing = json_decode((string) json_encode($thing));
        assert($thing instanceof stdClass);

        return $thing;
    }

    /** @param  array{string, float}  $place  before which wall, and how long that is */
    private static function outside(string $id, array $place, Randomizer $random): stdClass
    {
        [$edge, $along] = $place;
        $length = static fn (int $least, int $most): string => self::length($random, $least, $most);
        $one = static fn (mixed ...$of): mixed => $of[$random->getInt(0, count($of) - 1)];
        $from = $one(0, 1) === 0
            ? ['over' => 'middle', 'from' => (5 * $random->getInt(0, 60)).'mm']
            : ['from' => (5 * $random->getInt(60, max(60, (int) ($along / 5.0)))).'mm'];
        $breast = $random->getInt(0, 3) === 0 ? [] : [
            'breast_w' => $length(36, 90), 'stack_at' => $one('left', 'middle', 'right'), 'shoulder' => $length(50, 120),
            'shoulder_h' => $length(16, 50),
        ];
        $setOffs = $random->getInt(0, 1) === 0 ? [] : [
            'set_offs' => $random->getInt(1, 3), 'set_off_up' => $length(40, 60), 'set_off_down' => $length(8, 16),
            'set_off_out' => $one('1in', '35mm', '2.25in', '4.5in'),
        ];
        $thing = json_decode((string) json_encode([
            'kind' => 'wall-chimney', 'id' => $id, 'on' => ['anchor' => 'wall', 'edge' => $edge, ...$from], 'w' => $length(20, 40),
            'd' => $length(15, 30), 'h' => $length(20, 60), 'flue' => '6in', 'pot_w' => '6in', 'cap_out' => $one('0in', '2.25in'),
            'of' => $one('auto', 'auto', 'solid'), 'finish' => $one('brick-english', 'stone-ashlar', 'render', 'bare'),
            ...$breast, ...$setOffs,
        ]));
        assert($thing instanceof stdClass);

        return $thing;
    }

    /** So many inches, in 5 mm steps or by quarters of an inch. */
    private static function length(Randomizer $random, int $least, int $most): string
    {
        return $random->getInt(0, 1) === 1
            ? (5 * $random->getInt($least * 5, $most * 5)).'mm'
            : ($random->getInt(4 * $least, 4 * $most) / 4).'in';
    }
}
