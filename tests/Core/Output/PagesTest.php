<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\Path;
use Chartula\Core\Drawing\Stroke;
use Chartula\Core\Drawing\Text;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Sheets\PlacedPart;
use GdImage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Support\Kits;

/** Pages as somebody reads them who has nothing else: words and ink as they are printed, by poppler. */
final class PagesTest extends TestCase
{
    private const MM = 25.4 / 72.0;

    private const DOTS = 6.0;

    private const EXAMPLES = ['weigh-office', 'creamery', 'halt', 'ropewalk-row'];

    /**
     * @var array<string, list<list<array{string, float, float, float, float}>>> words by building and page: text, least and greatest x, y
     *                                                                           from the lower left
     */
    private static array $words = [];

    /** @return iterable<string, array{string}> */
    public static function provideExamples(): iterable
    {
        foreach (self::EXAMPLES as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('provideExamples')]
    public function testNoWordIsTooSmallOrLiesOverACut(string $name): void
    {
        $over = [];
        foreach (self::drawings($name) as $i => $drawing) {
            [$words, $cuts] = [new Drawing($drawing->width, $drawing->height, ''), new Drawing($drawing->width, $drawing->height, '')];
            foreach ($drawing->texts() as $text) {
                self::assertGreaterThanOrEqual(2.0, $text->size, $text->text);
                $words->text($text);
            }
            foreach ($drawing->paths(Layer::Cut) as $path) {
                $cuts->path(new Path(Layer::Cut, $path->lines, $path->closed, new Stroke(0.1)));
            }
            // Where both are inked: a byte of each dot, dark or light.
            $both = self::inked($words) & self::inked($cuts);
            $dots = (int) round($drawing->width * self::DOTS);
            $at = strpos($both, "\1");
            array_push($over, ...$at === false ? [] : [sprintf(
                'sheet %d, %.1f from the left, %.1f from the top',
                $i + 1,
                $at % $dots / self::DOTS,
                intdiv($at, $dots) / self::DOTS,
            )]);
        }
        self::assertSame([], $over);
    }

    /** @return list<Drawing> of an example's sheets, drawn once: nobody draws on them */
    private static function drawings(string $name): array
    {
        static $known = [];

        /** @var array<string, list<Drawing>> $known */
        return $known[$name] ??= Kits::example($name)->printed->drawings();
    }

    /** @return string a byte for each dot, from the upper left: 1 where it is inked */
    private static function inked(Drawing $drawing): string
    {
        $pgm = self::poppler([$drawing], ['pdftoppm', '-gray', '-r', (string) (self::DOTS * 25.4)], []);
        self::assertSame(1, preg_match('/^P5\s+\d+\s+\d+\s+255\s/', $pgm, $head));
        $dark = implode('', array_map(static fn (int $grey): string => $grey < 170 ? "\1" : "\0", range(0, 255)));

        return strtr(substr($pgm, strlen($head[0] ?? '')), implode('', array_map(chr(...), range(0, 255))), $dark);
    }

    /** Every piece has its name on its sheet, and every edge that another meets says so within a word of itself. */
    #[DataProvider('provideExamples')]
    public function testEveryPieceIsNamed(string $name): void
    {
        $missing = [];
        foreach (Kits::example($name)->printed->plan->sheets as $i => $sheet) {
            $labels = array_count_values(array_map(static fn (PlacedPart $p): string => $p->part->label, $sheet->parts));
            $said = array_count_values(array_column(self::words($name)[$i], 0));
            foreach ($labels as $label => $pieces) {
                array_push($missing, ...($said[$label] ?? 0) < $pieces ? ["$label on sheet $sheet->number"] : []);
            }
        }
        self::assertSame([], $missing);
    }

    /** Somebody who reads only the index can list every joint of the kit, from either side. */
    #[DataProvider('provideExamples')]
    public function testTheIndexNamesEveryJoint(string $name): void
    {
        $derived = Kits::example($name);
        $labels = $lines = [];
        foreach ($derived->kit->parts as $part) {
            $labels[$part->part->id] = $part->label;
        }
        $index = $derived->printed->before();
        self::assertNotSame([], $index);
        $text = '';
        foreach ($index as $page) {
            foreach ($page->texts() as $one) {
                // A part begins with its label, and its other lines stand in.
                $text .= (preg_match('/^[A-Z]\d+  /', $one->text) === 1 ? "\n" : ' ').$one->text;
            }
        }
        foreach (explode("\n", $text) as $line) {
            $lines[explode(' ', $line)[0]] = array_fill_keys((array) preg_split('/[ ,;.]+/', $line), true);
        }
        $silent = [];
        foreach ($derived->kit->joints as $joint) {
            [$a, $b] = [$labels[$joint->a->part], $labels[$joint->b->part]];
            array_push($silent, ...isset($lines[$a][$b], $lines[$b][$a]) ? [] : ["$a and $b"]);
        }
        self::assertSame([], $silent);
        self::assertCount(count($labels), array_intersect_key($lines, array_flip($labels)));
    }

    /** Stock with counts and cost, by hand: one sheet of card at 0.22 and one of greyboard at 0.35. */
    public function testTheIndexSaysWhatIsBought(): void
    {
        $said = [];
        foreach (Kits::example('weigh-office')->printed->before('revision 3') as $page) {
            array_push($said, ...array_map(static fn (Text $t): string => $t->text, $page->texts()));
        }
        self::assertContains('1 × card 0.52 mm, sheets of 210 × 297 mm, at 0.22 a sheet: 0.22', $said);
        self::assertContains('1 × greyboard 1.05 mm, sheets of 210 × 297 mm, at 0.35 a sheet: 0.35', $said);
        self::assertContains('1:76.2  revision 3', $said);
    }

    public function testWhatAnEdgeMeetsIsSaidBesideIt(): void
    {
        $derived = Kits::example('weigh-office');
        $placed = $labels = [];
        foreach ($derived->printed->plan->sheets as $i => $sheet) {
            foreach ($sheet->parts as $p) {
                $placed[$p->part->part->id.'#'.$p->copy] = [$i, $p];
                $labels[$p->part->part->id] = $p->part->label;
            }
        }
        $silent = [];
        $asked = 0;
        foreach ($derived->kit->joints as $joint) {
            [$a, $b] = [$joint->a, $joint->b];
            [$page, $piece] = $placed["$a->part#$a->copy"];
            if ($a->edge === null || $a->hole !== null) {
                continue;
            }
            $asked++;
            $ring = $piece->part->part->outline->blank();
            [$from, $to] = [$piece->toSheet($ring->point($a->edge)), $piece->toSheet($ring->point($a->edge + 1))];
            $found = array_filter(self::words('weigh-office')[$page], static fn (array $w): bool => rtrim($w[0], ',') === $labels[$b->part]
                && (new Vec2(($w[1] + $w[2]) / 2.0, ($w[3] + $w[4]) / 2.0))->distanceToSegment($from, $to) < 9.0);
            array_push($silent, ...$found === [] ? [$labels[$a->part]." edge $a->edge does not name ".$labels[$b->part]] : []);
        }
        self::assertSame([], $silent);
        self::assertGreaterThan(40, $asked);
    }

    /**
     * A paper cut three tenths of a millimetre wide of its line shows neither white nor ink: brick and mortar alone. What is marked on it
     * is hidden by what stands there once it is folded and all is built.
     */
    #[TestWith(['weigh-office', false])]
    #[TestWith(['creamery', true])]
    #[TestWith(['halt', false])]
    #[TestWith(['ropewalk-row', true])]
    #[Group('property')]
    public function testBrickworkRunsOnBeyondEveryCut(string $name, bool $hasMarks): void
    {
        $derived = Kits::example($name);
        $standing = Standing::of(Kits::serialised($derived), $derived->building->relief !== null);
        $drawings = self::drawings($name);
        $wrong = [];
        $marks = 0;
        foreach ($derived->printed->plan->sheets as $i => $sheet) {
            if ($sheet->stock()->kind !== 'paper') {
                continue;
            }
            $picture = self::picture($drawings[$i]);
            foreach (array_filter($sheet->parts, static fn (PlacedPart $p): bool => $p->part->part->art !== null) as $p) {
                [$white, $dark] = self::wrongInk($picture, $p, $sheet->page->height);
                $seen = array_filter($dark, static fn (Vec2 $at): bool => $standing->isSeen($p->part->part->id.'#'.$p->copy, $at));
                $isSound = $white + count($seen) === 0;
                array_push($wrong, ...$isSound ? [] : [sprintf('%s: %d white, %d dark', $p->part->label, $white, count($seen))]);
                $marks += count($dark);
            }
        }
        self::assertSame([], $wrong);
        self::assertSame($hasMarks, $marks > 0, 'marks that are hidden');
    }

    /** A line across a face that shows is found, and one behind the boiler house is not. */
    public function testInkOnAFaceThatShowsIsFound(): void
    {
        $derived = Kits::example('creamery');
        $standing = Standing::of(Kits::serialised($derived));
        // The boiler house stands from 56 to 120, under a roof that meets the wall at 44.9.
        foreach ([[70, 40, false], [70, 50, true], [30, 40, true], [121, 20, true], [118, 20, false]] as [$x, $y, $isSeen]) {
            self::assertSame($isSeen, $standing->isSeen('hall.back.paper#0', new Vec2($x, $y)), "$x, $y");
        }
        foreach ($derived->printed->plan->sheets as $i => $sheet) {
            foreach (array_filter($sheet->parts, static fn (PlacedPart $p): bool => $p->part->part->id === 'hall.back.paper') as $p) {
                $drawing = self::drawings('creamery')[$i];
                $drawing->line(Layer::Mark, $p->toSheet(new Vec2(20.0, 30.0)), $p->toSheet(new Vec2(40.0, 30.0)), new Stroke(0.2));
                $dark = self::wrongInk(self::picture($drawing), $p, $sheet->page->height)[1];
                $seen = array_filter($dark, static fn (Vec2 $at): bool => $standing->isSeen('hall.back.paper#0', $at));
                self::assertGreaterThan(100, count($seen));
                self::assertLessThan(count($dark), count($seen));
            }
        }
    }

    /** @return array{int, list<Vec2>} dots of white, and of ink that is no brickwork, on a piece and three tenths round it, on the piece */
    private static function wrongInk(GdImage $picture, PlacedPart $p, float $height): array
    {
        [$origin, $x, $y] = [$p->toSheet(new Vec2(0.0, 0.0)), $p->toSheet(new Vec2(1.0, 0.0)), $p->toSheet(new Vec2(0.0, 1.0))];
        $back = static fn (Vec2 $at): Vec2 => new Vec2(
            $at->minus($origin)->dot($x->minus($origin)), $at->minus($origin)->dot($y->minus($origin)),
        );
        $ring = static fn (Ring $r): Ring => new Ring(array_map($p->toSheet(...), $r->points));
        $region = $p->part->part->region();
        $region = new Region($ring($region->outline), array_map($ring, $region->holes));
        $white = 0;
        $dark = [];
        $box = $region->outline->bounds()->grown(0.3);
        for ($x = $box->x0; $x < $box->x1; $x += 1.0 / self::DOTS) {
            for ($y = $box->y0; $y < $box->y1; $y += 1.0 / self::DOTS) {
                $at = new Vec2($x, $y);
                if ($region->contains($at) || $region->index()->nearest($at, 0.3) <= 0.3) {
                    $colour = (int) imagecolorat($picture, (int) ($x * self::DOTS), (int) (($height - $y) * self::DOTS));
                    $white += min($colour >> 16, $colour >> 8 & 255, $colour & 255) > 230 ? 1 : 0;
                    array_push($dark, ...($colour >> 16) < 110 ? [$back($at)] : []);
                }
            }
        }

        return [$white, $dark];
    }

    private static function picture(Drawing $drawing): GdImage
    {
        $png = self::poppler([$drawing], ['pdftoppm', '-png', '-r', (string) (self::DOTS * 25.4)], []);

        $picture = imagecreatefromstring($png);

        return $picture !== false ? $picture : throw new RuntimeException('no picture');
    }

    /** @return list<list<array{string, float, float, float, float}>> */
    private static function words(string $name): array
    {
        if (! isset(self::$words[$name])) {
            $html = self::poppler(self::drawings($name), ['pdftotext', '-bbox'], ['-']);
            foreach (array_slice(explode('<page ', $html), 1) as $page) {
                preg_match('/height="([\d.]+)"/', $page, $size);
                $high = (float) ($size[1] ?? 0.0);
                preg_match_all('/xMin="([\d.-]+)" yMin="([\d.-]+)" xMax="([\d.-]+)" yMax="([\d.-]+)">(.*?)</', $page, $found, PREG_SET_ORDER);
                self::$words[$name][] = array_map(static fn (array $m): array => [
                    html_entity_decode($m[5]), (float) $m[1] * self::MM, (float) $m[3] * self::MM, ($high - (float) $m[4]) * self::MM,
                    ($high - (float) $m[2]) * self::MM,
                ], $found);
            }
        }

        return self::$words[$name] ?? [];
    }

    /**
     * @param  list<Drawing>  $drawings
     * @param  non-empty-list<string>  $before  the file
     * @param  list<string>  $after
     */
    private static function poppler(array $drawings, array $before, array $after): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pages');
        file_put_contents($file, $drawings === [] ? '' : PdfWriter::write($drawings, 'Pages'));
        $output = (new Process([...$before, $file, ...$after]))->mustRun()->getOutput();
        unlink($file);

        return $output;
    }
}
