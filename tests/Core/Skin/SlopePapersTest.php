<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Edge;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Pattern\Rows;
use Chartula\Core\Part\Score;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Sheets\SheetPiece;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;

/** Papers of slopes at 1:76.2, a foot being 4; card of the roof with its template t. docs/formulas.md#coverings */
final class SlopePapersTest extends TestCase
{
    /**
     * Slates of 20 × 10 in lap by 3: 8 1/2 in = 2.833 from row to row. Up 33 / cos 40° = 43.078 go 16 rows of 2.692, of slates 3.333 wide,
     * each row half a slate beside the one under it.
     */
    public function testRowsDivideTheSlope(): void
    {
        $derived = self::office('slate');
        self::assertSame([], $derived->dryFit->findings);
        foreach (['front', 'back'] as $side) {
            $rows = self::rows(self::paper($derived, $side));
            self::assertEqualsWithDelta([33.0 / cos(deg2rad(40.0)) / 16.0], $rows->rows, 1e-4);
            self::assertEqualsWithDelta([10.0 * 25.4 / 76.2, 0.5], [$rows->long, $rows->stagger], 1e-6);
        }
    }

    /** Over the card of its slope, turned down over that at the eaves and both verges by t. */
    public function testItIsTurnedDownOverItsCard(): void
    {
        $derived = self::office('plain-tile');
        [$paper, $card] = [self::paper($derived, 'front'), $derived->kit->part('main.front-slope.carrier')->part];
        $t = $card->thickness;
        self::assertEqualsWithDelta([$card->width() + 2.0 * $t, $card->height() + $t], [$paper->width(), $paper->height()], 1e-9);
        self::assertSame(['away', 'away', 'away'], array_map(static fn (Score $s): string => $s->fold, $paper->scores));
        // Folded, its face lies a paper over the card’s, and nothing of it is farther down than that card is thick.
        self::assertEqualsWithDelta(
            $card->placements[0]->origin->plus($card->placements[0]->normal->times($paper->thickness))->z,
            $paper->placements[0]->at($paper->scores[0]->from)->z,
            1.0,
        );
        $white = array_values(array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'edges.white'))[0]->text ?? '';
        self::assertStringNotContainsString('in the tone of the roof', $white);
        self::assertStringContainsString('in the tone of the roof', array_values(array_filter(
            self::office('bare')->checks,
            static fn (Check $c): bool => $c->code === 'edges.white',
        ))[0]->text ?? '');
    }

    /** Under a hip all slopes of one pitch have their courses at the same heights, whatever their overhangs. */
    public function testCoursesMeetAtHips(): void
    {
        $document = self::document('slate');
        $document = BuildingGenerator::with($document, 'blocks.0.footprint', (object) ['rect' => ['23ft 7in', '17ft 2in']]);
        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) [
            'kind' => 'hip', 'pitch' => 37.5, 'finish' => 'slate', 'overhang' => (object) ['eaves' => '7in'],
            'edges' => [(object) ['edge' => 'right', 'overhang' => '1ft 2in']],
        ]);
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->findings);
        $levels = [];
        foreach (['front', 'right', 'back', 'left'] as $side) {
            $paper = self::paper($derived, $side);
            $art = $paper->art;
            self::assertInstanceOf(FaceArt::class, $art);
            $frame = $paper->placements[0];
            // The third course from the eaves, on the printed face.
            $levels[] = $frame->origin->z + ($art->datum + 3.0 * self::rows($paper)->rows[0]) * $frame->y->z;
        }
        self::assertEqualsWithDelta(array_fill(0, 4, $levels[0]), $levels, 0.01);
    }

    /** Slates hung on a dormer's cheeks and front lie at the levels of those on the roof it stands on; bricks count from the datum. */
    public function testCoursesRunOnOverCheeks(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $blocks = is_array($document->blocks ?? null) ? $document->blocks : [];
        foreach ($blocks as $i => $block) {
            $document = BuildingGenerator::with($document, "blocks.$i.roof.finish", 'slate');
            if ($block instanceof stdClass && $block->id === 'dormer') {
                $finishes = ['front' => 'slate', 'right' => 'slate', 'left' => 'plain-tile'];
                $document = BuildingGenerator::with($document, "blocks.$i.walls", array_map(
                    static fn (string $edge, string $finish): stdClass => (object) ['edge' => $edge, 'finish' => $finish],
                    array_keys($finishes),
                    $finishes,
                ));
            }
        }
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->findings);
        $slope = $derived->kit->part('hall.front-slope.carrier-paper')->part;
        $art = $slope->art;
        self::assertInstanceOf(FaceArt::class, $art);
        // On the card's outside, row by row.
        $levels = array_map(
            static fn (int $row): float => $slope->placements[0]
                ->at(new Vec2(0.0, $art->datum + $row * self::rows($slope)->rows[0]), -$slope->thickness)->z,
            range(4, 10),
        );
        foreach (['front', 'right', 'left'] as $side) {
            $cheek = $derived->kit->part("dormer.$side.paper")->part;
            $its = $cheek->art;
            self::assertInstanceOf(FaceArt::class, $its);
            self::assertEqualsWithDelta($levels, array_map(
                static fn (int $row): float => $cheek->placements[0]->origin->z + $its->datum + $row * self::rows($cheek)->rows[0],
                range(4, 10),
            ), 0.001, $side);
        }
    }

    /** Pantiles stand in columns, whose tiles divide the slope; stone slates become evenly less up it. */
    public function testTilesInColumnsAndStonesThatDiminish(): void
    {
        $pantiles = self::rows(self::paper(self::office('pantile'), 'front'));
        // 43.078 at 10 1/2 in = 3.5: 13 of 3.314.
        self::assertTrue($pantiles->isUpright);
        self::assertEqualsWithDelta(33.0 / cos(deg2rad(40.0)) / 13.0, $pantiles->long, 1e-4);
        $stones = self::rows(self::paper(self::office('stone-slate'), 'front'))->rows;
        self::assertEqualsWithDelta(33.0 / cos(deg2rad(40.0)), array_sum($stones), 1e-4);
        $steps = array_map(static fn (int $i): float => $stones[$i] - $stones[$i + 1], range(0, count($stones) - 2));
        self::assertGreaterThan(0.0, min($steps));
        self::assertEqualsWithDelta(max($steps), min($steps), 1e-6);
    }

    /** Eighteen inches = 6 long; the ridge of 76 has 13 tiles of 5.846, and what stands on it divides them. */
    public function testRidgesAreOfTiles(): void
    {
        $strip = self::office('pantile')->kit->part('main.ridge.strip')->part;
        self::assertEqualsWithDelta(76.0 / 13.0, self::rows($strip)->long, 1e-6);
        // Its template goes on the outside, where it is seen.
        self::assertTrue($strip->showsPrint());
        self::assertFalse(SheetPiece::isMirrored($strip, BuildingReader::fromDocument(self::document('pantile'))->methods->template));
        self::assertNull(self::office('bare')->kit->part('main.ridge.strip')->part->art);
    }

    /** @param  list<string>  $codes */
    #[DataProvider('providePitches')]
    public function testACoveringLaidTooFlatIsSaid(string $finish, float $pitch, array $codes): void
    {
        $document = BuildingGenerator::with(self::document($finish), 'blocks.0.roof.pitch', $pitch);
        $found = array_filter(Kits::of($document)->checks, static fn (Check $c): bool => str_starts_with($c->code, 'roof.too-flat'));
        self::assertSame($codes, array_values(array_map(static fn (Check $c): string => $c->code, $found)));
    }

    /** @return iterable<string, array{string, float, list<string>}> */
    public static function providePitches(): iterable
    {
        yield 'slates' => ['slate', 24.5, ['roof.too-flat']];
        yield 'slates, just steep enough' => ['slate', 25.0, []];
        yield 'plain tiles' => ['plain-tile', 34.0, ['roof.too-flat']];
        yield 'sheets' => ['corrugated', 12.0, []];
        yield 'felt, nearly flat' => ['felt', 7.5, ['roof.too-flat']];
        yield 'lead' => ['lead', 7.5, []];
    }

    /** 900 ft square at 40° are 1,057,000 square feet; a plain tile shows 4 by 6 1/2 in of itself: 5.9 million. */
    public function testMoreTilesThanCanBeDrawnAreAFault(): void
    {
        $document = BuildingGenerator::with(self::document('plain-tile'), 'blocks.0.footprint', (object) ['rect' => ['900ft', '900ft']]);
        $document = BuildingGenerator::with($document, 'blocks.0.walls', []);
        try {
            Kits::of($document);
            self::fail('it was made');
        } catch (InvalidInput $e) {
            $problem = $e->problems[0];
            self::assertSame(['limit.bricks', 'blocks.0.roof.finish'], [$problem->code, $problem->path]);
            self::assertEqualsWithDelta(900.0 ** 2 / cos(deg2rad(40.0)) * 144.0 / 26.0, $problem->facts['given'] ?? 0, 2.0);
        }
    }

    /** Whatever the roof, each slope has its paper, as large as its card, and all goes together as it did without. */
    public function testRoofsOfEveryKindAreCovered(): void
    {
        $finishes = ['slate', 'plain-tile', 'pantile', 'corrugated', 'lead', 'felt', 'stone-slate', 'zinc'];
        $covered = 0;
        for ($seed = 900; $seed < 924; $seed++) {
            $document = (new HouseGenerator($seed))->document();
            try {
                $bare = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            foreach (is_array($document->blocks) ? $document->blocks : [] as $i => $block) {
                self::assertInstanceOf(stdClass::class, $block);
                $document = isset($block->roof)
                    ? BuildingGenerator::with($document, "blocks.$i.roof.finish", $finishes[($seed + $i) % count($finishes)])
                    : $document;
            }
            $derived = Kits::of($document);
            self::assertSame(count($bare->dryFit->findings), count($derived->dryFit->findings), "seed $seed");
            foreach ($derived->kit->parts as $part) {
                $card = str_ends_with($part->part->id, '-paper') ? $derived->kit->part(substr($part->part->id, 0, -6))->part : null;
                if ($card === null || $part->part->of->feature !== null) {
                    continue;
                }
                $covered++;
                $folds = $card->thickness
                    * array_sum(array_map(static fn (Score $s): float => $s->from->distanceTo($s->to), $part->part->scores));
                $more = $part->part->region()->area() - $card->region()->area();
                self::assertGreaterThanOrEqual($more - 1e-6, $folds, "seed $seed, {$part->part->id}");
                self::assertGreaterThan($more > 1e-6 ? 0.5 * $folds : -1.0, $more + 1e-9);
            }
        }
        self::assertGreaterThan(60, $covered);
    }

    /** Slates of 16 × 8 in, 6 1/2 in apart = 2.167: up 43.078 go 20 rows; their ridge in clay. What leaves no lap is refused. */
    public function testRowsAndUnitsOfTheirOwn(): void
    {
        $document = self::document('slate');
        foreach (['row' => '6 1/2in', 'unit' => '8in', 'ridge_colour' => '#8d4b39'] as $key => $value) {
            $document = BuildingGenerator::with($document, "blocks.0.roof.$key", $value);
        }
        $derived = Kits::of($document);
        $rows = self::rows(self::paper($derived, 'front'));
        self::assertEqualsWithDelta([33.0 / cos(deg2rad(40.0)) / 20.0], $rows->rows, 1e-4);
        self::assertEqualsWithDelta(8.0 * 25.4 / 76.2, $rows->long, 1e-9);
        $ridge = $derived->kit->part('main.ridge.strip')->part->art;
        self::assertInstanceOf(FaceArt::class, $ridge);
        self::assertSame(['#8d4b39'], $ridge->pattern->palette()->all());
        // Pantiles stand in columns: those are as wide as one is, and a row is as long.
        $document = BuildingGenerator::with(self::document('pantile'), 'blocks.0.roof.row', '11in');
        $document = BuildingGenerator::with($document, 'blocks.0.roof.unit', '9in');
        $rows = self::rows(self::paper(Kits::of($document), 'front'));
        self::assertEqualsWithDelta([3.0], $rows->rows, 1e-9);
        self::assertEqualsWithDelta(33.0 / cos(deg2rad(40.0)) / 12.0, $rows->long, 1e-4);
        try {
            Kits::of(BuildingGenerator::with(self::document('plain-tile'), 'blocks.0.roof.row', '5in'));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame(['blocks.0.roof.row', 'roof.no-lap'], [$e->problems[0]->path, $e->problems[0]->code]);
        }
    }

    /** Five inches of lead, 1.667, on either side of every valley, printed on as far beyond it as anything is; else none. */
    public function testOpenValleysShowLead(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        foreach (is_array($document->blocks) ? array_keys($document->blocks) : [] as $i) {
            $document = BuildingGenerator::with($document, "blocks.$i.roof.finish", 'slate');
        }
        $closed = Kits::of($document);
        foreach (is_array($document->blocks) ? array_keys($document->blocks) : [] as $i) {
            $document = BuildingGenerator::with($document, "blocks.$i.roof.valleys", 'open');
        }
        $derived = Kits::of($document);
        self::assertSame(count($closed->dryFit->findings), count($derived->dryFit->findings));
        $seen = 0;
        foreach ($derived->kit->parts as $labelled) {
            $card = $labelled->part;
            $isCard = $card->of->layer === 'carrier' && $card->of->feature === null && str_contains($card->name, 'slope');
            $art = $isCard ? $derived->kit->part("$card->id-paper")->part->art : null;
            if (! $art instanceof FaceArt) {
                continue;
            }
            $valleys = array_keys(array_filter($card->outline->edges, static fn (Edge $e): bool => $e->name === 'valley'));
            self::assertCount(count($valleys), $art->dressings, $card->id);
            foreach ($valleys as $k => $edge) {
                $lead = $art->dressings[$k];
                self::assertSame('#8a9096', $lead->tone->unit);
                $long = $card->outline->ring->edgeLength($edge);
                self::assertEqualsWithDelta($long * (127.0 / 76.2 + 2.0), $lead->ring->area(), 1e-6);
                $seen++;
            }
            $was = $closed->kit->part("$card->id-paper")->part;
            self::assertSame([], $was->art instanceof FaceArt ? $was->art->dressings : null);
        }
        self::assertGreaterThanOrEqual(2, $seen);
    }

    private static function office(string $finish): Derivation
    {
        /** @var array<string, Derivation> $known */
        static $known = [];

        return $known[$finish] ??= Kits::of(self::document($finish));
    }

    private static function document(string $finish): stdClass
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.roof.finish', $finish);

        return BuildingGenerator::with($document, 'blocks.0.footprint', (object) ['rect' => ['18ft', '15ft']]);
    }

    private static function paper(Derivation $derived, string $side): Part
    {
        $found = array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => $p->part->id === "main.$side-slope.carrier-paper");
        self::assertCount(1, $found);

        return array_values($found)[0]->part;
    }

    private static function rows(Part $part): Rows
    {
        $art = $part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        self::assertInstanceOf(Rows::class, $art->pattern);

        return $art->pattern;
    }
}
