<?php

declare(strict_types=1);

namespace Chartula\Core\Part\Pattern;

/** Stones as they come to hand, with level beds from time to time or without. */
final readonly class Rubble implements Pattern
{
    use InColours;

    /**
     * @param  array{float, float}  $stone  how long and how high they are, on the average
     * @param  float  $bed  from level bed to level bed; 0 where there are none
     */
    public function __construct(
        public string $of,
        public array $stone,
        public float $bed,
        private float $joint,
        private Palette $palette,
        private string $ground,
    ) {
    }

    public function rule(): array
    {
        return [
            'kind' => 'rubble', 'of' => $this->of, 'stone' => array_map(static fn (float $mm): float => round($mm, 4), $this->stone),
            'bed' => round($this->bed, 4), 'joint' => round($this->joint, 4),
        ];
    }
}
