<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Windows of 24 by 20 with two casements, of which one stands ajar; stiles 1, a mullion of 2. docs/formulas.md#leaves */
final class CasementTest extends TestCase
{
    /**
     * Lights are 9.9 by 17.8, from 1.1 and from 13.0; the casement ajar is a tenth smaller all round, 9.7 by 17.6, its pane 7.9 by 15.8.
     * By 30° its free side stands 4.85 out, 9.7 · cos 30° along from where it hangs, at 1.2 or at 22.8.
     */
    #[TestWith([1, 1.2, 8.400446])]
    #[TestWith([2, 22.8, -8.400446])]
    public function testOneStandsAjar(int $light, float $pin, float $along): void
    {
        $derived = self::ajar(['ajar' => 30, 'ajar_light' => $light]);
        self::assertSame([], $derived->dryFit->findings);
        $part = static fn (string $layer) => $derived->kit->part("main.back.$layer.w1")->part;
        [$frame, $leaf] = [$part('frame'), $part('casement-ajar')];
        self::assertEqualsWithDelta([9.7, 17.6], [$leaf->width(), $leaf->height()], 1e-6);
        $pane = $leaf->holes[0]->bounds();
        self::assertEqualsWithDelta([0.9, 0.9, 7.9, 15.8], [$pane->x0, $pane->y0, $pane->width(), $pane->height()], 1e-6);
        // The wall behind faces +y: along it goes to −x, and out of it to +y.
        $corner = $frame->placements[0]->at(new Vec2(-0.1, 0.0));
        $sides = array_map(static fn (float $x): array => [
            $corner->x - $leaf->placements[0]->at(new Vec2($x, 0.0))->x, $leaf->placements[0]->at(new Vec2($x, 0.0))->y - $corner->y,
        ], $light === 1 ? [0.0, 9.7] : [9.7, 0.0]);
        self::assertEqualsWithDelta([[$pin, 0.0], [$pin + $along, 4.85]], $sides, 1e-5);
        // The other is shut: on the card of all casements it has its pane, and this one's light is open, as it is of the glass.
        $open = array_map(static fn ($r): float => round($r->bounds()->width(), 4), $part('casements')->holes);
        sort($open);
        self::assertSame([7.9, 9.9], $open);
        self::assertEqualsWithDelta(9.9 * 17.8, abs($part('glazing')->holes[0]->signedArea()), 1e-6);
        self::assertEqualsWithDelta([8.7, 16.6], [$part('glazing-ajar')->width(), $part('glazing-ajar')->height()], 1e-6);
    }

    /** @param  array<string, mixed>  $frame */
    #[DataProvider('faults')]
    public function testWhatCannotStandAjarIsAFault(array $frame, string $path, string $words, ?object $head = null): void
    {
        try {
            self::ajar($frame, $head);
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertSame("styles.own.frame.$path", $e->problems[0]->path);
            self::assertStringContainsString($words, ProblemText::of($e->problems[0]));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, 3?: object}> */
    public static function faults(): iterable
    {
        yield 'a third of two' => [['ajar' => 20, 'ajar_light' => 3], 'ajar_light', '2 casements'];
        yield 'no casement' => [['ajar' => 20, 'opens' => false], 'ajar', 'only a casement stands ajar'];
        yield 'further than square' => [['ajar' => 95], 'ajar', '90'];
        $round = (object) ['shape' => 'round'];
        yield 'under a curve' => [['ajar' => 20], 'ajar', 'would strike the reveal', $round];
        yield 'a sash pushed up that is none' => [['raised' => '6in'], 'raised', 'set back'];
    }

    /** Over a transom nothing opens, whatever the head over that. */
    public function testUnderATransomItMayStandAjar(): void
    {
        $derived = self::ajar(['ajar' => 60, 'transom' => '3ft'], (object) ['shape' => 'segmental', 'rise' => '6in']);
        self::assertSame([], $derived->dryFit->findings);
        self::assertLessThan(12.0, $derived->kit->part('main.back.casement-ajar.w1')->part->height());
    }

    /** @param  array<string, mixed>  $frame */
    private static function ajar(array $frame, ?object $head = null): Derivation
    {
        return Filled::of(['w' => '6ft', 'h' => '5ft', 'frame' => (object) (
            $frame + ['lights' => 2, 'stile' => '3in', 'mullion' => '6in', 'opens' => true]
        )] + ($head === null ? [] : ['head' => $head]));
    }
}
