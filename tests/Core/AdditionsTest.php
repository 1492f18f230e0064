<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Additions;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\StarterShape;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What is added to a building leaves one that closes, or is refused with its reason. */
final class AdditionsTest extends TestCase
{
    #[DataProvider('provideAdditions')]
    public function testItCloses(stdClass $document, string $kind, string $beside): void
    {
        $edits = Additions::placed($document, [(object) ['op' => 'add-block', 'kind' => $kind, 'beside' => $beside]]);
        $derived = Kits::of(Edits::apply($document, $edits)->document);
        self::assertCount(count(BuildingReader::fromDocument($document)->blocks) + 1, $derived->described->blocks);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        // What was there is there still, and the new one stands beside it, but for a dormer, which stands on it.
        $blocks = $derived->described->blocks;
        $new = $blocks[count($blocks) - 1];
        $parts = array_count_values(array_map(static fn (LabelledPart $p): string => $p->part->of->block ?? '', $derived->kit->parts));
        self::assertGreaterThan(4, $parts[$new->id] ?? 0);
        foreach ($kind === 'dormer' ? [] : array_slice($blocks, 0, -1) as $other) {
            self::assertLessThan(1e4, Clip::sharedArea(new Region($new->standing()), new Region($other->standing())), $other->name);
        }
    }

    /** @return iterable<string, array{stdClass, string, string}> where the usual place would not close, but for the first */
    public static function provideAdditions(): iterable
    {
        $example = static fn (string $name): stdClass => JsonText::decode(Kits::exampleText($name));
        yield 'a wing of a hut' => [$example('weigh-office'), 'wing', 'main'];
        yield 'a wing in a corner between blocks' => [$example('creamery'), 'wing', 'hall'];
        yield 'a dormer among windows' => [$example('creamery'), 'dormer', 'hall'];
        yield 'a wing of a block that is turned' => [$example('creamery'), 'wing', 'boiler'];
        yield 'a lean-to of a row in low relief' => [$example('ropewalk-row'), 'lean-to', 'sail'];
        yield 'a lean-to of an L' => [Starter::document('L', StarterShape::from('l')), 'lean-to', 'main'];
        yield 'a wing of pavilions' => [Starter::document('P', StarterShape::from('pavilions')), 'wing', 'range'];
    }

    public function testWhatFindsNoPlaceIsRefusedWithItsReason(): void
    {
        $document = JsonText::decode(Kits::exampleText('halt'));
        try {
            Additions::placed($document, [(object) ['op' => 'add-block', 'kind' => 'platform', 'beside' => 'shelter']]);
            self::fail('it found a place');
        } catch (InvalidInput $e) {
            self::assertSame(['edits.0', 'edit.no-place'], [$e->problems[0]->path, $e->problems[0]->code]);
            self::assertStringContainsString('a platform finds no place', $e->problems[0]->text());
        }
    }

    /** A place that somebody names is taken as it is, and a faulty building is not judged. */
    public function testANamedPlaceIsTaken(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $edit = (object) ['op' => 'add-block', 'kind' => 'wing', 'beside' => 'main', 'edge' => 'left', 'size' => 0.5];
        self::assertSame([$edit], Additions::placed($document, [$edit]));
        $blocks = BuildingReader::fromDocument(Edits::apply($document, [$edit])->document)->blocks;
        self::assertSame(180.0, $blocks[1]->turnDeg ?? null, 'its left side meets the other’s left');
        $document = BuildingGenerator::with($document, 'blocks.0.eaves', 'high');
        $usual = (object) ['op' => 'add-block', 'kind' => 'wing', 'beside' => 'main'];
        self::assertSame([$usual], Additions::placed($document, [$usual]));
    }
}
