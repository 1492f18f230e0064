<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\SeenFrom;
use Chartula\Core\Drawing\SwatchPages;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Weather;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Core\Output\ReadPage;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Colours of one's own on the back of the weigh office, 72 by 38 in courses of 1 and bricks of 3. docs/formulas.md#coverings */
final class PalettesTest extends TestCase
{
    private const RED = '#a65f4a';

    private const BLUE = '#20304a';

    /** Of three colours in parts of 6, 3 and 1 there are about so many tenths. */
    public function testColoursHaveTheirShares(): void
    {
        $bricks = self::bricks(['colours' => [
            ['colour' => '#ff0000', 'parts' => 6], ['colour' => '#00ff00', 'parts' => 3], ['colour' => '#0000ff'],
        ]]);
        $count = count($bricks);
        self::assertGreaterThan(800, $count);
        foreach ([0.6, 0.3, 0.1] as $channel => $share) {
            $of = array_filter($bricks, static fn (array $b): bool => self::brightest($b[1]) === $channel);
            self::assertEqualsWithDelta($share, count($of) / $count, 0.05);
        }
        // Equal documents print equal bricks.
        self::assertEquals($bricks, self::bricks(['colours' => [
            ['colour' => '#ff0000', 'parts' => 6], ['colour' => '#00ff00', 'parts' => 3], ['colour' => '#0000ff'],
        ]]));
    }

    /** Every eight courses from the datum two are blue: from 0 to 2, from 8 to 10 …, and no other brick is. */
    public function testBandsLieOnTheDatum(): void
    {
        foreach (self::bricks(['bands' => ['colour' => self::BLUE, 'every' => 8, 'high' => 2]]) as [$box, $colour]) {
            $course = (int) floor($box->centre()->y + 1e-9);
            self::assertSame($course % 8 < 2, self::brightest($colour) === 2, "course $course");
        }
    }

    /** A wall that recedes has its bands in the courses that recede with it, not level ones of the paper. */
    public function testBandsRecedeWithTheirCourses(): void
    {
        $derived = self::derived(['bands' => ['colour' => self::BLUE, 'every' => 8, 'high' => 2]], [
            'blocks.0.walls.1.palette' => 'own', 'blocks.0.walls.1.finish' => 'brick-stretcher',
            'perspective' => json_decode('{"depth": "25mm", "axis": "10mm"}'),
        ]);
        $paper = $derived->kit->part('main.right.paper');
        $art = $paper->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $back = $art->receding()?->inverse() ?? self::fail('it does not recede');
        $bands = 0;
        foreach (ArtSymbol::of($paper, $art, true)->paths as $path) {
            foreach ($path->lines as $unit) {
                $box = $back->ring(new Ring($unit))->bounds();
                if ($box->width() > 3.01 || $box->height() > 1.01 || $path->fill === $art->pattern->ground()) {
                    continue;
                }
                $course = (int) floor($box->centre()->y - $art->datum + 1e-6);
                self::assertSame((($course % 8) + 8) % 8 < 2, self::brightest((string) $path->fill) === 2, "course $course");
                $bands += (int) (self::brightest((string) $path->fill) === 2);
            }
        }
        self::assertGreaterThan(50, $bands);
    }

    /** Twelve half bricks, 18, wide: from half brick 0 lines go up to both sides, cross at 6 and come together again twelve courses up. */
    public function testLozengesGoUpByHalfABrickACourse(): void
    {
        $blue = [];
        foreach (self::bricks(['diaper' => ['colour' => self::BLUE, 'across' => 12]]) as [$box, $colour]) {
            if (self::brightest($colour) === 2) {
                $blue[(int) floor($box->centre()->y + 1e-9)][] = [$box->x0, $box->x1];
            }
        }
        $isBlue = static fn (int $course, float $half): bool => array_filter(
            $blue[$course],
            static fn (array $run): bool => $run[0] < $half * 1.5 + 0.75 && $run[1] > $half * 1.5 + 0.75,
        ) !== [];
        foreach (range(0, 23) as $course) {
            foreach (range(0, 46) as $half) {
                if (($half + $course) % 12 === 0 || ($half - $course + 24) % 12 === 0) {
                    self::assertTrue($isBlue($course, (float) $half), "$half in course $course");
                }
            }
        }
        self::assertFalse($isBlue(0, 6.0), 'the middle of a lozenge');
    }

