<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Measure\Tolerance;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Packs pieces by their outlines into as few equal bins as it can, and into as little of the last as it can. It begins with the better of
 * the boxes' packing and of several orders by size, then takes the last bin and a few others apart again and again and lays them in a
 * changed order, and keeps what is no worse. docs/formulas.md#packing
 */
final class Nesting
{
    private const SEED = 1;

    /** At most so many bins are taken apart with the last. */
    private const OTHERS = 3;

    /** At most so many changes are made to an order at once. */
    private const CHANGES = 4;

    /** With more pieces than these the boxes' packing is changed at once, one bin with the last at a time. */
    private const MANY = 120;

    private readonly Grid $grid;

    private readonly Randomizer $chance;

    /** @var array<string, Piece> as they were given, in all their turnings */
    private array $whole = [];

    private Packing $best;

    /** @param  list<Piece>  $pieces */
    private function __construct(array $pieces, private readonly Bin $bin, int $looks)
    {
        $this->grid = new Grid($bin, $looks);
        $this->chance = new Randomizer(new Mt19937(self::SEED));
        foreach ($pieces as $piece) {
            $this->whole[$piece->key] = $piece;
        }
        $this->best = Boxes::pack($pieces, $bin);
    }

    /**
     * @param  list<Piece>  $pieces  each of which goes on a bin
     * @param  float  $share  of the looks that the effort allows
     */
    public static function of(array $pieces, Bin $bin, Effort $effort, float $share = 1.0): Packing
    {
        $self = new self($pieces, $bin, (int) ($effort->looks() * $share));
        if ($effort !== Effort::Quick && $pieces !== []) {
            if (count($pieces) <= self::MANY) {
                $self->begin($pieces);
            }
            $self->improve($effort);
        }

        return $self->best;
    }

    /**
     * Gives the least number of bins there can be, by area and by what no bin takes two of. docs/formulas.md#packing
     *
     * @param  list<Piece>  $pieces
     */
    public static function bound(array $pieces, Bin $bin): int
    {
        $area = array_sum(array_map(static fn (Piece $p): float => $p->shape()->areaWithin($bin->gap), $pieces));
        $large = array_filter($pieces, static fn (Piece $p): bool => $p->isOverHalfOf($bin));

        return max((int) ceil($area / $bin->area() - Tolerance::FIGURE), count($large), $pieces === [] ? 0 : 1);
    }

    /** @param  list<Piece>  $pieces */
    private function begin(array $pieces): void
    {
        foreach (self::sizes() as $size) {
            usort($pieces, static fn (Piece $a, Piece $b): int => [$size($b->shape()), $a->key] <=> [$size($a->shape()), $b->key]);
            foreach ([true, false] as $byTop) {
                $found = Attempt::of($this->grid, $pieces, $byTop, $this->best->bins);
                if ($found !== null && $found->cost($this->bin) < $this->best->cost($this->bin)) {
                    $this->best = $found;
                }
            }
        }
    }

    /** @return non-empty-list<callable(Shape): float> */
    private static function sizes(): array
    {
        return [
            static fn (Shape $s): float => $s->area,
            static fn (Shape $s): float => max($s->width, $s->height),
            static fn (Shape $s): float => min($s->width, $s->height),
            static fn (Shape $s): float => $s->width + $s->height,
        ];
    }

    private function improve(Effort $effort): void
    {
        $idle = 0;
        for ($try = 0; $try < $effort->tries() && $idle < $effort->patience() && ! $this->grid->isSpent(); $try++) {
            $before = $this->best->cost($this->bin);
            $this->attempt();
            $idle = $this->best->cost($this->bin) < $before - Tolerance::FIGURE ? 0 : $idle + 1;
        }
    }

    /** Takes the last bin and a few others apart. */
    private function attempt(): void
    {
        $bins = $this->best->byBin();
        $last = (int) array_key_last($bins);
        $most = $this->chance->getInt(1, count($this->whole) > self::MANY ? 1 : $this->chance->getInt(1, self::OTHERS));
        $others = $last === 0 ? [] : array_slice($this->chance->shuffleArray(range(0, $last - 1)), 0, $most);
        sort($others);
        $order = [];
        foreach ([...$others, $last] as $bin) {
            foreach ($bins[$bin] as $place) {
                $order[] = $place->piece;
            }
        }
        $found = Attempt::of(
            $this->grid,
            $this->changed($order, count($order) - count($bins[$last])),
            $this->chance->getInt(0, 1) === 1,
            count($others) + 1,
        );
        if ($found === null) {
            return;
        }
        $kept = array_values(array_diff_key($bins, array_flip([...$others, $last])));
        $places = [];
        foreach ([...$kept, ...$found->byBin()] as $bin => $all) {
            foreach ($all as $place) {
                $places[] = new Place($place->piece, $bin, $place->turn, $place->x, $place->y);
            }
        }
        $whole = Packing::of($places);
        if ($whole->cost($this->bin) <= $this->best->cost($this->bin) + Tolerance::ROUNDING) {
            $this->best = $whole;
        }
    }

    /**
     * @param  list<Piece>  $order
     * @param  int  $first  of the last bin
     * @return list<Piece>
     */
    private function changed(array $order, int $first): array
    {
        if ($this->chance->getInt(1, self::CHANGES) === 1) {
            return $this->bySize($order);
        }
        $end = count($order) - 1;
        for ($change = $this->chance->getInt(1, self::CHANGES); $change > 0; $change--) {
            [$from, $to] = [$this->chance->getInt(0, $end), $this->chance->getInt(0, $end)];
            switch ($this->chance->getInt(0, 3)) {
                case 0:
                    [$order[$from], $order[$to]] = [$order[$to], $order[$from]];
                    break;
                case 1:
                    $order = $this->turned($order, min($from, $to), max($from, $to));
                    break;
                case 2:
                    $from = $this->chance->getInt($first, $end);
                    // What lies in the last bin goes before what does not.
                default:
                    $moved = array_splice($order, $from, 1);
                    array_splice($order, $this->chance->getInt(0, $from), 0, $moved);
            }
        }

        return array_values($order);
    }

    /**
     * A run of pieces in one turning alone, or in any again.
     *
     * @param  array<int, Piece>  $order
     * @return array<int, Piece>
     */
    private function turned(array $order, int $from, int $to): array
    {
        $quarter = $this->chance->getInt(-1, 3);
        for ($i = $from; $i <= $to; $i++) {
            $whole = $this->whole[$order[$i]->key];
            $order[$i] = $quarter < 0 ? $whole : $whole->only(90 * $quarter);
        }

        return $order;
    }

    /**
     * The larger ones first, by one of the sizes and with chance.
     *
     * @param  list<Piece>  $order
     * @return list<Piece>
     */
    private function bySize(array $order): array
    {
        $size = self::sizes()[$this->chance->getInt(0, 3)];
        $sizes = [];
        foreach ($order as $piece) {
            $sizes[$piece->key] = $size($piece->shape()) * $this->chance->getInt(700, 1300);
        }
        usort($order, static fn (Piece $a, Piece $b): int => [$sizes[$b->key], $a->key] <=> [$sizes[$a->key], $b->key]);

        return array_map(fn (Piece $p): Piece => $this->whole[$p->key], $order);
    }
}
