<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

/** Layers stuck together, the outermost first. */
final readonly class Stack
{
    /** Total thickness, mm. */
    public float $thickness_mm;

    /** @param  non-empty-list<Layer>  $layers */
    public function __construct(public array $layers)
    {
        $this->thickness_mm = array_sum(array_map(static fn (Layer $layer): float => $layer->thickness_mm, $layers));
    }

    /** How far the outside face of layer $index lies behind the stack's, mm. */
    public function depthOf(int $index): float
    {
        return array_sum(array_map(static fn (Layer $layer): float => $layer->thickness_mm, array_slice($this->layers, 0, $index)));
    }
}
