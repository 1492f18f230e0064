<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\HouseGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Sashes of 12 by 20 in two cards, frame and bars of 3 in, 1.000, in a wall of 0.64 on 2.12. docs/formulas.md#frame */
final class SashTest extends TestCase
{
    /** Two by two: a tenth clear, then a stile; panes 4.4 wide. Half a stile is left round what is open before or behind the other half. */
    public function testEachHalfIsOnACardOfItsOwn(): void
    {
        $derived = self::derived([2, 2]);
        self::assertSame([], $derived->dryFit->findings);
        [$front, $back, $glass] = array_map(
            static fn (string $layer): Part => $derived->kit->part("main.front.$layer.w1")->part,
            ['frame', 'frame-back', 'glazing'],
        );
        // Sill at 0: clear 0.1, stile 1; two rows of (20 − 2.2 − 1)/2 = 8.4 with the meeting rail between them, from 9.5 to 10.5.
        $upper = array_map(static fn (Ring $r): Box2 => $r->bounds(), $front->holes);
        $lower = array_map(static fn (Ring $r): Box2 => $r->bounds(), $back->holes);
        self::assertEquals([[0.5, 0.5, 11.3, 9.4], [1.0, 10.4, 5.4, 18.8], [6.4, 10.4, 10.8, 18.8]], self::figures($upper));
        self::assertEquals([[0.5, 10.4, 11.3, 19.3], [1.0, 1.0, 5.4, 9.4], [6.4, 1.0, 10.8, 9.4]], self::figures($lower));
        $depths = array_map(static fn (Part $p): float => $p->placements[0]->origin->y, [$front, $back, $glass]);
        self::assertEqualsWithDelta([$depths[0] + 0.64, $depths[0] + 1.28], [$depths[1], $depths[2]], 1e-6);
        self::assertSame([2, 2, 2], [$front->qty(), $back->qty(), $glass->qty()]);
    }

    /**
     * Pushed up by 1 ft, 4.0: the panes of the lower half and what is open over it lie 4.0 higher, and under its foot 4.0 are open over
     * half a stile. There is glass from the middle of that foot, 0.75, 4.0 higher. It may go up until what is open over its
     * meeting rail, from 10.5, ends at the frame under the head, at 18.9: by 8.4.
     */
    public function testItsLowerHalfIsPushedUp(): void
    {
        $frame = static fn (string $up): array => ['styles.sash.frame.raised' => $up];
        $derived = self::derived([2, 2], $frame('1ft'));
        self::assertSame([], $derived->dryFit->findings);
        $back = $derived->kit->part('main.front.frame-back.w1')->part;
        $holes = array_map(static fn (Ring $r): Box2 => $r->bounds(), $back->holes);
        $lies = [[0.5, 0.5, 11.3, 4.5], [0.5, 14.4, 11.3, 19.3], [1.0, 5.0, 5.4, 13.4], [6.4, 5.0, 10.8, 13.4]];
        self::assertEquals($lies, self::figures($holes));
        $glass = $derived->kit->part('main.front.glazing.w1')->part;
        self::assertEqualsWithDelta(20.0 - 0.6 - (0.1 + 0.75 + 4.0), $glass->height(), 1e-6);
        self::assertEqualsWithDelta($back->placements[0]->origin->z + 4.75, $glass->placements[0]->origin->z, 1e-6);
        try {
            self::derived([2, 2], $frame('2ft 2in'));
            self::fail('Its halves passed');
        } catch (InvalidInput $e) {
            self::assertSame('styles.sash.frame.raised', $e->problems[0]->path);
            self::assertStringContainsString('by 8.67 mm and rises by 8.4 mm at the most', ProblemText::of($e->problems[0]));
        }
    }

