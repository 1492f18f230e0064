<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\GlassArt;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Frames of several lights, with transoms, casements and bars of every sort: an opening of 24 by 32 at 1:76.2, a tenth clear, stiles of
 * 3 in, 1.000, mullions of 6 in, 2.000. docs/formulas.md#frame
 */
final class LightsTest extends TestCase
{
    private const FRAME = ['panes' => [1, 1], 'stile' => '3in', 'bar' => '3in', 'mullion' => '6in'];

    /** Three lights of (24 − 2.2 − 2 · 2)/3 = 5.9333 under one head, 1.0 and 0.1 from the sides. */
    public function testLightsStandBetweenMullions(): void
    {
        [$frame] = self::parts(['lights' => 3]);
        self::assertSame(
            [[1.0, 6.9333], [8.9333, 14.8667], [16.8667, 22.8]],
            array_map(static fn (Ring $r): array => [round($r->bounds()->x0, 4), round($r->bounds()->x1, 4)], $frame->holes),
        );
    }

    /** A transom at 5 ft, 20, its half 1: two rows of (20 − 1 − 1.1 − 1)/2 = 8.45 under it, one of 32 − 1.1 − 21 = 9.9 over it. */
    public function testATransomHasOneRowOverIt(): void
    {
        [$frame] = self::parts(['lights' => 2, 'transom' => '5ft', 'panes' => [2, 2]]);
        self::assertCount(2 * 2 * 3, $frame->holes);
        $heights = array_map(static fn (Ring $r): float => round($r->bounds()->height(), 4), $frame->holes);
        self::assertSame([...array_fill(0, 8, 8.45), ...array_fill(0, 4, 9.9)], $heights);
        self::assertEqualsWithDelta(20.9, $frame->holes[11]->bounds()->y0, 1e-4);
    }

    /** Solid up to 2 ft, 8: as the foot is a tenth clear, glass begins 7.9 up the card, whatever its stiles are. */
    public function testAShopWindowIsSolidBelow(): void
    {
        [$frame] = self::parts(['lights' => 3, 'riser' => '2ft']);
        self::assertEqualsWithDelta([7.9, 7.9, 7.9], array_map(static fn (Ring $r): float => $r->bounds()->y0, $frame->holes), 1e-4);
    }

    /** Each light's leaf has stiles of its own, 1.0 in the frame's opening of (24 − 2.2 − 2)/2 = 9.9: 7.9 of glass. */
    public function testCasementsLieBehindTheirFrame(): void
    {
        [$frame, $leaves, $glass] = self::parts(['lights' => 2, 'opens' => true, 'panes' => [1, 3]], ['frame', 'casements', 'glazing']);
        self::assertCount(2, $frame->holes);
        self::assertCount(6, $leaves->holes);
        self::assertEqualsWithDelta([9.9, 29.8], [$frame->holes[0]->bounds()->width(), $frame->holes[0]->bounds()->height()], 1e-4);
        self::assertEqualsWithDelta([7.9, 25.8 / 3], [$leaves->holes[0]->bounds()->width(), $leaves->holes[0]->bounds()->height()], 1e-4);
        $depths = array_map(static fn (Part $p): float => $p->placements[0]->origin->y, [$frame, $leaves, $glass]);
        self::assertEqualsWithDelta([0.64, 0.64], [$depths[0] - $depths[1], $depths[1] - $depths[2]], 1e-6);
    }

