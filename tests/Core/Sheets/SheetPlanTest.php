<?php

declare(strict_types=1);

namespace Tests\Core\Sheets;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Packing\Effort;
use Chartula\Core\PrintedKit;
use Chartula\Core\Problem\Check;
use Chartula\Core\Sheets\CutStep;
use Chartula\Core\Sheets\CuttingOrder;
use Chartula\Core\Sheets\Frame;
use Chartula\Core\Sheets\PlacedPart;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\Wanted;
use PHPUnit\Framework\Attributes\Group;
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
            foreach ($sheet->frames as $frame) {
                self::assertSame($frame->stock->takesTemplate(), $frame->isMirrored(), $frame->stock->id);
                foreach ($frame->parts as $placed) {
                    // A door's planks are to be seen: its template goes on the outside.
                    $isDoor = str_contains($placed->part->part->id, '.leaf.');
                    self::assertSame(
                        [$frame->stock, $frame->isMirrored() && ! $isDoor],
                        [$placed->part->part->stock, $placed->mirrored],
                        $placed->part->part->id,
                    );
                }
            }
        }
        self::assertCount(2, $derivedSheets, 'one of paper, and one of labels for all cards');
        foreach (self::office(['methods.template.side' => 'front'])->printed->plan->sheets as $sheet) {
            self::assertFalse($sheet->frames[0]->isMirrored());
        }
    }

    public function testWhereAPointOfAPartLiesOnTheSheet(): void
    {
        $part = self::office([])->kit->part('main.front.core'); // 72 × 38
        $at = static fn (int $turn, bool $mirrored): array =>
            (new PlacedPart($part, 0, 100.0, 50.0, match ($turn) {
                0 => 0, 90 => 90, 180 => 180, default => 270
            }, $mirrored))->toSheet(new Vec2(10.0, 4.0))->toArray();
        self::assertSame([110.0, 54.0], $at(0, false));
        self::assertSame([162.0, 54.0], $at(0, true), '100 + 72 − 10');
        self::assertSame([134.0, 60.0], $at(90, false), 'a quarter to the left: 100 + 38 − 4, 50 + 10');
        self::assertSame([134.0, 112.0], $at(90, true));
        self::assertSame([162.0, 84.0], $at(180, false), 'on its head: 100 + 72 − 10, 50 + 38 − 4');
        self::assertSame([104.0, 112.0], $at(270, false), 'a quarter to the right: 100 + 4, 50 + 72 − 10');
    }

    public function testScoresThenOpeningsFromTheSmallestThenOutlinesFromTheOutside(): void
    {
        foreach (self::frames(self::office([])) as $sheet) {
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

    /** The halt’s platform is 240 long, and a page 191 wide: its papers lie across their grain, which is said. */
    public function testAPaperThatIsTooLongLiesAcrossItsGrain(): void
    {
        $plan = Kits::example('halt')->printed->plan;
        $turned = [];
        foreach ($plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                $turned = [...$turned, ...! $placed->part->part->mayTurn && $placed->turn % 180 !== 0 ? [$placed->part->part->id] : []];
            }
        }
        $said = array_map(static fn (Check $c): string => $c->at, array_filter($plan->checks, static fn (Check $c): bool =>
            $c->code === 'paper.across'));
        sort($turned);
        sort($said);
        self::assertSame(['platform.back.paper', 'platform.front.paper'], $turned);
        self::assertSame($turned, $said);
    }

    public function testPapersKeepTheirGrain(): void
    {
        foreach (self::office([])->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                self::assertTrue($placed->part->part->mayTurn || $placed->turn % 180 === 0);
            }
        }
        self::assertFalse(self::office([])->kit->part('main.front.paper')->part->mayTurn);
    }

    /** The four examples as they stood when this was wanted: 29 pages before. */
    #[Group('property')]
    public function testTheExamplesTakeNineteenPages(): void
    {
        $pages = [];
        foreach (['weigh-office', 'creamery', 'halt', 'ropewalk-row'] as $name) {
            $building = BuildingReader::fromText((string) file_get_contents(dirname(__DIR__, 2)."/fixtures/kits/$name.json"));
            $plan = PrintedKit::of($building, wanted: new Wanted(Effort::Usual))->plan;
            $pages[$name] = count($plan->sheets);
            self::assertSame([], $plan->checks);
            foreach ($plan->sheets as $sheet) {
                self::assertInFrames($sheet);
            }
        }
        self::assertLessThanOrEqual(3, $pages['weigh-office']);
        self::assertLessThanOrEqual(19, array_sum($pages), (string) json_encode($pages));
    }

    /** Frames do not overlap, lie in the room of their page, and each holds all of its parts, apart from each other. */
    private static function assertInFrames(Sheet $sheet): void
    {
        $room = $sheet->page->room();
        $top = $room->y1;
        foreach ($sheet->frames as $frame) {
            $top -= $sheet->isShared() ? Frame::TITLE_MM : 0.0;
            self::assertEqualsWithDelta($top, $frame->box->y1, 1e-6);
            foreach ($frame->parts as $i => $placed) {
                self::assertSame($frame->stock, $placed->part->part->stock);
                $ring = self::ring($placed);
                $box = $ring->bounds();
                self::assertTrue($box->x0 > $room->x0 - 1e-6 && $box->x1 < $room->x1 + 1e-6, $placed->part->label);
                self::assertTrue($box->y0 > $frame->box->y0 - 1e-6 && $box->y1 < $frame->box->y1 + 1e-6, $placed->part->label);
                foreach (array_slice($frame->parts, $i + 1) as $other) {
                    self::assertApart($placed, $other);
                }
            }
            $top = $frame->box->y0;
        }
        self::assertGreaterThan($room->y0 - 1e-6, $top);
    }

    private static function ring(PlacedPart $placed): Ring
    {
        return new Ring(array_map($placed->toSheet(...), $placed->part->part->blank()->outline->points));
    }

    /** Two pieces are two millimetres apart, also where one lies in an opening of the other. */
    private static function assertApart(PlacedPart $a, PlacedPart $b): void
    {
        [$ringA, $ringB] = [self::ring($a), self::ring($b)];
        if (! $ringA->bounds()->grown(2.0)->meets($ringB->bounds())) {
            return;
        }
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            $blank = $other->part->part->blank();
            foreach (self::ring($one)->points as $point) {
                foreach ($blank->rings() as $ring) {
                    $distance = (new Ring(array_map($other->toSheet(...), $ring->points)))->distanceTo($point);
                    self::assertGreaterThan(2.0 - 1e-6, $distance, $one->part->label.' and '.$other->part->label);
                }
            }
        }
    }

    /** @return list<Sheet> each frame as a sheet of its own */
    private static function frames(Derivation $derived): array
    {
        $sheets = [];
        foreach ($derived->printed->plan->sheets as $sheet) {
            foreach ($sheet->frames as $frame) {
                $sheets[] = new Sheet($sheet->number, $sheet->page, [$frame]);
            }
        }

        return $sheets;
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
