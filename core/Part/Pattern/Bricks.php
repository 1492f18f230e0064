<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

use Chartula\Core\Building\BrickBond;
use Chartula\Core\Building\CopiesWith;

/** Bricks in a bond. */
final readonly class Bricks implements Pattern
{
    use CopiesWith;

    /** @param  float  $brick  from brick to brick, with a joint */
    public function __construct(
        public BrickBond $bond,
        public float $brick,
        public float $course,
        private float $joint,
        private Palette $palette,
        private string $mortar,
    ) {
    }

    public function rule(): array
    {
        return [
            'kind' => 'brick', 'bond' => $this->bond->value, 'brick' => round($this->brick, 4),
            'course' => round($this->course, 4), 'joint' => round($this->joint, 4),
        ];
    }

    public function colours(): array
    {
        return ['colours' => [...$this->palette->all(), $this->mortar]]
            + (count($this->palette->colours) === 1 ? [] : ['shares' => $this->palette->toArray()]);
    }

    public function palette(): Palette
    {
        return $this->palette;
    }

    public function inColour(string $colour): self
    {
        return $this->with(palette: Palette::of($colour, $this->palette->spread));
    }

    public function ground(): string
    {
        return $this->mortar;
    }

    public function joint(): float
    {
        return $this->joint;
    }
}