    /** Bars of 1 in, 0.333: as they are, of the least of card 0.52 with its template, printed, or not at all. */
    public function testWhatBecomesOfFineBars(): void
    {
        $fine = ['panes' => [2, 1], 'bar' => '1in'];
        $said = [];
        foreach (['cut' => 2, 'widened' => 2, 'printed' => 1, 'dropped' => 1] as $bars => $holes) {
            [$frame, $glass] = self::parts(['bars' => $bars] + $fine, ['frame', 'glazing']);
            self::assertCount($holes, $frame->holes, $bars);
            $gap = $holes === 2 ? $frame->holes[1]->bounds()->x0 - $frame->holes[0]->bounds()->x1 : null;
            self::assertEqualsWithDelta(['cut' => 1.0 / 3.0, 'widened' => 1.0][$bars] ?? null, $gap, 1e-6, $bars);
            self::assertSame($bars === 'printed', $glass->art instanceof GlassArt);
            if ($glass->art instanceof GlassArt) {
                // In the middle of the glass, as wide as the bar and as high as the light: 32 − 2.2.
                [$bar] = $glass->art->shapes[0][1];
                self::assertEqualsWithDelta($glass->width() / 2.0, $bar->bounds()->centre()->x, 1e-6);
                self::assertEqualsWithDelta([1.0 / 3.0, 29.8], [$bar->bounds()->width(), $bar->bounds()->height()], 1e-6);
            }
            $said[] = implode(' ', self::codes(self::derived(['bars' => $bars] + $fine), 'bar.'));
        }
        self::assertSame(['bar.too-fine', 'bar.widened', 'bar.printed', 'bar.dropped'], $said);
        // 1/8 in is 0.042, finer than two dots: printed as wide as those.
        [, $glass] = self::parts(['bars' => 'printed', 'bar' => '1/8in', 'panes' => [1, 2]], ['frame', 'glazing']);
        self::assertInstanceOf(GlassArt::class, $glass->art);
        self::assertEqualsWithDelta(0.085, $glass->art->shapes[0][1][0]->bounds()->height(), 1e-9);
    }

    /**
     * Two by three panes of a sash, bars and meeting rail 1.0: rows of (29.8 − 2)/3 = 9.2667, one of them under the rail. Without
     * bars it is open from 1 to 10.2667 and from 11.2667 to 30.8; of bars there are one upright, and one that lies, over the rail.
     */
    #[TestWith(['dropped', 0])]
    #[TestWith(['printed', 2])]
    public function testASashKeepsItsMeetingRail(string $bars, int $printed): void
    {
        [$frame, $glass] = self::parts(['panes' => [2, 3], 'sash' => true, 'bars' => $bars], ['frame', 'glazing']);
        $found = array_map(static fn (Ring $r): array => array_map(
            static fn (float $mm): float => round($mm, 4),
            [$r->bounds()->x0, $r->bounds()->y0, $r->bounds()->x1, $r->bounds()->y1],
        ), $frame->holes);
        self::assertEquals([[1.0, 1.0, 22.8, 10.2667], [1.0, 11.2667, 22.8, 30.8]], $found);
        self::assertCount($printed, $glass->art instanceof GlassArt ? $glass->art->shapes[0][1] : []);
    }

    /** What lies between the two halves of a sash of one over one is no bar. */
    public function testAMeetingRailIsNoBar(): void
    {
        foreach (['cut', 'widened', 'printed', 'dropped'] as $bars) {
            $frame = ['panes' => [1, 2], 'sash' => true, 'bars' => $bars, 'bar' => '1in'];
            self::assertSame([], self::codes(self::derived($frame), 'bar.'), $bars);
        }
    }

    /** Two lights of 9.9 by 29.8: leads 1.5 ft apart across, 6.0, 1 ft up, 4.0, from the middle: 1 and 7 of them; a lozenge each way. */
    public function testLeadsAreSetOutFromTheMiddleOfALight(): void
    {
        $glass = ['leading' => 'squares', 'across' => '1ft 6in', 'up' => '1ft'];
        [, $part] = self::parts(['lights' => 2], ['frame', 'glazing'], $glass);
        self::assertInstanceOf(GlassArt::class, $part->art);
        $leads = $part->art->shapes[0][1];
        self::assertCount(2 * (1 + 7), $leads);
        self::assertEqualsWithDelta([10.0 / 76.2, 29.8], [$leads[0]->bounds()->width(), $leads[0]->bounds()->height()], 1e-4);
        [, $part] = self::parts(['lights' => 1], ['frame', 'glazing'], ['leading' => 'lozenges'] + $glass);
        self::assertInstanceOf(GlassArt::class, $part->art);
        foreach ($part->art->shapes[0][1] as $lead) {
            self::assertGreaterThan(0.0, $lead->area());
            self::assertTrue($lead->bounds()->x1 <= 24.0 - 1.6 + 1e-6);
        }
    }

