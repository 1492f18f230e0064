<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\OnTheWeighOffice;
use Tests\Support\Sample;

/** Quoins up the corner between the back and the left wall, where no opening is; 1:76.2. docs/formulas.md#dressings */
final class CornerQuoinsTest extends TestCase
{
    use OnTheWeighOffice;

    /** Up 20 ft 3 in = 81 go 20 stones of 4.05, a foot being 4; 18 in and 9 in are 9 round the corner, in every course. */
    public function testTheyAreLongOnOneWallWhereTheyAreShortOnTheOther(): void
    {
        $derived = self::derived([], ['blocks.0.eaves' => '20ft 3in']);
        self::assertSame([], $derived->dryFit->findings);
        [$back, $left] = [self::stones($derived, 'back'), self::stones($derived, 'left')];
        self::assertSame([20, 20], [count($back), count($left)]);
        foreach ($back as $i => $stone) {
            self::assertEqualsWithDelta(4.05 * $i, $stone->y0, 1e-6);
            // The back ends at the corner, and the left wall begins there.
            self::assertEqualsWithDelta(72.0, $stone->x1, 1e-6);
            self::assertEqualsWithDelta(0.0, $left[$i]->x0, 1e-6);
            self::assertEqualsWithDelta($i % 2 === 0 ? 6.0 : 3.0, $stone->width(), 1e-6);
            self::assertEqualsWithDelta(9.0, $stone->width() + $left[$i]->width(), 1e-6);
        }
        self::assertEqualsWithDelta(3.0, self::stones(self::derived(['first' => 'right']), 'back')[0]->width(), 1e-6);
    }

    /** Between two heights, and in another colour. */
    public function testBetweenHeights(): void
    {
        $derived = self::derived(['colour' => '#3b4a57', 'on' => ['corner' => 3, 'up' => '3ft', 'up_to' => '6ft']]);
        $stones = self::stones($derived, 'left');
        self::assertCount(3, $stones);
        self::assertEqualsWithDelta([12.0, 24.0], [$stones[0]->y0, $stones[2]->y1], 1e-6);
        self::assertSame('#3b4a57', self::shape($derived, 'left')->tone->unit);
    }

    /** Where they end with the wall the print goes on beyond it, so that no brick shows where the knife strays, nor in the fold. */
    public function testTheyRunOnRoundTheCorner(): void
    {
        $derived = self::derived();
        foreach (['back' => 'right', 'left' => 'left'] as $wall => $side) {
            self::assertContains($side, self::shape($derived, $wall)->runsOn);
            $paper = $derived->kit->part("main.$wall.paper");
            $art = $paper->part->art;
            self::assertInstanceOf(FaceArt::class, $art);
            $symbol = ArtSymbol::bleeding($paper, $art);
            $x = [];
            foreach ($symbol->paths as $path) {
                if ($path->fill === '#b9b09c') {
                    array_push($x, ...array_map(static fn (array $line): Box2 => Box2::around($line), $path->lines));
                }
            }
            $ends = array_map(static fn (Box2 $b): float => $side === 'right' ? $b->x1 : $b->x0, $x);
            [$end, $outermost] = $side === 'right' ? [$symbol->width, max([0.0, ...$ends])] : [0.0, min([INF, ...$ends])];
            self::assertEqualsWithDelta($end, $outermost, 0.01, $wall);
        }
    }

    /**
     * Raised by half a millimetre: one card of 0.52 on its label of 0.12, a paper of 0.1 before it and one behind it. What ends at the
     * corner runs on by those 0.84 over the edge of the other, and ends as much times tan 40° below the eaves: there the slope comes down.
     */
    public function testRaisedTheyCloseTheCorner(): void
    {
        $derived = self::derived(['as' => 'both']);
        self::assertSame([], $derived->dryFit->findings);
        [$back, $left] = [$derived->kit->part('main.back.quoins-left.q1')->part, $derived->kit->part('main.left.quoins-right.q1')->part];
        self::assertEqualsWithDelta([6.84, 38.0 - 0.84 * 0.839099631], [$back->width(), $back->height()], 1e-6);
        self::assertEqualsWithDelta([6.0, 38.0], [$left->width(), $left->height()], 1e-6);
        self::assertSame($back->height(), $derived->kit->part('main.back.quoins-left-paper.q1')->part->height());
        // Stones of another length, and cards that lie elsewhere, are found by the document.
        $longer = BuildingReader::fromDocument(self::document(['as' => 'both', 'long' => '19in']));
        /** @var array<string, mixed> $kit */
        $kit = Kits::serialised($derived);
        $found = array_map(static fn (Finding $f): string => $f->at, DryFit::check($kit, $longer)->findings);
        self::assertContains('main.back.quoins-left.q1', $found);
        self::assertContains('main.left.quoins-right.q1', $found);
        self::assertContains('main.back.paper', $found);
    }

