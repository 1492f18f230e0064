<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\PartDrawing;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Output\SvgWriter;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\FoldedArt;
use Chartula\Core\Part\Pattern\Picture;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Skin\PaperUse;
use Chartula\Core\Skin\PaperUses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SimpleXMLElement;
use stdClass;
use Symfony\Component\Process\Process;
use Tests\Core\Output\GreyPage;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnePicture;

/**
 * A person's own papers on the weigh office, whose courses are 1 mm and bricks 3 mm on the model; its back is 72 by 38, without openings.
 * docs/formulas.md#own-papers
 */
final class OwnPaperTest extends TestCase
{
    private const DOTS_PER_MM = 1200 / 25.4;

    /** Twenty courses in 21.0 where 1.0 is wanted: printed at 95.238 %. */
    public function testItIsPrintedSoThatItsCoursesAreThoseOfTheBuilding(): void
    {
        $picture = self::picture(self::derived(['up' => '21mm'], ['blocks.0.walls.2.paper' => 'scan']), 'main.back.paper');
        // A scan of 620 by 420 pixels of a twentieth of a millimetre.
        self::assertEqualsWithDelta([620 * 0.05 * 0.95238, 420 * 0.05 * 0.95238], $picture->size, 1e-4);
        // Measured along as well, ten bricks in 31 where 30 are wanted, each way has its own.
        $both = self::derived(['up' => '21mm', 'along' => '31mm'], ['blocks.0.walls.2.paper' => 'scan']);
        $picture = self::picture($both, 'main.back.paper');
        self::assertEqualsWithDelta([30.0, 20.0], $picture->size, 1e-9);
    }

    /** On a printed page, as a rule would measure it: beds a millimetre apart, from the wall's foot, to a thousandth. */
    public function testItIsOnItsPitchOnPaper(): void
    {
        $scan = self::scan();
        $derived = self::derived(['up' => '21mm', 'along' => '31mm'], ['blocks.0.walls.2.paper' => 'scan']);
        $page = self::printed($derived, 'main.back.paper', $scan);
        // Between two upright joints: 3 mm from one to the next, the joint itself 0.75 wide.
        $column = self::begins(array_map(static fn (float $y): float => 38.0 - $y, array_reverse($page->column(37.9))));
        self::assertCount(38, $column);
        self::assertEqualsWithDelta(0.0, $column[0], 0.05);
        self::assertEqualsWithDelta(1.0, ($column[37] - $column[1]) / 36.0, 0.001);
        $row = self::begins(array_filter($page->row(38.0 - 10.7), static fn (float $x): bool => $x < 71.9));
        self::assertCount(24, $row);
        self::assertEqualsWithDelta(0.0, $row[0], 0.05);
        self::assertEqualsWithDelta(3.0, ($row[23] - $row[1]) / 22.0, 0.003);
    }

    /**
     * The office's right wall, 48 deep, built 25 deep for an eye 612 before its front: V = 25 · 660 / 23 = 717.391, A = 23 / (48 · 637).
     * It leans to the eye, which stands 36 aside of it, by 36 · 25 / V = 1.2546, so that it is 25.0315 long; its paper begins 1.8 before.
     * docs/formulas.md#perspective
     */
    public function testOnAWallThatRecedesItRecedesWithIt(): void
    {
        $derived = self::derived(['up' => '21mm', 'along' => '31mm'], [
            'blocks.0.walls.1.paper' => 'scan', 'perspective' => json_decode('{"depth": "25mm", "axis": "10mm"}'),
        ]);
        self::assertSame([], $derived->dryFit->findings);
        $page = self::printed($derived, 'main.right.paper', self::scan());
        [$v, $a, $along] = [717.391, 23.0 / (48.0 * 637.0), 25.0315 / 25.0];
        $high = $derived->kit->part('main.right.paper')->part->outline->ring->bounds()->height();
        foreach ([2.8, 26.4] as $x) {
            $k = 1.0 - ($x - 1.8) / $along / $v;
            // Clear of the arch and the sill, whose joints are their own; the tenth bed lies on the eye's axis and stays where it is.
            $beds = self::begins(array_map(static fn (float $y): float => $high - $y, array_reverse($page->column($x))));
            foreach ([2, 10, 30, 50] as $course) {
                $at = 10.0 + ($course - 10) * $k;
                self::assertNotSame([], array_filter($beds, static fn (float $y): bool => abs($y - $at) < 0.06), "bed $course at $x");
            }
        }
        $joints = self::begins($page->row($high - 8.6));
        foreach ([1, 2, 8, 15] as $brick) {
            $at = 1.8 + $along * $v * (1.0 - 1.0 / (1.0 + $a * 3.0 * $brick));
            self::assertNotSame([], array_filter($joints, static fn (float $x): bool => abs($x - $at) < 0.06), "joint $brick");
        }
    }

