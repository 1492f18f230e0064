<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

/** One joint as it was measured where the parts stand. */
final readonly class JointMeasure
{
    /**
     * @param  float  $off  the most by which anything measured differs from what was declared, mm
     * @param  string  $found  the figure that says how it meets, in words
     */
    public function __construct(
        public string $id,
        public string $kind,
        public string $a,
        public string $b,
        public float $off,
        public string $found,
        public bool $closes,
        public string $why,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->kind, 'a' => $this->a, 'b' => $this->b,
            'off_mm' => round($this->off, 4), 'found' => $this->found, 'closes' => $this->closes, 'why' => $this->why,
        ];
    }
}
