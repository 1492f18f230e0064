<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

use Chartula\Core\Building\BrickBond;

/** Bricks in a bond. */
final readonly class Bricks implements Pattern
{
    use InColours;

    /**
     * @param  float  $brick  from brick to brick, with a joint
     * @param  bool  $isThrough  whether it is set out once for a whole face, and broken under its openings
     */
    public function __construct(
        public BrickBond $bond,
        public float $brick,
        public float $course,
        private float $joint,
        private Palette $palette,
        private string $ground,
        public bool $isThrough = false,
    ) {
    }

    public function rule(): array
    {
        return [
            'kind' => 'brick', 'bond' => $this->bond->value, 'brick' => round($this->brick, 4),
            'course' => round($this->course, 4), 'joint' => round($this->joint, 4),
        ] + ($this->isThrough ? ['through' => true] : []);
    }
}
