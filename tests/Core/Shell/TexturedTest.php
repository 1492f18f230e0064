<?php

declare(strict_types=1);

namespace Tests\Core\Shell;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Part\Mark;
use Chartula\Core\Part\MarkKind;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;

/** Sheets with lines scribed or pressed into them, as the outermost layer of walls and roofs. docs/formulas.md#textured */
final class TexturedTest extends TestCase
{
    /** Boards of 1.7 up a back of 38: lines at 1.7, 3.4 … 37.4, each from end to end; the left wall's are at the same heights. */
    public function testLinesLieOnTheDatum(): void
    {
        $derived = self::derived('{"of": "clapboard", "pitch": "1.7mm"}');
        self::assertSame([], $derived->dryFit->findings);
        $back = $derived->kit->part('main.back.face')->part;
        $lines = self::lines($back);
        self::assertCount(22, $lines);
        foreach ($lines as $i => $line) {
            self::assertEqualsWithDelta([1.7 * ($i + 1), 1.7 * ($i + 1)], [$line->path[0]->y, $line->path[1]->y], 1e-4);
            self::assertEqualsWithDelta($back->width(), abs($line->path[1]->x - $line->path[0]->x), 1e-4);
        }
        $heights = array_values(array_unique(array_map(static fn (Mark $m): float => round($m->path[0]->y, 4), self::lines(
            $derived->kit->part('main.left.face')->part,
        ))));
        self::assertEqualsWithDelta(array_map(static fn (int $i): float => 1.7 * $i, range(1, count($heights))), $heights, 1e-4);
        // They lie in the front's card, and not in its openings.
        foreach (self::lines($derived->kit->part('main.front.face')->part) as $line) {
            $middle = $line->path[0]->plus($line->path[1])->times(0.5);
            self::assertTrue($derived->kit->part('main.front.face')->part->region()->contains($middle));
        }
    }

    /** On a block that stands lower its lines are where its neighbour's are: 2 ft down is 8, and 8 = 4 · 1.7 + 1.2. */
    public function testTheyAreCountedFromTheDatumAndNotFromTheFoot(): void
    {
        $derived = self::derived('{"of": "boards", "pitch": "1.7mm"}', ['blocks.0.base' => '-2ft']);
        self::assertEqualsWithDelta(1.2, self::lines($derived->kit->part('main.back.face')->part)[0]->path[0]->y, 1e-4);
    }

    /** Lines that go up begin at the wall's left end. */
    public function testUprightOnes(): void
    {
        $derived = self::derived('{"of": "boards", "pitch": "2.5mm", "lines": "up"}');
        $back = $derived->kit->part('main.back.face')->part;
        foreach (self::lines($back) as $line) {
            self::assertEqualsWithDelta($line->path[0]->x, $line->path[1]->x, 1e-9);
        }
        self::assertCount(28, self::lines($back));
    }

