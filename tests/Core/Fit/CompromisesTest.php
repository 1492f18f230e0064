<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Compression\Compressor;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Fit\Compromise\Wishes;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Buildings made smaller in one direction or in several. */
final class CompromisesTest extends TestCase
{
    /** Two sheds in a row, 40 and 30 ft long, 24 deep, at 1:76.2: a row of three windows in each front; on the long one's back a store. */
    private static function sheds(): stdClass
    {
        $document = Kits::box('40ft', '24ft', '14ft', 35.0);
        $document->scale = '1:76.2';
        $document->gauge = json_decode('{"brick": "9in", "course": "3in", "joint": "3/8in"}');
        $document->styles = json_decode(
            '{"light": {"kind": "window", "w": "4ft", "h": "5ft", "frame": {"panes": [2, 2], "stile": "4in", "bar": "4in"}}}',
        );
        $row = static fn (string $pitch): string =>
            '[{"edge": "front", "openings": [{"id": "w", "style": "light", "from": "6ft", "sill": "3ft", "repeat": {"count": 3, "pitch": "'
                .$pitch.'"}}]}]';
        assert(is_array($document->blocks) && $document->blocks[0] instanceof stdClass);
        $document->blocks[0]->name = 'Long shed';
        $document->blocks[0]->walls = json_decode($row('12ft'));
        $document->blocks[] = json_decode(
            '{"id": "short", "name": "Short shed", "footprint": {"rect": ["30ft", "24ft"]}, "at": ["40ft", "0ft"], "eaves": "11ft", "walls": '
                .$row('7ft').', "roof": {"kind": "gable", "ridge": "x", "pitch": 35}}',
        );
        $document->blocks[] = json_decode(
            '{"id": "store", "name": "Store", "footprint": {"rect": ["10ft", "8ft"]}, "at": ["6ft", "24ft"], "eaves": "8ft", "roof": {"kind": "lean-to", "rise": "3ft", "edges": [{"edge": "front", "kind": "wall"}]}}',
        );

        return $document;
    }

    /** A hall between twin pavilions of 18 ft, the left with two windows in its front, the right with one. */
    private static function pavilions(): stdClass
    {
        $document = Kits::box('31ft 6in', '20ft', '12ft', 35.0);
        $document->scale = '1:76.2';
        $document->gauge = json_decode('{"brick": "9in", "course": "3in", "joint": "3/8in"}');
        $document->styles = json_decode('{"light": {"kind": "window", "w": "3ft", "h": "5ft", "frame": {"panes": [2, 2]}}}');
        assert(is_array($document->blocks) && $document->blocks[0] instanceof stdClass);
        $document->blocks[0]->walls = json_decode('[{"edge": "front", "openings": [{"id": "w", "style": "light", "from": "14ft", "sill": "3ft"}]}]');
        foreach ([['left', '-18ft', 2], ['right', '31ft 6in', 1]] as [$id, $at, $count]) {
            $repeat = $count === 1 ? '' : ', "repeat": {"count": 2, "pitch": "7ft"}';
            $document->blocks[] = json_decode(
                "{\"id\": \"$id\", \"footprint\": {\"rect\": [\"18ft\", \"20ft\"]}, \"at\": [\"$at\", \"0ft\"], \"eaves\": \"14ft\", \"walls\": "
                    .'[{"edge": "front", "openings": [{"id": "w", "style": "light", "from": "4ft", "sill": "3ft"'.$repeat.'}]}], '
                    .'"roof": {"kind": "hip", "pitch": 35}}',
            );
        }

        return $document;
    }

