<?php

declare(strict_types=1);

namespace Tests\Core\Mockup;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Drawing\MockupDrawing;
use Chartula\Core\Geometry\Clip;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Mockup\Mockup;
use Chartula\Core\Mockup\Net;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Sheets\Page;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\FormGenerator;
use Tests\Support\Kits;
use Tests\Support\Sample;

/** Nets: every surface once, in its true size, on nothing else; folds as the building turns; each tab with its mate. */
final class MockupTest extends TestCase
{
    #[TestWith(['weigh-office', 100])]
    #[TestWith(['creamery', 50])]
    #[TestWith(['ropewalk-row', 40])]
    public function testEveryFaceIsThereOnceAndLiesOnNothing(string $example, int $percent): void
    {
        $building = BuildingReader::fromText(Kits::exampleText($example));
        $form = Kit::derive($building)->form;
        $page = new Page($building->sheets);
        $mockup = Mockup::of($form, $percent, $page->roomWidth(), $page->roomHeight());
        $wanted = 0.0;
        foreach ($form->walls() as $wall) {
            foreach ($wall->patches as $patch) {
                $wanted += $patch->area();
            }
        }
        foreach ($form->facets as $facet) {
            foreach ($facet->patches as $patch) {
                $wanted += $patch->region()->outline->area() / $facet->pitch->cos();
            }
        }
        $found = array_sum(
            array_map(
                static fn (Net $n): float => array_sum(array_map(static fn (array $f): float => $f['ring']->area(), $n->faces)),
                $mockup->nets,
            ),
        );
        self::assertEqualsWithDelta($wanted * ($percent / 100.0) ** 2, $found, 0.01);
        foreach ($mockup->nets as $net) {
            self::assertSame(count($net->faces) - 1, count($net->folds), 'a net hangs together by one fold fewer than it has faces');
            $all = array_map(static fn (array $f): Ring => $f['ring'], [...$net->faces, ...$net->tabs]);
            foreach ($all as $i => $one) {
                foreach (array_slice($all, $i + 1) as $other) {
                    self::assertLessThan(0.1, Clip::sharedArea(new Region($one), new Region($other)), $net->name);
                }
            }
            $box = $net->bounds();
            self::assertTrue(max($box->width(), $box->height()) <= max($page->roomWidth(), $page->roomHeight()) + 0.01);
            self::assertTrue(min($box->width(), $box->height()) <= min($page->roomWidth(), $page->roomHeight()) + 0.01);
        }
    }

    public function testEachNumberedTabHasItsMate(): void
    {
        $mockup = self::of('creamery', 50);
        $tabs = array_merge(...array_map(static fn (Net $n): array => array_column($n->tabs, 'name'), $mockup->nets));
        $mates = array_merge(
            ...array_map(
                static fn (Net $n): array =>
                    array_map(static fn (string $m): string => str_replace(', tape', '', $m), array_column($n->mates, 'name')),
                $mockup->nets,
            ),
        );
        $numbers = array_values(array_filter($tabs, static fn (string $name): bool => $name !== 'roof'));
        self::assertNotEmpty($numbers);
        self::assertSame(count($numbers), count(array_unique($numbers)), 'each is named once');
        foreach ($numbers as $number) {
            self::assertContains($number, $mates);
        }
    }

    public function testWallsOfABoxFoldAwayByARightAngleAndAnInnerCornerTowards(): void
    {
        $folds = self::of('weigh-office', 50)->nets[0]->folds;
        foreach ($folds as $fold) {
            self::assertSame('away', $fold['fold']);
            self::assertEqualsWithDelta(90.0, $fold['degrees'], 1e-6);
        }
        $ring = [['0mm', '0mm'], ['60mm', '0mm'], ['60mm', '30mm'], ['30mm', '30mm'], ['30mm', '60mm'], ['0mm', '60mm']];
        $l = BuildingGenerator::with(Kits::box('60mm', '60mm', '30mm', 40.0), 'blocks.0.footprint', (object) ['polygon' => $ring]);
        $l = BuildingGenerator::with($l, 'blocks.0.roof', (object) ['kind' => 'hip', 'pitch' => 40]);
        $mockup = Mockup::of(Kit::derive(BuildingReader::fromDocument($l))->form, 50, 180.0, 240.0);
        $walls = array_column($mockup->nets[0]->folds, 'fold');
        self::assertSame(1, count(array_keys($walls, 'toward', true)), 'one inner corner');
        $roof = array_merge(...array_map(static fn (Net $n): array => array_column($n->folds, 'fold'), array_slice($mockup->nets, 1)));
        self::assertContains('toward', $roof, 'the valley');
    }

    public function testWhatDoesNotFitAPageIsSaidWithTheSizeThatDoes(): void
    {
        $form = Kit::derive(BuildingReader::fromText(Kits::exampleText('creamery')))->form;
        try {
            Mockup::of($form, 100, 100.0, 120.0);
            self::fail('it was taken');
        } catch (InvalidInput $e) {
            self::assertSame('mockup.too-large', $e->problems[0]->code);
            $most = $e->problems[0]->facts['most'];
            self::assertIsInt($most);
            self::assertNotEmpty(Mockup::of($form, min($most, 30), 100.0, 120.0)->nets);
        }
    }

    #[Group('property')]
    public function testGeneratedFormsUnfoldToo(): void
    {
        $made = 0;
        for ($seed = 1; $seed <= (Sample::isDeep() ? 140 : 21); $seed++) {
            try {
                $building = BuildingReader::fromDocument((new FormGenerator($seed))->document());
                $mockup = Mockup::of(Kit::derive($building)->form, 25, 180.0, 240.0);
            } catch (InvalidInput) {
                continue;
            }
            $made++;
            foreach ($mockup->nets as $net) {
                self::assertSame(count($net->faces) - 1, count($net->folds), "seed $seed, $net->name");
            }
            self::assertNotEmpty(MockupDrawing::of($building, $mockup));
        }
        self::assertGreaterThan(15, $made);
    }

    private static function of(string $example, int $percent): Mockup
    {
        return Mockup::of(Kit::derive(BuildingReader::fromText(Kits::exampleText($example)))->form, $percent, 180.0, 240.0);
    }
}
