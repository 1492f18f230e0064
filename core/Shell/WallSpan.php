<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

use Chartula\Core\Building\Building;
use Chartula\Core\Form\BlockForm;
use Chartula\Core\Form\WallForm;
use Chartula\Core\Stock\Stack;

/** Where a wall's card begins and ends: full length, or between the inner faces of its neighbours. Model millimetres. */
final readonly class WallSpan
{
    private function __construct(
        public WallForm $form,
        public Stack $stack,
        public bool $isThrough,
        public float $start,
        public float $end,
    ) {
    }

    public static function of(Building $building, BlockForm $form, int $edge): self
    {
        $wall = $form->wall($edge);
        $stack = $building->methods->stacks[$wall->wall->stack];
        $through = ($edge % 2 === 0) === ($building->methods->through === 'front-and-back');
        $taken = fn (int $neighbour): float => $through ? 0.0
            : CornerCut::start(0.0, $building->methods->stacks[$form->wall($neighbour)->wall->stack]->thickness_mm, 90.0);

        return new self($wall, $stack, $through, $taken($edge - 1), $wall->length->mm - $taken($edge + 1));
    }

    public function length(): float
    {
        return $this->end - $this->start;
    }

    public function partId(string $block, int $layer): string
    {
        return $block.'.'.$this->form->wall->name.'.'.$this->stack->layers[$layer]->id;
    }

    public function innermostId(string $block): string
    {
        return $this->partId($block, count($this->stack->layers) - 1);
    }

    public function outermostId(string $block): string
    {
        return $this->partId($block, 0);
    }
}