    /** However far a sheet reaches past what is seen of it, only that is drawn, in no more pieces than it takes. */
    public function testALargePaperOnAWallThatRecedesIsDrawnWhereItShows(): void
    {
        $said = ['lies' => 'whole', 'mm_per_pixel' => [3.0, 3.0]];
        $derived = self::derived($said, [
            'blocks.0.walls.1.paper' => 'scan', 'perspective' => json_decode('{"depth": "8mm", "axis": "10mm"}'),
        ]);
        $svg = SvgWriter::write(PartDrawing::onWall($derived->kit->part('main.right.paper')), self::scan());
        self::assertGreaterThan(10, substr_count($svg, '<use href="#picture-'));
        self::assertLessThan(1000, substr_count($svg, '<use href="#picture-'));
    }

    /** The same copies, at the same places, in both kinds of files; the picture is in each once. */
    public function testBothKindsOfFilesShowIt(): void
    {
        $scan = self::scan();
        $drawing = PartDrawing::face(self::derived(['up' => '21mm'], ['blocks.0.walls.2.paper' => 'scan'])->kit->part('main.back.paper'));
        $svg = SvgWriter::write($drawing, $scan);
        $xml = new SimpleXMLElement($svg);
        self::assertCount(1, $xml->defs->image ?? []);
        // 29.524 wide and 20 high from the left end and the foot on, which is 72 by 38: 3 by 2, and as many under them.
        self::assertSame(2 * 3 * 2, substr_count($svg, '<use href="#picture-'));
        $pdf = PdfWriter::write([$drawing], 'x', 0, $scan);
        self::assertSame(1, substr_count($pdf, '/Subtype /Image'));
        self::assertStringNotContainsString('<image', SvgWriter::write($drawing), 'in one colour where it is not at hand');
        self::assertSame($pdf, PdfWriter::write([$drawing], 'x', 0, $scan));
    }

    /** On slopes its courses are the rows that would be drawn: 16 up 33 / cos 40°. */
    public function testOnARoofItFollowsTheRows(): void
    {
        $derived = self::derived(['up' => '40mm', 'courses' => 10], [
            'blocks.0.roof.paper' => 'scan', 'blocks.0.roof.finish' => 'slate',
            'blocks.0.footprint' => (object) ['rect' => ['18ft', '15ft']],
        ]);
        self::assertSame([], $derived->dryFit->findings);
        $row = 33.0 / cos(deg2rad(40.0)) / 16.0;
        self::assertEqualsWithDelta(21.0 * $row / 4.0, self::picture($derived, 'main.front-slope.carrier-paper')->size[1], 1e-4);
    }

    /** Nothing is cut otherwise than with the finish drawn. */
    public function testOnlyThePrintChanges(): void
    {
        $derived = self::derived([], ['blocks.0.walls.0.paper' => 'scan', 'blocks.0.walls.2.paper' => 'scan']);
        $plain = self::derived([], []);
        foreach (['main.front.paper', 'main.back.paper'] as $id) {
            self::assertSame($plain->kit->part($id)->cut, $derived->kit->part($id)->cut);
            self::assertNotSame($plain->kit->part($id)->print, $derived->kit->part($id)->print);
        }
        // A wall that was bare has a paper then.
        $bare = self::derived([], ['blocks.0.walls.2.finish' => 'bare', 'blocks.0.walls.2.paper' => 'scan']);
        self::assertEqualsWithDelta([31.0, 21.0], self::picture($bare, 'main.back.paper')->size, 1e-9);
    }