    /** Of the headers of Flemish bond, half bricks wide, three tenths; no stretcher. */
    public function testHeadersAreBurnt(): void
    {
        $bricks = self::bricks(['burnt' => ['colour' => self::BLUE, 'share' => 30]], 'brick-flemish');
        $headers = $burnt = 0;
        foreach ($bricks as [$box, $colour]) {
            $isHeader = $box->width() > 1.2 && $box->width() < 1.6;
            $isBurnt = self::brightest($colour) === 2;
            self::assertTrue($isHeader || ! $isBurnt);
            [$headers, $burnt] = [$headers + (int) $isHeader, $burnt + (int) $isBurnt];
        }
        self::assertEqualsWithDelta(0.3, $burnt / $headers, 0.05);
    }

    /** Four steps at the most, none in the middle of the wall; soot grows upwards, damp downwards. */
    public function testSootAndDamp(): void
    {
        $weather = new Weather(1.0, 0.5, 0.0, 40.0);
        self::assertSame([4, 0], $weather->at(new Vec2(0.0, 40.0), 0.0));
        self::assertSame([0, 2], $weather->at(new Vec2(0.0, 0.0), 0.0));
        self::assertSame([0, 0], $weather->at(new Vec2(0.0, 16.0), 0.99));
        // Half way down soot's 0.45 of the height.
        self::assertSame([2, 0], $weather->at(new Vec2(0.0, 31.0), 0.0));
        $plain = self::bricks([]);
        $old = self::bricks([], 'brick-stretcher', ['methods.skin.soot' => 80, 'methods.skin.damp' => 60]);
        self::assertLessThan(0.8, self::light($old, 35.0, 38.0) / self::light($plain, 35.0, 38.0));
        self::assertLessThan(0.95, self::light($old, 0.0, 3.0) / self::light($plain, 0.0, 3.0));
        self::assertEqualsWithDelta(1.0, self::light($old, 10.0, 18.0) / self::light($plain, 10.0, 18.0), 1e-9);
        self::assertSame(count($plain), count($old));
    }

