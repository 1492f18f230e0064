<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Part\Joint;
use Chartula\Core\Part\JointKind;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Figures worked by hand beside the parts that must have them. */
final class WorkedKitTest extends TestCase
{
    public function testAGableRoofOfSpan60At40Degrees(): void
    {
        $kit = Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0, '3mm', '2mm'))->kit;
        $panel = $kit->part('main.front-slope.carrier')->part;
        self::assertEqualsWithDelta(43.078, $panel->height(), 0.0005, '(30 + 3) / cos 40°');
        self::assertEqualsWithDelta(104.0, $panel->width(), 1e-9, '100 + 2 · 2');
        self::assertEqualsWithDelta(40.0 + 25.173, $kit->form->blocks[0]->wall(1)->apex?->mm, 0.0005, '30 · tan 40° above the eaves');
        $tip = $panel->placements[0]->point(0.0, 0.0, -1.0);
        self::assertEqualsWithDelta(40.0 - 2.517, $tip->z, 0.0005, '3 · tan 40° below the eaves');
        self::assertEqualsWithDelta(-3.0, $tip->y, 1e-9);
        self::assertEqualsWithDelta(-3.643, $panel->placements[0]->origin->y, 0.0005, 'the square-cut top reaches t · sin 40° further');
        $ridge = array_values(array_filter($kit->joints, static fn (Joint $j): bool => $j->kind === JointKind::Mitre))[0];
        self::assertEqualsWithDelta(1.286, $ridge->gap_mm, 0.0005, '2 t · sin 40°');
        self::assertSame('main.ridge.strip', $ridge->coveredBy);
    }

    /** A box whose only window stands left of the middle: the wall with it is handed, all others are their own mirror images. */
    public function testOnlyWhatIsHandedIsCalledMirrored(): void
    {
        $document = BuildingGenerator::with(Kits::box('100mm', '60mm', '40mm', 40.0, '3mm', '2mm'), 'styles', (object) [
            'light' => (object) ['kind' => 'open', 'w' => '12mm', 'h' => '14mm'],
        ]);
        $window = static fn (string $from): array => [(object) ['id' => 'w', 'style' => 'light', 'from' => $from, 'sill' => '10mm']];
        $kit = Kits::of(BuildingGenerator::with($document, 'blocks.0.walls', [
            (object) ['edge' => 'front', 'openings' => $window('20mm')], (object) ['edge' => 'back', 'openings' => $window('68mm')],
        ]))->kit;
        self::assertSame('main.front.core', $kit->part('main.back.core')->mirrorOf, '20 from the left, and 100 − 68 − 12 from the right');
        foreach ($kit->parts as $part) {
            self::assertTrue($part->part->id === 'main.back.core' || $part->mirrorOf === null, "{$part->part->id} is no mirror image");
        }
    }

    /** A ridge of 5 mm between hips of 40: a line as short as that is covered too. */
    public function testAShortRidgeHasItsStrip(): void
    {
        $document = Kits::box('45mm', '40mm', '30mm', 40.0);
        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
        $ridge = array_values(array_filter(
            Kits::of($document)->kit->joints,
            static fn (Joint $j): bool => $j->kind === JointKind::Mitre && $j->contact_mm > 4.0 && $j->contact_mm < 6.0,
        ));
        self::assertCount(1, $ridge);
        self::assertSame('main.ridge.strip', $ridge[0]->coveredBy);
    }

    public function testWallsButtBetweenThroughWalls(): void
    {
        $kit = Kits::of(Kits::box('100mm', '60mm', '40mm', 40.0))->kit;
        self::assertEqualsWithDelta(100.0, $kit->part('main.front.core')->part->width(), 1e-9);
        $gable = $kit->part('main.left.core')->part->outline;
        self::assertEqualsWithDelta(58.0, $gable->ring->edgeLength($gable->edge('foot')), 1e-9, '60 − 2 · 1');
        // From the tops of the walls up it is as wide as the building; its ridge is 40 + 30 · tan 40°.
        self::assertEqualsWithDelta(60.0, $kit->part('main.left.core')->part->width(), 1e-9);
        self::assertCount(2, $gable->edgesNamed('stands'));
        foreach ($gable->edgesNamed('stands') as $edge) {
            self::assertEqualsWithDelta(1.0, $gable->ring->edgeLength($edge), 1e-9);
            self::assertEqualsWithDelta([40.0, 40.0], [$gable->ring->point($edge)->y, $gable->ring->point($edge + 1)->y], 1e-9);
        }
        self::assertEqualsWithDelta(65.173, $kit->part('main.left.core')->part->height(), 0.0005);
        $workings = $kit->part('main.left.core')->part->workings;
        self::assertEqualsWithDelta([60.0, 58.0], [$workings['width']->mm, $workings['foot']->mm], 1e-9);
        self::assertEqualsWithDelta(97.8, $kit->part('main.base.floor')->part->width(), 1e-9, '100 − 2 · 1 − 0.2');
        self::assertEqualsWithDelta(57.8, $kit->part('main.base.floor')->part->height(), 1e-9);
    }

    public function testTheOtherThroughRule(): void
    {
        $document = Kits::box('100mm', '60mm', '40mm', 40.0);
        $document = BuildingGenerator::with($document, 'methods.through', 'sides');
        $kit = Kits::of($document)->kit;
        self::assertEqualsWithDelta(98.0, $kit->part('main.front.core')->part->width(), 1e-9);
        self::assertEqualsWithDelta(60.0, $kit->part('main.left.core')->part->width(), 1e-9);
    }

    public function testTheWeighOffice(): void
    {
        $derived = Kits::example('weigh-office');
        $kit = $derived->kit;
        self::assertTrue($derived->dryFit->goesTogether());
        // 18 ft / 76.2 = 72; 12 ft / 76.2 = 48, less 2 × (0.52 + 0.12 + 1.05 + 0.12) = 3.62.
        self::assertEqualsWithDelta(72.0, $kit->part('main.front.face')->part->width(), 1e-9);
        $gable = $kit->part('main.right.core')->part->outline;
        self::assertEqualsWithDelta(44.38, $gable->ring->edgeLength($gable->edge('foot')), 1e-9);
        self::assertEqualsWithDelta(48.0, $kit->part('main.right.core')->part->width(), 1e-9);
        // Side paper: the whole outside and two laps of 1.8.
        self::assertEqualsWithDelta(51.6, $kit->part('main.right.paper')->part->width(), 1e-9);
        self::assertEqualsWithDelta(72.0, $kit->part('main.front.paper')->part->width(), 1e-9);
        // The card's opening is larger by the paper on each side: 12 + 2 · 0.1; the frame smaller by its clearance: 12 − 2 · 0.1.
        self::assertEqualsWithDelta(12.2, $kit->part('main.front.face')->part->holes[0]->bounds()->width(), 1e-9);
        self::assertEqualsWithDelta(11.8, $kit->part('main.front.frame.w1')->part->width(), 1e-9);
        self::assertSame(2, $kit->part('main.front.frame.w1')->part->qty());
        self::assertSame($kit->part('main.front.frame.w1')->like, $kit->part('main.right.frame.w1')->like, 'equal frames share a letter');
        // Glass: the frame less 1 mm each way.
        self::assertEqualsWithDelta(10.8, $kit->part('main.front.glazing.w1')->part->width(), 1e-9);
    }

    public function testMovingAWindowLeavesTheRoofAlone(): void
    {
        $before = Kits::example('weigh-office');
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $after = Kits::of(BuildingGenerator::with($document, 'blocks.0.walls.0.openings.0.from', '2ft 9in'));
        $changed = self::changed($before, $after);
        self::assertContains('main.front.face', $changed);
        self::assertContains('main.front.paper', $changed);
        self::assertSame([], array_filter($changed, static fn (string $id): bool => ! str_starts_with($id, 'main.front.')));
        self::assertNotContains('main.front.frame.w1', $changed, 'a moved frame is the same frame');
    }

    #[TestWith(['15ft', 'Office', true])]
    #[TestWith(['18ft', 'Another name', false])]
    public function testFingerprintsFollowTheShapeOnly(string $width, string $name, bool $changes): void
    {
        $before = Kits::of(Kits::box('18ft', '12ft', '9ft', 35.0));
        $document = Kits::box($width, '12ft', '9ft', 35.0);
        $document = BuildingGenerator::with($document, 'name', $name);
        self::assertSame($changes, self::changed($before, Kits::of($document)) !== []);
    }

    /** @return list<string> ids of parts whose cut or print differs */
    private static function changed(Derivation $a, Derivation $b): array
    {
        $prints = static function (Kit $kit): array {
            $prints = [];
            foreach ($kit->parts as $part) {
                $prints[$part->part->id] = $part->cut.$part->print;
            }

            return $prints;
        };

        return array_keys(array_diff_assoc($prints($a->kit), $prints($b->kit)));
    }
}
