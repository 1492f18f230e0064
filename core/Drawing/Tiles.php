<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * A picture with which a closed path is filled: where its first copy lies, and whether others follow it on all sides. On a face that
 * recedes each is drawn in pieces so small that none has to bend. docs/formulas.md#own-papers
 */
final readonly class Tiles
{
    /** Under each copy lies another, so far to the right and upwards: no line of white shows between them on any printer. Millimetres. */
    private const LAP_MM = 0.02;

    /** No place of a picture is farther from where it should come to lie. Millimetres. */
    private const STRAY_MM = 0.01;

    /** No picture is halved more often than this, whatever it is asked to do. */
    private const MOST_HALVINGS = 12;

    /**
     * @param  string  $sha256  of the picture's file
     * @param  Box2  $copy  the first, on the face
     * @param  ?Homography  $receding  from the face to the paper, where that is in forced perspective
     */
    public function __construct(
        public string $sha256,
        private Box2 $copy,
        private bool $isRepeated,
        private ?Homography $receding = null,
    ) {
    }

    /**
     * The copies that come into a box of the paper, and under them those that close the gaps between.
     *
     * @return list<PictureCopy>
     */
    public function in(Box2 $box): array
    {
        $map = $this->receding;
        if ($map === null) {
            return array_map(PictureCopy::upright(...), $this->on($box));
        }
        $face = $map->inverse()->ring(new Ring($box->corners()))->bounds();

        $pieces = [];
        foreach ($this->on($face) as $copy) {
            // What lies far off the face may lie beyond the horizon.
            $seen = $copy->shared($face);
            array_push($pieces, ...$seen === null ? [] : self::pieces($copy, $seen, $map));
        }

        return $pieces;
    }

    /** @return list<Box2> of the face */
    private function on(Box2 $box): array
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

    /**
     * @param  Box2  $copy  all of the picture
     * @param  Box2  $part  of it
     * @return list<PictureCopy>
     */
    private static function pieces(Box2 $copy, Box2 $part, Homography $map, int $halved = 0): array
    {
        $flat = $map->tangentAt(new Vec2(($part->x0 + $part->x1) / 2.0, ($part->y0 + $part->y1) / 2.0));
        $stray = max(array_map(static fn (Vec2 $p): float => $map->at($p)->distanceTo($flat->at($p)), $part->corners()));
        if ($stray > self::STRAY_MM && $halved < self::MOST_HALVINGS) {
            [$first, $second] = self::halves($part);

            return [...self::pieces($copy, $first, $map, $halved + 1), ...self::pieces($copy, $second, $map, $halved + 1)];
        }
        // Each shows a little more than its own, so that none stands apart from the next.
        $seen = new Box2($part->x0 - self::LAP_MM, $part->y0 - self::LAP_MM, $part->x1 + self::LAP_MM, $part->y1 + self::LAP_MM);

        return [PictureCopy::aslant($copy, $flat, $halved === 0 ? null : $map->ring(new Ring($seen->corners())))];
    }

    /** @return array{Box2, Box2} across its longer side */
    private static function halves(Box2 $part): array
    {
        [$x, $y] = [($part->x0 + $part->x1) / 2.0, ($part->y0 + $part->y1) / 2.0];

        return $part->width() >= $part->height()
            ? [new Box2($part->x0, $part->y0, $x, $part->y1), new Box2($x, $part->y0, $part->x1, $part->y1)]
            : [new Box2($part->x0, $part->y0, $part->x1, $y), new Box2($part->x0, $y, $part->x1, $part->y1)];
    }
}