    /** However much is to go, twins are as long as each other afterwards, and each has given whole bricks. */
    #[TestWith([11.0])]
    #[TestWith([17.3])]
    #[TestWith([23.9])]
    public function testTwinsStayAlike(float $mm): void
    {
        $now = Compromises::of(self::pavilions(), new Targets)['now'];
        $to = new Targets($now['across'] - $mm);
        $rows = Compromises::of(self::pavilions(), $to, new Wishes(alike: true, bricks: true))['rows'];
        self::assertContains('several', array_column($rows, 'key'));
        foreach ($rows as $row) {
            if ($row['protected']) {
                continue;
            }
            $document = self::pavilions();
            $document->compression = (object) ['steps' => array_map(static fn (array $s): stdClass => (object) $s, $row['steps'])];
            $blocks = array_column(Compressor::of(BuildingReader::fromDocument($document), new Problems)->building->blocks, null, 'id');
            if (! isset($blocks['left'], $blocks['right'])) {
                continue;
            }
            $lengths = array_map(static fn (string $id): float => $blocks[$id]->standing()->bounds()->width(), ['left', 'right']);
            self::assertEqualsWithDelta($lengths[0], $lengths[1], 0.01, $row['title']);
            $gone = (18.0 * 304.8 - $lengths[0]) / 228.6;
            self::assertEqualsWithDelta(round($gone), $gone, 1e-3, 'whole bricks');
            self::assertLessThan(0.01, $row['over_mm'], $row['title']);
        }
    }

    public function testHowLargeItIsAndWhatItCouldGive(): void
    {
        $answer = Compromises::of(self::sheds(), new Targets);
        self::assertEqualsWithDelta(70.0 * 304.8 / 76.2, $answer['now']['across'], 0.001);
        self::assertSame([], $answer['rows']);
        // Two margins of 6 ft, and piers of 8: 1.5 bricks stay of a margin, three quarters of a pier.
        $room = array_column($answer['room'], 'most', 'wall');
        self::assertSame('13ft 9in', $room['main.front']);
        self::assertSame(['across', 'across', 'across', 'deep', 'deep', 'deep'], array_column($answer['room'], 'direction'));
    }

    /** More than either shed's wall can give alone, less than both together. */
    public function testSeveralWallsGiveTogether(): void
    {
        $answer = Compromises::of(self::sheds(), new Targets(54.0 * 304.8 / 76.2));
        $keys = array_column($answer['rows'], 'key');
        self::assertContains('several', $keys);
        $row = $answer['rows'][(int) array_search('several', $keys, true)];
        self::assertTrue($row['closes']);
        self::assertSame(
            ['main', 'short'],
            array_values(array_unique(array_map(static fn (array $s): string => is_string($s['block']) ? $s['block'] : '', $row['steps']))),
        );
        self::assertEqualsWithDelta(216.0, $row['finished']['across'] ?? 0.0, 0.001);
        self::assertSame(0.0, $row['over_mm']);
    }

    public function testDepthAndHeightAtOnce(): void
    {
        $now = Compromises::of(self::sheds(), new Targets)['now'];
        $to = new Targets($now['across'] - 10.0, $now['deep'] - 4.0, $now['high'] - 3.0);
        $answer = Compromises::of(self::sheds(), $to);
        self::assertSame(['across', 'deep', 'high'], array_keys((array) $answer['missing']));
        self::assertGreaterThan(3, count($answer['rows']));
        $harm = 0.0;
        $whole = 0;
        foreach ($answer['rows'] as $row) {
            self::assertNull($row['refused'], $row['title']);
            self::assertGreaterThanOrEqual($row['protected'] ? 0.0 : $harm, $row['harm']);
            $harm = $row['harm'];
            if ($row['key'] === 'factor') {
                continue;
            }
            self::assertSame(0.0, $row['over_mm'], $row['title']);
            // Whole courses: lower by as much as is asked, or less than one more of each block's.
            self::assertLessThan(1.01 * 76.2 / 76.2, (float) $to->high - ($row['finished']['high'] ?? 0.0), $row['title']);
            self::assertContains('courses', array_column($row['steps'], 'op'));
            $whole += $row['closes'] ? 1 : 0;
        }
        self::assertGreaterThan(2, $whole);
        // Four less deep the ridge is 2 · tan 35° = 1.4 lower already; of three, 1.6 are left to go: two courses of 1.
        $courses = array_values(array_filter($answer['rows'][0]['steps'], static fn (array $s): bool => $s['op'] === 'courses'));
        self::assertSame([['op' => 'courses', 'block' => 'main', 'count' => 2]], $courses);
    }

