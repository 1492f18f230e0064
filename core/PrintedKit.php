<?php

declare(strict_types=1);

namespace Chartula\Core;

use Chartula\Core\Building\Building;
use Chartula\Core\Drawing\Drawing;
use Chartula\Core\Drawing\Guide\GuidePages;
use Chartula\Core\Drawing\IndexPages;
use Chartula\Core\Drawing\Mates;
use Chartula\Core\Drawing\SheetDrawing;
use Chartula\Core\Drawing\SheetHeading;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\Sheet;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;

/** The kit of one building on its sheets: all that printing, cutting and drawing a part take. Nothing is proven here. */
final readonly class PrintedKit
{
    /** @param  Building  $building  what is modelled of it */
    private function __construct(
        public Building $building,
        public Kit $kit,
        public SheetPlan $plan,
    ) {
    }

    /**
     * @param  Recall  $recall  what an earlier run worked out
     * @param  Wanted  $wanted  what is wanted on sheets, and how long is looked for fewer
     *
     * @throws InvalidInput with every reason why it cannot be made
     */
    public static function of(Building $building, Recall $recall = new Recall, Wanted $wanted = new Wanted): self
    {
        $kit = Kit::derive($building, $recall, $wanted->prints->labels);
        $modelled = $kit->modelled->building;

        return new self($modelled, $kit, SheetPlan::of($modelled, $kit, $wanted, $recall));
    }

    /**
     * The sheets as they print.
     *
     * @param  string  $footer  revision and date, for the heading
     * @param  ?Wanted  $wanted  packed afresh; those of the plan where it is null
     * @return list<Drawing>
     */
    public function drawings(string $footer = '', ?Wanted $wanted = null): array
    {
        $sheets = $this->sheets($wanted);
        $mates = Mates::of($this->kit);
        $heading = self::heading($sheets, $footer, $wanted);

        return array_map(fn (Sheet $sheet): Drawing => SheetDrawing::of($this->building, $sheet, $mates, $heading), $sheets);
    }

    /** @return list<Drawing> the pages before the sheets: pictures of the building, where things go, what is bought, every part in words */
    public function before(string $footer = ''): array
    {
        if ($this->plan->sheets === []) {
            return [];
        }

        return [
            ...GuidePages::of($this->building, $this->kit, $footer),
            ...IndexPages::of($this->building, $this->kit, $this->plan, $footer),
        ];
    }

    /** @return list<Drawing> openings at true size, to be traced; none where nothing is cut for one */
    public function templates(string $footer = ''): array
    {
        return GuidePages::templates($this->building, $this->kit, $footer);
    }

    /** @return list<Drawing> every part of card, to be marked out by rule and square where nothing is printed */
    public function markingOut(string $footer = ''): array
    {
        return GuidePages::markingOut($this->building, $this->kit, $footer);
    }

    /** The sheet of a number; null where there is none. */
    public function drawing(int $number, string $footer = '', ?Wanted $wanted = null): ?Drawing
    {
        $sheets = $this->sheets($wanted);
        $sheet = ($wanted === null ? $this->plan : SheetPlan::of($this->building, $this->kit, $wanted))->sheet($number);
        $heading = self::heading($sheets, $footer, $wanted);

        return $sheet === null ? null : SheetDrawing::of($this->building, $sheet, Mates::of($this->kit), $heading);
    }

    /** @param  list<Sheet>  $sheets */
    private static function heading(array $sheets, string $footer, ?Wanted $wanted): SheetHeading
    {
        return new SheetHeading($sheets === [] ? 0 : $sheets[count($sheets) - 1]->number, $footer, $wanted->words ?? '');
    }

    /** @return list<Sheet> */
    private function sheets(?Wanted $wanted): array
    {
        return ($wanted === null ? $this->plan : SheetPlan::of($this->building, $this->kit, $wanted))->sheets;
    }
}
