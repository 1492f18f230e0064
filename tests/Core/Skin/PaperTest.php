<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Form\OpeningForm;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Part\Part;
use Chartula\Core\Part\Score;
use Chartula\Core\Sheets\Bleed;
use Chartula\Core\Skin\PaperOpening;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class PaperTest extends TestCase
{
    public function testExactlyOnePaperLapsRoundEachCorner(): void
    {
        $kit = Kits::example('weigh-office')->kit;
        foreach (['front' => 72.0, 'back' => 72.0, 'right' => 48.0 + 3.6, 'left' => 48.0 + 3.6] as $edge => $width) {
            self::assertEqualsWithDelta($width, $kit->part("main.$edge.paper")->part->width(), 1e-9, $edge);
        }
        // The lap's fold stands where the wall's outside ends, as high as the eaves.
        $laps = array_values(
            array_filter($kit->part('main.left.paper')->part->scores, static fn (Score $s): bool => abs($s->from->y) < 1e-9),
        );
        self::assertSame(
            [[1.8, 38.0], [49.8, 38.0]],
            array_map(static fn (Score $s): array => [round($s->to->x, 6), round($s->to->y, 6)], $laps),
        );
    }

    /** An L of 100 × 80 with a corner of 40 × 30 taken out: round its inner corner no paper laps, round each of the others one. */
    public function testNoPaperLapsRoundAnInnerCorner(): void
    {
        $ring = [['0mm', '0mm'], ['100mm', '0mm'], ['100mm', '50mm'], ['60mm', '50mm'], ['60mm', '80mm'], ['0mm', '80mm']];
        $document = BuildingGenerator::with(Kits::box('100mm', '80mm', '40mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $document = BuildingGenerator::with($document, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
        $document = BuildingGenerator::with($document, 'methods.skin', (object) ['corner' => 'overlap', 'overlap' => '2mm']);
        $edges = array_map(static fn (int $i): object => (object) ['edge' => $i, 'finish' => 'brick-stretcher'], range(0, 5));
        $kit = Kits::of(BuildingGenerator::with($document, 'blocks.0.walls', $edges))->kit;
        $over = 0.0;
        foreach ([100.0, 50.0, 40.0, 30.0, 60.0, 80.0] as $i => $length) {
            $paper = array_values(array_filter(
                $kit->parts,
                static fn (LabelledPart $p): bool => $p->part->of->layer === 'paper' && $p->part->of->edge === "edge-$i",
            ))[0]->part;
            $laps = $paper->width() - $length;
            self::assertEqualsWithDelta(round($laps / 2.0) * 2.0, $laps, 1e-6, "edge-$i laps by whole laps");
            $over += $laps;
        }
        self::assertEqualsWithDelta(5.0 * 2.0, $over, 1e-6, 'five outer corners, one lap each');
    }

    public function testPaperIsWhereTheWallIsSeen(): void
    {
        $kit = Kits::example('weigh-office')->kit;
        $front = $kit->part('main.front.paper')->part;
        // 72 × 38 less what is cut right out of each window and of the door.
        $window = 6.0; // 12 − 2 × 3 wide
        self::assertEqualsWithDelta($window, $front->holes[0]->bounds()->width(), 1e-9);
        self::assertEqualsWithDelta(-0.1, $front->placements[0]->origin->y, 1e-9, 'the printed face lies a paper in front of the card');
        $areas = $front->region()->area() + $front->holes[0]->area() + $front->holes[1]->area() + (13.0 - 6.0) * (28.0 - 3.0);
        self::assertEqualsWithDelta(72.0 * 38.0, $areas, 1e-6);
    }

    /** Card of 0.52 and 1.05 with a label of 0.12 on each is 1.81 thick, the greyboard alone 1.17; 1.2 mm lie on its back. */
    public function testFlapsAreAsDeepAsTheWallWhereNothingElseIsSaid(): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'methods.skin', (object) []);
        $hole = Kits::of($document)->kit->part('main.front.paper')->part->holes[0];
        self::assertEqualsWithDelta(12.0 - 2.0 * 3.01, $hole->bounds()->width(), 1e-9);
        $thin = BuildingGenerator::with($document, 'methods.wall', [(object) ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']]);
        $hole = Kits::of($thin)->kit->part('main.front.paper')->part->holes[0];
        self::assertEqualsWithDelta(12.0 - 2.0 * 2.37, $hole->bounds()->width(), 1e-9);
    }

    /** One and a half beyond every cut, and two more at foot and eaves, but for a foot that a plinth hides. */
    public function testBrickworkGoesOnFartherAtFootAndEaves(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $box = Bleed::box(Kits::of($document)->kit->part('main.back.paper')->part);
        self::assertEqualsWithDelta([-1.5, -3.5, 73.5, 41.5], [$box->x0, $box->y0, $box->x1, $box->y1], 1e-6);
        $box = Bleed::box(Kits::of(BuildingGenerator::with($document, 'blocks.0.plinth', '12in'))->kit->part('main.back.paper')->part);
        self::assertEqualsWithDelta([-1.5, -1.5, 73.5, 41.5], [$box->x0, $box->y0, $box->x1, $box->y1], 1e-6);
    }

    public function testFlapsNeverReachPastTheMiddle(): void
    {
        $form = self::firstOpening(Kits::example('weigh-office')->kit);
        foreach ([1.0, 3.0, 5.9, 6.0, 40.0] as $wanted) {
            $paper = new PaperOpening($form, $wanted);
            self::assertLessThanOrEqual(min($wanted, 6.0), $paper->flap);
            self::assertGreaterThan(0.0, $paper->cutOut()->signedArea());
            foreach ($paper->slits() as [$inner, $outer]) {
                self::assertEqualsWithDelta(0.0, $form->ring()->distanceTo($outer), 0.011, 'a slit ends at the opening');
                self::assertEqualsWithDelta(0.0, $paper->cutOut()->distanceTo($inner), 0.011, 'and begins at the hole');
            }
        }
    }

    public function testTabsOfACurvedHeadStayWithinATenthOfTheirArc(): void
    {
        $form = self::firstOpening(Kits::example('weigh-office')->kit);
        $paper = new PaperOpening($form, 3.0);
        $radius = (6.0 ** 2 + (4.0 / 3.0) ** 2) / (2.0 * 4.0 / 3.0);
        $head = array_values(
            array_filter($paper->scores(), static fn (Score $s): bool => min($s->from->y, $s->to->y) > $form->sill + 18.0),
        );
        self::assertNotSame([], $head);
        foreach ($head as $score) {
            $width = $score->from->distanceTo($score->to);
            self::assertLessThanOrEqual(sqrt(8.0 * $radius * 0.1) + 1e-9, $width);
        }
    }

    public function testCutOpeningsHaveNoFlapsAndTheCardIsNotLarger(): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'methods.skin.opening', 'cut');
        $kit = Kits::of($document)->kit;
        self::assertSame([], $kit->part('main.front.paper')->part->slits);
        self::assertEqualsWithDelta(12.0, $kit->part('main.front.paper')->part->holes[0]->bounds()->width(), 1e-9);
        self::assertEqualsWithDelta(12.0, $kit->part('main.front.core')->part->holes[0]->bounds()->width(), 1e-9);
    }

    public function testChangingThePaperNeverChangesTheOutlineOfAWall(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $thick = BuildingGenerator::with($document, 'methods.skin.stock', 'label-0.12');
        [$a, $b] = [Kits::of($document)->kit, Kits::of($thick)->kit];
        foreach (['main.back.face', 'main.left.core'] as $id) {
            self::assertSame($a->part($id)->cut, $b->part($id)->cut);
        }
        $frame = static fn (Kit $kit): Part => $kit->part('main.front.frame.w1')->part;
        self::assertSame($frame($a)->width(), $frame($b)->width(), 'what is seen stays');
    }

    private static function firstOpening(Kit $kit): OpeningForm
    {
        $form = $kit->form->blocks[0]->wall(0)->openings[0];
        self::assertEqualsWithDelta(0.0, (new Vec2($form->left, $form->sill))->distanceTo(new Vec2(10.0, 11.0)), 1e-9);

        return $form;
    }
}
