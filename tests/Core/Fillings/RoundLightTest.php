<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Score;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** A round light of 4 ft 3 in, 17.0, in a wall of 0.64 on 2.12, a tenth clear, a frame of 3 in, 1.000. docs/formulas.md#heads */
final class RoundLightTest extends TestCase
{
    private const FRAME = ['stile' => '3in', 'bar' => '3in'];

    /** Card 17.2 where paper turns in, frame 16.8, glass 15.8, its pane 14.8; chords stay within a hundredth of their circles. */
    public function testEverythingIsRound(): void
    {
        $derived = self::derived(['frame' => (object) self::FRAME]);
        self::assertSame([], $derived->dryFit->findings);
        $frame = self::part($derived, 'frame');
        self::assertCircle($frame->outline->ring, 16.8);
        self::assertCircle($frame->holes[0], 14.8);
        self::assertCircle(self::part($derived, 'glazing')->outline->ring, 15.8);
        foreach (['face', 'core'] as $layer) {
            self::assertCircle($derived->kit->part("main.back.$layer")->part->holes[0], 17.2);
        }
    }

    /** Paper is cut out 3 smaller all round, and in between by tabs, each folded along its chord. */
    public function testPaperTurnsInAllRound(): void
    {
        $paper = self::derived(['frame' => (object) self::FRAME])->kit->part('main.back.paper')->part;
        self::assertCircle($paper->holes[0], 11.0);
        $middle = $paper->holes[0]->bounds()->centre();
        foreach ($paper->slits as [$inner, $outer]) {
            self::assertEqualsWithDelta([5.5, 8.5], [$inner->distanceTo($middle), $outer->distanceTo($middle)], 0.006);
        }
        // √(8 · 8.5 · 0.1) is 2.608: 53.4 round in 21, and the chord at the foot.
        $folds = array_filter($paper->scores, static fn (Score $s): bool => abs($s->from->distanceTo($middle) - 8.5) < 0.006);
        self::assertCount(22, $folds);
        $long = array_sum(array_map(static fn (Score $s): float => $s->from->distanceTo($s->to), $folds));
        self::assertGreaterThan(0.98 * M_PI * 17.0, $long);
    }

    /** Four panes are equal, and turned upon each other; what is printed stays within its light. */
    public function testPanesFollowIt(): void
    {
        $derived = self::derived(['frame' => (object) (self::FRAME + ['panes' => [2, 2]])]);
        self::assertSame([], $derived->dryFit->findings);
        $panes = self::part($derived, 'frame')->holes;
        self::assertCount(4, $panes);
        // A quarter of a circle of 14.8 without half a bar on two sides: between the square of both and the strips along them.
        $areas = array_map(static fn (Ring $r): float => round($r->area(), 2), $panes);
        self::assertSame([$areas[0]], array_values(array_unique($areas)));
        self::assertEqualsWithDelta((M_PI * 7.4 ** 2 - 2.0 * 14.8 + 1.0) / 4.0, $areas[0], 0.1);
    }

    /** @param  array<string, mixed>  $style */
    #[TestWith([['kind' => 'open']])]
    #[TestWith([['blind' => []]])]
    #[TestWith([['rebate' => '1mm model']])]
    #[TestWith([['frame' => ['panes' => [3, 3], 'stile' => '3in', 'bar' => '3in', 'opens' => true]]])]
    #[TestWith([['frame' => ['lights' => 2, 'transom' => '2ft 1in'], 'glass' => ['look' => 'frosted', 'leading' => 'squares']]])]
    public function testWhateverStandsInIt(array $style): void
    {
        $object = static fn (mixed $said): mixed => is_array($said) ? json_decode((string) json_encode((object) $said)) : $said;
        $style = array_map($object, $style);
        foreach ([[], ['blocks.0.walls.2.finish' => 'bare'], ['methods.skin.opening' => 'cut']] as $more) {
            self::assertSame([], self::derived($style, $more)->dryFit->findings);
        }
    }

    /** @param  array<string, mixed>  $style */
    #[TestWith([['h' => '4ft'], 'h', 'as high as it is wide'])]
    #[TestWith([['leaf' => []], 'head.shape', 'no leaf goes into it'])]
    #[TestWith([['dress' => [['kind' => 'sill']]], 'dress', 'nothing stands round'])]
    #[TestWith([['frame' => ['lights' => 2, 'tracery' => ['bar' => '3in']]], 'frame.tracery', 'no tracery yet'])]
    public function testWhatCannotBeIsAFault(array $style, string $path, string $said): void
    {
        try {
            self::derived((array) json_decode((string) json_encode(array_map(
                static fn (mixed $v): mixed => $v === [] ? (object) [] : $v,
                $style,
            ))));
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame("styles.own.$path", $e->problems[0]->path);
            self::assertStringContainsString($said, ProblemText::of($e->problems[0]));
        }
    }

    public function testItDoesNotStandOnTheGround(): void
    {
        $this->expectExceptionMessage('does not stand on the ground');
        self::derived([], ['blocks.0.walls.2.openings.0.sill' => '0ft']);
    }

    /** Nor does the second one. */
    public function testNoneStandsOnTheGround(): void
    {
        $both = [
            (object) ['id' => 'a', 'style' => 'own', 'from' => '3ft', 'sill' => '2ft'],
            (object) ['id' => 'b', 'style' => 'own', 'from' => '12ft', 'sill' => '0ft'],
        ];
        try {
            self::derived([], ['blocks.0.walls.2.openings' => $both]);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame('blocks.0.walls.2.openings.1.sill', $e->problems[0]->path);
        }
    }

    private static function assertCircle(Ring $ring, float $width): void
    {
        $middle = $ring->bounds()->centre();
        foreach ($ring->points as $p) {
            self::assertEqualsWithDelta($width / 2.0, $p->distanceTo($middle), 0.006);
        }
        self::assertEqualsWithDelta(M_PI * $width ** 2 / 4.0, $ring->area(), 0.025 * $width);
    }

    private static function part(Derivation $derived, string $layer): Part
    {
        return $derived->kit->part("main.back.$layer.w1")->part;
    }

    /**
     * @param  array<mixed>  $style
     * @param  array<string, mixed>  $more
     */
    private static function derived(array $style, array $more = []): Derivation
    {
        $all = $style + ['w' => '4ft 3in', 'h' => '4ft 3in', 'head' => (object) ['shape' => 'circle']];
        /** @var array<string, mixed> $all */

        return Filled::of($all, $more);
    }
}
