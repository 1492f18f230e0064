<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\Compare;

use Chartula\Core\Kit\DryFit\KitShape;

/** Where a piece lies on a sheet that has been printed: `x`, `y` its lower left from the sheet's, millimetres. */
final readonly class PrintedPlace
{
    /**
     * @param  0|90|180|270  $turn  degrees to the left
     * @param  array{float, float}  $size  of the sheet
     */
    public function __construct(
        public int $sheet,
        public float $x,
        public float $y,
        public int $turn,
        public array $size,
    ) {
    }

    public static function read(KitShape $place): self
    {
        return new self(
            $place->whole('sheet'),
            $place->number('x'),
            $place->number('y'),
            match ($place->whole('turn')) {
                90 => 90, 180 => 180, 270 => 270, default => 0
            },
            [$place->number('width'), $place->number('height')],
        );
    }

    /** @return array{sheet: int, x: float, y: float, turn: int, width: float, height: float} */
    public function toArray(): array
    {
        return [
            'sheet' => $this->sheet, 'x' => $this->x, 'y' => $this->y, 'turn' => $this->turn,
            'width' => $this->size[0], 'height' => $this->size[1],
        ];
    }
}
