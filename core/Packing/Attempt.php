<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

use Chartula\Core\Measure\Tolerance;
use GMP;

/** One way of putting pieces into bins, in one order: each into the first bin that takes it, as low as it goes. */
final class Attempt
{
    /** @var list<list<Lying>> */
    private array $bins = [];

    /** @var list<array<string, array{GMP, int}|false>> what is forbidden a shape in a bin, and how many of its shapes are in that */
    private array $forbidden = [];

    /** @var array<int, float> free area of each, mm² */
    private array $left = [];

    /** @param  bool  $byTop  whether a turning is chosen by where the piece would end rather than by where it would begin */
    private function __construct(private readonly Grid $grid, private readonly bool $byTop)
    {
    }

    /**
     * @param  list<Piece>  $pieces  each of which a bin takes
     * @param  int  $most  bins; it is given up when more are wanted, or when the grid is spent
     */
    public static function of(Grid $grid, array $pieces, bool $byTop, int $most): ?Packing
    {
        $self = new self($grid, $byTop);
        $places = [];
        foreach ($pieces as $piece) {
            $place = $grid->isSpent() ? null : $self->put($piece, $most);
            if ($place === null) {
                return null;
            }
            $places[] = $place;
        }

        return Packing::of($places);
    }

    private function put(Piece $piece, int $most): ?Place
    {
        for ($bin = 0; $bin < $most; $bin++) {
            if ($bin === count($this->bins)) {
                $this->bins[] = [];
                $this->forbidden[] = [];
                $this->left[] = $this->grid->bin->area();
            }
            $found = $this->best($piece, $bin);
            if ($found !== null) {
                [$turn, $column, $row] = $found;
                $shape = $piece->turns[$turn];
                $this->bins[$bin][] = new Lying($shape, $column, $row);
                $this->left[$bin] -= $shape->areaWithin($this->grid->bin->gap);

                return new Place($piece, $bin, $turn, $column * Grid::STEP_MM, $row * Grid::STEP_MM);
            }
        }

        return null;
    }

    /** @return ?array{int, int, int} turn, column and row */
    private function best(Piece $piece, int $bin): ?array
    {
        $least = null;
        $best = null;
        foreach ($piece->turns as $turn => $shape) {
            $at = $this->lowest($shape, $bin);
            if ($at === null) {
                continue;
            }
            [$column, $row] = $at;
            $cost = $this->byTop
                ? [$row * Grid::STEP_MM + $shape->height, $column]
                : [$row, $column + $shape->width / Grid::STEP_MM];
            if ($least === null || $cost < $least) {
                $least = $cost;
                $best = [$turn, $column, $row];
            }
        }

        return $best;
    }

    /** @return ?array{int, int} */
    private function lowest(Shape $shape, int $bin): ?array
    {
        $known = $this->forbidden[$bin][$shape->key] ?? null;
        $inBin = $this->grid->bin;
        if ($known === false || $shape->areaWithin($inBin->gap) > $this->left[$bin] + Tolerance::FIGURE || ! $shape->goesOn($inBin)) {
            return null;
        }
        [$bits, $count] = $known ?? [$this->grid->edges($shape), 0];
        $n = count($this->bins[$bin]);
        for (; $count < $n; $count++) {
            $bits = $this->grid->with($bits, $this->bins[$bin][$count], $shape);
        }
        $at = $this->grid->lowest($bits, $shape);
        // What is full for a shape once stays so.
        $this->forbidden[$bin][$shape->key] = $at === null ? false : [$bits, $n];

        return $at;
    }
}
