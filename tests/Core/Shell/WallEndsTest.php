<?php

declare(strict_types=1);

namespace Tests\Core\Shell;

use Chartula\Core\Derivation;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Shell\WallEnd;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class WallEndsTest extends TestCase
{
    /** A front of 100 bent out in its middle: within 3 degrees of straight it is one wall that is bent, beyond that a corner. */
    #[TestWith([1.3, WallEnd::STRAIGHT])]
    #[TestWith([1.4, WallEnd::MITRE])]
    #[TestWith([5.2, WallEnd::MITRE])]
    public function testNearlyStraightCorners(float $out, string $kind): void
    {
        // 180 − 2 · atan(out / 50): 177.02 at 1.3, 176.79 at 1.4, 168.1 at 5.2.
        $ring = [['0mm', "{$out}mm"], ['50mm', '0mm'], ['100mm', "{$out}mm"], ['100mm', '60mm'], ['0mm', '60mm']];
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $kit = Kits::of(BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]))->kit;
        $ends = [$kit->walls->span(0, 0)->right->kind, $kit->walls->span(0, 1)->left->kind];
        sort($ends);
        self::assertSame([$kind, $kind], $ends);
    }

    /** An octagon of 30 a side and cards of 2: butted where it is asked for at the corner, else mitred beyond 20 degrees from square. */
    public function testObliqueCornersAreMitredUnlessTheyThemselvesSayOtherwise(): void
    {
        $document = Kits::octagon();
        $derived = Kits::of($document);
        foreach (range(0, 7) as $edge) {
            self::assertSame([WallEnd::MITRE, WallEnd::MITRE], [
                $derived->kit->walls->span(0, $edge)->left->kind, $derived->kit->walls->span(0, $edge)->right->kind,
            ]);
        }
        self::assertSame([], self::open($derived));
        $butted = BuildingGenerator::with($document, 'blocks.0.corners', [(object) ['vertex' => 1, 'method' => 'butt']]);
        // 2 / sin 135° = 2.8284 of the wall that stops.
        self::assertSame([2.8284], self::open(Kits::of($butted)));
        self::assertSame(['outside.cover'], array_column(Kits::of($butted)->dryFit->toArray()['findings'], 'code'), 'bare card stands open');
        // Drawn brick runs on round the corner, and closes it.
        $walls = array_map(static fn (int $i): stdClass => (object) ['edge' => "edge-$i", 'finish' => 'brick-stretcher'], range(0, 7));
        $papered = Kits::of(BuildingGenerator::with($butted, 'blocks.0.walls', $walls));
        self::assertSame([2.8284], self::open($papered));
        self::assertSame([], $papered->dryFit->toArray()['findings']);
        self::assertContains('outside.closed-behind', array_map(static fn (Check $c): string => $c->code, $papered->checks));
    }

    /** At an inner corner of 225° the stopped wall's card of 2, cut square, starts 2 / tan 225° = 2 late. */
    public function testAButtAtAnObliqueInnerCornerSaysWhatItLeavesOpen(): void
    {
        $ring = [['0mm', '0mm'], ['60mm', '0mm'], ['60mm', '30mm'], ['40mm', '30mm'], ['20mm', '50mm'], ['0mm', '50mm']];
        $document = BuildingGenerator::with(Kits::octagon(), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        self::assertSame([], self::open(Kits::of($document)));
        $butted = BuildingGenerator::with($document, 'blocks.0.corners', [(object) ['vertex' => 3, 'method' => 'butt']]);
        self::assertSame([2.0], self::open(Kits::of($butted)));
    }

    /** At 135° a butt takes 2 / sin 135° = 2.828 of the stopped wall, and a mitre 2 / tan 67.5° = 0.828 of its inside. */
    #[TestWith(['2.82mm', true, 'opening.in-corner'])]
    #[TestWith(['2.84mm', true, null])]
    #[TestWith(['0.82mm', false, 'opening.in-corner'])]
    #[TestWith(['0.84mm', false, null])]
    public function testAnOpeningKeepsClearOfWhatTheCornerTakes(string $from, bool $isButt, ?string $code): void
    {
        $document = BuildingGenerator::with(
            Kits::octagon(),
            'styles',
            (object) ['w' => (object) ['kind' => 'open', 'w' => '8mm', 'h' => '10mm']],
        );
        $document = BuildingGenerator::with($document, 'blocks.0.walls', [
            (object) ['edge' => 'edge-1', 'openings' => [(object) ['id' => 'w', 'style' => 'w', 'from' => $from, 'sill' => '10mm']]],
        ]);
        $document = BuildingGenerator::with($document, 'blocks.0.corners', $isButt ? [(object) ['vertex' => 1, 'method' => 'butt']] : []);
        try {
            Kits::of($document);
            $codes = [];
        } catch (InvalidInput $e) {
            $codes = array_map(static fn (Problem $p): string => $p->code, $e->problems);
        }
        self::assertSame($code === null ? [] : [$code], $codes);
    }

    /** @return list<float> widths that stay open at corners, mm */
    private static function open(Derivation $derived): array
    {
        $open = array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'corner.open');

        return array_map(static fn (Check $c): float => round((float) $c->mm, 4), array_values($open));
    }
}
