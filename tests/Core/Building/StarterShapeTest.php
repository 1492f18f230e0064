<?php

declare(strict_types=1);

namespace Tests\Core\Building;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Building\Starter;
use Chartula\Core\Building\StarterShape;
use Chartula\Core\Drawing\StarterPlan;
use Chartula\Core\Form\Form;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\Finding;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\House\Outside;
use Tests\Support\Kits;

/** The shapes that a building may begin with: each goes together and is closed, however it is cut, and measures what it must. */
final class StarterShapeTest extends TestCase
{
    #[DataProvider('provideShapes')]
    public function testItGoesTogetherAndIsClosed(StarterShape $shape): void
    {
        $metric = Starter::metric('Works', $shape);
        self::assertSame([], Kits::of($metric)->dryFit->toArray()['findings'], 'in metres');
        self::assertSame(0, preg_match('/\d(ft|in)"/', JsonText::encode($metric)));
        $derived = Kits::of(Starter::document('Works', $shape));
        self::assertSame([], array_map(static fn (Finding $f): string => $f->text, $derived->dryFit->findings));
        self::assertSame([], Outside::open($derived->described, Kits::serialised($derived)));
    }

    /** At another scale, mitred, bevelled, with supports, in three layers or one. */
    #[DataProvider('provideWays')]
    public function testItGoesTogetherInEveryWay(StarterShape $shape, string $scale, string $corner, string $panels, int $layers): void
    {
        $document = Starter::document('Works', $shape);
        $core = ['stock' => 'greyboard-1', 'role' => 'core'];
        $stack = array_slice([['stock' => 'card-0.5', 'role' => 'face'], $core, $core], 3 - $layers);
        $named = static fn (int $i, array $layer): stdClass => (object) (['id' => "l$i"] + $layer);
        $changes = [
            'scale' => $scale,
            'methods.corner' => $corner,
            'methods.panels' => $panels,
            'methods.supports' => 'auto',
            'methods.wall' => array_map($named, array_keys($stack), $stack),
        ];
        foreach ($changes as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }
        $derived = Kits::of($document);
        self::assertSame([], array_map(static fn (Finding $f): string => $f->text, $derived->dryFit->findings));
    }

    /** @return iterable<string, array{StarterShape}> */
    public static function provideShapes(): iterable
    {
        foreach (StarterShape::cases() as $shape) {
            yield $shape->value => [$shape];
        }
    }

    /** @return iterable<string, array{StarterShape, string, string, string, int}> */
    public static function provideWays(): iterable
    {
        foreach (StarterShape::cases() as $i => $shape) {
            yield "$shape->value, mitred" => [$shape, ['1:43.5', '1:148', '1:87.1'][$i % 3], 'mitre', 'bevelled', 1 + $i % 3];
            yield "$shape->value, butted" => [$shape, ['1:160', '1:48', '1:120'][$i % 3], 'butt', 'square', 3 - $i % 3];
        }
    }

    /**
     * Feet, worked by hand: the areas of roofs in plan, for what of a block's roof is seen is its plan less what another hides.
     *
     * @param  array<int, float>  $areas  square feet by block
     */
    #[DataProvider('provideAreas')]
    public function testRoofsMeasureWhatTheyMust(StarterShape $shape, array $areas): void
    {
        $form = self::form($shape);
        foreach ($areas as $block => $area) {
            self::assertEqualsWithDelta($area, self::area($form, $block), 0.02, $shape->value.", block $block");
        }
    }

    /** @return iterable<string, array{StarterShape, array<int, float>}> */
    public static function provideAreas(): iterable
    {
        // Overhangs of 9 in at the eaves and 6 in at the verge.
        yield 'one block' => [StarterShape::Single, [19.0 * 13.5]];
        // A wing of 14 rises to its ridge in 7 and so runs 7 in over the main slope: a triangle of 14 × 7 ÷ 2. Before that it takes the
        // main eaves along its width; beside its right wall the valley halves a square of 9 in; at the flush end both overhangs meet on a
        // diagonal, of which the main verge keeps a triangle of 6 in.
        $taken = 14.0 * 7.0 / 2.0;
        $lost = $taken + 14.0 * 0.75 + 0.75 ** 2 / 2.0 + (0.5 * 0.75 - 0.5 ** 2 / 2.0);
        $wing = 15.5 * 12.5 + $taken - 0.75 ** 2 / 2.0 - 0.5 ** 2 / 2.0;
        yield 'L' => [StarterShape::L, [31.0 * 17.5 - $lost, $wing]];
        yield 'U' => [StarterShape::U, [43.0 * 17.5 - 2.0 * $lost, $wing, $wing]];
        yield 'Z' => [StarterShape::Z, [31.0 * 17.5 - 2.0 * $lost, $wing, $wing]];
        // Walls of 1.74 on the model, at 4 to the foot, stand on the slope: it is cut out inside them.
        $inside = (34.0 - 2.0 * 1.74 / 4.0) * (8.0 - 2.0 * 1.74 / 4.0);
        yield 'clerestory' => [StarterShape::Clerestory, [45.0 * 27.5 - $inside, 35.0 * 9.5]];
        $inside = (30.0 - 2.0 * 1.74 / 4.0) * (16.0 - 2.0 * 1.74 / 4.0);
        yield 'aisles' => [StarterShape::Aisles, [45.5 * 31.5 - $inside, 31.0 * 17.5]];
    }

