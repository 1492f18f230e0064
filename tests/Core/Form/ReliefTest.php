<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Relief;
use Chartula\Core\Building\ReliefBack;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Form\Facet;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\FormGenerator;
use Tests\Support\Kits;
use Tests\Support\Property;
use Tests\Support\Sample;

/** Buildings cut to low relief. A box 160 wide, 100 deep, 60 to the eaves under 40 degrees; true ridge 101.955. */
final class ReliefTest extends TestCase
{
    /** Seeds whose cut kit is red, by reason. */
    private const KNOWN_RED = [
        'an edge of a dormer’s card is left without the card that it met, which the cut has taken' => [13, 293, 433, 510, 573, 650],
        'a sliver of wall keeps its top, and no roof is left over it' => [315, 455, 612],
        'a wall of a half-hipped end is left out where the cut leaves its bevels no room' => [128, 238, 425],
        'strips over two breaks, or a wall and a slope, meet at a sharp corner' => [287, 448],
    ];

    private static function box(string $depth, string $school, string $back = 'open', string $overhang = '0mm'): Derivation
    {
        return self::cut(Kits::box('160mm', '100mm', '60mm', 40.0, $overhang, '0mm'), $depth, $school, $back);
    }

    private static function cut(
        stdClass $document,
        string $depth,
        string $school,
        string $back = 'open',
        string $flank = 'keep',
    ): Derivation {
        $document->relief = (object) ['depth' => $depth, 'school' => $school, 'back' => $back, 'flank' => $flank];

        return Kits::of($document);
    }

    private static function part(Derivation $derived, string $id): LabelledPart
    {
        foreach ($derived->kit->parts as $part) {
            if ($part->part->id === $id) {
                return $part;
            }
        }
        self::fail("No part $id");
    }

    private static function top(Derivation $derived): float
    {
        return max([
            0.0,
            ...array_merge(
                ...array_map(
                    static fn (Facet $f): array => array_map($f->heightAt(...), $f->whole->outline->points),
                    $derived->kit->form->facets,
                ),
            ),
        ]);
    }

    /** @param  array<string, float>  $slopes  how long each carrier is up the slope */
    #[DataProvider('provideSchools')]
    public function testWorkedSchools(string $depth, string $school, float $top, array $slopes): void
    {
        foreach (ReliefBack::known() as $back) {
            $derived = self::box($depth, $school, $back);
            self::assertSame([], $derived->dryFit->toArray()['findings'], $back);
            self::assertEqualsWithDelta($top, self::top($derived), 0.0005);
            foreach ($slopes as $name => $slope) {
                self::assertEqualsWithDelta(
                    $slope,
                    self::part($derived, "main.$name.carrier")->part->outline->ring->bounds()->height(),
                    0.0005,
                );
            }
            self::assertCount(count($slopes), $derived->kit->form->facets);
        }
    }

    /** @return iterable<string, array{string, string, float, array<string, float>}> */
    public static function provideSchools(): iterable
    {
        yield 'slice at 40' => ['40mm', 'slice', 93.564, ['front-slope' => 52.216]];
        yield 'squeeze to 40' => ['40mm', 'squeeze', 101.955, ['front-slope' => 46.478, 'back-slope' => 46.478]];
        yield 'keep the pitch at 40' => ['40mm', 'keep-pitch', 76.782, ['front-slope' => 26.108, 'back-slope' => 26.108]];
        yield 'front slope at 55' => ['55mm', 'front-slope', 101.955, ['front-slope' => 65.270, 'back-slope' => 6.527]];
        yield 'keep the ridge at 40' => ['40mm', 'keep-ridge', 101.955, ['front-slope' => 57.967]];
    }

    public function testTheRearSlopeOfAFrontSlopeEndsLowAtTheBack(): void
    {
        $rear = array_values(
            array_filter(self::box('55mm', 'front-slope')->kit->form->facets, static fn (Facet $f): bool => $f->name === 'back'),
        )[0];
        self::assertEqualsWithDelta(97.759, $rear->heightAt(new Vec2(80.0, 55.0)), 0.0005);
    }

    public function testPitchesAreSqueezedAsTheHandbookHasThem(): void
    {
        self::assertEqualsWithDelta(64.51, self::box('40mm', 'squeeze')->kit->form->facets[0]->pitch->degrees, 0.005);
        self::assertEqualsWithDelta(46.37, self::box('40mm', 'keep-ridge')->kit->form->facets[0]->pitch->degrees, 0.005);
    }

