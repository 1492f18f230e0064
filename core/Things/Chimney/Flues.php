<?php

declare(strict_types=1);

namespace Chartula\Core\Things\Chimney;

use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\Tolerance;

/** The flues of a chimney, in one row or two, with half a brick between them and round them. docs/formulas.md#chimneys */
final readonly class Flues
{
    /** Real bricks are laid a little closer, mm. */
    private const SLACK_MM = 0.25;

    public int $count;

    private int $columns;

    private int $rows;

    /** A flue, and from one to the next. */
    public float $wide;

    private float $pitch;

    public function __construct(private Stack $stack)
    {
        $this->count = $stack->said->count('flues') ?? 1;
        $this->rows = min($this->count, $stack->said->count('rows') ?? 1);
        $this->columns = (int) ceil($this->count / $this->rows);
        $this->wide = $stack->mm('flue');
        $this->pitch = $this->wide + $stack->site->masonry->halfOfReal;
    }

    /** Whether there is room for them, with at least half a brick round them. */
    public function fit(): bool
    {
        $long = $this->columns * $this->pitch + $this->stack->site->masonry->halfOfReal;
        $short = $this->rows * $this->pitch + $this->stack->site->masonry->halfOfReal;

        [$w, $d] = [$this->stack->mm('w'), $this->stack->mm('d')];

        return $long <= max($w, $d) + self::SLACK_MM && $short <= min($w, $d) + self::SLACK_MM;
    }

    /** How many have a pot; the others are capped off. */
    public function open(): int
    {
        return $this->pots() === 'none' ? 0 : min($this->count, $this->stack->said->count('open') ?? $this->count);
    }

    public function pots(): string
    {
        return $this->stack->said->text('pots') ?? 'round';
    }

    /** @return list<Vec2> their middles in the plane of the cap, from the corner of the stack’s plan: along the longer side, row by row */
    public function places(): array
    {
        $isWide = $this->stack->mm('w') >= $this->stack->mm('d');
        $off = $this->stack->whole->minus($this->stack->middle);
        $along = $this->stack->along;
        $middle = new Vec2($this->stack->w / 2.0 + $off->dot($along), $this->stack->d / 2.0 + $along->cross($off));
        $half = max($this->wide, $this->stack->mm('pot_w')) / 2.0 - Tolerance::MEET;
        $places = [];
        for ($i = 0; $i < $this->count; $i++) {
            $row = intdiv($i, $this->columns);
            // The last row may have fewer, in its middle.
            $own = min($this->columns, $this->count - $row * $this->columns);
            $long = ($i % $this->columns - ($own - 1) / 2.0) * $this->pitch;
            $short = ($row - ($this->rows - 1) / 2.0) * $this->pitch;
            $place = $middle->plus($isWide ? new Vec2($long, $short) : new Vec2(-$short, $long));
            // Low relief may leave no room for it.
            $isThere = min($place->x, $this->stack->w - $place->x, $place->y, $this->stack->d - $place->y) > $half;
            array_push($places, ...$isThere ? [$place] : []);
        }

        return $places;
    }
}
