<?php

declare(strict_types=1);

namespace Tests\Core\Compression;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Opening;
use Chartula\Core\Building\Storey;
use Chartula\Core\Building\Wall;
use Chartula\Core\Compression\AxisMap;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Compression\Lengths;
use Chartula\Core\Compression\Shrink;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Ladder;
use Chartula\Core\Fit\Compromise\Proposal;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Fit\Compromise\Wishes;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
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
        $answer = Compromises::of(JsonText::decode(Kits::exampleText($example)), new Targets($to), new Wishes($wall));
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

    /**
     * A wall with a row of windows, model sizes at 1:76.2.
     *
     * @param  array<string, mixed>  $more  openings
     */
    private static function row(string $width, int $count, string $wide, string $pitch, string $from, array ...$more): stdClass
    {
        $document = Kits::box($width, '12ft', '16ft', 40.0);
        $document->scale = '1:76.2';
        $document->styles = (object) [
            'w' => (object) [
                'kind' => 'window',
                'w' => $wide,
                'h' => '4ft',
            ], 'd' => (object) ['kind' => 'door', 'w' => '3ft', 'h' => '6ft 8in'],
        ];
        $row = ['id' => 'w', 'style' => 'w', 'from' => $from, 'sill' => '9ft', 'repeat' => ['count' => $count, 'pitch' => $pitch]];

        return BuildingGenerator::with(
            $document,
            'blocks.0.walls',
            json_decode((string) json_encode([['edge' => 'front', 'openings' => [$row, ...$more]]])),
        );
    }

    /** A row has as many openings as it has, however wide they are against their pitch. */
    #[DataProvider('provideRows')]
    public function testARowIsCountedAsItIs(
        string $width,
        int $count,
        string $wide,
        string $pitch,
        string $from,
        float $feet,
        ?float $harm,
    ): void {
        $building = BuildingReader::fromDocument(self::row($width, $count, $wide, $pitch, $from));
        $lengths = Lengths::along($building, $building->blocks[0], 0) ?? self::fail();
        self::assertSame($count, $lengths->measures()['row']);
        $bays = array_values(array_filter(
            Ladder::of('main', 'front', $lengths->measures(), $feet * 304.8),
            static fn (Proposal $p): bool => $p->key === 'bays',
        ))[0] ?? null;
        if ($harm === null) {
            self::assertNull($bays);
            self::assertNull($lengths->withoutBays(1));

            return;
        }
        self::assertSame(sprintf('%d openings to %d', $count, $count - 1), $bays?->costs[0]);
        self::assertEqualsWithDelta($harm, $bays->harm, 0.06);
    }

    /** @return iterable<string, array{string, int, string, string, string, float, ?float}> */
    public static function provideRows(): iterable
    {
        yield 'four of 4 ft, to 26 ft' => ['30ft', 4, '4ft', '7ft', '2ft 6in', 4.0, 78.6];
        yield 'four of 4 ft, to 23 ft' => ['30ft', 4, '4ft', '7ft', '2ft 6in', 7.0, 43.2];
        yield 'four of 4 ft, to 27 ft' => ['30ft', 4, '4ft', '7ft', '2ft 6in', 3.0, 88.7];
        yield 'six of 4 ft, to 38 ft' => ['45ft', 6, '4ft', '7ft', '3ft', 7.0, 27.3];
        yield 'three stay three' => ['23ft', 3, '4ft', '7ft', '2ft 6in', 2.0, null];
        yield 'three of 5 ft' => ['26ft', 3, '5ft', '8ft', '2ft 6in', 2.0, null];
        yield 'three of 3 ft at 5' => ['18ft', 3, '3ft', '5ft', '2ft 6in', 2.0, null];
    }

    /** Five windows over a door in the middle: without two of them it is in the middle still, without one it is said that it is not. */
    public function testARowStaysOverItsDoor(): void
    {
        $document = self::row('39ft', 5, '4ft', '7ft', '3ft 6in', ['id' => 'd', 'style' => 'd', 'from' => '18ft', 'sill' => '0ft']);
        $building = BuildingReader::fromDocument($document);
        $measures = (Lengths::along($building, $building->blocks[0], 0) ?? self::fail())->measures();
        self::assertSame([true, 1], [$measures['central'], $measures['pairs']]);
        foreach ([1 => true, 2 => false] as $count => $isOff) {
            $document->compression = json_decode('{"steps": [{"op": "bays", "block": "main", "edge": "front", "count": '.$count.'}]}');
            $compressed = Compressor::of(BuildingReader::fromDocument($document), new Problems);
            self::assertSame($isOff, str_contains($compressed->taken[0]['text'], 'no longer stands under the middle'));
            [$row, $door] = $compressed->building->blocks[0]->walls[0]->openings;
            $middle = ($row->extent(0)->from + $row->extent($row->count - 1)->to) / 2.0;
            self::assertSame(5 - $count, $row->count);
            self::assertSame($isOff, abs($middle - $door->from->mm - 457.2) > 1.0);
        }
    }

    /** No bay goes that has a door in it. */
    public function testADoorIsNotTakenOutWithItsBay(): void
    {
        $document = self::row('30ft', 4, '4ft', '7ft', '2ft 6in', ['id' => 'd', 'style' => 'd', 'from' => '24ft', 'sill' => '0ft']);
        $building = BuildingReader::fromDocument($document);
        [$map] = (Lengths::along($building, $building->blocks[0], 0) ?? self::fail())->withoutBays(1) ?? self::fail();
        self::assertFalse($map->swallows(new Interval(24 * 304.8, 27 * 304.8)));
    }

    public function testLengthsOnlyNarrowWhatIsAlongTheWallAndNothingElse(): void
    {
        $steps = [['op' => 'lengths', 'block' => 'main', 'edge' => 'front', 'by' => 0.95]];
        $whole = Kits::example('weigh-office');
        $derived = self::compressed('weigh-office', $steps, []);
        self::assertTrue($derived->dryFit->goesTogether());
        $old = $whole->building->blocks[0];
        $new = $derived->building->blocks[0];
        self::assertEqualsWithDelta(0.95 * $old->footprint->length(0)->mm, $new->footprint->length(0)->mm, 0.01);
        self::assertEqualsWithDelta($old->footprint->length(1)->mm, $new->footprint->length(1)->mm, 0.01);
        foreach ($old->walls[0]->openings as $i => $opening) {
            $is = $new->walls[0]->openings[$i];
            self::assertEqualsWithDelta(
                [0.95 * $opening->style->w->mm, $opening->style->h->mm],
                [$is->style->w->mm, $is->style->h->mm],
                0.01,
            );
            self::assertEqualsWithDelta(0.95 * $opening->from->mm, $is->from->mm, 0.01);
        }
        try {
            self::compressed('weigh-office', $steps);
            self::fail('Doors are protected');
        } catch (InvalidInput $e) {
            self::assertSame('compress.protected', $e->problems[0]->code);
        }
    }

    /** A mill of three storeys without its middle one: 9 ft lower, its windows gone, those above where they were in their storey. */
    public function testAStoreyGoesWithAllThatIsInIt(): void
    {
        $document = self::row('30ft', 4, '4ft', '7ft', '2ft 6in');
        $document = BuildingGenerator::with($document, 'blocks.0.eaves', '27ft');
        $document = BuildingGenerator::with($document, 'blocks.0.storeys', json_decode(
            '[{"id": "ground", "floor": "0ft", "height": "9ft"}, {"id": "first", "floor": "9ft", "height": "9ft"}, {"id": "second", "floor": "18ft", "height": "9ft"}]',
        ));
        $rows = [
            ['id' => 'd', 'style' => 'd', 'from' => '13ft 6in', 'sill' => '0ft'],
            ['id' => 'a', 'style' => 'w', 'from' => '2ft 6in', 'sill' => '12ft', 'repeat' => ['count' => 4, 'pitch' => '7ft']],
            ['id' => 'b', 'style' => 'w', 'from' => '2ft 6in', 'sill' => '21ft', 'repeat' => ['count' => 4, 'pitch' => '7ft']],
        ];
        $document = BuildingGenerator::with($document, 'blocks.0.walls.0.openings', json_decode((string) json_encode($rows)));
        $take = static function (string $storey) use ($document): Building {
            $document->compression = json_decode('{"steps": [{"op": "storey", "block": "main", "storey": "'.$storey.'"}]}');
            $problems = new Problems;
            $made = Compressor::of(BuildingReader::fromDocument($document), $problems)->building;
            $problems->throwIfAny();

            return $made;
        };
        $block = $take('first')->blocks[0];
        self::assertEqualsWithDelta(18 * 304.8, $block->eaves->mm, 0.001);
        self::assertSame(['d', 'b'], array_map(static fn (Opening $o): string => $o->id, $block->walls[0]->openings));
        self::assertEqualsWithDelta(12 * 304.8, $block->walls[0]->openings[1]->sill->mm, 0.001);
        self::assertSame(['ground', 'second'], array_map(static fn (Storey $s): string => $s->id, $block->storeys));
        foreach (['ground' => 'compress.storey', 'attic' => 'compress.no-storey'] as $storey => $code) {
            try {
                $take($storey);
                self::fail($storey);
            } catch (InvalidInput $e) {
                self::assertSame([$code, 'compression.steps.0.storey'], [$e->problems[0]->code, $e->problems[0]->path]);
            }
        }
        // And it is proposed where it is too high by so much: it costs 2 · 100 · ln(27/18).
        unset($document->compression);
        $now = Compromises::of($document, new Targets)['now'];
        $found = array_column(Compromises::of($document, new Targets(high: $now['high'] - 30.0))['rows'], null, 'key');
        self::assertEqualsWithDelta(200.0 * log(1.5), $found['storey']['harm'], 0.06);
        self::assertSame([['op' => 'storey', 'block' => 'main', 'storey' => 'first']], $found['storey']['steps']);
    }

    /** What makes the building itself is kept: no step changes it, and no way is proposed that would. */
    public function testWhatIsKeptIsNotGivenUp(): void
    {
        $document = self::row('30ft', 4, '4ft', '7ft', '2ft 6in');
        $now = Compromises::of($document, new Targets)['now'];
        $to = new Targets($now['across'] - 10.0);
        $free = Compromises::of($document, $to);
        self::assertContains('bays', array_column($free['rows'], 'key'));
        self::assertSame(
            ['main', 'main.front', 'main.front.w', 'main.right', 'main.back', 'main.left'],
            array_column($free['features'], 'key'),
        );
        $document->compression = json_decode('{"steps": [], "keep": ["main.front.w"]}');
        $kept = Compromises::of($document, $to);
        self::assertNotContains('bays', array_column($kept['rows'], 'key'));
        self::assertNotContains('factor', array_column($kept['rows'], 'key'));
        self::assertContains('mix', array_column($kept['rows'], 'key'));
        self::assertSame(
            [true],
            array_values(
                array_unique(
                    array_column(array_filter($kept['features'], static fn (array $f): bool => $f['key'] === 'main.front.w'), 'kept'),
                ),
            ),
        );
        self::assertGreaterThan(0, $kept['spared']);
        $document->compression = json_decode('{"steps": [{"op": "margins", "block": "main", "edge": "front", "by": "1ft"}], "keep": ["main.front"]}');
        foreach ([['compress.kept', 'compression.steps.0'], ['compress.no-keep', 'compression.keep.0']] as [$code, $path]) {
            $problems = new Problems;
            Compressor::of(BuildingReader::fromDocument($document), $problems);
            self::assertTrue($problems->have($code), $path);
            $document->compression->keep = ['main.top'];
        }
    }

    /** After a factor a figure is as tall as it was, and a door of 6 ft 8 in is 1.06 of it at nine tenths. */
    public function testDoorsAreJudgedAgainAfterAFactor(): void
    {
        $document = self::row('30ft', 4, '4ft', '7ft', '2ft 6in', ['id' => 'd', 'style' => 'd', 'from' => '13ft 6in', 'sill' => '0ft']);
        $low = static fn (Derivation $d): string => implode(' ', array_map(
            static fn (Check $c): string => $c->text,
            array_filter($d->checks, static fn (Check $c): bool => $c->code === 'door.low'),
        ));
        self::assertSame('', $low(Kits::of($document)));
        $document->compression = json_decode('{"steps": [{"op": "factor", "by": 0.9}], "protect": []}');
        self::assertStringContainsString('1.06 figures high', $low(Kits::of($document)));
        $doors = array_column(ScaleTable::of($document, [])['rows'], 'doors', 'scale')['1:76.2'];
        self::assertSame([1.06], array_column(is_array($doors) ? $doors : [], 'figures'));
    }
}
