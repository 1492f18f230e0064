<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\PartDrawing;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Repeats;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Core\Output\ReadPage;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;

/** Slates that are cut in strips or piece by piece, on an office of 72 by 60 at 40°, its slopes 43.078 up. docs/formulas.md#strips */
final class SlopeSetTest extends TestCase
{
    private const ROW = 33.0 / 0.766044443 / 16.0;

    /** Sixteen rows, each 2.692 seen and 1.5 under the next; the last has nothing over it, and one is in reserve. */
    public function testRowsAreStripsOfOnePaper(): void
    {
        $derived = self::derived('strips');
        self::assertSame([], $derived->dryFit->findings);
        [$paper, $card] = self::parts($derived);
        $set = self::set($paper);
        self::assertCount(16, $set->register);
        foreach ($set->register as $k => [$ring, $at]) {
            self::assertEqualsWithDelta([0.0, $k * self::ROW], [$at->x, $at->y], 1e-4);
            self::assertEqualsWithDelta($card->width(), $ring->bounds()->width(), 1e-9);
            self::assertEqualsWithDelta($k === 15 ? self::ROW : self::ROW + 1.5, $ring->bounds()->height(), 1e-4);
        }
        // Sixteen of them, fifteen with what lies under, and one more like the first.
        self::assertEqualsWithDelta(17 * self::ROW + 16 * 1.5, $paper->height(), 1e-3);
        // Between them sixteen cuts; and in each a slit at every joint: 3.333 apart over 76 that is 22 in even rows, and 23 in odd ones.
        $across = array_filter($paper->slits, static fn (array $s): bool => abs($s[0]->y - $s[1]->y) < 1e-6);
        self::assertCount(16, $across);
        $up = array_filter($paper->slits, static fn (array $s): bool => abs($s[0]->x - $s[1]->x) < 1e-6);
        foreach ($up as [$a, $b]) {
            self::assertEqualsWithDelta(self::ROW, $b->y - $a->y, 1e-4);
        }
        self::assertEqualsWithDelta(17 * $card->width() / (10.0 * 25.4 / 76.2), count($up), 17.0);
    }

    /** Every slate by itself: all that is seen of them, together, is the slope, and no two share any of it. */
    public function testPieceByPiece(): void
    {
        $derived = self::derived('pieces');
        self::assertSame([], $derived->dryFit->findings);
        [$paper, $card] = self::parts($derived);
        $seen = 0.0;
        foreach (self::set($paper)->register as [$ring, $at]) {
            $box = $ring->bounds();
            self::assertLessThan(10.0 * 25.4 / 76.2 + 0.01, $box->width());
            $seen += $box->width() * min(self::ROW, $box->height());
        }
        self::assertEqualsWithDelta($card->region()->area(), $seen, 0.01 * $card->region()->area());
        self::assertGreaterThan(16 * 22, count(self::set($paper)->register));
    }

    /** @return iterable<string, array{int, 'pieces'|'strips'}> */
    public static function provideHouses(): iterable
    {
        for ($i = 0; $i < 12; $i++) {
            yield "house $i" => [$i, $i % 4 === 3 ? 'pieces' : 'strips'];
        }
    }

    /** Hips, valleys, dormers' holes: what lies in rows covers its slope, stays on it, and brings no finding that bare card has not. */
    #[DataProvider('provideHouses')]
    public function testOnGeneratedHouses(int $number, string $laid): void
    {
        $document = (new HouseGenerator(7100 + $number))->document();
        $code = static fn (Derivation $d): array => array_map(static fn (Finding $f): string => $f->code, $d->dryFit->findings);
        try {
            $bare = Kits::of($document);
        } catch (InvalidInput) {
            $this->expectNotToPerformAssertions();

            return;
        }
        foreach (is_array($document->blocks) ? $document->blocks : [] as $i => $block) {
            if ($block instanceof stdClass && isset($block->roof)) {
                $document = BuildingGenerator::with($document, "blocks.$i.roof.finish", ['slate', 'plain-tile', 'stone-slate'][$i % 3]);
                $document = BuildingGenerator::with($document, "blocks.$i.roof.laid", $laid);
            }
        }
        $derived = Kits::of($document);
        self::assertSame([], array_diff($code($derived), $code($bare)));
        foreach ($derived->kit->parts as $labelled) {
            $set = $labelled->part->shape->repeats;
            if ($set === null) {
                continue;
            }
            $body = new Region($set->body->ring, $set->holes);
            $left = $body->area();
            foreach ($set->register as [$ring, $at]) {
                $place = new Region($ring->moved($at->x - $ring->bounds()->x0, $at->y - $ring->bounds()->y0));
                self::assertEqualsWithDelta($ring->area(), Clip::sharedArea($place, $body), 0.01 + 1e-4 * $ring->area());
                $left -= $ring->area();
            }
            // With what lies under the next row they are more than the slope; slivers at corners are left out.
            self::assertLessThan(0.02 * $body->area() + 1.0, $left);
        }
    }

    public function testTheyAreNumberedOnTheSheetAndLaidInTheView(): void
    {
        $derived = self::derived('strips');
        $words = [];
        $drawings = $derived->printed->drawings('');
        if ($drawings === []) {
            self::fail('no sheets');
        }
        foreach (ReadPage::all($drawings) as $page) {
            array_push($words, ...array_column($page->words, 0));
        }
        foreach ([...array_map(strval(...), range(1, 16)), 'spare'] as $number) {
            self::assertGreaterThanOrEqual(2, count(array_keys($words, $number, true)), $number);
        }
        // In space they are one face, as large as the slope.
        $face = PartDrawing::face($derived->kit->part('main.front-slope.carrier-paper'));
        self::assertEqualsWithDelta(self::parts($derived)[1]->height(), $face->height, 1e-9);
    }

    public function testWhatIsSaidOfThem(): void
    {
        self::assertStringContainsString('dark before they go on', self::check(self::derived('strips'), 'roof.undercoat'));
        self::assertSame('', self::check(self::derived('paper'), 'roof.undercoat'));
        self::assertStringContainsString('and this is pantiles', self::check(self::derived('strips', 'pantile'), 'roof.laid'));
        self::assertSame('', self::check(self::derived('pieces', 'plain-tile'), 'roof.laid'));
        $white = self::check(self::derived('strips'), 'edges.white');
        self::assertStringContainsString('in the tone of the roof', $white, 'nothing is turned down over the edges of the card');
    }

    private static function derived(string $laid, string $finish = 'slate'): Derivation
    {
        /** @var array<string, Derivation> $known */
        static $known = [];

        return $known["$laid $finish"] ??= Kits::of(self::document($laid, $finish));
    }

    private static function document(string $laid, string $finish): stdClass
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.roof.finish', $finish);
        $document = BuildingGenerator::with($document, 'blocks.0.roof.laid', $laid);
        BuildingReader::fromDocument($document);

        return BuildingGenerator::with($document, 'blocks.0.footprint', (object) ['rect' => ['18ft', '15ft']]);
    }

    /** @return array{Part, Part} what lies on the front slope, and its card */
    private static function parts(Derivation $derived): array
    {
        return [
            $derived->kit->part('main.front-slope.carrier-paper')->part, $derived->kit->part('main.front-slope.carrier')->part,
        ];
    }

    private static function set(Part $part): Repeats
    {
        return $part->shape->repeats ?? self::fail('no set');
    }

    private static function check(Derivation $derived, string $code): string
    {
        return implode("\n", array_map(
            static fn (Check $c): string => $c->text,
            array_filter($derived->checks, static fn (Check $c): bool => $c->code === $code),
        ));
    }
}
