<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** Something to pack. */
final readonly class Piece
{
    /** @param  non-empty-array<int, Shape>  $turns  what it covers, by degrees turned to the left */
    public function __construct(
        public string $key,
        public array $turns,
    ) {
    }

    /** The same piece in one turning alone. */
    public function only(int $turn): self
    {
        return isset($this->turns[$turn]) ? new self($this->key, [$turn => $this->turns[$turn]]) : $this;
    }

    /** As it is told in the first of its turnings. */
    public function shape(): Shape
    {
        return $this->turns[array_key_first($this->turns)];
    }

    public function goesOn(Bin $bin): bool
    {
        foreach ($this->turns as $shape) {
            if ($shape->goesOn($bin)) {
                return true;
            }
        }

        return false;
    }

    /** Whether no bin takes two of its kind, however they are turned. */
    public function isOverHalfOf(Bin $bin): bool
    {
        foreach ($this->turns as $shape) {
            if (! $shape->isBox() || $shape->width <= $bin->width / 2.0 || $shape->height <= $bin->height / 2.0) {
                return false;
            }
        }

        return true;
    }
}
