<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\StarterShape;
use Chartula\Core\Derivation;
use Chartula\Core\Output\Docket;
use Chartula\Core\Output\Thoughts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * What is to be thought about, as a person reads it.
 *
 * @phpstan-import-type Thought from Thoughts
 */
final class ThoughtsTest extends TestCase
{
    /** A hotel at 1:148: two floors of five windows each, whose bars are too fine; nobody is told that the upper ones are too high. */
    private static function hotel(): stdClass
    {
        $document = Starter::document('Hotel', StarterShape::Single);
        foreach ([
            'scale' => '1:148', 'blocks.0.footprint.rect' => ['52ft', '22ft'], 'blocks.0.eaves' => '24ft',
            'blocks.0.walls' => [(object) ['edge' => 'front', 'finish' => 'brick-stretcher', 'rows' => [
                (object) ['id' => 'r1', 'style' => 'sash', 'sill' => '2ft 9in', 'count' => 5],
                (object) ['id' => 'r2', 'style' => 'sash', 'sill' => '14ft 9in', 'count' => 5],
            ]]],
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }

    private static function derived(stdClass $document): Derivation
    {
        return Kits::of($document);
    }

    /**
     * @return array<string, mixed>
     *
     * @phpstan-return Thought
     */
    private static function about(Derivation $derived, string $code): array
    {
        foreach (Thoughts::of($derived) as $line) {
            if ($line['code'] === $code) {
                return $line;
            }
        }
        self::fail("nothing about $code");
    }

    public function testALineAFindingWithEveryPlaceByItsName(): void
    {
        $derived = self::derived(self::hotel());
        $lines = Thoughts::of($derived);
        self::assertLessThanOrEqual(12, count($lines));
        self::assertCount(count($lines), array_unique(array_column($lines, 'code')));
        $bars = self::about($derived, 'bar.too-fine');
        self::assertSame(10, $bars['count']);
        self::assertSame('Front, first sash', $bars['places'][0]['where'] ?? null);
        self::assertSame(
            ['stage' => 'shell', 'block' => 'main', 'wall' => 'main.front', 'opening' => 'r1-1'],
            $bars['places'][0]['go'] ?? null,
        );
        $said = json_encode(array_map(static fn (array $l): array => [$l['words'], array_column($l['places'], 'where')], $lines));
        self::assertDoesNotMatchRegularExpression('/main\.|blocks\.|greyboard-|card-0/', (string) $said, 'no path and no id');
    }

    /** The docket counts findings, not places, and none that was left so; a stop cannot be left. */
    public function testWhatIsLeftSoCountsNoMore(): void
    {
        $before = self::derived(self::hotel());
        $bars = self::about($before, 'bar.too-fine');
        $docket = static fn (Derivation $d): string => array_column(Docket::of($d), 'text', 'key')['checks'] ?? '';
        $warnings = count(array_filter(Thoughts::of($before), static fn (array $l): bool => $l['level'] === 'warn'));
        self::assertSame("$warnings thing".($warnings === 1 ? '' : 's').' to look at again', $docket($before));
        $left = BuildingGenerator::with(self::hotel(), 'leave', (object) ['bar.too-fine' => array_column($bars['places'], 'at')]);
        $after = self::derived($left);
        self::assertTrue(self::about($after, 'bar.too-fine')['left']);
        self::assertNotSame($docket($before), $docket($after));
        // One window more, and it is said again.
        $more = BuildingGenerator::with($left, 'blocks.0.walls.0.rows.1.count', 6);
        self::assertFalse(self::about(self::derived($more), 'bar.too-fine')['left']);
    }

    /** Sills are measured from the floor that they stand over; where nobody has said what floors there are, nothing is said so high up. */
    public function testUpperWindowsAreNoHighSills(): void
    {
        $codes = static fn (stdClass $d): array => array_column(Thoughts::of(self::derived($d)), 'code');
        self::assertNotContains('sill.high', $codes(self::hotel()));
        $storeys = [
            (object) ['id' => 'g', 'floor' => '0ft', 'height' => '12ft'], (object) ['id' => 'f', 'floor' => '12ft', 'height' => '12ft'],
        ];
        $document = BuildingGenerator::with(self::hotel(), 'blocks.0.storeys', $storeys);
        self::assertNotContains('sill.high', $codes($document), 'sills 2 ft 9 in over each floor');
        self::assertContains('sill.high', $codes(BuildingGenerator::with($document, 'blocks.0.walls.0.rows.1.sill', '17ft')));
    }

    /** Kinds that a building is begun with are not what it is told about. */
    #[DataProvider('provideShapes')]
    public function testABuildingThatIsBegunHasFewThoughts(string $shape): void
    {
        $document = Starter::document('New', StarterShape::from($shape));
        $document = JsonText::decode(JsonText::encode($document));
        $codes = array_column(Thoughts::of(self::derived($document)), 'code');
        self::assertSame([], preg_grep('/^(bar|stile|reveal|size|door|flap|web)\./', $codes));
    }

    /** @return iterable<string, array{string}> */
    public static function provideShapes(): iterable
    {
        foreach (StarterShape::cases() as $shape) {
            yield $shape->value => [$shape->value];
        }
    }
}
