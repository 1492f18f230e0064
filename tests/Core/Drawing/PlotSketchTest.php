<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\PlotView;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** The place on the layout of a building that has something wrong with it. */
final class PlotSketchTest extends TestCase
{
    /** 18 ft by 12 ft at 1:76.2 are 72 by 48 mm; the plot's corner stands 10.3 mm left of the building's and 5.6 mm before it. */
    public function testItIsDrawnAsItIsDescribed(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ([
            'plot' => (object) ['size' => ['120mm', '90mm'], 'at' => ['-10.3mm', '-5.6mm']],
            'blocks.0.eaves' => 'high',
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }
        $reading = BuildingReader::reading($document);
        self::assertNotSame([], $reading->faults);
        self::assertNotNull($reading->building);
        $plot = PlotView::sketched($reading->building);
        self::assertNotNull($plot);
        self::assertSame([], $plot['clearances']);
        self::assertIsArray($plot['walls']);
        self::assertEqualsWithDelta([[[10.3, 5.6], [82.3, 5.6], [82.3, 53.6], [10.3, 53.6]]], $plot['walls'], 1e-4);
        self::assertEqualsWithDelta([[0.0, 0.0], [120.0, 0.0], [120.0, 90.0], [0.0, 90.0]], $plot['outline'], 1e-4);
    }

    public function testWithoutAPlaceThereIsNothing(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        unset($document->plot);
        self::assertNull(PlotView::sketched(BuildingReader::fromDocument($document)));
    }
}
