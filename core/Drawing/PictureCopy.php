<?php

declare(strict_types=1);

namespace Chartula\Core\Drawing;

use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Homography;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/** A picture in its place: where its lower corners and its upper left one lie, and what shows of it. Millimetres. */
final readonly class PictureCopy
{
    /** @param  ?Ring  $clip  null for all of it */
    private function __construct(public Vec2 $corner, public Vec2 $right, public Vec2 $top, public ?Ring $clip = null)
    {
    }

    public static function upright(Box2 $box): self
    {
        return new self(new Vec2($box->x0, $box->y0), new Vec2($box->x1, $box->y0), new Vec2($box->x0, $box->y1));
    }

    /**
     * As a part of a face comes to lie that recedes there.
     *
     * @param  Homography  $map  without a bend
     */
    public static function aslant(Box2 $box, Homography $map, ?Ring $clip): self
    {
        [$corner, $right, , $top] = array_map($map->at(...), $box->corners());

        return new self($corner, $right, $top, $clip);
    }

    /**
     * From one unit square, y up.
     *
     * @return array{float, float, float, float, float, float} a to f of x′ = a·x + c·y + e, y′ = b·x + d·y + f
     */
    public function matrix(): array
    {
        return [
            $this->right->x - $this->corner->x, $this->right->y - $this->corner->y,
            $this->top->x - $this->corner->x, $this->top->y - $this->corner->y,
            $this->corner->x, $this->corner->y,
        ];
    }
}
