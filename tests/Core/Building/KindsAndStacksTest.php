<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\ShippedKinds;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Kinds of openings and the materials, made and changed as a screen does it. */
final class KindsAndStacksTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $edits */
    private static function edited(array $edits, string $of = 'weigh-office'): stdClass
    {
        return Edits::apply(JsonText::decode(Kits::exampleText($of)), json_decode((string) json_encode($edits)))->document;
    }

    /** @return list<float> what the parts of a kind measure through, mm, by their thickness */
    private static function thicknesses(stdClass $document, string $pattern): array
    {
        $found = [];
        foreach (Kits::of($document)->kit->parts as $part) {
            if (preg_match($pattern, $part->part->id) === 1) {
                $found[] = round($part->part->thickness, 4);
            }
        }
        sort($found);

        return array_values(array_unique($found));
    }

    public function testANewKindIsPutIntoAWallAndMakesASoundBuilding(): void
    {
        foreach (['window', 'door', 'open'] as $kind) {
            $document = self::edited([['op' => 'add-kind', 'kind' => $kind, 'name' => 'Tall one']]);
            $id = (string) array_key_last(BuildingReader::fromDocument($document)->styles);
            $document = Edits::apply($document, json_decode((string) json_encode([
                ['op' => 'set', 'path' => "styles.$id.w", 'value' => '2ft 7in'],
                ['op' => 'set', 'path' => "styles.$id.h", 'value' => '5ft 9 1/2in'],
                ['op' => 'add-opening', 'wall' => 'main.back', 'style' => $id],
            ])))->document;
            $building = BuildingReader::fromDocument($document);
            self::assertSame('Tall one', $building->styles[$id]->name);
            Kits::of($document);
            $added = array_values(array_filter($building->blocks[0]->walls[2]->openings, static fn ($o): bool => $o->style->id === $id));
            self::assertCount(1, $added, $kind);
            self::assertEqualsWithDelta(31.0 * 25.4, $added[0]->style->w->mm, 1e-9);
        }
    }

    /** Each of those that are shipped is sound, closes in a wall, and has nothing that is too fine to be cut at 1:76.2. */
    public function testThoseThatAreShippedAreSound(): void
    {
        self::assertGreaterThanOrEqual(12, count(ShippedKinds::all()));
        foreach (array_keys(ShippedKinds::all()) as $key) {
            $document = self::edited([
                ['op' => 'set', 'path' => 'blocks.0.walls.2.openings', 'value' => []],
                ['op' => 'set', 'path' => 'blocks.0.eaves', 'value' => '14ft'],
                ['op' => 'add-kind', 'like' => $key],
                ['op' => 'add-opening', 'wall' => 'main.back', 'style' => $key === 'sash' ? 'sash-2' : $key],
            ]);
            $derived = Kits::of($document);
            self::assertSame([], $derived->dryFit->findings, $key);
            $about = array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->at, 'main.back.'));
            $codes = array_map(static fn (Check $c): string => $c->code, array_values($about));
            self::assertSame([], array_intersect($codes, ['bar.too-fine', 'stile.too-fine', 'door.low']), $key);
        }
    }

    public function testOneOfAnotherBuildingIsTakenOverAsItIs(): void
    {
        $other = json_decode('{"kind": "door", "w": "4ft", "h": "7ft", "leaf": {"kind": "braced"}}');
        $styles = get_object_vars((object) self::edited([['op' => 'add-kind', 'as' => $other]])->styles);
        self::assertEquals($other, $styles['door-2']);
        $this->expectException(InvalidInput::class);
        self::edited([['op' => 'add-kind', 'like' => 'marble']]);
    }

    /** A copy takes the opening along that asked for it; the others stay of the first. */
    public function testAKindOfItsOwn(): void
    {
        $before = BuildingReader::fromDocument(self::edited([['op' => 'set', 'path' => 'note', 'value' => 'x']]));
        $wall = $before->blocks[0]->walls[0];
        $chosen = $wall->openings[0];
        $document = self::edited([
            ['op' => 'copy-kind', 'style' => $chosen->style->id, 'wall' => 'main.front', 'id' => $chosen->id],
        ]);
        $after = BuildingReader::fromDocument($document)->blocks[0]->walls[0]->openings;
        self::assertSame($chosen->style->id.'-2', $after[0]->style->id);
        self::assertSame($chosen->style->w->text, $after[0]->style->w->text);
        foreach (array_slice($after, 1) as $i => $other) {
            self::assertSame($wall->openings[$i + 1]->style->id, $other->style->id);
        }
    }

    public function testAKindThatIsInUseStays(): void
    {
        try {
            self::edited([['op' => 'remove-kind', 'style' => 'sash']]);
            self::fail('a kind in use went');
        } catch (InvalidInput $e) {
            self::assertSame('edit.kind-in-use', $e->problems[0]->code);
        }
        $document = self::edited([['op' => 'add-kind'], ['op' => 'remove-kind', 'style' => 'window']]);
        self::assertArrayNotHasKey('window', BuildingReader::fromDocument($document)->styles);
    }

    /**
     * @param  list<string>  $stocks
     * @param  list<float>  $thick  of the walls’ cards, by the template of 0.12 mm that stays on each
     */
    #[DataProvider('provideStacks')]
    public function testWallsAreCutFromWhatIsChosen(array $stocks, array $thick): void
    {
        $document = self::edited([['op' => 'stack-layers', 'stack' => 'wall', 'stocks' => $stocks]]);
        self::assertSame($thick, self::thicknesses($document, '/^main\.(front|left|right|back)\.(face|core)(-\d)?$/'));
    }

    /** @return iterable<string, array{list<string>, list<float>}> */
    public static function provideStacks(): iterable
    {
        yield 'one mount board' => [['mountboard-1.4'], [1.52]];
        yield 'card on board' => [['card-0.25', 'greyboard-1.5'], [0.37, 1.62]];
        // The weigh office has measured these two: 0.52 and 1.05 mm.
        yield 'three layers' => [['card-0.5', 'card-0.25', 'greyboard-1'], [0.37, 0.64, 1.17]];
    }

    /** 0.83 mm, as it was measured, with the template of 0.12 mm on it. */
    public function testAStockOfOnesOwn(): void
    {
        $document = self::edited([
            ['op' => 'add-stock', 'name' => 'Cereal box', 'kind' => 'card', 'thickness' => '0.83mm'],
            ['op' => 'stack-layers', 'stack' => 'wall', 'stocks' => ['cereal-box']],
        ]);
        self::assertSame([0.95], self::thicknesses($document, '/^main\.front\.core$/'));
        self::assertSame('Cereal box 0.83 mm', BuildingReader::fromDocument($document)->methods->shelf['cereal-box']->words());
    }

    /** One wall, and one block, of layers of its own: the others keep theirs. */
    public function testAStackOfItsOwn(): void
    {
        $wall = self::edited([
            ['op' => 'own-stack', 'wall' => 'main.front'], ['op' => 'stack-layers', 'stack' => 'stack 2', 'stocks' => ['greyboard-2']],
        ]);
        self::assertSame([2.12], self::thicknesses($wall, '/^main\.front\.(face|core)/'));
        $left = '/^main\.left\.(face|core)/';
        self::assertSame(self::thicknesses(self::edited([['op' => 'add-kind']]), $left), self::thicknesses($wall, $left));

        $block = self::edited([
            ['op' => 'own-stack', 'block' => 'hall'], ['op' => 'stack-layers', 'stack' => 'stack 2', 'stocks' => ['greyboard-2']],
        ], 'creamery');
        self::assertSame([2.12], self::thicknesses($block, '/^hall\.(front|left|right|back)\.(face|core)/'));
        $usual = self::thicknesses(self::edited([['op' => 'add-kind']], 'creamery'), '/^hall\.(front|left|right|back)\.(face|core)/');
        $others = self::thicknesses($block, '/^(?!hall)[a-z-]+\.(front|left|right|back)\.(face|core)/');
        self::assertNotContains(2.12, $others);
        self::assertEqualsCanonicalizing($usual, $others);
    }

    public function testAStackThatIsNotThereIsSaid(): void
    {
        $document = self::edited([['op' => 'set', 'path' => 'blocks.0.stack', 'value' => 'brick']]);
        $faults = BuildingReader::reading($document)->faults;
        self::assertSame(['blocks.0.stack'], array_map(static fn ($p): string => $p->path, $faults));
        self::assertSame('unknown-stack', $faults[0]->code);
    }
}
