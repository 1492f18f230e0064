<?php

declare(strict_types=1);

namespace Chartula\Core\Packing;

/** Something rectangular to pack. Millimetres. */
final readonly class Box
{
    /** @param  ?array{float, float}  $turned  width and height where it lies on its side (words stay below it); null where it may not */
    public function __construct(
        public string $key,
        public float $width,
        public float $height,
        public ?array $turned,
    ) {
    }

    /** @return array{float, float} width and height */
    public function size(bool $isTurned): array
    {
        return $isTurned && $this->turned !== null ? $this->turned : [$this->width, $this->height];
    }
}
