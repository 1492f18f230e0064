<?php

declare(strict_types=1);

namespace Tests\Core\Things;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\ArtSymbol;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Bricks;
use Chartula\Core\Part\Pattern\Rubble;
use Chartula\Core\Part\PrintedShape;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Sheets\Bleed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnTheWeighOffice;

/** Parts of walls that are covered otherwise, on the weigh office: a foot is 4, its front 72 by 38. docs/formulas.md#coverings */
final class FacingTest extends TestCase
{
    use OnTheWeighOffice;

    private const BLUE = '#4a5568';

    /** A plinth of 2 ft 3 in = 9 goes along the whole wall, past its door; nothing is remarked on it, and nothing is cut otherwise. */
    public function testAPlinthGoesAlongTheWall(): void
    {
        $derived = self::derived();
        self::assertSame([], $derived->dryFit->findings);
        self::assertSame([], array_filter($derived->checks, static fn (Check $c): bool => str_starts_with($c->code, 'dress.')));
        $paper = $derived->kit->part('main.front.paper');
        self::assertSame(Kits::example('weigh-office')->kit->part('main.front.paper')->cut, $paper->cut);
        $shape = self::shapes()[0];
        self::assertInstanceOf(Bricks::class, $shape->pattern);
        self::assertEqualsWithDelta(new Box2(0.0, 0.0, 72.0, 9.0), $shape->ring->bounds(), 1e-9);
        self::assertSame([self::BLUE], $shape->pattern->palette()->all());
    }

    /** Its bricks are nine courses high and stay within it, and the wall’s own begin over it; into the door’s jambs they go on. */
    public function testItsUnitsEndWhereItDoes(): void
    {
        $paper = self::derived()->kit->part('main.front.paper');
        $art = $paper->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $blue = $red = [];
        foreach (array_slice(ArtSymbol::of($paper, $art)->paths, 1) as $path) {
            foreach ($path->lines as $unit) {
                $middle = Box2::around($unit)->centre();
                [$r, $b] = [hexdec(substr((string) $path->fill, 1, 2)), hexdec(substr((string) $path->fill, 5, 2))];
                // Mortar is neither.
                array_push($red, ...$r - $b > 40 ? [$middle] : []);
                array_push($blue, ...$b - $r > 15 ? [$middle] : []);
            }
        }
        self::assertGreaterThan(9 * 8, count($blue));
        self::assertLessThan(9.0, max([0.0, ...array_map(static fn (Vec2 $p): float => $p->y, $blue)]));
        // The door is from 56 to 69; its flaps are 3 deep, and blue as far up as the wall beside them.
        $inJamb = array_filter($blue, static fn (Vec2 $p): bool => $p->x > 56.0 && $p->x < 59.0);
        self::assertGreaterThanOrEqual(9, count($inJamb));
        self::assertSame([], array_filter($red, static fn (Vec2 $p): bool => $p->y < 8.9 && $p->x > 1.0 && $p->x < 55.0));
    }

    /** It ends with the wall at its foot and both ends, and there its print goes on as far as the wall’s: no red shows beside the blade. */
    public function testItRunsOnWithTheWall(): void
    {
        self::assertSame(['left', 'right', 'foot'], self::shapes()[0]->runsOn);
        $on = ['anchor' => 'wall', 'edge' => 'front', 'from' => '1ft', 'to' => '10ft'];
        self::assertSame(['foot'], self::shapes(['on' => $on])[0]->runsOn);
        $paper = self::derived()->kit->part('main.front.paper');
        $art = $paper->part->art;
        self::assertInstanceOf(FaceArt::class, $art);
        $symbol = ArtSymbol::bleeding($paper, $art);
        $foot = Bleed::box($paper->part)->y0;
        $lowest = [];
        foreach ($symbol->paths as $path) {
            foreach ($path->lines as $unit) {
                $box = Box2::around($unit);
                if ($box->y1 + $foot < 0.5 && $box->y1 > 0.0 && $box->x0 > 2.0 && $box->x1 < $symbol->width - 2.0) {
                    $lowest[(string) $path->fill] = ($lowest[(string) $path->fill] ?? 0) + 1;
                }
            }
        }
        // The wall’s own bricks lie under them: what is drawn last is seen.
        $last = array_key_last($lowest);
        self::assertNotNull($last);
        self::assertGreaterThan(hexdec(substr($last, 1, 2)), hexdec(substr($last, 5, 2)), 'blue');
    }

