<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

final class PlotEditsTest extends TestCase
{
    private static function edited(stdClass $document, stdClass ...$edits): stdClass
    {
        return Edits::apply($document, array_values($edits))->document;
    }

    public function testAPlaceIsMadeRoundTheBuilding(): void
    {
        $document = self::edited(Kits::box('171mm', '60mm', '40mm', 45.0), (object) ['op' => 'add-plot']);
        self::assertEquals((object) ['size' => ['220mm', '100mm'], 'at' => ['-24.5mm', '-20mm']], $document->plot);
        self::assertTrue(Kits::of($document)->fit?->fits());
    }

    public function testMovingTheBuildingMovesThePlotTheOtherWay(): void
    {
        $document = self::edited(
            Kits::box('171mm', '60mm', '40mm', 45.0),
            (object) ['op' => 'add-plot'],
            (object) ['op' => 'move-on-plot', 'x' => 3, 'y' => -0.5],
        );
        $plot = BuildingReader::fromDocument($document)->plot;
        self::assertEqualsWithDelta([-27.5, -19.5], [$plot?->at->x, $plot?->at->y], 1e-9);
    }

    public function testOnATurnedPlotItMovesAlongThePlotsOwnSides(): void
    {
        $document = Kits::box('171mm', '60mm', '40mm', 45.0);
        $document->plot = json_decode('{"size": ["400mm", "400mm"], "at": ["0mm", "0mm"], "turn": 90}');
        $before = BuildingReader::fromDocument($document)->plot;
        $after = BuildingReader::fromDocument(self::edited($document, (object) ['op' => 'move-on-plot', 'x' => 10, 'y' => 4]))->plot;
        $corner = new \Chartula\Core\Geometry\Vec2(5.0, 7.0);
        self::assertEqualsWithDelta(
            [10.0, 4.0],
            [
                ($after?->inPlot($corner)->x ?? 0.0) - ($before?->inPlot($corner)->x ?? 0.0),
                ($after?->inPlot($corner)->y ?? 0.0) - ($before?->inPlot($corner)->y ?? 0.0),
            ],
            1e-6,
        );
    }

    public function testWithoutAPlotThereIsNothingToMoveOn(): void
    {
        $this->expectException(InvalidInput::class);
        self::edited(Kits::box('171mm', '60mm', '40mm', 45.0), (object) ['op' => 'move-on-plot', 'x' => 3, 'y' => 0]);
    }
}
