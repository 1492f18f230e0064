<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Measure\RealLength;

/** One block: walls on a footprint, and a roof. Real sizes; its own axes are turned about (0,0), which `at` then moves. */
final readonly class Block
{
    use CopiesWith;

    /**
     * @param  list<Wall>  $walls  one for each edge of the footprint
     * @param  array<int, Corner>  $corners  those that are made in a way of their own, by corner
     * @param  list<Storey>  $storeys
     * @param  ?RealLength  $plinth  its top above the datum
     * @param  ?Uncut  $uncut  the whole block, where this is what low relief has left of it
     * @param  ?Receding  $receding  the block as it is, where this is what it looks like in forced perspective
     */
    public function __construct(
        public string $id,
        public string $name,
        public Footprint $footprint,
        public Vec2 $at,
        public float $turnDeg,
        public RealLength $base,
        public RealLength $eaves,
        public array $walls,
        public Roof $roof,
        public array $corners,
        public array $storeys,
        public ?RealLength $plinth,
        public string $path,
        public ?Uncut $uncut = null,
        public ?Receding $receding = null,
    ) {
    }

    /** A place of the building's plan in the block's own axes. */
    public function ownAxes(Vec2 $at): Vec2
    {
        $turn = deg2rad($this->turnDeg);
        $off = $at->minus($this->at);

        return new Vec2($off->x * cos($turn) + $off->y * sin($turn), $off->y * cos($turn) - $off->x * sin($turn));
    }

    /** The footprint where it stands, real millimetres. */
    public function standing(): Ring
    {
        $turn = deg2rad($this->turnDeg);
        [$cos, $sin] = [cos($turn), sin($turn)];

        return new Ring(
            array_map(
                fn (Vec2 $p): Vec2 => new Vec2($p->x * $cos - $p->y * $sin + $this->at->x, $p->x * $sin + $p->y * $cos + $this->at->y),
                $this->footprint->ring()->points,
            ),
        );
    }
}
