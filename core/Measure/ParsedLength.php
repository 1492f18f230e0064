<?php

declare(strict_types=1);

namespace Chartula\Core\Measure;

/** What a length's text says: millimetres, and the world if it was written. */
final readonly class ParsedLength
{
    public function __construct(
        public float $mm,
        public ?World $world,
    ) {
    }

    /** Gives millimetres of a world; a length that was written without one is of that. */
    public function in(World $native, Scale $scale): float
    {
        return match (true) {
            ($this->world ?? $native) === $native => $this->mm,
            $native === World::Real => $this->mm * $scale->ratio,
            default => $this->mm / $scale->ratio,
        };
    }
}
