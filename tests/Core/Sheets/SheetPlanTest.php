<?php

declare(strict_types=1);

namespace Tests\Core\Sheets;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Sheets\CutStep;
use Chartula\Core\Sheets\CuttingOrder;
use Chartula\Core\Sheets\PlacedPart;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class SheetPlanTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    #[TestWith(['a4', 210.0, 297.0])]
    #[TestWith(['letter', 215.9, 279.4])]
    #[TestWith(['legal', 215.9, 355.6])]
    #[TestWith(['a5', 148.0, 210.0])]
    #[TestWith(['a3', 420.0, 297.0, ['landscape' => true]])]
    #[TestWith(['tabloid', 279.4, 431.8, ['landscape' => false]])]
    #[TestWith(['own', 187.5, 333.25, ['width' => '187.5mm', 'height' => '333.25mm', 'landscape' => true]])]
    public function testEveryPieceLiesOnceOnASheetOfItsStock(string $paper, float $width, float $height, array $more = []): void
    {
        $derived = self::office(['sheets' => (object) (['paper' => $paper, 'margin' => '10mm', 'gap' => '3mm'] + $more)]);
        $seen = [];
        foreach ($derived->printed->plan->sheets as $sheet) {
            self::assertSame([$width, $height], [$sheet->page->width, $sheet->page->height]);
            foreach ($sheet->parts as $placed) {
                self::assertSame($sheet->stock, $placed->part->part->stock);
                self::assertTrue(
                    $placed->x >= 10.0
                        && $placed->y >= 10.0
                        && $placed->x + $placed->width() <= $width - 10.0 + 1e-6
                        && $placed->y + $placed->height() <= $height - 16.0 + 1e-6,
                );
                $seen[] = $placed->part->part->id.'#'.$placed->copy;
            }
        }
        self::assertSame(count($seen), count(array_unique($seen)));
        self::assertCount($derived->kit->count(), $seen);
    }

    public function testTemplatesForTheBackAreMirroredAndPapersAreNot(): void
    {
        foreach ($derivedSheets = self::office([])->printed->plan->sheets as $sheet) {
            self::assertSame($sheet->stock->takesTemplate(), $sheet->isMirrored, $sheet->stock->id);
        }
        self::assertCount(5, $derivedSheets);
        foreach (self::office(['methods.template.side' => 'front'])->printed->plan->sheets as $sheet) {
            self::assertFalse($sheet->isMirrored);
        }
    }

    public function testWhereAPointOfAPartLiesOnTheSheet(): void
    {
        $part = self::office([])->kit->part('main.front.core'); // 72 × 38
        $at = static fn (bool $turned, bool $mirrored): array =>
            (new PlacedPart($part, 0, 100.0, 50.0, $turned, $mirrored))->toSheet(new Vec2(10.0, 4.0))->toArray();
        self::assertSame([110.0, 54.0], $at(false, false));
        self::assertSame([162.0, 54.0], $at(false, true), '100 + 72 − 10');
        self::assertSame([134.0, 60.0], $at(true, false), 'a quarter to the left: 100 + 38 − 4, 50 + 10');
        self::assertSame([134.0, 112.0], $at(true, true));
    }

    public function testScoresThenOpeningsFromTheSmallestThenOutlinesFromTheOutside(): void
    {
        foreach (self::office([])->printed->plan->sheets as $sheet) {
            $steps = CuttingOrder::of($sheet);
            $rank = array_flip(['score', 'slit', 'opening', 'outline']);
            $kinds = array_map(static fn (CutStep $s): int => $rank[$s->what], $steps);
            $sorted = $kinds;
            sort($sorted);
            self::assertSame($sorted, $kinds);
            $areas = [];
            foreach ($steps as $step) {
                if ($step->what === 'opening') {
                    $areas[] = $step->placed->part->part->holes[$step->index ?? 0]->area();
                }
            }
            $ascending = $areas;
            sort($ascending);
            self::assertSame($ascending, $areas);
            self::assertCount(count($sheet->parts), array_filter($steps, static fn (CutStep $s): bool => $s->what === 'outline'));
        }
    }

    public function testPapersKeepTheirGrain(): void
    {
        foreach (self::office([])->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                self::assertTrue($placed->part->part->mayTurn || ! $placed->turned);
            }
        }
        self::assertFalse(self::office([])->kit->part('main.front.paper')->part->mayTurn);
    }

    /** @param  array<string, mixed>  $changes */
    private static function office(array $changes): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ($changes as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }
}
