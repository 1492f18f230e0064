<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Measure\Tolerance;
use LogicException;

/**
 * Packs boxes into as few equal bins as it can: keeps the greatest free rectangles of each bin, tries several orders
 * and two ways of choosing a place, and keeps the best. docs/formulas.md#packing
 */
final readonly class Packer
{
    private const FITS = Tolerance::FIGURE;

    /** @param  float  $gap between boxes, mm */
    public function __construct(
        private float $width,
        private float $height,
        private float $gap,
    ) {
    }

    /**
     * @param  list<Box>  $boxes  each of which a bin takes
     * @return list<Packed> in the order of the boxes
     */
    public function pack(array $boxes): array
    {
        if ($boxes === []) {
            return [];
        }
        $orders = [
            static fn (Box $a, Box $b): int => [$b->width * $b->height, $a->key] <=> [$a->width * $a->height, $b->key],
            static fn (Box $a, Box $b): int => [max($b->width, $b->height), $a->key] <=> [max($a->width, $a->height), $b->key],
            static fn (Box $a, Box $b): int => [min($b->width, $b->height), $a->key] <=> [min($a->width, $a->height), $b->key],
            static fn (Box $a, Box $b): int => [$b->height, $a->key] <=> [$a->height, $b->key],
        ];
        $best = null;
        foreach ($orders as $order) {
            $sorted = $boxes;
            usort($sorted, $order);
            foreach ([true, false] as $snug) {
                $result = $this->tryOrder($sorted, $snug);
                if ($best === null || $result[1] < $best[1]) {
                    $best = $result;
                }
            }
        }
        $places = $best[0] ?? [];

        return array_map(static fn (Box $box): Packed => $places[$box->key], $boxes);
    }

    /**
     * @param  list<Box>  $boxes
     * @return array{array<string, Packed>, float} places by key, and a cost: bins, then how full the last one is, by area and by height
     */
    private function tryOrder(array $boxes, bool $snug): array
    {
        /** @var list<list<array{float, float, float, float}>> $bins free rectangles: x, y, width, height, each with a gap to spare */
        $bins = [];
        $places = [];
        $lastArea = $lastTop = 0.0;
        foreach ($boxes as $box) {
            $packed = null;
            foreach ($bins as $i => $free) {
                $packed = $this->place($box, $free, $i, $snug);
                if ($packed !== null) {
                    break;
                }
            }
            if ($packed === null) {
                $bins[] = [[0.0, 0.0, $this->width + $this->gap, $this->height + $this->gap]];
                $packed = $this->place($box, $bins[count($bins) - 1], count($bins) - 1, $snug)
                    ?? throw new LogicException("$box->key is larger than a sheet");
                $lastArea = $lastTop = 0.0;
            }
            $bins[$packed->bin] = $this->without($bins[$packed->bin], $packed);
            $places[$box->key] = $packed;
            if ($packed->bin === count($bins) - 1) {
                $lastArea += ($box->width + $this->gap) * ($box->height + $this->gap);
                $lastTop = max($lastTop, $packed->y + $packed->height());
            }
        }

        $full = $lastArea / (($this->width + $this->gap) * ($this->height + $this->gap));

        return [$places, count($bins) + ($full + $lastTop / ($this->height + $this->gap)) / 3.0];
    }

    /** @param  list<array{float, float, float, float}>  $free */
    private function place(Box $box, array $free, int $bin, bool $snug): ?Packed
    {
        $best = null;
        $least = [INF, INF];
        foreach ($box->turned !== null ? [false, true] : [false] as $turned) {
            [$w, $h] = $box->size($turned);
            $w += $this->gap;
            $h += $this->gap;
            foreach ($free as [$x, $y, $fw, $fh]) {
                if ($w <= $fw + self::FITS && $h <= $fh + self::FITS) {
                    $cost = $snug ? [min($fw - $w, $fh - $h), max($fw - $w, $fh - $h)] : [$y + $h, $x];
                    if ($cost < $least) {
                        $least = $cost;
                        $best = new Packed($box, $bin, $x, $y, $turned);
                    }
                }
            }
        }

        return $best;
    }

    /**
     * The greatest free rectangles that are left.
     *
     * @param  list<array{float, float, float, float}>  $free
     * @return list<array{float, float, float, float}>
     */
    private function without(array $free, Packed $packed): array
    {
        [$x0, $y0] = [$packed->x, $packed->y];
        [$x1, $y1] = [$x0 + $packed->width() + $this->gap, $y0 + $packed->height() + $this->gap];
        $left = [];
        foreach ($free as $rectangle) {
            [$x, $y, $w, $h] = $rectangle;
            if ($x0 >= $x + $w - self::FITS || $x1 <= $x + self::FITS || $y0 >= $y + $h - self::FITS || $y1 <= $y + self::FITS) {
                $left[] = $rectangle;

                continue;
            }
            foreach ([
                [$x, $y, $x0 - $x, $h],
                [$x1, $y, $x + $w - $x1, $h],
                [$x, $y, $w, $y0 - $y],
                [$x, $y1, $w, $y + $h - $y1],
            ] as $part) {
                if ($part[2] > $this->gap + self::FITS && $part[3] > $this->gap + self::FITS) {
                    $left[] = $part;
                }
            }
        }

        return $this->withoutContained($left);
    }

    /**
     * @param  list<array{float, float, float, float}>  $free
     * @return list<array{float, float, float, float}>
     */
    private function withoutContained(array $free): array
    {
        $kept = [];
        foreach ($free as $i => [$x, $y, $w, $h]) {
            foreach ($free as $k => [$ox, $oy, $ow, $oh]) {
                $inside = $x >= $ox - self::FITS
                    && $y >= $oy - self::FITS
                    && $x + $w <= $ox + $ow + self::FITS
                    && $y + $h <= $oy + $oh + self::FITS;
                $same = abs($x - $ox) < self::FITS
                    && abs($y - $oy) < self::FITS
                    && abs($w - $ow) < self::FITS
                    && abs($h - $oh) < self::FITS;
                if ($k !== $i && $inside && (! $same || $k < $i)) {
                    continue 2;
                }
            }
            $kept[] = [$x, $y, $w, $h];
        }

        return $kept;
    }
}