    /** The sheet shows itself: nothing is printed for it, on whatever finish; a template goes on its back. */
    public function testNoPaperGoesOverIt(): void
    {
        $derived = self::derived('{"of": "bricks", "pitch": "1mm"}');
        foreach ($derived->kit->parts as $part) {
            self::assertStringNotContainsString('wall, paper', $part->part->name);
            self::assertStringNotContainsString('brick paper', $part->part->name);
        }
        self::assertFalse($derived->kit->part('main.back.face')->part->showsPrint());
        $said = implode(' ', array_map(
            static fn (Check $c): string => $c->text,
            array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'texture.lay'),
        ));
        self::assertStringContainsString('1 mm apart', $said);
        self::assertStringContainsString('W5 38', $said);
        self::assertStringNotContainsString('thumbnail', $said);
        self::assertStringContainsString('thumbnail', implode(' ', array_map(
            static fn (Check $c): string => $c->text,
            self::derived('{"of": "clapboard", "pitch": "1.7mm"}')->checks,
        )));
    }

    /** On a roof its rows are counted from the eaves, and no paper lies on the slope. */
    public function testOnARoof(): void
    {
        $derived = self::derived('{"of": "tiles", "pitch": "2.1mm"}', [
            'methods.wall' => json_decode('[{"id": "core", "stock": "greyboard-1", "role": "core"}]'),
            'methods.roof' => json_decode(
                '[{"id": "tiles", "stock": "own", "role": "face"}, {"id": "carrier", "stock": "greyboard-1", "role": "core"}]',
            ),
            'blocks.0.roof.finish' => 'plain-tile',
        ]);
        self::assertSame([], $derived->dryFit->findings);
        $slope = $derived->kit->part('main.front-slope.tiles')->part;
        self::assertEqualsWithDelta(2.1, self::lines($slope)[0]->path[0]->y, 1e-4);
        self::assertCount((int) floor($slope->height() / 2.1), self::lines($slope));
        foreach ($derived->kit->parts as $part) {
            self::assertStringNotContainsString('slope, paper', $part->part->name);
        }
    }

    /** Generated houses of it: no finding that a plain card has not. */
    public function testHouses(): void
    {
        $tried = 0;
        for ($seed = 7300; $seed < 7312; $seed++) {
            $document = (new HouseGenerator($seed))->document();
            try {
                $plain = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            $thickness = $plain->building->methods->stacks['wall']->layers[0]->stock->thickness_mm;
            $texture = (object) ['of' => 'clapboard', 'pitch' => '1.3mm'];
            $own = (object) ['kind' => 'card', 'thickness' => "{$thickness}mm", 'texture' => $texture];
            $document = BuildingGenerator::with($document, 'stock', (object) ['own' => $own]);
            $document = BuildingGenerator::with($document, 'methods.wall.0.stock', 'own');
            $made = Kits::of($document);
            self::assertSame([], array_diff(self::codes($made), self::codes($plain)), "house $seed");
            $tried++;
        }
        self::assertGreaterThan(6, $tried);
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('provideFaults')]
    public function testAFaultHasItsPlace(string $texture, string $path, array $more = []): void
    {
        try {
            self::derived($texture, $more);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame($path, $e->problems[0]->path);
        }
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: array<string, mixed>}> */
    public static function provideFaults(): iterable
    {
        $long = ['blocks.0.footprint' => (object) ['rect' => ['300ft', '12ft']]];
        yield 'more lines than are drawn' => ['{"of": "boards", "pitch": "0.2mm"}', 'blocks.0.walls.0', $long];
        yield 'no distance' => ['{"of": "boards", "pitch": "0mm"}', 'stock.own.texture.pitch'];
        yield 'too fine' => ['{"of": "boards", "pitch": "0.1mm"}', 'stock.own.texture.pitch'];
        yield 'of nothing known' => ['{"of": "fur", "pitch": "1mm"}', 'stock.own.texture.of'];
        yield 'said by half' => ['{"of": "boards"}', 'stock.own.texture.pitch'];
    }

    /** @return list<string> */
    private static function codes(Derivation $derived): array
    {
        return array_map(static fn (Finding $f): string => $f->code, $derived->dryFit->findings);
    }

    /** @return list<Mark> from the foot, or from the left */
    private static function lines(Part $part): array
    {
        $lines = array_values(array_filter($part->marks, static fn (Mark $m): bool => $m->kind === MarkKind::Texture));
        usort($lines, static fn (Mark $a, Mark $b): int => [$a->path[0]->y, $a->path[0]->x] <=> [$b->path[0]->y, $b->path[0]->x]);

        return $lines;
    }

    /** @param  array<string, mixed>  $more */
    private static function derived(string $texture, array $more = []): Derivation
    {
        $stock = (object) ['kind' => 'card', 'thickness' => '0.5mm', 'texture' => json_decode($texture)];
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'stock.own', $stock);
        $document = BuildingGenerator::with($document, 'methods.wall.0.stock', 'own');
        foreach ($more as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document));
    }
}
