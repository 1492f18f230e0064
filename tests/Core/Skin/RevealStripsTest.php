<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Vec3;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Kit\DryFit\Facet;
use Chartula\Core\Kit\DryFit\Folding;
use Chartula\Core\Part\Part;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Strips of paper that line openings. docs/formulas.md#strips */
final class RevealStripsTest extends TestCase
{
    /**
     * A window of 12 by 20 in a wall of 0.5 and 2, papered 0.1: the card is open over 12.2 by 20.2, strips are 2.5 deep, 20 up the jambs,
     * 12 along head and foot, and what is left between them is 12 by 20.
     */
    public function testFourOfThemLineALevelHead(): void
    {
        $derived = self::withHead((object) ['shape' => 'flat']);
        self::assertSame([], $derived->dryFit->findings);
        $sizes = array_map(static function (string $which) use ($derived): array {
            $part = self::strip($derived, $which);

            return [$part->width(), $part->height(), (float) count($part->placements)];
        }, ['jamb', 'head', 'foot']);
        self::assertEqualsWithDelta([[2.5, 20.0, 2.0], [2.5, 12.0, 1.0], [2.5, 12.0, 1.0]], $sizes, 1e-9);
        [$left, $right] = self::strip($derived, 'jamb')->placements;
        self::assertEqualsWithDelta([20.0, 1.0], [$left->origin->x, $left->normal->x], 1e-9);
        self::assertEqualsWithDelta([32.0, -1.0], [$right->origin->x, $right->normal->x], 1e-9);
        [$head, $foot] = [self::strip($derived, 'head')->placements[0], self::strip($derived, 'foot')->placements[0]];
        self::assertEqualsWithDelta([30.0, -1.0], [$head->origin->z, $head->normal->z], 1e-9);
        self::assertEqualsWithDelta([10.0, 1.0], [$foot->origin->z, $foot->normal->z], 1e-9);
        $hole = $derived->kit->part('main.front.core')->part->holes[0]->bounds();
        self::assertEqualsWithDelta([12.2, 20.2], [$hole->width(), $hole->height()], 1e-9);
        // The wall's own paper ends at the edge, with nothing to turn in.
        $paper = $derived->kit->part('main.front.paper')->part;
        self::assertEqualsWithDelta(12.0 * 20.0, $paper->holes[0]->area(), 1e-9);
        self::assertSame([[], []], [$paper->scores, $paper->slits]);
    }

    /**
     * Along a curve a strip is as long as its middle. Round, r 6: π · 6.05. Segmental, 12 by 2: r 10, 2 · asin(0.6) · 10.05. Pointed and
     * equilateral, r 12: π/3 · 12.05 on either side. A round light of 12:
     * π · 12.1 but for the chord at its foot, which lies 0.01 off it.
     *
     * @param  array<string, string>  $head
     * @param  array<string, float>  $lengths
     * @param  list<array{float, float, float}>  $circles  along the wall and up, and radius, of what each of them lies on
     */
    #[DataProvider('heads')]
    public function testCurvesAreRolled(array $head, array $lengths, array $circles, float $jamb): void
    {
        $derived = self::withHead((object) $head, $head['shape'] === 'circle' ? '12mm' : '20mm');
        self::assertSame([], $derived->dryFit->findings);
        foreach (array_keys($lengths) as $i => $which) {
            self::assertEqualsWithDelta($lengths[$which], self::strip($derived, $which)->height(), 1e-6, $which);
            foreach (self::facets($derived, $which) as $facet) {
                [$x, $z, $r] = $circles[$i];
                foreach ($facet->region->outline->points as $point) {
                    $place = $facet->frame->at($point);
                    self::assertEqualsWithDelta($r, hypot($place->x - $x, $place->z - $z), 0.06, $which);
                    self::assertTrue($place->y > -1e-6 && $place->y < 2.5 + 1e-6);
                }
                // It shows its face to the middle.
                $middle = $facet->frame->at($facet->region->outline->bounds()->centre());
                $towards = new Vec3($x - $middle->x, 0.0, $z - $middle->z);
                self::assertGreaterThan(0.99 * $towards->length(), $facet->frame->normal->dot($towards));
            }
        }
        if ($jamb > 0.0) {
            self::assertEqualsWithDelta($jamb, self::strip($derived, 'jamb')->height(), 1e-6);
        }
    }

