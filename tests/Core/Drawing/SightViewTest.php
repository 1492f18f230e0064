<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Derivation;
use Chartula\Core\Drawing\SightView;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Kit\DryFit\Assembly;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * The handbook's box, 160 wide and 100 deep, 60 to the eaves under 40 degrees, cut at 40; the eye 600 off, 350 up, 330 to each side; the
 * gap 3.
 *
 * @phpstan-import-type Line from SightView
 * @phpstan-import-type Picture from SightView
 */
final class SightViewTest extends TestCase
{
    private static function document(): stdClass
    {
        $document = BuildingGenerator::with(
            Kits::box('160mm', '100mm', '60mm', 40.0),
            'relief',
            json_decode('{"depth": "40mm", "school": "slice"}'),
        );

        return BuildingGenerator::with(
            $document,
            'plot',
            json_decode(
                '{"size": ["160mm", "43mm"], "at": ["0mm", "0mm"], "gap": "3mm", "eye": {"distance": "600mm", "height": "350mm", "travel": "330mm"}, "neighbours": [{"id": "n", "name": "the store", "at": ["175mm", "0mm"], "size": ["40mm", "43mm"], "to": "90mm"}]}',
            ),
        );
    }

    /** @return array{plan: Picture, section: Picture} */
    private static function view(stdClass $document): array
    {
        $derived = Kits::of($document);

        return self::of($derived) ?? self::fail('No view');
    }

    /** @return ?array{plan: Picture, section: Picture} */
    private static function of(Derivation $derived): ?array
    {
        $report = SightReport::of($derived->building, $derived->kit, Assembly::of($derived->serialised()));

        return $report === null || $derived->building->plot === null
            ? null
            : SightView::of($derived->building->plot, $derived->kit, $report);
    }

    /**
     * @param  Picture  $picture
     * @return list<Line>
     */
    private static function lines(array $picture, string $key): array
    {
        return array_values(array_filter($picture['lines'], static fn (array $l): bool => $l['key'] === $key));
    }

    /**
     * Over the cut's top at 93.564 the eye sees the backscene down to 92.36; the missing rear only from 647.4, which is far above the eye.
     */
    public function testTheSectionOfTheWorkedCut(): void
    {
        $section = self::view(self::document())['section'];
        self::assertEqualsWithDelta(
            [[-600.0, 350.0], [40.0, 93.564]],
            [self::lines($section, 'top')[0]['from'], self::lines($section, 'top')[0]['to']],
            0.001,
        );
        self::assertEqualsWithDelta([43.0, 92.36], self::lines($section, 'backscene')[0]['to'], 0.005);
        self::assertSame('here the backscene shows down to 92.4', self::lines($section, 'backscene')[0]['text']);
        self::assertSame([], self::lines($section, 'rear'), 'off the drawing');
        $low = self::view(BuildingGenerator::with(self::document(), 'plot.eye.height', '500mm'))['section'];
        self::assertEqualsWithDelta([-600.0, 647.4], self::lines($low, 'rear')[0]['to'], 0.05);
    }

    /** From 330 aside the eye stands 250 beyond the end: past the flank's end it looks at the backscene. */
    public function testThePlanFromTheEndOfTheTravel(): void
    {
        $plan = self::view(self::document())['plan'];
        self::assertSame([[-250.0, -600.0], [80.0, -600.0], [410.0, -600.0]], array_column($plan['eyes'], 'at'));
        $flanks = self::lines($plan, 'flank');
        self::assertEqualsWithDelta(
            [[[-250.0, -600.0], [0.0, 40.0]], [[410.0, -600.0], [160.0, 40.0]]],
            array_map(static fn (array $l): array => [$l['from'], $l['to']], $flanks),
            0.001,
        );
        // On by the gap at the same angle, 21.34 degrees.
        self::assertEqualsWithDelta([160.0 - 3.0 * 250.0 / 640.0, 43.0], self::lines($plan, 'slot')[1]['to'], 0.001);
        // The store's corner, 15 beside it, hides the flank from a depth of 15 / tan of the angle past that corner.
        $hidden = self::lines($plan, 'neighbour');
        self::assertCount(1, $hidden);
        self::assertEqualsWithDelta([160.0, 15.0 * 600.0 / (410.0 - 175.0)], $hidden[0]['to'], 0.001);
        // In the middle of its travel it sees no flank.
        self::assertCount(4, self::lines($plan, 'view'));
    }

    public function testAWholeBuildingHidesTheBacksceneBehindIt(): void
    {
        $document = BuildingGenerator::with(self::document(), 'plot.size', ['160mm', '103mm']);
        $document = BuildingGenerator::with($document, 'relief', new stdClass);
        $section = self::view(BuildingGenerator::with($document, 'plot.eye.height', '60mm'))['section'];
        [$over, $behind] = [self::lines($section, 'over')[0], self::lines($section, 'backscene')[0]];
        self::assertSame($over['to'], $behind['from']);
        // The eye, its highest point and where the backscene begins lie on one line.
        self::assertEqualsWithDelta(self::slope($over), self::slope($behind), 0.001);
        self::assertEqualsWithDelta(103.0, $behind['to'][0], 0.001);
        self::assertGreaterThan(101.955, $over['to'][1]);
    }

    /** @param  Line  $line */
    private static function slope(array $line): float
    {
        return ($line['to'][1] - $line['from'][1]) / ($line['to'][0] - $line['from'][0]);
    }

    public function testWhatRecedesAimsAtOnePoint(): void
    {
        $plan = self::view(
            BuildingGenerator::with(self::document(), 'perspective', (object) ['depth' => '20mm', 'axis' => '10mm']),
        )['plan'];
        $aims = self::lines($plan, 'vanish');
        self::assertCount(2, $aims);
        self::assertSame($aims[0]['to'], $aims[1]['to']);
        // V = 20 · 640 / 20 behind the front, on the eye's axis.
        self::assertEqualsWithDelta([80.0, 640.0], $aims[0]['to'], 0.001);
        self::assertContains('ghost', array_column($plan['shapes'], 'kind'));
    }

    public function testWithoutAnEyeNothingIsDrawn(): void
    {
        $document = self::document();
        assert($document->plot instanceof stdClass);
        unset($document->plot->eye);
        self::assertNull(self::of(Kits::of($document)));
    }
}