    /** Panes fill their lights, between them nothing; the same document has the same colours, and half of them are what is said. */
    #[TestWith(['squares'])]
    #[TestWith(['lozenges'])]
    public function testStainedPanesFillTheirLights(string $leading): void
    {
        $glass = ['look' => 'stained', 'leading' => $leading, 'across' => '1ft', 'up' => '1ft 2in'];
        [, $part] = self::parts(['lights' => 2], ['frame', 'glazing'], $glass);
        self::assertInstanceOf(GlassArt::class, $part->art);
        $panes = array_slice($part->art->shapes, 0, -1);
        self::assertEqualsWithDelta(2 * 9.9 * 29.8, self::area($panes), 1e-6);
        self::assertGreaterThan(3, count(array_unique(array_column($panes, 0))));
        [, $again] = self::parts(['lights' => 2], ['frame', 'glazing'], $glass);
        self::assertEquals($part->art, $again->art);
        [, $green] = self::parts(['lights' => 2], ['frame', 'glazing'], $glass + ['colour' => '#00ff00']);
        self::assertInstanceOf(GlassArt::class, $green->art);
        $of = array_filter($green->art->shapes, static fn (array $one): bool => $one[0] === '#00ff00');
        self::assertEqualsWithDelta(0.5, self::area($of) / self::area($panes), 0.2);
    }

    #[TestWith(['frosted', null, '#e4eaea'])]
    #[TestWith(['painted', '#334455', '#334455'])]
    #[TestWith(['curtains', null, '#e9dfc8'])]
    public function testWhatLiesOnGlass(string $look, ?string $colour, string $seen): void
    {
        [, $part] = self::parts(['lights' => 2], ['frame', 'glazing'], ['look' => $look] + ($colour === null ? [] : ['colour' => $colour]));
        self::assertInstanceOf(GlassArt::class, $part->art);
        [$tone, $rings] = $part->art->shapes[0];
        self::assertSame($seen, $tone);
        $area = array_sum(array_map(static fn (Ring $r): float => $r->area(), $rings));
        // A curtain takes from 16 to 30 % of a light on either side.
        self::assertEqualsWithDelta(2 * 9.9 * 29.8 * ($look === 'curtains' ? 0.46 : 1.0), $area, 1e-6);
    }

    /** @param  array<array{string, list<Ring>}>  $shapes */
    private static function area(array $shapes): float
    {
        $area = 0.0;
        foreach ($shapes as [, $rings]) {
            $area += array_sum(array_map(static fn (Ring $r): float => $r->area(), $rings));
        }

        return $area;
    }

    /** @return list<string> */
    private static function codes(Derivation $derived, string $of): array
    {
        $codes = array_map(static fn (Check $c): string => $c->code, $derived->checks);

        return array_values(array_filter($codes, static fn (string $code): bool => str_starts_with($code, $of)));
    }

    /**
     * @param  array<string, mixed>  $frame
     * @param  list<string>  $layers
     * @param  array<string, mixed>  $glass
     * @return list<Part>
     */
    private static function parts(array $frame, array $layers = ['frame'], array $glass = []): array
    {
        $derived = self::derived($frame, $glass);
        self::assertSame([], $derived->dryFit->findings);

        return array_map(static fn (string $layer): Part => $derived->kit->part("main.back.$layer.w1")->part, $layers);
    }

    /**
     * @param  array<string, mixed>  $frame
     * @param  array<string, mixed>  $glass
     */
    private static function derived(array $frame, array $glass = []): Derivation
    {
        return Filled::of(['w' => '6ft', 'h' => '8ft', 'frame' => (object) ($frame + self::FRAME), 'glass' => (object) $glass]);
    }
}
