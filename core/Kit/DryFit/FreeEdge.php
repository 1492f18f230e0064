<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

/** An edge that nothing meets, and why. */
final readonly class FreeEdge
{
    public function __construct(
        public string $part,
        public int $edge,
        public string $name,
        public ?string $why,
        public float $length,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['part' => $this->part, 'edge' => $this->edge, 'name' => $this->name, 'why' => $this->why, 'mm' => round($this->length, 4)];
    }
}