    public function testInAnInnerCornerTheyAreOnlyPrinted(): void
    {
        $ring = [['0mm', '0mm'], ['80mm', '0mm'], ['80mm', '30mm'], ['40mm', '30mm'], ['40mm', '60mm'], ['0mm', '60mm']];
        $document = BuildingGenerator::with(Kits::box('80mm', '60mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
        $sizes = ['h' => '4mm', 'long' => '6mm', 'short' => '3mm'];
        $document = BuildingGenerator::with($document, 'blocks.0.features', [
            (object) (['id' => 'q', 'kind' => 'corner-quoins', 'on' => (object) ['corner' => 3], 'as' => 'both'] + $sizes),
        ]);
        $derived = Kits::of($document);
        self::assertCount(0, self::cards($derived));
        self::assertContains('dress.inner', array_map(static fn (Check $c): string => $c->code, $derived->checks));
    }

    /** At three corners of every class of house, raised and bare or papered under them: what closes without them does so with them. */
    public function testHousesCloseWithThem(): void
    {
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 150 : 10); $i++) {
            $seed = ($i + (Sample::isDeep() ? 0 : Sample::seed())) % 150;
            $document = (new HouseGenerator($seed))->document();
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                $derived = Kits::of(self::quoined($document, $seed % 2 === 0 ? 'raised' : 'both'));
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $derived->dryFit->findings : [], "seed $seed");
            $made += count(self::cards($derived));
        }
        self::assertGreaterThan(20, $made);
    }

    /** @return array<int, LabelledPart> */
    private static function cards(Derivation $derived): array
    {
        return array_filter($derived->kit->parts, static fn (LabelledPart $p): bool => str_contains($p->part->id, '.quoins-'));
    }

    private static function quoined(stdClass $document, string $as): stdClass
    {
        $blocks = is_array($document->blocks ?? null) ? count($document->blocks) : 0;
        for ($block = 0; $block < $blocks; $block++) {
            $quoins = static fn (int $corner): stdClass => (object) [
                'id' => "cq$corner", 'kind' => 'corner-quoins', 'on' => (object) ['corner' => $corner], 'h' => '11in', 'as' => $as,
            ];
            $document = BuildingGenerator::with($document, "blocks.$block.features", array_map($quoins, [0, 1, 2]));
        }

        return $document;
    }

    /** At the door's corner they come into the door, and that is said. */
    public function testWhatStandsInTheWayIsSaid(): void
    {
        $code = static fn (Derivation $d): array => array_values(array_filter(
            array_map(static fn (Check $c): string => $c->code, $d->checks),
            static fn (string $code): bool => str_starts_with($code, 'dress.'),
        ));
        self::assertSame([], $code(self::derived()));
        self::assertContains('dress.over-opening', $code(self::derived(['on' => ['corner' => 1]])));
    }

    public function testMoreThanAnybodyDrawsIsAFault(): void
    {
        try {
            self::derived(['h' => '1/16in']);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame('blocks.0.features.0.kind', $e->problems[0]->path);
            self::assertStringContainsString('corner quoins would be of more than 500 stones', ProblemText::of($e->problems[0]));
        }
    }

    private static function usual(): array
    {
        return ['id' => 'q1', 'kind' => 'corner-quoins', 'on' => ['corner' => 3]];
    }

    private static function shape(Derivation $derived, string $wall): PrintedShape
    {
        $art = $derived->kit->part("main.$wall.paper")->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $mine = array_filter($art->dressings, static fn (PrintedShape $s): bool => str_starts_with($s->of, 'quoins'));

        return array_values($mine)[0] ?? self::fail("no quoins on the $wall");
    }

    /** @return list<Box2> in the wall's frame, from the foot up */
    private static function stones(Derivation $derived, string $wall): array
    {
        $art = $derived->kit->part("main.$wall.paper")->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $left = $art->quoins[0];

        return array_map(
            static fn (Ring $r): Box2 => $r->moved(-$left, 0.0)->bounds(),
            self::shape($derived, $wall)->units,
        );
    }
}
