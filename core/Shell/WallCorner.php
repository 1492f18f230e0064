<?php

declare(strict_types=1);

namespace Chartula\Core\Shell;

/** A corner of the footprint as one of its two walls comes to it. */
final readonly class WallCorner
{
    /**
     * @param  int  $edge  of the wall round the corner
     * @param  float  $angle  interior, degrees
     * @param  positive-int  $layers  of the wall itself
     * @param  float  $other  thickness of the wall round the corner
     * @param  bool  $runsThrough  whether it is this wall that comes first
     * @param  ?array{float, float}  $top  where the wall round the corner ends level under a slope, as WallEnd has it
     */
    public function __construct(
        public int $edge,
        public float $angle,
        public int $layers,
        public float $other,
        public bool $runsThrough,
        public ?array $top,
    ) {
    }

    /**
     * The same end in every layer.
     *
     * @param  WallEnd::THROUGH|WallEnd::STOPPED|WallEnd::MITRE|WallEnd::OPEN|WallEnd::STRAIGHT  $kind
     * @param  bool  $yields  whether it is the other wall that comes first
     * @return non-empty-list<WallEnd>
     */
    public function alike(string $kind, bool $yields = false): array
    {
        return array_fill(0, $this->layers, new WallEnd($kind, $this->edge, $this->angle, $this->other, $yields, $this->top));
    }
}