    /** What stands round openings lies over it, and a stretch at a height is where it is said to be. */
    public function testAPanelLiesUnderWhatStandsRoundOpenings(): void
    {
        $on = ['anchor' => 'wall', 'edge' => 'front', 'from' => '1ft', 'to' => '11ft 5in', 'up' => '2ft 9in'];
        $said = ['on' => $on, 'finish' => 'stone-random', 'h' => '4ft 1in', 'colour' => null];
        self::assertSame([], self::derived($said)->dryFit->findings);
        $shapes = self::shapes($said);
        self::assertInstanceOf(Rubble::class, $shapes[0]->pattern);
        $box = $shapes[0]->ring->bounds();
        self::assertEqualsWithDelta([4.0, 11.0, 137.0 / 3.0, 82.0 / 3.0], [$box->x0, $box->y0, $box->x1, $box->y1], 1e-9);
        self::assertGreaterThan(1, count($shapes), 'sills and arches come after it');
        self::assertSame([], array_filter(array_slice($shapes, 1), static fn (PrintedShape $s): bool => $s->pattern !== null));
    }

    /** Beyond its wall there is nothing of it, and that is said; what covers nothing cannot be chosen. */
    public function testWhereThereIsNoWallIsSaid(): void
    {
        $beyond = self::derived(['on' => ['anchor' => 'wall', 'edge' => 'left', 'up' => '30ft']]);
        self::assertSame(['dress.past-wall'], array_values(array_filter(
            array_map(static fn (Check $c): string => $c->code, $beyond->checks),
            static fn (string $code): bool => str_starts_with($code, 'dress.'),
        )));
        foreach (['bare', 'felt'] as $none) {
            try {
                BuildingReader::fromDocument(self::document(['finish' => $none]));
                self::fail($none);
            } catch (InvalidInput $e) {
                self::assertSame('blocks.0.features.0.finish', $e->problems[0]->path);
            }
        }
    }

    /** The kit of one document is held to another, in which it is an inch higher, longer or elsewhere: that is found. */
    #[DataProvider('provideOthers')]
    public function testAnotherPlaceIsFound(string $key, string $other): void
    {
        $document = BuildingGenerator::with(self::document(), "blocks.0.features.0.$key", $other);
        self::assertNotSame([], DryFit::check(Kits::serialised(self::derived()), BuildingReader::fromDocument($document))->findings);
    }

    /** @return iterable<string, array{string, string}> */
    public static function provideOthers(): iterable
    {
        yield 'higher' => ['h', '2ft 6in'];
        yield 'shorter' => ['on.to', '17ft 9in'];
        yield 'farther up' => ['on.up', '3in'];
        yield 'farther along' => ['on.from', '3in'];
    }

    /** @return array<string, mixed> */
    private static function usual(): array
    {
        return [
            'kind' => 'facing', 'id' => 'plinth', 'on' => ['anchor' => 'wall', 'edge' => 'front'],
            'finish' => 'brick-flemish', 'h' => '2ft 3in', 'colour' => self::BLUE,
        ];
    }

    /**
     * @param  array<string, mixed>  $said
     * @return list<PrintedShape>
     */
    private static function shapes(array $said = []): array
    {
        $art = self::derived($said)->kit->part('main.front.paper')->part->art;

        return $art instanceof FaceArt ? $art->dressings : [];
    }
}
