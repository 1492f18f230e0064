<?php

declare(strict_types=1);

namespace Tests\Core\Sheets;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What is packed as one, and what is printed once more. */
final class LotTest extends TestCase
{
    /**
     * With the 2 mm that are kept between two cuts, and the words below each.
     *
     * @param  list<string>  $labels  strips of one width
     */
    #[TestWith(['halt', ['W1', 'W3', 'W5', 'W7'], Effort::Quick])]
    #[TestWith(['halt', ['W2', 'W4', 'W6', 'W8'], Effort::Quick])]
    #[TestWith(['creamery', ['R15', 'R16', 'R17', 'R19', 'R21'], Effort::Quick])]
    #[TestWith(['creamery', ['R15', 'R16', 'R17', 'R19', 'R21'], Effort::Usual])]
    public function testStripsOfOneWidthLieTogether(string $name, array $labels, Effort $effort): void
    {
        $derived = Kits::example($name);
        $boxes = $on = [];
        foreach (SheetPlan::of($derived->printed->building, $derived->kit, new Wanted($effort))->sheets as $sheet) {
            foreach ($sheet->parts as $p) {
                if (in_array($p->part->label, $labels, true)) {
                    $boxes[] = new Box2($p->x, $p->y, $p->x + $p->width(), $p->y + $p->height());
                    $on[] = $sheet->number;
                }
            }
        }
        self::assertCount(1, array_unique($on), 'on one page');
        self::assertCount(count($labels), $boxes);
        $width = min($boxes[0]->width(), $boxes[0]->height());
        $isLying = $boxes[0]->width() > $boxes[0]->height();
        $rows = [];
        foreach ($boxes as $box) {
            self::assertEqualsWithDelta($width, $isLying ? $box->height() : $box->width(), 0.05, 'all lie one way');
            $rows[(string) round($isLying ? $box->y0 : $box->x0, 3)][] = $box;
        }
        ksort($rows, SORT_NUMERIC);
        $at = array_map(floatval(...), array_keys($rows));
        foreach (array_slice($at, 1) as $i => $row) {
            self::assertLessThan($width + 2.0 + 3.0, $row - $at[$i], 'row beside row');
        }
        self::assertLessThan(count($labels), count($rows), 'end to end where the page is long enough');
    }

    public function testATinyPartHasASpareWhereOneIsWanted(): void
    {
        $document = json_decode(Kits::exampleText('halt'));
        assert($document instanceof stdClass);
        $derived = Kits::of(BuildingGenerator::with($document, 'sheets', (object) ['spares' => true]));
        $pieces = $spares = [];
        foreach ($derived->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $p) {
                $pieces[$p->part->part->id] = ($pieces[$p->part->part->id] ?? 0) + 1;
                $spares = [...$spares, ...$p->isSpare() ? [$p->part->part->id] : []];
            }
        }
        foreach ($derived->kit->parts as $part) {
            $isTiny = max($part->part->width(), $part->part->height()) <= 15.0;
            self::assertSame($part->part->qty() + ($isTiny ? 1 : 0), $pieces[$part->part->id], $part->part->id);
            self::assertSame($isTiny ? 1 : 0, count(array_keys($spares, $part->part->id, true)), $part->part->id);
        }
        self::assertNotSame([], $spares);
        foreach (Kits::example('halt')->printed->plan->sheets as $sheet) {
            self::assertSame($sheet->parts, $sheet->wanted(), 'none where none is wanted');
        }
        self::assertSame(count($spares), substr_count($derived->json, '"spare":true'));
    }

    /** A sheet is printed when its pieces are; its spares are nobody's piece. */
    public function testSparesDoNotKeepASheetFromBeingPrinted(): void
    {
        $document = json_decode(Kits::exampleText('halt'));
        assert($document instanceof stdClass);
        $derived = Kits::of(BuildingGenerator::with($document, 'sheets', (object) ['spares' => true]));
        $places = [];
        foreach ($derived->printed->plan->sheets as $sheet) {
            foreach ($sheet->number === 1 ? $sheet->wanted() : [] as $p) {
                $places[$p->part->part->id.'#'.$p->copy] =
                    new PrintedPlace(1, $p->x, $p->y, $p->turn, [$sheet->page->width, $sheet->page->height]);
            }
        }
        $plan = SheetPlan::of($derived->printed->building, $derived->kit, new Wanted(prints: new Prints(places: $places, sheets: [1])));
        self::assertSame([true, false, false], array_map(static fn (Sheet $s): bool => $s->isPrinted, $plan->sheets));
        $key = static fn (PlacedPart $p): string => "{$p->part->part->id}#$p->copy";
        $keys = static fn (Sheet $s): array => array_map($key, $s->parts);
        $planned = array_map($keys, $derived->printed->plan->sheets);
        self::assertSame($planned, array_map($keys, $plan->sheets), 'all lie as they were planned');
    }
}