    /** A part of a wall, and a poster, which is stretched over 2 ft by 3 ft: 8 by 12, its middle 5 ft from the left end. */
    public function testPartsOfWallsAndPosters(): void
    {
        $on = (object) ['anchor' => 'wall', 'edge' => 'back', 'from' => '5ft', 'up' => '2ft'];
        $derived = self::derived([], ['blocks.0.features' => [
            (object) ['id' => 'f1', 'kind' => 'facing', 'paper' => 'scan', 'on' => (object) ['edge' => 'back']],
            (object) ['id' => 'p1', 'kind' => 'poster', 'paper' => 'scan', 'on' => $on],
        ]]);
        $art = $derived->kit->part('main.back.paper')->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        [$facing, $poster] = $art->dressings;
        self::assertInstanceOf(Picture::class, $facing->pattern);
        self::assertInstanceOf(Picture::class, $poster->pattern);
        self::assertEqualsWithDelta(new Box2(16.0, 8.0, 24.0, 20.0), $poster->ring->bounds(), 1e-9);
        self::assertEqualsWithDelta([8.0, 12.0], $poster->pattern->size, 1e-9);
        self::assertSame('', self::check($derived, 'paper.none'));
        $blank = self::derived([], ['blocks.0.features' => [(object) ['id' => 'p1', 'kind' => 'poster', 'on' => $on]]]);
        self::assertStringContainsString('a blank board so far', self::check($blank, 'paper.none'));
        // It was scanned 31 by 21: 12 high it would be 17.71 wide.
        self::assertStringContainsString('12.00 mm high it would be 17.71 mm wide', self::check($derived, 'paper.stretched'));
        self::assertSame([], $derived->dryFit->findings);
    }

    /** Round a chimney its courses are the chimney's; what stands out of it in stone is drawn. Its picture is asked for. */
    public function testOnAChimney(): void
    {
        $on = (object) ['anchor' => 'roof-line', 'edge' => 'front', 'line' => 'ridge', 'from' => '9ft'];
        $derived = self::derived(['up' => '21mm'], ['blocks.0.features' => [
            (object) ['id' => 'c1', 'kind' => 'chimney', 'paper' => 'scan', 'on' => $on],
        ]]);
        self::assertSame([], $derived->dryFit->findings);
        $worn = [];
        foreach ($derived->kit->parts as $part) {
            $faces = $part->part->art instanceof FoldedArt ? $part->part->art->faces : [];
            foreach ($faces as $face) {
                $worn[] = $face instanceof FaceArt && $face->pattern instanceof Picture ? round($face->pattern->size[1], 4) : 0.0;
            }
        }
        self::assertContains(20.0, $worn);
        $uses = PaperUses::of($derived->building, $derived->kit->form);
        self::assertSame(['the chimney of Office'], array_map(static fn (PaperUse $u): string => $u->words, $uses));
    }

