<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Output\Finder;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

final class FinderTest extends TestCase
{
    /** Worked by hand: 90 in / 76.2 · 25.4 = 30; 22.5 · 76.2 = 1714.5; 34 · 228.6 / 76.2 = 102; 12 · 76.2 / 76.2 = 12. */
    #[TestWith(['7ft 6in', '7ft 6in of the real thing is 30.00 mm at 1:76.2', '30.00 mm'])]
    #[TestWith(['22.5mm', '22.5mm on the model is 5ft 7 1/2in (1.7145m) at 1:76.2', '5ft 7 1/2in'])]
    #[TestWith(['34br', '34br of the real thing is 102.00 mm at 1:76.2', '102.00 mm'])]
    #[TestWith(['12co', '12co of the real thing is 12.00 mm at 1:76.2', '12.00 mm'])]
    #[TestWith(['1.5m model', '1.5m on the model is 375ft (114.3m) at 1:76.2', '375ft'])]
    #[TestWith(['22.5mm real', '22.5mm of the real thing is 0.30 mm at 1:76.2', '0.30 mm'])]
    #[TestWith(['2ft at 1:148', '2ft of the real thing is 4.12 mm at 1:148', '4.12 mm'])]
    #[TestWith(['2ft @ 1 : 148', '2ft of the real thing is 4.12 mm at 1:148', '4.12 mm'])]
    #[TestWith(['3000mm', '3000mm of the real thing is 39.37 mm at 1:76.2', '39.37 mm'])]
    public function testReadsLengthsBothWays(string $text, string $says, string $copy): void
    {
        $result = self::find($text)['results'][0];
        self::assertSame([$says, $copy], [$result['text'], $result['copy'] ?? '']);
    }

    public function testGivesOtherScalesAndTheOtherReading(): void
    {
        $texts = array_column(self::find('22.5mm')['results'], 'text');
        // 22.5 · 87.1 = 1959.75 mm = 77.156 in.
        self::assertContains('22.5mm on the model is 6ft 5 1/8in (1.9598m) at 1:87.1', $texts);
        self::assertSame('22.5mm of the real thing is 0.30 mm at 1:76.2', $texts[1], 'this scale first, both ways');
    }

    /** An inch rule lies beside the model too: 3/64 in = 1.1906 mm, and 1.1906 · 76.2 = 90.72 mm = 3 9/16 in; 1.1906 / 76.2 = 0.0156. */
    public function testSmallInchesAreReadBothWays(): void
    {
        $texts = array_column(self::find('3/64in')['results'], 'text');
        self::assertStringStartsWith('3/64in on the model is 3 9/16in', $texts[0]);
        self::assertStringStartsWith('3/64in of the real thing is 0.02 mm at 1:76.2', $texts[1]);
        self::assertStringStartsWith('6in of the real thing', array_column(self::find('6in')['results'], 'text')[0]);
        self::assertCount(6, array_filter(array_column(self::find('18ft')['results'], 'text'), static fn (string $t): bool => str_contains($t, 'real')));
    }

    /** Whatever a form asks for is found by its words, with the screen where it is asked; by the words of what it belongs to, too. */
    #[TestWith(['rebated', 'Rebated by, of a kind of opening', 'prototype'])]
    #[TestWith(['wheelbase', 'A bogie’s wheelbase, of a vehicle', 'plot'])]
    #[TestWith(['overhang verges', 'Overhang at the verges, of a roof', 'roof'])]
    #[TestWith(['neighbour clear', 'Kept clear, of a neighbour', 'plot'])]
    public function testFindsWhatCanBeSaid(string $text, string $says, string $stage): void
    {
        $fields = array_values(array_filter(self::find($text)['results'], static fn (array $one): bool => $one['kind'] === 'field'));
        self::assertSame([$says, ['what' => 'verb', 'id' => $stage]], [$fields[0]['text'] ?? '', $fields[0]['to'] ?? []]);
    }

    public function testMetresForWhoLikesThem(): void
    {
        $found = Finder::find('10mm', Scale::of(76.2), Gauge::imperial(), false, null);
        self::assertSame('10mm on the model is 762mm (2ft 6in) at 1:76.2', $found['results'][0]['text']);
    }

    #[TestWith(['W2', 'part', 'main.front.core', 'main.front'])]
    #[TestWith(['w2', 'part', 'main.front.core', 'main.front'])]
    #[TestWith(['front', 'wall', 'main.front'])]
    #[TestWith(['ridge strip', 'part', 'main.ridge.strip'])]
    #[TestWith(['sheet 2', 'sheet', '2'])]
    #[TestWith(['print stale', 'verb', 'print-stale'])]
    #[TestWith(['hip', 'verb', 'roof'])]
    #[TestWith(['storey', 'verb', 'prototype'])]
    #[TestWith(['rows', 'verb', 'shell'])]
    #[TestWith(['sash', 'opening', 'w1', 'main.front'])]
    #[TestWith(['undo', 'verb', 'undo'])]
    #[TestWith(['3d', 'verb', 'stand'])]
    #[TestWith(['brick paper left', 'part', 'main.left.paper', 'main.left'])]
    public function testFindsThingsAndWhatToDo(string $text, string $what, string $id, ?string $wall = null): void
    {
        $found = self::find($text)['results'][0]['to'] ?? ['what' => '', 'id' => ''];
        self::assertSame([$what, $id, $wall], [$found['what'], $found['id'], $found['wall'] ?? null]);
    }

    /** @param  non-empty-string  $says */
    #[TestWith(['18', '“18” has no unit; write for example 3ft 6in, 1070mm or 12br. Write a length'])]
    #[TestWith(['spire', 'Nothing is called “spire” here. Write a length'])]
    #[TestWith(['7ft at 1:9999', '“1:9999” is out of range'])]
    #[TestWith(['', 'Write a length with its unit'])]
    public function testSaysHowOneWritesIt(string $text, string $says): void
    {
        $found = self::find($text);
        self::assertSame([], $found['results']);
        self::assertStringStartsWith($says, (string) $found['help']);
    }

    public function testKnowsOnlyLengthsAndProjectsWithoutABuilding(): void
    {
        self::assertSame([], Finder::find('W2', Scale::of(76.2), Gauge::imperial(), true, null)['results']);
        self::assertSame(
            'projects',
            Finder::find('projects', Scale::of(76.2), Gauge::imperial(), true, null)['results'][0]['to']['id'] ?? '',
        );
    }

    /**
     * @return array{results: list<array{kind: string, text: string, copy?: string, to?: array{what: string, id: string}}>, help: ?string}
     */
    private static function find(string $text): array
    {
        return Finder::find($text, Scale::of(76.2), Gauge::imperial(), true, Kits::example('weigh-office')->serialised());
    }
}
