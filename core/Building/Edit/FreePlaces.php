<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Edit;

use Chartula\Core\Building\Bays;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Interval;
use stdClass;

/** Where along a wall there is room for one more opening. Real millimetres from the wall's left end and its foot. */
final readonly class FreePlaces
{
    /** Places are written to a sixteenth of an inch; what is off by less stands where it was meant. */
    private const WRITTEN_MM = 1.6;

    /** So many bricks stay free at each end of a wall. */
    private const END_BRICKS = 2.0;

    /**
     * @param  list<Box2>  $taken  openings that are there, and what is kept free
     */
    private function __construct(private float $length, private float $brick, private array $taken)
    {
    }

    public static function of(WallEntry $on): self
    {
        [$ruler, $length, $styles] = [$on->ruler, $on->length(), $on->document->styles ?? null];
        $taken = [];
        foreach ($on->openings() as $opening) {
            [, $height, $sill] = $on->size($opening);
            foreach ($ruler->extentsOf($opening, $styles) as $place) {
                $taken[] = new Box2($place->from, $sill, $place->to, $sill + $height);
            }
        }
        foreach ($on->rows() as $row) {
            [$width, $height, $sill] = $on->size($row);
            foreach (self::bays($ruler, $row, $length, $width)->places() as $place) {
                $taken[] = new Box2($place->from, $sill, $place->to, $sill + $height);
            }
        }
        foreach (Ruler::listed($on->wall->keep ?? null) as $kept) {
            $from = $ruler->read($kept->from ?? null);
            $taken[] = new Box2($from, -INF, $from + $ruler->read($kept->width ?? null), INF);
        }

        return new self($length, $ruler->gauge->brick_mm, $taken);
    }

    /** @param  list<Box2>  $more  that is taken too */
    public function without(array $more): self
    {
        return new self($this->length, $this->brick, [...$this->taken, ...$more]);
    }

    /** The row as it stands. */
    public static function bays(Ruler $ruler, stdClass $row, float $length, float $width): Bays
    {
        $said = [];
        foreach (['margin', 'from', 'pitch'] as $key) {
            $said[$key] = is_string($row->{$key} ?? null) ? $ruler->read($row->{$key}) : null;
        }

        return Bays::of($length, $width, is_int($row->count ?? null) ? max(1, min(200, $row->count)) : 1, $said);
    }

    /** Whether a place along a wall comes into what is kept free there. */
    public static function isKept(Ruler $ruler, stdClass $wall, Interval $place): bool
    {
        foreach (Ruler::listed($wall->keep ?? null) as $kept) {
            if (Interval::of($ruler->read($kept->from ?? null), $ruler->read($kept->width ?? null))->overlaps($place)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The nearest place to one, a brick from its neighbours, by whole bricks from it; those to the right before those to the left.
     *
     * @param  float  $low  of the opening
     */
    public function nearest(float $from, float $width, float $low, float $high): ?float
    {
        $steps = (int) ceil($this->length / $this->brick);
        for ($i = 0; $i <= $steps; $i++) {
            foreach ($i === 0 ? [0] : [$i, -$i] as $step) {
                $at = $from + $step * $this->brick;
                if ($this->isFree($at, $width, $low, $high)) {
                    return $at;
                }
            }
        }

        return null;
    }

    /** The first from the left. */
    public function first(float $width, float $low, float $high): ?float
    {
        $end = self::END_BRICKS * $this->brick;
        for ($at = $end; $at + $width + $end <= $this->length; $at += $this->brick) {
            if ($this->isFree($at, $width, $low, $high)) {
                return $at;
            }
        }

        return null;
    }

    /**
     * Sills at which a row may stand: the usual one, and a brick's length over the heads of what is there.
     *
     * @param  float  $most  the highest
     * @return list<float> from the lowest
     */
    public function sills(float $usual, float $most): array
    {
        $sills = [$usual, ...array_map(fn (Box2 $box): float => $box->y1 + $this->brick, $this->taken)];
        $sills = array_filter($sills, fn (float $sill): bool => $sill >= $usual && $sill <= $most - $this->brick);
        sort($sills);

        return array_values(array_unique($sills));
    }

    /**
     * Where the wall is free at a height, a brick from what stands there, the longest first.
     *
     * @param  float  $least  shorter ones are of no use
     * @return list<Interval> from jamb to jamb
     */
    public function stretches(float $least, float $low, float $high): array
    {
        $end = self::END_BRICKS * $this->brick;
        $taken = [];
        foreach ($this->taken as $box) {
            if ($low < $box->y1 + $this->brick / 2.0 && $high > $box->y0 - $this->brick / 2.0) {
                $taken[] = [$box->x0 - $this->brick, $box->x1 + $this->brick];
            }
        }
        sort($taken);
        $free = [];
        $at = $end;
        foreach ([...$taken, [$this->length - $end, INF]] as [$from, $to]) {
            array_push($free, ...$from - $at >= $least ? [Interval::between($at, $from)] : []);
            $at = max($at, $to);
        }
        usort($free, static fn (Interval $a, Interval $b): int => $b->length() <=> $a->length());

        return $free;
    }

    public function isFree(float $at, float $width, float $low, float $high): bool
    {
        $end = self::END_BRICKS * $this->brick;
        if ($at < $end || $at + $width > $this->length - $end) {
            return false;
        }
        $beside = $this->brick;
        foreach ($this->taken as $box) {
            $isAside = $at + $width + $beside <= $box->x0 + self::WRITTEN_MM || $at - $beside >= $box->x1 - self::WRITTEN_MM;
            if (! $isAside && $low < $box->y1 + $beside / 2.0 && $high > $box->y0 - $beside / 2.0) {
                return false;
            }
        }

        return true;
    }
}