    /** Slates and stones have them, too, and what shows between. */
    public function testAnyCoveringHasThem(): void
    {
        $derived = self::derived(
            ['colours' => [['colour' => '#102030'], ['colour' => '#405060']], 'joint' => '#010203'],
            ['blocks.0.roof.finish' => 'slate', 'blocks.0.roof.palette' => 'own', 'blocks.0.walls.2.finish' => 'stone-random'],
        );
        foreach (['main.front-slope.carrier-paper', 'main.back.paper'] as $id) {
            $art = $derived->kit->part($id)->part->art;
            self::assertInstanceOf(FaceArt::class, $art);
            self::assertSame([['#102030', '#405060'], '#010203'], [$art->pattern->palette()->all(), $art->pattern->ground()]);
        }
        self::assertSame([], $derived->dryFit->findings);
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('provideFaults')]
    public function testAFaultHasItsPlace(array $said, array $more, string $path): void
    {
        try {
            BuildingReader::fromDocument(self::document($said, $more));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame($path, $e->problems[0]->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function provideFaults(): iterable
    {
        yield 'bands without a gap' => [['bands' => ['colour' => self::BLUE, 'every' => 3, 'high' => 3]], [], 'palettes.0.bands.high'];
        yield 'more than all' => [['burnt' => ['colour' => self::BLUE, 'share' => 130]], [], 'palettes.0.burnt.share'];
        yield 'no colour' => [['colours' => [['colour' => 'red']]], [], 'palettes.0.colours.0.colour'];
        yield 'no such' => [[], ['blocks.0.roof.palette' => 'other'], 'blocks.0.roof.palette'];
    }

    /** At 600 an eye tells 0.175 apart; a joint of 10 at 1:76.2 is 0.131. A camera at 200 sees it as a line. */
    public function testWhatIsSeenFromADistance(): void
    {
        $building = BuildingReader::fromDocument(self::document([], []));
        $seen = SeenFrom::of($building, 600.0);
        self::assertEqualsWithDelta(0.1746, $seen['least_mm'], 1e-9);
        self::assertStringContainsString('A joint of 10 mm is 0.131 mm here: only a tone.', $seen['words']);
        self::assertStringContainsString('bricks are told apart', $seen['words']);
        self::assertStringContainsString('a line', SeenFrom::of($building, 200.0)['words']);
        self::assertStringContainsString('run together', SeenFrom::of($building, 4000.0)['words']);
    }

    /** A piece of each, with its name and where it is. */
    public function testPagesOfPieces(): void
    {
        $pages = SwatchPages::of(BuildingReader::fromDocument(self::document([], ['blocks.0.roof.finish' => 'slate'])), '');
        self::assertCount(1, $pages);
        $words = implode(' ', array_column(ReadPage::all([$pages[0]])[0]->words, 0));
        foreach (['Brick, Flemish bond, in Old bricks', 'back wall of Office', 'Slates', 'roof of Office', '1 of 1'] as $said) {
            self::assertStringContainsString($said, $words);
        }
        self::assertCount(3, $pages[0]->symbols());
    }

    /**
     * Bricks of the back wall with their colours.
     *
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     * @return list<array{Box2, string}>
     */
    private static function bricks(array $said, string $finish = 'brick-stretcher', array $more = []): array
    {
        $paper = self::derived($said, ['blocks.0.walls.2.finish' => $finish, ...$more])->kit->part('main.back.paper');
        $art = $paper->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $bricks = [];
        foreach (ArtSymbol::of($paper, $art)->paths as $path) {
            foreach (self::units($path) as $box) {
                $bricks[] = [$box, (string) $path->fill];
            }
        }
        usort($bricks, static fn (array $a, array $b): int => [$a[0]->y0, $a[0]->x0] <=> [$b[0]->y0, $b[0]->x0]);

        return $bricks;
    }

    /** @return list<Box2> what is no larger than a brick, on the face itself */
    private static function units(Path $path): array
    {
        $boxes = array_map(static fn (array $line): Box2 => Box2::around($line), $path->lines);

        return array_values(array_filter(
            $boxes,
            static fn (Box2 $b): bool => $b->width() < 3.01 && $b->height() < 1.01 && $b->x0 > -0.01 && $b->x1 < 72.01,
        ));
    }

    /**
     * How light bricks between two heights are.
     *
     * @param  list<array{Box2, string}>  $bricks
     */
    private static function light(array $bricks, float $from, float $to): float
    {
        $sum = $count = 0;
        foreach ($bricks as [$box, $colour]) {
            $isHere = $box->centre()->y > $from && $box->centre()->y < $to;
            [$sum, $count] = $isHere ? [$sum + array_sum(self::channels($colour)), $count + 1] : [$sum, $count];
        }

        return $sum / max(1, $count);
    }

    /** @return array{int, int, int} */
    private static function channels(string $colour): array
    {
        return [(int) hexdec(substr($colour, 1, 2)), (int) hexdec(substr($colour, 3, 2)), (int) hexdec(substr($colour, 5, 2))];
    }

    private static function brightest(string $colour): int
    {
        $channels = self::channels($colour);

        return (int) array_search(max($channels), $channels, true);
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     */
    private static function document(array $said, array $more): stdClass
    {
        $palette = ['id' => 'own', 'name' => 'Old bricks', 'colours' => [['colour' => self::RED]], ...$said];
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $all = ['palettes' => json_decode((string) json_encode([$palette])), 'blocks.0.walls.2.palette' => 'own', ...$more];
        foreach ($all as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return $document;
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     */
    private static function derived(array $said, array $more): Derivation
    {
        $document = self::document($said, $more);

        return Derivation::of(BuildingReader::fromDocument($document), JsonText::encode($document));
    }
}
