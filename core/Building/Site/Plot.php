<?php

declare(strict_types=1);

namespace Chartula\Core\Building\Site;

use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;

/**
 * The place on the layout, and what it shares it with. Model millimetres, degrees. The plot's own axes: x along its front,
 * y to the back, z up from the baseboard; its corner (0,0) stands at `at` in the building's axes, and it is turned about it.
 */
final readonly class Plot
{
    /** As from a window or a lamp beside the layout. */
    public const LIGHT_DEG = 30.0;

    /**
     * @param  Ring  $outline  in the plot's own axes, counter-clockwise
     * @param  list<string>  $edges  what its sides are called, edge by edge
     * @param  list<int>  $backscene  edges along which the backscene stands
     * @param  array<int, float>  $clear  what is kept free along further edges
     * @param  array<string, Vehicle>  $vehicles by id
     * @param  list<Neighbour>  $neighbours
     * @param  list<Road>  $roads
     * @param  list<Track>  $tracks
     * @param  list<Obstacle>  $obstacles
     * @param  list<Run>  $runs
     * @param  float  $light  degrees off the normal of the backscene at which light falls, from either side
     */
    public function __construct(
        public Ring $outline,
        public array $edges,
        public Vec2 $at,
        public float $turnDeg,
        public ?float $height,
        public float $gap,
        public array $backscene,
        public array $clear,
        public Allowance $allowance,
        public ?Eye $eye,
        public array $vehicles,
        public array $neighbours,
        public array $roads,
        public array $tracks,
        public array $obstacles,
        public Lift $lift,
        public array $runs,
        public float $light = self::LIGHT_DEG,
    ) {
    }

    /** A bare board, with nothing on it and nothing to keep free. */
    public static function bare(float $width, float $depth): self
    {
        return new self(
            Ring::rectangle(0.0, 0.0, $width, $depth),
            ['front', 'right', 'back', 'left'],
            new Vec2(0.0, 0.0),
            0.0,
            null,
            0.0,
            [],
            [],
            new Allowance(0.0, 0.0),
            null,
            [],
            [],
            [],
            [],
            [],
            new Lift('up', 0.0),
            [],
        );
    }

    /** Gives the room that has to stay free along an edge. */
    public function wanted(int $edge): float
    {
        return in_array($edge, $this->backscene, true) ? max($this->gap, $this->clear[$edge] ?? 0.0) : ($this->clear[$edge] ?? 0.0);
    }

    /** A place of the building's plan in the plot's own axes. */
    public function inPlot(Vec2 $at): Vec2
    {
        $turn = deg2rad($this->turnDeg);
        $off = $at->minus($this->at);

        return new Vec2($off->x * cos($turn) + $off->y * sin($turn), $off->y * cos($turn) - $off->x * sin($turn));
    }

    /** A place of the plot in the building's axes. */
    public function inBuilding(Vec2 $at): Vec2
    {
        $turn = deg2rad($this->turnDeg);

        return new Vec2($this->at->x + $at->x * cos($turn) - $at->y * sin($turn), $this->at->y + $at->x * sin($turn) + $at->y * cos($turn));
    }

    /**
     * Where the eye stands, so far to the right of the middle of its travel, in the building's axes; the plot's front where nobody says.
     */
    public function eyeAt(float $aside): Vec2
    {
        $box = $this->outline->bounds();

        return $this->inBuilding(new Vec2($box->centre()->x + $aside, $box->y0 - ($this->eye->distance ?? 0.0)));
    }
}
