<?php

declare(strict_types=1);

namespace Chartula\Core\Fillings;

/** Lights of one height side by side, as each of them is divided into panes. The opening's frame, model millimetres. */
final readonly class LightRow
{
    /**
     * @param  float  $foot  of their lowest panes
     * @param  float  $top  of their highest panes, at the crown where they follow a head
     * @param  int  $columns  of panes, in each of them
     * @param  int  $count  of panes over each other
     * @param  list<float>  $rails  how high what lies between those is, from the foot
     */
    public function __construct(
        public float $foot,
        public float $top,
        public int $columns,
        public int $count,
        public float $bar,
        public array $rails,
    ) {
    }

    /** @param  float  $width  of a light, between its own stiles */
    public function paneWidth(float $width): float
    {
        return ($width - ($this->columns - 1) * $this->bar) / $this->columns;
    }

    public function paneHeight(): float
    {
        return ($this->top - $this->foot - array_sum($this->rails)) / $this->count;
    }

    public function paneFoot(int $n): float
    {
        return $this->foot + $n * $this->paneHeight() + array_sum(array_slice($this->rails, 0, $n));
    }
}
