<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** An opening of 24 by 40, a tenth clear, stiles of 3 in, 1.000, mullions of 6 in, 2.000, tracery of 3 in. docs/formulas.md#tracery */
final class TraceryTest extends TestCase
{
    private const FRAME = ['lights' => 2, 'stile' => '3in', 'bar' => '3in', 'mullion' => '6in'];

    /**
     * Under an equilateral head, whose arcs stay 24 − 1.1 = 22.9 from its springers, two lights of 9.9 with arcs of 9.9 from their own, 1.1
     * from those. A circle in the middle with q = R + 1 from all of them: 12² + y² = (22.9 − q)², 10.9² + y² = (9.9 + q)²,
     * so 25.19 = 32.8 · (13 − 2q): q 6.11601, R 5.11601, y = √(16.01601² − 10.9²) = 11.73467 over the springing line, 40 − 20.7846.
     */
    public function testACircleTouchesTheHeadAndBothLights(): void
    {
        $holes = self::holes(['foils' => 0]);
        self::assertCount(3, $holes);
        $box = $holes[2]->bounds();
        self::assertEqualsWithDelta([2.0 * 5.11601, 2.0 * 5.11601], [$box->width(), $box->height()], 0.02);
        // A tenth of clearance under it.
        $y = 40.0 - 24.0 * sqrt(3.0) / 2.0 + 11.73467 - 0.1;
        self::assertEqualsWithDelta([11.9, $y], [$box->centre()->x, $box->centre()->y], 0.02);
        // A light is 9.9 wide, and as much · √3/2 over its own springing line, which lies on that of the head.
        self::assertEqualsWithDelta(40.0 - 24.0 * sqrt(3.0) / 2.0 + 9.9 * sqrt(3.0) / 2.0 - 0.1, $holes[0]->bounds()->y1, 0.01);
    }

    /** Of R 5.11601: foils of R·s/(1 + s), s = sin(180°/n), whose middles stand R less that from the circle's. */
    #[TestWith([3, 2.37466])]
    #[TestWith([4, 2.11912])]
    #[TestWith([6, 1.70534])]
    public function testFoilsTouchEachOtherAndTheCircle(int $foils, float $radius): void
    {
        $ring = self::holes(['foils' => $foils])[2];
        $middle = self::holes(['foils' => 0])[2]->bounds()->centre();
        $far = array_map($middle->distanceTo(...), $ring->points);
        self::assertEqualsWithDelta(5.11601, max($far), 0.02);
        // Two foils touch where a line through their middles is halved.
        self::assertEqualsWithDelta((5.11601 - $radius) * cos(M_PI / $foils), min($far), 0.02);
    }

    /** Whatever head there is, nothing of a light or a circle comes nearer to anything than tracery is wide, and left is as right. */
    #[TestWith([['shape' => 'pointed'], 3, 3, 3])]
    #[TestWith([['shape' => 'pointed', 'rise' => '7ft 6in'], 4, 5, 3])]
    #[TestWith([['shape' => 'round'], 3, 0, 3])]
    #[TestWith([['shape' => 'three-centred', 'rise' => '2ft'], 2, 4, 1])]
    #[TestWith([['shape' => 'segmental', 'rise' => '1ft'], 2, 0, 1])]
    #[TestWith([['shape' => 'flat'], 2, 4, 1])]
    public function testNothingComesTooNear(mixed $head, int $lights, int $foils, int $circles): void
    {
        $said = ['lights' => $lights, 'mullion' => '3in'] + self::FRAME;
        $derived = self::derived(['foils' => $foils, 'heads' => $lights % 2 === 0 ? 'pointed' : 'round'], $said, $head);
        self::assertSame([], $derived->dryFit->findings);
        $part = $derived->kit->part('main.back.tracery.w1')->part;
        self::assertCount($lights + $circles, $part->holes);
        $least = INF;
        foreach ($part->holes as $i => $one) {
            foreach ([$part->outline->ring, ...array_slice($part->holes, 0, $i)] as $other) {
                $least = min($least, ...array_map($other->distanceTo(...), $one->points));
            }
        }
        self::assertEqualsWithDelta(1.0, $least, 0.03);
        $width = $part->width();
        $boxes = array_map(static fn (Ring $r): array => [round($r->bounds()->centre()->x, 2), round($r->bounds()->y1, 2)], $part->holes);
        $turned = array_map(static fn (array $at): array => [round($width - $at[0], 2), $at[1]], $boxes);
        sort($boxes);
        sort($turned);
        self::assertEqualsWithDelta($boxes, $turned, 0.011);
    }

    public function testWhatIsTooFineIsSaid(): void
    {
        $said = static fn (Derivation $d): array => array_values(array_filter(
            array_map(static fn (Check $c): string => $c->code, $d->checks),
            static fn (string $code): bool => str_starts_with($code, 'tracery.'),
        ));
        self::assertSame([], $said(self::derived(['foils' => 4])));
        self::assertSame(['tracery.too-fine'], $said(self::derived(['foils' => 4, 'bar' => '2in'])));
        self::assertSame(['tracery.small'], $said(self::derived(['foils' => 8, 'bar' => '6in'], ['lights' => 3] + self::FRAME)));
    }

    /** @param  array<string, mixed>  $frame */
    #[TestWith([['panes' => [2, 1]], 'frame.tracery', 'that nothing else divides'])]
    #[TestWith([['lights' => 1], 'frame.tracery', 'two lights or more'])]
    #[TestWith([['tracery' => ['foils' => 2]], 'frame.tracery.foils', 'no 2 foils'])]
    #[TestWith([['tracery' => ['bar' => '3ft']], 'frame.tracery', 'no room for tracery'])]
    public function testWhatCannotBeIsAFault(array $frame, string $path, string $said): void
    {
        try {
            $tracery = $frame['tracery'] ?? [];
            self::assertIsArray($tracery);
            self::derived($tracery, $frame + self::FRAME);
            self::fail('no fault');
        } catch (InvalidInput $e) {
            self::assertSame("styles.own.$path", $e->problems[0]->path);
            self::assertStringContainsString($said, ProblemText::of($e->problems[0]));
        }
    }

    /**
     * @param  array<string, mixed>  $tracery
     * @return list<Ring>
     */
    private static function holes(array $tracery): array
    {
        $derived = self::derived($tracery);
        self::assertSame([], $derived->dryFit->findings);

        return $derived->kit->part('main.back.tracery.w1')->part->holes;
    }

    /**
     * @param  array<mixed>  $tracery
     * @param  array<string, mixed>  $frame
     */
    private static function derived(array $tracery, array $frame = self::FRAME, mixed $head = ['shape' => 'pointed']): Derivation
    {
        $said = (object) (['tracery' => (object) ($tracery + ['bar' => '3in'])] + $frame);

        return Filled::of(['w' => '6ft', 'h' => '10ft', 'head' => json_decode((string) json_encode($head)), 'frame' => $said], [
            'blocks.0.eaves' => '14ft',
        ]);
    }
}
