<?php

declare(strict_types=1);

namespace Chartula\Core\Stock;

/** One layer of a stack. Its thickness counts the printed template where that stays on the card. */
final readonly class Layer
{
    /** What frames and leaves are cut in, all of a wall's in one. */
    public const FRAMES = 'frames';

    public function __construct(
        public string $id,
        public Stock $stock,
        public string $role,
        public float $thickness_mm,
    ) {
    }

    /** Names the layer in a sum of thicknesses: “face 0.62”. */
    public function words(): string
    {
        return $this->id.' '.rtrim(rtrim(number_format($this->thickness_mm, 3, '.', ''), '0'), '.');
    }
}
