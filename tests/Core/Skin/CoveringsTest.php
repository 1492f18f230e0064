<?php

declare(strict_types=1);

namespace Tests\Core\Skin;

use Chartula\Core\Building\Building;
use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Finish;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Problem\Check;
use Chartula\Core\Skin\CoveredFace;
use Chartula\Core\Skin\Coverings;
use Chartula\Core\Skin\Layouts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/**
 * Coverings of walls at 1:76.2, where a foot is 4 and a course of bricks 1: stones of 12 in courses are 4 high, boards of 6 in 2.
 * docs/formulas.md#coverings
 */
final class CoveringsTest extends TestCase
{
    private const FACE = [63.5, 38.75];

    /** Whatever a wall is covered with, its paper is printed all over, cut as brick paper is, and goes together. */
    #[DataProvider('provideFinishes')]
    public function testAWallOfAnyIsPapered(Finish $finish): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.walls.0.finish', $finish->value);
        $derived = Kits::of($document);
        self::assertSame([], $derived->dryFit->findings);
        $paper = $derived->kit->part('main.front.paper');
        self::assertSame(Kits::example('weigh-office')->kit->part('main.front.paper')->cut, $paper->cut);
        $art = $paper->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $symbol = ArtSymbol::of($paper, $art);
        self::assertSame([72.0, 38.0], [$symbol->width, $symbol->height]);
        $ground = $symbol->paths[0];
        self::assertSame($art->pattern->ground(), $ground->fill);
        self::assertEqualsWithDelta(72.0 * 38.0, (new Ring($ground->lines[0]))->area(), 1e-9, 'all of it is printed');
        self::assertGreaterThan(1, count($symbol->paths), 'more than one tone');
        // Drawn once more, it comes out alike.
        self::assertEquals($symbol->paths, ArtSymbol::of(Kits::of($document)->kit->part('main.front.paper'), $art)->paths);
    }

    /** @return iterable<string, array{Finish}> */
    public static function provideFinishes(): iterable
    {
        foreach (Finish::cases() as $finish) {
            if ($finish !== Finish::Bare) {
                yield $finish->value => [$finish];
            }
        }
    }

    /** On awkward faces units lie beside each other: no two share anything, and none comes out of its face's ends. */
    #[DataProvider('provideFinishes')]
    public function testUnitsLieBesideEachOther(Finish $finish): void
    {
        $units = self::units($finish);
        self::assertNotSame([], $units);
        $box = static fn (Ring $r): Box2 => $r->bounds();
        $area = array_sum(array_map(static fn (Ring $r): float => self::within($r), $units));
        self::assertLessThanOrEqual(self::FACE[0] * self::FACE[1] + 1e-6, $area);
        self::assertGreaterThan(0.72 * self::FACE[0] * self::FACE[1], $area, 'and cover most of it');
        foreach ($units as $unit) {
            self::assertGreaterThanOrEqual(-1e-9, $box($unit)->x0);
            self::assertLessThanOrEqual(self::FACE[0] + 1e-9, $box($unit)->x1);
            self::assertGreaterThan(0.0, $unit->signedArea(), 'counter-clockwise');
        }
    }

    /** Ashlar is of courses four bricks high and of stones 8 long; joints break by a quarter of that at the least. */
    public function testStonesBreakJoint(): void
    {
        foreach ([[Finish::StoneAshlar, 4.0, 8.0], [Finish::StoneCoursed, null, 279.4 / 76.2]] as [$finish, $high, $long]) {
            $joints = [];
            foreach (self::units($finish) as $stone) {
                $box = $stone->bounds();
                // The uppermost course is seen no farther than the face goes.
                $isWhole = $high !== null && $box->y1 < self::FACE[1] - 1e-9;
                self::assertEqualsWithDelta($isWhole ? $high - 5.0 / 76.2 : $box->height(), $box->height(), 1e-9);
                if ($box->x1 < self::FACE[0] - 0.1) {
                    $joints[(int) round($box->y0 * 1000.0)][] = $box->x1;
                }
            }
            ksort($joints);
            $rows = array_values($joints);
            self::assertGreaterThan(5, count($rows));
            foreach (array_slice($rows, 1) as $k => $row) {
                foreach ($row as $x) {
                    foreach ($rows[$k] as $below) {
                        self::assertGreaterThan($long / 4.0 - 1e-6, abs($x - $below), "$finish->value, row $k");
                    }
                }
            }
        }
    }

    /** In rubble no upright joint runs on over three stones, which are 2 high; brought to courses no stone lies across a level bed. */
    public function testRubbleHasNoLongJoints(): void
    {
        foreach ([Finish::StoneRandom, Finish::StoneBrought] as $finish) {
            $stones = self::units($finish);
            for ($x = 1.0; $x < self::FACE[0] - 1.0; $x += 0.23) {
                $taken = array_map(static fn (Ring $stone): array => self::at($stone, $x), $stones);
                $free = (new Interval(2.0, self::FACE[1] - 2.0))->without(array_merge(...$taken));
                $longest = max([0.0, ...array_map(static fn (Interval $f): float => $f->length(), $free)]);
                self::assertLessThan(4.0, $longest, "$finish->value at $x");
            }
        }
        foreach (self::units(Finish::StoneBrought) as $stone) {
            $box = $stone->bounds();
            self::assertLessThanOrEqual(floor($box->y0 / 5.0 + 1e-6) * 5.0 + 5.0, $box->y1, '15 in = 5 from bed to bed');
        }
    }

    /** Papers are called what they are of, and coloured at their edges in what shows between their units. */
    public function testWhatIsNotBrickIsNotCalledSo(): void
    {
        $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), 'blocks.0.walls.0.finish', 'stone-ashlar');
        $derived = Kits::of($document);
        self::assertSame('Front wall, paper', $derived->kit->part('main.front.paper')->part->name);
        self::assertSame('Back wall, brick paper', $derived->kit->part('main.back.paper')->part->name);
        $white = array_values(array_filter($derived->checks, static fn (Check $c): bool => $c->code === 'edges.white'))[0]->text ?? '';
        self::assertStringContainsString('P1, P2, P3 and P4, each in the tone of its joints', $white);
    }

    /** Stone goes round a chimney as brick does. */
    public function testAChimneyOfStoneIsOfStones(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $on = (object) ['anchor' => 'roof-line', 'edge' => 'front', 'line' => 'ridge', 'over' => 'middle'];
        foreach (['stone-coursed' => 'rows', 'render' => 'rows', 'stone-random' => 'rubble'] as $finish => $kind) {
            $stack = (object) [
                'kind' => 'chimney', 'id' => 'c1', 'on' => $on, 'w' => '29in', 'd' => '23in', 'h' => '5ft', 'finish' => $finish,
            ];
            $derived = Kits::of(BuildingGenerator::with($document, 'blocks.0.features', [$stack]));
            self::assertSame([], $derived->dryFit->findings);
            $faces = $derived->kit->part('main.stack-paper.c1')->part->art?->toArray()['faces'] ?? null;
            self::assertIsArray($faces);
            self::assertSame(array_fill(0, 4, $kind), array_column($faces, 'kind'));
        }
    }

    /** @return list<Ring> */
    private static function units(Finish $finish): array
    {
        $covering = Coverings::of($finish, self::building());
        self::assertNotNull($covering);
        $layout = Layouts::of($covering->artwork(new CoveredFace(0.0, [0.0, self::FACE[0]])));

        return array_map(static fn (array $unit): Ring => new Ring($unit), $layout->units(new Box2(0.0, 0.0, ...self::FACE)));
    }

    /** @return list<Interval> from where to where an upright line runs in a convex stone */
    private static function at(Ring $stone, float $x): array
    {
        $ys = [];
        foreach ($stone->points as $i => $p) {
            $q = $stone->point($i + 1);
            array_push($ys, ...($p->x > $x) !== ($q->x > $x) ? [$p->y + ($x - $p->x) / ($q->x - $p->x) * ($q->y - $p->y)] : []);
        }

        return count($ys) < 2 ? [] : [new Interval(min($ys), max($ys))];
    }

    /** How much of a convex unit lies on the face. */
    private static function within(Ring $unit): float
    {
        $box = $unit->bounds();
        $high = $box->height();

        return $unit->area() * ($high <= 0.0 ? 0.0 : max(0.0, min($box->y1, self::FACE[1]) - max($box->y0, 0.0)) / $high);
    }

    private static function building(): Building
    {
        return BuildingReader::fromText(Kits::exampleText('weigh-office'));
    }
}
