<?php

declare(strict_types=1);

namespace Tests\Core\Sheets;

use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\Prints;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

final class PrintedSheetsTest extends TestCase
{
    /** Two walls on a printed sheet 2 stay there, whatever its size; the rest is packed on sheets 1, 3 and so on. */
    public function testWhatLiesOnPrintedSheetsStaysThere(): void
    {
        $derived = Kits::example('weigh-office');
        $kept = [
            'main.front.core#0' => new PrintedPlace(2, 10.0, 120.5, 0, [297.0, 420.0]),
            'main.back.core#0' => new PrintedPlace(2, 90.0, 120.5, 90, [297.0, 420.0]),
            'main.front.face#0' => new PrintedPlace(2, 10.0, 30.0, 0, [297.0, 420.0]),
            'main.gone.core#0' => new PrintedPlace(5, 10.0, 30.0, 0, [297.0, 420.0]),
        ];
        $plan = SheetPlan::of($derived->building, $derived->kit, new Wanted(prints: new Prints([], $kept, [2, 5])));
        self::assertSame([1, 2, 3], array_map(static fn (Sheet $s): int => $s->number, $plan->sheets));
        self::assertSame([false, true, false], array_map(static fn (Sheet $s): bool => $s->isPrinted, $plan->sheets));
        $printed = $plan->sheet(2) ?? self::fail('sheet 2');
        self::assertSame([297.0, 420.0], [$printed->page->width, $printed->page->height]);
        self::assertSame(['greyboard-1', 'card-0.5'], array_column(array_column($printed->frames, 'stock'), 'id'), 'from the top down');
        $places = array_map(
            static fn (PlacedPart $p): array => [$p->part->part->id, $p->x, $p->y, $p->turn, $p->mirrored],
            $printed->parts,
        );
        sort($places);
        self::assertSame([
            ['main.back.core', 90.0, 120.5, 90, true], ['main.front.core', 10.0, 120.5, 0, true], ['main.front.face', 10.0, 30.0, 0, true],
        ], $places);
        $all = array_sum(array_map(static fn (Sheet $s): int => count($s->parts), $plan->sheets));
        self::assertSame($derived->kit->count(), $all, 'each once');
        self::assertNull($plan->sheet(5));
    }

    /** Sheets are marked one after the other: the others stay as they are planned, however that was. */
    public function testTheOtherSheetsStayAsTheyArePlanned(): void
    {
        $derived = Kits::example('weigh-office');
        foreach ([Effort::Quick, Effort::Usual] as $effort) {
            $plan = SheetPlan::of($derived->building, $derived->kit, new Wanted($effort));
            $places = [];
            foreach ($plan->sheets[1]->parts as $p) {
                $places[$p->part->part->id.'#'.$p->copy] = new PrintedPlace(2, $p->x, $p->y, $p->turn, [210.0, 297.0]);
            }
            $after = SheetPlan::of($derived->building, $derived->kit, new Wanted($effort, prints: new Prints([], $places, [2])));
            self::assertSame([false, true], array_map(static fn (Sheet $s): bool => $s->isPrinted, $after->sheets));
            self::assertEquals($plan->sheets[0], $after->sheets[0]);
            self::assertEquals($plan->sheets[1]->parts, $after->sheets[1]->parts);
        }
    }
}