    /**
     * @param  array<string, string>  $head
     * @param  array{int, int}  $panes
     */
    #[TestWith([['shape' => 'segmental', 'rise' => '4in'], [2, 2]])]
    #[TestWith([['shape' => 'round'], [2, 4]])]
    #[TestWith([['shape' => 'pointed'], [3, 3]])]
    public function testUnderEveryHead(array $head, array $panes): void
    {
        foreach ([[], ['styles.sash.rebate' => '3/4in']] as $more) {
            self::assertSame([], self::derived($panes, ['styles.sash.head' => (object) $head] + $more)->dryFit->findings);
        }
    }

    public function testOnlyASashHasTwoHalves(): void
    {
        foreach ([['sash' => false, 'panes' => [2, 2]], ['sash' => true, 'panes' => [2, 1]]] as $frame) {
            try {
                self::derived($frame['panes'], ['styles.sash.frame.sash' => $frame['sash']]);
                self::fail('no fault');
            } catch (InvalidInput $e) {
                self::assertSame('styles.sash.frame.deep', $e->problems[0]->path);
                self::assertStringContainsString('only a sash', ProblemText::of($e->problems[0]));
            }
        }
    }

    /** Half of a stile of 3 in is 0.5, which nobody cuts in card of 0.52; half of 6 in is 1. */
    public function testARimThatCannotBeCutIsSaid(): void
    {
        $said = static fn (Derivation $d): array => array_values(array_filter(
            $d->checks,
            static fn (Check $c): bool => $c->code === 'stile.too-fine',
        ));
        self::assertStringStartsWith('Half a stile before the other half of the sash, of 0.50 mm', $said(self::derived([2, 2]))[0]->text);
        self::assertSame([], $said(self::derived([2, 2], ['styles.sash.frame.stile' => '6in'])));
    }

    public function testHousesClose(): void
    {
        $made = 0;
        for ($i = 0; $i < (Sample::isDeep() ? 90 : 8); $i++) {
            // Every eleventh has openings.
            $seed = 11 * (($i + (Sample::isDeep() ? 0 : Sample::seed())) % 90);
            $document = (new HouseGenerator($seed))->document();
            try {
                $isSound = Kits::of($document)->dryFit->findings === [];
                foreach (array_keys(BuildingReader::fromDocument($document)->styles) as $id) {
                    $frame = ['panes' => [1 + $seed % 3, 2 + $seed % 2], 'stile' => '45mm', 'bar' => '35mm'];
                    $frame = (object) ($frame + ['sash' => true, 'deep' => true]);
                    $document = BuildingGenerator::with($document, "styles.$id.frame", $frame);
                }
                $derived = Kits::of($document);
            } catch (InvalidInput) {
                continue;
            }
            self::assertSame([], $isSound ? $derived->dryFit->findings : [], "seed $seed");
            foreach ($derived->kit->parts as $part) {
                $made += $part->part->of->layer === 'frame-back' ? 1 : 0;
            }
        }
        self::assertGreaterThan(0, $made);
    }

    /**
     * @param  list<Box2>  $boxes
     * @return list<list<float>> in the part's own frame, in order
     */
    private static function figures(array $boxes): array
    {
        $figures = array_map(static fn (Box2 $b): array => array_map(
            static fn (float $mm): float => round($mm, 4),
            [$b->x0, $b->y0, $b->x1, $b->y1],
        ), $boxes);
        sort($figures);

        return $figures;
    }

    /**
     * @param  array{int, int}  $panes
     * @param  array<string, mixed>  $more
     */
    private static function derived(array $panes, array $more = []): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $all = [
            'styles.sash.head' => (object) ['shape' => 'flat'], 'styles.sash.dress' => [], 'methods.wall.1.stock' => 'greyboard-2',
            'blocks.0.walls.0.openings.1.from' => '13ft',
            'styles.sash.frame' => (object) ['panes' => $panes, 'stile' => '3in', 'bar' => '3in', 'sash' => true, 'deep' => true],
        ];
        foreach ([...$all, ...$more] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }
}
