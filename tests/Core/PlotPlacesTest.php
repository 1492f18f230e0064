<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Additions;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Fit\Plot\AsNeighbour;
use Chartula\Core\Fit\Plot\Clearance;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Where a building stands on its plot, as a person says it; and what it is to its neighbours. */
final class PlotPlacesTest extends TestCase
{
    /** The weigh office on a plot of 200 by 140 mm that is turned, with 7.3 mm in front of the building's corner. */
    private static function placed(float $turn): stdClass
    {
        return BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'plot', (object) [
            'size' => ['200mm', '140mm'], 'at' => ['-41.3mm', '-27.3mm'], 'turn' => $turn, 'gap' => '3mm',
        ]);
    }

    private static function left(stdClass $document, string $side): float
    {
        foreach (Kits::of($document)->fit->clearances ?? [] as $clearance) {
            if ($clearance instanceof Clearance && $clearance->kind === 'side' && $clearance->with === $side) {
                return $clearance->left_mm;
            }
        }
        self::fail("no $side side");
    }

    /** Before the backscene 3 mm are kept free, so that 4.7 mm before it 1.7 are left; before other sides nothing is. */
    #[TestWith([0.0, null, '4.7mm', 1.7])]
    #[TestWith([7.5, null, '4mm', 1.0])]
    #[TestWith([0.0, 'left', '11.35mm', 11.35])]
    #[TestWith([90.0, 'front', '2.6mm', 2.6])]
    #[TestWith([0.0, 'right', ' 6,5 ', 6.5])]
    public function testItStandsSoFarBeforeASide(float $turn, ?string $edge, string $by, float $left): void
    {
        $document = self::placed($turn);
        $edit = (object) (['op' => 'stand-before', 'by' => $by] + ($edge === null ? [] : ['edge' => $edge]));
        $after = Edits::apply($document, Additions::placed($document, [$edit]))->document;
        self::assertEqualsWithDelta($left, self::left($after, $edge ?? 'back'), 0.02);
    }

    /** What is no side, no length, or no sound building says so. */
    public function testWhatCannotBeIsSaid(): void
    {
        $codes = static function (stdClass $document, array $edit): string {
            try {
                Additions::placed($document, [(object) (['op' => 'stand-before'] + $edit)]);
            } catch (InvalidInput $e) {
                return $e->problems[0]->code;
            }

            return '';
        };
        $document = self::placed(0.0);
        self::assertSame('edit.no-such', $codes($document, ['by' => '4mm', 'edge' => 'cellar']));
        self::assertSame('length.no-unit', $codes($document, ['by' => 'near']));
        self::assertSame('edit.not-yet', $codes(BuildingGenerator::with($document, 'blocks.0.eaves', 'high'), ['by' => '4mm']));
        unset($document->plot);
        self::assertSame('edit.no-such', $codes($document, ['by' => '4mm']));
    }

    /** 18 ft by 12 ft at 1:76.2 are 72 by 48 mm; the roof stands out at the eaves by its overhang, so that it is deeper and no narrower. */
    public function testABuildingIsANeighbourWithItsFinishedOutline(): void
    {
        $derived = Kits::example('weigh-office');
        $blocks = AsNeighbour::of($derived->kit, Assembly::of($derived->serialised()));
        self::assertCount(1, $blocks);
        $across = array_map(static fn (array $p): float => (float) $p[0], $blocks[0]['outline']);
        $deep = array_map(static fn (array $p): float => (float) $p[1], $blocks[0]['outline']);
        self::assertNotSame([], $across);
        self::assertGreaterThan(72.0, max([0.0, ...$across]));
        self::assertGreaterThan(52.0, max([0.0, ...$deep]), 'two overhangs of 9 in are 6 mm');
        self::assertGreaterThan(38.0, (float) $blocks[0]['to'], 'higher than its eaves');
        // It is read back as it was written.
        $neighbour = ['id' => 'n1', 'name' => 'Weigh office', 'at' => ['210mm', '0mm'], 'outline' => $blocks[0]['outline'],
            'to' => $blocks[0]['to'], 'of' => ['building' => 'b', 'revision' => 3, 'pitch' => $blocks[0]['pitch']]];
        $beside = BuildingGenerator::with(self::placed(0.0), 'plot.neighbours', json_decode((string) json_encode([$neighbour])));
        self::assertSame('Weigh office', Kits::of($beside)->building->plot?->neighbours[0]->name);
    }
}