    public function testABlockLeftOutIsOfferedWhereItIsEnough(): void
    {
        $now = Compromises::of(self::sheds(), new Targets)['now'];
        $deep = Compromises::of(self::sheds(), new Targets(null, $now['deep'] - 20.0));
        $omitted = array_values(array_filter($deep['rows'], static fn (array $r): bool => $r['key'] === 'omit-store'));
        self::assertCount(1, $omitted);
        self::assertSame(['Store is not modelled, 5 % of the plan'], $omitted[0]['costs']);
        self::assertEqualsWithDelta(24.0 * 304.8 / 76.2 + 2.0 * sin(deg2rad(35.0)), $omitted[0]['finished']['deep'] ?? 0.0, 0.001);
        // Nobody is told to leave out the store to make the row shorter.
        self::assertNotContains(
            'omit-store',
            array_column(Compromises::of(self::sheds(), new Targets($now['across'] - 5.0))['rows'], 'key'),
        );
    }

    public function testNoOtherWallIsTouchedWhereThatIsAsked(): void
    {
        $now = Compromises::of(self::sheds(), new Targets)['now'];
        $answer = Compromises::of(self::sheds(), new Targets($now['across'] - 5.0), new Wishes('short.front'));
        foreach (array_merge(...array_column($answer['rows'], 'steps')) as $step) {
            self::assertSame($step['op'] === 'factor' ? null : 'short', $step['block'] ?? null);
        }
        self::assertGreaterThan(2, count($answer['rows']));
    }

    /** As it is, and as it is modelled: the long shed of 40 ft is 36. */
    public function testBothAreDrawnInPlan(): void
    {
        $document = self::sheds();
        $document->compression = json_decode('{"steps": [{"op": "margins", "block": "main", "edge": "front", "by": "4ft"}]}');
        $answer = Compromises::of($document);
        self::assertEqualsWithDelta([160.0, 0.0], $answer['ghost'][0]['ring'][1], 0.001);
        self::assertEqualsWithDelta([144.0, 0.0], $answer['plan'][0]['ring'][1], 0.001);
        self::assertCount(3, $answer['plan']);
        self::assertSame(['what' => 'Long shed, front', 'real' => '40ft', 'modelled' => '36ft'], $answer['differences'][0]);
    }

    public function testWhatIsProtectedComesLast(): void
    {
        $now = Compromises::of(self::sheds(), new Targets)['now'];
        $rows = Compromises::of(self::sheds(), new Targets($now['across'] * 0.98))['rows'];
        $protected = array_column($rows, 'protected');
        $sorted = $protected;
        sort($sorted);
        self::assertSame($sorted, $protected);
    }

    /** The creamery's plot is 338 wide; its roofs want 1.5 at either end, and half a millimetre is left there. */
    public function testWithoutASizeItIsFittedToItsPlot(): void
    {
        $answer = Compromises::of(JsonText::decode(Kits::exampleText('creamery')));
        self::assertTrue($answer['of_plot']);
        self::assertEqualsWithDelta([334.0, null, null], array_values($answer['to']), 0.001);
        self::assertSame(['across'], array_keys((array) $answer['missing']));
        $ready = array_values(
            array_filter($answer['rows'], static fn (array $r): bool => $r['closes'] && $r['over_mm'] === 0.0 && ! $r['protected']),
        );
        self::assertGreaterThan(2, count($ready));
        foreach ($ready as $row) {
            // A block left out is more than what is missing.
            $finished = $row['finished']['across'] ?? 0.0;
            self::assertEqualsWithDelta(str_contains($row['title'], 'left out') ? min(334.0, $finished) : 334.0, $finished, 0.01, $row['title']);
        }
        // And with the first of them taken it does fit, once it is moved.
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $document->compression = json_decode((string) json_encode(['steps' => $ready[0]['steps']]));
        self::assertSame([], Kits::of($document)->fit?->tooLarge());
        self::assertFalse(Compromises::of($document)['of_plot'] && Compromises::of($document)['rows'] !== []);
        // What fits is asked for nothing.
        self::assertSame([], Compromises::of(JsonText::decode(Kits::exampleText('weigh-office')))['rows']);
    }

    public function testAWallThatIsNotThere(): void
    {
        $this->expectException(InvalidInput::class);
        Compromises::of(JsonText::decode(Kits::exampleText('weigh-office')), new Targets(60.0), new Wishes('main.top'));
    }
}
