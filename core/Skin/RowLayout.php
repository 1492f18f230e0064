<?php

declare(strict_types=1);

namespace Chartula\Core\Skin;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use Chartula\Core\Measure\Tolerance;
use Chartula\Core\Part\FaceArt;
use Chartula\Core\Part\Pattern\Rows;

/**
 * Lays units in rows, from the datum up or, upright, from the left end. Along a row is u, across it v. docs/formulas.md#coverings
 */
final readonly class RowLayout implements Layout
{
    /** No unit at the end of a row is shorter than so much of one. */
    private const LEAST = 0.25;

    private Toned $toned;

    /** @var non-empty-list<string> each of the tones as it is on every strip of a unit that bends */
    private array $tones;

    public function __construct(private FaceArt $art, private Rows $rows)
    {
        $this->toned = new Toned($rows->palette());
        $tones = [];
        foreach ($this->toned->tones as $tone) {
            array_push($tones, ...array_map(static fn (float $by): string => Shade::of($tone, $by), $rows->across));
        }
        $this->tones = $tones;
    }

    public function units(Box2 $box): array
    {
        $up = new Interval($box->y0, $box->y1);
        $along = new Interval(max($box->x0, $this->art->quoins[0]), min($box->x1, $this->art->quoins[1]));
        if ($along->length() <= 0.0) {
            return [];
        }
        $units = [];
        [$u, $v] = $this->rows->isUpright ? [$up, $along] : [$along, $up];
        foreach ($this->rowsIn($v) as $row) {
            $own = $this->row($row);
            foreach ($this->rows->breaks ? Runs::of($this->art, $own->from, $own->to) : [$u] as $run) {
                $ends = $this->ends($row, $run);
                foreach (array_slice($ends, 1) as $i => $end) {
                    array_push($units, ...$this->strips(new Interval($ends[$i], $end), $own->shared($v) ?? $own, $own));
                }
            }
        }

        return array_map(static fn (Box2 $b): array => $b->corners(), $units);
    }

    public function turned(float $from, float $far, Interval $heights): array
    {
        $out = new Interval(min($from, $from + $far), max($from, $from + $far));
        if ($this->rows->isUpright || $out->length() <= 0.0) {
            return $out->length() <= 0.0 ? [] : [new Box2($out->from, $heights->from, $out->to, $heights->to)];
        }
        $boxes = [];
        foreach ($this->rowsIn($heights) as $row) {
            $own = $this->row($row);
            array_push($boxes, ...$this->strips($out, $own, $own));
        }

        return $boxes;
    }

    public function onEdge(): float
    {
        return 0.0;
    }

    public function tones(): array
    {
        return $this->tones;
    }

    public function toneOf(array $unit): int
    {
        [$u, $v] = $this->rows->isUpright
            ? [$unit[0]->y - $this->art->datum, $unit[0]->x - $this->art->quoins[0]]
            : [$unit[0]->x - $this->art->quoins[0], $unit[0]->y - $this->art->datum];
        $cycle = array_sum($this->rows->rows);
        $mean = $cycle / count($this->rows->rows);
        $row = (int) floor($v / $mean + Tolerance::FIGURE);
        $column = $this->rows->long > 0.0 ? (int) floor($u / $this->rows->long * 2.0 + 0.5) : 0;
        $strips = count($this->rows->across);
        // Units that bend are all of one height.
        $strip = $strips === 1 ? 0 : (int) floor(fmod(fmod($v, $mean) + $mean, $mean) / $mean * $strips + 0.5) % $strips;

        return $this->toned->at($column, $row) * $strips + $strip;
    }

    /** @return list<int> the rows that come into a stretch across them */
    private function rowsIn(Interval $v): array
    {
        $cycle = array_sum($this->rows->rows);
        $count = count($this->rows->rows);
        $found = [];
        $first = (int) floor(($v->from - $this->first()) / $cycle) * $count;
        for ($row = $first; $this->row($row)->from < $v->to - Tolerance::FIGURE; $row++) {
            array_push($found, ...$this->row($row)->to > $v->from + Tolerance::FIGURE ? [$row] : []);
        }

        return $found;
    }

    private function first(): float
    {
        return $this->rows->isUpright ? $this->art->quoins[0] : $this->art->datum;
    }

    private function row(int $row): Interval
    {
        $count = count($this->rows->rows);
        $cycles = (int) floor($row / $count);
        $at = $row - $cycles * $count;
        $from = $this->first() + $cycles * array_sum($this->rows->rows) + array_sum(array_slice($this->rows->rows, 0, $at));

        return new Interval($from, $from + $this->rows->rows[$at]);
    }

    /**
     * Where units of a row end: by turns on and between those of the row below, off their places by as much as the pattern lets them.
     *
     * @return non-empty-list<float>
     */
    private function ends(int $row, Interval $run): array
    {
        $long = $this->rows->long;
        if ($long <= 0.0) {
            return [$run->from, $run->to];
        }
        $start = match (true) {
            $this->rows->isUpright => $this->art->datum,
            $this->rows->breaks => $run->from,
            default => $this->art->quoins[0],
        };
        $start += ($row % 2 === 0) === $this->art->swapped ? $this->rows->stagger * $long : 0.0;
        $least = $this->rows->breaks ? self::LEAST * $long : Tolerance::MEET;
        $ends = [$run->from];
        for ($i = (int) floor(($run->from - $start) / $long) - 1; $start + $i * $long < $run->to + $long; $i++) {
            $off = $this->rows->varies * $long * ((crc32("$row,$i") % 2001) / 1000.0 - 1.0);
            $at = $start + $i * $long + $off;
            array_push($ends, ...$at > $run->from + $least && $at < $run->to - $least ? [$at] : []);
        }

        return [...$ends, $run->to];
    }

    /** @return list<Box2> one unit, without its joints, as far as it is seen, strip by strip where it bends */
    private function strips(Interval $u, Interval $seen, Interval $row): array
    {
        $joint = $this->rows->joint();
        $count = count($this->rows->across);
        $each = ($row->length() - $this->rows->bed) / $count;
        [$from, $to] = [$u->from + $joint / 2.0, $u->to - $joint / 2.0];
        $boxes = [];
        for ($k = 0; $k < $count; $k++) {
            $v = new Interval(max($seen->from, $row->from + $k * $each), min($seen->to, $row->from + ($k + 1) * $each));
            if ($v->length() > Tolerance::FIGURE && $to - $from > Tolerance::FIGURE) {
                $boxes[] = $this->rows->isUpright ? new Box2($v->from, $from, $v->to, $to) : new Box2($from, $v->from, $to, $v->to);
            }
        }

        return $boxes;
    }
}
