<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Problem\Check;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Each remark is made where it should be, with its figure, and not where it should not. */
final class ChecksTest extends TestCase
{
    /** @param  array<string, mixed>  $changes */
    #[DataProvider('provideRemarks')]
    public function testRemarks(array $changes, string $code, string $at, string $level, ?float $mm): void
    {
        $check = self::found($changes, $code, $at);
        self::assertNotNull($check, "$code at $at was not remarked on");
        self::assertSame($level, $check->level);
        if ($mm !== null) {
            self::assertEqualsWithDelta($mm, $check->mm, 0.005);
        }
        self::assertNull(self::found([], $code, $at), "$code at $at stands in the plain weigh office too");
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string, ?float}> figures worked by hand, 4 mm to the foot */
    public static function provideRemarks(): iterable
    {
        $front = 'blocks.0.walls.0.openings';
        // Piers: the row ends at 10 + 24 + 12 = 46; a door at 11 ft 9 in = 47 leaves 1, less the paper on both sides.
        yield 'a pier too narrow to cut' => [["$front.1.from" => '11ft 9in'], 'web.too-narrow', 'main.front.w1-2', Check::WARN, 0.8];
        yield 'a strip under the sill' => [["$front.0.sill" => '3in'], 'web.too-narrow', 'main.front.w1', Check::WARN, 0.9];
        yield 'a bar too fine' => [['styles.sash.frame.bar' => '1in'], 'bar.too-fine', 'main.front.w1', Check::WARN, 1.0 / 3.0];
        yield 'a stile too fine' => [['styles.sash.frame.stile' => '2in'], 'stile.too-fine', 'main.front.w1', Check::WARN, 2.0 / 3.0];
        yield 'a low door' => [['styles.door.h' => '6ft'], 'door.low', 'main.front.d1', Check::WARN, null];
        yield 'a high sill' => [["$front.0.sill" => '4ft 4in'], 'sill.high', 'main.front.w1', Check::NOTE, null];
        // A gable's window from 6 ft up: 24 + 20 = 44, six above the eaves at 38.
        yield 'a head in the gable' => [
            ['blocks.0.walls.1.openings.0.sill' => '6ft'], 'head.above-eaves', 'main.right.w1', Check::NOTE, 6.0,
        ];
        yield 'flaps that do not reach' => [['methods.skin.flap' => '2mm'], 'flap.short', 'main.front.w1', Check::WARN, 2.0];
        yield 'an opening too narrow for its flaps' => [
            ['methods.skin.flap' => '6.5mm'], 'flap.narrow-opening', 'main.front.w1', Check::NOTE, null,
        ];
        yield 'feet for inches' => [['styles.door.w' => '18in'], 'size.unusual', 'main.front.d1', Check::NOTE, null];
        yield 'a brick cut beside an opening' => [["$front.0.from" => '1ft 3in'], 'bond.cut', 'main.front', Check::NOTE, null];
        yield 'card never measured' => [['methods.roof.0.stock' => 'greyboard-2'], 'stock.not-measured', 'greyboard-2', Check::NOTE, 2.0];
        // 18 ft and two verges of 6 in at 1:20 are 289.6 long; a page takes 194 by 275.
        yield 'a part larger than a page' => [['scale' => '1:20'], 'part.too-large', 'main.front-slope.carrier', Check::STOP, 289.56];
    }

    public function testWhatWillBeWhiteIsSaid(): void
    {
        $edges = (string) self::found([], 'edges.white', 'main')?->text;
        $tones = ['P1, P2, P3 and P4, in the tone of the mortar', 'R1 and R2, in the tone of the roof', 'D1, in the tone of the door'];
        foreach ($tones as $said) {
            self::assertStringContainsString($said, $edges);
        }
    }

    /** 15 in are 1½ in more than a brick and a half, and more than a tenth; 14 in are evened. */
    public function testByHowMuchBricksDoNotComeOutIsSaidInInches(): void
    {
        $from = 'blocks.0.walls.0.openings.0.from';
        self::assertStringContainsString(
            'between its left end and sash it is 1ft 3in, 1 1/2in too long for 1.5 bricks',
            (string) self::found([$from => '1ft 3in'], 'bond.cut', 'main.front')?->text,
        );
        self::assertNull(self::found([$from => '1ft 2in'], 'bond.cut', 'main.front'));
        // A door of 15 in matters only where bricks run over it.
        $narrow = ['styles.door.w' => '1ft 3in'];
        self::assertStringNotContainsString('over and under', (string) self::found($narrow, 'bond.cut', 'main.front')?->text);
        self::assertStringContainsString(
            'over and under door it is 1ft 3in, 1 1/2in too long',
            (string) self::found($narrow + ['methods.skin.bond' => 'broken'], 'bond.cut', 'main.front')?->text,
        );
    }

    public function testHeadsOnABedJointAreLeftAlone(): void
    {
        // The weigh office's heads spring a third of a course low: 11 + 20 − 4/3 = 29.667.
        self::assertEqualsWithDelta(-1.0 / 3.0, self::found([], 'head.off-course', 'main.front.w1')?->mm, 0.001);
        self::assertNull(self::found(['blocks.0.walls.0.openings.0.sill' => '2ft 10in'], 'head.off-course', 'main.front.w1'));
    }

    public function testTheWorstComesFirst(): void
    {
        $levels = array_map(
            static fn (Check $c): string => $c->level,
            self::checks(['scale' => '1:20', 'styles.sash.frame.bar' => '1/4in']),
        );
        $order = array_flip([Check::STOP, Check::WARN, Check::NOTE, Check::OK]);
        $sorted = $levels;
        usort($sorted, static fn (string $a, string $b): int => $order[$a] <=> $order[$b]);
        self::assertSame($sorted, $levels);
        self::assertSame(Check::STOP, $levels[0]);
    }

    /** @param  array<string, mixed>  $changes */
    private static function found(array $changes, string $code, string $at): ?Check
    {
        foreach (self::checks($changes) as $check) {
            if ($check->code === $code && $check->at === $at) {
                return $check;
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $changes
     * @return list<Check>
     */
    private static function checks(array $changes): array
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ($changes as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document)->checks;
    }
}
