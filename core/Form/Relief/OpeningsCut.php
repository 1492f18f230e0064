<?php

declare(strict_types=1);

namespace Chartula\Core\Form\Relief;

use Chartula\Core\Building\Opening;
use Chartula\Core\Building\OpeningRow;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;

/** Openings of a wall of which a stretch is left, perhaps squeezed: kept as wide as they are, narrowed, or dropped. Real millimetres. */
final readonly class OpeningsCut
{
    /** An opening narrower than this share of itself is dropped rather than narrowed. */
    private const LEAST_SHARE = 0.5;

    /**
     * @param  string  $wall  for what is said of it
     * @param  float  $start  where the stretch begins and ends in the whole wall
     * @param  float  $length  of it now
     * @param  float  $margin  of wall beside an opening, for the neighbouring wall's card
     * @param  float  $whole  length of the whole wall
     */
    public function __construct(
        private string $wall,
        private string $flank,
        private float $start,
        private float $end,
        private float $length,
        private float $squeeze,
        private float $margin,
        private float $whole,
    ) {
    }

    /**
     * @param  list<Opening>  $openings
     * @return array{list<Opening>, list<array{what: 'block'|'opening'|'narrowed', at: string, count: int}>, array<string, string>} those
     *     that are left, what went, and what those that are left are called now
     */
    public function of(array $openings): array
    {
        $isWhole = abs($this->squeeze - 1.0) < Tolerance::ROUNDING
            && $this->start < Tolerance::MEET
            && $openings !== []
            && max(
                array_map(static fn (Opening $o): float => $o->extent($o->count - 1)->to, $openings),
            ) <= ($this->end > $this->whole - Tolerance::MEET ? $this->whole : $this->end - $this->margin)
                + Tolerance::MEET;
        if ($isWhole || $openings === []) {
            $idsOf = static fn (Opening $o): array => array_map($o->copyId(...), range(0, $o->count - 1));
            $ids = array_merge(...array_map($idsOf, $openings));

            return [$openings, [], array_combine($ids, $ids)];
        }
        $names = [];
        $made = [];
        $lost = [];
        $taken = [];
        foreach ($openings as $opening) {
            $row = [];
            $narrow = 0;
            $heights = Interval::of($opening->sill->mm, $opening->style->h->mm);
            for ($i = 0; $i < $opening->count; $i++) {
                $place = $this->flank === 'drop' ? null : $this->place($opening->leftMm($i), $opening->style->w->mm);
                $clear = $place === null
                    || array_filter(
                        $taken,
                        static fn (array $t): bool => $t[0]->overlaps($place, Tolerance::MEET) && $t[1]->overlaps($heights),
                    ) === [];
                if ($place !== null && $clear) {
                    $names[$opening->copyId($i)] = $opening->copyId(count($row));
                    $row[] = $place;
                    $taken[] = [$place, $heights];
                    $narrow += $opening->style->w->mm - Tolerance::MEET > $place->length() ? 1 : 0;
                }
            }
            if (count($row) < $opening->count) {
                $lost[] = ['what' => 'opening', 'at' => "$this->wall.$opening->id", 'count' => $opening->count - count($row)];
            }
            if ($narrow > 0) {
                $lost[] = ['what' => 'narrowed', 'at' => "$this->wall.$opening->id", 'count' => $narrow];
            }
            array_push($made, ...OpeningRow::of($opening, $row));
        }

        return [$made, $lost, $names];
    }

    /** Where an opening stands in the stretch; null where it has no room. */
    private function place(float $left, float $width): ?Interval
    {
        if ($this->flank === 'narrow') {
            $from = max(0.0, ($left - $this->start) * $this->squeeze);
            $to = min($this->length, ($left + $width - $this->start) * $this->squeeze);
            $to = min($to, $this->length - $this->margin);
            $from = max($from, $this->margin);

            return $to - $from < $width * self::LEAST_SHARE ? null : new Interval($from, min($to, $from + $width));
        }
        $middle = ($left + $width / 2.0 - $this->start) * $this->squeeze;
        $from = $middle - $width / 2.0;

        // An end that was not cut is as it was.
        $isTrue = abs($this->squeeze - 1.0) < Tolerance::ROUNDING;
        $least = $isTrue && $this->start < Tolerance::MEET ? 0.0 : $this->margin;
        $most = $this->length - ($isTrue && $this->end > $this->whole - Tolerance::MEET ? 0.0 : $this->margin);

        return $from < $least - Tolerance::MEET || $from + $width > $most + Tolerance::MEET ? null : Interval::of($from, $width);
    }
}