    /** A ridge from front to back stays where it is, whatever the school: only what lies behind the cut goes. */
    public function testARidgeFromFrontToBackIsOnlyCut(): void
    {
        foreach (['slice', 'keep-pitch', 'front-slope', 'keep-ridge'] as $school) {
            $document = Kits::box('160mm', '100mm', '60mm', 40.0);
            self::assertIsArray($document->blocks);
            $block = $document->blocks[0];
            assert($block instanceof stdClass && $block->roof instanceof stdClass);
            $block->roof->ridge = 'y';
            $derived = self::cut($document, '40mm', $school);
            self::assertTrue($derived->dryFit->goesTogether(), $school);
            self::assertEqualsWithDelta(60.0 + 80.0 * tan(deg2rad(40.0)), self::top($derived), 0.0005, $school);
            self::assertEqualsWithDelta(
                40.0,
                self::part($derived, 'main.right-slope.carrier')->part->outline->ring->bounds()->width(),
                0.0005,
                $school,
            );
        }
    }

    /** The front below the eaves is one and the same in every school. */
    #[DataProvider('provideExamples')]
    public function testTheFrontIsTheSameInEverySchool(string $example, string $depth): void
    {
        $whole = Kits::example($example);
        $fronts = array_values(
            array_filter(
                $whole->kit->parts,
                static fn (LabelledPart $p): bool => preg_match('/\.front\.(face|core|paper|frame|glazing|leaf)/', $p->part->id) === 1
                        && $p->part->placements[0]->origin->y < 0.5,
            ),
        );
        self::assertGreaterThan(1, count($fronts));
        foreach (Relief::SCHOOLS as $school) {
            $derived = self::cut(JsonText::decode(Kits::exampleText($example)), $depth, $school);
            foreach ($fronts as $front) {
                self::assertSame($front->cut, self::part($derived, $front->part->id)->cut, "$school, {$front->part->id}");
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function provideExamples(): iterable
    {
        yield 'the weigh office' => ['weigh-office', '30mm'];
        yield 'the creamery' => ['creamery', '90mm'];
    }

    #[Group('property')]
    public function testCutAtItsFullDepthNothingChanges(): void
    {
        $tried = 0;
        foreach (range(0, Sample::isDeep() ? 27 : 6) as $seed) {
            $document = (new FormGenerator($seed))->document();
            try {
                $whole = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            $depth = ReliefTable::of(BuildingReader::fromDocument($document), 1.0)['whole_mm'];
            foreach (['slice', 'squeeze', 'keep-pitch', 'front-slope'] as $school) {
                $cut = self::cut(JsonText::decode(JsonText::encode($document)), "{$depth}mm", $school);
                self::assertSame(self::cuts($whole), self::cuts($cut), "seed $seed, $school");
                self::assertContains('relief.nothing', array_map(static fn (Check $c): string => $c->code, $cut->checks));
                $tried++;
            }
        }
        self::assertGreaterThan(Sample::isDeep() ? 80 : 20, $tried);
    }

    /** @return array<string, string> */
    private static function cuts(Derivation $derived): array
    {
        return array_column(array_map(static fn (LabelledPart $p): array => [$p->part->id, $p->cut], $derived->kit->parts), 1, 0);
    }

    /** What is said of it holds for any form: a kit that is no deeper than was asked and goes together, or a clear fault. */
    #[Group('property')]
    public function testAnyFormIsCutOrSaysWhyNot(): void
    {
        $made = array_fill_keys(FormGenerator::CLASSES, 0);
        Property::holds(self::cutForms(), function (stdClass $document) use (&$made): ?string {
            try {
                $derived = Kits::of($document);
            } catch (InvalidInput $faults) {
                return $faults->problems[0]->line() === '' ? 'a fault without words' : null;
            }
            $made[FormGenerator::CLASSES[(int) substr($derived->building->name, 5) % count(FormGenerator::CLASSES)]]++;

            return self::deeperThanAsked($derived) ?? $derived->dryFit->findings[0]->text ?? null;
        }, self::KNOWN_RED);
        foreach ($made as $class => $count) {
            self::assertGreaterThanOrEqual(Sample::isDeep() ? 50 : 2, $count, $class);
        }
    }

    /** @return iterable<int, stdClass> by seed: generated forms, each cut in one of the schools */
    private static function cutForms(): iterable
    {
        foreach (range(0, Sample::isDeep() ? 699 : 48) as $seed) {
            $document = (new FormGenerator($seed))->document();
            try {
                $whole = ReliefTable::of(BuildingReader::fromDocument($document), 1.0)['whole_mm'];
            } catch (InvalidInput) {
                continue;
            }
            $depth = round($whole * [0.3, 0.45, 0.6, 0.8][intdiv($seed, 35) % 4], 2);
            $document->relief = (object) [
                'depth' => "{$depth}mm", 'school' => Relief::SCHOOLS[intdiv($seed, 7) % 5],
                'back' => ReliefBack::known()[$seed % 3], 'flank' => 'keep',
            ];
            yield $seed => $document;
        }
    }

    private static function deeperThanAsked(Derivation $derived): ?string
    {
        $building = $derived->building;
        $front = min(array_map(static fn ($b): float => $b->standing()->bounds()->y0, $building->blocks)) / $building->scale->ratio;
        $depth = $building->relief?->depth->mm ?? INF;
        foreach ($derived->kit->form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                if ($patch->outline->bounds()->y1 >= $front + $depth + 0.001) {
                    return "$facet->name reaches {$patch->outline->bounds()->y1}, deeper than $front and $depth";
                }
            }
        }

        return null;
    }

    public function testOpeningsOfShortenedFlanksAreKeptNarrowedOrDroppedAndItIsSaid(): void
    {
        $kept = self::cut(JsonText::decode(Kits::exampleText('weigh-office')), '24mm', 'squeeze');
        self::assertSame([], $kept->kit->modelled->lost);
        $narrowed = self::cut(JsonText::decode(Kits::exampleText('weigh-office')), '24mm', 'squeeze', 'open', 'narrow');
        self::assertSame([['what' => 'narrowed', 'at' => 'main.right.w1', 'count' => 1]], $narrowed->kit->modelled->lost);
        $dropped = self::cut(JsonText::decode(Kits::exampleText('weigh-office')), '24mm', 'squeeze', 'open', 'drop');
        self::assertSame([['what' => 'opening', 'at' => 'main.right.w1', 'count' => 1]], $dropped->kit->modelled->lost);
        foreach ([$kept, $narrowed, $dropped] as $derived) {
            self::assertTrue($derived->dryFit->goesTogether());
        }
        self::assertContains('relief.lost', array_map(static fn (Check $c): string => $c->code, $dropped->checks));
        // Bricks keep their size: 24 mm are sixteen half-bricks, 24.5 are not.
        self::assertNotContains('relief.half-brick', array_map(static fn (Check $c): string => $c->code, $dropped->checks));
        self::assertContains(
            'relief.half-brick',
            array_map(
                static fn (Check $c): string => $c->code,
                self::cut(JsonText::decode(Kits::exampleText('weigh-office')), '24.5mm', 'slice')->checks,
            ),
        );
    }

    public function testTheDepthIsTheFinishedOnesOnThePlot(): void
    {
        $document = Kits::box('160mm', '100mm', '60mm', 40.0);
        $document->plot = json_decode('{"size": ["200mm", "44mm"], "at": ["-20mm", "-1mm"], "gap": "3mm"}');
        $fit = self::cut($document, '40mm', 'slice')->fit;
        self::assertTrue($fit?->fits());
        // The cut ends of the cards, square to the slope, lean forward of the cut.
        self::assertLessThanOrEqual(41.0 + 1e-6, $fit->finished->extents()['y1']);
    }

    #[DataProvider('provideBadCuts')]
    public function testWhatCannotBeCutSaysWhatWould(string $depth, string $school, string $code, string $words): void
    {
        try {
            self::box($depth, $school);
            self::fail('Cut');
        } catch (InvalidInput $faults) {
            self::assertSame(['relief.depth', $code], [$faults->problems[0]->path, $faults->problems[0]->code]);
            self::assertStringContainsString($words, $faults->problems[0]->line());
        }
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function provideBadCuts(): iterable
    {
        yield 'deeper than it is' => ['101mm', 'slice', 'relief.deeper', 'only 100 mm deep'];
        yield 'less than its card' => ['1.5mm', 'slice', 'relief.shallow', 'at least 2 mm'];
        yield 'a front slope that does not reach the ridge' => ['40mm', 'front-slope', 'relief.no-ridge', 'fails by 10 mm'];
        yield 'nothing' => ['0mm', 'slice', 'length.not-above-zero', 'above 0'];
    }

    public function testACutThroughADormerIsRefusedWithTheDepthsThatWouldDo(): void
    {
        $this->expectExceptionMessage('16 mm or less, or behind it, from 40 mm on');
        self::cut(JsonText::decode(Kits::exampleText('creamery')), '30mm', 'slice');
    }

    public function testTheSchoolsSideBySide(): void
    {
        $table = ReliefTable::of(BuildingReader::fromDocument(Kits::box('160mm', '100mm', '60mm', 40.0)), 40.0);
        $rows = array_column($table['rows'], null, 'school');
        self::assertSame(
            [-8.391, 0.0, -25.173, null, 0.0],
            array_map(static fn (string $s): mixed => $rows[$s]['off_mm'], Relief::SCHOOLS),
        );
        self::assertStringContainsString('fails by 10 mm', (string) json_encode($rows['front-slope']['refused']));
        self::assertSame(100.0, $table['whole_mm']);
    }

    /** The ridge against what stands beside it: the slice's top at 93.564. */
    public function testHeightsAgainstNeighbours(): void
    {
        $document = Kits::box('160mm', '100mm', '60mm', 40.0);
        $document->plot = json_decode(
            '{"size": ["300mm", "120mm"], "neighbours": [{"id": "a", "name": "the store", "at": ["200mm", "0mm"], "size": ["40mm", "40mm"], "to": "90mm"}, {"id": "b", "name": "the mill", "at": ["250mm", "0mm"], "size": ["40mm", "40mm"], "to": "120mm"}]}',
        );
        $rows = array_column(ReliefTable::of(BuildingReader::fromDocument($document), 40.0)['rows'], 'heights', 'school');
        self::assertSame(
            ['Top at 93.56 mm, 8.39 lower than it is.', '3.6 mm above the store.', '26.4 mm lower than the mill.'],
            $rows['slice'],
        );
        self::assertSame('Top at 101.95 mm, as high as it is.', ((array) $rows['squeeze'])[0]);
    }

    /** A stack astride the ridge, and one on the slope before it: whole, and in every school that leaves them whole or out. */
    #[DataProvider('provideStacks')]
    public function testAStackOnTheRoof(float $from, float $deep, string $depth, string $school, bool $isLeft, float $across = 60.0): void
    {
        $document = Kits::box('160mm', '100mm', '60mm', 40.0, '2mm', '1mm');
        assert(is_array($document->blocks));
        $document->blocks[] = json_decode(
            '{"id": "stack", "name": "Stack", "footprint": {"rect": ["18mm", "'.$deep.'mm"]}, "at": ["'.$across.'mm", "'.$from
                .'mm"], "base": "61mm", "eaves": "125mm", "roof": {"kind": "flat"}}',
        );
        $document->scale = '1:76.2';
        $document = json_decode(str_replace('mm"', 'mm model"', (string) json_encode($document)));
        assert($document instanceof stdClass);
        $derived = $school === 'whole' ? Kits::of($document) : self::cut($document, $depth, $school);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        $strips = array_filter(
            $derived->kit->parts,
            static fn (LabelledPart $p): bool => str_contains($p->part->id, 'ridge') && str_ends_with($p->part->id, 'strip'),
        );
        self::assertSame(
            $isLeft,
            array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => str_starts_with($p->part->id, 'stack.front')) !== [],
        );
        if ($across < 1.0) {
            // Flush with the gable, whose wall is whole: the stack's stands on the roof.
            self::assertCount(
                1,
                array_filter(
                    $derived->kit->parts,
                    static fn (LabelledPart $p): bool => preg_match('/^main\.left(-\d)?\.core$/', $p->part->id) === 1,
                ),
            );
        } elseif ($from > 40.0 && $isLeft) {
            // The ridge's strip comes in two pieces, each clear of the stack's card.
            self::assertCount(2, $strips);
            self::assertEqualsWithDelta(
                162.0 - 18.0 - 4.0 * 0.25,
                array_sum(array_map(static fn (LabelledPart $p): float => $p->part->width(), $strips)),
                0.001,
            );
        }
    }

    /** @return iterable<string, array{float, float, string, string, bool}> */
    public static function provideStacks(): iterable
    {
        foreach (['whole', 'squeeze'] as $school) {
            yield "on the ridge, $school" => [43.0, 14.0, '40mm', $school, true];
            yield "on the slope, $school" => [20.0, 18.0, '40mm', $school, true];
        }
        foreach (['whole', 'squeeze'] as $school) {
            yield "flush with the gable, $school" => [43.0, 14.0, '40mm', $school, true, 0.0];
        }
        yield 'flush with the gable, front slope' => [43.0, 14.0, '64mm', 'front-slope', true, 0.0];
        yield 'on the ridge, front slope' => [43.0, 14.0, '64mm', 'front-slope', true];
        yield 'on the ridge, sliced off' => [43.0, 14.0, '40mm', 'slice', false];
        yield 'on the slope, slice' => [20.0, 18.0, '40mm', 'slice', true];
        yield 'on the slope, keep the ridge' => [20.0, 18.0, '40mm', 'keep-ridge', true];
    }
}
