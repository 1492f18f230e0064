<?php

declare(strict_types=1);

namespace Tests\Core\Shell;

use Chartula\Core\Shell\WallEnd;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class WallEndsTest extends TestCase
{
    /** A front of 100 bent out in its middle: within 3 degrees of straight it is one wall that is bent, beyond that a corner. */
    #[TestWith([1.3, WallEnd::STRAIGHT])]
    #[TestWith([1.4, WallEnd::STOPPED])]
    #[TestWith([5.2, WallEnd::STOPPED])]
    public function testNearlyStraightCorners(float $out, string $kind): void
    {
        // 180 − 2 · atan(out / 50): 177.02 at 1.3, 176.79 at 1.4, 168.1 at 5.2.
        $ring = [['0mm', "{$out}mm"], ['50mm', '0mm'], ['100mm', "{$out}mm"], ['100mm', '60mm'], ['0mm', '60mm']];
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $kit = Kits::of(BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]))->kit;
        $ends = [$kit->walls->span(0, 0)->right->kind, $kit->walls->span(0, 1)->left->kind];
        sort($ends);
        self::assertSame($kind === WallEnd::STRAIGHT ? [$kind, $kind] : [WallEnd::STOPPED, WallEnd::THROUGH], $ends);
    }
}
