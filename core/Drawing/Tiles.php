<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;

/** A picture with which a closed path is filled: where its first copy lies, and whether others follow it on all sides. */
final readonly class Tiles
{
    /** Under each copy lies another, so far to the right and upwards: no line of white shows between them on any printer. Millimetres. */
    private const LAP_MM = 0.02;

    /** @param  string  $sha256  of the picture's file */
    public function __construct(public string $sha256, private Box2 $copy, private bool $isRepeated)
    {
    }

    /**
     * The copies that come into a box, and under them those that close the gaps between.
     *
     * @return list<Box2>
     */
    public function in(Box2 $box): array
    {
        if (! $this->isRepeated) {
            return [$this->copy];
        }
        [$w, $h] = [$this->copy->width(), $this->copy->height()];
        $from = [(int) floor(($box->x0 - $this->copy->x0) / $w), (int) floor(($box->y0 - $this->copy->y0) / $h)];
        $to = [(int) ceil(($box->x1 - $this->copy->x0) / $w), (int) ceil(($box->y1 - $this->copy->y0) / $h)];
        $under = $copies = [];
        for ($row = $from[1]; $row < $to[1]; $row++) {
            for ($column = $from[0]; $column < $to[0]; $column++) {
                [$x, $y] = [$this->copy->x0 + $column * $w, $this->copy->y0 + $row * $h];
                $copies[] = new Box2($x, $y, $x + $w, $y + $h);
                $under[] = new Box2($x + self::LAP_MM, $y + self::LAP_MM, $x + $w + self::LAP_MM, $y + $h + self::LAP_MM);
            }
        }

        return [...$under, ...$copies];
    }
}