    /**
     * Feet, worked by hand: eaves, and half the span by the tangent of the pitch.
     *
     * @param  array<int, float>  $heights  of the undersides of ridges, by block
     */
    #[DataProvider('provideHeights')]
    public function testRidgesStandWhereTheyMust(StarterShape $shape, array $heights): void
    {
        $form = self::form($shape);
        foreach ($heights as $block => $height) {
            $found = -INF;
            foreach ($form->facets as $facet) {
                foreach ($facet->block === $block ? $facet->patches : [] as $patch) {
                    $found = max($found, ...array_map($facet->heightAt(...), $patch->outline->points));
                }
            }
            self::assertEqualsWithDelta($height, $found / 4.0, 0.001, $shape->value.", block $block");
        }
    }

    /** @return iterable<string, array{StarterShape, array<int, float>}> */
    public static function provideHeights(): iterable
    {
        [$t40, $t35, $t30, $t28, $t22] = array_map(static fn (float $deg): float => tan(deg2rad($deg)), [40.0, 35.0, 30.0, 28.0, 22.0]);
        yield 'one block' => [StarterShape::Single, [9.5 + 6.0 * $t40]];
        yield 'L' => [StarterShape::L, [10.0 + 8.0 * $t40, 10.0 + 7.0 * $t40]];
        yield 'T' => [StarterShape::T, [10.0 + 8.0 * $t40, 8.5 + 6.0 * $t40]];
        yield 'U' => [StarterShape::U, [10.0 + 8.0 * $t40, 10.0 + 7.0 * $t40, 10.0 + 7.0 * $t40]];
        yield 'H' => [StarterShape::H, [12.0 + 7.0 * $t40, 12.0 + 7.0 * $t40, 9.0 + 6.5 * $t40]];
        yield 'Z' => [StarterShape::Z, [10.0 + 8.0 * $t40, 10.0 + 7.0 * $t40, 10.0 + 7.0 * $t40]];
        yield 'terrace' => [StarterShape::Terrace, [17.0 + 13.0 * $t35, 17.0 + 13.0 * $t35, 17.75 + 13.0 * $t35, 17.75 + 13.0 * $t35]];
        yield 'pavilions' => [StarterShape::Pavilions, [15.0 + 9.0 * $t40, 15.0 + 9.0 * $t40, 9.0 + 6.5 * $t30]];
        // The low roof ends inside the walls that stand on it.
        yield 'aisles' => [StarterShape::Aisles, [8.0 + (7.0 + 1.74 / 4.0) * $t22, 20.0 + 8.0 * $t40]];
        yield 'dormers' => [StarterShape::Dormers, [12.0 + 10.0, 17.0 + 2.5, 17.0 + 2.5, 17.0 + 2.5]];
        yield 'clerestory' => [StarterShape::Clerestory, [11.0 + 13.0 * $t28, 20.0 + 4.0 * $t28]];
    }

    /** The picture a person chooses by holds the whole of every roof that is seen. */
    #[DataProvider('provideShapes')]
    public function testItsPictureIsItsRoofs(StarterShape $shape): void
    {
        $area = 0.0;
        foreach (StarterPlan::of($shape) as $drawn) {
            self::assertSame('roof', $drawn['kind']);
            $area += (new Ring(array_map(static fn (array $p): Vec2 => new Vec2(...$p), $drawn['ring'])))->area();
        }
        $form = self::form($shape);
        $holes = 0.0;
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                $holes += array_sum(array_map(static fn (Ring $r): float => abs($r->area()), $patch->holes));
            }
        }
        $seen = array_sum(array_map(static fn (int $b): float => self::area($form, $b), array_keys($form->blocks))) * 16.0;
        self::assertEqualsWithDelta($seen + $holes, $area, 0.5);
    }

    /** In plan, square feet. */
    private static function area(Form $form, int $block): float
    {
        $mm2 = 0.0;
        foreach ($form->facets as $facet) {
            foreach ($facet->block === $block ? $facet->patches : [] as $patch) {
                $mm2 += $patch->area();
            }
        }

        return $mm2 * (76.2 / 304.8) ** 2;
    }

    private static function form(StarterShape $shape): Form
    {
        return Surfaces::of(BuildingReader::fromDocument(Starter::document('Works', $shape)), new Problems);
    }
}
