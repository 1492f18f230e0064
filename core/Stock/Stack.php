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
        $this->thickness_mm = array_sum($this->thicknesses());
    }

    /** @return list<float> of the layers, mm */
    public function thicknesses(): array
    {
        return array_map(static fn (Layer $layer): float => $layer->thickness_mm, $this->layers);
    }

    /** The layer in which all that stands in openings is cut; null where there is none. Something is before it. */
    public function frames(): ?int
    {
        foreach ($this->layers as $i => $layer) {
            if ($i > 0 && $layer->role === Layer::FRAMES) {
                return $i;
            }
        }

        return null;
    }

    public function innermost(): Layer
    {
        return $this->layers[count($this->layers) - 1];
    }

    /** What is scribed or pressed into its outside. */
    public function texture(): ?Texture
    {
        return $this->layers[0]->stock->texture;
    }

    /** How far the outside face of layer $index lies behind the stack's, mm. */
    public function depthOf(int $index): float
    {
        return array_sum(array_slice($this->thicknesses(), 0, $index));
    }

    /** How much of the stack lies inside layer $index, mm. */
    public function below(int $index): float
    {
        return $this->thickness_mm - $this->depthOf($index) - $this->layers[$index]->thickness_mm;
    }
}
