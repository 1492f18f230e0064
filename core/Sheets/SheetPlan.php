<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Limits;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;

/**
 * All parts of a kit on pages. Those of one stock are packed together; what is printed on one medium, as labels for several cards are,
 * shares pages, each stock's in a frame.
 */
final readonly class SheetPlan
{
    /**
     * @param  list<Sheet>  $sheets
     * @param  list<Check>  $checks  parts that no sheet takes
     * @param  int  $bound  on fewer pages the parts could not lie, by their areas
     * @param  float  $yield  the share of all pages that is parts
     */
    private function __construct(
        public array $sheets,
        public array $checks,
        public int $bound,
        public float $yield,
    ) {
    }

    /** @throws InvalidInput limit.sheets, sheet.no-room */
    public static function of(Building $building, Kit $kit, Wanted $wanted = new Wanted, Recall $recall = new Recall): self
    {
        $places = $wanted->prints->places;
        // Sheets are printed and marked one after the other: as long as all lie as they were planned, the others stay as they are too.
        foreach ($places === [] ? [] : array_unique([$wanted->effort, Effort::Quick], SORT_REGULAR) as $effort) {
            $fresh = self::laid($building, $kit, new Wanted($effort), $recall);
            if (PrintedSheets::lieIn($fresh->sheets, $wanted->prints)) {
                return new self(PrintedSheets::marked($fresh->sheets, $places), $fresh->checks, $fresh->bound, $fresh->yield);
            }
        }

        return self::laid($building, $kit, $places === [] ? $wanted : $wanted->quick(), $recall);
    }

    /** @throws InvalidInput */
    private static function laid(Building $building, Kit $kit, Wanted $wanted, Recall $recall): self
    {
        $page = new Page($building->sheets);
        if ($page->roomWidth() < 20.0 || $page->roomHeight() < 20.0) {
            throw InvalidInput::at('sheets.margin', 'sheet.no-room', ['margin' => $page->margin, 'paper' => $building->sheets->words()]);
        }
        $corrected = CorrectedParts::of($building->sheets->corrections, $kit->parts);
        $checks = $corrected->checks;
        $groups = self::groups($building, $corrected->parts, $wanted, $checks);
        $bands = [];
        foreach ($groups as $group) {
            array_push($bands, ...$group->bands($page, $wanted->effort, 1.0 / count($groups), $recall));
        }
        $printed = PrintedSheets::of($building, $corrected->parts, $wanted->prints->places);
        $taken = [...$wanted->prints->sheets, ...array_map(static fn (Sheet $s): int => $s->number, $printed)];
        $sheets = [...$printed, ...Pages::of($bands, $page, $taken)];
        usort($sheets, static fn (Sheet $a, Sheet $b): int => $a->number <=> $b->number);
        if (count($sheets) > Limits::SHEETS) {
            throw InvalidInput::at('sheets', 'limit.sheets', ['given' => count($sheets), 'limit' => Limits::SHEETS]);
        }

        return new self($sheets, $checks, self::bound($groups, $page), self::yielded($sheets));
    }

    public function sheet(int $number): ?Sheet
    {
        return array_values(array_filter($this->sheets, static fn (Sheet $s): bool => $s->number === $number))[0] ?? null;
    }

    /** @return array{sheets: int, sheets_bound: int, sheets_yield: float} */
    public function totals(): array
    {
        return ['sheets' => count($this->sheets), 'sheets_bound' => $this->bound, 'sheets_yield' => round($this->yield, 4)];
    }

    /** @param  list<PieceGroup>  $groups */
    private static function bound(array $groups, Page $page): int
    {
        $shares = [];
        foreach ($groups as $group) {
            $shares[$group->medium] = ($shares[$group->medium] ?? 0.0) + $group->share($page);
        }
        $bounds = array_map(static fn (float $share): int => (int) ceil($share), array_diff_key($shares, [Pages::ANY => 0]));

        return $groups === [] ? 0 : max(1, array_sum($bounds));
    }

    /** @param  list<Sheet>  $sheets */
    private static function yielded(array $sheets): float
    {
        $parts = $pages = 0.0;
        foreach ($sheets as $sheet) {
            $pages += $sheet->page->width * $sheet->page->height;
            $parts += array_sum(array_map(static fn (PlacedPart $p): float => $p->part->part->region()->area(), $sheet->parts));
        }

        return $pages > 0.0 ? $parts / $pages : 0.0;
    }

    /**
     * @param  list<LabelledPart>  $parts  as they are printed
     * @param  list<Check>  $checks  to which what no page takes is added
     * @return list<PieceGroup>
     */
    private static function groups(Building $building, array $parts, Wanted $wanted, array &$checks): array
    {
        $page = new Page($building->sheets);
        $keys = $wanted->keys();
        $groups = [];
        foreach ($parts as $part) {
            $stock = $part->part->stock;
            if ($stock->isBought()) {
                continue;
            }
            $block = $building->sheets->order === 'block' ? $part->part->of->block ?? '' : '';
            $piece = new SheetPiece($part, $building->sheets->gap_mm, SheetPiece::isMirrored($part->part, $building->methods->template));
            $goesOn = static fn (SheetPiece $p): bool => $p->piece(0, INF, Effort::Quick)->goesOn($page->bin(0.0));
            $across = $goesOn($piece) ? $piece : $piece->across();
            if (! $goesOn($across)) {
                $checks[] = $piece->tooLarge($page);

                continue;
            }
            array_push($checks, ...$across === $piece ? [] : [$piece->liesAcross()]);
            $piece = $across;
            $isLeft = static fn (string $key): bool => ! isset($wanted->prints->places[$key]) && ($keys === null || isset($keys[$key]));
            $copies = array_filter(range(0, $part->part->qty() - 1), static fn (int $copy): bool => $isLeft($part->part->id.'#'.$copy));
            // A spare is printed with the first of them, and only once.
            $hasSpare = $building->sheets->hasSpares && $keys === null && in_array(0, $copies, true) && $piece->isTiny();
            foreach ([...$copies, ...$hasSpare ? [$part->part->qty()] : []] as $copy) {
                ($groups["$block $stock->id"] ??= new PieceGroup($stock, Pages::medium($stock, $block)))->add($piece, $copy);
            }
        }

        return array_values($groups);
    }
}