    /** @return iterable<string, array{array<string, string>, array<string, float>, list<array{float, float, float}>, float}> */
    public static function heads(): iterable
    {
        yield 'round' => [['shape' => 'round'], ['head' => M_PI * 6.05], [[26.0, 24.0, 6.0]], 14.0];
        yield 'segmental' => [['shape' => 'segmental', 'rise' => '2mm'], ['head' => 2.0 * asin(0.6) * 10.05], [[26.0, 20.0, 10.0]], 18.0];
        $high = 12.0 * sqrt(3.0) / 2.0;
        yield 'pointed' => [
            ['shape' => 'pointed'], ['head' => M_PI / 3.0 * 12.05, 'head-2' => M_PI / 3.0 * 12.05],
            [[20.0, 30.0 - $high, 12.0], [32.0, 30.0 - $high, 12.0]], 20.0 - $high,
        ];
        $round = 2.0 * (M_PI - acos(1.0 - 0.01 / 6.0));
        yield 'a round light' => [['shape' => 'circle'], ['head' => $round * 6.05], [[26.0, 16.0, 6.0]], -1.0];
    }

    /** Half an ellipse of 12 by 4 is 16.0 round by Ramanujan's sum, less what chords that lie 0.1 off it are short. */
    public function testWhatIsOfManyArcsIsFolded(): void
    {
        $derived = self::withHead((object) ['shape' => 'elliptical', 'rise' => '4mm']);
        self::assertSame([], $derived->dryFit->findings);
        $strip = self::strip($derived, 'head');
        $h = (6.0 - 4.0) ** 2 / (6.0 + 4.0) ** 2;
        $half = M_PI * 10.0 * (1.0 + 3.0 * $h / (10.0 + sqrt(4.0 - 3.0 * $h))) / 2.0;
        self::assertEqualsWithDelta($half, $strip->height(), 0.4);
        self::assertLessThan($half, $strip->height());
        // Folded towards the face it turns by all of the half circle between its first chord and its last.
        self::assertSame(['towards'], array_values(array_unique(array_map(static fn ($s): string => $s->fold, $strip->scores))));
        $places = [];
        foreach (self::facets($derived, 'head') as $facet) {
            array_push($places, ...array_map($facet->frame->at(...), $facet->region->outline->points));
        }
        foreach ($places as $place) {
            self::assertEqualsWithDelta(1.0, (($place->x - 26.0) / 6.0) ** 2 + (($place->z - 26.0) / 4.0) ** 2, 0.06);
        }
    }

    /** Of three openings alike, folded, lined and of rings on the back of the wall, the same is seen: 12.00. */
    public function testTheyShowTheSameFinishedSize(): void
    {
        $folded = self::withHead((object) ['shape' => 'flat'], skin: 'folded')->kit->part('main.front.paper')->part;
        $x = [];
        foreach ($folded->scores as $score) {
            $x = abs($score->from->x - $score->to->x) < 1e-9 ? [...$x, $score->from->x] : $x;
        }
        [$left, $right] = self::strip(self::withHead((object) ['shape' => 'flat']), 'jamb')->placements;
        $shells = self::withHead((object) ['shape' => 'flat'], skin: 'cut', more: ['held' => 'behind', 'reveal' => '4.5mm']);
        $rings = array_map(
            static fn (string $id): float => $shells->kit->part("main.front.$id")->part->holes[0]->bounds()->width(),
            ['face', 'core', 'ring.w'],
        );
        foreach ([max([0.0, ...$x]) - min([100.0, ...$x]), $right->origin->x - $left->origin->x, ...$rings] as $seen) {
            self::assertEqualsWithDelta(12.0, $seen, 0.01);
        }
    }

    private static function strip(Derivation $derived, string $which): Part
    {
        return $derived->kit->part("main.front.reveal-$which.w")->part;
    }

    /** @return list<Facet> */
    private static function facets(Derivation $derived, string $which): array
    {
        foreach (Assembly::of(Kits::serialised($derived))->pieces as $piece) {
            if ($piece->part->id === "main.front.reveal-$which.w") {
                return Folding::facets($piece->part, $piece->frame);
            }
        }
        self::fail("No strip $which");
    }

    /** @param  array<string, mixed>  $more */
    private static function withHead(object $head, string $high = '20mm', string $skin = 'strips', array $more = []): Derivation
    {
        $document = Kits::box('100mm', '60mm', '40mm', 40.0);
        foreach ([
            'methods.wall' => [
                (object) ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                (object) ['id' => 'core', 'stock' => 'greyboard-2', 'role' => 'core'],
            ],
            'methods.skin' => (object) ['opening' => $skin],
            'styles' => (object) ['w' => (object) ([
                'kind' => 'window', 'w' => '12mm', 'h' => $high, 'head' => $head, 'frame' => (object) ['stile' => '1.2mm'],
            ] + $more)],
            'blocks.0.walls' => [(object) [
                'edge' => 'front', 'finish' => 'brick-stretcher',
                'openings' => [(object) ['id' => 'w', 'style' => 'w', 'from' => '20mm', 'sill' => '10mm']],
            ]],
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }
}
