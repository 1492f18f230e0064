<?php

declare(strict_types=1);

namespace Tests\Core\Shell;

use Chartula\Core\Building\CornerMethod;
use Chartula\Core\Shell\ButtEnds;
use Chartula\Core\Shell\CornerEnds;
use Chartula\Core\Shell\MitreEnds;
use Chartula\Core\Shell\WallCorner;
use Chartula\Core\Shell\WallEnd;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** How walls end, layer by layer. */
final class CornerEndsTest extends TestCase
{
    /**
     * A wall of cards of 0.5 and 1 against one of 1.5, at 90°.
     *
     * @param  list<float>  $starts  of the outer faces of both layers
     */
    #[DataProvider('methods')]
    public function testGivesAnEndForEveryLayer(CornerEnds $method, bool $runsThrough, string $kind, array $starts): void
    {
        $ends = $method->of(new WallCorner(1, 90.0, 2, 1.5, $runsThrough, null));
        self::assertCount(2, $ends);
        self::assertSame([$kind, $kind], [$ends[0]->kind, $ends[1]->kind]);
        self::assertEqualsWithDelta($starts, [$ends[0]->outerCut(0.0, 0.5), $ends[1]->outerCut(0.5, 1.5)], 1e-9);
        self::assertSame([! $runsThrough, ! $runsThrough], [$ends[0]->yields, $ends[1]->yields]);
    }

    /** @return iterable<string, array{CornerEnds, bool, string, list<float>}> */
    public static function methods(): iterable
    {
        yield 'through' => [new ButtEnds, true, WallEnd::THROUGH, [0.0, 0.0]];
        yield 'stopped: by all that the other is thick' => [new ButtEnds, false, WallEnd::STOPPED, [1.5, 1.5]];
        yield 'mitred: each face as far in as it is deep' => [new MitreEnds, true, WallEnd::MITRE, [0.0, 0.5]];
        yield 'mitred, the other paper first' => [new MitreEnds, false, WallEnd::MITRE, [0.0, 0.5]];
    }

    /** The kit's boards end where their own layer does: mitred, each layer is shorter than the one before it by twice its thickness. */
    public function testBoardsEndWhereTheirLayerDoes(): void
    {
        foreach ([[CornerMethod::Butt, [100.0, 100.0]], [CornerMethod::Mitre, [100.0, 99.0]]] as [$method, $widths]) {
            $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0), 'methods.corner', $method->value);
            $document = BuildingGenerator::with($document, 'methods.wall', [
                (object) ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                (object) ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core'],
            ]);
            $span = Kits::of($document)->kit->walls->span(0, 0);
            self::assertEqualsWithDelta($widths, [$span->end(0) - $span->start(0), $span->end(1) - $span->start(1)], 1e-9);
            self::assertSame([$span->left, $span->right], [$span->at('left', 0), $span->at('right', 0)]);
        }
    }
}
