<?php

declare(strict_types=1);

namespace Tests\Core\Fillings;

use Chartula\Core\Derivation;
use Chartula\Core\Drawing\KindDrawing;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Part;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\ProblemText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Doors of 16 by 28 on hinges, in frames of 1. docs/formulas.md#hinges */
final class HingesTest extends TestCase
{
    /**
     * A tenth clear and a frame of 1.0 leave 13.8 by 26.7 over 0.2 of air; a leaf of 13.6 by 26.5. Straps are at 0.15 and 0.9 of 26.7,
     * holes of 0.6 over the middle of the frame, 0.6 from the jamb.
     */
    public function testItsFrameHasHolesOverItsMiddle(): void
    {
        $derived = self::hung(['kind' => 'planks']);
        self::assertSame([], $derived->dryFit->findings);
        [$frame, $leaf, $strap] = [self::part($derived, 'door-frame'), self::part($derived, 'leaf'), self::part($derived, 'hinge')];
        self::assertEqualsWithDelta([13.6, 26.5, 0.3], [$leaf->width(), $leaf->height(), $leaf->placements[0]->origin->z], 1e-6);
        self::assertEqualsWithDelta(15.8 * 27.9 - 13.8 * 26.9, $frame->outline->ring->area(), 1e-6);
        $holes = array_map(static fn ($ring): Box2 => $ring->bounds(), $frame->holes);
        self::assertEqualsWithDelta(
            [[0.5, 4.205, 0.6], [0.5, 24.23, 0.6]],
            array_map(static fn (Box2 $b): array => [$b->centre()->x, $b->centre()->y, $b->width()], $holes),
            1e-6,
        );
        // 0.6 of 13.8 along the leaf, and half the frame.
        self::assertEqualsWithDelta([8.78, 4.205], [$strap->width(), $strap->placements[0]->origin->z + $strap->height() / 2.0], 1e-6);
        $said = array_values(array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'door.hinges'));
        self::assertStringContainsString('2 hinges: drill its frame 0.60 mm wide', $said[0]->text ?? '');
        self::assertStringContainsString('4.21, 24.23 mm above its foot', $said[0]->text ?? '');
    }

    /** Three of them: the third midway; of a braced leaf the straps lie on its ledges, 2.0 high: 1.0 and 25.7, 13.35 between. */
    public function testTheyAreOnItsLedges(): void
    {
        $derived = self::hung(['kind' => 'braced', 'rail' => '6in'], ['count' => 3]);
        self::assertSame([], $derived->dryFit->findings);
        $up = array_map(static fn ($ring): float => $ring->bounds()->centre()->y - 0.2, self::part($derived, 'door-frame')->holes);
        self::assertEqualsWithDelta([1.0, 13.35, 25.7], $up, 1e-6);
    }

    /** Of two leaves each has half of 13.8 and hangs on its own jamb; by 90° both stand out before the wall, their backs to the middle. */
    public function testTwoLeavesTurnEachOnItsOwnSide(): void
    {
        $derived = self::hung(['kind' => 'plain', 'double' => true, 'open' => 90]);
        self::assertSame([], $derived->dryFit->findings);
        [$left, $right] = [self::part($derived, 'leaf'), self::part($derived, 'leaf-right')];
        self::assertEqualsWithDelta([6.7, 6.7], [$left->width(), $right->width()], 1e-6);
        $frame = self::part($derived, 'door-frame');
        self::assertCount(4, $frame->holes);
        // Its pins are 0.6 and 15.4 along the opening, whose right jamb has the lesser x on the wall behind.
        $jamb = $frame->placements[0]->origin->x + 0.1;
        $front = $frame->placements[0]->origin->y;
        foreach ([[$left, 0.6], [$right, 15.4]] as [$leaf, $pin]) {
            $ends = array_map(static fn (float $x): Vec2 => new Vec2(
                $jamb - $leaf->placements[0]->at(new Vec2($x, 0.0))->x, $leaf->placements[0]->at(new Vec2($x, 0.0))->y - $front,
            ), [0.0, 6.7]);
            $out = array_map(static fn (Vec2 $p): float => $p->y, $ends);
            self::assertEqualsWithDelta([0.6, 7.3], [min($out), max($out)], 1e-6);
            self::assertEqualsWithDelta([$pin, $pin], [$ends[0]->x, $ends[1]->x], 1e-6);
        }
    }

    /** In the picture of its kind each leaf is seen as far as it stands open, by 60° half as wide, on its own side. */
    public function testItsPictureShowsItOpen(): void
    {
        $derived = self::hung(['kind' => 'plain', 'double' => true, 'open' => 60]);
        $drawing = KindDrawing::of($derived->building, $derived->building->styles['own']);
        $leaves = array_filter($drawing?->symbols() ?? [], static fn ($s): bool => str_starts_with($s->id, 'leaf-'));
        $boxes = array_map(static fn ($s): Box2 => Box2::around($s->clip[0]->points), array_values($leaves));
        self::assertCount(2, $boxes);
        // 6.7 wide, from 0.6 beside the line that it turns about on.
        self::assertEqualsWithDelta([3.35, 3.35], [$boxes[0]->width(), $boxes[1]->width()], 1e-6);
        self::assertEqualsWithDelta([-0.5 + 0.3, 6.9 + 0.5 - 0.3], [$boxes[0]->x0, $boxes[1]->x1], 1e-6);
    }

    /** A thick leaf swings where it does not hang: 10.0 wide, 3.12 thick, √(10² + 3.12²) − 10 = 0.4754, 0.3754 over its play. */
    public function testItHasRoomForItsSwing(): void
    {
        $derived = self::hung(['kind' => 'plain'], [], ['w' => '12.2mm model'], ['methods.trim' => (object) ['frame' => 'greyboard-3']]);
        self::assertEqualsWithDelta(10.0 - 0.3754 - 0.2, self::part($derived, 'leaf')->width(), 1e-4);
    }

    /** Whatever holds it holds its frame, shut or open. */
    public function testItsFrameIsHeld(): void
    {
        foreach (['rebate', 'behind', 'stops'] as $held) {
            foreach ([0, 35] as $open) {
                $derived = self::hung(['kind' => 'planks', 'open' => $open], [], ['held' => $held, 'reveal' => '3in']);
                self::assertSame([], $derived->dryFit->findings, "$held, $open");
            }
        }
    }

    /**
     * @param  array<string, mixed>  $leaf
     * @param  array<string, mixed>  $style
     */
    #[DataProvider('faults')]
    public function testWhatCannotTurnIsAFault(array $leaf, array $style, string $path, string $words): void
    {
        try {
            self::hung($leaf + ['hinges' => (object) ['post' => '3in']], [], $style);
            self::fail('It was made');
        } catch (InvalidInput $e) {
            self::assertSame("styles.own.$path", $e->problems[0]->path);
            self::assertStringContainsString($words, ProblemText::of($e->problems[0]));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> */
    public static function faults(): iterable
    {
        yield 'a frame as wide as the door' => [['hinges' => (object) ['post' => '2ft']], [], 'leaf.hinges', 'a frame of 2ft'];
        yield 'under a curve' => [[], ['head' => (object) ['shape' => 'round']], 'leaf.hinges', 'under a level head'];
        yield 'sliding' => [['slides' => 'left'], [], 'leaf.hinges', 'nor sliding'];
        yield 'parted' => [['split' => '3ft'], [], 'leaf.hinges', 'neither parted'];
        $fixed = ['double' => true, 'open' => 20, 'hinges' => null];
        yield 'two fixed leaves that stand open' => [$fixed, [], 'leaf.open', 'on hinges'];
    }

    private static function part(Derivation $derived, string $layer): Part
    {
        return $derived->kit->part("main.back.$layer.w1")->part;
    }

    /**
     * @param  array<string, mixed>  $leaf
     * @param  array<string, mixed>  $hinges
     * @param  array<string, mixed>  $style
     * @param  array<string, mixed>  $more  of the document
     */
    private static function hung(array $leaf, array $hinges = [], array $style = [], array $more = []): Derivation
    {
        $leaf += ['hinges' => (object) ($hinges + ['post' => '3in'])];
        $said = array_filter($leaf, static fn (mixed $v): bool => $v !== null);

        return Filled::of($style + ['kind' => 'door', 'w' => '4ft', 'h' => '7ft', 'leaf' => (object) $said], $more);
    }
}
