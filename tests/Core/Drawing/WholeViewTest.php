<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\FrontPicture;
use Chartula\Core\Drawing\Layer;
use Chartula\Core\Drawing\WholeView;
use Chartula\Core\Geometry\Box2;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;
use Tests\Support\OnePicture;

/** A whole side with all blocks in their places. */
final class WholeViewTest extends TestCase
{
    /**
     * By hand from the document at 1:76.2, 4 mm to the foot: the churn hall's front is 36 ft, the cooling house's 20 ft and the dispatch's
     * 28 ft, each beginning where the one before ends.
     */
    public function testTheFrontOfTheCreameryRunsThrough(): void
    {
        $derived = Kits::example('creamery');
        $whole = (new WholeView($derived->building, $derived->kit->form, 'front'))->toArray();
        $chains = array_map(
            static fn (array $c): array => array_map(static fn (array $l): float => round($l['to'] - $l['from'], 2), $c),
            $whole['chains'],
        );
        self::assertCount(3, $chains);
        self::assertEqualsWithDelta([336.0], $chains[2], 0.01, '84 ft');
        self::assertEqualsWithDelta([144.0, 80.0, 112.0], $chains[1], 0.01);
        foreach ($chains as $chain) {
            self::assertEqualsWithDelta(336.0, array_sum($chain), 0.02, 'every chain runs through');
        }
        // The hall's three windows of 4 ft begin 3 ft from its left, 8 ft apart.
        self::assertEqualsWithDelta([12.0, 16.0, 16.0, 16.0, 16.0, 16.0], array_slice($chains[0], 0, 6), 0.01);
    }

    /** A wall in a paper of one's own, and a roof in colours of one's own, are seen as what they wear. */
    public function testItWearsPapersAndColoursOfOnesOwn(): void
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ([
            'papers' => [(object) OnePicture::of(620, 420, 21, 62)->said(['tone' => '#998877'])], 'blocks.0.walls.0.paper' => 'scan',
            'palettes' => json_decode('[{"id": "c1", "name": "Green", "colours": [{"colour": "#456654"}]}]'),
            'blocks.0.roof.finish' => 'slate', 'blocks.0.roof.palette' => 'c1',
        ] as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }
        $derived = Kits::of($document);
        $seen = array_column((new WholeView($derived->building, $derived->kit->form, 'front'))->shapes(), 'colour', 'kind');
        self::assertSame(['#998877', '#456654'], [$seen['wall'] ?? null, $seen['roof'] ?? null]);
    }

    /**
     * The weigh office with a stack of 9 by 6 on its ridge, 3 ft = 12 over that, and a pot of 18 in = 6 on it: from the front one of its
     * sides, 9 wide, and one of the pot's. Its ridge's card is 38 + 24 · tan 40° + t / cos 40° up.
     */
    public function testChimneysStandOverTheRoof(): void
    {
        $on = ['anchor' => 'roof-line', 'edge' => 'front', 'line' => 'ridge', 'from' => '9ft'];
        $stack = ['kind' => 'chimney', 'id' => 'c', 'w' => '2ft 3in', 'on' => $on];
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        $derived = Kits::of(BuildingGenerator::with($document, 'blocks.0.features', [json_decode((string) json_encode($stack))]));
        $seen = (new WholeView($derived->building, $derived->kit->form, 'front'))->shapes();
        $boxes = array_values(array_map(
            static fn (array $s): Box2 => $s['region']->outline->bounds(),
            array_filter($seen, static fn (array $s): bool => $s['kind'] === 'wall' && $s['wall'] === null),
        ));
        self::assertCount(2, $boxes);
        usort($boxes, static fn (Box2 $a, Box2 $b): int => $a->y1 <=> $b->y1);
        $card = $derived->kit->part('main.front-slope.carrier')->part->thickness / cos(deg2rad(40.0));
        $ridge = 38.0 + 24.0 * tan(deg2rad(40.0)) + $card;
        self::assertEqualsWithDelta([31.5, 40.5, $ridge + 12.0], [$boxes[0]->x0, $boxes[0]->x1, $boxes[0]->y1], 1e-4);
        self::assertEqualsWithDelta([3.0, $ridge + 18.0], [$boxes[1]->width(), $boxes[1]->y1], 1e-4);
    }

    /** What is drawn last at a place is what is seen there: the nearest. Wherever a wall's middle is the farther one's is not over it. */
    #[DataProvider('provideSides')]
    public function testTheNearerCoverTheFarther(string $side): void
    {
        $derived = Kits::example('creamery');
        /** @var key-of<WholeView::SIDES> $side */
        [$x, $y] = WholeView::SIDES[$side];
        $depths = [];
        foreach ($derived->kit->form->walls() as $wall) {
            $key = $derived->kit->form->blocks[$wall->block]->block->id.'.'.$wall->wall->name;
            $middle = $wall->frame->point($wall->length->mm / 2.0, $wall->height->mm / 2.0);
            $depths[$key] = $middle->x * $x + $middle->y * $y;
        }
        $seen = (new WholeView($derived->building, $derived->kit->form, $side))->shapes();
        $walls = array_values(array_filter($seen, static fn (array $s): bool => $s['kind'] === 'wall'));
        self::assertNotSame([], $walls);
        foreach ($walls as $i => $far) {
            foreach (array_slice($walls, $i + 1) as $near) {
                $at = $far['region']->outline->bounds()->centre();
                if ($near['region']->contains($at) && $near['wall'] !== $far['wall']) {
                    [$over, $under] = [$near['wall'] ?? '', $far['wall'] ?? ''];
                    self::assertGreaterThanOrEqual($depths[$under], $depths[$over], "$over over $under");
                }
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function provideSides(): iterable
    {
        foreach (array_keys(WholeView::SIDES) as $side) {
            yield $side => [$side];
        }
    }

    /** Every example has a picture that fills its frame one way and lies within it. */
    #[DataProvider('provideExamples')]
    public function testThePictureLiesInItsFrame(string $name): void
    {
        $derived = Kits::example($name);
        $picture = FrontPicture::of($derived->building, $derived->kit->form);
        $points = array_merge(...array_map(static fn ($path): array => array_merge(...$path->lines), $picture->paths(Layer::Text)));
        self::assertGreaterThan(10, count($points));
        $box = Box2::around($points);
        self::assertTrue($box->x0 >= 0.0 && $box->y0 >= 0.0 && $box->x1 <= $picture->width && $box->y1 <= $picture->height);
    }

    /** @return iterable<string, array{string}> */
    public static function provideExamples(): iterable
    {
        foreach (['weigh-office', 'creamery', 'halt', 'ropewalk-row'] as $name) {
            yield $name => [$name];
        }
    }
}
