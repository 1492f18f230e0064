<?php

declare(strict_types=1);

namespace Tests\Core\Compression;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\AxisMap;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Compression\Shrink;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** What is given up so that a building fits, and what is not. */
final class CompressorTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $steps
     * @param  ?list<string>  $protect
     */
    private static function compressed(string $example, array $steps, ?array $protect = null): Derivation
    {
        $document = JsonText::decode(Kits::exampleText($example));
        $document->compression = json_decode(
            (string) json_encode(['steps' => $steps] + ($protect === null ? [] : ['protect' => $protect])),
        );

        return Kits::of($document);
    }

    private static function width(Derivation $derived): float
    {
        $extents = $derived->fit?->finished->extents() ?? self::fail();

        return $extents['x1'] - $extents['x0'];
    }

    public function testAPlaceMovesByWhatIsShorterBeforeIt(): void
    {
        $map = new AxisMap([new Shrink(new Interval(10.0, 20.0), 4.0), new Shrink(new Interval(30.0, 40.0), 10.0)]);
        self::assertSame(
            [5.0, 10.0, 13.0, 16.0, 21.0, 26.0, 26.0, 36.0],
            array_map($map->at(...), [5.0, 10.0, 15.0, 20.0, 25.0, 30.0, 40.0, 50.0]),
        );
        self::assertSame(
            [14.0, true, false, false],
            [
                $map->total(),
                $map->swallows(new Interval(32.0, 38.0)),
                $map->swallows(new Interval(28.0, 38.0)),
                $map->swallows(new Interval(12.0, 18.0)),
            ],
        );
    }

    /** @param  list<array<string, mixed>>  $steps */
    #[DataProvider('provideSteps')]
    public function testStepsMakeItSoMuchShorterAndItGoesTogether(string $example, array $steps, float $shorter, float $lower): void
    {
        $whole = Kits::example($example);
        $derived = self::compressed($example, $steps);
        self::assertSame([], $derived->dryFit->toArray()['findings']);
        self::assertEqualsWithDelta($shorter, self::width($whole) - self::width($derived), 0.001);
        self::assertEqualsWithDelta(
            $lower,
            ($whole->fit?->finished->extents()['high'] ?? 0.0) - ($derived->fit?->finished->extents()['high'] ?? 0.0),
            0.001,
        );
        self::assertCount(
            count($derived->kit->compressed->taken),
            array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'compress.given-up'),
        );
        self::assertCount(
            count(array_filter($steps, static fn (array $s): bool => ($s['off'] ?? false) !== true)),
            $derived->kit->compressed->taken,
        );
    }

    /** @return iterable<string, array{string, list<array<string, mixed>>, float, float}> */
    public static function provideSteps(): iterable
    {
        $office = ['block' => 'main', 'edge' => 'front'];
        yield 'margins by a foot' => ['weigh-office', [['op' => 'margins', 'by' => '1ft'] + $office], 4.0, 0.0];
        yield 'piers by six inches' => ['weigh-office', [['op' => 'piers', 'by' => '6in'] + $office], 2.0, 0.0];
        yield 'all that is blank by 18 in' => ['weigh-office', [['op' => 'shorten', 'by' => '18in'] + $office], 6.0, 0.0];
        yield 'two steps' => [
            'weigh-office', [['op' => 'margins', 'by' => '1ft'] + $office, ['op' => 'piers', 'by' => '6in'] + $office],
            6.0, 0.0,
        ];
        yield 'three courses lower' => ['weigh-office', [['op' => 'courses', 'block' => 'main', 'count' => 3]], 0.0, 3.0];
        yield 'a block in the middle of a Z' => [
            'creamery', [['op' => 'shorten', 'block' => 'house', 'edge' => 'front', 'by' => '2ft']], 8.0,
            4.0 * tan(deg2rad(40.0)),
        ];
        yield 'a step that is off' => [
            'weigh-office',
            [['op' => 'courses', 'block' => 'main', 'count' => 1], ['op' => 'omit', 'block' => 'main', 'off' => true]],
            0.0, 1.0,
        ];
    }

    /** Openings stay as wide, as high, as many and in the same order, whatever is taken off the walls round them. */
    #[Group('property')]
    public function testWhatIsProtectedNeverChanges(): void
    {
        $tried = 0;
        foreach (['weigh-office', 'creamery', 'ropewalk-row', 'halt'] as $example) {
            $real = BuildingReader::fromText(Kits::exampleText($example));
            foreach ($real->blocks as $block) {
                foreach (['front', 'right'] as $edge) {
                    foreach (['margins', 'piers', 'shorten'] as $op) {
                        foreach (['3in', '7in', '1ft 8in'] as $by) {
                            $document = JsonText::decode(Kits::exampleText($example));
                            $document->compression = json_decode(
                                (string) json_encode(['steps' => [['op' => $op, 'block' => $block->id, 'edge' => $edge, 'by' => $by]]]),
                            );
                            $problems = new Problems;
                            $compressed = Compressor::of(BuildingReader::fromDocument($document), $problems)->building;
                            if ($problems->areNone()) {
                                self::assertSame(self::openings($real), self::openings($compressed), "$example, $block->id $edge $op $by");
                                $tried++;
                            }
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(40, $tried);
    }

    /** @return array<string, list<array{string, int, float, float, float}>> */
    private static function openings(Building $building): array
    {
        $all = [];
        foreach ($building->blocks as $block) {
            foreach ($block->walls as $wall) {
                $all["$block->id.$wall->name"] = self::of($wall);
            }
        }

        return $all;
    }

    /** @return list<array{string, int, float, float, float}> */
    private static function of(Wall $wall): array
    {
        $all = [];
        foreach ($wall->openings as $opening) {
            for ($i = 0; $i < $opening->count; $i++) {
                $all[] = [
                    $opening->style->id,
                    1,
                    round($opening->style->w->mm, 4),
                    round($opening->style->h->mm, 4),
                    round($opening->sill->mm, 4),
                ];
            }
        }

        return $all;
    }

    public function testBricksAndCardStayAsTheyAreUnderAFactor(): void
    {
        $whole = Kits::example('weigh-office');
        $small = self::compressed('weigh-office', [['op' => 'factor', 'by' => 0.9]], []);
        self::assertTrue($small->dryFit->goesTogether());
        self::assertEqualsWithDelta(72.0 * 0.9, self::wall($small)->part->outline->ring->bounds()->width(), 0.001);
        self::assertSame(self::wall($whole)->part->thickness, self::wall($small)->part->thickness);
        $gauge = static fn (Derivation $d): float =>
            $d->kit->modelled->building->gauge->course_mm / $d->kit->modelled->building->scale->ratio;
        self::assertEqualsWithDelta($gauge($whole), $gauge($small), 1e-9);
    }

    private static function wall(Derivation $derived): LabelledPart
    {
        return array_values(array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->id === 'main.front.face'))[0];
    }

    public function testWithoutStepsNothingChanges(): void
    {
        $cuts = static fn (Derivation $d): array => array_map(static fn (LabelledPart $p): string => $p->cut, $d->kit->parts);
        self::assertSame($cuts(Kits::example('creamery')), $cuts(self::compressed('creamery', [])));
    }

    /** 60 ft of wall: six openings of 4 ft, piers of 5, margins of 5.5. */
    private static function works(): stdClass
    {
        $document = Kits::box('60ft', '30ft', '14ft', 35.0);
        $document->scale = '1:76.2';
        $document->styles = json_decode(
            '{"light": {"kind": "window", "w": "4ft", "h": "5ft", "frame": {"panes": [2, 2], "stile": "4in", "bar": "4in"}}}',
        );
        $block = is_array($document->blocks) ? $document->blocks[0] : null;
        assert($block instanceof stdClass);
        $block->walls = json_decode(
            '[{"edge": "front", "openings": [{"id": "w", "style": "light", "from": "5ft 6in", "sill": "3ft", "repeat": {"count": 6, "pitch": "9ft"}}]}]',
        );

        return $document;
    }

    public function testABayGoesWholeAndWhatIsOverComesBack(): void
    {
        $document = self::works();
        $document->compression = json_decode(
            '{"steps": [{"op": "bays", "block": "main", "edge": "front", "count": 1}, {"op": "spread", "block": "main", "edge": "front", "by": "3ft"}]}',
        );
        $derived = Kits::of($document);
        self::assertTrue($derived->dryFit->goesTogether());
        $block = $derived->kit->compressed->building->blocks[0];
        self::assertEqualsWithDelta(54.0 * 304.8, $block->footprint->length(0)->mm, 1e-6);
        // Half a foot on each of four piers and two margins.
        self::assertSame([5], array_map(static fn (Opening $o): int => $o->count, $block->walls[0]->openings));
        self::assertEqualsWithDelta(
            [6.0 * 304.8, 9.5 * 304.8],
            [$block->walls[0]->openings[0]->from->mm, $block->walls[0]->openings[0]->pitch?->mm],
            1e-6,
        );
    }

    public function testTheLadderOfTheWorkedWall(): void
    {
        $answer = Compromises::of(self::works(), new Targets(54.0 * 304.8 / 76.2));
        self::assertSame(['mix', 'piers', 'margins', 'bays', 'factor'], array_column($answer['rows'], 'key'));
        self::assertEqualsWithDelta([27.1, 27.4, 39.4, 41.2, 42.1], array_column($answer['rows'], 'harm'), 0.11);
    }

    /** @param  list<array<string, mixed>>  $steps */
    #[DataProvider('provideBadSteps')]
    public function testWhatCannotBeGivenUpSaysWhatCan(array $steps, string $path, string $code): void
    {
        try {
            self::compressed('weigh-office', $steps);
            self::fail('Taken');
        } catch (InvalidInput $faults) {
            self::assertSame([$path, $code], [$faults->problems[0]->path, $faults->problems[0]->code]);
            self::assertStringNotContainsString('{', $faults->problems[0]->line());
        }
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string, string}> */
    public static function provideBadSteps(): iterable
    {
        $office = ['block' => 'main', 'edge' => 'front'];
        yield 'more than the piers have' => [[['op' => 'piers', 'by' => '10ft'] + $office], 'compression.steps.0.by', 'compress.too-much'];
        yield 'more courses than are blank' => [
            [['op' => 'courses', 'block' => 'main', 'count' => 30]],
            'compression.steps.0.count',
            'compress.courses',
        ];
        yield 'doors are protected' => [[['op' => 'factor', 'by' => 0.9]], 'compression.steps.0', 'compress.protected'];
        yield 'the last block' => [[['op' => 'omit', 'block' => 'main']], 'compression.steps.0.block', 'compress.last-block'];
        yield 'no such block' => [[['op' => 'omit', 'block' => 'mill']], 'compression.steps.0.block', 'compress.no-block'];
        yield 'no such edge' => [
            [['op' => 'piers', 'block' => 'main', 'edge' => 'top', 'by' => '1ft']],
            'compression.steps.0.edge',
            'unknown-edge',
        ];
        yield 'no bays' => [[['op' => 'bays', 'count' => 1] + $office], 'compression.steps.0.count', 'compress.bays'];
        yield 'a factor of nothing' => [[['op' => 'factor', 'by' => 1.2]], 'compression.steps.0.by', 'number-out-of-range'];
        yield 'an unknown step' => [[['op' => 'squash']], 'compression.steps.0.op', 'wrong-choice'];
        yield 'a step without a length' => [[['op' => 'piers'] + $office], 'compression.steps.0.by', 'missing'];
    }

    #[DataProvider('provideTargets')]
    public function testProposalsReachTheFinishedLengthExactly(string $example, string $wall, float $to): void
    {
        $answer = Compromises::of(JsonText::decode(Kits::exampleText($example)), new Targets($to), $wall);
        self::assertGreaterThan(2, count($answer['rows']));
        $harm = 0.0;
        foreach ($answer['rows'] as $row) {
            self::assertNull($row['refused']);
            if ($row['key'] !== 'bays') {
                // Where a bay goes a dormer may be in the way.
                self::assertTrue($row['closes']);
            }
            // A factor leaves card as thick as it is, and so falls a little short of nothing.
            self::assertEqualsWithDelta(
                $to,
                $row['finished']['across'] ?? 0.0,
                $row['key'] === 'factor' ? 0.5 : 0.001,
                (string) json_encode($row['key']),
            );
            self::assertGreaterThanOrEqual($row['protected'] === true ? 0.0 : $harm, $row['harm']);
            $harm = $row['harm'];
        }
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function provideTargets(): iterable
    {
        yield 'the weigh office to 72 mm' => ['weigh-office', 'main.front', 72.0];
        yield 'the creamery by its hall' => ['creamery', 'hall.front', 335.0];
    }
}
