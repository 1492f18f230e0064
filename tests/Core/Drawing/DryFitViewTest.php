<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Drawing\DryFitView;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\DryFit\FreeEdge;
use Chartula\Core\Kit\DryFit\JointMeasure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

final class DryFitViewTest extends TestCase
{
    public function testEveryJointHasItsFigureAndItsDrawing(): void
    {
        $derived = Kits::example('weigh-office');
        $view = DryFitView::of($derived->serialised(), $derived->dryFit);
        self::assertIsArray($view['measures']);
        self::assertCount($derived->dryFit->joints, $view['measures']);
        foreach ($view['measures'] as $measure) {
            self::assertIsArray($measure);
            self::assertIsArray($measure['drawing']);
        }
        $found = [];
        foreach ($derived->dryFit->measures as $measure) {
            self::assertTrue($measure->closes);
            self::assertNotSame('', $measure->found, $measure->id);
            $found["$measure->a $measure->kind $measure->b"] = $measure->found;
        }
        // Walls of 9 ft 6 in / 76.2 = 38; past them the gable stands on the front, whose core is 1.17 of T = 1.81 thick.
        self::assertSame('closes over 38.00 mm', $found['main.right.core butt main.front.core']);
        self::assertSame('closes over 1.17 mm, leaves free 0.64 mm', $found['main.right.core seat main.front.core']);
        // 2 · 1.17 · sin 40 = 1.50 over 18 ft and two verges of 6 in: 76.
        self::assertSame(
            'parts on the inside by 0.00 mm, closes over 76.00 mm, is open outside by 1.50 mm',
            $found['main.front-slope.carrier mitre main.back-slope.carrier'],
        );
    }

    #[DataProvider('provideExamples')]
    public function testEveryJointOfEveryExampleIsDrawn(string $example): void
    {
        $derived = Kits::example($example);
        $view = DryFitView::of($derived->serialised(), $derived->dryFit);
        self::assertIsArray($view['measures']);
        self::assertGreaterThan(50, count($view['measures']));
        foreach ($view['measures'] as $measure) {
            self::assertIsArray($measure);
            self::assertIsArray($measure['drawing']);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function provideExamples(): iterable
    {
        foreach (['weigh-office', 'creamery', 'ropewalk-row', 'halt'] as $example) {
            yield $example => [$example];
        }
    }

    public function testTheWorstComesFirstAndSaysByHowMuch(): void
    {
        $derived = Kits::example('weigh-office');
        $kit = Kits::serialised($derived);
        self::assertIsArray($kit['parts']);
        foreach ($kit['parts'] as $i => $part) {
            if (is_array($part) && $part['id'] === 'main.right.core') {
                // 0.3 mm off its place, to the back.
                self::assertIsArray($part['placements']);
                self::assertIsArray($part['placements'][0]);
                self::assertIsArray($part['placements'][0]['origin']);
                self::assertIsNumeric($part['placements'][0]['origin'][1]);
                $part['placements'][0]['origin'][1] += 0.3;
                $kit['parts'][$i] = $part;
            }
        }
        $report = DryFit::check($kit, $derived->described);
        self::assertSame(
            [],
            array_filter($report->measures, static fn (JointMeasure $m): bool => $m->closes && ($report->measures[0]->closes)),
        );
        self::assertGreaterThan(0.29, $report->measures[0]->off);
    }

    public function testFreeEdgesSayWhy(): void
    {
        $why = array_map(static fn (FreeEdge $e): ?string => $e->why, Kits::example('weigh-office')->dryFit->free);
        self::assertContains('eaves', $why);
        self::assertContains('foot', $why);
        self::assertNotContains(null, $why);
    }
}
