<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Measure\Angle;
use Chartula\Core\Measure\RealLength;

/** A roof over a footprint, edge by edge. Real sizes. */
final readonly class Roof
{
    use CopiesWith;

    public const KINDS = ['gable', 'hip', 'half-hip', 'lean-to', 'flat', 'mansard', 'none'];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  'x'|'y'  $ridge  the way it runs over a rectangle, in the block's own axes
     * @param  ?RealLength  $rise  where the rise was given instead of the pitch
     * @param  list<RoofEdge>  $edges  one for each edge of the footprint
     * @param  ?array{Angle, RealLength}  $upper  the second pitch of a mansard, and how high above the eaves it begins
     * @param  RealLength  $parapet  how far the walls of a flat roof stand above its deck
     */
    public function __construct(
        public string $kind,
        public string $ridge,
        public Angle $pitch,
        public ?RealLength $rise,
        public array $edges,
        public ?array $upper,
        public RealLength $parapet,
        public string $finish,
        public string $path,
    ) {
    }

    /** Whether it runs on over an edge into what stands there; a lean-to ends at the wall that it leans on. */
    public function runsOn(RoofEdge $edge): bool
    {
        return $edge->kind === RoofEdge::WALL && $this->kind !== 'lean-to';
    }
}
