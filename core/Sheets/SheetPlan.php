<?php

declare(strict_types=1);

namespace Chartula\Core\Sheets;

use Chartula\Core\Building\Building;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\LabelledPart;
use Chartula\Core\Kit\Limits;
use Chartula\Core\Measure\LengthFormat;
use Chartula\Core\Part\BrickArt;
use Chartula\Core\Part\PartGroup;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;

/** All parts of a kit on pages, stock by stock. */
final readonly class SheetPlan
{
    /** So much room a line of words takes below a piece. */
    private const NAME_MM = 2.4;

    /** A piece smaller than this has no room for its name. */
    private const SMALL_MM = 14.0;

    /**
     * @param  list<Sheet>  $sheets
     * @param  list<Check>  $checks  parts that no sheet takes
     */
    private function __construct(
        public array $sheets,
        public array $checks,
    ) {
    }

    /**
     * @param  ?list<string>  $only  pieces by id and copy, where not all are wanted
     *
     * @throws InvalidInput limit.sheets, sheet.no-room
     */
    public static function of(Building $building, Kit $kit, ?array $only = null, Recall $recall = new Recall): self
    {
        $wanted = $only === null ? null : array_fill_keys($only, true);
        $page = new Page($building->sheets);
        if ($page->roomWidth() < 20.0 || $page->roomHeight() < 20.0) {
            throw InvalidInput::at('sheets.margin', 'sheet.no-room', ['margin' => $page->margin, 'paper' => $building->sheets->words()]);
        }
        $byStock = [];
        foreach ($kit->parts as $part) {
            $byStock[$part->part->stock->id][] = $part;
        }
        $sheets = [];
        $checks = [];
        foreach ($byStock as $parts) {
            array_push($sheets, ...self::forStock($building, $page, $parts, $wanted, count($sheets), $checks, $recall));
        }
        if (count($sheets) > Limits::SHEETS) {
            throw InvalidInput::at('sheets', 'limit.sheets', ['given' => count($sheets), 'limit' => Limits::SHEETS]);
        }

        return new self($sheets, $checks);
    }

    private static function tooLarge(LabelledPart $part, Page $page): Check
    {
        $size = $part->part->blank()->outline->bounds();
        [$aside, $below, $above] = self::kept($part);
        $mm = static fn (float $mm): string => LengthFormat::millimetres($mm, 1);

        return new Check('part.too-large', Check::STOP, $part->part->id, sprintf(
            '%s %s (%s × %s) is on no page: one takes %s × %s of it. Choose larger pages, a smaller scale, or make the building in two lengths.',
            $part->label,
            $part->part->name,
            $mm($size->width()),
            $mm($size->height()),
            $mm($page->roomWidth() - 2.0 * $aside),
            $mm($page->roomHeight() - $below - $above),
        ), max($size->width(), $size->height()));
    }

    /** @return array{float, float, float} how much is kept free beside a piece, below it and above: for bleed, and for its name below */
    private static function kept(LabelledPart $part): array
    {
        if ($part->part->art !== null) {
            return [BrickArt::BLEED_MM, BrickArt::BLEED_MM + BrickArt::TICK_MM + self::NAME_MM, BrickArt::BLEED_MM];
        }
        $isSmall = min($part->part->width(), $part->part->height()) < self::SMALL_MM;

        return [0.0, $isSmall || $part->part->group === PartGroup::Trim ? self::NAME_MM : 0.0, 0.0];
    }

    /**
     * @param  non-empty-list<LabelledPart>  $parts  of one stock
     * @param  ?array<string, true>  $wanted  pieces by id and copy
     * @param  list<Check>  $checks
     * @return list<Sheet>
     */
    private static function forStock(
        Building $building,
        Page $page,
        array $parts,
        ?array $wanted,
        int $before,
        array &$checks,
        Recall $recall,
    ): array {
        $stock = $parts[0]->part->stock;
        $isTemplate = $stock->takesTemplate();
        $isMirrored = $isTemplate && $building->methods->template->side === 'back';
        $packer = new Packer($page->roomWidth(), $page->roomHeight(), $building->sheets->gap_mm);
        $boxes = [];
        $copies = [];
        foreach ($parts as $part) {
            $size = $part->part->blank()->outline->bounds();
            [$aside, $below, $above] = self::kept($part);
            $box = new Box($part->part->id, $size->width() + 2.0 * $aside, $size->height() + $below + $above, $part->part->mayTurn);
            if (! $packer->takes($box)) {
                $checks[] = self::tooLarge($part, $page);

                continue;
            }
            for ($copy = 0; $copy < $part->part->qty(); $copy++) {
                if ($wanted !== null && ! isset($wanted[$part->part->id.'#'.$copy])) {
                    continue;
                }
                $boxes[] = new Box($part->part->id.'#'.$copy, $box->width, $box->height, $box->mayTurn);
                $copies[] = [$part, $copy];
            }
        }
        $onBin = [];
        $places = $recall->of(Recall::question('packed', $packer, $boxes), static fn (): array => $packer->pack($boxes));
        foreach ($places as $i => $packed) {
            [$part, $copy] = $copies[$i];
            [$aside, $below] = self::kept($part);
            $onBin[$packed->bin][] = new PlacedPart(
                $part,
                $copy,
                $page->roomX() + $packed->x + $aside,
                $page->roomY() + $page->roomHeight() - $packed->y - $packed->height() + ($packed->turned ? $aside : $below),
                $packed->turned,
                $isMirrored,
            );
        }
        ksort($onBin);
        $sheets = [];
        foreach ($onBin as $placed) {
            $sheets[] = new Sheet($before + count($sheets) + 1, $stock, $page, $isTemplate, $isMirrored, $placed);
        }

        return $sheets;
    }
}
