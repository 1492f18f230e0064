<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\Limits;
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
     */
    private function __construct(
        public array $sheets,
        public array $checks,
    ) {
    }

    /** @throws InvalidInput limit.sheets, sheet.no-room */
    public static function of(Building $building, Kit $kit, Wanted $wanted = new Wanted, Recall $recall = new Recall): self
    {
        $page = new Page($building->sheets);
        if ($page->roomWidth() < 20.0 || $page->roomHeight() < 20.0) {
            throw InvalidInput::at('sheets.margin', 'sheet.no-room', ['margin' => $page->margin, 'paper' => $building->sheets->words()]);
        }
        $checks = [];
        $groups = self::groups($building, $kit, $wanted, $checks);
        $bands = [];
        foreach ($groups as $group) {
            array_push($bands, ...$group->bands($page, $wanted->effort, 1.0 / count($groups), $recall));
        }
        $sheets = Pages::of($bands, $page);
        if (count($sheets) > Limits::SHEETS) {
            throw InvalidInput::at('sheets', 'limit.sheets', ['given' => count($sheets), 'limit' => Limits::SHEETS]);
        }

        return new self($sheets, $checks);
    }

    /**
     * @param  list<Check>  $checks  to which what no page takes is added
     * @return list<PieceGroup>
     */
    private static function groups(Building $building, Kit $kit, Wanted $wanted, array &$checks): array
    {
        $page = new Page($building->sheets);
        $keys = $wanted->keys();
        $groups = [];
        foreach ($kit->parts as $part) {
            $stock = $part->part->stock;
            $isMirrored = $stock->takesTemplate() && $building->methods->template->side === 'back';
            $piece = new SheetPiece($part, $building->sheets->gap_mm, $isMirrored);
            if (! $piece->piece(0, INF, Effort::Quick)->goesOn($page->bin(0.0))) {
                $checks[] = $piece->tooLarge($page);

                continue;
            }
            for ($copy = 0; $copy < $part->part->qty(); $copy++) {
                if ($keys === null || isset($keys[$part->part->id.'#'.$copy])) {
                    ($groups[$stock->id] ??= new PieceGroup($stock, Pages::medium($stock)))->add($piece, $copy);
                }
            }
        }

        return array_values($groups);
    }
}