    /**
     * @param  array<string, mixed>  $said  of the paper
     * @param  array<string, mixed>  $more  of the document
     */
    #[DataProvider('provideRemarks')]
    public function testWhatIsNotAsItShouldBeIsSaid(array $said, array $more, string $code, string $words): void
    {
        $derived = self::derived($said, ['blocks.0.walls.2.paper' => 'scan', ...$more]);
        self::assertStringContainsString($words, self::check($derived, $code));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function provideRemarks(): iterable
    {
        yield 'a little off' => [['up' => '21mm'], [], 'paper.pitch', 'printed at 95.24 %'];
        yield 'of another scale' => [['up' => '15mm'], [], 'paper.scale', 'printed at 133.33 %'];
        yield 'coarse' => [['mm_per_pixel' => [0.2, 0.2]], [], 'paper.coarse', 'has 127 dots an inch'];
        yield 'too small to be laid once' => [['lies' => 'whole'], [], 'paper.small', '31.00 mm by 21.00 mm'];
        yield 'by no right' => [['licence' => ' '], [], 'paper.licence', 'by what right'];
    }

    /** A paper that comes out as it was scanned, often enough, has nothing remarked on it. */
    public function testASoundOneIsSilent(): void
    {
        $derived = self::derived(['up' => '20.2mm'], ['blocks.0.walls.2.paper' => 'scan']);
        self::assertSame([], array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->code, 'paper.')));
    }

    /**
     * @param  array<string, mixed>  $said  of the paper
     * @param  array<string, mixed>  $more  of the document
     */
    #[DataProvider('provideFaults')]
    public function testAFaultHasItsPlace(array $said, array $more, string $path, string $code): void
    {
        try {
            BuildingReader::fromDocument(self::document($said, $more));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame([[$path, $code]], array_map(static fn (Problem $p): array => [$p->path, $p->code], $e->problems));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function provideFaults(): iterable
    {
        yield 'a pitch of nothing' => [['up' => '0mm'], [], 'papers.0.up', 'length.not-above-zero'];
        yield 'pixels of no size' => [['mm_per_pixel' => [0, 0.05]], [], 'papers.0.mm_per_pixel.0', 'number-out-of-range'];
        yield 'no digest' => [['sha256' => 'abc'], [], 'papers.0.sha256', 'digest'];
        yield 'a first course past its top' => [['foot' => '21mm'], [], 'papers.0.foot', 'paper.foot'];
        yield 'a wall in none of them' => [[], ['blocks.0.walls.2.paper' => 'other'], 'blocks.0.walls.2.paper', 'unknown-name'];
        yield 'a roof in none of them' => [[], ['blocks.0.roof.paper' => 'other'], 'blocks.0.roof.paper', 'unknown-name'];
    }

    /**
     * A picture of next to no size, and one whose course is measured longer than anything, would be laid thousands of times.
     *
     * @param  array<string, mixed>  $said
     */
    #[DataProvider('provideTiny')]
    public function testNothingIsLaidWithoutEnd(array $said, string $code): void
    {
        $on = (object) ['anchor' => 'roof-line', 'edge' => 'front', 'line' => 'ridge', 'from' => '9ft'];
        foreach ([
            'a wall' => ['blocks.0.walls.2.paper' => 'scan'],
            'a roof' => ['blocks.0.roof.paper' => 'scan', 'blocks.0.roof.finish' => 'slate'],
            'a chimney' => ['blocks.0.features' => [(object) ['id' => 'c1', 'kind' => 'chimney', 'paper' => 'scan', 'on' => $on]]],
            'a part of a wall' => ['blocks.0.features' => [
                (object) ['id' => 'f1', 'kind' => 'facing', 'paper' => 'scan', 'on' => (object) ['edge' => 'back']],
            ]],
        ] as $what => $more) {
            try {
                self::derived($said, $more);
                self::fail("no fault of $what");
            } catch (InvalidInput $e) {
                self::assertContains($code, array_map(static fn (Problem $p): string => $p->code, $e->problems), $what);
            }
        }
        // A poster is stretched over its own size, whatever was measured.
        if ($code === 'paper.copies') {
            $on = (object) ['edge' => 'back', 'from' => '5ft'];
            $poster = ['blocks.0.features' => [(object) ['id' => 'p1', 'kind' => 'poster', 'paper' => 'scan', 'on' => $on]]];
            self::assertSame([], self::derived($said, $poster)->dryFit->findings);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function provideTiny(): iterable
    {
        yield 'pixels of no size' => [['mm_per_pixel' => [1e-300, 1e-300]], 'paper.tiny'];
        yield 'a course of two metres' => [['up' => '2000mm', 'courses' => 1], 'paper.copies'];
    }

    private static function scan(): OnePicture
    {
        return OnePicture::of(620, 420, 21, 62);
    }

    /**
     * @param  array<string, mixed>  $said
     * @param  array<string, mixed>  $more
     */
    private static function document(array $said, array $more): stdClass
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $document = BuildingGenerator::with($document, 'papers', [(object) self::scan()->said($said)]);
        foreach ($more as $path => $value) {
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

    private static function picture(Derivation $derived, string $part): Picture
    {
        $art = $derived->kit->part($part)->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        self::assertInstanceOf(Picture::class, $art->pattern);

        return $art->pattern;
    }

    private static function check(Derivation $derived, string $code): string
    {
        return implode("\n", array_map(
            static fn (Check $c): string => $c->text,
            array_filter($derived->checks, static fn (Check $c): bool => $c->code === $code),
        ));
    }

    private static function printed(Derivation $derived, string $part, OnePicture $scan): GreyPage
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'page');
        file_put_contents($file, PdfWriter::write([PartDrawing::onWall($derived->kit->part($part))], 'x', 0, $scan));
        $pgm = (new Process(['pdftoppm', '-r', '1200', '-gray', $file]))->mustRun()->getOutput();
        unlink($file);

        return new GreyPage($pgm, self::DOTS_PER_MM);
    }

    /**
     * Where something dark begins after something light.
     *
     * @param  array<float>  $dark  millimetres
     * @return list<float>
     */
    private static function begins(array $dark): array
    {
        $begins = [];
        $last = -1.0;
        foreach ($dark as $at) {
            array_push($begins, ...$at - $last > 0.2 ? [$at] : []);
            $last = $at;
        }

        return $begins;
    }
}
